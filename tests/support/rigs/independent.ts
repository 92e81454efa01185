import { all, create, type Matrix } from 'mathjs';
import type { Rig } from '@/core/rig/schema';
import type { Point } from '@/core/geometry/vector';
import type { Member } from '@/core/rig/members/members';

const math = create(all!);

/** The axle as this engine knows it: position, rotation vector, the turn of each crank, then the twist of its tube where it twists. */
type State = number[];
export type Solution = {
  position: Point;
  turn: (p: number[]) => number[];
  bind: Record<string, number>;
  energy: number;
  twist: number;
};

/**
 * The same linkage solved another way, on a general matrix library: six unknowns of the axle with a rotation vector, the
 * wheels' heights as constraints with multipliers, the members' stored energy minimised under them (a linkage that can be
 * satisfied stores none), every derivative by finite differences.
 */
export function solveIndependently(rig: Rig, left: number, right: number): Solution {
  const cranks = rig.members.filter((m) => m.type === 'watts').map((m) => m.id);
  let u: State = [
    0,
    0,
    rig.tireRadius,
    0,
    0,
    0,
    ...cranks.map(() => 0),
    ...(rig.axleTorsion === undefined ? [] : [0]),
  ];
  const strides = 4;
  for (let s = 1; s <= strides; s++) u = descend(rig, cranks, u, (left * s) / strides, (right * s) / strides);
  const r = residuals(rig, cranks, u);
  const bind = Object.fromEntries(
    rig.members.map((m) => [
      m.id,
      resultant(
        m,
        r.filter((x) => x.member === m.id).map((x) => x.rate * x.value),
      ),
    ]),
  );
  return {
    position: u.slice(0, 3) as Point,
    turn: rotate(u.slice(3, 6)),
    bind,
    energy: r.reduce((e, x) => e + 0.5 * x.rate * x.value ** 2, 0),
    twist: twistOf(rig, u),
  };
}

function descend(rig: Rig, cranks: string[], start: State, left: number, right: number): State {
  let u = start;
  const hubs = (s: State) => {
    const turn = rotate(s.slice(3, 6));
    const lift = (y: number) => turn([0, y, 0])[2]! + s[2]! - rig.tireRadius;
    return [lift(rig.track / 2) - left, lift(-rig.track / 2) - right];
  };
  const weighted = (s: State) => residuals(rig, cranks, s).map((x) => Math.sqrt(x.rate) * x.value);
  for (let n = 0; n < 60; n++) {
    const A = columns(weighted, u);
    const H = columns(hubs, u);
    const r = weighted(u);
    const size = u.length;
    const K = math.zeros(size + 2, size + 2) as Matrix;
    const b = math.zeros(size + 2, 1) as Matrix;
    for (let i = 0; i < size; i++) {
      for (let j = 0; j < size; j++) K.set([i, j], math.dot(A[i]!, A[j]!));
      for (let k = 0; k < 2; k++) {
        K.set([i, size + k], H[i]![k]!);
        K.set([size + k, i], H[i]![k]!);
      }
      b.set([i, 0], -math.dot(A[i]!, r));
    }
    hubs(u).forEach((h, k) => b.set([size + k, 0], -h));
    const step = (math.lusolve(K, b) as Matrix).toArray().flat() as number[];
    u = u.map((v, i) => v + step[i]!);
    if (Math.max(...step.slice(0, size).map(Math.abs)) < 1e-10) break;
  }
  return u;
}

function columns(of: (s: State) => number[], u: State): number[][] {
  return u.map((v, j) => {
    const h = j < 3 ? 1e-3 : 1e-6;
    const at = (d: number) => of(u.map((w, k) => (k === j ? v + d : w)));
    const [plus, minus] = [at(h), at(-h)];
    return plus.map((p, i) => (p - minus[i]!) / (2 * h));
  });
}

const twistOf = (rig: Rig, u: State): number => (rig.axleTorsion === undefined ? 0 : u.at(-1)!);

