import * as z from 'zod';
import { LINK_JOINT_NAMES } from '@/core/materials/joints';
import { STEEL_NAMES } from '@/core/materials/steels';
import type { ShockDesign, SpringDesign, StopDesign } from '@/core/springs/springDesign';
import { BAR_KINDS, BOLTS, type BarDesign } from '@/core/swaybar/swayBarDesign';
import { mm } from './fields';

const size = mm.positive();
const amount = z.number().positive().max(1e9);

const stand = z.strictObject({ out: mm, ahead: mm, height: mm });
const stands = { frame: stand, axle: stand };

const springs = z.discriminatedUnion('kind', [
  z.strictObject({
    kind: z.literal('coil'),
    ...stands,
    rate: amount,
    free: size.nullable(),
    solid: size.nullable(),
  }),
  z.strictObject({
    kind: z.literal('leaf'),
    out: size,
    front: size,
    rear: size,
    width: size,
    thickness: size,
    count: z.number().int().min(1).max(20),
    full: z.number().int().min(0).max(20),
    measured: amount.nullable(),
  }),
  z.strictObject({
    kind: z.literal('air'),
    ...stands,
    pressure: z.number().positive().max(5),
    area: amount,
    growth: z.number().min(-1000).max(1000),
    volume: amount,
  }),
]);

const linkEnd = z.strictObject({ joint: z.enum(LINK_JOINT_NAMES), bolt: z.enum(BOLTS) });

/** Several holes in an arm, dips in a bar. */
const MOST_HOLES = 21;
const MOST_DIPS = 4;
const hole = z.number().int().min(0);

const bar = z.strictObject({
  mountedOn: z.enum(['chassis', 'axle']),
  made: z.enum(BAR_KINDS),
  steel: z.enum(STEEL_NAMES),
  od: size,
  wall: size.nullable(),
  arms: z.strictObject({
    height: size,
    thickness: size,
    turned: z.number().min(0).max(90),
    teeth: z.number().int().min(6).max(200).nullable(),
  }),
  housing: size.nullable(),
  eyes: size,
  middle: size,
  arm: size,
  rise: mm,
  hole: hole.max(MOST_HOLES - 1),
  pitch: size,
  holes: z.number().int().min(1).max(MOST_HOLES),
  pointing: z.enum(['ahead', 'back']),
  ahead: mm,
  height: mm,
  bushings: size,
  bushingRate: amount.nullable(),
  dips: z.array(z.strictObject({ at: mm, depth: mm, width: size })).max(MOST_DIPS),
  bendRadius: mm.min(0),
  link: size,
  foot: z.strictObject({ out: mm, ahead: mm }),
  ends: z.strictObject({ bar: linkEnd, foot: linkEnd }),
  stow: stand.nullable(),
  hooked: z.boolean(),
  measured: z.strictObject({ left: mm.nullable(), right: mm.nullable() }),
});

/** Where shops disagree about sway bars: big bar and soft springs; none behind; on the strip, behind alone. */
const ROLL_SCHOOLS = ['soft', 'none', 'strip'] as const;
export type RollSchool = (typeof ROLL_SCHOOLS)[number];

/** How the car is held up in roll, as a job file keeps it. */
export const rollSchema = z.strictObject({
  springs: springs.nullable(),
  shock: z.strictObject({ closed: size, open: size, apart: z.strictObject(stands).nullable() }).nullable(),
  stop: z.strictObject({ out: size, gap: mm.min(0), rate: amount, height: size }).nullable(),
  bar: bar.nullable(),
  /** how much of the other end's stiffness against roll is its sway bar's, N·mm for a degree */
  otherBar: z.number().min(0).max(1e9),
  /** the school that is set; null: the builder's own way */
  school: z.enum(ROLL_SCHOOLS).nullable(),
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
