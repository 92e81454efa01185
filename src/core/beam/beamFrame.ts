import { cross, dot, minus, unit, type Point } from '@/core/geometry/vector';
import { BandMatrix } from '@/core/numerics/bandedMatrix';
import { vonMisesStress, stiffnessOf, type Matrix, type Section } from './section';

/** Degrees of freedom of a node: three ways, three turns. */
const DOF = 6;
const BAND = 2 * DOF;

/**
 * Where a node is held: across a direction (free along and about it), along it too, or against moving up and down. With a
 * rate, N/mm, it gives way across. Or against moving at all, and against turning about some of the car's axes.
 */
export type Support =
  | { node: number; axis: Point; alongToo: boolean; rate?: number | null }
  | { node: number; vertical: true }
  | { node: number; turns: ('x' | 'y' | 'z')[] };

/** What pulls at a node, N, and turns it, N·mm. */
export type Force = { node: number; force: Point; moment?: Point };

export type Deflected = {
  /** how far a node moves, mm */
  move: (node: number) => Point;
  /** the largest von Mises stress in the surface, N/mm², and at which node; and at each node */
  stress: { most: number; node: number; at: number[] };
  /** share of the stored energy that is torsion, 0 to 1 */
  torsionShare: number;
};

/**
 * A bar along a line of points as a frame of Euler–Bernoulli beams in space, exact for loads at its nodes: stiffness assembled
 * in a band (each node only knows its neighbours) and factored once (Przemieniecki, *Theory of Matrix Structural Analysis*,
 * from memory).
 *
 * @param nodes points along the centreline, mm, no two in a row the same
 * @param sections one for the whole bar, or one for every piece between two nodes
 * @param supports enough to hold it
 * @param forces N
 */
export function deflect(
  nodes: Point[],
  sections: Section | Section[],
  supports: Support[],
  forces: Force[],
): Deflected {
  const n = nodes.length * DOF;
  const bases = basesOf(nodes.length, supports);
  const K = new BandMatrix(n, BAND);
  const elements = nodes
    .slice(1)
    .map((b, i) => elementOf(nodes[i]!, b, Array.isArray(sections) ? sections[i]! : sections));
  elements.forEach((element, i) => assemble(K, i, element, bases));
  const load = new Float64Array(n);
  for (const { node, force, moment = NONE } of forces) {
    turnInto(bases[node]!, force).forEach((v, k) => (load[node * DOF + k]! += v));
    moment.forEach((v, k) => (load[node * DOF + 3 + k]! += v));
  }
  for (const support of supports) {
    if ('rate' in support && support.rate != null)
      for (const k of ACROSS) K.add(support.node * DOF + k, support.node * DOF + k, support.rate);
    for (const k of heldBy(support)) K.hold(support.node * DOF + k, load);
  }
  K.solve(load);
  const move = (node: number): Point => turnBack(bases[node]!, load, node * DOF);
  const turn = (node: number): Point => [3, 4, 5].map((k) => load[node * DOF + k]!) as Point;
  // What the forces do is what is stored.
  const work = forces.reduce(
    (sum, { node, force, moment = NONE }) => sum + 0.5 * (dot(force, move(node)) + dot(moment, turn(node))),
    0,
  );
  const { most, node, at, twisting } = stressOf(elements, load, bases);
  return { move, stress: { most, node, at }, torsionShare: work > 0 ? twisting / work : 0 };
}

const NONE: Point = [0, 0, 0];

type Basis = [Point, Point, Point];
const GLOBAL: Basis = [
  [1, 0, 0],
  [0, 1, 0],
  [0, 0, 1],
];

/** Nodes in bushings are looked at along and across the bushing, so that what it holds is a coordinate. */
function basesOf(count: number, supports: Support[]): Basis[] {
  const bases = new Array<Basis>(count).fill(GLOBAL);
  for (const s of supports) if ('axis' in s) bases[s.node] = basisAlong(unit(s.axis));
  return bases;
}

function basisAlong(e: Point): Basis {
  const helper: Point = Math.abs(e[2]) < 0.9 ? [0, 0, 1] : [1, 0, 0];
  const a = unit(cross(e, helper));
  return [e, a, cross(e, a)];
}

const ACROSS = [1, 2];

function heldBy(s: Support): number[] {
  if ('vertical' in s) return [2];
  if ('turns' in s) return [0, 1, 2, ...s.turns.map((axis) => 3 + 'xyz'.indexOf(axis))];
  return [...(s.alongToo ? [0] : []), ...(s.rate == null ? ACROSS : [])];
}

const turnInto = (basis: Basis, v: Point): number[] =>
  basis.map((axis) => axis[0] * v[0] + axis[1] * v[1] + axis[2] * v[2]);

const turnBack = (basis: Basis, from: Float64Array, at: number): Point =>
  [0, 1, 2].map((k) => basis.reduce((sum, axis, i) => sum + axis[k]! * from[at + i]!, 0)) as Point;

/** One straight piece: its direction and length, and what pulls, twists and bends it. */
type Element = {
  section: Section;
  e: Point;
  L: number;
  along: number;
  twist: number;
  /** force for a movement, as a matrix: EI and what a turn makes of it on either side */
  EI: Matrix;
  REI: Matrix;
  turned: Matrix;
};

