'use client';
import { Checkbox, Segmented, Select } from 'antd';
import { memo } from 'react';
import type { BarResult } from '@/core/swaybar/swayBarOverTravel';
import { linkHeight, BOLTS, type EndLink, type LinkEnd } from '@/core/swaybar/swayBarDesign';
import { sayCorner } from '@/core/roll/words';
import { formatDegrees, sayLength } from '@/core/units/length';
import { useJobPart } from '@/store/jobStore';
import { putBar } from '@/store/edits/rollEdits';
import { LengthField } from '@/ui/fields/LengthField';
import { barsAlikeIn, type BarProps } from './BarLength';
import type { Ways } from '@/core/units/ways';
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
                  Cocked {formatDegrees(most.most)} at most, {sayCorner(most.at)}; takes{' '}
                  {formatDegrees(most.allowed)}.
                </p>
              )}
            </div>
          );
        })}
      </div>
    </section>
  );
}

/** How each link stands; the right one by itself, where the two are not alike. */
const HowTheyStand = memo(
  function HowTheyStand({ bar }: BarProps) {
    const { link, foot, right } = bar;
    return (
      <>
        <OneLink
          of={{ link, foot }}
          field="roll"
          label={right ? 'Left link, eye to eye' : 'Eye to eye, at ride height'}
          put={(change, field, typed) => putBar(change, field, typed)}
        />
        <Checkbox
          className="tick"
          checked={right !== undefined}
          onChange={({ target }) => putBar({ right: target.checked ? { link, foot } : undefined })}
        >
          The right link stands otherwise
        </Checkbox>
        {right && (
          <OneLink
            of={right}
            field="roll/right"
            label="Right link, eye to eye"
            put={(change, field, typed) => putBar({ right: { ...right, ...change } }, field, typed)}
          />
        )}
      </>
    );
  },
  barsAlikeIn('link', 'foot', 'right'),
);

type OneLinkProps = {
  of: EndLink;
  /** what its fields are kept under */
  field: string;
  label: string;
  put: (change: Partial<EndLink>, field: string, typed: string) => void;
};

function OneLink({ of, field, label, put }: OneLinkProps) {
  const tape = useJobPart((j) => j.tape);
  const lean = (key: keyof EndLink['foot'], name: string, ways: Ways) => (
    <LengthField
      field={`${field}/foot/${key}`}
      label={name}
      showLabel
      mm={of.foot[key]}
      least={-400}
      most={400}
      ways={ways}
      onEnter={(mm, typed) => put({ foot: { ...of.foot, [key]: mm } }, `${field}/foot/${key}`, typed)}
    />
  );
  return (
    <div className="two-up">
      <LengthField
        field={`${field}/link`}
        label={label}
        showLabel
        mm={of.link}
        least={30}
        most={600}
        onEnter={(link, typed) => put({ link }, `${field}/link`, typed)}
      />
      <p className="hint">
        {sayLength(linkHeight(of), tape)} of it upright. Set it with the car on its wheels, arms about level.
      </p>
      {lean('out', 'Foot, from under its eye', ['outboard', 'inboard'])}
      {lean('ahead', 'Foot, from its eye', ['ahead', 'behind'])}
    </div>
  );
}

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
