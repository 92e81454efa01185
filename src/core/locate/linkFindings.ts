import { ballCarried } from '@/core/kinematics/attitude';
import { antiSquatOf, isReached, type Pose, type SweptPose } from '@/core/kinematics/pose';
import { misalignment } from '@/core/kinematics/misalignment';
import { DEFAULT_RATE } from '@/core/kinematics/solver/linkage';
import { wheelSteer } from '@/core/kinematics/bumpSteer';
import { JOINTS, jointsOf } from '@/core/materials/joints';
import { kindOf, linksOf } from '@/core/rig/members/members';
import type { Rig } from '@/core/rig/schema';
import { bumpSteerParts } from './steering/bumpSteerParts';
import { dragLinkMatch } from './steering/dragLinkMatch';
import { sliderFindings } from './slider';
import {
  type BindFinding,
  type JointFinding,
  type LinkFindings,
  type LocateInput,
  type MostSteer,
  type ShaftFindings,
  type SteeringFindings,
} from './types';

/**
 * Gathers what the members that hold the axle do over a set of poses, the worst of each; what only matters while the car is driven,
 * over those of them in which it is.
 */
export function findLinks(
  input: LocateInput,
  ride: Pose,
  poses: SweptPose[],
  driven: SweptPose[],
): LinkFindings {
  const { rig } = input;
  const reached = poses.filter(isReached);
  const onTheRoad = driven.filter(isReached);
  const pitches = onTheRoad.filter((p) => Math.abs(p.left - p.right) < 1e-6).map((p) => p.pitchDeg);
  return {
    antiSquat: antiSquatOf(rig, ride),
    antiLift: ride.antiLiftPct ?? null,
    rollSteer: ride.rollSteer,
    instantCentre: ride.instantCentre,
    pinion: pitches.length ? Math.max(...pitches) - Math.min(...pitches) : 0,
    bind: worstBind(rig, reached),
    joint: worstJoint(input, reached),
    cocked: worstJoint(input, [ride]),
    shaft: shaftFindings(ride, reached, onTheRoad),
    steering: steeringFindings(rig, onTheRoad),
    sliders: sliderFindings(rig, reached),
  };
}

/** A pose's place in the travel, mm. */
const placeOf = ({ left, right }: Pose) => ({ left, right });

function worstBind(rig: Rig, poses: Pose[]): BindFinding | null {
  let worst: BindFinding | null = null;
  for (const pose of poses) {
    for (const member of rig.members) {
      // A leaf is a spring: what it stores is what it is for.
      if (kindOf(member).spring) continue;
      const force = Math.abs(pose.bind[member.id]!);
      if (force < 1e-6 || (worst && worst.force >= force)) continue;
      const give =
        member.type === 'rigid-arm'
          ? ballCarried(pose, member.chassis, rig)
          : force / (member.rate ?? DEFAULT_RATE);
      worst = { member: member.id, force, give, at: placeOf(pose) };
    }
  }
  return worst;
}

/** The eye that takes up most of its joint's swing. */
function worstJoint(input: LocateInput, poses: Pose[]): JointFinding | null {
  const { rig, joints } = input;
  let worst: JointFinding | null = null;
  for (const pose of poses) {
    for (const link of linksOf(rig)) {
      const made = jointsOf(joints, link.id);
      const cocked = misalignment(rig, link, made, pose);
      for (const end of ['chassis', 'axle'] as const) {
        const { swing } = JOINTS[made[end]];
        const degrees = cocked[end];
        if (worst && degrees / swing <= worst.degrees / worst.swing) continue;
        worst = { member: link.id, end, degrees, swing, joint: made[end], at: placeOf(pose) };
      }
    }
  }
  return worst;
}

function shaftFindings(ride: Pose, poses: Pose[], driven: Pose[]): ShaftFindings | null {
  if (!ride.driveshaft) return null;
  const found: ShaftFindings = {
    front: ride.driveshaft.frontAngleDeg,
    rear: ride.driveshaft.rearAngleDeg,
    most: 0,
    mostAt: placeOf(ride),
    in: 0,
    out: 0,
  };
  for (const pose of driven) {
    const { frontAngleDeg, rearAngleDeg } = pose.driveshaft!;
    const most = Math.max(frontAngleDeg, rearAngleDeg);
    if (most > found.most) Object.assign(found, { most, mostAt: placeOf(pose) });
  }
  for (const pose of poses) {
    const { plunge } = pose.driveshaft!;
    found.in = Math.max(found.in, -plunge);
    found.out = Math.max(found.out, plunge);
  }
  return found;
}

function steeringFindings(rig: Rig, poses: Pose[]): SteeringFindings | null {
  if (rig.end !== 'front') return null;
  const together = (p: Pose) => Math.abs(p.left - p.right) < 1e-6;
  const most = (turned: (p: Pose) => number): MostSteer => {
    const largest = (some: Pose[]) => Math.max(0, ...some.map((p) => Math.abs(turned(p))));
    return { both: largest(poses.filter(together)), one: largest(poses.filter((p) => !together(p))) };
  };
  const followed = poses.every((p) => p.bumpSteerDeg !== null);
  // Without a drag link the wheels stand in the axle as they are, and steer as it does.
  const turned = (p: Pose) => (rig.steering ? wheelSteer(p.steerDeg, p.bumpSteerDeg)! : p.steerDeg);
  const wheels = followed ? most(turned) : null;
  return {
    wheels,
    axle: most((p) => p.steerDeg),
    match: dragLinkMatch(rig),
    parts: followed ? partsAtMost(rig, poses.filter(together)) : null,
  };
}

/** The parts of what the drag link steers, in the pose of both wheels in which it steers most. */
function partsAtMost(rig: Rig, poses: Pose[]): SteeringFindings['parts'] {
  const steered = (p: Pose) => Math.abs(p.bumpSteerDeg ?? 0);
  const [most] = [...poses].sort((p, q) => steered(q) - steered(p));
  const parts = most && bumpSteerParts(rig, most);
  return parts ? { ...parts, at: placeOf(most) } : null;
}
