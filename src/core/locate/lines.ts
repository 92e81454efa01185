import { distance, type Point } from '@/core/geometry/vector';
import { toRadians } from '@/core/geometry/angle';
import { axleToChassis } from '@/core/kinematics/attitude';
import { isReached, type SweptPose } from '@/core/kinematics/pose';
import type { Rig, Travel } from '@/core/rig/schema';

/** A hose, line or cable from a point of the frame to one of the axle: both at ride height, and how long it is, mm. */
export type Line = { id: string; frame: Point; axle: Point; length: number };

/** How far apart the ends of a line come, mm, and where; how near each other. `lockDeg` where the front wheels are steered there. */
export type LineFinding = {
  id: string;
  length: number;
  most: number;
  at: Travel;
  lockDeg?: number;
  least: number;
};

/** What each line spans over a set of poses, the axle end of a front one steered to either side with its wheel. */
export function lineFindings(
  lines: Line[],
  rig: Rig,
  poses: SweptPose[],
  lock: number | null,
): LineFinding[] {
  const reached = poses.filter(isReached);
  const steered = lock === null ? [0] : [0, lock, -lock];
  return lines.map(({ id, frame, axle, length }) => {
    const found: LineFinding = { id, length, most: 0, at: { left: 0, right: 0 }, least: Infinity };
    for (const pose of reached) {
      const place = axleToChassis(pose, rig.tireRadius);
      for (const lockDeg of steered) {
        const apart = distance(frame, place(steeredTo(axle, rig, lockDeg)));
        if (apart > found.most) {
          found.most = apart;
          found.at = { left: pose.left, right: pose.right };
          found.lockDeg = lockDeg || undefined;
        }
        found.least = Math.min(found.least, apart);
      }
    }
    return found;
  });
}

/** Where the end of a line on a wheel is once that is steered about a vertical through its kingpin; on the axle itself it stays. */
function steeredTo(p: Point, { steering }: Rig, lockDeg: number): Point {
  if (!steering || lockDeg === 0) return p;
  const [kx, ky] = [steering.kingpin[0], Math.sign(p[1] || 1) * Math.abs(steering.kingpin[1])];
  // What is nearer to the middle than the kingpin sits on the axle.
  if (Math.abs(p[1]) < Math.abs(ky)) return p;
  const [c, s] = [Math.cos(toRadians(lockDeg)), Math.sin(toRadians(lockDeg))];
  const [dx, dy] = [p[0] - kx, p[1] - ky];
  return [kx + c * dx - s * dy, ky + s * dx + c * dy, p[2]];
}
