import type { Job } from '@/core/job/jobSchema';
import { orNone } from '@/core/rig/read';
import { memberName } from '@/core/rig/names';
import { turnsFor } from '@/core/ride/turns/adjusters';
import { settingOf } from '@/core/ride/alignment';
import { steeringOf } from '@/core/ride/steering';

/** Something to be done at Ride: what it sets, at which part, how far: turns, positive longer, and mm; `direction` in words. */
export type Order = { what: string; by: string; turns?: number; mm: number; direction: string };

const WHAT = { centre: 'centre the axle', square: 'square the axle', pinion: 'set the pinion' } as const;

/** What Ride orders of the readings on the ground, in order; nothing where all is as wanted, or nothing was asked for. */
export function ordersOf(job: Job): Order[] {
  return [...barOrders(job), ...rodOrders(job)];
}

function barOrders(job: Job): Order[] {
  // Where no length of the bars does it, nothing is ordered: the screen says why.
  const steps = orNone(() => settingOf(job))?.steps ?? [];
  return steps.flatMap(({ task, bars }) =>
    bars.map((bar): Order => {
      const turns = turnsFor(bar.adjuster, bar.mm);
      const [more, less] =
        bar.by === 'foot' ? ['forward', 'back'] : bar.by === 'pin' ? ['up', 'down'] : ['longer', 'shorter'];
      return {
        what: task === 'pinion' && job.rig.end === 'front' ? 'set the caster' : WHAT[task],
        by: memberName(bar.id, job.rig.end),
        ...(turns !== null && { turns }),
        mm: bar.mm,
        direction: bar.mm >= 0 ? more! : less!,
      };
    }),
  );
}

function rodOrders(job: Job): Order[] {
  const steering = steeringOf(job);
  const rods = [
    ['set toe', steering?.toe?.rod],
    ['set the steering wheel straight', steering?.straight?.rod],
  ] as const;
  return rods.flatMap(([what, rod]): Order[] =>
    rod
      ? [
          {
            what,
            by: memberName(rod.id, job.rig.end),
            ...(rod.turns !== null && { turns: rod.turns }),
            mm: rod.mm,
            direction: rod.mm >= 0 ? 'longer' : 'shorter',
          },
        ]
      : [],
  );
}
