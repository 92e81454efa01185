import { leastEngagement, windTube, makeBar, type BarSpec } from '@/core/fabricate/bar';
import { lengthPerTurn } from '@/core/fabricate/threads';
import { barSpec, workBar } from '@/core/job/job';
import type { Job, Round } from '@/core/job/schema';
import { PoseSolver } from '@/core/kinematics/solver';
import { InputError } from '@/core/rig/read';
import type { Rig } from '@/core/rig/schema';
import { lengthened, leverOf, type LeverBar } from './lever';

/** One bar to be turned: its length as it is now wound and as it should be, mm; turns of its tube, positive lengthens. */
export type BarTurn = { id: string; name: string; lengthNow: number; lengthWanted: number; turns: number };

export type Centring = {
  /** how far the axle stands to the left of the middle, mm */
  offset: number;
  centred: boolean;
  /** the bars that centre it; the turns that count in the record are the first’s */
  bars: BarTurn[];
  /** of the bar on the saw, if it is one of those: thread in the tube at each end after the turns, mm */
  thread: { engagement: { frame: number; axle: number }; limit: number; holds: boolean } | null;
};

/** Turns made so far: what was wound in the rounds that were closed. Positive lengthens. */
export function turnsSoFar(rounds: Round[]): number {
  return rounds.reduce((sum, round) => sum + round.turned, 0);
}

/**
 * What the two gaps of a round ask for: how far the axle must move, and the turns of the tubes that move it.
 *
 * Offset = half of the left gap less the right. The new length is the one at which the solver, with the bars' ends where
 * they are, puts the axle that far over; turns follow from the pitches of the two threads.
 *
 * @returns null in a layout that has no bar to centre it by
 */
export function centre(job: Job, round: Pick<Round, 'left' | 'right'>): Centring | null {
  const lever = leverOf(job.rig);
  if (lever.length === 0) return null;
  const offset = (round.left - round.right) / 2;
  const perTurn = lengthPerTurn(job.cut.thread);
  const now = turnsSoFar(job.ride.rounds) * perTurn;
  const wanted = lengtheningForShift(job.rig, lever, now, -offset);
  const turns = (wanted - now) / perTurn;
  const sawn = lever.find((bar) => bar.id === workBar(job).id);
  return {
    offset,
    centred: Math.abs(offset) <= job.ride.tolerance + 1e-6,
    bars: lever.map(({ id, name, sign, length }) => ({
      id,
      name,
      lengthNow: length + sign * now,
      lengthWanted: length + sign * wanted,
      turns: sign * turns,
    })),
    thread: sawn ? threadAfter(job, sawn.length + sawn.sign * wanted, sawn.sign, turns) : null,
  };
}

function threadAfter(job: Job, length: number, sign: number, turns: number): Centring['thread'] {
  const spec = windTube(barSpec(job), sign * (turnsSoFar(job.ride.rounds) + turns));
  const { frame, axle } = makeBar(length, spec).ends;
  return {
    engagement: { frame: frame.engagement, axle: axle.engagement },
    limit: leastEngagement(job.cut.thread, job.cut.engagementRule),
    holds: frame.holds && axle.holds && shankLeft(spec),
  };
}

/** A tube wound in past the shoulder is an order that cannot be followed. */
function shankLeft(spec: BarSpec): boolean {
  return spec.ends.frame.showing >= -1e-9 && spec.ends.axle.showing >= -1e-9;
}

/**
 * How much longer than designed the first bar of a lever must be to move the axle `shift` mm to the left of where it is when
 * that bar is `now` longer; wheels at ride height.
 *
 * Secant steps on the pose solver: sideways movement is very nearly proportional to the bar's length, so a few suffice.
 */
function lengtheningForShift(rig: Rig, lever: LeverBar[], now: number, shift: number): number {
  const lateral = (mm: number): number => {
    const solver = new PoseSolver(lengthened(rig, lever, mm));
    if (!solver.solve(0, 0)) throw new InputError('ride', 'the members do not reach');
    return solver.q[1]!;
  };
  const target = lateral(now) + shift;
  let [a, b] = [now, now + 1];
  let [fa, fb] = [lateral(a) - target, lateral(b) - target];
  for (let i = 0; i < 20 && Math.abs(fb) > 1e-9; i++) {
    if (fa === fb) throw new InputError('ride', 'their lengths do not move the axle sideways');
    [a, b] = [b, b - (fb * (b - a)) / (fb - fa)];
    [fa, fb] = [fb, lateral(b) - target];
  }
  return b;
}
