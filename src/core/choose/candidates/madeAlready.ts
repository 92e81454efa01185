import { distance } from '@/core/geometry/vector';
import type { Job } from '@/core/job/jobSchema';
import { BRACKETS } from '@/core/job/slices/fields';
import type { Design } from '@/core/job/slices/choose';
import { mountsOf } from '@/core/rig/mounts';
import { jointState, type Joint } from '@/core/weld/holdPoint';

const END = { frame: 'chassis', axle: 'axle' } as const;
/** Two places nearer than this are one, mm. */
const SAME = 0.5;

/** Brackets that are on the car, tacked or bolted or farther, and stand elsewhere in a design or are not in it. */
export function madeElsewhere(job: Job, design: Design): Joint[] {
  const wanted = { ...job.rig, members: design.members };
  return job.rig.members.flatMap(({ id: member }) =>
    BRACKETS.filter((bracket) => {
      if (jointState(job, { member, bracket }) === 'scribed') return false;
      const placeIn = (rig: Job['rig']) =>
        mountsOf(rig, member).find(({ key }) => key === END[bracket])?.point;
      const [now, then] = [placeIn(job.rig), placeIn(wanted)];
      return !now || !then || distance(now, then) > SAME;
    }).map((bracket) => ({ member, bracket })),
  );
}
