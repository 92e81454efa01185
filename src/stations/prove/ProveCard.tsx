'use client';
import { Button } from 'antd';
import { useEffect, useMemo } from 'react';
import { judgeProve } from '@/core/bench/judge/prove';
import { useJob } from '@/store/jobStore';
import { CardHead, Caution } from '@/ui/cards/Card';
import { Verdicts } from '@/ui/cards/Verdicts';
import { StationStripe } from '@/ui/stripe/StationStripe';
import { askProof, useProof } from '@/workers/prove';
import { PartPanel } from './PartPanel';
import { ProveSheet } from './ProveSheet';
import { Strengths } from './Strengths';
import './prove.css';

/** Whether every bar, end, bracket, bolt and weld holds what the car asks of it, the weakest first. */
export function ProveCard() {
  const job = useJob();
  const { proof, problem, job: about } = useProof();
  useEffect(() => void askProof(job), [job]);
  const known = about?.id === job.id ? proof : null;
  const verdicts = useMemo(() => (known && about ? judgeProve(about, known) : []), [known, about]);
  return (
    <>
      <div className="no-print">
        <CardHead title="Prove: will it hold?">
          Every load case through every bar, thread, bolt, tab and weld; the weakest first.
        </CardHead>
        {problem && about?.id === job.id && (
          <p className="field-problem" role="alert">
            Nothing can be proved of this: {problem}.
          </p>
        )}
        <Verdicts tried="prove" verdicts={verdicts} />
        {known && known.checks.length > 0 && <PartPanel key={job.id} checks={known.checks} />}
        {known && known.checks.length > 0 && <Strengths />}
        {known && (
          <section className="section unproved">
            <h2>Not proved</h2>
            <ul>
              {known.unproved.map(({ part, why }) => (
                <li key={part}>
                  {part}: {why}.
                </li>
              ))}
            </ul>
          </section>
        )}
        <Caution>
          Strengths are handbook figures from memory, loads are estimates: a factor says which part is the
          weak one, not that a car is safe. What holds an axle is life-critical: its design and its welds
          belong before a qualified welder and an inspector, and the rules of the place come first.
        </Caution>
        <div className="section">
          <Button onClick={() => window.print()}>Print what was proved</Button>
        </div>
        <StationStripe
          station="prove"
          title="Parts settled"
          note="Draw it when every part is what you will make or buy."
        />
      </div>
      {known && <ProveSheet proof={known} verdicts={verdicts} />}
    </>
  );
}
