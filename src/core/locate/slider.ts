import { chassisToAxle } from '@/core/kinematics/attitude';
import type { Pose } from '@/core/kinematics/pose';
import { dot, minus, unit } from '@/core/geometry/vector';
import type { SliderArm } from '@/core/rig/members/sliderArm';
import type { Rig } from '@/core/rig/schema';

/** How far the pin of a torque arm slides along it from ride height over the travel, mm: in towards the axle, and out towards its end. */
export type SliderFinding = { member: string; in: number; out: number };

/** Of every arm with a slider, over a set of poses. */
export function sliderFindings(rig: Rig, poses: Pose[]): SliderFinding[] {
  return rig.members
    .filter((m): m is SliderArm => m.type === 'slider-arm')
    .map((arm) => {
      const slid = poses.map((pose) => slide(arm, pose, rig.tireRadius));
      return { member: arm.id, in: Math.max(0, ...slid.map((s) => -s)), out: Math.max(0, ...slid) };
    });
}

/** The pin stays on the chassis: seen from the axle it goes along the arm, ahead positive of an arm that reaches ahead. */
function slide({ chassis, axis = [1, 0, 0] }: SliderArm, pose: Pose, tireRadius: number): number {
  const along = dot(minus(chassisToAxle(pose, tireRadius)(chassis), chassis), unit(axis));
  return Math.sign(chassis[0] * axis[0] || 1) * along;
}
