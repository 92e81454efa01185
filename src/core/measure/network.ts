import { adjust, type Adjustment, type Observation, type Residual } from './adjust';
import { DATUM_NAMES, DATUMS, type Datum } from './datums';
import { slopeAlong } from './floor';
import {
  DATUM_PARTS,
  isAsked,
  quantity,
  readingKey,
  SIDES,
  spotsOf,
  type QuantityKey,
  type Side,
  type Spot,
} from './quantities';
import { found, measured, measuredAcross, type Readings } from './readings';

/** How the axle is carried to the frame: marks from a square on the floor, or lines dropped to it. */
export const METHODS = ['t-square', 'plumb-bob'] as const;
export type Method = (typeof METHODS)[number];

/** Names of the parameters: places in plan of the axle's split marks and the datum points, and the car's own sizes. */
type Parameters = Map<string, number>;

type Network = {
  names: Parameters;
  start: number[];
  observations: Observation[];
};

export type Place2 = [along: number, across: number];

/**
 * The equations between everything that was read: the rectangle of axle and datums in plan, the room between the tyres, and
 * the heights at each side. Only what was read takes part.
 */
function networkOf(readings: Readings, method: Method): Network {
  const names: Parameters = new Map();
  const start: number[] = [];
  const observations: Observation[] = [];
  const parameter = (name: string, from: number): number => {
    if (!names.has(name)) {
      names.set(name, start.length);
      start.push(from);
    }
    return names.get(name)!;
  };
  const size = (key: QuantityKey, side?: Side): number =>
    parameter(readingKey(key, side), measured(readings, key, side).value);
  const observe = (spot: Spot, of: Observation['of'], correction = 0): void => {
    const m = found(readings, spot.quantity.key, spot.side);
    if (m) observations.push({ key: spot.key, value: m.value + correction, u: m.u, of });
  };
  const observeAll = (key: QuantityKey, of: (side: Side) => Observation['of'], correction = 0): void => {
    for (const spot of spotsOf(quantity(key))) {
      if (found(readings, key, spot.side)) observe(spot, of(spot.side ?? 'left'), correction);
    }
  };

  const half = measured(readings, 'marksAcross').value / 2;
  const axle = (side: Side) => point('axle', side, 0, half);
  const datum = (d: Datum, side: Side) =>
    point(
      d,
      side,
      DATUMS[d].way * startingDistance(readings, d),
      measured(readings, `${d}.across`).value / 2,
    );
  function point(name: string, side: Side, along: number, out: number): (x: number[]) => Place2 {
    const i = parameter(`${name}.${side}.along`, along);
    const j = parameter(`${name}.${side}.across`, side === 'left' ? out : -out);
    return (x) => [x[i]!, x[j]!];
  }
  const between =
    (a: (x: number[]) => Place2, b: (x: number[]) => Place2) =>
    (x: number[]): number => {
      const [p, q] = [a(x), b(x)];
      return Math.hypot(p[0] - q[0], p[1] - q[1]);
    };

  const tube = size('tubeDiameter');
  observeAll('tubeDiameter', () => (x) => x[tube]!);

  for (const d of DATUM_NAMES.filter((name) => isRead(readings, name))) {
    const { way } = DATUMS[d];
    const lean = method === 'plumb-bob' ? way * leanOf(readings) : 0;
    const out = (side: Side) => between(axle(side), datum(d, side));
    // Marks are made along the rail, a tube's radius either way of the axle.
    observeAll(`${d}.front`, (side) => (x) => out(side)(x) - (way * x[tube]!) / 2, -lean);
    observeAll(`${d}.rear`, (side) => (x) => out(side)(x) + (way * x[tube]!) / 2, -lean);
    observeAll(`${d}.across`, () => between(datum(d, 'left'), datum(d, 'right')));
    observeAll(`${d}.diagonal`, (side) => between(datum(d, side), axle(other(side))));
    if (d !== 'holes') {
      observeAll(`${d}.tie`, (side) => between(datum(d, side), datum('holes', side)));
      observeAll(`${d}.cross`, (side) => between(datum(d, side), datum('holes', other(side))));
    }
    observeAll('marksAcross', () => between(axle('left'), axle('right')));
  }

  const [frame, tire] = [size('frameWidth'), size('tireWidth')];
  const gaps = SIDES.map((side) => size('gapFrame', side));
  const inside = (x: number[]) => x[frame]! + gaps.reduce((sum, g) => sum + x[g]!, 0);
  observeAll('gapFrame', (side) => (x) => x[gaps[SIDES.indexOf(side)]!]!);
  observeAll('frameWidth', () => (x) => x[frame]!);
  observeAll('tireWidth', () => (x) => x[tire]!);
  observeAll('insideTires', () => inside);
  observeAll('track', () => (x) => inside(x) + x[tire]!);

  for (const key of ['tireRadius', 'axleToFrame', 'hubToFender'] as const)
    observeAll(key, (side) => {
      const i = size(key, side);
      return (x) => x[i]!;
    });
  observeAll('rideHeight', (side) => {
    const [radius, room] = [size('tireRadius', side), size('axleToFrame', side)];
    return (x) => x[radius]! + x[tube]! / 2 + x[room]!;
  });
  observeAll('fenderHeight', (side) => {
    const [radius, lip] = [size('tireRadius', side), size('hubToFender', side)];
    return (x) => x[radius]! + x[lip]!;
  });
  // A quantity shared by several datums stands once.
  const once = [...new Map(observations.map((o) => [o.key, o])).values()];
  return { names, start, observations: once };
}

