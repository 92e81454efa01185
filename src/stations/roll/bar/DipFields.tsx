'use client';
import { Button } from 'antd';
import { memo } from 'react';
import type { BarDesign } from '@/core/swaybar/swayBarDesign';
import { putBar } from '@/store/edits/rollEdits';
import { LengthField } from '@/ui/fields/LengthField';
import { barsAlikeIn, type BarProps } from './BarLength';

const MOST_DIPS = 3;

/** Dips and humps of the middle, for exhaust, differential and driveshaft. */
export const DipFields = memo(
  function DipFields({ bar }: BarProps) {
    const put = (i: number, change: Partial<BarDesign['dips'][number]>, field: string, typed: string) =>
      putBar({ dips: bar.dips.map((d, k) => (k === i ? { ...d, ...change } : d)) }, field, typed);
    return (
      <section className="section">
        <h2>Dips</h2>
        {bar.dips.map((dip, i) => (
          <div className="dip-row" key={i}>
            <LengthField
              field={`roll/dip/${i}/depth`}
              label="How deep"
              showLabel
              mm={dip.depth}
              least={-400}
              most={400}
              ways={['down', 'up']}
              onEnter={(depth, typed) => put(i, { depth }, `roll/dip/${i}/depth`, typed)}
            />
            <LengthField
              field={`roll/dip/${i}/width`}
              label="Wide at its bottom"
              showLabel
              mm={dip.width}
              least={20}
              most={1500}
              onEnter={(width, typed) => put(i, { width }, `roll/dip/${i}/width`, typed)}
            />
            <LengthField
              field={`roll/dip/${i}/at`}
              label="Its middle"
              showLabel
              mm={dip.at}
              least={-900}
              most={900}
              ways={['left', 'right']}
              onEnter={(at, typed) => put(i, { at }, `roll/dip/${i}/at`, typed)}
            />
            <Button
              aria-label={`Straighten dip ${i + 1}`}
              onClick={() => putBar({ dips: bar.dips.filter((_, k) => k !== i) })}
            >
              ×
            </Button>
          </div>
        ))}
        {bar.made === 'arms' ? (
          <p className="hint">
            A bar with arms of its own is mostly straight: it can then be turned end for end.
          </p>
        ) : null}
        <Button
          disabled={bar.dips.length >= MOST_DIPS}
          onClick={() => putBar({ dips: [...bar.dips, { at: 0, depth: 100, width: 200 }] })}
        >
          Dip the middle
        </Button>
      </section>
    );
  },
  barsAlikeIn('made', 'dips'),
);
