import type { SpringPlate } from '@/core/fabricate/plates/springPlate';
import { mountsOf } from '@/core/rig/mounts';
import { leavesOf } from '@/core/rig/roles';
import { measured } from '@/core/survey/readings';
import { MM_PER_INCH } from '@/core/units/tape';
import { sizeOf } from '@/core/job/bodies/bodySizes';
import type { Job } from '@/core/job/jobSchema';

const inch = (n: number) => n * MM_PER_INCH;

/** As they commonly are (common practice, no published source), mm. */
const USUAL = {
  leafWidth: inch(2.5),
  pad: inch(1 / 4),
  plate: inch(3 / 8),
  edge: inch(3 / 8),
  uBolt: inch(1 / 2),
  pin: inch(1 / 2),
  trim: 0,
};

/** The plate under each leaf spring as it is made: as was said of it, as its pack is at Roll, else as is usual; null of a car without leaves. */
export function springPlateOf(job: Job): SpringPlate | null {
  if (leavesOf(job.rig).length === 0) return null;
  const { springs } = job.roll;
  const pack = springs?.kind === 'leaf' ? springs : null;
  const { ear, ...said } = job.parts.springPlate ?? {};
  return {
    ...USUAL,
    tube: measured(job.readings, 'tubeDiameter').value,
    pack: pack ? pack.thickness * pack.count : sizeOf(job, 'leaf'),
    ...(pack && { leafWidth: pack.width }),
    ...said,
    ear: ear ? { ...usualEar(job), ...ear } : null,
  };
}

/** An ear as it usually is, mm: where the sway bar's link stands on the axle; without one, inboard of the spring. */
function usualEar({ rig }: Job): NonNullable<SpringPlate['ear']> {
  const seat = mountsOf(rig, leavesOf(rig)[0]!.id).find(({ key }) => key === 'seat')!.point;
  const [bar] = rig.swayBars ?? [];
  const foot = bar?.mountedOn === 'chassis' ? bar.links.left : null;
  const hole = USUAL.pin;
  return foot
    ? { ahead: foot[0] - seat[0], out: Math.abs(foot[1]) - Math.abs(seat[1]), hole }
    : { ahead: 0, out: -inch(3), hole };
}
