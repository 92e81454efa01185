import type { Job } from '@/core/job/jobSchema';
import { LIMITS } from '@/core/materials/limits';
import type { LinkMember } from '@/core/rig/members/link';
import { lateralBarOf, partnerOf } from '@/core/rig/roles';
import type { Trial } from './trials/governing';
import { isWeld, type Failure } from './types';

/** What is allowed of a weld, and of what comes and goes, has its own margin in it: asked is only what the use and the place ask for more. */
const OF_ALLOWANCE = 1 / LIMITS.strength.wanted.street;

const SUDDEN: Record<Failure, boolean> = {
  bends: false,
  buckles: false,
  breaks: true,
  strips: true,
  cracks: true,
};

const base = ({ parts, use }: Job): number => parts.wanted ?? LIMITS.strength.wanted[use];
const byFailure = (fails: Failure): number => (SUDDEN[fails] ? LIMITS.strength.breaks : 1);

/** How many times over a check of a link should hold: by the use, by whether another member is left when it goes, and by how it goes. */
export function wantedOfLink(
  job: Job,
  link: LinkMember,
  { check, fails }: Pick<Trial, 'check' | 'fails'>,
): number {
  const alone =
    lateralBarOf(job.rig)?.id === link.id || partnerOf(link.id) === null ? LIMITS.strength.alone : 1;
  if (isWeld(check) || fails === 'cracks') return base(job) * alone * OF_ALLOWANCE;
  return base(job) * alone * byFailure(fails);
}

/** How many times over what does not hold the axle should hold: by the use, and by how it goes. */
export const wantedElsewhere = (job: Job, { fails }: Trial): number => base(job) * byFailure(fails);
