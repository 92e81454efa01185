import { convexDistance, convexMeet } from '@/core/geometry/convexDistance';
import type { Support } from '@/core/geometry/overlapDepth';
import { unit, type Point } from '@/core/geometry/vector';
import { BODY_IDS, type Rig } from '@/core/rig/schema';
import { bodiesOf, type Body } from './bodies';
import { SHARED, shareMount } from './pairs';
import { shifted, supportOfBody } from './solids';

/** A straight way: ahead 1 or back −1, left 1 or right −1, up 1 or down −1; each 0 where it does not go. */
export type Way = readonly [ahead: number, left: number, up: number];

/** Whether a part, its bolts out, comes out of the car on a straight way: which; null where none was found, and then what is in each main way. */
export type ComesOut = { part: string; way: Way | null; inTheWay: { way: Way; by: string }[] };

/** A part that far from where it was is out of the way, mm: two feet. A cover first comes off its face by the length of its bolts. */
const OUT = 610;
const OFF_FACE = 20;

const steps = [0, -1, 1] as const;
/** Straight ways, the plain ones first: down before the others, as parts are let down. */
export const WAYS: Way[] = steps
  .flatMap((x) => steps.flatMap((y) => steps.map((z): Way => [x, y, z])))
  .filter((way) => way.some(Boolean))
  .sort((p, q) => size(p) - size(q) || p[2] - q[2]);
function size(way: Way): number {
  return way.filter(Boolean).length;
}

/**
 * Whether each bar, the driveshaft, the cover and what was drawn can still be taken out past everything else as it is fitted, at ride
 * height with the car raised: the room a part sweeps on a straight way is held against every body but those it is bolted to. What only
 * comes out by turning it is not found.
 *
 * @param drawn ids of what the builder has drawn; `cover` the id of the cover
 */
export function comesOut(rig: Rig, { drawn, cover }: { drawn: string[]; cover: string }): ComesOut[] {
  const bodies = bodiesOf(rig);
  const joined = new Set((rig.joined ?? []).flatMap(([p, q]) => [`${p}\n${q}`, `${q}\n${p}`]));
  const links = rig.members.filter((m) => m.type === 'link').map((m) => m.id);
  const parts = [...links, BODY_IDS.driveshaft, cover, ...drawn];
  return bodies
    .filter(({ id }) => parts.includes(id))
    .map((part) => {
      const others = bodies.filter(
        (other) =>
          other !== part &&
          !joined.has(`${part.id}\n${other.id}`) &&
          !shareMount(part, other) &&
          // What touches it on its own carrier is what it is bolted to.
          !(part.on === other.on && part.on !== 'both' && standsNear(part, other)),
      );
      const off = part.id === cover ? awayOf(part) : null;
      const start = supportOfBody(part);
      const from = off ? shifted(start, along(off, OFF_FACE)) : start;
      const meets = (room: Support) => others.find((other) => convexMeet(room, supportOfBody(other)));
      const shut = off && meets(swept(start, off, OFF_FACE));
      if (shut) return { part: part.id, way: null, inTheWay: [{ way: off, by: shut.id }] };
      const first = (way: Way) => meets(swept(from, way, OUT));
      const way = WAYS.find((to) => !first(to)) ?? null;
      const plain = way ? [] : WAYS.filter((to) => size(to) === 1);
      return { part: part.id, way, inTheWay: plain.map((to) => ({ way: to, by: first(to)!.id })) };
    });
}

const standsNear = (a: Body, b: Body): boolean => convexDistance(supportOfBody(a), supportOfBody(b)) < SHARED;

/** A cover comes off along its own axis, away from the axle. */
function awayOf({ shape }: Body): Way {
  const ahead = shape.kind === 'cylinder' ? shape.centre[0] : 0;
  return [ahead < 0 ? -1 : 1, 0, 0];
}

/** The point that far along a way, mm. */
const along = (way: Way, far: number): Point => unit([...way]).map((v) => v * far) as Point;

/** All the room that a body takes on a straight way. */
function swept(body: Support, way: Way, far: number): Support {
  const to = along(way, far);
  return (x, y, z, out) => {
    body(x, y, z, out);
    if (x * to[0] + y * to[1] + z * to[2] > 0) for (let k = 0; k < 3; k++) out[k]! += to[k]!;
  };
}
