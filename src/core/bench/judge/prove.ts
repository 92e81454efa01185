import type { Job } from '@/core/job/jobSchema';
import { LINK_ENDS } from '@/core/job/made/parts';
import { mountId } from '@/core/job/placed';
import { boltRestsOn, isOfBolt } from '@/core/prove/faults/boltWays';
import { faultRestsOn, isFault } from '@/core/prove/faults/faults';
import { isRailHole, railHoleRestsOn } from '@/core/prove/faults/railHole';
import { proveRestsOn } from '@/core/prove/restsOn';
import type { Check, Proof } from '@/core/prove/types';
import { proveVerdicts } from '@/core/prove/verdicts';
import type { InputId } from '@/core/provenance/inputs';
import { linksOf } from '@/core/rig/members/members';
import { gravestFirst, judged, type Judged, type Remedy, type Verdict } from '@/core/verdict/verdict';

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
