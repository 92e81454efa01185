'use client';
import { Select } from 'antd';
import { JOINT_NAMES, JOINTS, jointsOf, type JointName, type MemberJoints } from '@/core/materials/joints';
import { memberName } from '@/core/rig/names';
import { edit, useJobPart } from '@/store/jobStore';
import { usePreferences } from '@/store/preferences';
import { withJoints } from '@/core/job/edits/mounts';

const ENDS = { chassis: 'frame end', axle: 'axle end' } as const;
const STAND: Record<MemberJoints['brackets'], string> = {
  turned: 'turned to the bar',
  square: 'square to the car',
};

/** What a link's eyes are made with: how far they swing, and how much they give. */
export function Joints({ member }: { member: string }) {
  const { chassis, axle, brackets } = useJobPart((j) => jointsOf(j.joints, member));
  const name = useJobPart((j) => memberName(member, j.rig.end));
  const alike = usePreferences((s) => s.alike);
  const set = (change: Partial<MemberJoints>) => edit((j) => withJoints(j, member, change, alike));
  const made = { chassis, axle };
  return (
    <div className="joints-row">
      {(['chassis', 'axle'] as const).map((end) => (
        <label key={end}>
          <span>{ENDS[end]}</span>
          <Select<JointName>
            aria-label={`${name}, joint at the ${ENDS[end]}`}
            value={made[end]}
            onChange={(joint) => set({ [end]: joint })}
            options={JOINT_NAMES.map((name) => ({ value: name, label: JOINTS[name].name }))}
          />
        </label>
      ))}
      <label>
        <span>brackets</span>
        <Select<MemberJoints['brackets']>
          aria-label={`${name}, how its brackets stand`}
          value={brackets}
          onChange={(next) => set({ brackets: next })}
          options={(['turned', 'square'] as const).map((b) => ({ value: b, label: STAND[b] }))}
        />
      </label>
    </div>
  );
}
