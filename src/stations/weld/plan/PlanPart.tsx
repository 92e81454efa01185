'use client';
import { Button, Segmented } from 'antd';
import { useState } from 'react';
import { nextStep, progressOf, type Leftover } from '@/core/plan/standing';
import type { Task } from '@/core/plan/task';
import { withoutOwnStep, withUndone } from '@/core/plan/edits';
import { edit, useJob } from '@/store/jobStore';
import { WAYS_OUT, waysOut } from '@/core/plan/waysOut';
import { setPreferences, usePreferences } from '@/store/preferences';
import { CardHead } from '@/ui/cards/Card';
import { AtTheCar } from './AtTheCar';
import { OwnSteps } from './OwnSteps';
import { PlanSheet } from './PlanSheet';
import { Step } from './Step';
import { StepList } from './StepList';
import { usePlan } from './usePlan';
import { WAY_OUT_WORDS } from './words';
import { Ways } from './Ways';
import './plan.css';

/** The order of the work on this car: what is next, what is done, what is in doubt, and why each comes when it does. */
export function PlanPart() {
  const plan = usePlan();
  const byPlace = usePreferences((s) => s.byPlace);
  const [atTheCar, setAtTheCar] = useState(false);
  if (!plan.ok) return <GoesRound circle={plan.circle} />;
  const { steps, leftovers } = plan;
  const { done, of, doubt } = progressOf(steps);
  const next = nextStep(steps);
  return (
    <>
      <div className="no-print">
        <CardHead title="The order of work">
          {done} of {of} steps done{doubt > 0 && `; ${doubt} done and in doubt, since the design has changed`}
          .
        </CardHead>
        <Ways />
        {steps
          .filter(({ standing }) => standing.kind === 'doubt')
          .slice(0, DOUBTS)
          .map((planned) => (
            <section key={planned.task.id} className="plan-doubt" data-doubt={planned.task.id}>
              <h2>In doubt: {planned.task.title}</h2>
              <Step planned={planned} />
            </section>
          ))}
        <Leftovers leftovers={leftovers} />
        {next ? (
          <section className="plan-next" data-next={next.task.id}>
            <h2>Next: {next.task.title}</h2>
            <Step planned={next} key={next.task.id} />
          </section>
        ) : (
          <p className="plan-next">Nothing is left to do.</p>
        )}
        <div className="tools">
          <Button onClick={() => setAtTheCar(true)}>One step a screen, at the car</Button>
          <Button onClick={() => window.print()}>Print the plan</Button>
        </div>
        <Segmented
          block
          aria-label="How the steps are listed"
          className="plan-by"
          options={[
            { value: 'order', label: 'In working order' },
            { value: 'place', label: 'What is left, by place' },
          ]}
          value={byPlace ? 'place' : 'order'}
          onChange={(by) => setPreferences({ byPlace: by === 'place' })}
        />
        <StepList steps={steps} shown={next?.task.id ?? null} />
        <OwnSteps />
      </div>
      <PlanSheet steps={steps} />
      {atTheCar && <AtTheCar steps={steps} onClose={() => setAtTheCar(false)} />}
    </>
  );
}

/** So many doubts are opened at once; the list marks them all. */
const DOUBTS = 3;

/** What was done that the plan, as it is now, has no use for. */
function Leftovers({ leftovers }: { leftovers: Leftover[] }) {
  if (leftovers.length === 0) return null;
  return (
    <section className="plan-doubt" data-part="leftovers">
      <h2>Done, and no longer part of the plan</h2>
      <ul className="plan-own">
        {leftovers.map(({ id, done }) => (
          <li key={id}>
            {done.title}
            <Button onClick={() => edit((j) => withUndone(j, id))}>Undone at the car too</Button>
          </li>
        ))}
      </ul>
    </section>
  );
}

/** No order can be drawn: which steps wait for each other, and what of it the builder put in. */
function GoesRound({ circle }: { circle: Task[] }) {
  const own = circle.filter(({ id }) => id.startsWith('own/'));
  const out = waysOut(useJob());
  return (
    <>
      <CardHead title="No order can be made of this">
        Steps wait for each other in a circle: each one below for the one before it, the first for the last.
      </CardHead>
      {out.length > 0 && (
        <div className="tools" data-part="ways-out">
          <p>{out.length > 1 ? 'Either of these has an order:' : 'This has an order:'}</p>
          {out.map((way) => (
            <Button type="primary" key={way} onClick={() => edit(WAYS_OUT[way])}>
              {WAY_OUT_WORDS[way]}
            </Button>
          ))}
        </div>
      )}
      {own.map((task) => (
        <div className="tools" key={task.id}>
          <Button type="primary" onClick={() => edit((j) => withoutOwnStep(j, task.id.replace('own/', '')))}>
            Take out your own step “{task.title}”
          </Button>
        </div>
      ))}
      <ol className="plan-circle" data-part="circle">
        {circle.map((task, i) => {
          const before = circle[(i + circle.length - 1) % circle.length]!;
          return (
            <li key={task.id}>
              <b>{task.title}</b> after {before.title}: {task.after.find(({ id }) => id === before.id)!.why}.
            </li>
          );
        })}
      </ol>
      <Ways />
    </>
  );
}
