'use client';
import { Button } from 'antd';
import { holesKey, nearestHole } from '@/core/job/made/bracketHoles';
import { edit, useJobPart } from '@/store/jobStore';
import { moveMounts } from '@/store/edits/mountEdits';
import { usePreferences } from '@/store/preferences';
import { LengthField } from '@/ui/fields/LengthField';
import { NumberField } from '@/ui/fields/NumberField';
import { mountsOf } from '@/core/rig/mounts';
import { pairOf } from '@/core/rig/roles';
import type { MountKey } from '@/core/rig/members/kind';
import type { Holes } from '@/core/job/slices/locate';
import type { Job } from '@/core/job/jobSchema';
import { without } from '@/core/job/edits/omit';

/** A new bracket's holes: three, three quarters of an inch apart, the middle one where the eye is now. */
const USUAL = { pitch: 19.05, count: 3 };

type Props = { member: string; mountKey: MountKey; mountName: string };

/** A bracket with a row of holes: the eye can only be bolted where one is, and drags snap to them. */
export function BracketHoles({ member, mountKey, mountName }: Props) {
  const key = holesKey(member, mountKey);
  const holes = useJobPart((j) => j.holes[key] ?? null);
  const height = useJobPart((j) => mountsOf(j.rig, member).find((m) => m.key === mountKey)!.point[2]);
  const alike = usePreferences((s) => s.alike);
  const put = (next: Holes | null) => edit((j) => withHoles(j, member, mountKey, next, alike));
  if (!holes) {
    return (
      <Button
        type="link"
        className="put-back holes-open"
        aria-label={`${mountName}: bracket with holes`}
        onClick={() => put({ ...USUAL, lowest: height - USUAL.pitch })}
      >
        bracket with holes
      </Button>
    );
  }
  const hole = nearestHole(holes, height);
  const number = Math.round((hole - holes.lowest) / holes.pitch) + 1;
  const between = Math.abs(hole - height) > 0.5;
  const go = (n: number) =>
    moveMounts([{ member, end: mountKey, axis: 2, mm: holes.lowest + (n - 1) * holes.pitch }]);
  return (
    <div className="bracket-holes">
      <div className="hole-row" role="group" aria-label={`${mountName}: which hole`}>
        <Button disabled={number <= 1} onClick={() => go(number - 1)} aria-label="One hole down">
          ▼
        </Button>
        <span>{between ? 'between holes' : `hole ${number} of ${holes.count}, from below`}</span>
        <Button disabled={number >= holes.count} onClick={() => go(number + 1)} aria-label="One hole up">
          ▲
        </Button>
      </div>
      <LengthField
        field={`holes/${key}/lowest`}
        label="lowest hole, off the floor"
        showLabel
        mm={holes.lowest}
        least={20}
        most={1500}
        onEnter={(lowest) => put({ ...holes, lowest })}
      />
      <LengthField
        field={`holes/${key}/pitch`}
        label="hole to hole"
        showLabel
        mm={holes.pitch}
        least={6}
        most={200}
        onEnter={(pitch) => put({ ...holes, pitch })}
      />
      <NumberField
        field={`holes/${key}/count`}
        label="holes"
        showLabel
        value={holes.count}
        least={2}
        most={20}
        unit=""
        decimals={0}
        whole
        onEnter={(count) => put({ ...holes, count })}
      />
      <Button type="link" className="put-back" onClick={() => put(null)}>
        no holes
      </Button>
    </div>
  );
}

function withHoles(job: Job, member: string, key: MountKey, next: Holes | null, alike: boolean): Job {
  const keys = (alike ? pairOf(member) : [member]).map((id) => holesKey(id, key));
  const holes = keys.reduce((all, k) => (next ? { ...all, [k]: next } : without(all, k)), job.holes);
  return { ...job, holes };
}
