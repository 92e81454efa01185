'use client';
import { angleDrawing, angleFault, angleSizes } from '@/core/fabricate/plates/angle';
import { angleOf } from '@/core/job/made/sway/angle';
import { SWAY_FAULTS } from '@/core/prove/faults/swayFaults';
import { sayLength } from '@/core/units/length';
import { useJob } from '@/store/jobStore';
import { AlikePart, type SizeField } from './AlikePart';

const FIELDS: SizeField<'angle'>[] = [
  ['under', 'Leg under the strap, outside', 15, 150],
  ['against', 'Other leg, outside', 15, 150],
  ['thickness', 'Angle, thickness', 1, 15],
  ['bend', 'Fold, inside radius', 0, 25],
  ['edge', 'Past its bolts', 5, 60],
];

/** The angles that the sway bar's straps stand on, laid flat. */
export function Angles() {
  const job = useJob();
  const of = angleOf(job);
  if (!of) return null;
  const { flat, length } = angleSizes(of);
  const fault = angleFault(of);
  const say = (mm: number) => sayLength(mm, job.tape);
  return (
    <AlikePart
      part="angle"
      title="Angles under the straps"
      shows="An angle laid flat, the leg under its strap below, with its fold"
      drawing={angleDrawing(of)}
      sizes={of}
      fields={FIELDS}
    >
      {fault ? (
        <p className="field-problem" role="alert">
          {SWAY_FAULTS.angle[fault]}
        </p>
      ) : (
        <p className="hint" data-angle>
          Flat {say(flat)} by {say(length)}, folded along the line. Clamp it where it is to be, strap, bushing
          and bar in place, and mark its holes through it.
        </p>
      )}
    </AlikePart>
  );
}
