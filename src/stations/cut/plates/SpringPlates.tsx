'use client';
import { Checkbox } from 'antd';
import {
  earFault,
  springPlateDrawing,
  uBoltFor,
  type SpringPlate,
} from '@/core/fabricate/plates/springPlate';
import { withAlike } from '@/core/job/edits/parts/parts';
import { springPlateOf } from '@/core/job/made/springPlate';
import { sayBolt } from '@/core/materials/boltSize';
import { SWAY_FAULTS } from '@/core/prove/faults/swayFaults';
import { sayLength } from '@/core/units/length';
import { edit, enter, useJob } from '@/store/jobStore';
import { LengthField } from '@/ui/fields/LengthField';
import { AlikePart, type SizeField } from './AlikePart';

const EAR: [key: keyof NonNullable<SpringPlate['ear']>, label: string, least: number, most: number][] = [
  ['ahead', 'Its hole ahead of the pin', -400, 400],
  ['out', 'Its hole outboard of the pin', -400, 400],
  ['hole', 'Its hole', 3, 60],
];

const FIELDS: SizeField<'springPlate'>[] = [
  ['leafWidth', 'Leaves, width', 10, 150],
  ['pack', 'Pack at the seat, thickness', 3, 200],
  ['pad', 'Pad between spring and tube', 0, 80],
  ['plate', 'Plate', 2, 40],
  ['uBolt', 'U-bolt', 5, 30],
  ['edge', 'Steel left round its holes', 2, 80],
  ['pin', 'Head of the centring pin', 4, 40],
  ['trim', 'Axle set to and fro by', 0, 60],
];

/** The plates that clamp leaf springs to the axle, and the U-bolts that go with them. */
export function SpringPlates() {
  const job = useJob();
  const of = springPlateOf(job);
  if (!of) return null;
  const { ear, ...sizes } = of;
  const said = job.parts.springPlate?.ear;
  const fault = earFault(of);
  const { inside, length, thread } = uBoltFor(of);
  const say = (mm: number) => sayLength(mm, job.tape);
  return (
    <AlikePart
      part="springPlate"
      title="Spring plates and U-bolts"
      shows="A spring plate from below, as it is cut"
      drawing={springPlateDrawing(of)}
      sizes={sizes}
      fields={FIELDS}
    >
      <Checkbox
        checked={ear !== null}
        onChange={(e) => edit((j) => withAlike(j, 'springPlate', { ear: e.target.checked ? {} : undefined }))}
      >
        with an ear for a stud or the boss of a link
      </Checkbox>
      {ear && (
        <>
          <div className="cut-tube">
            {EAR.map(([key, label, least, most]) => (
              <LengthField
                key={key}
                field={`parts/springPlate/ear/${key}`}
                label={label}
                showLabel
                mm={ear[key]}
                least={least}
                most={most}
                onEnter={(mm, typed) =>
                  enter(`parts/springPlate/ear/${key}`, typed, (j) =>
                    withAlike(j, 'springPlate', { ear: { ...said, [key]: mm } }),
                  )
                }
              />
            ))}
          </div>
          {fault && (
            <p className="field-problem" role="alert">
              {SWAY_FAULTS.ear[fault]}
            </p>
          )}
          <p className="hint">
            Drawn for the left side; the right plate is the same turned over. A stud that stands out of one
            plate alone wants a shoulder against it, a washer on each side of the bushing and a nut that
            locks; a boss welded in must not cut the bushing it holds. What pulls at it is not reckoned.
          </p>
        </>
      )}
      <p className="hint" data-ubolt>
        U-bolts {sayBolt(of.uBolt)}, {say(inside)} between their legs, {say(length)} long inside at least,{' '}
        {say(thread)} of it thread.{' '}
        {of.trim > 0 && 'The pin’s hole is drawn out: square the axle before the nuts are tight. '}
        Tighten crosswise with the car’s weight on its wheels, to the maker’s figure, and again after the
        first drive; U-bolts are not used twice.
      </p>
    </AlikePart>
  );
}
