import { tippingOf, type Balance, type End } from './balance';

const DEGREES = 180 / Math.PI;

/** A steady corner as hard as it is taken: what stands on each tyre, N; how far the car leans, degrees; the end whose inside wheel is off the ground. */
export type Corner = {
  g: number;
  rollDeg: number;
  wheels: Record<'front' | 'rear', { inside: number; outside: number }>;
  frontShare: number;
  lifted: 'front' | 'rear' | null;
};

const weightOn = (end: End): number => end.sprung + end.unsprung;

/** The corner, in g, in which each end's inside wheel comes off the ground, as long as the other's stays down. */
export const liftsAt = (front: End, rear: End, { transferFront, transferRear }: Balance) => ({
  front: weightOn(front) / 2 / transferFront,
  rear: weightOn(rear) / 2 / transferRear,
});

/**
 * A corner of some g. Up to where an inside wheel lifts everything grows with it; past that the end which lifted can take no
 * more, and all that comes on top goes to the other one (moments about the ground, as `balanceOf`).
 *
 * @param height of the sprung mass above the ground, mm
 * @returns null where both ends' inside wheels lift: the car goes over
 */
export function cornerOf(front: End, rear: End, height: number, balance: Balance, g: number): Corner | null {
  const lifts = liftsAt(front, rear, balance);
  const first = lifts.front <= lifts.rear ? 'front' : 'rear';
  const roll = (balance.rollGradientDegPerG * g) / DEGREES;
  if (g <= lifts[first])
    return cornerWith(roll, { front: g * balance.transferFront, rear: g * balance.transferRear }, null);

  const [light, heavy] = first === 'front' ? [front, rear] : [rear, front];
  const rigid = (end: End) => end.sprung * end.rollCentre + end.unsprung * end.unsprungHeight;
  const most = weightOn(light) / 2;
  const held = most * light.track - g * rigid(light);
  const tipping = tippingOf(front, rear, height);
  const left = heavy.rollStiffness - tipping;
  if (!(left > 0)) return null;
  const more = (g * tipping - held) / left;
  const other = (heavy.rollStiffness * more + g * rigid(heavy)) / heavy.track;
  if (other > weightOn(heavy) / 2) return null;
  return cornerWith(
    more,
    first === 'front' ? { front: most, rear: other } : { front: other, rear: most },
    first,
  );

  function cornerWith(
    radians: number,
    over: Record<'front' | 'rear', number>,
    lifted: Corner['lifted'],
  ): Corner {
    const wheels = (end: End, moved: number) => ({
      inside: weightOn(end) / 2 - moved,
      outside: weightOn(end) / 2 + moved,
    });
    return {
      g,
      rollDeg: radians * DEGREES,
      wheels: { front: wheels(front, over.front), rear: wheels(rear, over.rear) },
      frontShare: over.front / (over.front + over.rear),
      lifted,
    };
  }
}
