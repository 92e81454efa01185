import { bisect, falsePosition } from '@/core/numerics/rootFinding';
import { sprungMassMoment, type End } from './loadTransfer';
import { stopInLean } from '@/core/springs/bumpStop';
import { toDegrees } from '@/core/geometry/angle';

/** Leans are looked for up to here, in steps that no car's change of mind falls between, rad. */
const MOST_LEAN = Math.PI / 3;
const STEPS = 120;
const HALVINGS = 50;
/** How near a lean is found, rad, and a share of what tips the car that counts as nothing. */
const CLOSE = 1e-14;
const SMALL = 1e-12;
const CORNERS = 45;

/** Both ends of a car, and the height of its sprung mass above the ground, mm. */
export type Car = { front: End; rear: End; height: number };

/** A steady corner as hard as it is taken: what stands on each tyre, N; how far the car leans, degrees; the end whose inside wheel is off the ground. */
export type Corner = {
  g: number;
  rollDeg: number;
  wheels: Record<'front' | 'rear', { inside: number; outside: number }>;
  frontShare: number;
  lifted: 'front' | 'rear' | null;
  /** how far the outside bump stop of the built end is squeezed, mm */
  stop: number;
};

const weightOn = (end: End): number => end.sprung + end.unsprung;
/** What goes over at an end of its own, with the springs not asked, N·mm for a g. */
const rigid = (end: End): number => end.sprung * end.rollCentre + end.unsprung * end.unsprungHeight;
/** What springs, bar and stop of an end give against a lean, N·mm. */
const rollMoment = (end: End, lean: number): number =>
  end.rollStiffness * lean + (end.stops ? stopInLean(end.stops, lean).moment : 0);

/**
 * A corner of some g: Σ M(φ) = W_s·H·(g + φ), M what springs, bar and stop of an end give, as `balanceOf` and with the stops. An
 * end whose inside wheel is in the air can take no more than its weight on the outer one; all that comes on top goes to the
 * other end.
 *
 * @returns null where both ends' inside wheels lift: the car goes over
 */
export function cornerOf(car: Car, g: number): Corner | null {
  const { front, rear } = car;
  const tipping = sprungMassMoment(front, rear, car.height);
  const most = (end: End) => (weightOn(end) / 2) * end.track - g * rigid(end);
  const given = (end: End, lean: number) => Math.min(rollMoment(end, lean), most(end));
  const lean = leanAt((at) => given(front, at) + given(rear, at) - tipping * (g + at), tipping);
  if (lean === null) return null;
  const wheels = (end: End) => {
    const over = (given(end, lean) + g * rigid(end)) / end.track;
    return { inside: weightOn(end) / 2 - over, outside: weightOn(end) / 2 + over };
  };
  const on = { front: wheels(front), rear: wheels(rear) };
  const over = (end: 'front' | 'rear') => on[end].outside - on[end].inside;
  const isUp = (end: End) => rollMoment(end, lean) >= most(end);
  const stops = front.stops ?? rear.stops;
  return {
    g,
    rollDeg: toDegrees(lean),
    wheels: on,
    frontShare: over('front') / (over('front') + over('rear')),
    lifted: isUp(front) ? 'front' : isUp(rear) ? 'rear' : null,
    stop: stops ? stopInLean(stops, lean).squeezed : 0,
  };
}

/** Corners from none to half as hard again as one of some g, as far as the car stays on its wheels. */
export function cornersTo(car: Car, g: number): Corner[] {
  const corners: Corner[] = [];
  for (let n = 0; n <= CORNERS; n++) {
    const corner = cornerOf(car, (1.5 * g * n) / CORNERS);
    if (!corner) break;
    corners.push(corner);
  }
  return corners;
}

/** The corner, in g, in which each end's inside wheel comes off the ground, as long as the other's stays down; Infinity where it never does. */
export function wheelLiftG({ front, rear, height }: Car): Record<'front' | 'rear', number> {
  const tipping = sprungMassMoment(front, rear, height);
  /** the corner that leans the car so far, with all wheels down */
  const gAt = (lean: number) => (rollMoment(front, lean) + rollMoment(rear, lean)) / tipping - lean;
  const liftOf = (end: End) => {
    if (tipping === 0) return ((weightOn(end) / 2) * end.track) / rigid(end);
    const lean = leanAt(
      (at) => rollMoment(end, at) + gAt(at) * rigid(end) - (weightOn(end) / 2) * end.track,
      tipping,
    );
    return lean === null ? Infinity : gAt(lean);
  };
  return { front: liftOf(front), rear: liftOf(rear) };
}

/** The corner, in g, in which a car first leans onto its bump stop, where it is on it in a corner of some g. */
export function touchesAt(car: Car, g: number): number {
  return bisect((middle) => (cornerOf(car, middle)?.stop ?? 0) > 0, 0, g, HALVINGS);
}

/** The least lean at which something comes to nought from below, to the side that the car tips to, rad; null where it never does. */
function leanAt(missing: (lean: number) => number, tipping: number): number | null {
  const at = (step: number) => (Math.sign(tipping) * MOST_LEAN * step) / STEPS;
  const short = Math.sign(missing(0));
  if (short === 0) return 0;
  let step = 1;
  while (step <= STEPS && Math.sign(missing(at(step))) === short) step++;
  if (step > STEPS) return null;
  return falsePosition(
    (lean) => short * missing(lean),
    at(step - 1),
    at(step),
    CLOSE,
    SMALL * Math.abs(tipping),
  );
}
