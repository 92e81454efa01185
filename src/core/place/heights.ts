import { compileLinkage } from '@/core/kinematics/solver/linkage';
import { PoseSolver } from '@/core/kinematics/solver/poseSolver';
import { bothSides, measured } from '@/core/survey/readings';
import { estimate } from '@/core/survey/uncertainty';
import type { QuantityKey } from '@/core/survey/quantities/quantities';
import { restFor, type Rest } from './stands';
import { bySide, type Side } from '@/core/geometry/side';
import type { Job } from '@/core/job/jobSchema';
import type { CentreSchool } from '@/core/job/slices/place';
import { drawnHeight, drivingHeight, heldLift, travelOf } from '@/core/job/jobValues';
import type { Body } from '@/core/rig/members/kind';

type HeightId = 'droop' | 'driving' | 'parked' | 'bump';

/** One height of the car: how far the wheels are up from the driving height, and what follows. mm */
export type Height = {
  id: HeightId;
  label: string;
  lift: number;
  /** underside of the frame above the floor, straight above the axle */
  frame: number;
  /** where the wheel stands then, ahead of where it stands at the driving height; null where the members do not reach */
  ahead: number | null;
  /** the same from the middle of the opening, by the school that is set */
  inOpening: number | null;
};

/** Half of the tyre to come, or the loaded radius as recorded. */
export const layoutRadius = (job: Job): number =>
  job.place.tireDiameter === undefined ? job.rig.tireRadius : job.place.tireDiameter / 2;

/** Full droop, driving, parked and full bump, with the wheel's own way fore and aft from the solver. */
export function heightsOf(job: Job): Height[] {
  const { bump, droop } = travelOf(job);
  const driving = drivingHeight(job);
  const { parkedDrop } = job.place;
  const stops: [HeightId, string, number][] = [
    ['droop', 'Full droop', -droop],
    ['driving', 'Driving', 0],
    ['parked', 'Parked', parkedDrop],
    ['bump', 'Full bump', bump],
  ];
  const ahead = arcOf(
    job,
    stops.map(([, , lift]) => lift),
  );
  const middle = job.place.school === 'parked' ? (ahead[2] ?? 0) : 0;
  return stops.map(([id, label, lift], i) => ({
    id,
    label,
    lift,
    frame: driving - lift,
    ahead: ahead[i]!,
    inOpening: ahead[i] === null ? null : ahead[i]! - middle,
  }));
}

/** How far ahead the axle's centre stands at each height, mm: its links swing it on an arc. */
function arcOf(job: Job, lifts: number[]): (number | null)[] {
  const solver = new PoseSolver(compileLinkage(job.rig));
  const at = (lift: number) => (solver.solve(lift, lift) ? solver.q[0]! : null);
  const zero = at(0);
  return lifts.map((lift) => {
    const x = at(lift);
    return x === null || zero === null ? null : x - zero;
  });
}

/** What each school costs on this car: where the wheel stands in its opening, driving and parked, mm ahead of the middle. */
export function schoolsOf(job: Job): Record<CentreSchool, { driving: number; parked: number } | null> {
  const parked = heightsOf(job).find((h) => h.id === 'parked')!.ahead;
  if (parked === null) return { driving: null, parked: null };
  return { driving: { driving: 0, parked }, parked: { driving: -parked, parked: 0 } };
}

/** How far a rest's height can be trusted, mm: by the readings it comes from. Standard uncertainty. */
export function restTrust(job: Job): number {
  const { u: tape } = estimate([0], 'tape');
  const half = (key: QuantityKey) => {
    const both = bothSides(job.readings, key);
    return both ? Math.hypot(both.left.u, both.right.u) / 2 : tape;
  };
  const radius = job.place.tireDiameter === undefined ? half('tireRadius') : tape / 2;
  const height = job.place.rideHeight === undefined ? half('rideHeight') : 0;
  return Math.hypot(radius, height, tape, measured(job.readings, 'tubeDiameter').u / 2);
}

/** How each end of the axle is held, for a height of the car; null while the frame on its stands is not measured. */
export function restsOf(job: Job, lift: number): Record<Side, Rest | null> {
  const tube = measured(job.readings, 'tubeDiameter').value;
  const rest = (side: Side): Rest | null => {
    const held = job.place.held[side];
    return held === undefined ? null : restFor(layoutRadius(job), held, drivingHeight(job) - lift, tube);
  };
  return bySide(rest);
}

/**
 * How much farther off the floor a mount stands now than at ride height, mm, with the frame on its stands and the axle on its rests
 * at the driving height; null where the builder does not hold it so, or has not measured the stands on that side.
 */
export function raisedNow(job: Job, on: Body, side: Side): number | null {
  const stands = job.place.held[side];
  if (job.place.holding !== 'rests' || heldLift(job) > 0 || stands === undefined) return null;
  if (on === 'chassis') return stands - drawnHeight(job);
  return restsOf(job, 0)[side]!.centre - job.rig.tireRadius;
}
