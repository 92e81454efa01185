import type { AxleEnd } from '@/core/rig/schema';
import { aheadByWheelbase } from '@/core/survey/readings';
import { COVERAGE, estimate, propagate, type Estimate } from '@/core/survey/uncertainty';
import { toDegrees } from '@/core/geometry/angle';
import type { Side } from '@/core/geometry/side';
import type { Job } from '@/core/job/jobSchema';
import type { Round } from '@/core/job/slices/ride';

/** The axle as it stands on the ground, as far as it was read. */
export type OnGround = {
  /** to the left of the middle, mm; by the frame and by the body */
  byFrame: Estimate | null;
  byFender: Estimate | null;
  /** the one that is believed, or the only one there is */
  offset: Estimate | null;
  /** left wheel ahead of the right, mm over the track */
  ahead: Estimate | null;
  /** pinion, degrees, nose down positive */
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
  const half = (a: number | undefined, b: number | undefined) =>
    a === undefined || b === undefined ? null : propagate([tape(a), tape(b)], ([x, y]) => (x! - y!) / 2);
  const byFrame = half(gaps.left, gaps.right);
  const byFender = half(fender.right, fender.left);
  const difference = (a: string, b: string) =>
    read[a] === undefined || read[b] === undefined
      ? null
      : propagate([tape(read[a]), tape(read[b])], ([x, y]) => x! - y!);
  const aheadBy = (left: number | undefined, right: number | undefined, end: AxleEnd) =>
    left === undefined || right === undefined
      ? null
      : propagate([tape(left), tape(right)], ([l, r]) => aheadByWheelbase(l!, r!, end));
  const one = (key: string) => (read[key] === undefined ? null : tape(read[key]));
  return {
    byFrame,
    byFender,
    offset: believe === 'fender' ? (byFender ?? byFrame) : (byFrame ?? byFender),
    ahead: aheadBy(read['ahead.left'], read['ahead.right'], job.rig.end),
    pinion: read.pinion === undefined ? null : estimate([read.pinion], 'angle-gauge'),
    bodyOnFrame: byFrame && byFender && propagate([byFrame, byFender], ([f, b]) => f! - b!),
    height: { left: one('height.left'), right: one('height.right') },
    toe: difference('toe.rear', 'toe.front'),
  };
}

/** The two gaps that the axle is centred by, mm, as a round of centring keeps them: to the frame, or where it says so to the fender. */
export function gapsBelieved(job: Job): Pick<Round, 'left' | 'right' | 'by'> {
  const { gaps, fender, believe } = job.ride;
  const { byFrame, byFender } = onGround(job);
  const byTheFender = believe === 'fender' ? byFender !== null : byFrame === null && byFender !== null;
  return byTheFender ? { ...fender, by: 'fender' } : { ...gaps };
}

/** Whether frame and body tell different stories, beyond what the tape can be out. */
export const disagree = ({ bodyOnFrame }: OnGround): boolean =>
  bodyOnFrame !== null && Math.abs(bodyOnFrame.value) > COVERAGE * bodyOnFrame.u;

/** Toe as the angle between the two wheels, degrees, from what they are apart across a tyre. */
export const toeAngle = (toe: number, tire: number): number => toDegrees(Math.atan(toe / tire));

/** Pinion angle to set: as wished, or as the drawing has it; null where neither says. Degrees, nose down positive. */
export const wantedPinion = (job: Job): number | null =>
  job.ride.wanted.pinion ?? job.rig.driveshaft?.pinionAngleDeg ?? null;
