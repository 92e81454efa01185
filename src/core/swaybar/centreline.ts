import { distance, dot, minus, plus, unit, type Point } from '@/core/geometry/vector';

/** Points of a centreline nearer than this are one, mm. */
const SAME = 1e-6;

export type Centreline = {
  /** left eye first */
  nodes: Point[];
  /** which nodes sit in the bushings, left first, and the direction of the bar there */
  bushings: { node: number; axis: Point }[];
};

/**
 * The line of a sway bar made ready for the frame model: from the left eye to the right one, without doubled points, with a
 * node where each bushing is nearest.
 */
export function centrelineOf(points: Point[], bushings: [Point, Point]): Centreline {
  const apart = points.filter((p, i) => i === 0 || distance(p, points[i - 1]!) > SAME);
  const leftFirst = apart[0]![1] >= apart.at(-1)![1] ? apart : [...apart].reverse();
  const [a, b] = bushings[0][1] >= bushings[1][1] ? bushings : [bushings[1], bushings[0]];
  let nodes = leftFirst;
  for (const bushing of [a, b]) nodes = withNodeAt(nodes, bushing);
  return {
    nodes,
    bushings: [a, b].map((bushing) => {
      const node = nearestNode(nodes, bushing);
      return { node, axis: directionAt(nodes, node) };
    }),
  };
}

/** A node more, where the line passes nearest to a point; the same line where one is there already. */
function withNodeAt(nodes: Point[], point: Point): Point[] {
  let best = { at: 0, foot: nodes[0]!, far: Infinity };
  for (let i = 0; i + 1 < nodes.length; i++) {
    const d = minus(nodes[i + 1]!, nodes[i]!);
    const t = Math.min(1, Math.max(0, dot(minus(point, nodes[i]!), d) / dot(d, d)));
    const foot = plus(nodes[i]!, d.map((v) => v * t) as Point);
    const far = distance(foot, point);
    if (far < best.far) best = { at: i, foot, far };
  }
  const near = (i: number) => distance(nodes[i]!, best.foot) <= SAME;
  if (near(best.at) || near(best.at + 1)) return nodes;
  return [...nodes.slice(0, best.at + 1), best.foot, ...nodes.slice(best.at + 1)];
}

function nearestNode(nodes: Point[], point: Point): number {
  const far = nodes.map((p) => distance(p, point));
  return far.indexOf(Math.min(...far));
}

/** Along the bar at a node: halfway between the directions that meet there. */
function directionAt(nodes: Point[], i: number): Point {
  const before = i > 0 ? unit(minus(nodes[i]!, nodes[i - 1]!)) : null;
  const after = i + 1 < nodes.length ? unit(minus(nodes[i + 1]!, nodes[i]!)) : null;
  const sum = before && after ? plus(before, after) : (before ?? after)!;
  return Math.hypot(...sum) > SAME ? unit(sum) : before!;
}