function elementOf(a: Point, b: Point, section: Section): Element {
  const d = minus(b, a);
  const L = Math.hypot(...d);
  const e = d.map((v) => v / L) as Point;
  const { EA, GJ, EI } = stiffnessOf(section, e);
  const R = [0, -e[2], e[1], e[2], 0, -e[0], -e[1], e[0], 0];
  const REI = times(R, EI);
  return { section, e, L, along: EA / L, twist: GJ / L, EI, REI, turned: times(REI, R).map((v) => -v) };
}

const ROWS = [0, 1, 2];
const times = (a: Matrix, b: Matrix): number[] =>
  ROWS.flatMap((r) =>
    ROWS.map((c) => a[3 * r]! * b[c]! + a[3 * r + 1]! * b[3 + c]! + a[3 * r + 2]! * b[6 + c]!),
  );

const apply = (m: Matrix, v: Point): Point =>
  ROWS.map((r) => m[3 * r]! * v[0] + m[3 * r + 1]! * v[1] + m[3 * r + 2]! * v[2]) as Point;

/**
 * Adds one element. With e its direction, R what e× does and B its bending EI as a matrix (for a round bar EI(1 − eeᵀ)):
 * F_i = (along·eeᵀ + 12B/L³)(u_i − u_j) − 6/L² B·R(θ_i + θ_j), F_j = −F_i; M_i = 6/L² R·B(u_i − u_j) − R·B·R(4θ_i + 2θ_j)/L +
 * twist·eeᵀ(θ_i − θ_j), and M_j the same with i and j changed in the turns.
 */
function assemble(K: BandMatrix, i: number, element: Element, bases: Basis[]): void {
  const { e, L, along, twist, EI, REI, turned } = element;
  const [p, q] = [i * DOF, (i + 1) * DOF];
  for (let r = 0; r < 3; r++)
    for (let c = 0; c < 3; c++) {
      const k = 3 * r + c;
      const ee = e[r]! * e[c]!;
      const push = along * ee + (12 * EI[k]!) / L ** 3;
      const lever = (6 * REI[k]!) / L ** 2;
      // Ways are turned into their node's basis below; turns stay in the car's axes.
      K.add(p + 3 + r, p + 3 + c, (4 * turned[k]!) / L + twist * ee);
      K.add(q + 3 + r, q + 3 + c, (4 * turned[k]!) / L + twist * ee);
      K.add(p + 3 + r, q + 3 + c, (2 * turned[k]!) / L - twist * ee);
      ways(K, bases, i, i, r, c, push);
      ways(K, bases, i + 1, i + 1, r, c, push);
      ways(K, bases, i, i + 1, r, c, -push);
      turnsToWays(K, bases, i, p + 3 + r, c, lever);
      turnsToWays(K, bases, i + 1, p + 3 + r, c, -lever);
      turnsToWays(K, bases, i, q + 3 + r, c, lever);
      turnsToWays(K, bases, i + 1, q + 3 + r, c, -lever);
    }
}

/** Adds v·(r-th way of node i)(c-th way of node j), each in its node's basis. */
function ways(K: BandMatrix, bases: Basis[], i: number, j: number, r: number, c: number, v: number): void {
  if (bases[i] === GLOBAL && bases[j] === GLOBAL) {
    K.add(i * DOF + r, j * DOF + c, v);
    return;
  }
  for (let m = 0; m < 3; m++)
    for (let k = 0; k < 3; k++) {
      const share = bases[i]![m]![r]! * bases[j]![k]![c]! * v;
      if (share !== 0) K.add(i * DOF + m, j * DOF + k, share);
    }
}

function turnsToWays(K: BandMatrix, bases: Basis[], node: number, turn: number, c: number, v: number): void {
  if (bases[node] === GLOBAL) {
    K.addEither(turn, node * DOF + c, v);
    return;
  }
  for (let k = 0; k < 3; k++) {
    const share = bases[node]![k]![c]! * v;
    if (share !== 0) K.addEither(turn, node * DOF + k, share);
  }
}

/** Bending, twist and pull at every element's ends, the von Mises stress they make in the surface, and what twist stores. */
function stressOf(elements: Element[], x: Float64Array, bases: Basis[]) {
  const turn = (n: number): Point => [x[n * DOF + 3]!, x[n * DOF + 4]!, x[n * DOF + 5]!];
  let [most, node, twisting] = [0, 0, 0];
  const stressAt = new Array<number>(elements.length + 1).fill(0);
  elements.forEach(({ section, e, L, along, twist, REI, turned }, i) => {
    const u = minus(turnBack(bases[i]!, x, i * DOF), turnBack(bases[i + 1]!, x, (i + 1) * DOF));
    const [s, t] = [turn(i), turn(i + 1)];
    const twisted = dot(s, e) - dot(t, e);
    const lever = apply(REI, u);
    const moment = (here: Point, there: Point): Point => {
      const [a, b] = [apply(turned, here), apply(turned, there)];
      return lever.map((w, k) => (6 * w) / L ** 2 + (4 * a[k]! + 2 * b[k]!) / L) as Point;
    };
    for (const [M, at] of [
      [moment(s, t), i],
      [moment(t, s), i + 1],
    ] as const) {
      const mises = vonMisesStress(section, e, M, twist * twisted, along * dot(u, e));
      stressAt[at] = Math.max(stressAt[at]!, mises);
      if (mises > most) [most, node] = [mises, at];
    }
    twisting += 0.5 * twist * twisted ** 2;
  });
  return { most, node, at: stressAt, twisting };
}
