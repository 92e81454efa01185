import type { Observation } from './leastSquares';
import { DATUM_NAMES, wayOf, type Datum } from '@/core/survey/quantities/datums';
import { slopeAlong } from './floor';
import { DATUM_PARTS, isAsked } from '@/core/survey/quantities/datumQuantities';
import { quantity, readingKey, spotsOf, type QuantityKey } from '@/core/survey/quantities/quantities';
import { found, measured, measuredAcross, type Readings } from './readings';
import type { AxleEnd } from '@/core/rig/schema';
import { toRadians } from '@/core/geometry/angle';
import { otherSide, SIDES, type Side } from '@/core/geometry/side';

/** How the axle is carried to the frame: marks from a square on the floor, or lines dropped to it. */
export const METHODS = ['t-square', 'plumb-bob'] as const;
export type Method = (typeof METHODS)[number];

/** What is fitted together: the readings of a car, how the axle was carried to its frame, and which axle it is. */
export type SurveyedCar = { readings: Readings; method: Method; end: AxleEnd };

export type Network = {
  /** where each parameter stands: places in plan of the axle's split marks and the datum points, and the car's own sizes */
  names: Map<string, number>;
  start: number[];
  observations: Observation[];
};

/** A point in plan, mm: ahead, and to the left. */
export type PlanPoint = [along: number, across: number];
type ObservationOf = Observation['of'];
type PlanPointOf = (x: number[]) => PlanPoint;

/**
 * The equations between everything that was read: the rectangle of axle and datums in plan, the room between the tyres, and
 * the heights at each side. Only what was read takes part.
 */
export function networkOf(car: SurveyedCar): Network {
  const equations = new Equations(car.readings);
  planEquations(equations, car);
  widthEquations(equations);
  heightEquations(equations);
  return equations.network();
}

/** Gathers parameters by name and one equation for each place that was read. */
class Equations {
  private readonly names = new Map<string, number>();
  private readonly start: number[] = [];
  private readonly observations = new Map<string, Observation>();

  constructor(readonly readings: Readings) {}

  parameter(name: string, from: number): number {
    const known = this.names.get(name);
    if (known !== undefined) return known;
    this.names.set(name, this.start.length);
    return this.start.push(from) - 1;
  }

  /** A size of the car that is read as it is: its own parameter. */
  size(key: QuantityKey, side?: Side): number {
    return this.parameter(readingKey(key, side), measured(this.readings, key, side).value);
  }

  place(name: string, side: Side, along: number, out: number): PlanPointOf {
    const i = this.parameter(`${name}.${side}.along`, along);
    const j = this.parameter(`${name}.${side}.across`, side === 'left' ? out : -out);
    return (x) => [x[i]!, x[j]!];
  }

  /** What a quantity should read for given parameters, on each side where it was read. */
  observe(key: QuantityKey, of: (side: Side) => ObservationOf, correction = 0): void {
    for (const spot of spotsOf(quantity(key))) {
      const m = found(this.readings, key, spot.side);
      if (!m) continue;
      const { value, u } = m;
      this.observations.set(spot.key, {
        key: spot.key,
        value: value + correction,
        u,
        of: of(spot.side ?? 'left'),
      });
    }
  }

  network = (): Network => ({
    names: this.names,
    start: this.start,
    observations: [...this.observations.values()],
  });
}

function planEquations(equations: Equations, { readings, method, end }: SurveyedCar): void {
  const tube = equations.size('tubeDiameter');
  equations.observe('tubeDiameter', () => (x) => x[tube]!);
  const half = measured(readings, 'marksAcross').value / 2;
  const axle = (side: Side) => equations.place('axle', side, 0, half);
  const datum = (d: Datum, side: Side) =>
    equations.place(
      d,
      side,
      wayOf(d, end) * startingDistance(readings, d, end),
      measured(readings, `${d}.across`).value / 2,
    );
  for (const d of DATUM_NAMES.filter((name) => isRead(readings, name))) {
    const way = wayOf(d, end);
    const lean = method === 'plumb-bob' ? way * leanOf(readings) : 0;
    // Marks are made along the rail, a tube's radius either way of the axle.
    const mark =
      (towards: 1 | -1) =>
      (side: Side): ObservationOf => {
        const middle = between(axle(side), datum(d, side));
        return (x) => middle(x) - (towards * way * x[tube]!) / 2;
      };
    equations.observe(`${d}.front`, mark(1), -lean);
    equations.observe(`${d}.rear`, mark(-1), -lean);
    equations.observe(`${d}.across`, () => between(datum(d, 'left'), datum(d, 'right')));
    equations.observe(`${d}.diagonal`, (side) => between(datum(d, side), axle(otherSide(side))));
    equations.observe('marksAcross', () => between(axle('left'), axle('right')));
    if (d === 'holes') continue;
    equations.observe(`${d}.tie`, (side) => between(datum(d, side), datum('holes', side)));
    equations.observe(`${d}.cross`, (side) => between(datum(d, side), datum('holes', otherSide(side))));
  }
}

function widthEquations(equations: Equations): void {
  const [frame, tire] = [equations.size('frameWidth'), equations.size('tireWidth')];
  const [left, right] = SIDES.map((side) => equations.size('gapFrame', side)) as [number, number];
  const inside: ObservationOf = (x) => x[left]! + x[frame]! + x[right]!;
  equations.observe('gapFrame', (side) => (x) => x[side === 'left' ? left : right]!);
  equations.observe('frameWidth', () => (x) => x[frame]!);
  equations.observe('tireWidth', () => (x) => x[tire]!);
  equations.observe('insideTires', () => inside);
  equations.observe('track', () => (x) => inside(x) + x[tire]!);
}

function heightEquations(equations: Equations): void {
  const tube = equations.size('tubeDiameter');
  for (const key of ['tireRadius', 'axleToFrame', 'hubToFender'] as const)
    equations.observe(key, (side) => {
      const i = equations.size(key, side);
      return (x) => x[i]!;
    });
  equations.observe('rideHeight', (side) => {
    const [radius, room] = [equations.size('tireRadius', side), equations.size('axleToFrame', side)];
    return (x) => x[radius]! + x[tube]! / 2 + x[room]!;
  });
  equations.observe('fenderHeight', (side) => {
    const [radius, lip] = [equations.size('tireRadius', side), equations.size('hubToFender', side)];
    return (x) => x[radius]! + x[lip]!;
  });
}

const between =
  (a: PlanPointOf, b: PlanPointOf): ObservationOf =>
  (x) => {
    const [p, q] = [a(x), b(x)];
    return Math.hypot(p[0] - q[0], p[1] - q[1]);
  };

/** Whether anything was read from a datum. */
const isRead = (readings: Readings, datum: Datum): boolean =>
  DATUM_PARTS.filter((part) => isAsked(datum, part)).some((part) =>
    spotsOf(quantity(`${datum}.${part}`)).some((s) => found(readings, s.quantity.key, s.side)),
  );

function startingDistance(readings: Readings, d: Datum, end: AxleEnd): number {
  const way = wayOf(d, end);
  const tube = measured(readings, 'tubeDiameter').value;
  return Math.max(tube, measuredAcross(readings, `${d}.front`) + (way * tube) / 2);
}

/**
 * How much farther apart two dropped points land than they are, on a floor that slopes: the one that hangs higher swings
 * farther. Taken between the rail's underside and the axle, mm, for a datum ahead.
 */
function leanOf(readings: Readings): number {
  const slope = Math.tan(toRadians(slopeAlong(readings)));
  return (measuredAcross(readings, 'rideHeight') - measuredAcross(readings, 'tireRadius')) * slope;
}
