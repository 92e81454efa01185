import type { HoldPoint } from '@/core/job/slices/fields';
import type { Track } from '@/core/job/slices/work/plan';
import type { JointState } from '@/core/job/slices/work/weld';
import type { Basis } from '@/core/job/stripes';
import type { Point } from '@/core/geometry/vector';
import type { AxleEnd } from '@/core/rig/schema';

/** Where the builder is for a step. */
export const ZONES = ['bench', 'round', 'ahead', 'left', 'middle', 'right', 'behind'] as const;
export type Zone = (typeof ZONES)[number];

/** A step that comes before another, and why. */
export type Before = { id: string; why: string };

/** Where a step is done and marked, where that is not on the plan itself: a station's stripe, or a bracket that has come so far. */
export type MarkedAt =
  | { station: 'record' | 'place' | 'cut' | 'ride' }
  | { member: string; brackets: HoldPoint[]; to: JointState };

/**
 * One step of the work. `hands`: how many people; `lifts`: what has to be carried, kg, where it is known; `expect`: what is then read;
 * `permanent`: what cannot be undone after it. `basis`: what of the design it rests on once it is done.
 */
export type Task = {
  id: string;
  track: Track;
  zone: Zone;
  title: string;
  how: string;
  after: Before[];
  hands?: 2;
  lifts?: number;
  tools?: string[];
  fasteners?: string[];
  caution?: string;
  expect?: string;
  permanent?: string;
  marked?: MarkedAt;
  basis: Basis;
};

export const after = (id: string, why: string): Before => ({ id, why });

/** What several things rest on, each by its name. */
export const byName = (all: [name: string, basis: Basis][]): Basis =>
  Object.fromEntries(
    all.flatMap(([name, basis]) =>
      Object.entries(basis).map(([key, value]) => [`${name}, ${key}`, value] as const),
    ),
  );

/** Where the driveshaft runs to an axle. */
export const shaftZone = (end: AxleEnd): Zone => (end === 'rear' ? 'ahead' : 'behind');

/** Nearer to the middle of the axle than this a place is at it, mm. */
const AT_AXLE = 250;
const MIDDLE = 250;

/** Where somebody lies who works at a point of the car. */
export function zoneOf([ahead, left]: Point): Zone {
  if (Math.abs(ahead) > AT_AXLE) return ahead > 0 ? 'ahead' : 'behind';
  if (Math.abs(left) < MIDDLE) return 'middle';
  return left > 0 ? 'left' : 'right';
}
