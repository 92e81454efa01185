'use client';
import { enter, useJobPart } from '@/store/jobStore';
import { LengthField } from '@/ui/fields/LengthField';

/** Against which anti-squat and the moving of weight count. */
export function GravityHeight() {
  const cgHeight = useJobPart((j) => j.rig.cgHeight ?? 0);
  return (
    <section className="section">
      <h2>Height of the centre of gravity</h2>
      <LengthField
        field="cgHeight"
        label="Height of the centre of gravity"
        mm={cgHeight}
        least={200}
        most={1500}
        onEnter={(mm, typed) => enter('cgHeight', typed, (j) => ({ ...j, rig: { ...j.rig, cgHeight: mm } }))}
      />
      <p className="hint">About the height of the camshaft on most cars. Anti-squat counts against it.</p>
    </section>
  );
}
