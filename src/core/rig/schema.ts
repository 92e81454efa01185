import * as z from 'zod/mini';
import { coordinate, id, length, point, positive, vector, within } from './fields';
import { kindOf, memberSchema } from './members/members';

/**
 * The rig file: the geometry of one axle and what hangs on it. ISO 8855 axes (x forward, y left, z up), origin on the
 * ground under the axle's centre at ride height; mm, N, kg, degrees. `docs/file-formats.md` describes every key.
 */
const massesSchema = z.strictObject({
  total: positive,
  frontFraction: within(0, 1),
  unsprungFront: z.number().check(z.minimum(0)),
  unsprungRear: z.number().check(z.minimum(0)),
  unsprungHeightFront: length,
  unsprungHeightRear: length,
});

const springSchema = z.strictObject({
  id,
  chassis: point,
  axle: point,
  rate: positive,
  od: z.optional(length),
});

const shockSchema = z.strictObject({ id, chassis: point, axle: point, od: length });

const swayBarSchema = z.strictObject({
  id,
  mountedOn: z.enum(['chassis', 'axle']),
  centreline: z.array(point).check(z.minLength(2), z.maxLength(500)),
  od: length,
  wall: z.optional(z.nullable(length)),
  bushings: z.tuple([point, point]),
  links: z.strictObject({ left: point, right: point }),
  E: positive,
  G: positive,
  /** how far the bushings give across the bar, N/mm; without it they are as good as rigid */
  bushingRate: z.optional(positive),
  /** flat arms in place of the first and the last piece: 0° stands on edge, 90° lies flat */
  arms: z.optional(
    z.strictObject({
      height: length,
      thickness: length,
      turnedDeg: within(0, 90),
    }),
  ),
});

const obstacleBase = { id, on: z.enum(['chassis', 'axle']) };
const obstacleSchema = z.discriminatedUnion('shape', [
  z.strictObject({ ...obstacleBase, shape: z.literal('box'), min: point, max: point }),
  z.strictObject({
    ...obstacleBase,
    shape: z.literal('capsule'),
    from: point,
    to: point,
    radius: length,
  }),
  z.strictObject({ ...obstacleBase, shape: z.literal('sphere'), centre: point, radius: length }),
  // Flat ends, where a capsule's are round.
  z.strictObject({
    ...obstacleBase,
    shape: z.literal('cylinder'),
    from: point,
    to: point,
    radius: length,
  }),
]);

const travelSchema = z.strictObject({ left: coordinate, right: coordinate });

const loadSchema = z.strictObject({
  name: z.string().check(z.maxLength(120)),
  wheel: z.strictObject({ left: vector, right: vector }),
  springs: z.strictObject({ left: point, right: point }),
  shaftTorque: z.number(),
});

/** Version 2 gives every body a size, arms three stiffnesses and the axle's tube a twist. */
const RIG_VERSIONS = [1, 2] as const;

