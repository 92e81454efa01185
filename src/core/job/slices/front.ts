import * as z from 'zod/mini';

/** Where the steering box stands: on the frame, with a drag link to the axle; or on the axle, with none. */
const BOXES = ['frame', 'axle'] as const;

/** A front axle's own: whether it drives, and where its steering box stands. */
export const frontSchema = z._default(z.strictObject({ driven: z.boolean(), box: z.enum(BOXES) }), {
  driven: false,
  box: 'frame',
});
export type Front = z.infer<typeof frontSchema>;

export const startingFront = (): Front => ({ driven: false, box: 'frame' });
