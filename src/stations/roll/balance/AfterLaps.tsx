'use client';
import { Button, Segmented } from 'antd';
import { useState } from 'react';
import type { Tuning } from '@/core/roll/analyse';
import { curesFor } from '@/core/roll/levers';
import { useJob } from '@/store/jobStore';
import { forget, think } from '@/store/edits/rollEdits';
import { leverName, sayLever } from './leverWords';

type Felt = 'pushed' | 'loose';
type Much = 'little' | 'plainly' | 'badly';

/** How much balance is worth changing for what was felt, as a share (common practice, no published source). */
const WORTH: Record<Much, number> = { little: 0.01, plainly: 0.025, badly: 0.05 };

/** What the driver felt, and what each lever by itself would have to do about it. */
export function AfterLaps({ tuning }: { tuning: Tuning }) {
  const { rig, tape } = useJob();
  const [felt, setFelt] = useState<Felt>('pushed');
  const [much, setMuch] = useState<Much>('plainly');
  const cures = curesFor(tuning.levers, felt === 'pushed' ? WORTH[much] : -WORTH[much]);
  return (
    <section className="section">
      <h2>After the first laps</h2>
      <div className="two-up">
        <Segmented<Felt>
          aria-label="What it did in a steady corner"
          options={[
            { value: 'pushed', label: 'it pushed' },
            { value: 'loose', label: 'tail came out' },
          ]}
          value={felt}
          onChange={setFelt}
        />
        <Segmented<Much>
          aria-label="How much"
          options={[
            { value: 'little', label: 'a little' },
            { value: 'plainly', label: 'plainly' },
            { value: 'badly', label: 'badly' },
          ]}
          value={much}
          onChange={setMuch}
        />
      </div>
      <ul className="cures">
        {cures.map(({ id, by }) => (
          <li key={id} data-cure={id}>
            <span>
              {leverName(id, rig.end)}: <b>{sayLever(id, by, tape)}</b>
            </span>
            <Button
              aria-label={`Try it: ${leverName(id, rig.end)}, ${sayLever(id, by, tape)}`}
              onClick={() => {
                forget();
                think({ [id]: by });
              }}
            >
              Try it
            </Button>
          </li>
        ))}
      </ul>
      <p className="hint">
        {cures.length === 0 ? 'No lever of this car reaches that far by itself; try less at a time. ' : ''}
        One thing at a time, then the same corner again. First rule out tyres, pressures, shocks and a bar
        that is hooked up unevenly: they feel alike.
      </p>
    </section>
  );
}
