import type { Strap } from '@/core/fabricate/plates/strap';
import { MM_PER_INCH } from '@/core/units/tape';
import type { Job } from '@/core/job/jobSchema';
import type { BoltGrade } from '@/core/materials/metals';
import { barHeldIn } from './barHeld';

const inch = (n: number) => n * MM_PER_INCH;

/** Rubber or urethane round a bar, and a strap, as they commonly are (common practice, no published source), mm. */
const RUBBER = inch(3 / 8);
const USUAL = {
  squeeze: inch(1 / 16),
  thickness: inch(1 / 8),
  width: inch(1.25),
  bend: inch(1 / 8),
  foot: inch(1.25),
  bolt: inch(3 / 8),
  grade: 'grade-5',
} as const;

/** The strap over each bushing of the sway bar as it is made: as was said of it, else as is usual for its bar; null of a car whose bar turns in none. */
export function strapOf(job: Job): (Strap & { grade: BoltGrade }) | null {
  const { bar } = job.roll;
  if (!bar || barHeldIn(job) !== 'straps') return null;
  const { parts } = job;
  const wide = parts.strap?.wide ?? bar.od + 2 * RUBBER;
  return { ...USUAL, wide, high: bar.od + 2 * RUBBER, round: wide / 2, ...parts.strap };
}
