'use client';
import type { Air } from '@/core/roll/springDesign';
import {
  areaUnit,
  growthUnit,
  pressureUnit,
  readArea,
  readGrowth,
  readPressure,
  readVolume,
  showArea,
  showGrowth,
  showPressure,
  showVolume,
  volumeUnit,
} from '@/core/units/air';
import type { Tape } from '@/core/units/tape';
import { useJobPart } from '@/store/jobStore';
import { putSprings } from '@/store/roll';
import { NumberField } from '@/ui/NumberField';
import { StandFields } from './StandFields';

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
    unit: pressureUnit,
    show: showPressure,
    read: readPressure,
    mm: [0.1, 20, 2],
    inch: [1, 300, 1],
  },
  {
    key: 'area',
    label: 'Area it pushes with',
    unit: areaUnit,
    show: showArea,
    read: readArea,
    mm: [1, 2000, 2],
    inch: [1, 300, 1],
  },
  {
    key: 'volume',
    label: 'Air in it at ride height',
    unit: volumeUnit,
    show: showVolume,
    read: readVolume,
    mm: [0.1, 50, 2],
    inch: [5, 3000, 0],
  },
  {
    key: 'growth',
    label: 'Area grows as it shortens, by',
    unit: growthUnit,
    show: showGrowth,
    read: readGrowth,
    mm: [-20, 60, 2],
    inch: [-20, 35, 1],
  },
];

export function AirFields({ springs }: { springs: Air }) {
  const tape = useJobPart((j) => j.tape);
  return (
    <>
      <div className="two-up">
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
              onEnter={(shown) => putSprings({ [key]: read(shown, tape) })}
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
