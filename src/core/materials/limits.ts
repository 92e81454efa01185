import { MM_PER_INCH } from '@/core/units/tape';
import type { Use } from './uses';

const inch = (n: number) => n * MM_PER_INCH;

/** From the least to the most that passes. */
export type Range = readonly [least: number, most: number];

/**
 * Every limit that a verdict is given by, with its unit. All are common practice with no published source, unless one is
 * named; each is where Pellik starts, and what the vehicle maker or the rules say comes first.
 */
export const LIMITS = {
  /** sideways movement of the axle over its travel that each use can live with, mm */
  sideways: {
    street: inch(1 / 8),
    autocross: inch(1 / 16),
    drag: inch(1 / 8),
    offroad: inch(1 / 2),
    tow: inch(1 / 4),
  } satisfies Record<Use, number>,

  /** a lateral bar: out of level and out of parallel in plan, mm, where it wants a look and where it stops; the share of its length that a diagonal bar runs lengthwise */
  lateralBar: { level: 3.2, levelStop: 50, parallel: 6.4, parallelStop: 38, diagonal: 0.25 },

  /** gaps anywhere in the travel, mm: fingers fit; to a tyre; and what does not move against each other */
  clearance: { least: 12.7, tyre: inch(1), sameBody: 3 },

  /** roll centre over the travel, as a share of the travel: a level bar's moves about half */
  rollCentreTravel: 1,

  /** a crank: how unlike its two links or arms may be, mm; the least angle of a leaning pair of links in plan, degrees */
  crankMatch: 3.2,
  leastSpread: 40,

  /** how far the height of the centre of gravity may be from where it is said to be, mm: as usual on a car, and as a builder puts it */
  gravityHeight: { guessed: inch(4), typed: inch(2) },

  /** anti-squat that suits each use, per cent: less lets the tail squat, more hops under the brakes */
  antiSquat: {
    street: [20, 90],
    autocross: [20, 80],
    drag: [90, 160],
    offroad: [30, 100],
    tow: [40, 110],
  } satisfies Record<Use, Range>,

  /** degrees of axle steer for a degree of roll */
  rollSteer: [-0.05, 0.1] as Range,

  /** how far bars as they are may put the axle from where it is drawn: ahead and aside, mm; one wheel ahead of the other, mm; about its length, degrees */
  stands: { aside: inch(1 / 16), square: inch(1 / 8), turned: 0.5 },

  /** degrees that the pinion may turn over the travel */
  pinionSwing: 3,

  /** degrees that a front axle’s caster may change over the travel */
  casterSwing: 4,

  /** degrees that bumps may steer: both wheels together, and one alone, which rolls the axle too */
  bumpSteer: { both: 0.5, one: 1 },

  /** drag link against track bar: what passes for alike, mm and degrees */
  dragLink: { length: 75, angle: 2 },

  /** share of its swing that a joint may have used up at rest */
  cocked: 0.4,

  /** how far over-held members may have to give, mm: what any bushing does, and what only a very soft one can; and what an arm whose give is known may push on its frame joint, N */
  bind: { look: 1, stop: 6, armLook: 2_000, armStop: 20_000 },

  /** a hose, line or cable: what it keeps to spare at the farthest, mm; the share of its length that may hang slack */
  lines: { spare: inch(3 / 4), slack: 0.5 },

  /** how far leaf springs alone may let an axle go sideways in the steady corner, mm */
  leafGive: inch(1 / 4),

  /** a shaft with two joints, degrees: how far apart they may be, the steepest at rest and in the travel; room a slip yoke keeps, mm */
  driveshaft: { match: 1.5, atRide: 4, inTravel: 17, yokeSpare: 6.35 },

  /** what a torque arm's slider keeps to spare at either end of the travel, mm (common practice, no published source) */
  sliderSpare: 6.35,

  /** an adjustable bar: least adjustment each way, least tube, mm; least thread, in diameters */
  adjustableBar: { adjustment: 6.35, tube: 50, diametersOfThread: 1.5 },

  /** an axle on its rests, mm: height, fore and aft, level of the frame, and the least that is a rest at all */
  rests: { height: 1.6, foreAft: 3.2, frameLevel: 3.2, least: 50 },

  /**
   * how many times over a part is to hold what the standard cases ask, before it yields, by use; so much more where it is the only one that holds
   * the axle that way, and where it breaks without bending first
   */
  strength: {
    wanted: { street: 1.5, autocross: 1.5, drag: 1.5, offroad: 2, tow: 1.75 } satisfies Record<Use, number>,
    alone: 1.25,
    breaks: 1.25,
    cycles: {
      street: 100_000,
      autocross: 100_000,
      drag: 50_000,
      offroad: 200_000,
      tow: 200_000,
    } satisfies Record<Use, number>,
  },

  /** before a weld, mm: bar level, eye to eye, and the nearest anything */
  weld: { level: 3.2, eyeToEye: 3.2, clearance: 12.7 },

  /** on the ground: square at the tyre, mm; pinion, degrees; toe and ride height, mm; front wheels off straight with the steering wheel straight, degrees */
  onGround: { square: 3.2, pinion: 0.25, toe: 1.6, height: 6.35, straight: 0.2 },

  /** how far power winds the pinion up, degrees, where joints are hard, where some are soft, and on leaf springs (common practice, no published source) */
  windUp: { hard: 1, soft: 2, leaves: 3 },

  /** readings, mm: left against right, square, off the middle; what two honest ones may differ by, degrees and kg; a part that is short */
  readings: {
    tireRadius: 3.2,
    rideHeight: 6.4,
    square: 3.2,
    offset: 1.6,
    honest: { length: 1.6, angle: 0.3, weight: 3 },
    shortPart: 1.6,
  },

  /** a floor: slope that no gauge tells, and past correcting, degrees; twist and misclosure, mm */
  floor: { level: 0.1, steepest: 1, twist: 6.4, misclosure: 8 },

  /** bounces a second that each use lives with */
  rideFrequency: {
    street: [1, 1.8],
    autocross: [1.4, 2.6],
    drag: [1, 2.2],
    offroad: [0.9, 1.6],
    tow: [1.2, 2.4],
  } satisfies Record<Use, Range>,

  /** springs: coils stay apart, the car stands at its height, mm; air springs are happy between, N/mm²; a hard bump, in static wheel loads */
  springs: { coilsApart: 6, standing: 6, airPressure: [0.17, 0.69] as Range, hardBump: 2 },

  /** lean at 1 g that each use is mostly run with, degrees */
  rollGradient: {
    street: [1.5, 6],
    autocross: [1, 4],
    drag: [1, 7],
    offroad: [2, 9],
    tow: [1.5, 6],
  } satisfies Record<Use, Range>,

  /** front's share of the load transfer less its share of the weight: neither tight nor loose, within so much; a change that is felt; uneven driven tyres, a share of their load; roll stiffness that is bind, a share of all */
  balance: { neutral: 0.05, band: 0.03, felt: 0.015, uneven: 0.06, bindShare: 0.25 },

  /** a sway bar, mm: straight piece each side of a bushing, least arm, least off the floor, arms clocked alike */
  swayBar: { halfBushing: 20, leastArm: 60, offFloor: 110, clocked: 3 },

  /** arm against end link, degrees from one line: where leverage goes, and where it is about to go over centre */
  endLinkSquare: { look: 45, stop: 25 },
} as const;
