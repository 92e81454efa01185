/**
 * Makes the beam results that bent bars and braced drop brackets are held against. Writes the inputs of CalculiX (Debian's
 * `calculix-ccx`), runs it, and keeps inputs and answers in tests/reference/calculix: `npx tsx scripts/calculix/strength.ts`.
 */
import { execFileSync } from 'node:child_process';
import { mkdtempSync, readFileSync, writeFileSync } from 'node:fs';
import { tmpdir } from 'node:os';
import { join } from 'node:path';

type Place = [x: number, y: number];
/** A solid round bar along a path in a plane, mm, pulled or pushed along the line through its eyes, N. */
type BentCase = { name: string; od: number; path: Place[]; pull: number };
/** A bracket that hangs down, a square bar of side `side`, held at its root; a round brace level from it to the other rail; mm, N. */
type DropCase = {
  name: string;
  side: number;
  reach: number;
  at: number;
  brace: { od: number; length: number };
  force: number;
};

const [E, NU] = [205_000, 0.3];
/** Quadratic beams along each straight piece. */
const PIECES = 24;

const joggle = (length: number, offset: number, from: number, to: number): Place[] => [
  [0, 0],
  [from - offset, 0],
  [from, offset],
  [to, offset],
  [to + offset, 0],
  [length, 0],
];
const kink = (length: number, offset: number): Place[] => [
  [0, 0],
  [length / 2, offset],
  [length, 0],
];
const BENT: BentCase[] = [
  { name: 'kinked-pulled', od: 28, path: kink(900, 40), pull: 12_000 },
  { name: 'kinked-pushed', od: 28, path: kink(900, 40), pull: -12_000 },
  { name: 'round-a-spring', od: 34, path: joggle(800, 60, 300, 500), pull: -15_000 },
  { name: 'slender-pushed', od: 20, path: kink(1000, 25), pull: -5_000 },
];
const DROP: DropCase[] = [
  { name: 'braced-low', side: 30, reach: 200, at: 180, brace: { od: 12, length: 800 }, force: 9_000 },
  { name: 'braced-half-way', side: 40, reach: 260, at: 130, brace: { od: 8, length: 900 }, force: 9_000 },
];

type Beam = { from: Place; to: Place; section: string };

/** Nodes and elements of beams in the plane of x and y; a node's number by its place. */
function mesh(beams: Beam[]) {
  const nodes: Place[] = [];
  const numberOf = (p: Place): number => {
    const known = nodes.findIndex((q) => Math.hypot(q[0] - p[0], q[1] - p[1]) < 1e-6);
    return known >= 0 ? known + 1 : nodes.push(p);
  };
  let count = 0;
  const elements = beams.map(({ from, to, section }, i) => {
    const at = (k: number): Place => [
      from[0] + ((to[0] - from[0]) * k) / (2 * PIECES),
      from[1] + ((to[1] - from[1]) * k) / (2 * PIECES),
    ];
    const rows = Array.from({ length: PIECES }, (_, k) => {
      const ids = [at(2 * k), at(2 * k + 1), at(2 * k + 2)].map(numberOf);
      return `${++count},${ids.join(',')}`;
    });
    return `*ELEMENT,TYPE=B32,ELSET=E${i}\n${rows.join('\n')}\n*BEAM SECTION,ELSET=E${i},MATERIAL=STEEL,${section}\n0.,0.,1.`;
  });
  return { numberOf, nodes, elements };
}

const input = (
  title: string,
  { nodes, elements }: ReturnType<typeof mesh>,
  step: string,
): string => `** ${title}
*NODE,NSET=ALL
${nodes.map((p, i) => `${i + 1},${p.map((v) => v.toFixed(9)).join(',')},0.`).join('\n')}
*MATERIAL,NAME=STEEL
*ELASTIC
${E},${NU}
${elements.join('\n')}
${step}
*NODE PRINT,NSET=ALL
U,RF
*END STEP
`;

/** Runs CalculiX on an input; the last displacements and reactions it prints, by node. */
function run(name: string, text: string) {
  const folder = mkdtempSync(join(tmpdir(), 'strength-'));
  for (const place of [folder, 'tests/reference/calculix']) writeFileSync(join(place, `${name}.inp`), text);
  execFileSync('ccx', [name], { cwd: folder, stdio: 'ignore' });
  const blocks = readFileSync(join(folder, `${name}.dat`), 'utf8').split(/\n(?= (?:displacements|forces))/);
  const last = (kind: string) => {
    const rows = blocks.findLast((block) => block.trimStart().startsWith(kind))!.split('\n');
    return new Map(
      rows
        .map((row) => row.trim().split(/\s+/).map(Number))
        .filter((row) => row.length === 4)
        .map(([n, ...v]) => [n!, v]),
    );
  };
  return { moved: last('displacements'), held: last('forces') };
}

const bent = BENT.map((of) => {
  const section = `SECTION=CIRC\n${of.od},${of.od}`;
  const made = mesh(of.path.slice(1).map((to, i) => ({ from: of.path[i]!, to, section })));
  const [frame, axle] = [made.numberOf(of.path[0]!), made.numberOf(of.path.at(-1)!)];
  const { moved } = run(
    of.name,
    input(
      `${of.name}: a solid round bar of ${of.od} mm, a pin at each end, loaded along the line of its pins, large displacements`,
      made,
      `*STEP,NLGEOM,INC=100\n*STATIC\n.1,1.\n*BOUNDARY\nALL,3\n${frame},1,2\n${axle},2\n*CLOAD\n${axle},1,${of.pull}`,
    ),
  );
  // What bends a bar that is pulled along one line is the force times how far it then is from that line.
  const away = made.nodes.map((p, i) => Math.abs(p[1] + moved.get(i + 1)![1]!));
  return { ...of, E, moment: Math.abs(of.pull) * Math.max(...away) };
});

const drop = DROP.map((of) => {
  const { side, reach, at, brace, force } = of;
  const plate = `SECTION=RECT\n${side},${side}`;
  const made = mesh([
    { from: [0, 0], to: [0, -at], section: plate },
    { from: [0, -at], to: [0, -reach], section: plate },
    // A pin in the middle of a beam is none that a beam has: the brace is thin, and its bending is small.
    { from: [0, -at], to: [brace.length, -at], section: `SECTION=CIRC\n${brace.od},${brace.od}` },
  ]);
  const [root, rail, eye] = [
    made.numberOf([0, 0]),
    made.numberOf([brace.length, -at]),
    made.numberOf([0, -reach]),
  ];
  const { held } = run(
    of.name,
    input(
      `${of.name}: a bracket held at its root, its brace pinned to the other rail, pulled away from it at its eye`,
      made,
      `*STEP\n*STATIC\n*BOUNDARY\nALL,3\n${root},1,6\n${rail},1,2\n*CLOAD\n${eye},1,${-force}`,
    ),
  );
  return { ...of, E, braceForce: Math.abs(held.get(rail)![0]!) };
});

writeFileSync('tests/reference/calculix/strength.json', `${JSON.stringify({ bent, drop }, null, 1)}\n`);
