'use client';
import { Select } from 'antd';
import { ARM_SET_BY, type ArmSetBy } from '@/core/job/slices/work/ride';
import { ARM_TUBE } from '@/core/ride/armWork';
import { edit, enter, useJob } from '@/store/jobStore';
import { LengthField } from '@/ui/fields/LengthField';
import { AdjusterRow } from './AdjusterRow';

const WAYS: Record<ArmSetBy, string> = {
  shims: 'shims at its front mount',
  tubes: 'two threaded tubes at the housing',
  plate: 'a slotted plate at the housing',
  fixed: 'nothing: all of it is welded',
};

/** How the pinion is set at a torque arm. */
export function ArmAdjuster() {
  const { ride } = useJob();
  const arm = ride.arm ?? { by: 'shims' as const, apart: null };
  const split = arm.by === 'tubes' || arm.by === 'plate';
  return (
    <>
      <li data-adjuster="torque-arm">
        <b>pinion, at the torque arm</b>
        <Select<ArmSetBy>
          aria-label="How the pinion is set at the torque arm"
          value={arm.by}
          options={ARM_SET_BY.map((value) => ({ value, label: WAYS[value] }))}
          onChange={(by) => edit((j) => ({ ...j, ride: { ...j.ride, arm: { ...arm, by } } }))}
        />
        {split && (
          <LengthField
            field="ride/arm.apart"
            label={arm.by === 'tubes' ? 'Tubes apart at the housing' : 'Bolts apart at the plate'}
            showLabel
            mm={arm.apart}
            least={20}
            most={600}
            placeholder="measure"
            onEnter={(apart, typed) =>
              enter('ride/arm.apart', typed, (j) => ({ ...j, ride: { ...j.ride, arm: { ...arm, apart } } }))
            }
          />
        )}
      </li>
      {arm.by === 'tubes' && (
        <AdjusterRow
          id={ARM_TUBE}
          name="upper tube of the torque arm"
          adjuster={ride.adjusters[ARM_TUBE] ?? null}
          ends={['arm', 'housing']}
        />
      )}
    </>
  );
}
