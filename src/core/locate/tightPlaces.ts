import type { Looking } from '@/core/clearance/clearance';
import { closestApproaches, type ClosestApproach } from '@/core/clearance/closestOverTravel';
import { tightApproaches } from '@/core/clearance/tightOverTravel';
import type { Mechanism } from '@/core/kinematics/mechanism';
import { misalignment } from '@/core/kinematics/misalignment';
import { isReached, type SweptPose } from '@/core/kinematics/pose';
import { JOINTS, jointsOf } from '@/core/materials/joints';
import { lateralBarOf } from '@/core/rig/roles';
import { linksOf } from '@/core/rig/members/members';
import { BODY_IDS, type Rig } from '@/core/rig/schema';
import { FOLLOWED, flopsOf, isTight, type Gap, type LocateInput } from './types';

/** Gaps are looked at in so many steps from droop to bump, and so many each way of rolling. */
export const HEAVES = 12;
const ROLL_STEPS = 4;

/** The ways of the travel beside both wheels together: one up as the other drops, and one alone. */
const ROLLS = [
  [1, -1],
  [-1, 1],
  [1, 0],
  [0, 1],
  [-1, 0],
  [0, -1],
] as const;

/** Poses all over the travel: both wheels together from droop to bump, one up as the other drops, and one alone. @param heaved the first of these, where they are known */
export function posesEverywhere(
  { bump, droop }: LocateInput,
  { at }: Mechanism,
  heaved = Array.from({ length: HEAVES + 1 }, (_, i) => {
    const lift = -droop + ((bump + droop) * i) / HEAVES;
    return at({ left: lift, right: lift });
  }),
): SweptPose[] {
  const reach = (way: number) => (way > 0 ? bump : way < 0 ? -droop : 0);
  return [
    ...heaved,
    ...ROLLS.flatMap(([left, right]) =>
      Array.from({ length: ROLL_STEPS }, (_, i) => {
        const share = (i + 1) / ROLL_STEPS;
        return at({ left: share * reach(left), right: share * reach(right) });
      }),
    ),
  ];
}

/** Whether a gap is spoken of with the bar across the car, or with everything else that needs room. */
const spokenOfWith = (rig: Rig): ((a: string, b: string) => string) => {
  const bar = lateralBarOf(rig)?.id;
  return (a, b) => (a === bar || b === bar ? 'bar' : 'rest');
};

/**
 * The tightest place of each pair of bodies that comes nearer than `within`, mm, in some poses, steered to either side where that can be;
 * and of the bar across and of all else the closest pair, however far that is. The tightest first.
 *
 * @param asked which pairs are looked at; without it all
 */
export function tightPlaces(
  input: LocateInput,
  poses: SweptPose[],
  within: number,
  asked: (a: string, b: string) => boolean = () => true,
): ClosestApproach[] {
  const { rig, lock } = input;
  const group = spokenOfWith(rig);
  const flops = flopsOf(input);
  const tight = ({ lockDeg, only = asked }: Pick<Looking, 'lockDeg' | 'only'>) =>
    tightApproaches(rig, poses, { lockDeg, only, flops }, { within, group });
  // Once they are steered, it is the tyres that come near to something; all else is as it was.
  const tires: string[] = Object.values(BODY_IDS.tire);
  const only = (a: string, b: string) => (tires.includes(a) || tires.includes(b)) && asked(a, b);
  const locks = lock === null ? [] : [lock, -lock];
  const gaps = [...tight({}), ...locks.flatMap((lockDeg) => tight({ lockDeg, only }))].sort(
    (a, b) => a.distance - b.distance,
  );
  const firstOf = (key: (gap: ClosestApproach) => string) =>
    new Set(new Map(gaps.map((gap) => [key(gap), gap] as const).reverse()).values());
  const ofPairs = firstOf(({ a, b }) => `${a}\n${b}`);
  const ofGroups = firstOf(({ a, b }) => group(a, b));
  return gaps.filter((gap) => ofGroups.has(gap) || (gap.distance < within && ofPairs.has(gap)));
}

/** Gaps with what the tightest of them come to where their bent bar cannot roll. */
export const withHeld = (input: LocateInput, poses: SweptPose[], gaps: ClosestApproach[]): Gap[] =>
  gaps.map((gap, i) => (i < FOLLOWED && isTight(gap) ? { ...gap, held: heldBar(input, poses, gap) } : gap));

/** The same gap with its bent bar held as it was drawn; nothing where none of the two can roll. */
function heldBar(input: LocateInput, poses: SweptPose[], { a, b, lockDeg }: ClosestApproach) {
  const { rig, joints } = input;
  const rolls = flopsOf(input);
  const bar = linksOf(rig).find(({ id }) => (id === a || id === b) && rolls(id) > 0);
  if (!bar) return undefined;
  const only = (p: string, q: string) => p === a && q === b;
  const { distance } = closestApproaches(rig, poses, { lockDeg, only })[0]!;
  const cocked = poses
    .filter(isReached)
    .map((pose) => misalignment(rig, bar, jointsOf(joints, bar.id), pose));
  const end = (['chassis', 'axle'] as const).find((at) =>
    cocked.every((swing) => swing[at] <= JOINTS.poly.swing),
  );
  return { distance, end: end ?? null };
}
