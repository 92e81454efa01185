import { toRadians } from '@/core/geometry/angle';
import type { Point } from '@/core/geometry/vector';
import { withBodies } from '@/core/job/bodies/bodies';
import type { Job } from '../jobSchema';
import { mountId, withPlaced } from '../placed';

/**
 * The job with its axle turned about its own tube in the drawing, until the pinion points so many degrees nose down: its joint goes
 * round with it. What holds the axle stays where it is. The same job where nothing drives the axle.
 */
export function withPinionAngle(job: Job, deg: number): Job {
  const { driveshaft, tireRadius } = job.rig;
  if (!driveshaft) return job;
  const turn = toRadians(deg - driveshaft.pinionAngleDeg);
  const [c, s] = [Math.cos(turn), Math.sin(turn)];
  const [x, y, z] = driveshaft.pinion;
  const up = z - tireRadius;
  const pinion: Point = [c * x + s * up, y, tireRadius + c * up - s * x];
  return withBodies({
    ...withPlaced(job, [mountId('driveshaft', 'pinion')]),
    typed: { ...job.typed, 'driveshaft/pinionAngleDeg': String(Math.round(deg * 100) / 100) },
    rig: { ...job.rig, driveshaft: { ...driveshaft, pinion, pinionAngleDeg: deg } },
  });
}
