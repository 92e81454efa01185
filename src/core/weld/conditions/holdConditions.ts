import type { Job } from '@/core/job/jobSchema';
import { linksOf } from '@/core/rig/members/members';
import { fastening } from '../fastening';
import { heldPoints } from '../held';
import { known } from './car';
import { checkOf, conditionOf, type Around, type Condition } from './condition';
import { linkDrafts } from './link';
import { otherDrafts } from './others';

/** All that must be true before what a member is mounted by is tacked and finish-welded, as designed and as measured. */
export function holdConditions(job: Job, member: string, around: Around): Condition[] {
  const points = heldPoints(job, member);
  const bolted = points.every(({ bracket }) => fastening(job, { member, bracket }) === 'bolted');
  const check = checkOf(job, member, bolted);
  const link = linksOf(job.rig).find(({ id }) => id === member);
  const own = link ? linkDrafts(check, link) : otherDrafts(check, points, around);
  return [...known(around.troubles), ...own].map((draft) => conditionOf(check, draft));
}