type Residual = { member: string; rate: number; value: number };

/** What every member asks, straight from its definition. */
function residuals(rig: Rig, cranks: string[], u: State): Residual[] {
  const turn = rotate(u.slice(3, 6));
  const back = rotate(u.slice(3, 6).map((v) => -v));
  const c = u.slice(0, 3);
  const c0 = [0, 0, rig.tireRadius];
  const twist = twistOf(rig, u);
  const share = (y: number) => (twist * y) / rig.track;
  const twisted = (p: number[]) => rotate([0, share(p[1]!), 0])(minus(p, c0));
  const place = (p: number[]) => plus(turn(twisted(p)), c);
  const tube: Residual[] =
    rig.axleTorsion === undefined ? [] : [{ member: 'axle tube', rate: rig.axleTorsion, value: twist }];
  const members = rig.members.flatMap((m): Residual[] => {
    const rate = typeof m.rate === 'number' ? m.rate : 20000;
    const one = (value: number, k = rate): Residual => ({ member: m.id, rate: k, value });
    switch (m.type) {
      case 'link':
        return [one(far(place(m.axle), m.chassis) - (m.length ?? far(m.axle, m.chassis)))];
      case 'slider-arm': {
        const across = math.cross(m.axis ?? [1, 0, 0], [0, 1, 0]) as number[];
        const n = across.map((v) => v / Math.hypot(...across));
        return [one(math.dot(n, minus(back(minus(m.chassis, c)), twisted(m.chassis))))];
      }
      case 'rigid-arm':
        return minus(place(m.chassis), m.chassis).map((v, k) =>
          one(v, Array.isArray(m.rate) ? m.rate[k] : rate),
        );
      case 'watts': {
        const axis = m.axis ?? [1, 0, 0];
        const beta = u[6 + cranks.indexOf(m.id)]!;
        const spin = rotate(axis.map((v) => (v * beta) / Math.hypot(...axis)));
        return (['top', 'bottom'] as const).map((end) => {
          const arm = plus(m.pivot, spin(minus(m.crank[end], m.pivot)));
          const now = m.pivotOn === 'axle' ? far(place(arm), m.ends[end]) : far(place(m.ends[end]), arm);
          return one(now - far(m.crank[end], m.ends[end]));
        });
      }
      case 'leaf': {
        const hanger = plus(
          m.seat,
          minus(m.frontEye, m.seat).map((v) => v * (m.controlFraction ?? 0.75)),
        );
        const x = turn([1, 0, 0]);
        return [
          one(far(place(m.seat), hanger) - far(m.seat, hanger)),
          one(place(m.seat)[1]! - m.seat[1], m.lateralRate),
          one(Math.asin(-x[2]!) + share(m.seat[1]), m.windupRate),
        ];
      }
    }
  });
  return [...members, ...tube];
}

function resultant(m: Member, f: number[]): number {
  if (m.type === 'rigid-arm') return Math.hypot(...f);
  if (m.type === 'leaf') return Math.hypot(f[0]!, f[1]!);
  return f.reduce((a, b) => (Math.abs(b) > Math.abs(a) ? b : a));
}

const plus = (a: number[], b: number[]) => a.map((v, k) => v + b[k]!);
const minus = (a: number[], b: number[]) => a.map((v, k) => v - b[k]!);
const far = (a: number[], b: number[]) => Math.hypot(...minus(a, b));

const rotate =
  (w: number[]) =>
  (p: number[]): number[] => {
    const angle = Math.hypot(...w);
    if (angle < 1e-14) return p;
    const k = w.map((v) => v / angle);
    const cross = math.cross(k, p) as number[];
    return p.map(
      (v, i) =>
        v * Math.cos(angle) + cross[i]! * Math.sin(angle) + k[i]! * math.dot(k, p) * (1 - Math.cos(angle)),
    );
  };
