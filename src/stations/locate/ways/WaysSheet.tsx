'use client';
import { candidatesOf } from '@/core/job/edits/candidates';
import { LAYOUT_NAMES } from '@/core/rig/names';
import { useJob } from '@/store/jobStore';
import { PaperSheet } from '@/ui/paper/PaperSheet';
import { sayDay } from '@/ui/paper/dates';
import { usePrinting } from '@/ui/paper/usePrinting';
import { useCompared } from '@/workers/choosing/compared';
import { ComparedTable } from './ComparedTable';
import { WayCurves } from './WayCurves';

const CAUTION =
  'What holds an axle is life-critical. These figures are an aid to choosing, not an approval of any of it: the vehicle maker’s values, local rules, a qualified welder and an inspector come first.';

/** The ways to build the car on paper: their figures, and which was chosen and why. */
export function WaysSheet() {
  const job = useJob();
  const { all, job: of } = useCompared();
  const printing = usePrinting();
  if (!printing) return null;
  const { chosen } = job.choose ?? {};
  const name = candidatesOf(job).find(({ id }) => id === chosen?.id)?.name;
  return (
    <PaperSheet label="Ways" title="Ways to build it" caution={CAUTION}>
      <p>
        {LAYOUT_NAMES[job.layout][0]} on the bench.{' '}
        {chosen && name
          ? `Chosen on ${sayDay(new Date(chosen.at))}: ${name}. ${chosen.reason}`
          : 'None is chosen yet.'}
      </p>
      {of?.id === job.id && all && (
        <>
          <ComparedTable all={all} />
          <WayCurves all={all} />
        </>
      )}
    </PaperSheet>
  );
}