/** Whether anything was read from a datum. */
const isRead = (readings: Readings, datum: Datum): boolean =>
  DATUM_PARTS.filter((part) => isAsked(datum, part)).some((part) =>
    spotsOf(quantity(`${datum}.${part}`)).some((s) => found(readings, s.quantity.key, s.side)),
  );

function startingDistance(readings: Readings, d: Datum): number {
  const { way } = DATUMS[d];
  const tube = measured(readings, 'tubeDiameter').value;
  const front = measuredAcross(readings, `${d}.front`) + (way * tube) / 2;
  return Math.max(tube, front);
}

/**
 * How much farther apart two dropped points land than they are, on a floor that slopes: the one that hangs higher swings
 * farther. Taken between the rail's underside and the axle, mm, for a datum ahead.
 */
function leanOf(readings: Readings): number {
  const slope = Math.tan((slopeAlong(readings) * Math.PI) / 180);
  return (measuredAcross(readings, 'rideHeight') - measuredAcross(readings, 'tireRadius')) * slope;
}

const other = (side: Side): Side => (side === 'left' ? 'right' : 'left');

/** A reading that the others contradict; `alike` are those it cannot be told apart from. */
export type Wrong = { residual: Residual; alike: string[] };

export type Agreement = {
  network: Network;
  adjustment: Adjustment;
  /** one wrong reading after another, each found with those before it left out */
  wrong: Wrong[];
  /** readings that nothing else checks */
  unchecked: string[];
};

/** Standardized residuals beyond this come from chance once in a thousand (Baarda 1968, from memory). */
const CRITICAL = 3.29;
const MOST_WRONG = 4;
const SAME = 0.98;

/**
 * Fits everything that was read, and finds the readings that the rest contradicts: the worst is left out and the rest fitted
 * again until what is left agrees (data snooping).
 *
 * @returns null while nothing is redundant
 */
export function agreementOf(readings: Readings, method: Method): Agreement | null {
  const network = networkOf(readings, method);
  let observations = network.observations;
  if (observations.length === 0) return null;
  let adjustment = adjust(network.start, observations);
  if (adjustment.redundancy === 0) return null;
  const unchecked = adjustment.residuals.filter((r) => r.others === null).map((r) => r.key);
  const wrong: Wrong[] = [];
  while (wrong.length < MOST_WRONG) {
    const worst = worstOf(adjustment);
    if (worst === null) break;
    wrong.push({
      residual: adjustment.residuals[worst]!,
      alike: observations
        .filter(
          (_, i) =>
            i !== worst &&
            adjustment.residuals[i]!.others !== null &&
            Math.abs(adjustment.correlation(i, worst)) > SAME,
        )
        .map((o) => o.key),
    });
    observations = observations.filter((_, i) => i !== worst);
    adjustment = adjust(network.start, observations);
  }
  return { network, adjustment, wrong, unchecked };
}

function worstOf({ residuals }: Adjustment): number | null {
  const sizes = residuals.map((r) => Math.abs(r.standardized));
  const most = Math.max(...sizes);
  return most > CRITICAL ? sizes.indexOf(most) : null;
}
