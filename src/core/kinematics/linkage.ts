import type { Leaf, LinkMember, Member, Point, Rig, RigidArm, SliderArm, Watts } from '@/core/rig/schema';
import { distance, minus, unit } from '@/core/vector';

/** Stiffness of a member that does not state its own, N/mm. */
const DEFAULT_RATE = 20_000;
/** Where along a leaf, from seat to front eye, its three-link equivalent hangs (SAE Spring Design Manual, from memory). */
const CONTROL_FRACTION = 0.75;

/** The kinds of residual that members are made of. */
export const Kind = { link: 0, slider: 1, along: 2, windup: 3, crankOnAxle: 4, crankOnChassis: 5 } as const;
export type Kind = (typeof Kind)[keyof typeof Kind];

/**
 * One residual. Points: `chassis` in chassis axes; `axle` relative to the axle's centre, in axle axes.
 *
 * link: distance of the two points less `length`. slider: axle-fixed direction `vector` of the pin, less what it was.
 * along: chassis-fixed direction `vector` of the axle point from the chassis point. windup: pitch, rad.
 * crank…: a link to a crank arm `vector` that turns about `axis` at its pivot, by the unknown number `crank`.
 */
type Row = {
  member: string;
  kind: Kind;
  chassis: Point;
  axle: Point;
  length: number;
  rate: number;
  vector: Point;
  axis: Point;
  crank: number;
};

/** A rig's members flattened for the solver: one row, one residual; triples in the arrays; mm, N/mm (windup N·mm/rad). */
export type Linkage = {
  /** member of each row */
  ids: string[];
  rows: number;
  /** cranks: unknowns beyond x, y, pitch and steer */
  cranks: number;
  crankIds: string[];
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

const ORIGIN: Point = [0, 0, 0];

/** Flattens the members of a rig. The rig is taken as validated. */
export function compileLinkage(rig: Rig): Linkage {
  const centre: Point = [0, 0, rig.tireRadius];
  const crankIds = rig.members.filter((m) => m.type === 'watts').map((m) => m.id);
  const rows = rig.members.flatMap((member) => memberRows(member, centre, crankIds));
  const triples = (of: (row: Row) => Point) => Float64Array.from(rows.flatMap(of));
  return {
    ids: rows.map((r) => r.member),
    rows: rows.length,
    cranks: crankIds.length,
    crankIds,
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

function memberRows(member: Member, centre: Point, crankIds: string[]): Row[] {
  switch (member.type) {
    case 'link':
      return [linkRow(member, centre)];
    case 'slider-arm':
      return [sliderRow(member, centre)];
    case 'rigid-arm':
      return armRows(member, centre);
    case 'watts':
      return wattsRows(member, centre, crankIds.indexOf(member.id));
    case 'leaf':
      return leafRows(member, centre);
  }
}

function row(member: { id: string; rate?: number }, kind: Kind, rest: Partial<Row>): Row {
  const { id, rate = DEFAULT_RATE } = member;
  return {
    member: id,
    kind,
    chassis: ORIGIN,
    axle: ORIGIN,
    vector: ORIGIN,
    axis: ORIGIN,
    length: 0,
    rate,
    crank: 0,
    ...rest,
  };
}

function linkRow(m: LinkMember, centre: Point): Row {
  const length = m.length ?? distance(m.chassis, m.axle);
  return row(m, Kind.link, { chassis: m.chassis, axle: minus(m.axle, centre), length });
}

/** n · (Rᵀ(pin − c) − (pin − c₀)) with n = unit(axis × y). */
function sliderRow(m: SliderArm, centre: Point): Row {
  const [x, , z] = m.axis ?? [1, 0, 0];
  const n = unit([-z, 0, x]);
  const pin = minus(m.chassis, centre);
  return row(m, Kind.slider, {
    chassis: m.chassis,
    vector: n,
    length: n[0] * pin[0] + n[1] * pin[1] + n[2] * pin[2],
  });
}

function armRows(m: RigidArm, centre: Point): Row[] {
  const axes: Point[] = [
    [1, 0, 0],
    [0, 1, 0],
    [0, 0, 1],
  ];
  return axes.map((vector) =>
    row(m, Kind.along, { chassis: m.chassis, axle: minus(m.chassis, centre), vector }),
  );
}

function wattsRows(m: Watts, centre: Point, crank: number): Row[] {
  const axis = unit(m.axis ?? [1, 0, 0]);
  return (['top', 'bottom'] as const).map((end) => {
    const shared = {
      axis,
      crank,
      vector: minus(m.crank[end], m.pivot),
      length: distance(m.crank[end], m.ends[end]),
    };
    return m.pivotOn === 'axle'
      ? row(m, Kind.crankOnAxle, { ...shared, chassis: m.ends[end], axle: minus(m.pivot, centre) })
      : row(m, Kind.crankOnChassis, { ...shared, chassis: m.pivot, axle: minus(m.ends[end], centre) });
  });
}

/** Three-link equivalent of a leaf: a link towards the front eye, a lateral spring at the seat, a spring on pitch. */
function leafRows(m: Leaf, centre: Point): Row[] {
  const share = m.controlFraction ?? CONTROL_FRACTION;
  const hanger = m.seat.map((v, k) => v + share * (m.frontEye[k]! - v)) as Point;
  const seat = minus(m.seat, centre);
  return [
    row(m, Kind.link, { chassis: hanger, axle: seat, length: distance(hanger, m.seat) }),
    row(m, Kind.along, { chassis: m.seat, axle: seat, vector: [0, 1, 0], rate: m.lateralRate }),
    row(m, Kind.windup, { rate: m.windupRate }),
  ];
}
