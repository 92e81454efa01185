/**
 * Makes the beam results that the give of arms rigid to an axle is held against: an axle's tube with its arms welded on, their
 * front joints pinned to the frame, rolled by half a degree. Writes the input of CalculiX (Debian's `calculix-ccx`), runs it, and
 * keeps input and answer in tests/reference/calculix: `npx tsx scripts/calculix/arms.ts`.
 */
import { execFileSync } from 'node:child_process';
import { mkdtempSync, readFileSync, writeFileSync } from 'node:fs';
import { tmpdir } from 'node:os';
import { join } from 'node:path';

type Point = [number, number, number];
/** Solid round sections throughout, mm: of the tube between the brackets, and of the arms. */
type Case = {
  name: string;
  /** half of what the brackets stand apart, and where an arm's joint is from the axle's middle */
  out: number;
  joint: Point;
  tube: number;
  arm: number;
  /** between two tubes of an arm at the axle; 0: one tube */
  spread: number;
};

const [E, NU] = [205_000, 0.2925];
const ROLL = 0.5 * (Math.PI / 180);
/** Quadratic beams along each straight piece. */
const PIECES = 12;
/** What brackets between two tubes of an arm are made of: thick enough not to give. */
const BRACKET = 120;

const CASES: Case[] = [
  { name: 'ladder-bars', out: 440, joint: [800, 440, 0], tube: 60, arm: 30, spread: 130 },
  { name: 'radius-arms', out: 400, joint: [780, 320, -20], tube: 55, arm: 38, spread: 0 },
  { name: 'truck-arms', out: 380, joint: [1300, 90, -60], tube: 58, arm: 45, spread: 0 },
];

type Beam = { from: Point; to: Point; od: number };

function beamsOf({ out, joint, tube, arm, spread }: Case): Beam[] {
  const sides = [1, -1];
  const root = (s: number, up: number): Point => [0, s * out, up];
  return [
    ...sides.map((s): Beam => ({ from: [0, 0, 0], to: root(s, 0), od: tube })),
    ...sides.flatMap((s): Beam[] => {
      const ball: Point = [joint[0], s * joint[1], joint[2]];
      if (spread === 0) return [{ from: root(s, 0), to: ball, od: arm }];
      return [1, -1].flatMap((up): Beam[] => [
        { from: root(s, 0), to: root(s, (up * spread) / 2), od: BRACKET },
        { from: root(s, (up * spread) / 2), to: ball, od: arm },
      ]);
    }),
  ];
}

function input(of: Case): { text: string; balls: number[] } {
  const nodes: Point[] = [];
  const numberOf = (p: Point): number => {
    const known = nodes.findIndex((q) => Math.hypot(q[0] - p[0], q[1] - p[1], q[2] - p[2]) < 1e-6);
    return known >= 0 ? known + 1 : nodes.push(p);
  };
  const elements: string[] = [];
  const sections = beamsOf(of).map(({ from, to, od }, i) => {
    const at = (k: number): Point => from.map((v, c) => v + ((to[c]! - v) * k) / (2 * PIECES)) as Point;
    const first = elements.length + 1;
    for (let k = 0; k < PIECES; k++) {
      const ids = [at(2 * k), at(2 * k + 1), at(2 * k + 2)].map(numberOf);
      elements.push(`${elements.length + 1},${ids.join(',')}`);
    }
    const d = to.map((v, c) => v - from[c]!) as Point;
    const across = Math.abs(d[2]) < 0.9 * Math.hypot(...d) ? [-d[1], d[0], 0] : [1, 0, 0];
    const size = Math.hypot(...across);
    return `*ELSET,ELSET=E${i},GENERATE\n${first},${elements.length}\n*BEAM SECTION,ELSET=E${i},MATERIAL=STEEL,SECTION=CIRC\n${od},${od}\n${across.map((v) => (v / size).toFixed(9)).join(',')}`;
  });
  const { out, joint } = of;
  const balls = [1, -1].map((s) => numberOf([joint[0], s * joint[1], joint[2]]));
  const brackets = [1, -1].map((s) => [numberOf([0, s * out, 0]), s] as const);
  const middle = numberOf([0, 0, 0]);
  const text = `** ${of.name}: solid round arms welded to an axle's tube, front joints pinned, the axle rolled by half a degree
*NODE,NSET=ALL
${nodes.map((p, i) => `${i + 1},${p.map((v) => v.toFixed(9)).join(',')}`).join('\n')}
*ELEMENT,TYPE=B32,ELSET=BAR
${elements.join('\n')}
*MATERIAL,NAME=STEEL
*ELASTIC
${E},${NU}
${sections.join('\n')}
*BOUNDARY
${balls.map((n) => `${n},1,3`).join('\n')}
*STEP
*STATIC
*BOUNDARY
${middle},3,3,0
${middle},4,4,${ROLL}
${brackets.map(([n, s]) => `${n},3,3,${(s * out * ROLL).toFixed(12)}\n${n},4,4,${ROLL}`).join('\n')}
*NSET,NSET=BALLS
${balls.join(',')}
*NODE PRINT,NSET=BALLS
RF
*END STEP
`;
  return { text, balls };
}

const results = CASES.map((of) => {
  const { text, balls } = input(of);
  const folder = mkdtempSync(join(tmpdir(), 'arms-'));
  writeFileSync(join(folder, `${of.name}.inp`), text);
  writeFileSync(`tests/reference/calculix/${of.name}.inp`, text);
  execFileSync('ccx', [of.name], { cwd: folder, stdio: 'ignore' });
  const rows = readFileSync(join(folder, `${of.name}.dat`), 'utf8')
    .split('\n')
    .map((r) => r.trim().split(/\s+/).map(Number));
  const force = (ball: number): number[] => rows.find((r) => r[0] === ball && r.length === 4)!.slice(1);
  // What the frame gives at the joints is all that turns the axle back: its moment about the axle's middle.
  const moment = balls.reduce((sum, ball, i) => {
    const [, fy, fz] = force(ball);
    return sum + (i ? -1 : 1) * of.joint[1] * fz! - of.joint[2] * fy!;
  }, 0);
  return { ...of, E, nu: NU, perRadian: -moment / ROLL };
});
writeFileSync('tests/reference/calculix/arms.json', `${JSON.stringify(results, null, 2)}\n`);
console.log(
  results.map((r) => `${r.name}: ${((r.perRadian * Math.PI) / 180 / 1000).toFixed(1)} N·m/°`).join('\n'),
);
