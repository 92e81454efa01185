'use client';
import { useEffect } from 'react';
import { rollInput } from '@/core/job/job';
import { rollChecks } from '@/core/roll/checks';
import { useJob } from '@/store/jobStore';
import { useRocker } from '@/store/rocker';
import { CardHead, Caution } from '@/ui/Card';
import { StationStripe } from '@/ui/StationStripe';
import { Verdicts } from '@/ui/Verdicts';
import { askForRoll, useRoll } from '@/workers/analysis';
import { BarPart } from './BarPart';
import { BarResults } from './BarResults';
import { BalanceResults } from './BalanceResults';
import { OtherEnd } from './OtherEnd';
import { SpringPart } from './SpringPart';
import './roll.css';

/** Springs, sway bar and the balance of the car: whether it needs a bar, which, and what every change does. */
export function RollCard() {
  const job = useJob();
  const rocker = useRocker();
  const { result, problem, job: about } = useRoll();
  useEffect(() => void askForRoll({ job, rocker }), [job, rocker]);
  // Until the first answer for this car is in, there is nothing to say of it.
  const current = about?.id === job.id ? result : null;
  return (
    <>
      <CardHead title="Roll: springs, bar, balance">
        A sway bar is a spring between the wheels. Fit one for a reason.
      </CardHead>
      {problem && about?.id === job.id && (
        <p className="field-problem" role="alert">
          The bar cannot be worked out: {problem}.
        </p>
      )}
      {current && !problem && (
        <>
          <Verdicts verdicts={rollChecks(rollInput(job, rocker), current, job.tape)} />
          <BarResults result={current} />
          <BalanceResults result={current} />
        </>
      )}
      <BarPart />
      <SpringPart />
      <OtherEnd />
      <Caution>
        Springs and bars hold energy: undo end links first, with the car on its wheels. Never weld to a sway
        bar: it is spring steel.
      </Caution>
      <StationStripe
        station="roll"
        title="Springs and bar settled"
        note="Draw it when what is fitted is what stands here."
        disabled={!job.roll.springs && !job.roll.bar}
      />
    </>
  );
}
