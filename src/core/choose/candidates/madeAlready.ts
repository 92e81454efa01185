import { distance } from '@/core/geometry/vector';
import type { Job } from '@/core/job/jobSchema';
import type { Design } from '@/core/job/slices/choose';
import type { Joint } from '@/core/weld/fastening';
import { heldIds, heldPoints } from '@/core/weld/held';
import { jointState } from '@/core/weld/holdPoint';

/** Two places nearer than this are one, mm. */
const SAME = 0.5;

/** What is on the car, tacked or bolted or farther, and stands elsewhere in a design or is not in it. */
export function madeElsewhere(job: Job, design: Design): Joint[] {
  const wanted = {
    ...job,
    rig: { ...job.rig, members: design.members },
    roll: { ...job.roll, ...design.roll },
  };
  return heldIds(job).flatMap((member) =>
    heldPoints(job, member)
      .filter(({ bracket, at }) => {
        if (jointState(job, { member, bracket }) === 'scribed') return false;
        const then = heldPoints(wanted, member).find((one) => one.bracket === bracket);
        return !then || (at !== null && then.at !== null && distance(at, then.at) > SAME);
      })
      .map(({ bracket }) => ({ member, bracket })),
  );
}
