import { kindOf } from '@/core/rig/members/members';
import type { Constraint } from '@/core/rig/members/kind';
import type { Rig } from '@/core/rig/schema';
import { minus, type Point } from '@/core/geometry/vector';

/** Stiffness of a constraint that does not state its own, N/mm. */
export const DEFAULT_RATE = 20_000;

/** The kinds of residual that constraints are made into. */
export const Kind = {
  link: 0,
  slider: 1,
  along: 2,
  windup: 3,
  crankOnAxle: 4,
  crankOnChassis: 5,
  torsion: 6,
} as const;
export type Kind = (typeof Kind)[keyof typeof Kind];

/**
 * One residual. Points: `chassis` in chassis axes; `axle` relative to the axle's centre, in axle axes.
 *
 * link: distance of the two points less `length`. slider: axle-fixed direction `vector` of the pin from the axle point where it was.
 * along: chassis-fixed direction `vector` of the axle point from the chassis point. windup: pitch at the axle point, rad.
 * torsion: the twist of the axle's tube from one wheel to the other, rad.
 * crank…: a link to a crank arm `vector` that turns about `axis` at its pivot, by the unknown number `crank`.
 */
type Row = {
  kind: Kind;
  chassis: Point;
  axle: Point;
  length: number;
  rate: number;
  vector: Point;
  axis: Point;
  crank: number;
};

/**
 * A rig's constraints flattened for the solver: one row, one residual; triples in the arrays; mm, N/mm (windup and torsion
 * N·mm/rad). Where the axle's tube twists, a row of that comes last.
 */
export type Linkage = {
  /** member of each row, and how many rows each member takes, in their order */
  ids: string[];
  rowsOfMember: number[];
  rows: number;
  /** cranks: unknowns beyond x, y, pitch and steer */
  cranks: number;
  crankIds: string[];
  /** whether the axle's tube twists: one unknown more, the last */
  twists: boolean;
  kind: Uint8Array;
  chassis: Float64Array;
  axle: Float64Array;
  vector: Float64Array;
  axis: Float64Array;
  crank: Uint8Array;
  length: Float64Array;
  rate: Float64Array;
  track: number;
  tireRadius: number;
};

/** What the row of the axle's own twist is called. */
const AXLE_TUBE = 'axle tube';

const ORIGIN: Point = [0, 0, 0];
const BLANK: Row = {
  kind: Kind.link,
  chassis: ORIGIN,
  axle: ORIGIN,
  vector: ORIGIN,
  axis: ORIGIN,
  length: 0,
  rate: DEFAULT_RATE,
  crank: 0,
};

/** Flattens the members of a rig. The rig is taken as validated. */
export function compileLinkage(rig: Rig): Linkage {
  const centre: Point = [0, 0, rig.tireRadius];
  const crankIds: string[] = [];
  const ids: string[] = [];
  const rowsOfMember: number[] = [];
  const rows = rig.members.flatMap((member) => {
    const constraints = kindOf(member).constraints(member, centre);
    rowsOfMember.push(constraints.length);
    if (constraints.some((c) => c.kind === 'crank')) crankIds.push(member.id);
    ids.push(...constraints.map(() => member.id));
    return constraints.map((c) => rowOf(c, centre, crankIds.length - 1));
  });
  const twists = rig.axleTorsion !== undefined;
  if (rig.axleTorsion !== undefined) {
    rows.push({ ...BLANK, kind: Kind.torsion, rate: rig.axleTorsion });
    ids.push(AXLE_TUBE);
  }
  const triples = (of: (row: Row) => Point): Float64Array => {
    const flat = new Float64Array(3 * rows.length);
    rows.forEach((row, i) => flat.set(of(row), 3 * i));
    return flat;
  };
  return {
    ids,
    rowsOfMember,
    rows: rows.length,
    cranks: crankIds.length,
    crankIds,
    twists,
    kind: Uint8Array.from(rows, (r) => r.kind),
    chassis: triples((r) => r.chassis),
    axle: triples((r) => r.axle),
    vector: triples((r) => r.vector),
    axis: triples((r) => r.axis),
    crank: Uint8Array.from(rows, (r) => r.crank),
    length: Float64Array.from(rows, (r) => r.length),
    rate: Float64Array.from(rows, (r) => r.rate),
    track: rig.track,
    tireRadius: rig.tireRadius,
  };
}

function rowOf(c: Constraint, centre: Point, crank: number): Row {
  const { rate = DEFAULT_RATE } = c;
  switch (c.kind) {
    case 'distance':
      return { ...BLANK, rate, chassis: c.chassis, axle: minus(c.axle, centre), length: c.length };
    case 'acrossSlider':
      return {
        ...BLANK,
        rate,
        kind: Kind.slider,
        chassis: c.chassis,
        axle: minus(c.chassis, centre),
        vector: c.direction,
      };
    case 'along':
      return {
        ...BLANK,
        rate,
        kind: Kind.along,
        chassis: c.chassis,
        axle: minus(c.axle, centre),
        vector: c.direction,
      };
    case 'windup':
      return { ...BLANK, rate, kind: Kind.windup, axle: minus(c.seat, centre) };
    case 'crank': {
      const { arm: vector, axis, length } = c;
      return c.pivotOn === 'axle'
        ? {
            ...BLANK,
            rate,
            kind: Kind.crankOnAxle,
            chassis: c.end,
            axle: minus(c.pivot, centre),
            vector,
            axis,
            length,
            crank,
          }
        : {
            ...BLANK,
            rate,
            kind: Kind.crankOnChassis,
            chassis: c.pivot,
            axle: minus(c.end, centre),
            vector,
            axis,
            length,
            crank,
          };
    }
  }
}
