'use client';
import { edit, enter, useJob } from '@/store/jobStore';
import { LengthField } from '@/ui/fields/LengthField';
import { StripeButton } from '@/ui/stripe/Stripe';
import { drawStripe, wipeStripe } from '@/ui/stripe/stripeEdits';
import { without } from '@/core/job/edits/omit';
import type { Job } from '@/core/job/jobSchema';
import { measuredFor, measuredKey, stripeKey, type Condition } from '@/core/weld/conditions/condition';

const MOST = 1500;

type Props = { member: string; condition: Condition; next: boolean };

/** One condition of a member: designed, as measured, and the stripe that says the builder checked it. */
export function ConditionRow({ member, condition, next }: Props) {
  const job = useJob();
  const { id, label, how, designed, fields, confirm, known, problem, stripe, holds, basis } = condition;
  const key = stripeKey(member, id);
  const answer = measuredKey(member, id);

  function draw() {
    // A plain yes is answered by its stripe: what it rests on is the answer itself.
    if (confirm) edit((j) => drawStripe(withMeasured(j, answer, true), key, { ...basis, answer: true }));
    else edit((j) => drawStripe(j, key, basis));
  }
  const wipe = () =>
    edit((j) => (confirm ? withMeasured(wipeStripe(j, key), answer, false) : wipeStripe(j, key)));

  return (
    <li
      className={`condition ${stripe.kind}${next ? ' next' : ''}`}
      data-condition={id}
      data-holds={String(holds)}
      data-stripe={stripe.kind}
    >
      <div className="condition-what">
        <h3>{label}</h3>
        <p className="hint">{how}</p>
        {stripe.kind === 'broken' && <p className="changed">Since checked: {stripe.changes.join('; ')}.</p>}
        {problem && <p className="changed">{problem}</p>}
      </div>
      {!confirm && (
        <div className="condition-figures">
          <p className="designed">
            <span className="hint">designed</span> {designed}
          </p>
          <div className="measured">
            {fields.map((f) => (
              <LengthField
                key={f.key}
                field={`weld/${measuredKey(member, f.key)}`}
                label={f.label}
                showLabel
                mm={measuredFor(job, member, f.key)}
                least={0}
                most={f.key === 'eyeToEye' || f.key.startsWith('place.') ? 2 * MOST : MOST}
                placeholder="measure"
                onEnter={(mm, typed) =>
                  enter(`weld/${measuredKey(member, f.key)}`, typed, (j) =>
                    withMeasured(j, measuredKey(member, f.key), mm),
                  )
                }
                onClear={() =>
                  enter(`weld/${measuredKey(member, f.key)}`, null, (j) =>
                    withMeasured(j, measuredKey(member, f.key), null),
                  )
                }
              />
            ))}
          </div>
        </div>
      )}
      {!known && (
        <StripeButton
          stripe={stripe}
          label={label}
          disabled={!confirm && holds !== true}
          onDraw={draw}
          onWipe={wipe}
        />
      )}
    </li>
  );
}

function withMeasured(job: Job, key: string, value: number | boolean | null): Job {
  const rest = without(job.weld.measured, key);
  return { ...job, weld: { ...job.weld, measured: value === null ? rest : { ...rest, [key]: value } } };
}
