'use client';
import type { BendSheet } from '@/core/geometry/bends';
import { withParts } from '@/core/job/edits/parts/parts';
import { enter, useJobPart } from '@/store/jobStore';
import { LengthField } from '@/ui/fields/LengthField';
import { BendRows } from '@/ui/paper/BendRows';

/** How a bent bar is made from straight stock: cut after it is bent, for its ends lie where its bends end. */
export function BentBar({ part, sheet, radius }: { part: string; sheet: BendSheet; radius: number }) {
  const tape = useJobPart((j) => j.tape);
  const crowded = sheet.bends.some(({ straight }) => straight < 0);
  return (
    <section className="section">
      <h2>To have it bent</h2>
      <LengthField
        field={`parts/${part}/bendRadius`}
        label="Bend radius, to the middle of the tube"
        showLabel
        mm={radius}
        least={1}
        most={500}
        onEnter={(bendRadius, typed) =>
          enter(`parts/${part}/bendRadius`, typed, (j) => withParts(j, { bars: { [part]: { bendRadius } } }))
        }
      />
      <BendRows sheet={sheet} tape={tape} to="axle eye" />
      {crowded && (
        <p className="field-problem" role="alert">
          Two bends run into each other at that radius: bend it tighter, or set them farther apart.
        </p>
      )}
      <p className="hint">
        From the frame eye, to where the straight lines meet. Bend it long and cut both ends after: check it
        with a straight stick of the true eye-to-eye length. With a ball at both ends it flops over: one end
        must not roll.
      </p>
    </section>
  );
}
