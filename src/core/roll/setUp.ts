import { setInMotion, type MovingRig } from '@/core/kinematics/answer';
import { withoutGaps } from '@/core/locate/withoutGaps';
import { PANHARD } from '@/core/layouts/patterns';
import { InputError } from '@/core/rig/read';
import type { Member, Point, Rig, Travel } from '@/core/rig/schema';
import type { Use } from '@/core/job/schema';
import { balanceOf, endsOf, type Balance } from './balance';
import { swayBarOf } from './barDesign';
import { cornerOf, type Car, type Corner } from './corner';
import { endOf, type EndAnswer } from './roll';
import { rollsOf, type Rolls } from './rolls';
import type { RollDesign } from './rollDesign';
import { springsOf } from './springDesign';

/** What Roll asks about: the car, how its springs and bar are meant, how far the wheels go, how hard it is driven. */
export type RollInput = RollDesign & {
  rig: Rig;
  tireWidth: number;
  bump: number;
  droop: number;
  rocker: Travel;
  use: Use;
  cornerG: number;
  axleRatio: number;
};

/** A rig's members in motion: what does not change while only springs and bar do. */
export type Geometry = { members: Member[]; moving: MovingRig; rolls: Rolls };

/** The car as it is set up: what its built end does, and with the other end and the masses its balance. */
export type SetUp = {
  end: EndAnswer;
  car: (Car & { balance: Balance; corner: Corner | null }) | null;
};

/** The farthest that the axle can roll against the car, degrees. */
export const farthestRoll = ({ rig, bump, droop }: RollInput): number =>
  (Math.atan((bump + droop) / rig.track) * 180) / Math.PI;

/** A rig with springs and bar as they are meant. */
function rigWith({ rig, springs, bar }: Pick<RollInput, 'rig' | 'springs' | 'bar'>): Rig {
  return {
    ...rig,
    springs: springs ? springsOf(springs, rig) : undefined,
    swayBars: bar ? [swayBarOf(bar)] : undefined,
  };
}

/** @throws InputError where the members cannot be moved */
export function geometryOf(rig: Rig): Geometry {
  const moving = setInMotion(withoutGaps(rig));
  return { members: rig.members, moving, rolls: rollsOf(moving) };
}

/** What stands against roll in this car: a bar whose links are off does nothing. @throws InputError for a bar that cannot be held or moved */
export function setUpOf(input: RollInput, geometry: Geometry): SetUp {
  const { moving, rolls } = geometry.members === input.rig.members ? geometry : geometryOf(input.rig);
  const working = input.bar?.hooked ? input.bar : null;
  const rig = rigWith({ ...input, bar: working });
  const end = endOf(rig, moving.ride, rolls, working ? [swayBarOf(working)] : []);
  const holding = (end.springs ?? []).reduce((sum, { wheelRate }) => sum + wheelRate, 0);
  const ends = endsOf(rig, {
    rollStiffness: end.rollStiffness,
    rollCentre: moving.ride.rollCentreHeight,
    stops: input.stop && holding > 0 ? { ...input.stop, holding } : undefined,
  });
  const balance = ends && balanceOf(ends.front, ends.rear, ends.height);
  if (!ends || !balance) return { end, car: null };
  const corner = cornerOf(ends, input.cornerG);
  return { end, car: { ...ends, balance, corner } };
}

/** The same; nothing where a change makes a bar that cannot be held or moved. */
export function setUpIfAny(input: RollInput, geometry: Geometry): SetUp | null {
  try {
    return setUpOf(input, geometry);
  } catch (error) {
    if (error instanceof InputError) return null;
    throw error;
  }
}

/** The rig with what holds the axle sideways moved up at both of its ends; null where that is not one part of its own. */
export function raised(rig: Rig, mm: number): Rig | null {
  const up = ([x, y, z]: Point): Point => [x, y, z + mm];
  const both = (ends: { top: Point; bottom: Point }) => ({ top: up(ends.top), bottom: up(ends.bottom) });
  const across = (m: Member) => m.type === 'watts' || (m.type === 'link' && m.id === PANHARD);
  if (!rig.members.some(across)) return null;
  return {
    ...rig,
    members: rig.members.map((m) => {
      if (m.type === 'link' && m.id === PANHARD) return { ...m, chassis: up(m.chassis), axle: up(m.axle) };
      if (m.type === 'watts') return { ...m, pivot: up(m.pivot), crank: both(m.crank), ends: both(m.ends) };
      return m;
    }),
  };
}
