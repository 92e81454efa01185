'use client';
import { Button } from 'antd';
import { usualSprings, type SpringDesign } from '@/core/roll/design';
import { rateUnit, readRate, sayRate, showRate } from '@/core/units/rates';
import { edit, useJob } from '@/store/jobStore';
import { LengthField } from '@/ui/LengthField';
import { NumberField } from '@/ui/NumberField';
import { Readout, Readouts } from '@/ui/Card';
import { useRoll } from '@/workers/analysis';
import { putSprings } from './design';

const PLACES: [key: Exclude<keyof SpringDesign, 'rate'>, label: string, least: number, most: number][] = [
  ['out', 'From the centreline', 100, 900],
  ['top', 'Top, off the floor', 200, 1500],
  ['bottom', 'Bottom, off the floor', 50, 1000],
  ['ahead', 'From the axle', -800, 800],
];

/** The pair of springs: rate and where they stand; what they come to at the wheels. */
export function SpringPart() {
  const job = useJob();
  const { springs } = job.roll;
  const { tape } = job;
  const answer = useRoll((s) => s.result?.answer.springs?.[0]);
  const set = (next: SpringDesign | null) => edit((j) => ({ ...j, roll: { ...j.roll, springs: next } }));
  if (!springs)
    return (
      <section className="section">
        <h2>Springs</h2>
        <p>Not told yet.</p>
        <Button type="primary" onClick={() => set(usualSprings(job.rig))}>
          Start from a usual pair
        </Button>
      </section>
    );
  return (
    <section className="section">
      <h2>Springs, each</h2>
      <div className="two-up">
        <NumberField
          field="roll/rate"
          label="Rate"
          showLabel
          value={showRate(springs.rate, tape)}
          least={1}
          most={2000}
          unit={rateUnit(tape)}
          decimals={tape === 'mm' ? 1 : 0}
          onEnter={(shown) => putSprings({ rate: readRate(shown, tape) }, 'roll/rate', String(shown))}
        />
        {PLACES.map(([key, label, least, most]) => (
          <LengthField
            key={key}
            field={`roll/spring/${key}`}
            label={label}
            showLabel
            mm={springs[key]}
            least={least}
            most={most}
            ways={key === 'ahead' ? ['ahead', 'behind'] : undefined}
            onEnter={(mm, typed) => putSprings({ [key]: mm }, `roll/spring/${key}`, typed)}
          />
        ))}
      </div>
      {answer && (
        <Readouts>
          <Readout name="Spring moves, for an inch of both wheels">{answer.motionRatio.toFixed(2)}</Readout>
          <Readout name="At the wheel, each">{sayRate(answer.wheelRate, tape)}</Readout>
        </Readouts>
      )}
    </section>
  );
}
