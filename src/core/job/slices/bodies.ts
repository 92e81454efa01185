import * as z from 'zod/mini';
import { within } from '@/core/rig/fields';
import { BODY_SIZES, type BodySize } from '@/core/job/bodies/bodySizes';

const sizes = Object.fromEntries(
  Object.entries(BODY_SIZES).map(([key, { least, most }]) => [key, z.optional(within(least, most))]),
) as Record<BodySize, z.ZodMiniOptional<z.ZodMiniNumber>>;

const rate = z.optional(within(1, 1e6));

/**
 * Sizes of bodies as they were typed, mm; how far the front wheels steer to either side, degrees; how arms give at their front
 * joint and leaves sideways, N/mm, and the axle's tube and the wind-up of a leaf, N·mm/rad. What is absent is taken as usual, or worked out from the sizes.
 */
export const bodiesSchema = z.strictObject({
  ...sizes,
  lock: z.optional(within(5, 60)),
  armAlong: rate,
  armAcross: rate,
  armUp: rate,
  axleTorsion: z.optional(within(1e6, 1e13)),
  leafAcross: rate,
  leafWindup: z.optional(within(1e4, 1e12)),
});
