import type { BarDesign } from '@/core/swaybar/swayBarDesign';
import { bendSheet } from '@/core/swaybar/bendSchedule';
import { sayLength } from '@/core/units/length';
import { useJobPart } from '@/store/jobStore';
import { putBar } from '@/store/edits/rollEdits';
import { BendRows } from '@/ui/paper/BendRows';
import { LengthField } from '@/ui/fields/LengthField';

/** What whoever bends the bar wants to know; from the left eye to the right one. */
export function BendTable({ bar }: { bar: BarDesign }) {
  const tape = useJobPart((j) => j.tape);
  const sheet = bendSheet(bar);
  const { bends, blank } = sheet;
  const crowded = bends.some((b) => b.straight < 0);
  return (
    <section className="section">
      <h2>To have it bent</h2>
      <div className="two-up">
        <LengthField
          field="roll/bendRadius"
          label="Bend radius, to the bar’s middle"
          showLabel
          mm={bar.bendRadius}
          least={0}
          most={400}
          onEnter={(bendRadius, typed) => putBar({ bendRadius }, 'roll/bendRadius', typed)}
        />
        <p className="hint" data-readout="blank">
          End hole to end hole along the bar {sayLength(blank, tape)}, whichever hole is used; the eyes’ own
          stock comes on top.
        </p>
      </div>
      <BendRows sheet={sheet} tape={tape} />
      {crowded && (
        <p className="field-problem" role="alert">
          Two bends run into each other at that radius: bend it tighter, or set them farther apart.
        </p>
      )}
      <p className="hint">
        Lengths to where the straight lines meet. Turned: of the bender’s plane about the bar, clockwise seen
        from the left eye. The stiffness is that of sharp corners; the bends make it a little stiffer.
      </p>
    </section>
  );
}
