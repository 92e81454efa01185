'use client';
import { Segmented, Select } from 'antd';
import { memo } from 'react';
import type { BarResult } from '@/core/swaybar/swayBarOverTravel';
import { linkHeight, type BarDesign, BOLTS, type LinkEnd } from '@/core/swaybar/swayBarDesign';
import { formatDegrees, sayLength } from '@/core/units/length';
import { useJobPart } from '@/store/jobStore';
import { putBar } from '@/store/edits/rollEdits';
import { LengthField } from '@/ui/fields/LengthField';
import { BarLength, barsAlikeIn, type BarProps } from './BarLength';
import { LINK_JOINT_NAMES, LINK_JOINTS } from '@/core/materials/joints';

type Cocked = NonNullable<BarResult['links']>['cocked'];

/** The end links: how long, how they stand, what they are joined with, and what that comes to in travel. */
export function LinkFields({ bar, cocked }: BarProps & { cocked: Cocked | null }) {
  return (
    <section className="section">
      <h2>End links</h2>
      <HowTheyStand bar={bar} />
      <div className="joints-of-link">
        {(['bar', 'foot'] as const).map((end) => {
          const most = cocked?.find((c) => c.end === end);
          return (
            <div key={end}>
              <h3>Joint {END_NAMES[end]}</h3>
              <LinkEndFields bar={bar} end={end} />
              {most && (
                <p className="hint" data-readout={`cocked-${end}`}>
                  Cocked {formatDegrees(most.most)} at most, {most.at}; takes {formatDegrees(most.allowed)}.
                </p>
              )}
            </div>
          );
        })}
      </div>
    </section>
  );
}

const HowTheyStand = memo(
  function HowTheyStand({ bar }: BarProps) {
    const tape = useJobPart((j) => j.tape);
    const foot = (change: Partial<BarDesign['foot']>, field: string, typed: string) =>
      putBar({ foot: { ...bar.foot, ...change } }, field, typed);
    return (
      <div className="two-up">
        <BarLength bar={bar} of="link" label="Eye to eye, at ride height" least={30} most={600} />
        <p className="hint">
          {sayLength(linkHeight(bar), tape)} of it upright. Set it with the car on its wheels, arms about
          level.
        </p>
        <LengthField
          field="roll/foot/out"
          label="Foot, from under its eye"
          showLabel
          mm={bar.foot.out}
          least={-400}
          most={400}
          ways={['outboard', 'inboard']}
          onEnter={(out, typed) => foot({ out }, 'roll/foot/out', typed)}
        />
        <LengthField
          field="roll/foot/ahead"
          label="Foot, from its eye"
          showLabel
          mm={bar.foot.ahead}
          least={-400}
          most={400}
          ways={['ahead', 'behind']}
          onEnter={(ahead, typed) => foot({ ahead }, 'roll/foot/ahead', typed)}
        />
      </div>
    );
  },
  barsAlikeIn('link', 'foot'),
);

const END_NAMES = { bar: 'at the bar', foot: 'at its foot' };

const LinkEndFields = memo(function LinkEndFields({ bar, end }: BarProps & { end: 'bar' | 'foot' }) {
  const put = (change: Partial<LinkEnd>) =>
    putBar({ ends: { ...bar.ends, [end]: { ...bar.ends[end], ...change } } });
  return (
    <>
      <Select<LinkEnd['joint']>
        aria-label={`Joint ${END_NAMES[end]}`}
        value={bar.ends[end].joint}
        options={LINK_JOINT_NAMES.map((value) => ({ value, label: LINK_JOINTS[value].name }))}
        onChange={(joint) => put({ joint })}
      />
      <Segmented<LinkEnd['bolt']>
        aria-label={`Bolt ${END_NAMES[end]}`}
        options={BOLTS.map((value) => ({ value, label: `bolt ${value}` }))}
        value={bar.ends[end].bolt}
        onChange={(bolt) => put({ bolt })}
      />
    </>
  );
}, barsAlikeIn('ends'));
