import * as z from 'zod/mini';
import { within } from '@/core/rig/fields';
import { BOLT_GRADE_NAMES, ELECTRODE_NAMES, METAL_NAMES, STRENGTH_NAMES } from '@/core/materials/metals';
import { THREAD_NAMES } from '@/core/materials/threads';
import { mm, notNegative, text } from './fields';

const size = mm.check(z.positive());

export const barEndSchema = z.strictObject({
  toShoulder: notNegative,
  showing: notNegative,
  shank: notNegative,
  bung: notNegative,
});

const sectionSchema = z.discriminatedUnion('shape', [
  z.strictObject({ shape: z.literal('tube'), od: size, wall: size }),
  z.strictObject({ shape: z.literal('solid'), od: size }),
  z.strictObject({ shape: z.literal('flat'), height: size, thickness: size }),
]);

/**
 * An end of plate on a pin instead of a rod end, mm: an eye of one plate, or a fork of two; each plate's thickness and its width at the hole;
 * from its hole to where the bar ends, and how far it laps the bar.
 */
const eyeSchema = z.strictObject({
  kind: z.enum(['eye', 'fork']),
  plate: size,
  width: size,
  reach: size,
  lap: size,
});
export type BarEye = z.infer<typeof eyeSchema>;

/** A bar as it is made, as far as it is not like the set at Cut; N for what its rod ends are rated at by their maker. */
const barPartSchema = z.strictObject({
  metal: z.optional(z.enum(METAL_NAMES)),
  section: z.optional(sectionSchema),
  thread: z.optional(z.enum(THREAD_NAMES)),
  ends: z.optional(z.strictObject({ frame: barEndSchema, axle: barEndSchema })),
  rated: z.optional(within(1, 10_000_000)),
  /** of a bent bar, to its middle line */
  bendRadius: z.optional(size),
  /** ends that are welded to a barrel instead of threaded: its outside diameter */
  barrels: z.optional(
    z.strictObject({
      frame: z.optional(z.strictObject({ od: size })),
      axle: z.optional(z.strictObject({ od: size })),
    }),
  ),
  /** ends of plate on a pin, instead of threaded ones */
  eyes: z.optional(z.strictObject({ frame: z.optional(eyeSchema), axle: z.optional(eyeSchema) })),
});
export type BarPart = z.infer<typeof barPartSchema>;

/** A bracket as it is made, as far as it was said; lengths in mm. */
const bracketPartSchema = z.strictObject({
  metal: z.optional(z.enum(METAL_NAMES)),
  /** of each plate: thickness, width at the hole, from the hole's middle to the edge the load pulls at, depth where it is fastened */
  plate: z.optional(size),
  width: z.optional(size),
  edge: z.optional(size),
  depth: z.optional(size),
  /** the face it sits on: flat, or round, as of a tube; its diameter, where that is not the axle's */
  seat: z.optional(z.strictObject({ on: z.enum(['flat', 'round']), od: z.optional(size) })),
  /** what is left of an old bracket that its plates go over: how far it stands out, how wide it is over its plates, how far it is lapped */
  over: z.optional(z.strictObject({ high: z.optional(size), wide: z.optional(size), lap: z.optional(size) })),
  /** on the frame: "rail", or the crossmember that it hangs on; by itself the nearest */
  carrier: z.optional(text(60)),
  /** from what it is fastened to, or what an old bracket is that it goes over, to the eye */
  reach: z.optional(notNegative),
  /** a web or gusset boxes the two plates */
  boxed: z.optional(z.boolean()),
  /** plates and web folded from one piece: the inside radius of the folds */
  bend: z.optional(notNegative),
  /** one plate and a stud, or two and a bolt through both */
  planes: z.optional(z.union([z.literal(1), z.literal(2)])),
  hole: z.optional(size),
  bolt: z.optional(size),
  grade: z.optional(z.enum(BOLT_GRADE_NAMES)),
  /** the bolt's thread lies in a shear plane */
  threaded: z.optional(z.boolean()),
  /** the ball or sleeve between the plates, and a spacer on each side of it */
  middle: z.optional(size),
  spacer: z.optional(notNegative),
  /** fillets all round both plates: leg, wire, and the share of their length that is welded */
  leg: z.optional(size),
  electrode: z.optional(z.enum(ELECTRODE_NAMES)),
  welded: z.optional(within(0.05, 1)),
  /** fastened by bolts of its own, as a kit's are, instead of welded */
  bolted: z.optional(z.boolean()),
  /** the wall of what it is fastened to, and a backing plate on it */
  wall: z.optional(size),
  backing: z.optional(notNegative),
  /** a brace from the frame bracket to the other rail: its tube, its length, and how far from the rail it meets the bracket */
  brace: z.optional(z.strictObject({ od: size, wall: size, length: size, at: size })),
});
export type BracketPart = z.infer<typeof bracketPartSchema>;
export type Brace = NonNullable<BracketPart['brace']>;

/** The plate that clamps a leaf spring to the axle, as far as it was said, mm. */
const springPlateSchema = z.strictObject({
  leafWidth: z.optional(size),
  pack: z.optional(size),
  pad: z.optional(notNegative),
  plate: z.optional(size),
  edge: z.optional(size),
  uBolt: z.optional(size),
  pin: z.optional(size),
  trim: z.optional(notNegative),
  /** an ear of it for a stud or the boss of a link: its hole, from the centring pin ahead and out from the car's middle; there is none without it */
  ear: z.optional(z.strictObject({ ahead: z.optional(mm), out: z.optional(mm), hole: z.optional(size) })),
});

