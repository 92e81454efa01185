import { withFrameMoved } from '@/core/job/edits/frameHeight';
import type { Job } from '@/core/job/jobSchema';
import { assemble, type Mechanism } from '@/core/kinematics/mechanism';
import { antiSquatOf, isReached } from '@/core/kinematics/pose';
import { toDegrees } from '@/core/geometry/angle';
import { distance } from '@/core/geometry/vector';
import { axleToChassis } from '@/core/kinematics/attitude';
import { smallMotions } from '@/core/kinematics/smallMotions';
import { lateralBarOf } from '@/core/rig/roles';
import { linksOf } from '@/core/rig/members/members';
import type { Rig } from '@/core/rig/schema';
import { springAnswer } from '@/core/springs/springRates';
import { ladenWith, type Laden, type Load } from '@/core/statics/payload';
import { G } from '@/core/units/gravity';
import { analyseLocate } from './analyse';
import { locateInput, type Gap } from './types';

/** What a height of the car makes of it: mm, per cent, degrees; null where it has no value. */
export type HeightValues = {
  /** from the ground */
  rollCentre: number | null;
  /** of a rear axle */
  antiSquat: number | null;
  rollSteer: number | null;
  /** of the bar across the car, seen from behind: climbing to the frame positive */
  tilt: number | null;
  /** how far the pinion has turned since ride height, nose down positive; in front the same turn takes caster away */
  pinion: number;
  /** how far the axle stands to the left of where it stood */
  aside: number;
  frontJoint: number | null;
  rearJoint: number | null;
};

/** The car as it stands with its springs settled, or under a load: how much lower the frame is, mm. */
type State = { lower: number; values: HeightValues | null };

/** The car with what is on its frame moved to another height: what that makes of it, and how much longer each bar must be for the axle to stay, mm. */
export type Moved = {
  before: HeightValues;
  after: HeightValues;
  /** the tightest place over the travel */
  closest: { before: Gap | null; after: Gap | null };
  lengths: { member: string; by: number }[];
};

export type HeightsAsked = {
  /** how far springs settle, mm */
  settled: number;
  load: Load;
  /** how far the frame is to be moved, mm; up positive */
  move: number;
};

export type HeightsAnswer = {
  drawn: HeightValues;
  settled: State;
  /** null without the car’s masses; where no springs say how far the load lowers it, it stands as drawn */
  loaded: (State & { laden: Laden; springs: boolean }) | null;
  moved: Moved | null;
};

/** @throws InputError where the members cannot hold the axle or be assembled */
export function heightsAnswer(job: Job, { settled, load, move }: HeightsAsked): HeightsAnswer {
  const mechanism = assemble(job.rig);
  const drawn = valuesAt(job.rig, mechanism, 0)!;
  const state = (lower: number): State => ({ lower, values: valuesAt(job.rig, mechanism, lower) });
  const laden = ladenWith(job.rig, load);
  const sinks = laden && loweredBy(job.rig, mechanism, laden.here);
  return {
    drawn,
    settled: state(settled),
    loaded: laden && { ...state(sinks ?? 0), laden, springs: sinks !== null },
    moved: move === 0 ? null : movedTo(job, drawn, move),
  };
}

/** A car so much lower has its axle so much farther up in its travel. Null where the members do not reach. */
function valuesAt(rig: Rig, { ride, at }: Mechanism, lower: number): HeightValues | null {
  const pose = at({ left: lower, right: lower });
  if (!isReached(pose)) return null;
  const bar = lateralBarOf(rig);
  const end = bar && axleToChassis(pose, rig.tireRadius)(bar.axle);
  return {
    rollCentre: pose.rollCentreHeight,
    antiSquat: antiSquatOf(rig, pose),
    rollSteer: pose.rollSteer,
    tilt:
      bar && end
        ? toDegrees(
            Math.atan2(bar.chassis[2] - end[2], Math.hypot(bar.chassis[0] - end[0], bar.chassis[1] - end[1])),
          )
        : null,
    pinion: pose.pitchDeg - ride.pitchDeg,
    aside: pose.y - ride.y,
    frontJoint: pose.driveshaft?.frontAngleDeg ?? null,
    rearJoint: pose.driveshaft?.rearAngleDeg ?? null,
  };
}

/** How far a load over the axle, kg, lowers the frame, mm, by the rates of its springs at ride height; null without springs. */
export function loweredBy(rig: Rig, mechanism: Mechanism, load: number): number | null {
  const small = smallMotions(mechanism);
  const holding = (rig.springs ?? []).reduce((sum, s) => sum + springAnswer(rig, s, small).wheelRate, 0);
  return holding > 0 ? (load * G) / holding : null;
}

function movedTo(job: Job, before: HeightValues, by: number): Moved {
  const next = withFrameMoved(job, by);
  const closest = (of: Job) => analyseLocate(locateInput(of, { left: 0, right: 0 })).gaps[0] ?? null;
  const was = new Map(linksOf(job.rig).map((m) => [m.id, m]));
  return {
    before,
    after: valuesAt(next.rig, assemble(next.rig), 0)!,
    closest: { before: closest(job), after: closest(next) },
    lengths: linksOf(next.rig).map((m) => ({
      member: m.id,
      by: distance(m.chassis, m.axle) - distance(was.get(m.id)!.chassis, was.get(m.id)!.axle),
    })),
  };
}
