import type { Job } from '@/core/job/jobSchema';
import { assemble } from '@/core/kinematics/mechanism';
import { antiSquatOf } from '@/core/kinematics/pose';
import { withMount, type MountChange } from '@/core/rig/mounts';
import type { Rig } from '@/core/rig/schema';
import { orNone } from '@/core/rig/read';
import { division, MM_PER_INCH } from '@/core/units/tape';

/** What an error in the place of a mount is told by. */
const TOLD = {
  rollCentre: { name: 'roll centre', may: MM_PER_INCH / 4 },
  antiSquat: { name: 'anti-squat', may: 3 },
  rollSteer: { name: 'roll steer', may: 0.01 },
} as const;
type Told = keyof typeof TOLD;

/** How near a bracket can be set with a tape, and how far off one never is without more being wrong, mm: 1/16 and 1/4 in (common practice). */
const LEAST = MM_PER_INCH / 16;
const MOST = MM_PER_INCH / 4;

/** How far off a mount may be along an axis, mm, and what that would cost most of: null where it costs next to nothing. */
export type Tolerance = { mm: number; costs: string | null };

/** What being off would tell in, after how far off it is; nothing where it costs next to nothing. */
export const tellsIn = ({ costs }: Pick<Tolerance, 'costs'>): string =>
  costs ? `, which tells in ${costs}` : '';

/**
 * How far off a mount may be set along an axis, mm: as far as moves the roll centre by a quarter inch, anti-squat by three per cent or roll
 * steer by a hundredth, whichever comes first, by the change that one mm makes; never less than a tape can set nor more than a quarter
 * inch. Down to a line of the tape.
 */
export function placeTolerance(
  { rig, tape }: Pick<Job, 'rig' | 'tape'>,
  at: Omit<MountChange, 'mm'>,
  now: number,
): Tolerance {
  const figures = (mm: number) => orNone(() => figuresAt(withMount(rig, { ...at, mm })));
  const [low, high] = [figures(now - 1), figures(now + 1)];
  const worth = (Object.keys(TOLD) as Told[]).flatMap((told) => {
    const [a, b] = [low?.[told], high?.[told]];
    if (a == null || b == null || a === b) return [];
    return [{ told, mm: TOLD[told].may / Math.abs((b - a) / 2) }];
  });
  const first = worth.reduce<(typeof worth)[number] | null>((p, q) => (p && p.mm <= q.mm ? p : q), null);
  const free = Math.min(MOST, Math.max(LEAST, first?.mm ?? MOST));
  const line = division(tape);
  return {
    mm: Math.max(LEAST, Math.floor(free / line + 1e-9) * line),
    costs: first && first.mm < MOST ? TOLD[first.told].name : null,
  };
}

function figuresAt(rig: Rig): Record<Told, number | null> {
  const { ride } = assemble(rig);
  return {
    rollCentre: ride.rollCentreHeight,
    // In front nothing is said of it.
    antiSquat: antiSquatOf(rig, ride),
    rollSteer: ride.rollSteer,
  };
}
