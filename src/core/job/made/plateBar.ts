import type { PlateBar } from '@/core/fabricate/plates/plateBar';
import type { Place } from '@/core/fabricate/drawing';
import { distance, dot, minus, unit, type Point } from '@/core/geometry/vector';
import type { LinkMember } from '@/core/rig/members/link';
import type { Job } from '@/core/job/jobSchema';
import { bracketOf } from './bracketParts';
import { barOf, heightOf, isPlateBar } from './parts';

/** Farther than this from the plane of its plate a bar cannot be cut from it, mm; nearer than this to its line it is straight. */
const FLAT = 1;

/** From a bar's frame eye: how far along the line through its eyes a point is, and which way it is off it, mm. */
function offLine({ chassis, axle }: LinkMember, p: Point): { along: number; off: Point } {
  const way = unit(minus(axle, chassis));
  const from = minus(p, chassis);
  const along = dot(from, way);
  return { along, off: from.map((v, k) => v - along * way[k]!) as Point };
}

/** The way that a bar goes off the line through its eyes at most, a unit vector; null of a straight one. */
export function offWay(link: LinkMember): Point | null {
  const offs = (link.path?.chassis ?? []).map((p) => offLine(link, p).off);
  const most = offs.reduce<Point>((a, b) => (Math.hypot(...b) > Math.hypot(...a) ? b : a), [0, 0, 0]);
  return Math.hypot(...most) > FLAT ? unit(most) : null;
}

/** The middle line of a bar laid flat, mm: its frame eye at 0, its axle eye along x; null where it is not all in one plane. */
export function flatLine(link: LinkMember): Place[] | null {
  const { chassis, axle, path } = link;
  const way = offWay(link);
  const points = way ? (path?.chassis ?? []) : [];
  const laid = points.map((p): { place: Place; out: number } => {
    const { along, off } = offLine(link, p);
    const up = dot(off, way!);
    return { place: [along, up], out: Math.hypot(...off.map((v, k) => v - up * way![k]!)) };
  });
  if (laid.some(({ out }) => out > FLAT)) return null;
  return [[0, 0], ...laid.map(({ place }) => place), [distance(chassis, axle), 0]];
}

/** A bar that is one piece of plate, as it is cut; null of any other, and of one that no flat plate follows. */
export function plateBarOf(job: Job, link: LinkMember): PlateBar | null {
  const bar = barOf(job, link.id);
  const middle = isPlateBar(bar) ? flatLine(link) : null;
  if (!middle) return null;
  const holes = {
    frame: bracketOf(job, link, 'chassis').hole,
    axle: bracketOf(job, link, 'axle').hole,
  };
  return { middle, height: heightOf(bar.section), holes };
}
