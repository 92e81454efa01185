import { barHeldIn } from '@/core/job/made/sway/barHeld';
import type { Job } from '@/core/job/jobSchema';
import { barOf, threadedEnds } from '@/core/job/made/parts';
import { linksOf } from '@/core/rig/members/members';
import { capital, memberName } from '@/core/rig/names';
import { armsAndCranksOf, leavesOf } from '@/core/rig/roles';
import { heldPoints } from '@/core/weld/held';
import { jointState } from '@/core/weld/holdPoint';
import { drivenSoFar } from './setUps';

/** Something that is looked at again: its paint lines, its torque; what it would mean if it had moved. */
export type Recheck = {
  id: string;
  title: string;
  how: string;
  /** what a broken line there means */
  broken: string;
  /** km since it was last looked at, or since the car was first driven */
  since: number;
  /** after how many km it is due */
  after: number;
  overdue: boolean;
  last: { at: string; distance: number } | null;
};

/** After the first drive, and then every so far, km (common practice, no published source). */
export const USUAL_EVERY = 800;
const FIRST = 1;

/** What of a car is to be looked at again, the most overdue first; nothing before it was driven. */
export function dueOf(job: Job): Recheck[] {
  const driven = drivenSoFar(job);
  if (job.drive.outings.length === 0) return [];
  const every = job.drive.every ?? USUAL_EVERY;
  return itemsOf(job)
    .map((item): Recheck => {
      const last = job.drive.rechecked[item.id] ?? null;
      const since = driven - (last?.distance ?? 0);
      const after = last ? every : Math.min(every, FIRST);
      // Even a drive of which nobody wrote how far it was is a first drive.
      const overdue = last ? since >= after : true;
      return { ...item, since, after, overdue, last };
    })
    .sort((a, b) => Number(b.overdue) - Number(a.overdue) || b.since / b.after - a.since / a.after);
}

type Item = Pick<Recheck, 'id' | 'title' | 'how' | 'broken'>;

function itemsOf(job: Job): Item[] {
  const { rig, roll } = job;
  const onStraps = barHeldIn(job) === 'straps';
  const name = (id: string) => memberName(id, rig.end);
  const undrawn = (id: string): string =>
    heldPoints(job, id).some(({ bracket }) => jointState(job, { member: id, bracket }) !== 'striped')
      ? ' (not all are drawn yet, by its record)'
      : '';
  return [
    ...linksOf(rig).flatMap(({ id }): Item[] => [
      {
        id: `bolts/${id}`,
        title: `${capital(name(id))}: bolts`,
        how: `Both paint lines; the torque again where one is broken${undrawn(id)}.`,
        broken:
          'The bolt has turned: its hole may have gone oval. Out with it, look, then torque and a new line.',
      },
      ...(threadedEnds(barOf(job, id)).length
        ? [
            {
              id: `jam/${id}`,
              title: `${capital(name(id))}: jam nuts`,
              how: 'Lines across both nuts; the bar does not turn by hand.',
              broken: 'The bar has changed its length: read the axle at Ride before it is locked again.',
            },
          ]
        : []),
    ]),
    ...armsAndCranksOf(rig).map(({ id }): Item => ({
      id: `bolts/${id}`,
      title: `${capital(name(id))}: bolts`,
      how: `Every paint line; the torque again where one is broken${undrawn(id)}.`,
      broken:
        'What it holds may have shifted: read both sides at Ride before it is torqued again and a new line drawn.',
    })),
    ...leavesOf(rig).map(({ id }): Item => ({
      id: `uBolts/${id}`,
      title: `${capital(name(id))}: U-bolts, eyes and shackle`,
      how: 'U-bolts torqued again, crosswise; the centre pin’s head in its hole; the bolts of eyes and shackle.',
      broken: 'The axle may have shifted on its spring: read both sides before they are tightened.',
    })),
    ...(roll.bar
      ? [
          {
            id: 'sway',
            title: `Sway bar: ${onStraps ? 'straps' : 'bushings'} and end links`,
            how: `${onStraps ? 'Straps snug' : 'No play in its bushings'}, links free both ways, pins and clips in.`,
            broken: 'A link that has let go leaves the car with other balance: look at what it has touched.',
          },
        ]
      : []),
    ...(rig.end === 'front'
      ? [
          {
            id: 'steering',
            title: 'Steering: joints, cotters, box on its frame',
            how: 'Somebody rocks the wheel; every cotter seen.',
            broken: 'Not driven until it is found.',
          },
        ]
      : []),
    {
      id: 'welds',
      title: 'Welds of every bracket',
      how: 'Wiped clean, the whole seam, the ends of each first; rust lines, hair lines.',
      broken: 'A crack grows: not driven until it is ground out and welded by somebody qualified.',
    },
  ];
}

/** The job with something looked at again, as far as the car was driven then. */
export const withRechecked = (job: Job, id: string, at: string): Job => ({
  ...job,
  drive: {
    ...job.drive,
    rechecked: { ...job.drive.rechecked, [id]: { at, distance: drivenSoFar(job) } },
  },
});
