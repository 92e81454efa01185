import * as z from 'zod/mini';
import type { Point } from '@/core/geometry/vector';
import { id, point, positive } from '../fields';
import { armBody, armBodyKeys, armOutline } from './armBody';
import { onAxle, onChassis, type MemberKind } from './kind';

const three = z.tuple([positive, positive, positive]);

/**
 * A ladder bar, truck arm or radius arm: rigid to the axle, a ball at the chassis. `rate` N/mm: how joint, arm, bracket and frame
 * together give along the car, across it and up, or alike in all three.
 */
export const rigidArmSchema = z.strictObject({
  type: z.literal('rigid-arm'),
  id,
  chassis: point,
  rate: z.optional(
    z.union([positive, three], { error: 'expected a stiffness above 0, or three: along, across, up' }),
  ),
  ...armBodyKeys,
});
export type RigidArm = z.infer<typeof rigidArmSchema>;

const AXES: Point[] = [
  [1, 0, 0],
  [0, 1, 0],
  [0, 0, 1],
];
/** Where an arm meets the axle is not recorded: it is drawn straight behind its ball, but no nearer to the middle than this share of the track, and that far above and below, mm. */
const FOOT = { share: 0.26, spread: 65 };

export const rigidArm: MemberKind<RigidArm> = {
  fault: () => null,
  mounts: ({ chassis }) => [{ key: 'chassis', name: 'Front joint', on: 'chassis', point: chassis }],
  withMount: (member, _, to) => ({ ...member, chassis: to }),
  constraints: ({ chassis, rate }) =>
    AXES.map((direction, k) => ({
      kind: 'along',
      chassis,
      axle: chassis,
      direction,
      rate: Array.isArray(rate) ? rate[k] : rate,
    })),
  force: (t, at) => Math.hypot(t[at]!, t[at + 1]!, t[at + 2]!),
  bars: () => [],
  pin: ({ chassis }) => chassis,
  adjustables: [{ by: 'foot', constraint: 0 }],
  drawnAs: 'arm',
  body: armBody,
  outline: ({ chassis, path }, { track, tireRadius }) => {
    const drawn = armOutline(chassis, path);
    if (drawn) return drawn;
    const y = Math.sign(chassis[1] || 1) * Math.max(Math.abs(chassis[1]), FOOT.share * track);
    return [FOOT.spread, -FOOT.spread].map((up) => [onChassis(chassis), onAxle([0, y, tireRadius + up])]);
  },
};
