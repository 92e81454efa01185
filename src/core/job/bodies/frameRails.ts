import { measured, measuredAcross } from '@/core/survey/readings';
import type { Obstacle } from '@/core/rig/schema';
import { signOf, SIDES, type Side } from '@/core/geometry/side';
import type { Job } from '@/core/job/jobSchema';
import { sizeOf } from './bodySizes';
import { drawnHeight } from '@/core/job/jobValues';

/** How far behind and ahead of the axle a rail is taken to run straight, mm. */
const RUN = { behind: 600, ahead: 900 };

/**
 * A frame rail above the axle, mm: its outer face from the centreline, left positive, and its underside off the floor; how wide it is
 * inward of that face, and how high.
 */
export type Rail = { side: Side; outside: number; underside: number; width: number; height: number };

export function railsOf({ readings, rig, place, bodies }: RailJob): Rail[] {
  const inner = rig.track / 2 - measured(readings, 'tireWidth').value / 2;
  const moved = drawnHeight({ place, readings }) - measuredAcross(readings, 'rideHeight');
  return SIDES.map((side) => ({
    side,
    outside: signOf(side) * (inner - measured(readings, 'gapFrame', side).value),
    underside: measured(readings, 'rideHeight', side).value + moved,
    width: sizeOf({ bodies, rig }, 'railWidth'),
    height: sizeOf({ bodies, rig }, 'railHeight'),
  }));
}
type RailJob = Pick<Job, 'readings' | 'rig' | 'place' | 'bodies'>;

/** What a rail is called among things in the way. */
export const railId = (side: Side): string => `${side} frame rail`;

/** The rails as things in the way, as they were measured. */
export const railsInTheWay = (job: RailJob): Obstacle[] =>
  railsOf(job).map(({ side, outside, underside, width, height }) => {
    const inside = outside - Math.sign(outside) * width;
    return {
      id: railId(side),
      on: 'chassis',
      shape: 'box',
      min: [-RUN.behind, Math.min(inside, outside), underside],
      max: [RUN.ahead, Math.max(inside, outside), underside + height],
    };
  });
