import { nearStart, type Near } from '@/core/geometry/closestApproach';
import { atRideHeight, axleFrame, type Attitude } from '@/core/kinematics/attitude';
import type { Rig } from '@/core/rig/schema';
import { bodiesOf, type Body, type Solid, type Tube } from './bodies';
import { betweenPieces, linesAsked, type Pieces } from './lines';
import { pairsOf } from './pairs';
import { askedOf, betweenSolids, toSolid, type Asked } from './solids';

/** Surface-to-surface distance of two bodies, mm; negative where they overlap. */
export type Clearance = { a: string; b: string; distance: number };

/**
 * How gaps are looked at. `bracket`: length at each end of a bar, mm, that belongs to the bracket and is not looked at against what
 * the same body carries; without it bars are taken from eye to eye. `lockDeg`: how far the front wheels are steered, left
 * positive. `flops`: how far a bent bar may turn about its own eyes each way, degrees. `deep`: how far the line of a bar reaches into
 * a solid counts, by the least way out; else it is as far in once it is in, as an answer states it. `only`: the pairs that are looked
 * at, by ids; all without it.
 */
export type Looking = {
  bracket?: number;
  lockDeg?: number;
  flops?: (id: string) => number;
  deep?: boolean;
  only?: (a: string, b: string) => boolean;
};

/** The pairs of bodies that are held against each other, and how far they are apart in a pose, mm, in the same order. */
export type Gaps = { pairs: { a: string; b: string }[]; in: (pose: Attitude) => Float64Array };

/** Pairs by their kinds, each with its place in the list. */
type Kinds = {
  tubes: { at: number; p: Pieces; q: Pieces; thick: number }[];
  toSolids: { at: number; pieces: Pieces; solid: Asked; thick: number; near: Near }[];
  solids: { at: number; apart: () => number }[];
};
const none = (): Kinds => ({ tubes: [], toSolids: [], solids: [] });

/**
 * Makes ready to ask, pose by pose, how far every body of a rig is from every other: all pairs that `pairsOf` tells. The distances
 * are written over from pose to pose.
 */
export function gapsOf(rig: Rig, looking: Looking = {}): Gaps {
  const bodies = bodiesOf(rig, looking.lockDeg);
  return gapsAmong(rig, bodies, pairsOf(rig, bodies, looking.only), looking);
}

/** The same for pairs of a rig's bodies by their places in their list. */
export function gapsAmong(
  rig: Rig,
  bodies: Body[],
  wanted: [number, number][],
  { bracket = 0, deep = false, flops = () => 0 }: Omit<Looking, 'lockDeg' | 'only'>,
): Gaps {
  const frame = axleFrame(atRideHeight(rig), rig.tireRadius);
  const asked = linesAsked(bracket, flops);
  const distances = new Float64Array(wanted.length);
  const [moving, still] = [none(), none()];
  wanted.forEach(([i, k], at) => {
    const [a, b] = isTube(bodies[i]!) ? [bodies[i]!, bodies[k]!] : [bodies[k]!, bodies[i]!];
    const { tubes, toSolids, solids } = a.on === b.on && a.on !== 'both' ? still : moving;
    if (!isTube(a)) return solids.push({ at, apart: betweenSolids(a, b, frame) });
    const thick = a.shape.od / 2;
    if (isTube(b)) {
      const [p, q] = [asked.of(a, 'chassis', b.on), asked.of(b, 'chassis', a.on)];
      return tubes.push({ at, p, q, thick: thick + b.shape.od / 2 });
    }
    const pieces = asked.of(a, b.on === 'axle' ? 'axle' : 'chassis', b.on);
    const solid = askedOf(b.shape as Solid);
    return toSolids.push({ at, pieces, solid, thick, near: nearStart() });
  });
  const { list, move } = asked.ready();
  // Each kind in a loop of its own, so that it is asked without a detour: there are hundreds of pairs a pose.
  const measure = ({ tubes, toSolids, solids }: Kinds): void => {
    for (const { at, p, q, thick } of tubes) distances[at] = betweenPieces(list, p, list, q) - thick;
    for (const { at, pieces, solid, thick, near } of toSolids)
      distances[at] = toSolid(list, pieces, solid, near, deep) - thick;
    for (const { at, apart } of solids) distances[at] = apart();
  };
  // What one carrier carries stays as far apart as it is.
  measure(still);
  return {
    pairs: wanted.map(([i, k]) => ({ a: bodies[i]!.id, b: bodies[k]!.id })),
    in: (attitude) => {
      move(axleFrame(attitude, rig.tireRadius, frame));
      measure(moving);
      return distances;
    },
  };
}

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
