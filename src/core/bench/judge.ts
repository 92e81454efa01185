import { checkBar } from '@/core/cut/barChecks';
import { makeBar } from '@/core/fabricate/adjustableBar';
import type { Job } from '@/core/job/jobSchema';
import { barSpec, workBar } from '@/core/job/jobValues';
import { analyseLocate } from '@/core/locate/analyse';
import { locateInput, type LocateInput, type LocateResult } from '@/core/locate/types';
import { locateRestsOn } from '@/core/locate/verdicts/restsOn';
import { locateVerdicts } from '@/core/locate/verdicts/verdicts';
import { placeChecks } from '@/core/place/placeChecks';
import { mountInputs } from '@/core/provenance/inputs';
import { approachOf } from '@/core/record/jobRecord';
import { checkRecord } from '@/core/record/recordChecks';
import { describeBar } from '@/core/rig/lateralBar';
import { analyseRoll, ROLL_PARTS, type RollPart, type RollResult } from '@/core/roll/analyse';
import { rollVerdicts } from '@/core/roll/checks';
import { rollInput, type RollInput } from '@/core/roll/input';
import { rollRestsOn } from '@/core/roll/restsOn';
import type { Agreement } from '@/core/survey/agreement';
import { gravestFirst, judged, type Judged } from '@/core/verdict/verdict';

/** What is said of a car at each station that judges it, the gravest first. */
export type Judgement = {
  record: Judged[];
  place: Judged[];
  locate: Judged[];
  roll: Judged[];
  cut: Judged[];
};

/** What Locate says of a car, by what it is about. */
export type JudgedLocate = Record<'sideways' | 'lengthwise' | 'room', Judged[]>;

const AT_RIDE = { left: 0, right: 0 };

/** What is said of the readings of a car. @param agreement of them; null while nothing is redundant */
export const judgeRecord = (job: Job, agreement: Agreement | null): Judged[] =>
  checkRecord(job.readings, agreement, approachOf(job), job.tape).map((v) =>
    judged(job, v, v.id === 'square' ? ['read.track'] : []),
  );

export const judgePlace = (job: Job): Judged[] =>
  placeChecks(job).map((v) =>
    judged(job, v, v.id === 'restRoom' ? ['read.tireRadius', 'read.tubeDiameter'] : []),
  );

/** @param result what Locate worked out of `input`, which is this job's */
export function judgeLocate(job: Job, input: LocateInput, result: LocateResult): JudgedLocate {
  const { sideways, lengthwise, room } = locateVerdicts(input, result, job.tape);
  const all = (verdicts: typeof sideways) =>
    gravestFirst(verdicts.map((v) => judged(job, v, locateRestsOn(input.rig, result, v))));
  return { sideways: all(sideways), lengthwise: all(lengthwise), room: all(room) };
}

/** @param result what Roll worked out of `input` for the part asked about */
export const judgeRoll = (job: Job, input: RollInput, part: RollPart, result: RollResult): Judged[] =>
  gravestFirst(
    rollVerdicts(input, part, result, job.tape).map((v) => judged(job, v, rollRestsOn(input.rig, v.id))),
  );

/** What is said of the bar on the saw; nothing where none holds the axle. */
export function judgeCut(job: Job): Judged[] {
  const bar = workBar(job);
  if (!bar) return [];
  const spec = barSpec(job);
  return checkBar(spec, makeBar(describeBar(bar).eyeToEye, spec), job.tape).map((v) =>
    judged(job, { where: bar.id, ...v }, [...mountInputs(job.rig, [bar.id]), 'barEnds']),
  );
}

/**
 * Everything that is said of a car, station by station: by the same functions as on the screen.
 *
 * @param agreement of its readings; null while nothing is redundant
 * @throws InputError where the members cannot hold the axle or be assembled
 */
export function judge(job: Job, agreement: Agreement | null): Judgement {
  const input = locateInput(job, AT_RIDE);
  const { sideways, lengthwise, room } = judgeLocate(job, input, analyseLocate(input));
  return {
    record: judgeRecord(job, agreement),
    place: judgePlace(job),
    locate: [...sideways, ...lengthwise, ...room],
    roll: judgeAllOfRoll(job),
    cut: judgeCut(job),
  };
}

/** What is said of springs, bar and balance, each once. */
function judgeAllOfRoll(job: Job): Judged[] {
  const input = rollInput(job, AT_RIDE);
  const said = ROLL_PARTS.flatMap((part) => judgeRoll(job, input, part, analyseRoll(input, part)));
  return gravestFirst([...new Map(said.map((v) => [v.id, v])).values()]);
}