/** The strap over each bushing of the sway bar, as far as it was said, mm. */
const strapSchema = z.strictObject({
  wide: z.optional(size),
  high: z.optional(size),
  squeeze: z.optional(notNegative),
  round: z.optional(notNegative),
  thickness: z.optional(size),
  width: z.optional(size),
  bend: z.optional(notNegative),
  foot: z.optional(size),
  bolt: z.optional(size),
  /** of the bolts of straps and angles */
  grade: z.optional(z.enum(BOLT_GRADE_NAMES)),
});

/** The angle that each strap of the sway bar stands on, as far as it was said, mm; there is none without it. */
const angleSchema = z.strictObject({
  under: z.optional(size),
  against: z.optional(size),
  thickness: z.optional(size),
  bend: z.optional(notNegative),
  edge: z.optional(size),
});

/** The sleeves that the sway bar passes the frame rails in, as far as they were said, mm: outside, wall, collars round them, those's thickness, the rails' wall. */
const sleeveSchema = z.strictObject({
  od: z.optional(size),
  tube: z.optional(size),
  collar: z.optional(size),
  plate: z.optional(size),
  wall: z.optional(size),
});

/**
 * What an end of the sway bar's end links turns on, as far as it was said, mm: its bolt or pin, the plates it goes through, one or two, the
 * joint between or beside them, a spacer on each side of that; whether a clip holds it instead of a nut.
 */
const linkPinSchema = z.strictObject({
  bolt: z.optional(size),
  grade: z.optional(z.enum(BOLT_GRADE_NAMES)),
  planes: z.optional(z.union([z.literal(1), z.literal(2)])),
  plate: z.optional(size),
  middle: z.optional(size),
  spacer: z.optional(notNegative),
  clip: z.optional(z.boolean()),
});

/** The sway bar's end links, as far as they were said: what they are of, their thread, both ends of each; what they turn on. */
const endLinkSchema = z.strictObject({
  metal: z.optional(z.enum(METAL_NAMES)),
  section: z.optional(sectionSchema),
  thread: z.optional(z.enum(THREAD_NAMES)),
  end: z.optional(barEndSchema),
  bar: z.optional(linkPinSchema),
  foot: z.optional(linkPinSchema),
});

/**
 * A crossmember between the frame's rails or under them, mm: ahead of the axle; its middle line under the rails' undersides, negative above
 * them; a hoop is bent down or up to its middle, so wide. A straight one under the rails lies against them.
 */
const crossmemberSchema = z.strictObject({
  ahead: mm,
  low: mm,
  meets: z.enum(['between', 'under']),
  section: z.optional(
    z.discriminatedUnion('shape', [
      z.strictObject({ shape: z.literal('tube'), od: size, wall: size }),
      z.strictObject({ shape: z.literal('box'), high: size, wide: size, wall: size }),
    ]),
  ),
  metal: z.optional(z.enum(METAL_NAMES)),
  hoop: z.optional(z.strictObject({ middle: z.optional(size), bendRadius: z.optional(size) })),
  /** fastened to the rails by bolts instead of welded */
  bolted: z.optional(z.boolean()),
});
export type CrossmemberPart = z.infer<typeof crossmemberSchema>;
export const MOST_CROSSMEMBERS = 8;
/** Names of crossmembers, as they are spoken of; more of them than a car has are no car's. */
const crossmembersSchema = z
  .record(
    z.string().check(z.regex(/^[a-z][a-z0-9 -]{0,39}$/, 'small letters, digits and dashes only')),
    crossmemberSchema,
  )
  .check(z.refine((all) => Object.keys(all).length <= MOST_CROSSMEMBERS, `${MOST_CROSSMEMBERS} at most`));

/** Parts that a job has one kind of, all alike. */
export type AlikePart = 'springPlate' | 'strap' | 'angle' | 'sleeve' | 'endLink';

const strength = within(20, 3000);

/** What a metal bears, as far as the builder knows better than a handbook, N/mm², and where that is from. */
const strengthSchema = z.strictObject({
  yield: z.optional(strength),
  ultimate: z.optional(strength),
  welded: z.optional(strength),
  source: z.optional(text(200)),
});
export type Strength = z.infer<typeof strengthSchema>;

/**
 * What the job is made of: bars by member, brackets by mount (`panhard/chassis`). What is said of one of a pair holds for both until the
 * other has an entry of its own. `strengths`: what metals bear, where it is not what
 * is usual. `wanted`: how many times over what locates the axle is to hold.
 */
const wholePartsSchema = z.strictObject({
  bars: z.record(text(60), barPartSchema),
  brackets: z.record(text(80), bracketPartSchema),
  strengths: z.optional(z.partialRecord(z.enum(STRENGTH_NAMES), strengthSchema)),
  springPlate: z.optional(springPlateSchema),
  strap: z.optional(strapSchema),
  angle: z.optional(angleSchema),
  sleeve: z.optional(sleeveSchema),
  endLink: z.optional(endLinkSchema),
  crossmembers: z.optional(crossmembersSchema),
  wanted: z.optional(within(1, 20)),
});
export const partsSchema = z._default(wholePartsSchema, { bars: {}, brackets: {} });
/** The parts themselves, without what their metal bears and what is asked of them. */
export const drawnPartsSchema = z.omit(wholePartsSchema, { strengths: true, wanted: true });
export const startingParts = (): Parts => ({ bars: {}, brackets: {} });
export type Parts = z.infer<typeof partsSchema>;
