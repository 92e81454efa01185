/**
 * Makes the beam results that the frame model of sway bars is held against: writes the input of CalculiX (Debian's
 * `calculix-ccx`), runs it, and keeps input and answer in tests/reference/calculix: `npx tsx scripts/calculix/swayBar.ts`.
 */
import { execFileSync } from 'node:child_process';
import { mkdtempSync, readFileSync, writeFileSync } from 'node:fs';
import { tmpdir } from 'node:os';
import { join } from 'node:path';

type Point = [number, number, number];
type Case = { name: string; od: number; E: number; nu: number; points: Point[]; bushings: number[] };

const FORCE = 100;
/** Quadratic beams along each straight piece. */
const PIECES = 16;

const CASES: Case[] = [
  {
    name: 'plain',
    od: 22,
    E: 205_000,
    nu: 0.2925,
    points: [
      [-250, 420, 300],
      [0, 420, 300],
      [0, 330, 300],
      [0, -330, 300],
      [0, -420, 300],
      [-250, -420, 300],
    ],
    bushings: [2, 3],
  },
  {
    name: 'dip-and-swept',
    od: 25,
    E: 205_000,
    nu: 0.2925,
    points: [
      [-260, 500, 320],
      [-40, 430, 300],
      [0, 410, 300],
      [0, 340, 300],
      [0, 180, 300],
      [20, 120, 230],
      [20, -60, 230],
      [0, -120, 300],
      [0, -340, 300],
      [0, -410, 300],
      [-40, -430, 300],
      [-260, -500, 320],
    ],
    bushings: [3, 8],
  },
];

function input({ name, od, E, nu, points, bushings }: Case): { text: string; left: number; right: number } {
  const nodes: Point[] = [points[0]!];
  const at: number[] = [1];
  const elements: [number, number, number, number][] = [];
  for (let i = 0; i + 1 < points.length; i++) {
    for (let k = 1; k <= 2 * PIECES; k++)
      nodes.push(points[i]!.map((v, c) => v + ((points[i + 1]![c]! - v) * k) / (2 * PIECES)) as Point);
    for (let k = 0; k < PIECES; k++) {
      const first = at[i]! + 2 * k;
      elements.push([elements.length + 1, first, first + 1, first + 2]);
    }
    at.push(nodes.length);
  }
  const sections = points.slice(1).map((p, i) => {
    const d = p.map((v, c) => v - points[i]![c]!) as Point;
    // Any direction across the piece will do for a round bar.
    const across = Math.abs(d[2]) < 0.9 * Math.hypot(...d) ? [-d[1], d[0], 0] : [1, 0, 0];
    const length = Math.hypot(...across);
    return `*ELSET,ELSET=E${i},GENERATE\n${i * PIECES + 1},${(i + 1) * PIECES}\n*BEAM SECTION,ELSET=E${i},MATERIAL=STEEL,SECTION=CIRC\n${od},${od}\n${across.map((v) => (v / length).toFixed(9)).join(',')}`;
  });
  const [left, right] = [at[0]!, at.at(-1)!];
  const [a, b] = bushings.map((i) => at[i]!);
  const text = `** Sway bar, ${name}: bushings hold it across, one of them along; right eye held up and down, ${FORCE} N up at the left eye
*NODE,NSET=ALL
${nodes.map((p, i) => `${i + 1},${p.map((v) => v.toFixed(9)).join(',')}`).join('\n')}
*ELEMENT,TYPE=B32,ELSET=BAR
${elements.map((e) => e.join(',')).join('\n')}
*MATERIAL,NAME=STEEL
*ELASTIC
${E},${nu}
${sections.join('\n')}
*BOUNDARY
${a},1,3
${b},1
${b},3
${right},3
*STEP
*STATIC
*CLOAD
${left},3,${FORCE}
*NSET,NSET=EYES
${left},${right}
*NODE PRINT,NSET=EYES
U
*END STEP
`;
  return { text, left, right };
}

const results = CASES.map((bar) => {
  const { text, left } = input(bar);
  const folder = mkdtempSync(join(tmpdir(), 'sway-bar-'));
  writeFileSync(join(folder, `${bar.name}.inp`), text);
  writeFileSync(`tests/reference/calculix/${bar.name}.inp`, text);
  execFileSync('ccx', [bar.name], { cwd: folder, stdio: 'ignore' });
  const rows = readFileSync(join(folder, `${bar.name}.dat`), 'utf8').split('\n');
  const row = rows
    .map((r) => r.trim().split(/\s+/))
    .find(([n, , , u]) => Number(n) === left && u !== undefined)!;
  const lift = Number(row[3]);
  return { ...bar, force: FORCE, lift, rate: FORCE / lift };
});
writeFileSync('tests/reference/calculix/results.json', `${JSON.stringify(results, null, 2)}\n`);
console.log(results.map((r) => `${r.name}: ${r.rate.toFixed(4)} N/mm`).join('\n'));
