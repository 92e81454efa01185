import { layOut } from '@/core/rig/layouts';
import { applyReadings } from '../applyReadings';
import type { Job } from '../jobSchema';
import { patternSize } from '../jobValues';
import type { Front } from '../slices/front';

/** The job with its front axle driven or not, its box on the frame or on the axle: shaft and drag link come from the pattern, or go. */
export function withFront(job: Job, change: Partial<Front>): Job {
  const front = { ...job.front, ...change };
  const { steering, driveshaft } = layOut(job.layout, patternSize(job), front);
  const rig = { ...job.rig, steering: steering && (job.rig.steering ?? steering) };
  rig.driveshaft = driveshaft && (job.rig.driveshaft ?? driveshaft);
  if (!rig.steering) delete rig.steering;
  if (!rig.driveshaft) delete rig.driveshaft;
  return applyReadings({ ...job, front, rig });
}
