'use client';
import { memo } from 'react';
import type { BarDesign } from '@/core/swaybar/swayBarDesign';
import { putBar } from '@/store/edits/rollEdits';
import { LengthField } from '@/ui/fields/LengthField';
import { SIDES } from '@/core/geometry/side';

/** Both eyes off the floor with the links off: whether the arms are clocked alike. */
export const Clocking = memo(function Clocking({ measured }: Pick<BarDesign, 'measured'>) {
  return (
    <section className="section">
      <h2>As made: are the arms clocked alike?</h2>
      <p className="hint">Car on its wheels, links off, bar in its bushings: both eyes off a level floor.</p>
      <div className="two-up">
        {SIDES.map((side) => (
          <LengthField
            key={side}
            field={`roll/measured/${side}`}
            label={side === 'left' ? 'Left eye' : 'Right eye'}
            showLabel
            mm={measured[side]}
            least={0}
            most={1500}
            placeholder="not measured"
            onEnter={(mm, typed) =>
              putBar({ measured: { ...measured, [side]: mm } }, `roll/measured/${side}`, typed)
            }
            onClear={() => putBar({ measured: { ...measured, [side]: null } }, `roll/measured/${side}`, null)}
          />
        ))}
      </div>
    </section>
  );
});
