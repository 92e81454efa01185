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

/** Where the sway bar's left link stands on the axle, mm from the left spring's pin: ahead, and out from the car's middle; null where it does not. */
function footAt({ rig }: Job): { ahead: number; out: number } | null {
  const seat = mountsOf(rig, leavesOf(rig)[0]!.id).find(({ key }) => key === 'seat')!.point;
  const [bar] = rig.swayBars ?? [];
  const foot = bar?.mountedOn === 'chassis' ? bar.links.left : null;
  return foot && { ahead: foot[0] - seat[0], out: Math.abs(foot[1]) - Math.abs(seat[1]) };
}

/** An ear as it usually is, mm: under the foot of the sway bar's link; without one, inboard of the spring. */
const usualEar = (job: Job): NonNullable<SpringPlate['ear']> => ({
  ...(footAt(job) ?? { ahead: 0, out: -inch(3) }),
  hole: USUAL.pin,
});

/** An ear farther than this from a link's foot, seen from above, is there for something else, mm. */
const NEAR = inch(1);

/** Whether the end links of the sway bar stand on the plates' ears. */
export function isOnEar(job: Job, { ear }: Pick<SpringPlate, 'ear'>): boolean {
  const foot = ear && footAt(job);
  return ear !== null && foot !== null && Math.hypot(ear.ahead - foot.ahead, ear.out - foot.out) <= NEAR;
}
