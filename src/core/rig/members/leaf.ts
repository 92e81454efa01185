import * as z from 'zod/mini';
import { between, distance, type Point } from '@/core/geometry/vector';
import { id, length, point, positive } from '../fields';
import { coincide, onAxle, onChassis, type MemberKind } from './kind';

/** A leaf spring, as its three-link equivalent: `lateralRate` N/mm at the seat, `windupRate` N·mm/rad on the axle's pitch. */
export const leafSchema = z.strictObject({
  type: z.literal('leaf'),
  id,
  frontEye: point,
  seat: point,
  rearEye: point,
  controlFraction: z.optional(z.number().check(z.gt(0), z.maximum(1))),
  rate: z.optional(positive),
  lateralRate: positive,
  windupRate: positive,
  od: z.optional(length),
});
export type Leaf = z.infer<typeof leafSchema>;

/** Where along a leaf, from seat to front eye, its three-link equivalent hangs (SAE Spring Design Manual, from memory). */
const CONTROL_FRACTION = 0.75;
const LEFT: Point = [0, 1, 0];

const isAhead = (a: Point, b: Point): boolean => a[0] >= b[0];

export const leaf: MemberKind<Leaf> = {
  fault: ({ frontEye, seat }) =>
    coincide(frontEye, seat) ? { path: ['seat'], message: 'is the front eye itself' } : null,
  mounts: ({ frontEye, seat, rearEye }) => [
    // The eye that holds it lengthwise may be the rear one, as on most front axles.
    {
      key: 'frontEye',
      name: `${isAhead(frontEye, rearEye) ? 'Front' : 'Rear'} eye`,
      on: 'chassis',
      point: frontEye,
    },
    { key: 'seat', name: 'Axle seat', on: 'axle', point: seat },
    {
      key: 'rearEye',
      name: `${isAhead(frontEye, rearEye) ? 'Rear' : 'Front'} eye`,
      on: 'chassis',
      point: rearEye,
    },
  ],
  withMount: (member, key, to) => ({ ...member, [key]: to }),
  constraints: ({ frontEye, seat, controlFraction = CONTROL_FRACTION, rate, lateralRate, windupRate }) => {
    const hanger = between(seat, frontEye, controlFraction);
    return [
      { kind: 'distance', chassis: hanger, axle: seat, length: distance(hanger, seat), rate },
      { kind: 'along', chassis: seat, axle: seat, direction: LEFT, rate: lateralRate },
      { kind: 'windup', seat, rate: windupRate },
    ];
  },
  force: (t, at) => Math.hypot(t[at]!, t[at + 1]!),
  windup: (t, at) => t[at + 2]!,
  bars: ({ frontEye, seat }) => [[frontEye, seat]],
  adjustables: [],
  drawnAs: 'leaf',
  outline: ({ frontEye, seat, rearEye }) => [[onChassis(frontEye), onAxle(seat), onChassis(rearEye)]],
  body: ({ od, frontEye, seat, rearEye }) =>
    od === undefined ? null : { od, line: [onChassis(frontEye), onAxle(seat), onChassis(rearEye)] },
  spring: ({ seat, lateralRate }) => ({ seat, lateralRate }),
};
