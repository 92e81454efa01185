import { travelOf } from '@/core/job/jobValues';
import type { Job } from '@/core/job/jobSchema';
import type { Mechanism } from '@/core/kinematics/mechanism';
import { travelAt } from '@/core/kinematics/travelCorners';
import { ownBody } from '@/core/swaybar/packaging';
import { swayBarGaps } from '@/core/swaybar/swayBarOverTravel';
import type { Gap } from '../types';

/** What the sway bar of a job, and its links, are called among bodies. */
const NAMES = { bar: 'sway-bar', 'end link': 'end link' } as const;

/** Which part of the sway bar a place is of; null of any other. */
export const swayBarPartAt = ({ a }: Gap): keyof typeof NAMES | null =>
  a === NAMES.bar ? 'bar' : a === NAMES['end link'] ? 'end link' : null;

/**
 * The tightest place of the sway bar and of its links with each other body over the corners of the travel, the tightest first; none of a car
 * without one, or whose links are off. What the bar stands beside on the body that carries it does not move against it, and is left out
 * unless they meet.
 */
export function swayBarPlaces(job: Job, mechanism: Mechanism): Gap[] {
  const { rig, roll } = job;
  const { bar } = roll;
  if (!bar?.hooked) return [];
  const travel = travelOf(job);
  return swayBarGaps({ rig, ...travel }, bar, mechanism)
    .filter((gap) => gap.distance <= 0 || !ownBody({ rig, bar }, gap))
    .map(({ part, body, distance, corner }) => ({
      a: NAMES[part],
      b: body,
      distance,
      at: travelAt(corner, travel.bump, travel.droop),
    }));
}
