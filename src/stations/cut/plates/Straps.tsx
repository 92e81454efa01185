'use client';
import { Checkbox } from 'antd';
import { strapDrawing, strapFault, strapSizes } from '@/core/fabricate/plates/strap';
import { withAlike, withAngles } from '@/core/job/edits/parts/parts';
import { angleOf } from '@/core/job/made/sway/angle';
import { strapOf } from '@/core/job/made/sway/strap';
import { SWAY_FAULTS } from '@/core/prove/faults/swayFaults';
import { sayLength } from '@/core/units/length';
import { edit, useJob } from '@/store/jobStore';
import { GradeField } from '@/ui/fields/GradeField';
import { AlikePart, type SizeField } from './AlikePart';

const FIELDS: SizeField<'strap'>[] = [
  ['wide', 'Bushing, width', 10, 120],
  ['high', 'Bushing, height', 10, 120],
  ['squeeze', 'Squeezed by', 0, 6],
  ['round', 'Its top, radius', 0, 60],
  ['thickness', 'Strap, thickness', 1, 12],
  ['width', 'Strap, width', 10, 100],
  ['bend', 'Bends, inside radius', 0, 25],
  ['foot', 'Feet, out from its sides', 10, 100],
  ['bolt', 'Bolts', 4, 20],
];

/** The straps that hold the sway bar's bushings, laid flat, and where their holes go. */
export function Straps() {
  const job = useJob();
  const of = strapOf(job);
  if (!of) return null;
  const { grade, ...sizes } = of;
  const { flat, apart } = strapSizes(of);
  const fault = strapFault(of);
  const angle = angleOf(job);
  const say = (mm: number) => sayLength(mm, job.tape);
  return (
    <AlikePart
      part="strap"
      title="Sway bar’s straps"
      shows="A strap laid flat, with the middle of its bends"
      drawing={strapDrawing(of)}
      sizes={sizes}
      fields={FIELDS}
    >
      {fault ? (
        <p className="field-problem" role="alert">
          {SWAY_FAULTS.strap[fault]}
        </p>
      ) : (
        <p className="hint" data-strap>
          Flat {say(flat)} long; bend the feet up and the top down over a bushing {say(of.wide)} wide.{' '}
          {angle
            ? `Its bolts stand ${say(apart)} apart, as the holes of its angle do.`
            : `Its bolts stand ${say(apart)} apart on the car: drill one by its drill sheet, set the strap with the bushing in place, and mark the other through it.`}
        </p>
      )}
      <GradeField
        label="Grade of its bolts"
        grade={grade}
        onPick={(to) => edit((j) => withAlike(j, 'strap', { grade: to }))}
      />
      <Checkbox checked={angle !== null} onChange={(e) => edit((j) => withAngles(j, e.target.checked))}>
        The straps stand on angles of their own
      </Checkbox>
    </AlikePart>
  );
}
