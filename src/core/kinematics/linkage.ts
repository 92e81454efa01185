import type { Point, Rig } from '@/core/rig/schema';

/** Stiffness of a member that does not state its own, N/mm. */
const DEFAULT_RATE = 20_000;

/**
 * A rig's members flattened for the solver: one row, one residual. Points are triples in the arrays; mm, N/mm.
 * `axle` points are relative to the axle's centre, in axle-fixed axes.
 */
export type Linkage = {
  ids: string[];
  rows: number;
  chassis: Float64Array;
  axle: Float64Array;
  length: Float64Array;
  rate: Float64Array;
  track: number;
  tireRadius: number;
};

export function distance(a: Point, b: Point): number {
  return Math.hypot(a[0] - b[0], a[1] - b[1], a[2] - b[2]);
}

/** Flattens the members of a rig. The rig is taken as validated. */
export function compileLinkage(rig: Rig): Linkage {
  const { members, track, tireRadius } = rig;
  return {
    ids: members.map((m) => m.id),
    rows: members.length,
    chassis: Float64Array.from(members.flatMap((m) => m.chassis)),
    axle: Float64Array.from(members.flatMap((m) => [m.axle[0], m.axle[1], m.axle[2] - tireRadius])),
    length: Float64Array.from(members, (m) => m.length ?? distance(m.chassis, m.axle)),
    rate: Float64Array.from(members, (m) => m.rate ?? DEFAULT_RATE),
    track,
    tireRadius,
  };
}
