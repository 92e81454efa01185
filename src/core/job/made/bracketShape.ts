import { tabCorners } from '@/core/fabricate/plates/plates';
import type { Point } from '@/core/geometry/vector';
import type { LinkMember } from '@/core/rig/members/link';
import type { Obstacle } from '@/core/rig/schema';
import { sizeOf } from '@/core/job/bodies/bodySizes';
import { bracketAxes, fastenedTo, oncePerEnd } from './bracketRoot';
import { type LinkEnd, saidOfBracket } from './parts';
import { bracketOf, tabOf, type Bracket } from './bracketParts';
import type { Job } from '@/core/job/jobSchema';
import { footOut } from './oldBracket';
import { mountId } from '@/core/job/placed';

/** From the middle of a bracket's root: along its plates, out toward the eye, and along its bolt, to a place in the car, mm. */
function placing(
  job: Job,
  link: LinkMember,
  end: LinkEnd,
): (along: number, out: number, across: number) => Point {
  const axes = bracketAxes(job, link, end);
  const { reach } = bracketOf(job, link, end);
  const at = (k: number, along: number, out: number, across: number) =>
    link[end][k]! + axes.along[k]! * along + axes.out[k]! * (out - reach) + axes.bolt[k]! * across;
  return (along, out, across) => [0, 1, 2].map((k) => at(k, along, out, across)) as Point;
}

/** Half of a bracket along its bolt, over the outer faces of its plates, mm. */
const halfAcross = ({ planes, middle, spacer, plate }: Bracket): number =>
  planes === 2 ? middle / 2 + spacer + plate : plate / 2;

/** The outline of each plate of a bracket on its outer face, as it stands in the car, mm. */
export const plateOutlines = oncePerEnd(outlinesOf);

function outlinesOf(job: Job, link: LinkMember, end: LinkEnd): Point[][] {
  const bracket = bracketOf(job, link, end);
  const place = placing(job, link, end);
  const corners = tabCorners(tabOf(job, link, end));
  const out = halfAcross(bracket);
  return (bracket.planes === 2 ? [-out, out] : [0]).map((w) => corners.map(([u, v]) => place(u, v, w)));
}

/** An axis nearer than this to one of the car's is as good as on it: ten degrees. */
const SQUARE = Math.cos((10 * Math.PI) / 180);

/**
 * A bracket as a body, mm: a box of its own width, thickness and reach where it stands square in the car; as round as it is wide where it is
 * turned. On the frame it reaches to the rail once its sizes are said, or is its ears alone where what carries it is not drawn; before that
 * it is as round as brackets usually are there, which they are whatever they hang on.
 */
export function bracketBody(job: Job, link: LinkMember, end: LinkEnd, id: string): Obstacle {
  const on = end === 'chassis' ? 'chassis' : 'axle';
  const bracket = bracketOf(job, link, end);
  const { width, edge, reach, over } = bracket;
  const axes = bracketAxes(job, link, end);
  const place = placing(job, link, end);
  const isSaid = Object.keys(saidOfBracket(job, mountId(link.id, end))).length > 0;
  if (end === 'chassis' && !isSaid)
    return { id, on, shape: 'capsule', from: link[end], to: link[end], radius: sizeOf(job, 'bracket') / 2 };
  const root = fastenedTo(job, link, end) === 'undrawn' ? reach - edge : -footOut(over);
  const isSquare = Object.values(axes).every((axis) => Math.max(...axis.map(Math.abs)) > SQUARE);
  if (!isSquare) {
    const radius = Math.max(width / 2, halfAcross(bracket));
    return { id, on, shape: 'capsule', from: link[end], to: place(0, Math.min(root, reach), 0), radius };
  }
  const corners = [-width / 2, width / 2].flatMap((u) =>
    [root, reach + edge].flatMap((v) => [-1, 1].map((s) => place(u, v, s * halfAcross(bracket)))),
  );
  const bound = (of: (...all: number[]) => number): Point =>
    [0, 1, 2].map((k) => of(...corners.map((p) => p[k]!))) as Point;
  return { id, on, shape: 'box', min: bound(Math.min), max: bound(Math.max) };
}