export const rigSchema = z
  .strictObject({
    format: z.literal('pellik.rig'),
    version: z.literal(RIG_VERSIONS, { error: 'expected 1 or 2' }),
    name: z.optional(z.string().check(z.maxLength(200))),
    end: z.enum(['rear', 'front']),
    tireRadius: length,
    track: length,
    wheelbase: z.optional(length),
    cgHeight: z.optional(length),
    members: z.array(memberSchema).check(z.minLength(1), z.maxLength(100)),
    masses: z.optional(massesSchema),
    /** what the axle's tube twists for between the wheels, N·mm/rad; without it the axle is rigid */
    axleTorsion: z.optional(positive),
    springs: z.optional(z.array(springSchema).check(z.maxLength(8))),
    shocks: z.optional(z.array(shockSchema).check(z.maxLength(8))),
    swayBars: z.optional(z.array(swayBarSchema).check(z.maxLength(8))),
    otherEnd: z.optional(
      z.strictObject({
        rollCentreHeight: coordinate,
        rollRate: z.number().check(z.minimum(0)),
        track: length,
        tireRadius: length,
      }),
    ),
    driveshaft: z.optional(
      z.strictObject({
        transmission: point,
        transmissionAngleDeg: within(-90, 90),
        pinion: point,
        pinionAngleDeg: within(-90, 90),
        od: z.optional(length),
      }),
    ),
    steering: z.optional(
      z.strictObject({ pitman: point, knuckle: point, kingpin: point, od: z.optional(length) }),
    ),
    /** two flat-ended cylinders about the axle; without `radius`, as large as they stand */
    tires: z.optional(z.strictObject({ width: length, radius: z.optional(length) })),
    /** share of the braking that the rear wheels do, by brakes on the axle */
    brakes: z.optional(z.strictObject({ rearShare: within(0, 1) })),
    obstacles: z.optional(z.array(obstacleSchema).check(z.maxLength(500))),
    /** pairs of bodies that are fastened to each other */
    joined: z.optional(z.array(z.tuple([id, id])).check(z.maxLength(500))),
    sweep: z.optional(z.array(travelSchema).check(z.maxLength(200_000))),
    loads: z.optional(z.array(loadSchema).check(z.maxLength(200))),
  })
  .check(
    z.superRefine((rig, context) => {
      for (const list of ['members', 'springs', 'shocks', 'swayBars', 'obstacles'] as const) {
        const seen = new Set<string>();
        rig[list]?.forEach((item, i) => {
          if (seen.has(item.id)) {
            context.addIssue({
              code: 'custom',
              path: [list, i, 'id'],
              message: `“${item.id}” is used twice; give every one its own id`,
            });
          }
          seen.add(item.id);
        });
      }
      rig.obstacles?.forEach((o, i) => {
        if (o.shape === 'box' && o.min.some((v, k) => v > o.max[k]!)) {
          const message = 'must be at least "min" in every direction';
          context.addIssue({ code: 'custom', path: ['obstacles', i, 'max'], message });
        }
        if (o.shape === 'cylinder' && o.from.every((v, k) => v === o.to[k])) {
          const message = 'is "from" itself; a cylinder needs length';
          context.addIssue({ code: 'custom', path: ['obstacles', i, 'to'], message });
        }
      });
      if (rig.version === 1)
        for (const path of keysOfSecond(rig))
          context.addIssue({
            code: 'custom',
            path,
            message: 'unknown key in version 1; remove it or write "version": 2',
          });
      rig.members.forEach((member, i) => {
        const fault = kindOf(member).fault(member);
        if (fault)
          context.addIssue({ code: 'custom', path: ['members', i, ...fault.path], message: fault.message });
      });
    }),
  );

type Parsed = Pick<
  Rig,
  'version' | 'members' | 'springs' | 'shocks' | 'obstacles' | 'driveshaft' | 'steering'
> &
  Partial<Rig>;

/** Ids by which bodies of a rig are called in `joined` and in the answer. */
export const BODY_IDS = {
  driveshaft: 'driveshaft',
  dragLink: 'drag-link',
  tire: { left: 'tire-left', right: 'tire-right' },
} as const;

/** Where a rig says what only version 2 can. */
function keysOfSecond(rig: Parsed): PropertyKey[][] {
  const whole = (['axleTorsion', 'shocks', 'tires', 'brakes', 'joined'] as const).filter(
    (key) => rig[key] !== undefined,
  );
  const thick = (['driveshaft', 'steering'] as const).filter((key) => rig[key]?.od !== undefined);
  const members = rig.members.flatMap((m, i): PropertyKey[][] => {
    if (m.type === 'link' || m.type === 'watts') return [];
    const own = m.type === 'leaf' ? (['od'] as const) : (['od', 'path'] as const);
    const keys = own.filter((key) => key in m && (m as Record<string, unknown>)[key] !== undefined);
    const three = m.type === 'rigid-arm' && Array.isArray(m.rate) ? ['rate'] : [];
    return [...keys, ...three].map((key) => ['members', i, key]);
  });
  const springs = (rig.springs ?? []).flatMap((s, i) => (s.od === undefined ? [] : [['springs', i, 'od']]));
  const cylinders = (rig.obstacles ?? []).flatMap((o, i) =>
    o.shape === 'cylinder' ? [['obstacles', i, 'shape']] : [],
  );
  return [
    ...whole.map((key) => [key]),
    ...thick.map((key) => [key, 'od']),
    ...members,
    ...springs,
    ...cylinders,
  ];
}

export type Rig = z.infer<typeof rigSchema>;
export type AxleEnd = Rig['end'];
export type Obstacle = z.infer<typeof obstacleSchema>;
export type Spring = z.infer<typeof springSchema>;
export type Shock = z.infer<typeof shockSchema>;
export type SwayBar = z.infer<typeof swayBarSchema>;
export type Travel = z.infer<typeof travelSchema>;
