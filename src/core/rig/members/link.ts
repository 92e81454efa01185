import * as z from 'zod/mini';
import { distance } from '@/core/geometry/vector';
import { id, length, point, positive } from '../fields';
import { coincide, onAxle, onChassis, SAME_ENDS, type MemberKind } from './kind';

/** A bar between two eyes. Without `length` it is as long as at ride height; `od` and `path` serve room, mass and strength. */
export const linkSchema = z.strictObject({
  type: z.literal('link'),
  id,
  chassis: point,
  axle: point,
  length: z.optional(length),
  rate: z.optional(positive),
  od: z.optional(length),
  path: z.optional(z.strictObject({ chassis: z.array(point).check(z.maxLength(50)) })),
});
export type LinkMember = z.infer<typeof linkSchema>;

export const link: MemberKind<LinkMember> = {
  fault: ({ chassis, axle }) => (coincide(chassis, axle) ? { path: [], message: SAME_ENDS } : null),
  mounts: ({ chassis, axle }) => [
    { key: 'chassis', name: 'Frame end', on: 'chassis', point: chassis },
    { key: 'axle', name: 'Axle end', on: 'axle', point: axle },
  ],
  withMount: (member, key, to) => ({ ...member, [key]: to }),
  constraints: ({ chassis, axle, length, rate }) => [
    { kind: 'distance', chassis, axle, length: length ?? distance(chassis, axle), rate },
  ],
  force: (tensions, at) => tensions[at]!,
  bars: ({ chassis, axle }) => [[chassis, axle]],
  adjustables: [{ by: 'length', constraint: 0 }],
  drawnAs: 'bar',
  outline: ({ chassis, axle }) => [[onChassis(chassis), onAxle(axle)]],
  body: ({ od, chassis, axle, path }) =>
    od === undefined ? null : { od, line: [onChassis(chassis), onAxle(axle)], bends: path?.chassis },
};
