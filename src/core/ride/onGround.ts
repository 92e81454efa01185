import { slopeAlong } from '@/core/survey/floor';
import { aheadByWheelbase } from '@/core/survey/readings';
import { COVERAGE, estimate, propagate, type Estimate } from '@/core/survey/uncertainty';
import { toDegrees } from '@/core/geometry/angle';
import type { Side } from '@/core/geometry/side';
import type { Job } from '@/core/job/jobSchema';
import type { Belief, Round } from '@/core/job/slices/work/ride';

/** The axle as it stands on the ground, as far as it was read. */
export type OnGround = {
  /** to the left of the middle, mm; by the frame and by the body */
  byFrame: Estimate | null;
  byFender: Estimate | null;
  /** the one that is believed, or the only one there is; and the offset by it */
  by: Belief;
  offset: Estimate | null;
  /** left wheel ahead of the right, mm over the track */
  ahead: Estimate | null;
  /** pinion, degrees, nose down positive, less the slope of a sound floor */
  pinion: Estimate | null;
  /** how far the body sits to the left on its frame, mm */
  bodyOnFrame: Estimate | null;
  /** floor to frame above the axle, mm */
  height: Record<Side, Estimate | null>;
  /** front axles: how much less the tyres are apart in front than behind, mm */
  toe: Estimate | null;
};

const tape = (mm: number): Estimate => estimate([mm], 'tape');

/**
 * Offset = half of one gap less the other: the wider gap to the frame is on the side the axle has gone to, the wider gap to
 * the fender on the side it has left. Toe-in = distance behind less distance in front, at hub height.
 */
export function onGround(job: Job): OnGround {
  const { gaps, fender, believe, read } = job.ride;
  const of = (a: number | undefined, b: number | undefined, f: (x: number, y: number) => number) =>
    a === undefined || b === undefined ? null : propagate([tape(a), tape(b)], ([x, y]) => f(x!, y!));
  const half = (x: number, y: number) => (x - y) / 2;
  const byFrame = of(gaps.left, gaps.right, half);
  const byFender = of(fender.right, fender.left, half);
  const by =
    believe === 'fender' ? (byFender ? 'fender' : 'frame') : byFrame || !byFender ? 'frame' : 'fender';
  const one = (key: string) => (read[key] === undefined ? null : tape(read[key]));
  return {
    byFrame,
    byFender,
    by,
    offset: by === 'fender' ? byFender : byFrame,
    ahead: of(read['ahead.left'], read['ahead.right'], (l, r) => aheadByWheelbase(l, r, job.rig.end)),
    pinion:
      read.pinion === undefined ? null : estimate([read.pinion - slopeAlong(job.readings)], 'angle-gauge'),
    bodyOnFrame: byFrame && byFender && propagate([byFrame, byFender], ([f, b]) => f! - b!),
    height: { left: one('height.left'), right: one('height.right') },
    toe: of(read['toe.rear'], read['toe.front'], (behind, before) => behind - before),
  };
}

/** The two gaps that the axle is centred by, mm, as a round of centring keeps them: to the frame, or where it says so to the fender. */
export function gapsBelieved(job: Job): Pick<Round, 'left' | 'right' | 'by'> {
  const { gaps, fender } = job.ride;
  return onGround(job).by === 'fender' ? { ...fender, by: 'fender' } : { ...gaps };
}

/** Whether frame and body tell different stories, beyond what the tape can be out. */
export const disagree = ({ bodyOnFrame }: OnGround): boolean =>
  bodyOnFrame !== null && Math.abs(bodyOnFrame.value) > COVERAGE * bodyOnFrame.u;

/** Toe as the angle between the two wheels, degrees, from what they are apart across a tyre. */
export const toeAngle = (toe: number, tire: number): number => toDegrees(Math.atan(toe / tire));
