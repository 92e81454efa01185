import { holesKey, nearestHole } from '@/core/job/made/bracketHoles';
import type { Job } from '@/core/job/jobSchema';
import type { Holes } from '@/core/job/slices/locate';
import { mountsOf, type MountChange } from '@/core/rig/mounts';
import { sayLength } from '@/core/units/length';
import type { Remedy } from '@/core/verdict/verdict';

/** Nearer than this a height is that of a hole, mm. */
const SAME = 0.5;

/** A remedy as the holes of the brackets let it be done: what has a row of holes goes to the one nearest to where it was to go. */
export function inHoles(job: Job, remedy: Remedy): Remedy {
  const { changes = [] } = remedy;
  const moved = changes.flatMap((change) => {
    const row = change.axis === 2 ? job.holes[holesKey(change.member, change.end)] : undefined;
    return row ? [{ change, row, mm: nearestHole(row, change.mm) }] : [];
  });
  if (moved.length === 0) return remedy;
  const fitted = changes.map((change) => {
    const hole = moved.find((one) => one.change === change);
    return hole ? { ...change, mm: hole.mm } : change;
  });
  const [first] = moved;
  const exact = moved.every(({ change, mm }) => Math.abs(change.mm - mm) < SAME);
  const text =
    changes.length === 1
      ? toHole(job, first!.change, first!.row, first!.mm)
      : `${remedy.text}${exact ? '' : ', as near as its holes let it'}: ${holeAt(first!.row, first!.mm)}`;
  return { ...remedy, text, changes: fitted };
}

/** `Lower the frame end to hole 2 of 5 (1 in)`. */
function toHole({ rig, tape }: Job, { member, end }: MountChange, row: Holes, mm: number): string {
  const mount = mountsOf(rig, member).find(({ key }) => key === end)!;
  const by = mm - mount.point[2];
  return `${by < 0 ? 'Lower' : 'Raise'} the ${mount.name.toLowerCase()} to ${holeAt(row, mm)} (${sayLength(Math.abs(by), tape)})`;
}

const holeAt = ({ lowest, pitch, count }: Holes, mm: number): string =>
  `hole ${Math.round((mm - lowest) / pitch) + 1} of ${count}, from below`;
