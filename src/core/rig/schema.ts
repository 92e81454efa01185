import { z } from 'zod';

/**
 * The rig file: the geometry of one axle and what hangs on it. ISO 8855 axes (x forward, y left, z up), origin on the
 * ground under the axle's centre at ride height; mm, N, kg, degrees. `docs/file-formats.md` describes every key.
 */
const FARTHEST = 20_000; // mm: no car is longer, and a slipped decimal point is caught here
const coordinate = z.number().min(-FARTHEST).max(FARTHEST);
const pointSchema = z.tuple([coordinate, coordinate, coordinate]);
const vector = z.tuple([z.number(), z.number(), z.number()]);
const length = z.number().positive().max(FARTHEST);
const positive = z.number().positive();
const id = z.string().min(1).max(60);

const linkSchema = z.strictObject({
  type: z.literal('link'),
  id,
  chassis: pointSchema,
  axle: pointSchema,
  length: length.optional(),
  rate: positive.optional(),
  od: length.optional(),
  path: z.strictObject({ chassis: z.array(pointSchema).max(50) }).optional(),
});

const sliderArmSchema = z.strictObject({
  type: z.literal('slider-arm'),
  id,
  chassis: pointSchema,
  axis: vector.optional(),
  rate: positive.optional(),
});

const rigidArmSchema = z.strictObject({
  type: z.literal('rigid-arm'),
  id,
  chassis: pointSchema,
  rate: positive.optional(),
});

const topAndBottom = z.strictObject({ top: pointSchema, bottom: pointSchema });
const wattsSchema = z.strictObject({
  type: z.literal('watts'),
  id,
  pivotOn: z.enum(['axle', 'chassis']),
  pivot: pointSchema,
  axis: vector.optional(),
  crank: topAndBottom,
  ends: topAndBottom,
  rate: positive.optional(),
});

const leafSchema = z.strictObject({
  type: z.literal('leaf'),
  id,
  frontEye: pointSchema,
  seat: pointSchema,
  rearEye: pointSchema,
  controlFraction: z.number().gt(0).max(1).optional(),
  rate: positive.optional(),
  lateralRate: positive,
  windupRate: positive,
});

const memberSchema = z.discriminatedUnion('type', [
  linkSchema,
  sliderArmSchema,
  rigidArmSchema,
  wattsSchema,
  leafSchema,
]);

const massesSchema = z.strictObject({
  total: positive,
  frontFraction: z.number().min(0).max(1),
  unsprungFront: z.number().min(0),
  unsprungRear: z.number().min(0),
  unsprungHeightFront: length,
  unsprungHeightRear: length,
});

const springSchema = z.strictObject({ id, chassis: pointSchema, axle: pointSchema, rate: positive });

const swayBarSchema = z.strictObject({
  id,
  mountedOn: z.enum(['chassis', 'axle']),
  centreline: z.array(pointSchema).min(2).max(500),
  od: length,
  wall: length.nullable().optional(),
  bushings: z.tuple([pointSchema, pointSchema]),
  links: z.strictObject({ left: pointSchema, right: pointSchema }),
  E: positive,
  G: positive,
});

const obstacleBase = { id, on: z.enum(['chassis', 'axle']) };
const obstacleSchema = z.discriminatedUnion('shape', [
  z.strictObject({ ...obstacleBase, shape: z.literal('box'), min: pointSchema, max: pointSchema }),
  z.strictObject({
    ...obstacleBase,
    shape: z.literal('capsule'),
    from: pointSchema,
    to: pointSchema,
    radius: length,
  }),
  z.strictObject({ ...obstacleBase, shape: z.literal('sphere'), centre: pointSchema, radius: length }),
]);

const travelSchema = z.strictObject({ left: coordinate, right: coordinate });

const loadSchema = z.strictObject({
  name: z.string().max(120),
  wheel: z.strictObject({ left: vector, right: vector }),
  springs: z.strictObject({ left: pointSchema, right: pointSchema }),
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
        transmission: pointSchema,
        transmissionAngleDeg: z.number().min(-90).max(90),
        pinion: pointSchema,
        pinionAngleDeg: z.number().min(-90).max(90),
      })
      .optional(),
    steering: z.strictObject({ pitman: pointSchema, knuckle: pointSchema, kingpin: pointSchema }).optional(),
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
      const fault = memberFault(member);
      if (fault)
        context.addIssue({ code: 'custom', path: ['members', i, ...fault.path], message: fault.message });
    });
  });

type Fault = { path: string[]; message: string };

/** What makes a member of the right shape unusable: ends on one point, an axis that says nothing. */
function memberFault(member: z.infer<typeof memberSchema>): Fault | null {
  const same = 'the two ends are the same point; a link needs length';
  switch (member.type) {
    case 'link':
      return coincide(member.chassis, member.axle) ? { path: [], message: same } : null;
    case 'slider-arm': {
      // The direction held is across both the axis and the axle: an axis along the axle leaves none.
      const [x, , z] = member.axis ?? [1, 0, 0];
      return Math.hypot(x, z) < 1e-9 ? { path: ['axis'], message: 'must not run along the axle' } : null;
    }
    case 'watts':
      for (const end of ['top', 'bottom'] as const) {
        if (coincide(member.crank[end], member.ends[end])) return { path: ['ends', end], message: same };
        if (coincide(member.crank[end], member.pivot)) {
          return { path: ['crank', end], message: 'is the pivot itself; a crank arm needs length' };
        }
      }
      return Math.hypot(...(member.axis ?? [1, 0, 0])) < 1e-9
        ? { path: ['axis'], message: 'has no length' }
        : null;
    case 'leaf':
      return coincide(member.frontEye, member.seat)
        ? { path: ['seat'], message: 'is the front eye itself' }
        : null;
    case 'rigid-arm':
      return null;
  }
}

const coincide = (a: number[], b: number[]): boolean => Math.hypot(...a.map((v, k) => v - b[k]!)) < 1e-6;

export type Rig = z.infer<typeof rigSchema>;
export type Member = z.infer<typeof memberSchema>;
export type LinkMember = z.infer<typeof linkSchema>;
export type SliderArm = z.infer<typeof sliderArmSchema>;
export type RigidArm = z.infer<typeof rigidArmSchema>;
export type Watts = z.infer<typeof wattsSchema>;
export type Leaf = z.infer<typeof leafSchema>;
export type Obstacle = z.infer<typeof obstacleSchema>;
export type Spring = z.infer<typeof springSchema>;
export type SwayBar = z.infer<typeof swayBarSchema>;
export type Travel = z.infer<typeof travelSchema>;
export type Point = z.infer<typeof pointSchema>;
