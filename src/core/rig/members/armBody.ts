import * as z from 'zod/mini';
import type { Point } from '@/core/geometry/vector';
import { length, point } from '../fields';
import { onAxle, onChassis, type MemberBody, type OutlinePoint } from './kind';

/** What an arm rigid to the axle says of its own body: how thick it is, mm, and the points it runs through from its foot, axle-fixed. */
export const armBodyKeys = {
  od: z.optional(length),
  path: z.optional(z.strictObject({ axle: z.array(point).check(z.minLength(1), z.maxLength(50)) })),
};

type Arm = { chassis: Point; od?: number; path?: { axle: Point[] } };

/** Without a path of its own an arm runs straight from the axle's middle, abreast of its front end. */
export function armBody(
  { chassis, od, path }: Arm,
  { tireRadius }: { tireRadius: number },
): MemberBody | null {
  if (od === undefined) return null;
  const fromFoot = path?.axle ?? [[0, chassis[1], tireRadius]];
  return { od, line: [...fromFoot, chassis].map(onAxle) };
}

/** The line that an arm is drawn with where its path is known. */
export const armOutline = (chassis: Point, path: Arm['path']): OutlinePoint[][] | null =>
  path ? [[onChassis(chassis), ...[...path.axle].reverse().map(onAxle)]] : null;
