'use client';
import { jobConditions } from '@/core/bench/holdPoint';
import { workBar } from '@/core/job/jobValues';
import { fastening, isVerified, release } from '@/core/weld/holdPoint';
import type { Job } from '@/core/job/jobSchema';
import { useJob } from '@/store/jobStore';
import { useStopsOf } from '@/workers/advice';
import { useJobAgreement } from '@/workers/choosing/search';
import { CardHead, Caution } from '@/ui/cards/Card';
import { WhichBar } from '@/ui/cards/WhichBar';
import { AsBuilt } from './AsBuilt';
import { WeldPatterns } from './WeldPatterns';
import { ConditionRow } from './ConditionRow';
import { Joint } from './Joint';
import { WeldLog } from './WeldLog';
import { BRACKETS } from '@/core/job/slices/fields';
import type { Condition, Step } from '@/core/weld/conditions';

const STEPS: Record<Step, Record<'welded' | 'bolted', string>> = {
  tack: { welded: 'Before tacking', bolted: 'Before drilling' },
  weld: { welded: 'Before finish-welding', bolted: 'Before it is torqued' },
};

/** The hold point: what must be true before a bracket is tacked, and again before it is finish-welded. */
export function HoldPart() {
  const job = useJob();
  const member = workBar(job)?.id;
  const conditions = jobConditions(job, useJobAgreement(job), useStopsOf(job, member));
  const ways = member === undefined ? [] : waysOf(job, member);
  const next = conditions.find((c) => !isVerified(c));
  if (member === undefined)
    return (
      <>
        <CardHead title="Hold before welding">
          No bar holds this axle, so there is no bracket of one to weld. Put one on at Locate.
        </CardHead>
        <WeldLog log={job.weld.log} end={job.rig.end} />
      </>
    );
  return (
    <>
      <CardHead title="Hold before welding">{sumUp(conditions)}</CardHead>
      <div className="no-print">
        <WhichBar label="Brackets of the" value={member} />
      </div>
      <div className="joints">
        {BRACKETS.map((bracket) => (
          <Joint
            key={`${member} ${bracket}`}
            member={member}
            bracket={bracket}
            tack={release(conditions, 'tack')}
            weld={release(conditions, 'weld')}
          />
        ))}
      </div>
      <Caution>
        Battery and modules disconnected, fuel and brake lines out of the heat, tank out or well away, a fire
        watch with an extinguisher, ventilation, eye and skin cover. A suspension weld carries lives: a
        qualified welder makes or inspects it; local inspection rules come first.
      </Caution>
      {(Object.keys(STEPS) as Step[]).map((step) => (
        <section key={step} className="section">
          <h2>{ways.map((way) => STEPS[step][way]).join(' · ')}</h2>
          <ul className="conditions">
            {conditions
              .filter((c) => c.step === step)
              .map((c) => (
                <ConditionRow key={`${member} ${c.id}`} member={member} condition={c} next={c === next} />
              ))}
          </ul>
        </section>
      ))}
      <AsBuilt key={member} member={member} />
      <WeldPatterns member={member} />
      <WeldLog log={job.weld.log} end={job.rig.end} />
    </>
  );
}

/** How the brackets of a member are fastened: welded, bolted, or one of each. */
const waysOf = (job: Job, member: string): ('welded' | 'bolted')[] => [
  ...new Set(BRACKETS.map((bracket) => fastening(job, { member, bracket }))),
];

function sumUp(conditions: Condition[]): string {
  const tack = conditions.filter((c) => c.step === 'tack');
  const verified = tack.filter(isVerified).length;
  const broken = tack.filter((c) => c.stripe.kind === 'broken').length;
  const open = tack.length - verified - broken;
  const parts = [`${verified} of ${tack.length} hold and are striped`];
  if (broken) parts.push(`${broken} changed since ${broken === 1 ? 'it was' : 'they were'} checked`);
  if (open) parts.push(`${open} still to check`);
  return `With the car on its own weight. ${parts.join('; ')}.`;
}
