'use client';
import type { Air } from '@/core/springs/springDesign';
import type { Tape } from '@/core/units/tape';
import { useJobPart } from '@/store/jobStore';
import { putSprings } from '@/store/edits/rollEdits';
import { LengthField } from '@/ui/fields/LengthField';
import { NumberField } from '@/ui/fields/NumberField';
import { StandFields } from './StandFields';
import { AREA, AREA_GROWTH, PRESSURE, VOLUME } from '@/core/units/unit';

/** What an air spring is told by: how it is shown and read, its least and most in either unit, and its decimals. */
const AIR: {
  key: 'pressure' | 'area' | 'volume' | 'growth';
  label: string;
  unit: (tape: Tape) => string;
  show: (v: number, tape: Tape) => number;
  read: (v: number, tape: Tape) => number;
  mm: [least: number, most: number, decimals: number];
  inch: [least: number, most: number, decimals: number];
}[] = [
  {
    key: 'pressure',
    label: 'Pressure at ride height',
    unit: PRESSURE.sign,
    show: PRESSURE.shown,
    read: PRESSURE.read,
    mm: [0.1, 20, 2],
    inch: [1, 300, 1],
  },
  {
    key: 'area',
    label: 'Area it pushes with',
    unit: AREA.sign,
    show: AREA.shown,
    read: AREA.read,
    mm: [1, 2000, 2],
    inch: [1, 300, 1],
  },
  {
    key: 'volume',
    label: 'Air in it at ride height',
    unit: VOLUME.sign,
    show: VOLUME.shown,
    read: VOLUME.read,
    mm: [0.1, 50, 2],
    inch: [5, 3000, 0],
  },
  {
    key: 'growth',
    label: 'Area grows as it shortens, by',
    unit: AREA_GROWTH.sign,
    show: AREA_GROWTH.shown,
    read: AREA_GROWTH.read,
    mm: [-20, 60, 2],
    inch: [-20, 35, 1],
  },
];

export function AirFields({ springs }: { springs: Air }) {
  const tape = useJobPart((j) => j.tape);
  return (
    <>
      <div className="two-up">
        <LengthField
          field="roll/springOd"
          label="Widest, as it bulges"
          showLabel
          mm={springs.od}
          least={40}
          most={400}
          onEnter={(od, typed) => putSprings({ od }, 'roll/springOd', typed)}
        />
        {AIR.map(({ key, label, unit, show, read, mm, inch }) => {
          const [least, most, decimals] = tape === 'mm' ? mm : inch;
          return (
            <NumberField
              key={key}
              field={`roll/air/${key}`}
              label={label}
              showLabel
              value={show(springs[key], tape)}
              least={least}
              most={most}
              unit={unit(tape)}
              decimals={decimals}
              onEnter={(shown, typed) => putSprings({ [key]: read(shown, tape) }, `roll/air/${key}`, typed)}
            />
          );
        })}
      </div>
      <p className="hint">
        The maker’s load at a pressure, divided by that pressure, is the area; its chart at two heights tells
        how it grows: a rolling sleeve little, a double bellows a good deal. A tank open to the bag counts as
        air in it.
      </p>
      <StandFields name="roll/spring" stands={springs} onPut={putSprings} />
    </>
  );
}
