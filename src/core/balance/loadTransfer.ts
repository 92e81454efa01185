import type { Rig } from '@/core/rig/schema';
import { G } from '@/core/units/gravity';
import type { Stops } from '@/core/springs/bumpStop';
import { perRadian, toDegrees } from '@/core/geometry/angle';

/** One end of a car in a corner: N·mm/rad, mm, N. */
export type End = {
  rollStiffness: number;
  rollCentre: number;
  track: number;
  sprung: number;
  unsprung: number;
  unsprungHeight: number;
  /** bump stops, where they are known */
  stops?: Stops;
};

export type Balance = {
  rollGradientDegPerG: number;
  /** load that goes over from the inner to the outer wheels at 1 g, N */
  transferFront: number;
  transferRear: number;
  frontShare: number;
  /** what each end's transfer is made of, N at 1 g: through the springs and bars, through the roll centre, of the axle itself */
  parts: Record<'front' | 'rear', { elastic: number; geometric: number; unsprung: number }>;
};

/** What the leaning sprung mass takes off the stiffness against roll: its weight times its height over the roll axis, N·mm/rad. */
export function sprungMassMoment(front: End, rear: End, height: number): number {
  const sprung = front.sprung + rear.sprung;
  const axis = front.rollCentre + (rear.rollCentre - front.rollCentre) * (rear.sprung / sprung);
  return sprung * (height - axis);
}

/**
 * Roll and load transfer in a steady corner of 1 g: φ = W_s·H/(K_f + K_r − W_s·H), H the height of the sprung mass over the
 * roll axis; transfer of an end = (K·φ + W_s,end·z_rc + W_u·z_u)/track (Milliken and Milliken, *Race Car Vehicle Dynamics*, ch.
 * 18; Gillespie, *Fundamentals of Vehicle Dynamics*, ch. 6; from memory).
 *
 * @param height of the sprung mass above the ground, mm
 * @returns null where springs and bars together cannot hold the car up
 */
export function balanceOf(front: End, rear: End, height: number): Balance | null {
  const tipping = sprungMassMoment(front, rear, height);
  const left = front.rollStiffness + rear.rollStiffness - tipping;
  if (!(left > 0)) return null;
  const roll = tipping / left;
  const parts = (end: End) => ({
    elastic: (end.rollStiffness * roll) / end.track,
    geometric: (end.sprung * end.rollCentre) / end.track,
    unsprung: (end.unsprung * end.unsprungHeight) / end.track,
  });
  const made = { front: parts(front), rear: parts(rear) };
  const total = (p: ReturnType<typeof parts>) => p.elastic + p.geometric + p.unsprung;
  const [transferFront, transferRear] = [total(made.front), total(made.rear)];
  return {
    rollGradientDegPerG: toDegrees(roll),
    transferFront,
    transferRear,
    frontShare: transferFront / (transferFront + transferRear),
    parts: made,
  };
}

/** Both ends of a rig's car and the height of its sprung mass; null where something of it is not stated. */
export function endsOf(
  rig: Rig,
  built: { rollStiffness: number; rollCentre: number | null; stops?: Stops },
): { front: End; rear: End; height: number } | null {
  const { masses, otherEnd, cgHeight } = rig;
  if (!masses || !otherEnd || cgHeight === undefined || built.rollCentre === null) return null;
  const weightOf = (kg: number) => kg * G;
  const unsprung = { front: masses.unsprungFront, rear: masses.unsprungRear };
  const total = {
    front: masses.total * masses.frontFraction,
    rear: masses.total * (1 - masses.frontFraction),
  };
  const here = { ...built, rollCentre: built.rollCentre, track: rig.track };
  const there = {
    rollStiffness: perRadian(otherEnd.rollRate),
    rollCentre: otherEnd.rollCentreHeight,
    track: otherEnd.track,
  };
  const end = (which: 'front' | 'rear'): End => ({
    ...(which === rig.end ? here : there),
    sprung: weightOf(total[which] - unsprung[which]),
    unsprung: weightOf(unsprung[which]),
    unsprungHeight: which === 'front' ? masses.unsprungHeightFront : masses.unsprungHeightRear,
  });
  const sprung = masses.total - unsprung.front - unsprung.rear;
  const height =
    (masses.total * cgHeight -
      unsprung.front * masses.unsprungHeightFront -
      unsprung.rear * masses.unsprungHeightRear) /
    sprung;
  return sprung > 0 ? { front: end('front'), rear: end('rear'), height } : null;
}
