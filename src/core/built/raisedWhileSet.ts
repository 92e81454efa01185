import { sideOf } from '@/core/geometry/side';
import type { Job } from '@/core/job/jobSchema';
import type { LinkEnd } from '@/core/job/made/parts';
import { raisedNow } from '@/core/place/heights';
import type { LinkMember } from '@/core/rig/members/link';

/**
 * How much farther off the floor an eye is while its bracket is set than at ride height, mm; null where the frame stands on its stands
 * and nobody has said how high.
 */
export function raisedWhileSet(job: Job, link: LinkMember, end: LinkEnd): number | null {
  if (job.place.holding !== 'rests') return 0;
  return raisedNow(job, end === 'axle' ? 'axle' : 'chassis', sideOf(link[end][1]));
}
