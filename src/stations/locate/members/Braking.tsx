'use client';
import type { Rig } from '@/core/rig/schema';
import { edit, useJobPart } from '@/store/jobStore';
import { NumberField } from '@/ui/fields/NumberField';

/** The rear's share of the braking: with it, how much of the tail's rise the members hold down. */
export function Braking() {
  const share = useJobPart((j) => j.rig.brakes?.rearShare ?? null);
  const put = (rearShare: number | null) =>
    edit((j) => {
      const rig: Rig = { ...j.rig };
      delete rig.brakes;
      return { ...j, rig: rearShare === null ? rig : { ...rig, brakes: { rearShare } } };
    });
  return (
    <section className="section">
      <h2>Rear’s share of the braking</h2>
      <NumberField
        field="rearShare"
        label="Rear’s share of the braking"
        value={share === null ? null : 100 * share}
        least={0}
        most={100}
        unit="%"
        decimals={1}
        placeholder="not told"
        onEnter={(percent) => put(percent / 100)}
        onClear={() => put(null)}
      />
      <p className="hint">
        With it, the anti-lift stands beside the anti-squat: the same slope, for the rear’s part of the
        braking. Most cars brake 30 to 40 % behind.
      </p>
    </section>
  );
}
