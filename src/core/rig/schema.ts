import * as z from 'zod';
import { coordinate, id, length, point, positive, vector } from './fields';
import { kindOf, memberSchema } from './members/members';

/**
 * The rig file: the geometry of one axle and what hangs on it. ISO 8855 axes (x forward, y left, z up), origin on the
 * ground under the axle's centre at ride height; mm, N, kg, degrees. `docs/file-formats.md` describes every key.
 */
const massesSchema = z.strictObject({
  total: positive,
  frontFraction: z.number().min(0).max(1),
  unsprungFront: z.number().min(0),
  unsprungRear: z.number().min(0),
  unsprungHeightFront: length,
  unsprungHeightRear: length,
});

const springSchema = z.strictObject({ id, chassis: point, axle: point, rate: positive });

const swayBarSchema = z.strictObject({
  id,
  mountedOn: z.enum(['chassis', 'axle']),
  centreline: z.array(point).min(2).max(500),
  od: length,
  wall: length.nullable().optional(),
  bushings: z.tuple([point, point]),
  links: z.strictObject({ left: point, right: point }),
  E: positive,
  G: positive,
  /** how far the bushings give across the bar, N/mm; without it they are as good as rigid */
  bushingRate: positive.optional(),
  /** flat arms in place of the first and the last piece: 0° stands on edge, 90° lies flat */
  arms: z
    .strictObject({ height: length, thickness: length, turnedDeg: z.number().min(0).max(90) })
    .optional(),
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
]);

const travelSchema = z.strictObject({ left: coordinate, right: coordinate });

const loadSchema = z.strictObject({
  name: z.string().max(120),
  wheel: z.strictObject({ left: vector, right: vector }),
  springs: z.strictObject({ left: point, right: point }),
  shaftTorque: z.number(),
});

export const rigSchema = z
  .strictObject({
    format: z.literal('pellik.rig'),
    version: z.literal(1),
    name: z.string().max(200).optional(),
    end: z.enum(['rear', 'front']),
    tireRadius: length,
    track: length,
    wheelbase: length.optional(),
    cgHeight: length.optional(),
    members: z.array(memberSchema).min(1).max(100),
    masses: massesSchema.optional(),
    springs: z.array(springSchema).max(8).optional(),
    swayBars: z.array(swayBarSchema).max(8).optional(),
    otherEnd: z
      .strictObject({
        rollCentreHeight: coordinate,
        rollRate: z.number().min(0),
        track: length,
        tireRadius: length,
      })
      .optional(),
    driveshaft: z
      .strictObject({
        transmission: point,
        transmissionAngleDeg: z.number().min(-90).max(90),
        pinion: point,
        pinionAngleDeg: z.number().min(-90).max(90),
      })
      .optional(),
    steering: z.strictObject({ pitman: point, knuckle: point, kingpin: point }).optional(),
    obstacles: z.array(obstacleSchema).max(500).optional(),
    sweep: z.array(travelSchema).max(200_000).optional(),
    loads: z.array(loadSchema).max(200).optional(),
  })
  .superRefine((rig, context) => {
    for (const list of ['members', 'springs', 'swayBars', 'obstacles'] as const) {
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
    });
    rig.members.forEach((member, i) => {
      const fault = kindOf(member).fault(member);
      if (fault)
        context.addIssue({ code: 'custom', path: ['members', i, ...fault.path], message: fault.message });
    });
  });

export type Rig = z.infer<typeof rigSchema>;
export type AxleEnd = Rig['end'];
export type Obstacle = z.infer<typeof obstacleSchema>;
export type Spring = z.infer<typeof springSchema>;
export type SwayBar = z.infer<typeof swayBarSchema>;
export type Travel = z.infer<typeof travelSchema>;
