'use client';
import { jobConditions } from '@/core/bench/holdPoint';
import { workBar } from '@/core/job/jobValues';
import { fastening } from '@/core/weld/fastening';
import { heldIds, heldPoints } from '@/core/weld/held';
import { isVerified, release } from '@/core/weld/holdPoint';
import type { Job } from '@/core/job/jobSchema';
import { useJob } from '@/store/jobStore';
import { useStopsOf } from '@/workers/advice';
import { useJobAgreement } from '@/workers/choosing/search';
import { CardHead, Caution } from '@/ui/cards/Card';
import { usePreferences } from '@/store/preferences';
import { AsBuilt } from './AsBuilt';
import { WeldPatterns } from './WeldPatterns';
import { ConditionRow } from './ConditionRow';
import { Joint } from './Joint';
import { WeldLog } from './WeldLog';
import { WhichHeld } from './WhichHeld';
import type { Condition, Step } from '@/core/weld/conditions/condition';

const STEPS: Record<Step, Record<'welded' | 'bolted', string>> = {
  tack: { welded: 'Before tacking', bolted: 'Before drilling' },
  weld: { welded: 'Before finish-welding', bolted: 'Before it is torqued' },
};

/** The hold point: what must be true before a bracket is tacked, and again before it is finish-welded. */
export function HoldPart() {
  const job = useJob();
  const picked = usePreferences((s) => s.held);
  const held = heldIds(job);
  const member = picked && held.includes(picked) ? picked : (workBar(job)?.id ?? held[0]);
  const points = member === undefined ? [] : heldPoints(job, member);
  const conditions = jobConditions(job, useJobAgreement(job), useStopsOf(job, member), member);
  const ways = member === undefined ? [] : waysOf(job, member);
  const next = conditions.find((c) => !isVerified(c));
  if (member === undefined)
    return (
      <>
        <CardHead title="Hold before welding">
          Nothing holds this axle yet, so there is nothing to weld. Put it on at Locate.
        </CardHead>
        <WeldLog job={job} />
      </>
    );
  return (
    <>
      <CardHead title="Hold before welding">{`${HELD[job.place.holding ?? 'unsaid']} ${sumUp(conditions)}`}</CardHead>
      <div className="no-print">
        <WhichHeld value={member} />
      </div>
      <div className="joints">
        {points.map((point) => (
          <Joint
            key={`${member} ${point.bracket}`}
            member={member}
            point={point}
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
      <WeldLog job={job} />
    </>
  );
}

/** How the mounts of a member are fastened: welded, bolted, or one of each. */
const waysOf = (job: Job, member: string): ('welded' | 'bolted')[] => [
  ...new Set(heldPoints(job, member).map(({ bracket }) => fastening(job, { member, bracket }))),
];

const HELD = {
  weight: 'With the car on its own weight.',
  rests: 'With the axle on its rests.',
  unsaid: 'How the axle is held is not said yet: at Place.',
} as const;

function sumUp(conditions: Condition[]): string {
  const tack = conditions.filter((c) => c.step === 'tack');
  const verified = tack.filter(isVerified).length;
  const broken = tack.filter((c) => c.stripe.kind === 'broken').length;
  const open = tack.length - verified - broken;
  const parts = [`${verified} of ${tack.length} hold and are striped`];
  if (broken) parts.push(`${broken} changed since ${broken === 1 ? 'it was' : 'they were'} checked`);
  if (open) parts.push(`${open} still to check`);
  return `${parts.join('; ')}.`;
}
