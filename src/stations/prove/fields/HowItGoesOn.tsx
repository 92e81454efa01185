'use client';
import { Select } from 'antd';
import { withParts } from '@/core/job/edits/parts/parts';
import type { Bracket } from '@/core/job/made/bracketParts';
import { barEndAt, type LinkEnd } from '@/core/job/made/parts';
import type { BracketPart } from '@/core/job/slices/parts';
import { ELECTRODE_NAMES, ELECTRODES, type Electrode } from '@/core/materials/metals';
import { isUntouched, type BracketsOn } from '@/core/plan/bracketsOn';
import { edit, enter, useJobPart } from '@/store/jobStore';
import { Pills } from '@/ui/cards/Pills';
import { LengthField } from '@/ui/fields/LengthField';
import { NumberField } from '@/ui/fields/NumberField';

type Props = { part: string; member: string; end: LinkEnd; bracket: Bracket };

/** Whether a bracket is welded on or bolted on, and its weld; what has been begun with one way is not turned to the other here. */
export function HowItGoesOn({ part, member, end, bracket }: Props) {
  const untouched = useJobPart((j) => isUntouched(j, { member, bracket: barEndAt(end) }));
  const way = bracket.bolted ? 'bolted' : 'welded';
  return (
    <>
      {untouched ? (
        <Pills<BracketsOn>
          legend="It is"
          options={[
            { value: 'welded', label: 'welded on' },
            { value: 'bolted', label: 'bolted on' },
          ]}
          value={way}
          onPick={(to) => edit((j) => withParts(j, { brackets: { [part]: { bolted: to === 'bolted' } } }))}
        />
      ) : (
        <p className="hint">
          It is {way} on, and that has been begun: to do it the other way, take it off again at Weld, Hold.
        </p>
      )}
      {bracket.bolted ? (
        <p className="hint">What its own bolts carry is not reckoned: their pattern is not told.</p>
      ) : (
        <Weld part={part} bracket={bracket} />
      )}
    </>
  );
}

function Weld({ part, bracket }: Pick<Props, 'part' | 'bracket'>) {
  const type = (field: string, text: string | null, change: BracketPart) =>
    enter(`parts/${part}/${field}`, text, (j) => withParts(j, { brackets: { [part]: change } }));
  return (
    <>
      <LengthField
        field={`parts/${part}/leg`}
        label="Leg of the fillet"
        showLabel
        mm={bracket.leg}
        least={1}
        most={30}
        onEnter={(leg, typed) => type('leg', typed, { leg })}
      />
      <NumberField
        field={`parts/${part}/welded`}
        label="Of its length welded"
        showLabel
        value={100 * bracket.welded}
        least={5}
        most={100}
        unit="%"
        decimals={0}
        onEnter={(value, typed) => type('welded', typed, { welded: value / 100 })}
      />
      <label>
        <span className="length-label">Wire or rod</span>
        <Select<Electrode>
          aria-label="Wire or rod"
          value={bracket.electrode}
          onChange={(electrode) => edit((j) => withParts(j, { brackets: { [part]: { electrode } } }))}
          options={ELECTRODE_NAMES.map((name) => ({ value: name, label: ELECTRODES[name].name }))}
        />
      </label>
    </>
  );
}
