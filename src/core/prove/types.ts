import type { BoltSide } from '@/core/clearance/boltRoom';

/** What happens to a part past what it holds: it bends and shows it, folds up as a column, is torn or sheared through, strips its thread, or cracks in time. */
export type Failure = 'bends' | 'buckles' | 'breaks' | 'strips' | 'cracks';

/** The checks of a bar, of its thread at either end, of a bracket with its bolt and weld; of what a sway bar pulls at, and of crossmembers. */
export const CHECKS = {
  tension: 'Pulled',
  'weld-zone': 'Beside its welds',
  column: 'Pushed, as a column',
  bent: 'Bent bar, bending',
  'thread-frame': 'Shank at the frame end',
  'thread-axle': 'Shank at the axle end',
  'strip-frame': 'Thread at the frame end',
  'strip-axle': 'Thread at the axle end',
  'rod-end': 'Rod ends',
  'eye-frame': 'Plates of the frame end at their pin',
  'eye-axle': 'Plates of the axle end at their pin',
  'end-weld-frame': 'Weld of the frame end',
  'end-weld-axle': 'Weld of the axle end',
  'fatigue-end-frame': 'Weld of the frame end, in time',
  'fatigue-end-axle': 'Weld of the axle end, in time',
  'bolt-shear': 'Bolt, sheared',
  'bolt-bending': 'Bolt, bent',
  'tear-out': 'Hole, torn out',
  bearing: 'Hole, crushed',
  'net-section': 'Tab through its hole',
  'gross-section': 'Tab beside its hole',
  'root-bending': 'Plates, bent at the root',
  'root-across': 'Plates, bent aside',
  weld: 'Weld',
  'rail-wall': 'Wall behind it',
  'fatigue-shank': 'Shanks, in time',
  'fatigue-weld': 'Weld, in time',
  'fatigue-toe': 'Plates beside their weld, in time',
  brace: 'Brace, as a column',
  'link-tension': 'Pulled',
  'link-weld-zone': 'Beside its welds',
  'link-column': 'Pushed, as a column',
  'link-shank': 'Shanks',
  'link-strip': 'Threads in their bungs',
  'pin-bar-shear': 'Bolt at the bar, sheared',
  'pin-bar-bending': 'Bolt at the bar, bent',
  'pin-foot-shear': 'Bolt at the foot, sheared',
  'pin-foot-bending': 'Bolt at the foot, bent',
  'strap-sides': 'Its sides, pulled',
  'strap-feet': 'Its feet, bent',
  'strap-bolts': 'Its bolts, drawn out',
  'angle-leg': 'Leg under the strap, bent',
  'angle-bolts': 'Bolts of its other leg',
  ear: 'Ear, bent',
  'cross-bending': 'Bent and twisted',
  'cross-weld': 'Welds at its ends',
  'cross-weld-time': 'Welds at its ends, in time',
} as const;
export type CheckName = keyof typeof CHECKS;

/** Checks of a weld against what is allowed of it, which has its own margin in it. */
export const isWeld = (check: CheckName): boolean =>
  check === 'weld' || check === 'end-weld-frame' || check === 'end-weld-axle' || check === 'cross-weld';

/** Named values of a check: mm, mm², mm³, N or N/mm² by its key; and words. */
export type Inputs = Record<string, number | string>;

/**
 * One check of one part in the case that governs it: `demand` against `capacity`, both in `unit`; `factor` is the one over the other,
 * infinite where nothing asks anything of it; `wanted` is what it should be.
 */
export type Check = {
  /** the bar by its member, the bracket by its mount, what belongs to the sway bar, a crossmember: `panhard`, `panhard/chassis`, `sway-bar/strap`, `crossmember/hoop` */
  part: string;
  check: CheckName;
  case: string;
  demand: number;
  capacity: number;
  unit: 'N' | 'N/mm²';
  factor: number;
  wanted: number;
  fails: Failure;
  formula: string;
  inputs: Inputs;
  source: string;
};

/** What a part of the job could not be proved by, and why. */
export type Unproved = { part: string; why: string };

/** A way in the car. */
export type Towards = 'ahead' | 'back' | 'left' | 'right' | 'up' | 'down';

/** The bolt of a bracket, by its mount, mm long under its head; what is in its way, and in a wrench's, on either side. */
export type BoltWay = { part: string; length: number; sides: (BoltSide & { towards: Towards })[] };

export type Proof = { checks: Check[]; unproved: Unproved[]; bolts: BoltWay[] };
