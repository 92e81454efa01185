import { holesKey } from '@/core/job/made/bracketHoles';
import { withMounts } from '@/core/job/edits/mounts';
import type { Job } from '@/core/job/jobSchema';
import { coordinateNow } from '@/core/rig/mounts';
import { orNone } from '@/core/rig/read';
import { MM_PER_INCH, type Tape } from '@/core/units/tape';
import type { Remedy } from '@/core/verdict/verdict';
import { effectsOf, type Effect } from './effects';
import { lookAt, type Look } from './look';

/** What each step of a mount is worth, mm: by it gains are weighed against losses. `way` is where a coordinate grows. */
export type Trade = { step: number; byHole: boolean; way: 'ahead' | 'to the left' | 'up'; effects: Effect[] };

const WAYS = ['ahead', 'to the left', 'up'] as const;

/** How far a mount is moved at a time where nothing else is said, mm. */
export const moveStep = (tape: Tape): number => (tape === 'mm' ? 10 : MM_PER_INCH / 2);

/** What one step of the mounts that a remedy moves does to the car, solved; null where it does not move them all alike one way. */
export function tradeOf(job: Job, before: Look, { changes = [] }: Remedy): Trade | null {
  const [first] = changes;
  if (!first) return null;
  const by = changes.map((change) => change.mm - coordinateNow(job.rig, change)!);
  const alike = changes.every(({ axis }, i) => axis === first.axis && Math.abs(by[i]! - by[0]!) < 0.5);
  if (!alike) return null;
  const row = first.axis === 2 ? job.holes[holesKey(first.member, first.end)] : undefined;
  const step = row?.pitch ?? moveStep(job.tape);
  const moved = changes.map((change) => ({ ...change, mm: coordinateNow(job.rig, change)! + step }));
  const after = orNone(() => lookAt(withMounts(job, moved), { cures: false }));
  return (
    after && {
      step,
      byHole: row !== undefined,
      way: WAYS[first.axis],
      effects: effectsOf(before.numbers, after.numbers),
    }
  );
}
