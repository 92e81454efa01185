import { assemble } from '@/core/kinematics/mechanism';
import { toRadians } from '@/core/geometry/angle';
import { distance, type Point } from '@/core/geometry/vector';
import type { LinkMember } from '@/core/rig/members/link';
import { isLink, linksOf } from '@/core/rig/members/members';
import type { MountChange } from '@/core/rig/mounts';
import { orNone } from '@/core/rig/read';
import type { Rig } from '@/core/rig/schema';

/**
 * Where an axle stands against where it is drawn, both at ride height: its middle so far ahead and to the left, mm; its left wheel so
 * far ahead of the right one, mm; turned about its length, degrees, nose down positive.
 */
export type AxleStand = { ahead: number; left: number; leftAhead: number; turnedDeg: number };

/**
 * Bars that are there already, those with thread wound out to the length drawn or as near to it as they go: by how much each is then
 * longer than it is drawn, mm; how far it was wound out, mm, and how far it still could be; and where they put the axle, null where
 * they cannot be bolted up. `closed`: where they put it wound in, where any has thread.
 */
export type MadeBars = {
  longer: { id: string; by: number }[];
  opened: { id: string; by: number; left: number }[];
  stand: AxleStand | null;
  closed?: AxleStand | null;
};

/** Less than this is no other length, mm. */
const SAME = 0.05;

/** The rig with bars as long as they are, wherever their eyes are drawn. @param lengths eye to eye, mm, by id */
const withLengths = (rig: Rig, lengths: Record<string, number>): Rig => ({
  ...rig,
  members: rig.members.map((m) =>
    isLink(m) && lengths[m.id] !== undefined ? { ...m, length: lengths[m.id] } : m,
  ),
});

/** Where the axle stands with bars of these lengths in the mounts of a rig, mm and degrees; null where they cannot be bolted up. */
export function standWith(rig: Rig, lengths: Record<string, number>): AxleStand | null {
  const ride = orNone(() => assemble(withLengths(rig, lengths)))?.ride;
  return ride
    ? {
        ahead: ride.x,
        left: ride.y,
        leftAhead: -rig.track * Math.sin(toRadians(ride.steerDeg)),
        turnedDeg: ride.pitchDeg,
      }
    : null;
}

/** How long bars are that are there already, eye to eye, mm, by id; and how long those with thread may be wound out. */
export type Lengths = { made: Record<string, number>; opens: Record<string, number> };

/** Such a bar as long as it is drawn, or as near to that as its thread lets it, mm. */
export const nearestTo = ({ made, opens }: Lengths, id: string, drawn: number): number =>
  Math.max(made[id]!, Math.min(drawn, opens[id] ?? made[id]!));

/** What bars that are there already come to; null where none of the rig’s is said to be. */
export function madeBars(rig: Rig, lengths: Lengths): MadeBars | null {
  const { made, opens } = lengths;
  const bars = linksOf(rig)
    .filter(({ id }) => made[id] !== undefined)
    .map(({ id, chassis, axle }) => ({ id, drawn: distance(chassis, axle) }))
    .map(({ id, drawn }) => ({ id, drawn, length: nearestTo(lengths, id, drawn) }));
  if (bars.length === 0) return null;
  const threaded = bars.filter(({ id }) => opens[id] !== undefined);
  return {
    longer: bars
      .map(({ id, drawn, length }) => ({ id, by: length - drawn }))
      .filter(({ by }) => Math.abs(by) > SAME),
    opened: threaded
      .map(({ id, length }) => ({ id, by: length - made[id]!, left: opens[id]! - length }))
      .filter(({ by }) => by > SAME),
    stand: standWith(rig, Object.fromEntries(bars.map(({ id, length }) => [id, length]))),
    ...(threaded.length > 0 && { closed: standWith(rig, made) }),
  };
}

/**
 * One eye of a bar moved level, along the bar as it is seen from above, until it is that long; null where the height between its eyes
 * alone is more.
 *
 * @param length eye to eye, mm
 */
export function eyeToSuit(bar: LinkMember, end: 'chassis' | 'axle', length: number): MountChange[] | null {
  const [moved, held] = end === 'chassis' ? [bar.chassis, bar.axle] : [bar.axle, bar.chassis];
  const [dx, dy, dz] = moved.map((v, k) => v - held[k]!) as Point;
  const [inPlan, wanted] = [Math.hypot(dx, dy), length ** 2 - dz ** 2];
  if (inPlan < 1 || wanted <= 0) return null;
  const share = Math.sqrt(wanted) / inPlan;
  return ([0, 1] as const)
    .map((axis): MountChange => ({ member: bar.id, end, axis, mm: held[axis] + share * (axis ? dy : dx) }))
    .filter(({ axis, mm }) => Math.abs(mm - moved[axis]) > 1e-6);
}
