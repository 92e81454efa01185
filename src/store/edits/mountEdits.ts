import { edit } from '@/store/jobStore';
import { setRocker } from '@/store/rocker';
import { usePreferences } from '@/store/preferences';
import type { MountChange } from '@/core/rig/mounts';
import { onBothSides, withMounts } from '@/core/job/edits/mounts';

/**
 * Moves mounts, with their like on the other side when that is asked for.
 *
 * @param text what was typed for the one coordinate that is changed, if it was typed
 */
export function moveMounts(changes: MountChange[], text?: string): void {
  // Mounts are set at ride height, so the axle goes back there first.
  setRocker(0, 0);
  edit((job) => {
    const all = usePreferences.getState().alike ? onBothSides(job, changes) : changes;
    const moved = withMounts(job, all);
    if (text === undefined) return moved;
    return {
      ...moved,
      typed: { ...moved.typed, ...Object.fromEntries(all.map((c) => [mountField(c), text])) },
    };
  });
}

/** The name under which a mount's coordinate is typed. */
export const mountField = ({ member, end, axis }: Pick<MountChange, 'member' | 'end' | 'axis'>): string =>
  `${member}/${end}/${axis}`;
