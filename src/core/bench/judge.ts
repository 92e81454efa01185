import { checkBar, checkJoints } from '@/core/cut/barChecks';
import { cutRestsOn } from '@/core/cut/restsOn';
import type { Job } from '@/core/job/jobSchema';
import { workBar } from '@/core/job/jobValues';
import type { LocateInput, LocateResult } from '@/core/locate/types';
import { locateRestsOn } from '@/core/locate/verdicts/restsOn';
import { locateVerdicts } from '@/core/locate/verdicts/verdicts';
import { placeChecks } from '@/core/place/placeChecks';
import { BAR_ENDS, barOf, LINK_ENDS, madeUp, specOf, threadedEnds } from '@/core/job/made/parts';
import { mountId } from '@/core/job/placed';
import { boltRestsOn, isOfBolt } from '@/core/prove/faults/boltWays';
import { faultRestsOn, isFault } from '@/core/prove/faults/faults';
import { isRailHole, railHoleRestsOn } from '@/core/prove/faults/railHole';
import { proveRestsOn } from '@/core/prove/restsOn';
import type { Check, Proof } from '@/core/prove/types';
import { proveVerdicts } from '@/core/prove/verdicts';
import { linksOf } from '@/core/rig/members/members';
import { jointsOf } from '@/core/materials/joints';
import type { InputId } from '@/core/provenance/inputs';
import { approachOf } from '@/core/record/jobRecord';
import { checkRecord } from '@/core/record/recordChecks';
import type { RollPart, RollResult } from '@/core/roll/analyse';
import { rollVerdicts } from '@/core/roll/checks/checks';
import type { RollInput } from '@/core/roll/input';
import { rollRestsOn } from '@/core/roll/restsOn';
import type { Agreement } from '@/core/survey/agreement';
import { gravestFirst, judged, type Judged, type Remedy, type Verdict } from '@/core/verdict/verdict';

/** What Locate says of a car, by what it is about. */
export type JudgedLocate = Record<'sideways' | 'lengthwise' | 'room', Judged[]>;

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

/** What is said of the strength of what is laid out. @param cures what would make a check hold */
export const judgeProve = (job: Job, proof: Proof, cures?: (check: Check) => Remedy[]): Judged[] =>
  gravestFirst(proveVerdicts(job, proof, cures).map((v) => judged(job, v, strengthRestsOn(job, proof, v))));

function strengthRestsOn(job: Job, { bolts }: Proof, verdict: Verdict): InputId[] {
  const { id, state, where = '' } = verdict;
  if (isFault(verdict)) return faultRestsOn(job, verdict);
  if (isRailHole(verdict)) return railHoleRestsOn(job, verdict);
  if (isOfBolt(verdict)) return boltRestsOn(job, bolts, verdict);
  return id === 'strength' && state !== 'ok' ? proveRestsOn(job, where) : allParts(job);
}

/** What the proof of everything hangs on. */
const allParts = (job: Job): InputId[] =>
  linksOf(job.rig).flatMap(({ id }) =>
    [id, ...LINK_ENDS.map((end) => mountId(id, end))].flatMap((part) => proveRestsOn(job, part)),
  );

/** What is said of the bar on the saw; nothing where none holds the axle. */
export function judgeCut(job: Job): Judged[] {
  const bar = workBar(job);
  if (!bar) return [];
  const threaded = threadedEnds(barOf(job, bar.id));
  const welded = BAR_ENDS.filter((end) => !threaded.includes(end)).map((end) => `thread-${end}`);
  // What is welded is wound no more.
  const unasked = welded.length ? [...welded, 'adjustment'] : [];
  const said = checkBar(specOf(job, bar.id), madeUp(job, bar), job.tape);
  const at = (restsOn: InputId[]) => (v: Verdict) => judged(job, { where: bar.id, ...v }, restsOn);
  return gravestFirst([
    ...(welded.length === 2 ? [] : checkJoints(jointsOf(job.joints, bar.id)).map(at([`joints.${bar.id}`]))),
    ...said.filter(({ id }) => !unasked.includes(id)).map(at(cutRestsOn(job))),
  ]);
}
