import type { Job } from '@/core/job/jobSchema';
import { bracketOf } from '@/core/job/made/bracketParts';
import { bodyAt } from '@/core/job/made/parts';
import type { HoldPoint } from '@/core/job/slices/fields';
import type { Basis } from '@/core/job/stripes';
import { linksOf } from '@/core/rig/members/members';
import { heldPoints } from './held';

/**
 * What rests on the design of something that is fastened: where it is, mm, where the design says so; of a bar's bracket, what it is made
 * of; nothing of what is not there.
 */
export function bracketBasis(job: Job, member: string, bracket: HoldPoint): Basis {
  const point = heldPoints(job, member).find((one) => one.bracket === bracket);
  if (!point) return {};
  const place: Basis = point.at
    ? {
        'ahead of the axle': point.at[0],
        'left of the centreline': point.at[1],
        'off the floor': point.at[2],
      }
    : {};
  const link = linksOf(job.rig).find(({ id }) => id === member);
  if (!link || (bracket !== 'frame' && bracket !== 'axle')) return place;
  const { plate, bolt, bolted, over } = bracketOf(job, link, bodyAt(bracket));
  return {
    ...place,
    plate,
    bolt,
    'bolted on': bolted,
    ...(over && { 'left of the old bracket': over.high, 'lap on it': over.lap }),
  };
}
