import type { Job } from '@/core/job/jobSchema';
import { isOfSwayBar } from '@/core/job/made/sway/parts';
import { boltRestsOn, isOfBolt } from '@/core/prove/faults/boltWays';
import { faultRestsOn, isFault } from '@/core/prove/faults/faults';
import { isRailHole, railHoleRestsOn } from '@/core/prove/faults/railHole';
import { crossFaultRestsOn, isCrossFault } from '@/core/prove/faults/crossFaults';
import { isSwayFault, swayFaultRestsOn } from '@/core/prove/faults/swayFaults';
import { proveRestsOn } from '@/core/prove/restsOn';
import type { Check, Proof } from '@/core/prove/types';
import { proveVerdicts } from '@/core/prove/verdicts';
import type { InputId } from '@/core/provenance/inputs';
import { gravestFirst, judged, type Judged, type Remedy, type Verdict } from '@/core/verdict/verdict';

/** What is said of the strength of what is laid out. @param cures what would make a check hold */
export const judgeProve = (job: Job, proof: Proof, cures?: (check: Check) => Remedy[]): Judged[] =>
  gravestFirst(proveVerdicts(job, proof, cures).map((v) => judged(job, v, strengthRestsOn(job, proof, v))));

function strengthRestsOn(job: Job, { checks, bolts }: Proof, verdict: Verdict): InputId[] {
  const { id, state, where = '' } = verdict;
  if (isFault(verdict)) return faultRestsOn(job, verdict);
  if (isCrossFault(verdict)) return crossFaultRestsOn(job, verdict);
  if (isSwayFault(verdict)) return swayFaultRestsOn(job, verdict);
  if (isRailHole(verdict)) return railHoleRestsOn(job, verdict);
  if (isOfBolt(verdict)) return boltRestsOn(job, bolts, verdict);
  if (id === 'strength' && state !== 'ok') return proveRestsOn(job, where);
  // What goes first is asked of what holds the axle alone.
  const parts = new Set(
    checks.map(({ part }) => part).filter((part) => id === 'strength' || !isOfSwayBar(part)),
  );
  return [...parts].flatMap((part) => proveRestsOn(job, part));
}
