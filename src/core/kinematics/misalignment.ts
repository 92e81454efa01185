import { axleToChassis, type Attitude } from './attitude';
import type { Rig } from '@/core/rig/schema';
import { dot, minus, plus, type Point } from '@/core/geometry/vector';
import type { MemberJoints } from '@/core/materials/joints';
import { toDegrees } from '@/core/geometry/angle';
import type { LinkMember } from '@/core/rig/members/link';

/** Degrees by which a bar leans out of the plane that its bolt lets it swing in, at each eye. */
export type Misalignment = { chassis: number; axle: number };

/**
 * How far each eye of a link is cocked in a pose: the angle between the bar and the plane square to the bolt. The bolt lies
 * level and goes with the body that carries the bracket; turning about it costs a joint nothing.
 */
export function misalignment(rig: Rig, link: LinkMember, joints: MemberJoints, pose: Attitude): Misalignment {
  const place = axleToChassis(pose, rig.tireRadius);
  const bolt = boltOf(link, joints);
  const eye = place(link.axle);
  const along = minus(eye, link.chassis);
  const boltOnAxle = minus(place(plus(link.axle, bolt)), eye);
  return { chassis: outOfPlane(along, bolt), axle: outOfPlane(along, boltOnAxle) };
}

/** The bolt of a link: across the car for a link that runs lengthwise, along it for a bar that runs across; or square to the bar seen from above. */
function boltOf({ chassis, axle }: LinkMember, { brackets }: MemberJoints): Point {
  const [x, y] = [axle[0] - chassis[0], axle[1] - chassis[1]];
  const plan = Math.hypot(x, y);
  if (brackets === 'turned' && plan > 0) return [-y / plan, x / plan, 0];
  return Math.abs(y) > Math.abs(x) ? [1, 0, 0] : [0, 1, 0];
}

const outOfPlane = (bar: Point, bolt: Point): number =>
  toDegrees(Math.asin(Math.min(1, Math.abs(dot(bar, bolt)) / Math.hypot(...bar))));
