import fc from 'fast-check';
import { adviseOn } from '@/core/advice/advise';
import { lookAt } from '@/core/advice/look';
import type { Job } from '@/core/job/jobSchema';
import { orNone } from '@/core/rig/read';
import { mirrored } from '../../support/mirrored';
import { plausibleCar } from '../../support/plausible';
import { assertUntil } from '../../support/until';

const RUNS = Number(process.env.MIRROR_RUNS ?? 6);

/** Words with left and right said alike, as of two that are the same either may be named; without figures, whose last digit may turn. */
const sideless = (text: string): string =>
  text
    .replace(/\b(left|right)\b/g, 'one side')
    .replace(/\d+(\.\d+)?( \d+\/\d+|\/\d+)?/g, '#')
    .replace(/(less than )?#/g, '#');

/** What power does to a car’s tyres is not mirrored with it: the shaft turns the same way. */
const TURNED_BY_THE_SHAFT = /^(launch|barWrong|barNeeded)/;

const saidOf = (job: Job): string[] =>
  lookAt(job)
    .said.filter(({ verdict }) => !TURNED_BY_THE_SHAFT.test(verdict.id))
    .map(({ verdict }) => `${verdict.id.split(' ')[0]} ${verdict.state} ${sideless(verdict.title)}`)
    .sort();

test('a mirrored car is told the same, and advised the same with its sides changed', () => {
  let advised = 0;
  assertUntil(
    fc.property(plausibleCar, (job) => {
      const said = orNone(() => saidOf(job));
      if (!said) return;
      const other = mirrored(job);
      expect(saidOf(other)).toEqual(said);
      const ways = (car: Job) =>
        adviseOn(car)
          .filter(({ about }) => !TURNED_BY_THE_SHAFT.test(about))
          .flatMap(({ about, offered, priced }) => [
            ...offered.map(({ remedy }) => `${about.split(' ')[0]} offered ${sideless(remedy.text)}`),
            ...priced.map(
              ({ remedy, spoils }) =>
                `${about.split(' ')[0]} priced ${sideless(remedy.text)} ${sideless(spoils.join())}`,
            ),
          ])
          .sort();
      const here = ways(job);
      advised += here.length;
      expect(ways(other)).toEqual(here);
    }),
    { numRuns: RUNS, endOnFailure: true },
    () => advised > 0,
  );
});
