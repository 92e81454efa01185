import { balanceOf, endsOf, type Balance } from '@/core/balance/loadTransfer';
import { endOf, type EndAnswer } from '@/core/balance/rollStiffness';
import { cornerOf, type Car, type Corner } from '@/core/balance/steadyCorner';
import { motionOf, type Motion } from '@/core/kinematics/smallMotions';
import type { RollInput } from './input';
import { InputError, orRefusal } from '@/core/rig/read';

/** The car as it is set up: what its built end does, and with the other end and the masses its balance. */
export type SetUp = {
  end: EndAnswer;
  car: (Car & { balance: Balance; corner: Corner | null }) | null;
};

/** What stands against roll in this car: its rig's springs and bars. @throws InputError for a bar that cannot be held or moved */
export function setUpOf({ rig, stop, cornerG }: RollInput, motion: Motion): SetUp {
  const { mechanism, small } = motion.members === rig.members ? motion : motionOf(rig);
  const { ride } = mechanism;
  const end = endOf(rig, ride, small);
  const holding = (end.springs ?? []).reduce((sum, { wheelRate }) => sum + wheelRate, 0);
  const ends = endsOf(rig, {
    rollStiffness: end.rollStiffness,
    rollCentre: ride.rollCentreHeight,
    stops: stop && holding > 0 ? { ...stop, holding } : undefined,
  });
  const balance = ends && balanceOf(ends.front, ends.rear, ends.height);
  // An end whose springs nobody told of is not one that has none.
  if (!ends || !balance || !end.springs?.length) return { end, car: null };
  return { end, car: { ...ends, balance, corner: cornerOf(ends, cornerG) } };
}

/** The same; nothing where a change makes a bar that cannot be held or moved. */
export function setUpIfAny(input: RollInput, motion: Motion): SetUp | null {
  const tried = orRefusal(() => setUpOf(input, motion));
  return tried instanceof InputError ? null : tried;
}
