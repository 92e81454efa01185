'use client';
import { Select } from 'antd';
import { linksOf } from '@/core/rig/members/members';
import { memberName } from '@/core/rig/names';
import { edit, useJobPart } from '@/store/jobStore';

/** Which of the bars is worked on, on the saw and at its hold points; nothing of a car that has only one. */
export function WhichBar({ label, value }: { label: string; value: string }) {
  const ids = useJobPart((j) => linksOf(j.rig).map((m) => m.id));
  const end = useJobPart((j) => j.rig.end);
  if (ids.length < 2) return null;
  return (
    <label className="which-bar">
      <span>{label}</span>
      <Select
        aria-label="Which bar"
        value={value}
        onChange={(id) => edit((j) => ({ ...j, cut: { ...j.cut, member: id } }))}
        options={ids.map((id) => ({ value: id, label: memberName(id, end) }))}
      />
    </label>
  );
}
