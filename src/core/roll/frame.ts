import type { Point } from '@/core/rig/schema';
import { cross, dot, minus, unit } from '@/core/vector';
import { BandMatrix } from './band';

/** A round bar or tube: outside diameter and wall, mm (null: solid), Young's and shear modulus, N/mm². */
export type Section = { od: number; wall: number | null; E: number; G: number };

/** Degrees of freedom of a node: three ways, three turns. */
const DOF = 6;
const BAND = 2 * DOF;

/** Where a node is held: across a direction (free along and about it), along it too, or against moving up and down. */
export type Support = { node: number; axis: Point; alongToo: boolean } | { node: number; vertical: true };

export type Force = { node: number; force: Point };

export type Deflected = {
  /** how far a node moves, mm */
  move: (node: number) => Point;
  /** the largest von Mises stress in the surface, N/mm², and at which node */
  stress: { most: number; node: number };
  /** share of the stored energy that is torsion, 0 to 1 */
  torsionShare: number;
};

/** Second moment of area and polar moment of a round section, mm⁴; area, mm². */
export function sectionOf({ od, wall }: Pick<Section, 'od' | 'wall'>) {
  const inner = wall === null ? 0 : Math.max(0, od - 2 * wall);
  return {
    I: (Math.PI / 64) * (od ** 4 - inner ** 4),
    J: (Math.PI / 32) * (od ** 4 - inner ** 4),
    A: (Math.PI / 4) * (od ** 2 - inner ** 2),
  };
}

/**
 * A bar along a line of points as a frame of Euler–Bernoulli beams in space, exact for loads at its nodes: stiffness assembled
 * in a band (each node only knows its neighbours) and factored once (Przemieniecki, *Theory of Matrix Structural Analysis*,
 * from memory). A round section bends alike every way, so that each element's stiffness follows from its direction alone.
 *
 * @param nodes points along the centreline, mm, no two in a row the same
 * @param supports enough to hold it
 * @param forces N
 */
export function deflect(nodes: Point[], section: Section, supports: Support[], forces: Force[]): Deflected {
  const n = nodes.length * DOF;
  const bases = basesOf(nodes.length, supports);
  const K = new BandMatrix(n, BAND);
  for (let i = 0; i + 1 < nodes.length; i++) assemble(K, i, nodes[i]!, nodes[i + 1]!, section, bases);
  const load = new Float64Array(n);
  for (const { node, force } of forces)
    turnInto(bases[node]!, force).forEach((v, k) => (load[node * DOF + k]! += v));
  for (const support of supports) for (const k of heldBy(support)) K.hold(support.node * DOF + k, load);
  K.solve(load);
  const move = (node: number): Point => turnBack(bases[node]!, load, node * DOF);
  // What the forces do is what is stored.
  const work = forces.reduce((sum, { node, force }) => sum + 0.5 * dot(force, move(node)), 0);
  const { most, node, twisting } = stressOf(nodes, section, load, bases);
  return { move, stress: { most, node }, torsionShare: work > 0 ? twisting / work : 0 };
}

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

const heldBy = (s: Support): number[] => ('vertical' in s ? [2] : s.alongToo ? [0, 1, 2] : [1, 2]);

const turnInto = (basis: Basis, v: Point): number[] =>
  basis.map((axis) => axis[0] * v[0] + axis[1] * v[1] + axis[2] * v[2]);

const turnBack = (basis: Basis, from: Float64Array, at: number): Point =>
  [0, 1, 2].map((k) => basis.reduce((sum, axis, i) => sum + axis[k]! * from[at + i]!, 0)) as Point;

/** Stiffnesses of one element: along, across, bending to turn, turning at its near and far end, twist. */
function rigidity(a: Point, b: Point, section: Section) {
  const d = minus(b, a);
  const L = Math.hypot(...d);
  const { I, J, A } = sectionOf(section);
  const EI = section.E * I;
  return {
    e: d.map((v) => v / L) as Point,
    L,
    along: (section.E * A) / L,
    across: (12 * EI) / L ** 3,
    bend: (6 * EI) / L ** 2,
    near: (4 * EI) / L,
    far: (2 * EI) / L,
    twist: (section.G * J) / L,
  };
}

/**
 * Adds one element. With e its direction: F_i = (along·eeᵀ + across·(1 − eeᵀ))(u_i − u_j) + bend·((θ_i + θ_j) × e), F_j = −F_i;
 * M_i = bend·e × (u_i − u_j) + (1 − eeᵀ)(near·θ_i + far·θ_j) + twist·eeᵀ(θ_i − θ_j), and M_j the same with i and j changed
 * in the turns.
 */
function assemble(K: BandMatrix, i: number, a: Point, b: Point, section: Section, bases: Basis[]): void {
  const { e, along, across, bend, near, far, twist } = rigidity(a, b, section);
  const [p, q] = [i * DOF, (i + 1) * DOF];
  const spin = [0, -e[2], e[1], e[2], 0, -e[0], -e[1], e[0], 0];
  for (let r = 0; r < 3; r++)
    for (let c = 0; c < 3; c++) {
      const ee = e[r]! * e[c]!;
      const rest = (r === c ? 1 : 0) - ee;
      const push = along * ee + across * rest;
      const lever = bend * spin[3 * r + c]!;
      // Ways are turned into their node's basis below; turns stay in the car's axes.
      K.add(p + 3 + r, p + 3 + c, near * rest + twist * ee);
      K.add(q + 3 + r, q + 3 + c, near * rest + twist * ee);
      K.add(p + 3 + r, q + 3 + c, far * rest - twist * ee);
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
function stressOf(nodes: Point[], section: Section, x: Float64Array, bases: Basis[]) {
  const { I, J, A } = sectionOf(section);
  const r = section.od / 2;
  let [most, node, twisting] = [0, 0, 0];
  for (let i = 0; i + 1 < nodes.length; i++) {
    const { e, along, bend, near, far, twist } = rigidity(nodes[i]!, nodes[i + 1]!, section);
    const u = minus(turnBack(bases[i]!, x, i * DOF), turnBack(bases[i + 1]!, x, (i + 1) * DOF));
    const turn = (n: number): Point => [x[n * DOF + 3]!, x[n * DOF + 4]!, x[n * DOF + 5]!];
    const [s, t] = [turn(i), turn(i + 1)];
    const lever = cross(e, u);
    const twisted = dot(s, e) - dot(t, e);
    const T = twist * twisted;
    const N = along * dot(u, e);
    const across = (v: Point): Point => v.map((c, k) => c - dot(v, e) * e[k]!) as Point;
    const moment = (here: Point, there: Point): number => {
      const [a, b] = [across(here), across(there)];
      return Math.hypot(...lever.map((w, k) => bend * w + near * a[k]! + far * b[k]!));
    };
    for (const [M, at] of [
      [moment(s, t), i],
      [moment(t, s), i + 1],
    ] as const) {
      const mises = Math.hypot((M * r) / I + Math.abs(N) / A, (Math.sqrt(3) * T * r) / J);
      if (mises > most) [most, node] = [mises, at];
    }
    twisting += 0.5 * T * twisted;
  }
  return { most, node, twisting };
}
