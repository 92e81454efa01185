import { withBends } from '@/core/job/edits/mounts';
import type { Job } from '@/core/job/jobSchema';
import { barOf, bendsOf } from '@/core/job/made/parts';
import { assemble } from '@/core/kinematics/mechanism';
import { swayBarPlaces } from '@/core/locate/travel/swayBarPlaces';
import { posesEverywhere, tightPlaces } from '@/core/locate/tightPlaces';
import { isTight, locateInput, type Gap } from '@/core/locate/types';
import { LIMITS } from '@/core/materials/limits';
import { linksOf } from '@/core/rig/members/members';
import type { LinkMember } from '@/core/rig/members/link';
import { between, type Point } from '@/core/geometry/vector';
import { toRadians } from '@/core/geometry/angle';
import { MM_PER_INCH } from '@/core/units/tape';

/** Ways to bend a bar across the car, and the direction of each. */
const WAYS: [way: string, toward: Point][] = [
  ['up', [0, 0, 1]],
  ['down', [0, 0, -1]],
  ['back', [-1, 0, 0]],
  ['ahead', [1, 0, 0]],
];
/** How far its middle is put out, the least first: by inches, or by 25 mm, so many; and between which shares of its length. */
const MOST_STEPS = 6;
const MIDDLE = [0.25, 0.75];
/** What does not clear in some of the poses need not be looked at in all. */
const SOME = 4;

const AT_RIDE = { left: 0, right: 0 };

/** A bar bent out of the way: the job with it, the points that it is bent through, mm, how far its middle stands out, mm, and which way. */
export type BentClear = { job: Job; bends: Point[]; by: number; way: string };

/**
 * A bar bent by the least that clears what it comes too near to over the travel, where that can be bent; null where it clears
 * already, or where no bend of its middle clears all. Its eyes stay, and with them how the axle moves.
 *
 * @param room to be left besides what is usual, mm
 * @throws InputError where the members cannot be put together
 */
export function bentClear(job: Job, bar: LinkMember, room = 0): BentClear | null {
  // However it is bent, its eyes stay, and the axle moves as it did.
  const mechanism = assemble(job.rig);
  const poses = posesEverywhere(locateInput(job, AT_RIDE), mechanism);
  const ofBar = (a: string, b: string) => a === bar.id || b === bar.id;
  const some = poses.filter((_, i) => i % SOME === 0);
  const hasRoom = (gap: Gap) => !isTight(gap) && gap.distance >= room;
  const isClear = (of: Job): boolean =>
    [some, poses].every((among) =>
      tightPlaces(locateInput(of, AT_RIDE), among, Math.max(room, LIMITS.clearance.least), ofBar).every(
        hasRoom,
      ),
    ) &&
    swayBarPlaces(of, mechanism)
      .filter(({ b }) => b === bar.id)
      .every(hasRoom);
  if (isClear(job)) return null;
  const step = job.tape === 'mm' ? 25 : MM_PER_INCH;
  for (let by = step; by <= MOST_STEPS * step; by += step)
    for (const [way, toward] of WAYS) {
      const bends = MIDDLE.map((share) =>
        between(bar.chassis, bar.axle, share).map((v, k) => v + by * toward[k]!),
      ) as Point[];
      const bent = withBends(job, bar.id, bends);
      if (canBeBent(bent, bar.id) && isClear(bent)) return { job: bent, bends, by, way };
    }
  return null;
}

/** Whether there is straight bar left between the bends of a bar, and from its last to its eye. */
function canBeBent(job: Job, id: string): boolean {
  const bar = linksOf(job.rig).find((link) => link.id === id)!;
  const sheet = bendsOf(job, bar);
  const last = sheet?.bends.at(-1);
  if (!sheet || !last) return false;
  const taken = barOf(job, id).bendRadius * Math.tan(toRadians(last.angle) / 2);
  return sheet.bends.every(({ straight }) => straight >= 0) && sheet.last >= taken;
}
