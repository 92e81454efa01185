import {
  segmentToBox,
  segmentToCylinder,
  segmentToSegment,
  type Near,
} from '@/core/geometry/closestApproach';
import type { Point } from '@/core/geometry/vector';
import { carries, type Attitude } from '@/core/kinematics/attitude';
import type { Rig } from '@/core/rig/schema';
import { bodiesOf, type Body, type Solid, type Tube } from './bodies';
import { linesOf, pathToPath, type Seen } from './lines';
import { pairsOf } from './pairs';
import { betweenSolids, toSolid, wayOut } from './solids';

/** Surface-to-surface distance of two bodies, mm; negative where they overlap. */
export type Clearance = { a: string; b: string; distance: number };

/**
 * How gaps are looked at. `bracket`: length at each end of a bar, mm, that belongs to the bracket and is not looked at against what
 * the same body carries; without it bars are taken from eye to eye. `lockDeg`: how far the front wheels are steered, left
 * positive. `deep`: how far the line of a bar reaches into a solid counts, by the least way out; else it is as far in once it is in,
 * as an answer states it. `only`: the pairs that are looked at, by ids; all without it.
 */
export type Looking = {
  bracket?: number;
  lockDeg?: number;
  deep?: boolean;
  only?: (a: string, b: string) => boolean;
};

/** The pairs of bodies that are held against each other, and how far they are apart in a pose, mm, in the same order. */
export type Gaps = { pairs: { a: string; b: string }[]; in: (pose: Attitude) => Float64Array };

/**
 * Makes ready to ask, pose by pose, how far every body of a rig is from every other: all pairs that `pairsOf` tells. The distances
 * are written over from pose to pose.
 */
export function gapsOf(rig: Rig, { bracket = 0, lockDeg, deep = false, only }: Looking = {}): Gaps {
  const bodies = bodiesOf(rig, lockDeg);
  const wanted = pairsOf(rig, bodies).filter(([i, k]) => !only || only(bodies[i]!.id, bodies[k]!.id));
  const pose: { seen: Seen } = { seen: carries({ ...AT_REST, z: rig.tireRadius }, rig.tireRadius) };
  const lines = linesOf(bracket);
  const distances = new Float64Array(wanted.length);
  // Each kind in a loop of its own, so that it is asked without a detour: there are hundreds of pairs a pose.
  const tubes: Tubes[] = [];
  const boxes: ToSolid<SolidOf<'box'>>[] = [];
  const cylinders: ToSolid<SolidOf<'cylinder'>>[] = [];
  const others: { at: number; apart: () => number }[] = [];
  wanted.forEach(([i, k], at) => {
    const [a, b] = isTube(bodies[i]!) ? [bodies[i]!, bodies[k]!] : [bodies[k]!, bodies[i]!];
    if (!isTube(a)) return others.push({ at, apart: betweenSolids(a, b, pose) });
    const thick = a.shape.od / 2;
    if (isTube(b)) {
      const [p, q] = [lines.of(a, 'chassis', b.on), lines.of(b, 'chassis', a.on)];
      const both = thick + b.shape.od / 2;
      if (isStraight(a) && isStraight(b)) return tubes.push({ at, p, q, thick: both });
      return others.push({ at, apart: () => pathToPath(p, q) - both });
    }
    const line = lines.of(a, b.on === 'axle' ? 'axle' : 'chassis', b.on);
    const solid = b.shape as Solid;
    const near = { share: 0 };
    if (!isStraight(a)) return others.push({ at, apart: () => toSolid(line, solid, near, deep) - thick });
    if (solid.kind === 'box') return boxes.push({ at, line, solid, thick, near });
    return cylinders.push({ at, line, solid, thick, near });
  });
  return {
    pairs: wanted.map(([i, k]) => ({ a: bodies[i]!.id, b: bodies[k]!.id })),
    in: (attitude) => {
      pose.seen = carries(attitude, rig.tireRadius);
      lines.move(pose.seen);
      for (const { at, p, q, thick } of tubes)
        distances[at] = segmentToSegment(p[0]!, p[1]!, q[0]!, q[1]!) - thick;
      for (const { at, line, solid, thick, near } of boxes) {
        const apart = segmentToBox(line[0]!, line[1]!, solid.min, solid.max, near);
        distances[at] = (apart === 0 && deep ? wayOut(line, solid) : apart) - thick;
      }
      for (const { at, line, solid, thick, near } of cylinders) {
        const apart = segmentToCylinder(line[0]!, line[1]!, solid, near);
        distances[at] = (apart === 0 && deep ? wayOut(line, solid) : apart) - thick;
      }
      for (const { at, apart } of others) distances[at] = apart();
      return distances;
    },
  };
}

type Tubes = { at: number; p: Point[]; q: Point[]; thick: number };
type SolidOf<K extends Solid['kind']> = Extract<Solid, { kind: K }>;
type ToSolid<S> = { at: number; line: Point[]; solid: S; thick: number; near: Near };

const AT_REST = { x: 0, y: 0, rollDeg: 0, pitchDeg: 0, steerDeg: 0 };

/** Every gap of a rig in a pose: each pair with its distance. */
export function clearancesOf(rig: Rig, looking?: Looking): (pose: Attitude) => Clearance[] {
  const gaps = gapsOf(rig, looking);
  return (attitude) => {
    const distances = gaps.in(attitude);
    return gaps.pairs.map(({ a, b }, i) => ({ a, b, distance: distances[i]! }));
  };
}

/** The same in one pose. */
export const clearances = (rig: Rig, pose: Attitude, looking?: Looking): Clearance[] =>
  clearancesOf(rig, looking)(pose);

/** Whether a rig states anything between which a gap could be measured. */
export const hasClearances = (rig: Rig): boolean => rig.obstacles !== undefined || bodiesOf(rig).length > 1;

const isTube = (body: Body): body is Body & { shape: Tube } => body.shape.kind === 'tube';
const isStraight = ({ shape: { line, bends } }: { shape: Tube }) => line.length === 2 && !bends?.length;
