'use client';
import { Button } from 'antd';
import { approachOf } from '@/core/record/jobRecord';
import { planOf, stillNeeded } from '@/core/record/plan';
import { quantity } from '@/core/survey/quantities/quantities';
import { useJob } from '@/store/jobStore';
import { setPreferences, usePreferences } from '@/store/preferences';
import { Caution } from '@/ui/cards/Card';
import { Approach } from './Approach';
import { Csv } from './Csv';
import { OneByOne } from './OneByOne';
import { PlanPrint } from './PlanPrint';
import { Sheet } from './ReadingSheet';

/** Reading the car: one place after another with the pad, or all of it on one sheet. */
export function MeasurePart() {
  const job = useJob();
  const sheet = usePreferences((s) => s.sheet);
  const at = usePreferences((s) => s.readingAt);
  const plan = planOf(approachOf(job), at);
  const missing = stillNeeded(job.readings);
  return (
    <>
      <div className="no-print">
        {sheet ? <Sheet plan={plan} /> : <OneByOne plan={plan} />}
        {missing.length > 0 && (
          <p className="hint">
            Not measured yet, drawn from a stand-in:{' '}
            {missing.map((key) => quantity(key).label.toLowerCase()).join(', ')}.
          </p>
        )}
        <div className="tools">
          <Button onClick={() => setPreferences({ sheet: !sheet })}>
            {sheet ? 'One at a time' : 'Whole sheet'}
          </Button>
          <Button onClick={() => window.print()}>Print the plan</Button>
          <Csv />
        </div>
        <Approach />
        <Caution>
          Measure with the car on its wheels, on level ground. Nobody goes under while it is on a jack alone.
        </Caution>
      </div>
      <PlanPrint plan={plan} />
    </>
  );
}
