'use client';
import { Select } from 'antd';
import { heldIds } from '@/core/weld/held';
import { capital, memberName } from '@/core/rig/names';
import { useJobPart } from '@/store/jobStore';
import { holdAt } from './holdAt';

/** What is looked at before it is fixed: a bar, an arm, a crank, a spring or the sway bar; nothing of a car that has only one. */
export function WhichHeld({ value }: { value: string }) {
  const ids = useJobPart((j) => heldIds(j).join('\n'));
  const end = useJobPart((j) => j.rig.end);
  const all = ids.split('\n');
  if (all.length < 2) return null;
  return (
    <label className="which-bar">
      <span>What is mounted</span>
      <Select
        aria-label="Which bar"
        virtual={false}
        value={value}
        onChange={holdAt}
        options={all.map((id) => ({ value: id, label: capital(memberName(id, end)) }))}
      />
    </label>
  );
}
