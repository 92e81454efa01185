import { leastEngagement, windTube, makeBar, type BarSpec } from '@/core/fabricate/bar';
import { lengthPerTurn } from '@/core/fabricate/threads';
import { barSpec, panhard } from '@/core/job/job';
import type { Job, Round } from '@/core/job/schema';
import { setInMotion } from '@/core/kinematics/answer';
import { isReached } from '@/core/kinematics/pose';
import { describeBar, withMember } from '@/core/locate/lateralBar';
import type { Rig } from '@/core/rig/schema';

export type Centring = {
  /** how far the axle stands to the left of the middle, mm */
  offset: number;
  centred: boolean;
  /** length of the bar as it is now wound, and as it should be, mm */
  lengthNow: number;
  lengthWanted: number;
  /** turns of the tube; positive lengthens */
  turns: number;
  /** thread in the tube at each end after those turns, mm */
  engagement: { frame: number; axle: number };
  limit: number;
  threadHolds: boolean;
};

/** Turns made so far: what was wound in the rounds that were closed. Positive lengthens. */
export function turnsSoFar(rounds: Round[]): number {
  return rounds.reduce((sum, round) => sum + round.turned, 0);
}

/**
 * What the two gaps of a round ask for: how far the axle must move, and the turns of the tube that move it.
 *
 * Offset = half of the left gap less the right. The new length is the one at which the solver, with the bar's ends where
 * they are, puts the axle that far over; turns follow from the pitches of the two threads.
 */
export function centre(job: Job, round: Pick<Round, 'left' | 'right'>): Centring {
  const bar = panhard(job);
  const offset = (round.left - round.right) / 2;
  const perTurn = lengthPerTurn(job.cut.thread);
  const designed = describeBar(bar).eyeToEye;
  const lengthNow = designed + turnsSoFar(job.ride.rounds) * perTurn;
  const lengthWanted = lengthForShift(job.rig, bar.id, lengthNow, -offset);
  const turns = (lengthWanted - lengthNow) / perTurn;
  const wound = makeBar(lengthWanted, asWound(job, turns));
  return {
    offset,
    centred: Math.abs(offset) <= job.ride.tolerance + 1e-6,
    lengthNow,
    lengthWanted,
    turns,
    engagement: { frame: wound.ends.frame.engagement, axle: wound.ends.axle.engagement },
    limit: leastEngagement(job.cut.thread, job.cut.engagementRule),
    threadHolds: wound.ends.frame.holds && wound.ends.axle.holds && shankLeft(asWound(job, turns)),
  };
}

/** The bar as cut, wound by all turns made so far and `more`. */
function asWound(job: Job, more: number): BarSpec {
  return windTube(barSpec(job), turnsSoFar(job.ride.rounds) + more);
}

/** A tube wound in past the shoulder is an order that cannot be followed. */
function shankLeft(spec: BarSpec): boolean {
  return spec.ends.frame.showing >= -1e-9 && spec.ends.axle.showing >= -1e-9;
}

/**
 * The length of a bar that moves the axle `shift` mm to the left of where it is at `lengthNow`, wheels at ride height.
 *
 * Secant steps on the pose solver: sideways movement is very nearly proportional to the bar's length, so a few suffice.
 */
function lengthForShift(rig: Rig, barId: string, lengthNow: number, shift: number): number {
  const lateral = (length: number): number => {
    const { ride } = setInMotion(withMember(rig, barId, (m) => ({ ...m, length })));
    return isReached(ride) ? ride.y : NaN;
  };
  const target = lateral(lengthNow) + shift;
  let [a, b] = [lengthNow, lengthNow + 1];
  let [fa, fb] = [lateral(a) - target, lateral(b) - target];
  for (let i = 0; i < 20 && Math.abs(fb) > 1e-9; i++) {
    [a, b] = [b, b - (fb * (b - a)) / (fb - fa)];
    [fa, fb] = [fb, lateral(b) - target];
  }
  return b;
}
