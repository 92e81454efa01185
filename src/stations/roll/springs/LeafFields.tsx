'use client';
import { Button } from 'antd';
import { leafRate } from '@/core/springs/leafPack';
import type { Leaves } from '@/core/springs/springDesign';
import { useJobPart } from '@/store/jobStore';
import { putSprings } from '@/store/edits/rollEdits';
import { LengthField } from '@/ui/fields/LengthField';
import { NumberField } from '@/ui/fields/NumberField';
import { SPRING_RATE } from '@/core/units/unit';

const LEAF_LENGTHS: [
  key: 'out' | 'front' | 'rear' | 'width' | 'thickness',
  label: string,
  least: number,
  most: number,
][] = [
  ['front', 'Seat to front eye', 150, 1200],
  ['rear', 'Seat to rear eye', 150, 1200],
  ['width', 'Width of the leaves', 20, 150],
  ['thickness', 'Thickness of a leaf', 2, 30],
  ['out', 'Seat, from the centreline', 100, 900],
];

export function LeafFields({ springs }: { springs: Leaves }) {
  const tape = useJobPart((j) => j.tape);
  return (
    <>
      <div className="two-up">
        {LEAF_LENGTHS.map(([key, label, least, most]) => (
          <LengthField
            key={key}
            field={`roll/leaf/${key}`}
            label={label}
            showLabel
            decimal={key === 'thickness'}
            mm={springs[key]}
            least={least}
            most={most}
            onEnter={(mm, typed) => putSprings({ [key]: mm }, `roll/leaf/${key}`, typed)}
          />
        ))}
        <NumberField
          field="roll/leaf/count"
          label="Leaves in the pack"
          showLabel
          value={springs.count}
          least={1}
          most={20}
          unit=""
          decimals={0}
          whole
          onEnter={(count) => putSprings({ count, full: Math.min(springs.full, count) })}
        />
        <NumberField
          field="roll/leaf/full"
          label="of them full length"
          showLabel
          value={springs.full}
          least={0}
          most={springs.count}
          unit=""
          decimals={0}
          whole
          onEnter={(full) => putSprings({ full })}
        />
        <NumberField
          field="roll/leaf/measured"
          label="Rate as weighed"
          showLabel
          value={springs.measured === null ? null : SPRING_RATE.shown(springs.measured, tape)}
          least={1}
          most={20_000}
          unit={SPRING_RATE.sign(tape)}
          decimals={tape === 'mm' ? 1 : 0}
          placeholder="not weighed"
          onEnter={(shown, typed) =>
            putSprings({ measured: SPRING_RATE.read(shown, tape) }, 'roll/leaf/measured', typed)
          }
          onClear={() => putSprings({ measured: null }, 'roll/leaf/measured', null)}
        />
      </div>
      <p className="hint" data-readout="leafRate">
        By its leaves it comes to {SPRING_RATE.say(leafRate(springs), tape)} at the seat. Friction makes a
        real pack stiffer over small bumps: two weights on the bed and a tape tell its own rate.
        {springs.measured !== null && (
          <Button size="small" className="quiet" onClick={() => putSprings({ measured: null })}>
            go by the leaves
          </Button>
        )}
      </p>
    </>
  );
}
