import { judgePlace } from '@/core/bench/judge/place';
import { judgeRecord } from '@/core/bench/judge/record';
import { jobConditions } from '@/core/bench/holdPoint';
import type { Job } from '@/core/job/jobSchema';
import { workBar } from '@/core/job/jobValues';
import { surveyedCar } from '@/core/record/jobRecord';
import { InputError } from '@/core/rig/read';
import { agreementOf } from '@/core/survey/agreement';
import { withRemedy } from '@/core/verdict/remedy';
import { aboutOf, type Judged, type Remedy, type State } from '@/core/verdict/verdict';
import { adviseOn, type Advice } from './advise';
import { lookAt } from './look';
import { openAmong, stopsOf } from '@/core/bench/open';
import { ordersOf, type Order } from './orders';
import type { Effect } from './effects';
import type { Trade } from './trade';

/** A remedy: `id` by which it can be taken (none where it is only read), what it changes, and what that does to the car's numbers. */
type CheckedRemedy = {
  id?: string;
  text: string;
  changes?: Remedy['changes'];
  roll?: Remedy['roll'];
  pinionDeg?: number;
  parts?: Remedy['parts'];
  effect?: Effect[];
  spoils?: string[];
  trade?: Trade;
};

type Checked = {
  id: string;
  state: State;
  title: string;
  reason: string;
  where?: string;
  restsOn: string[];
  remedies: CheckedRemedy[];
};

export type Check = { stations: Record<string, Checked[]>; orders: Order[] };

/** Every verdict of a job, station by station, with what it hangs on and what is advised; and what Ride orders. */
export function checkJob(job: Job): Check {
  const agreement = agreementOf(surveyedCar(job));
  const look = lookAt(job);
  const advice = adviseOn(job, look);
  const laidOut = (station: string) =>
    look.said
      .filter((said) => said.station === station)
      .map(({ verdict }) => checked(station, verdict, adviceOn(advice, station, verdict)));
  return {
    stations: {
      record: judgeRecord(job, agreement).map((v) => checked('record', v)),
      place: judgePlace(job).map((v) => checked('place', v)),
      locate: laidOut('locate'),
      roll: laidOut('roll'),
      prove: laidOut('prove'),
      cut: laidOut('cut'),
      weld: jobConditions(job, agreement, stopsOf(job, openAmong(look.said), workBar(job)?.id ?? '')).map(
        ({ id, label, holds, problem, designed }) => ({
          id,
          state: holds === null ? 'unknown' : holds ? 'ok' : 'stop',
          title: label,
          reason: problem ?? `Wanted: ${designed}.`,
          restsOn: [],
          remedies: [],
        }),
      ),
    },
    orders: ordersOf(job),
  };
}

const adviceOn = (advice: Advice[], station: string, verdict: Judged): Advice | undefined =>
  advice.find((one) => one.station === station && one.about === aboutOf(verdict));

function checked(station: string, verdict: Judged, advice?: Advice): Checked {
  const { id, state, title, reason, where, guesses } = verdict;
  return {
    id,
    state,
    title,
    reason,
    ...(where && { where }),
    restsOn: guesses.map(({ name }) => name),
    remedies: advice ? remediesOf(station, advice) : verdict.remedies.map(({ text }) => ({ text })),
  };
}

const remedyId = (station: string, about: string, n: number): string => `${station}/${about.trim()}/${n}`;

const remediesOf = (station: string, { about, offered, priced, read }: Advice): CheckedRemedy[] => [
  ...offered.map(({ remedy, effects }, i) => ({
    ...remedy,
    id: remedyId(station, about, i),
    effect: effects,
  })),
  ...priced.map(({ remedy, spoils, trade }) => ({ text: remedy.text, spoils, ...(trade && { trade }) })),
  ...read.map(({ text }) => ({ text })),
];

/**
 * The job with one of its remedies taken, by the id that `checkJob` gives it.
 *
 * @throws InputError where it has no such remedy
 */
export function afterRemedy(job: Job, id: string): Job {
  for (const { station, about, offered } of adviseOn(job))
    for (const [i, { remedy }] of offered.entries())
      if (remedyId(station, about, i) === id) return withRemedy(job, remedy);
  throw new InputError('remedy', `this job has no remedy "${id}"`);
}
