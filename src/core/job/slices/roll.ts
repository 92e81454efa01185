import * as z from 'zod/mini';
import { CARRIED } from '@/core/balance/otherEndBuild';
import { within } from '@/core/rig/fields';
import { LINK_JOINT_NAMES } from '@/core/materials/joints';
import { STEEL_NAMES } from '@/core/materials/steels';
import type { ShockDesign, SpringDesign, StopDesign } from '@/core/springs/springDesign';
import { BAR_KINDS, BOLTS, type BarDesign } from '@/core/swaybar/swayBarDesign';
import { mm, notNegative } from './fields';

const size = mm.check(z.positive());
const amount = z.number().check(z.positive(), z.maximum(1e9));

const stand = z.strictObject({ out: mm, ahead: mm, height: mm });
const stands = { frame: stand, axle: stand };

const springs = z.discriminatedUnion('kind', [
  z.strictObject({
    kind: z.literal('coil'),
    ...stands,
    od: size,
    rate: amount,
    free: z.nullable(size),
    solid: z.nullable(size),
  }),
  z.strictObject({
    kind: z.literal('leaf'),
    out: size,
    front: size,
    rear: size,
    width: size,
    thickness: size,
    count: z.int().check(z.minimum(1), z.maximum(20)),
    full: z.int().check(z.minimum(0), z.maximum(20)),
    measured: z.nullable(amount),
  }),
  z.strictObject({
    kind: z.literal('air'),
    ...stands,
    od: size,
    pressure: z.number().check(z.positive(), z.maximum(5)),
    area: amount,
    growth: within(-1000, 1000),
    volume: amount,
  }),
]);

const endLink = z.strictObject({ link: size, foot: z.strictObject({ out: mm, ahead: mm }) });
const linkEnd = z.strictObject({ joint: z.enum(LINK_JOINT_NAMES), bolt: z.enum(BOLTS) });

/** Several holes in an arm, dips in a bar. */
const MOST_HOLES = 21;
const MOST_DIPS = 4;
const hole = z.int().check(z.minimum(0));

const bar = z.strictObject({
  mountedOn: z.enum(['chassis', 'axle']),
  made: z.enum(BAR_KINDS),
  steel: z.enum(STEEL_NAMES),
  od: size,
  wall: z.nullable(size),
  arms: z.strictObject({
    height: size,
    thickness: size,
    turned: within(0, 90),
    teeth: z.nullable(z.int().check(z.minimum(6), z.maximum(200))),
  }),
  housing: z.nullable(size),
  eyes: size,
  middle: size,
  arm: size,
  rise: mm,
  hole: hole.check(z.maximum(MOST_HOLES - 1)),
  pitch: size,
  holes: z.int().check(z.minimum(1), z.maximum(MOST_HOLES)),
  pointing: z.enum(['ahead', 'back']),
  ahead: mm,
  height: mm,
  bushings: size,
  bushingRate: z.nullable(amount),
  dips: z.array(z.strictObject({ at: mm, depth: mm, width: size })).check(z.maxLength(MOST_DIPS)),
  bendRadius: notNegative,
  ...endLink.shape,
  right: z.optional(endLink),
  ends: z.strictObject({ bar: linkEnd, foot: linkEnd }),
  stow: z.nullable(stand),
  hooked: z.boolean(),
  measured: z.strictObject({ left: z.nullable(mm), right: z.nullable(mm) }),
});

/** Where shops disagree about sway bars: big bar and soft springs; none behind; on the strip, behind alone. */
const ROLL_SCHOOLS = ['soft', 'none', 'strip'] as const;
export type RollSchool = (typeof ROLL_SCHOOLS)[number];

const some = z.optional(size);
const otherBuild = z.strictObject({
  carried: z.enum(CARRIED),
  rate: z.optional(amount),
  wire: some,
  coilOd: some,
  turns: z.optional(within(0.5, 60)),
  leverage: z.optional(within(0.05, 3)),
  apart: some,
  bar: z.optional(
    z.strictObject({ od: some, middle: some, lever: some, arm: some, leverage: z.optional(within(0.05, 3)) }),
  ),
});

/** How the car is held up in roll, as a job file keeps it. */
export const rollSchema = z.strictObject({
  springs: z.nullable(springs),
  shock: z.nullable(
    z.strictObject({ closed: size, open: size, od: size, apart: z.nullable(z.strictObject(stands)) }),
  ),
  stop: z.nullable(z.strictObject({ out: size, gap: notNegative, rate: amount, height: size })),
  bar: z.nullable(bar),
  /** how much of the other end's stiffness against roll is its sway bar's, N·mm for a degree */
  otherBar: within(0, 1e9),
  /** what the other end is built of, as far as it was measured: its stiffness is worked out from that */
  otherBuild: z.optional(otherBuild),
  /** the school that is set; null: the builder's own way */
  school: z.nullable(z.enum(ROLL_SCHOOLS)),
});

/** How the car is meant to be held up in roll, as a builder says it. */
export type RollDesign = {
  springs: SpringDesign | null;
  shock: ShockDesign | null;
  stop: StopDesign | null;
  bar: BarDesign | null;
  otherBar: number;
};

/** Nothing is told of springs and bars yet. */
export const startingRoll = (): z.infer<typeof rollSchema> => ({
  springs: null,
  shock: null,
  stop: null,
  bar: null,
  otherBar: 0,
  school: null,
});
