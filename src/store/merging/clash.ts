import { applyReadings } from '@/core/job/applyReadings';
import { sayPlace } from '@/core/job/places';
import { edit } from '../jobStore';
import { say } from '../notices';
import type { Work } from '../storage/journal';
import { mergedJob } from './merge';
import { partings } from './partings';

/** Places that are named where two tabs changed the same; of more, how many. */
const NAMED = 3;

/** Says what two tabs both changed, so that one of them could not stand, and offers to take that one instead. */
export function tellClash(work: Work, otherWay: Work): void {
  const places = [...new Set(partings(work.job, otherWay.job).map(sayPlace))];
  if (places.length === 0) return;
  const more = places.length - NAMED;
  say({
    kind: 'info',
    key: 'clash',
    stays: true,
    title: 'This job was changed in two tabs in the same place.',
    description: `${places.slice(0, NAMED).join('; ')}${more > 0 ? `; and ${more} more` : ''}: what was changed last stands.`,
    action: {
      label: 'Take the other instead',
      act: () => edit((now) => applyReadings(mergedJob(work.job, now, otherWay.job).value)),
    },
  });
}
