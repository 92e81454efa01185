import { atRideHeight } from '@/core/kinematics/attitude';
import { bumpSteer } from '@/core/kinematics/bumpSteer';
import { LIMITS } from '@/core/materials/limits';
import { bisect } from '@/core/numerics/rootFinding';
import { sideOf, signOf, type Side } from '@/core/geometry/side';
import { toDegrees } from '@/core/geometry/angle';
import { TIE_ROD } from '@/core/job/bodies/bodyNames';
import type { Job } from '@/core/job/jobSchema';
import type { Adjuster } from '@/core/job/slices/work/ride';
import { BODY_IDS } from '@/core/rig/schema';
import { perTurn, turnsFor } from './turns/adjusters';
import { wantedToe } from './targets';
import { onGround } from './onGround';

/** The rod from the steering box to the wheel, by its id. */
export const DRAG_LINK = BODY_IDS.dragLink;

/** How much longer a rod is to be made, mm, and the turns that come nearest to it; null where it has no thread, or none was told. */
export type RodTurn = {
  id: typeof TIE_ROD | typeof DRAG_LINK;
  mm: number;
  turns: number | null;
  adjuster: Adjuster | null;
};

/** Toe as read and as wanted, mm in across a tyre, null where nobody has said; the turn of the tie rod, and the toe it leaves. */
export type ToeSetting = {
  now: number;
  wanted: number | null;
  holds: boolean;
  rod: RodTurn | null;
  after: number;
};

/** How far the front wheels point left, degrees, with the steering wheel straight: as they will once toe is set; the turn of the drag link. */
type StraightSetting = { now: number; holds: boolean; rod: RodTurn | null; after: number };

export type SteeringSetting = {
  toe: ToeSetting | null;
  straight: StraightSetting | null;
  /** the wheel that the drag link holds: toe comes on the other; null without one */
  heldBy: Side | null;
};

/** The tie rod ahead of the kingpins, mm, behind them negative; null until it is measured. */
const tieRodArm = ({ bodies, rig }: Job): number | null =>
  bodies.tieRodAhead === undefined ? null : bodies.tieRodAhead - (rig.steering?.kingpin[0] ?? 0);

/** An arm shorter than this is no arm, mm. */
const LEAST_ARM = 25;

/**
 * What tie rod and drag link ask for on the ground, in that order; null of a rear axle, and while nothing was read.
 *
 * Toe T, over a tyre of diameter D, is both wheels turned in by δ together: sin δ = T/2D. An arm that stands a ahead of its kingpin
 * goes in by a·sin δ with its wheel, so the rod is to be shorter by a·ΔT/D; behind, longer. The drag link holds its own wheel
 * meanwhile: all of the turn comes on the other, and half of it on where the two point.
 */
export function steeringOf(job: Job): SteeringSetting | null {
  if (job.rig.end === 'rear') return null;
  const heldBy = job.rig.steering ? sideOf(job.rig.steering.kingpin[1]) : null;
  const toe = toeOf(job);
  const straight = straightOf(job, toe, heldBy);
  return toe || straight ? { toe, straight, heldBy } : null;
}

function toeOf(job: Job): ToeSetting | null {
  const now = onGround(job).toe?.value;
  if (now === undefined) return null;
  const wanted = wantedToe(job);
  if (wanted === null) return { now, wanted, holds: false, rod: null, after: now };
  const holds = Math.abs(now - wanted) <= LIMITS.onGround.toe + 1e-6;
  const arm = tieRodArm(job);
  const tire = 2 * job.rig.tireRadius;
  if (holds || arm === null || Math.abs(arm) < LEAST_ARM)
    return { now, wanted, holds, rod: null, after: now };
  const rod = rodTurn(job, TIE_ROD, (-arm * (wanted - now)) / tire);
  return { now, wanted, holds, rod, after: now - (turned(rod) * tire) / arm };
}

/** How far the wheels point left, degrees, from the gaps of a string along the car to the front and the back of either tyre. */
export function pointing({ ride: { read }, rig }: Job): number | null {
  const turn = (side: Side) => {
    const [front, rear] = [read[`straight.${side}.front`], read[`straight.${side}.rear`]];
    return front === undefined || rear === undefined ? null : (rear - front) / (2 * rig.tireRadius);
  };
  const [left, right] = [turn('left'), turn('right')];
  return left === null || right === null ? null : toDegrees((left - right) / 2);
}

/** The farthest that a drag link is looked for, mm either way. */
const REACH = 60;
const HALVINGS = 40;

function straightOf(job: Job, toe: ToeSetting | null, heldBy: Side | null): StraightSetting | null {
  const { steering, tireRadius } = job.rig;
  const read = pointing(job);
  if (read === null) return null;
  const turnedIn = toe?.rod ? toDegrees((toe.after - toe.now) / (2 * tireRadius)) : 0;
  // Toe-in turns the right wheel to the left, the left one to the right.
  const now = read + (heldBy === null ? 0 : (signOf(heldBy) * turnedIn) / 2);
  const holds = Math.abs(now) <= LIMITS.onGround.straight;
  if (holds || !steering) return { now, holds, rod: null, after: now };
  const attitude = atRideHeight(job.rig);
  const points = (longer: number) => bumpSteer(steering, attitude, tireRadius, longer);
  const mm = lengthFor(points, -now);
  if (mm === null) return { now, holds, rod: null, after: now };
  const rod = rodTurn(job, DRAG_LINK, mm);
  return { now, holds, rod, after: now + (points(turned(rod)) ?? 0) };
}

/** How much longer the drag link must be for the wheels to turn by so much, mm; null where no length within reach does it. */
function lengthFor(points: (longer: number) => number | null, wanted: number): number | null {
  const past = (longer: number) => {
    const turn = points(longer);
    return turn !== null && Math.sign(wanted) * (turn - wanted) >= 0;
  };
  const end = [REACH, -REACH].flatMap((far) => {
    // As far as the link goes round with the knuckle, and no farther.
    const reach = bisect((longer) => points(longer) !== null, far, 0, HALVINGS);
    return past(reach) ? [reach] : [];
  })[0];
  return end === undefined ? null : bisect(past, 0, end, HALVINGS);
}

function rodTurn(job: Job, id: RodTurn['id'], mm: number): RodTurn {
  const adjuster = job.ride.adjusters[id] ?? null;
  return { id, mm, turns: adjuster && turnsFor(adjuster, mm), adjuster };
}

/** What a rod is really made longer by, mm: its turns as they are rounded, or its length where it is cut. */
const turned = ({ mm, turns, adjuster }: RodTurn): number =>
  turns === null || !adjuster ? mm : turns * perTurn(adjuster)!;

/** What holds the stripe of a front axle: toe that was not read, or is not as wanted. */
export const toeHolds = (job: Job): boolean => job.rig.end === 'rear' || (toeOf(job)?.holds ?? false);
