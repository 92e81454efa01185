import type { Job } from '@/core/job/jobSchema';
import { bracketOf } from '@/core/job/made/bracketParts';
import { bodyAt } from '@/core/job/made/parts';
import type { Bracket } from '@/core/job/slices/fields';
import type { Basis } from '@/core/job/stripes';
import { linksOf } from '@/core/rig/members/members';

/** What a bracket of a link rests on as it is designed: where its eye is, mm, and what it is made of; nothing of a link that is not there. */
export function bracketBasis(job: Job, member: string, bracket: Bracket): Basis {
  const link = linksOf(job.rig).find(({ id }) => id === member);
  if (!link) return {};
  const end = bodyAt(bracket);
  const [ahead, left, up] = link[end];
  const { plate, bolt, bolted } = bracketOf(job, link, end);
  return {
    'ahead of the axle': ahead,
    'left of the centreline': left,
    'off the floor': up,
    plate,
    bolt,
    'bolted on': bolted,
  };
}
