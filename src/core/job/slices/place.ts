import * as z from 'zod/mini';
import { bySide, mm, notNegative, text } from './fields';

/** When the wheel stands in the middle of its opening: where the car drives, or where it is parked. */
const CENTRE_SCHOOLS = ['driving', 'parked'] as const;
export type CentreSchool = (typeof CENTRE_SCHOOLS)[number];

/** How the axle is held while brackets are set: the car on its tyres, or the frame on stands and the axle on rests. */
const HOLDINGS = ['weight', 'rests'] as const;
export type Holding = (typeof HOLDINGS)[number];

export const placeSchema = z.strictObject({
  /** when the wheel is centred in its opening, and how much lower the frame sits when parked, mm */
  school: z.enum(CENTRE_SCHOOLS),
  parkedDrop: notNegative,
  /** how far the axle comes up while the car is driven, mm: what is above that is for parking; without it, all of the travel */
  drivenBump: z.optional(notNegative),
  /** how the axle is held while brackets are set, and on rests at which height; without it, not said */
  holding: z.optional(z.enum(HOLDINGS)),
  heldAt: z.optional(z.enum(CENTRE_SCHOOLS)),
  /** ride height to build for; without it, as recorded */
  rideHeight: z.optional(notNegative),
  /** ride height at which what is on the frame was drawn; without it, as recorded */
  drawnAt: z.optional(mm),
  /** the tyre to come, when it is not on yet: half of its diameter is used */
  tireDiameter: z.optional(notNegative),
  /** the frame as it stands on its stands, straight above the axle */
  held: bySide,
  /** as measured at the axle on its rests */
  measured: z.record(text(60), mm),
});

export const startingPlace = (): z.infer<typeof placeSchema> => ({
  school: 'driving',
  parkedDrop: 0,
  held: {},
  measured: {},
});
