import { checkBar, checkJoints } from '@/core/cut/barChecks';
import { cutRestsOn } from '@/core/cut/restsOn';
import type { Job } from '@/core/job/jobSchema';
import { workBar } from '@/core/job/jobValues';
import { BAR_ENDS, barOf, madeUp, specOf, threadedEnds } from '@/core/job/made/parts';
import { jointsOf } from '@/core/materials/joints';
import type { InputId } from '@/core/provenance/inputs';
import { gravestFirst, judged, type Judged, type Verdict } from '@/core/verdict/verdict';

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
