import { isReached, type Pose, type SweptPose } from '@/core/kinematics/pose';
import { linksOf } from '@/core/rig/members';
import type { Point, Rig } from '@/core/rig/schema';
import { memberName } from '@/core/layouts/names';
import type { LinkFindings } from './types';

const DEGREES = 180 / Math.PI;

/** Gathers what the members that hold the axle do over a set of poses, the worst of each. */
export function findLinks(rig: Rig, ride: Pose, poses: SweptPose[], barId: string): LinkFindings {
  const reached = poses.filter(isReached);
  const pitches = reached.filter((p) => Math.abs(p.left - p.right) < 1e-6).map((p) => p.pitchDeg);
  return {
    antiSquat: ride.antiSquatPct ?? null,
    rollSteer: ride.rollSteer,
    instantCentre: ride.instantCentre,
    pinion: Math.max(...pitches) - Math.min(...pitches),
    bind: worstBind(rig, reached),
    joint: worstJoint(rig, reached),
    steering: steeringFindings(rig, reached, barId),
  };
}

function worstBind(rig: Rig, poses: Pose[]): LinkFindings['bind'] {
  let worst: LinkFindings['bind'] = null;
  for (const pose of poses) {
    for (const member of rig.members) {
      // A leaf is a spring: what it stores is what it is for.
      if (member.type === 'leaf') continue;
      const force = Math.abs(pose.bind[member.id]!);
      if (force < 1e-6 || (worst && worst.force >= force)) continue;
      const give = force / (member.rate ?? 20_000);
      worst = {
        member: memberName(member.id),
        force,
        give,
        at: placeOf(pose),
        rigid: member.type === 'rigid-arm',
      };
    }
  }
  return worst;
}

function placeOf({ left, right }: Pose): string {
  if (Math.abs(left - right) < 1e-6)
    return left > 0 ? 'at full bump' : left < 0 ? 'at full droop' : 'at ride height';
  return `with the ${left > right ? 'left' : 'right'} wheel up`;
}

function worstJoint(rig: Rig, poses: Pose[]): LinkFindings['joint'] {
  let worst: LinkFindings['joint'] = null;
  for (const pose of poses) {
    for (const member of rig.members) {
      if (member.type === 'leaf') continue;
      const { chassis, axle } = pose.members[member.id]!.angles;
      const degrees = Math.max(chassis, axle);
      if (!worst || degrees > worst.degrees) worst = { member: memberName(member.id), degrees };
    }
  }
  return worst;
}

function steeringFindings(rig: Rig, poses: Pose[], barId: string): LinkFindings['steering'] {
  if (!rig.steering || rig.end !== 'front') return null;
  const bar = linksOf(rig).find((m) => m.id === barId)!;
  const { pitman, knuckle } = rig.steering;
  const turns = poses.map((p) => p.bumpSteerDeg ?? null);
  return {
    bumpSteer: turns.includes(null) ? null : Math.max(...turns.map((t) => Math.abs(t!))),
    lengthDifference: Math.abs(far(bar.chassis, bar.axle) - far(pitman, knuckle)),
    angleDifference: Math.abs(slope(bar.chassis, bar.axle) - slope(pitman, knuckle)),
  };
}

const far = (a: Point, b: Point): number => Math.hypot(a[0] - b[0], a[1] - b[1], a[2] - b[2]);
const slope = (a: Point, b: Point): number => Math.atan2(a[2] - b[2], Math.abs(a[1] - b[1])) * DEGREES;
