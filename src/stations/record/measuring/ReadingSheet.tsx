'use client';
import type { Step } from '@/core/record/plan';
import { type Quantity } from '@/core/survey/quantities/quantities';
import { bothSides } from '@/core/survey/readings';
import { sayValue } from '@/core/units/values';
import { useJob } from '@/store/jobStore';
import { QuantityField } from '@/ui/fields/QuantityField';
import { keepReading, limitsOf, readingField } from './readingEdits';
import { ReadingList } from './ReadingList';

/** The whole measuring plan on one sheet, left beside right. */
export function Sheet({ plan }: { plan: Step[] }) {
  const quantities = [...new Set(plan.map((s) => s.quantity))];
  return (
    <table className="readings">
      <thead>
        <tr>
          <th scope="col">What</th>
          <th scope="col">left</th>
          <th scope="col">right</th>
        </tr>
      </thead>
      <tbody>
        {quantities.map((q) => (
          <Row key={q.key} quantity={q} steps={plan.filter((s) => s.quantity === q)} />
        ))}
      </tbody>
    </table>
  );
}

function Row({ quantity, steps }: { quantity: Quantity; steps: Step[] }) {
  const { readings, tape } = useJob();
  const both = quantity.sided ? bothSides(readings, quantity.key) : null;
  const apart = both ? Math.abs(both.left.value - both.right.value) : 0;
  return (
    <tr>
      <th scope="row">
        {quantity.label}
        <span className="hint">{steps[0]!.how}</span>
        {apart > 0.05 && (
          <span className="hint differ">differ by {sayValue(apart, quantity.unit, tape)}</span>
        )}
      </th>
      {steps.map((step) => (
        <td key={step.key} colSpan={quantity.sided ? 1 : 2}>
          <Cell step={step} />
        </td>
      ))}
    </tr>
  );
}

function Cell({ step }: { step: Step }) {
  const { readings } = useJob();
  const { quantity, side, key } = step;
  return (
    <div className="reading-cell" data-reading={key}>
      <QuantityField
        {...limitsOf(step)}
        field={readingField(key)}
        label={side ? `${quantity.label}, ${side}` : quantity.label}
        value={null}
        about={quantity.standIn}
        placeholder={readings[key]?.length ? 'again' : '–'}
        onEnter={(value, typed, by) => keepReading(step, value, typed, by)}
      />
      <ReadingList spot={step} />
    </div>
  );
}
