'use client';
import { Button } from 'antd';
import { memo } from 'react';
import type { Dip } from '@/core/swaybar/swayBarDesign';
import { putBar } from '@/store/edits/rollEdits';
import type { Ways } from '@/core/units/ways';
import { LengthField } from '@/ui/fields/LengthField';
import { barsAlikeIn, type BarProps } from './BarLength';

const MOST_DIPS = 3;

type DipProps = { dip: Dip; i: number };

/** One dip or hump; kept as it is while another one is dragged. */
const DipRow = memo(function DipRow({ dip, i }: DipProps) {
  const length = (of: keyof Dip, label: string, least: number, most: number, ways?: Ways) => (
    <LengthField
      field={`roll/dip/${i}/${of}`}
      label={label}
      showLabel
      mm={dip[of]}
      least={least}
      most={most}
      ways={ways}
      onEnter={(mm, typed) =>
        putBar(
          ({ dips }) => ({ dips: dips.with(i, { ...dips[i]!, [of]: mm }) }),
          `roll/dip/${i}/${of}`,
          typed,
        )
      }
    />
  );
  return (
    <div className="dip-row">
      {length('depth', 'How deep', -400, 400, ['down', 'up'])}
      {length('width', 'Wide at its bottom', 20, 1500)}
      {length('at', 'Its middle', -900, 900, ['left', 'right'])}
      <Straighten i={i} />
    </div>
  );
});

const Straighten = memo(function Straighten({ i }: { i: number }) {
  return (
    <Button
      aria-label={`Straighten dip ${i + 1}`}
      onClick={() => putBar(({ dips }) => ({ dips: dips.toSpliced(i, 1) }))}
    >
      ×
    </Button>
  );
});

/** Dips and humps of the middle, for exhaust, differential and driveshaft. */
export const DipFields = memo(
  function DipFields({ bar }: BarProps) {
    return (
      <section className="section">
        <h2>Dips</h2>
        {bar.dips.map((dip, i) => (
          <DipRow key={i} {...{ dip, i }} />
        ))}
        {bar.made === 'arms' ? (
          <p className="hint">
            A bar with arms of its own is mostly straight: it can then be turned end for end.
          </p>
        ) : null}
        <DipTheMiddle full={bar.dips.length >= MOST_DIPS} />
      </section>
    );
  },
  barsAlikeIn('made', 'dips'),
);

const DipTheMiddle = memo(function DipTheMiddle({ full }: { full: boolean }) {
  const dip = { at: 0, depth: 100, width: 200 };
  return (
    <Button disabled={full} onClick={() => putBar(({ dips }) => ({ dips: [...dips, dip] }))}>
      Dip the middle
    </Button>
  );
});
