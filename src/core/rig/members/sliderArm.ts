import * as z from 'zod/mini';
import { unit, type Point } from '@/core/geometry/vector';
import { id, point, positive, vector } from '../fields';
import { armBody, armBodyKeys, armOutline } from './armBody';
import { onAxle, onChassis, type MemberKind } from './kind';

/** A torque arm, rigid to the axle; its chassis pin may slide along `axis` (axle-fixed) and sideways, not across. */
export const sliderArmSchema = z.strictObject({
  type: z.literal('slider-arm'),
  id,
  chassis: point,
  axis: z.optional(vector),
  rate: z.optional(positive),
  ...armBodyKeys,
});
export type SliderArm = z.infer<typeof sliderArmSchema>;

const AHEAD: Point = [1, 0, 0];
/** Where an arm bolts to the housing is not recorded: it is drawn to so far ahead of the axle, and that far above and below, mm. */
const FOOT = { ahead: 60, spread: 65 };

export const sliderArm: MemberKind<SliderArm> = {
  fault: ({ axis: [x, , z] = AHEAD }) =>
    // The direction held is across both the axis and the axle: an axis along the axle leaves none.
    Math.hypot(x, z) < 1e-9 ? { path: ['axis'], message: 'must not run along the axle' } : null,
  mounts: ({ chassis }) => [{ key: 'chassis', name: 'Front pin', on: 'chassis', point: chassis }],
  withMount: (member, _, to) => ({ ...member, chassis: to }),
  constraints: ({ chassis, axis: [x, , z] = AHEAD, rate }) => [
    { kind: 'acrossSlider', chassis, direction: unit([-z, 0, x]), rate },
  ],
  force: (tensions, at) => tensions[at]!,
  bars: () => [],
  pin: ({ chassis }) => chassis,
  adjustables: [{ by: 'pin', constraint: 0 }],
  drawnAs: 'arm',
  body: armBody,
  outline: ({ chassis, path }, { tireRadius }) =>
    armOutline(chassis, path) ??
    [FOOT.spread, -FOOT.spread].map((up) => [onChassis(chassis), onAxle([FOOT.ahead, 0, tireRadius + up])]),
};
