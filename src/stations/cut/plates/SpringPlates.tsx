'use client';
import { springPlateDrawing, uBoltFor } from '@/core/fabricate/plates/springPlate';
import { springPlateOf } from '@/core/job/made/springPlate';
import { sayBolt } from '@/core/materials/boltSize';
import { sayLength } from '@/core/units/length';
import { useJob } from '@/store/jobStore';
import { AlikePart, type SizeField } from './AlikePart';

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
  const { inside, length, thread } = uBoltFor(of);
  const say = (mm: number) => sayLength(mm, job.tape);
  return (
    <AlikePart
      part="springPlate"
      title="Spring plates and U-bolts"
      shows="A spring plate from below, as it is cut"
      drawing={springPlateDrawing(of)}
      sizes={of}
      fields={FIELDS}
    >
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
