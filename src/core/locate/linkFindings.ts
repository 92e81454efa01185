import { isReached, type Pose, type SweptPose } from '@/core/kinematics/pose';
import { JOINTS, jointsOf } from '@/core/joints/joints';
import { misalignment } from '@/core/joints/misalignment';
import { isLink, linksOf } from '@/core/rig/members';
import type { LinkMember, Point, Rig } from '@/core/rig/schema';
import { memberName } from '@/core/layouts/names';
import { distance } from '@/core/vector';
import { placeInTravel } from './words';
import type {
  BindFinding,
  JointFinding,
  LinkFindings,
  LocateInput,
  ShaftFindings,
  SteeringFindings,
} from './types';

const DEGREES = 180 / Math.PI;

/** Gathers what the members that hold the axle do over a set of poses, the worst of each. */
export function findLinks(
  input: LocateInput,
  ride: Pose,
  poses: SweptPose[],
  bar: LinkMember | null,
): LinkFindings {
  const { rig } = input;
  const reached = poses.filter(isReached);
  const pitches = reached.filter((p) => Math.abs(p.left - p.right) < 1e-6).map((p) => p.pitchDeg);
  return {
    antiSquat: ride.antiSquatPct ?? null,
    rollSteer: ride.rollSteer,
    instantCentre: ride.instantCentre,
    pinion: pitches.length ? Math.max(...pitches) - Math.min(...pitches) : 0,
    bind: worstBind(input, reached),
    joint: worstJoint(input, reached),
    cocked: worstJoint(input, [ride]),
    shaft: shaftFindings(input, ride, reached),
    steering: steeringFindings(rig, reached, bar),
  };
}

function worstBind(input: LocateInput, poses: Pose[]): BindFinding | null {
  const { rig, joints } = input;
  let worst: BindFinding | null = null;
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
        at: placeInTravel(pose, input),
        rigid: member.type === 'rigid-arm',
        joints: isLink(member) ? jointsOf(joints, member.id) : null,
      };
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
        const { swing, name } = JOINTS[made[end]];
        const degrees = cocked[end];
        if (worst && degrees / swing <= worst.degrees / worst.swing) continue;
        worst = {
          member: memberName(link.id),
          end,
          degrees,
          swing,
          joint: name,
          at: placeInTravel(pose, input),
        };
      }
    }
  }
  return worst;
}

function shaftFindings(input: LocateInput, ride: Pose, poses: Pose[]): ShaftFindings | null {
  if (!ride.driveshaft) return null;
  const found: ShaftFindings = {
    front: ride.driveshaft.frontAngleDeg,
    rear: ride.driveshaft.rearAngleDeg,
    most: 0,
    mostAt: '',
    in: 0,
    out: 0,
  };
  for (const pose of poses) {
    const { plunge, frontAngleDeg, rearAngleDeg } = pose.driveshaft!;
    const most = Math.max(frontAngleDeg, rearAngleDeg);
    if (most > found.most) Object.assign(found, { most, mostAt: placeInTravel(pose, input) });
    found.in = Math.max(found.in, -plunge);
    found.out = Math.max(found.out, plunge);
  }
  return found;
}

function steeringFindings(rig: Rig, poses: Pose[], bar: LinkMember | null): SteeringFindings | null {
  if (!rig.steering || rig.end !== 'front') return null;
  const { pitman, knuckle } = rig.steering;
  const largest = (some: Pose[]) => Math.max(0, ...some.map((p) => Math.abs(p.bumpSteerDeg!)));
  const together = (p: Pose) => Math.abs(p.left - p.right) < 1e-6;
  const followed = poses.every((p) => p.bumpSteerDeg !== null);
  return {
    bumpSteer: followed
      ? { both: largest(poses.filter(together)), one: largest(poses.filter((p) => !together(p))) }
      : null,
    match: bar && {
      length: Math.abs(distance(bar.chassis, bar.axle) - distance(pitman, knuckle)),
      angle: Math.abs(slope(bar.chassis, bar.axle) - slope(pitman, knuckle)),
    },
  };
}

const slope = (a: Point, b: Point): number => Math.atan2(a[2] - b[2], Math.abs(a[1] - b[1])) * DEGREES;
