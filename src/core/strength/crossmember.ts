import { deflect, type Force } from '@/core/beam/beamFrame';
import { boxOf, sectionOf, type Section } from '@/core/beam/section';
import { distance, dot, minus, type Point } from '@/core/geometry/vector';

/** What a bracket does to a crossmember at a place of its middle line, mm: N, and N·mm about that place. */
export type CrossLoad = { at: Point; force: Point; moment: Point };

/** Nearer to a corner or to each other than this, two places are one, mm. */
const ONE_PLACE = 1;

/**
 * The greatest von Mises stress in a crossmember, N/mm², its ends free to tilt on the rails but not to roll about its own line, which bends
 * its middle most; and at its ends, held fast, which bends these most, with all that is on it as a pull besides.
 *
 * @param path its middle line from rail to rail, mm
 */
export function crossmemberStress(
  path: Point[],
  section: Section,
  loads: CrossLoad[],
): { most: number; ends: number } {
  const nodes = withPlaces(path, loads);
  const forces: Force[] = loads.map(({ at, force, moment }) => ({
    node: nearestNode(nodes, at),
    force,
    moment,
  }));
  const held = (turns: ('x' | 'y' | 'z')[]) =>
    deflect(
      nodes,
      section,
      [0, nodes.length - 1].map((node) => ({ node, turns })),
      forces,
    ).stress;
  const fast = held(['x', 'y', 'z']).at;
  const sheared = loads.reduce((sum, { force }) => sum + Math.hypot(...force), 0) / areaOf(section);
  return { most: held(['y']).most, ends: Math.max(fast[0]!, fast.at(-1)!) + sheared };
}

const areaOf = (section: Section): number =>
  'od' in section
    ? sectionOf(section).A
    : 'wall' in section
      ? boxOf(section).A
      : section.height * section.thickness;

const nearestNode = (nodes: Point[], at: Point): number =>
  nodes.reduce((best, p, i) => (distance(p, at) < distance(nodes[best]!, at) ? i : best), 0);

/** A line with the places of loads on it as corners of its own. */
function withPlaces(path: Point[], loads: CrossLoad[]): Point[] {
  return path.flatMap((from, i): Point[] => {
    const to = path[i + 1];
    if (!to) return [from];
    const along = minus(to, from);
    const length = Math.hypot(...along);
    const places = loads
      .map(({ at }) => ({ at, t: dot(minus(at, from), along) / length }))
      .filter(({ at, t }) => t > ONE_PLACE && t < length - ONE_PLACE && isOnLine(from, along, at, t / length))
      .sort((a, b) => a.t - b.t);
    const apart = places.filter(({ t }, k) => k === 0 || t - places[k - 1]!.t > ONE_PLACE);
    return [from, ...apart.map(({ at }) => at)];
  });
}

const isOnLine = (from: Point, along: Point, at: Point, share: number): boolean =>
  Math.hypot(...at.map((v, k) => v - from[k]! - share * along[k]!)) < ONE_PLACE;
