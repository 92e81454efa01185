import { trimmed, toObstacle } from '@/core/clearance/clearance';
import { segmentToSegment } from '@/core/clearance/distance';
import { pathAt } from '@/core/clearance/path';
import { carry, seenFromAxle } from '@/core/kinematics/attitude';
import { memberName } from '@/core/layouts/names';
import { linksOf } from '@/core/rig/members';
import type { Point, Rig } from '@/core/rig/schema';
import { LINK_OD } from './barDesign';
import { feetIn, lineAt, turnsTo, turnsToward, type Turning } from './motion';
import type { RollDesign } from './rollDesign';
import { shockStands, standsOf } from './springDesign';
import type { Place } from './travel';

/** Where bar or links come nearest to something, surface to surface, mm; negative where they overlap. */
export type Gap = { part: 'bar' | 'end link'; thing: string; distance: number; at: string };

/** A spring or a shock: from the frame to the axle, mm. */
export type Strut = { name: string; frame: Point; axle: Point; radius: number };

export type RoomInput = {
  rig: Rig;
  struts: Strut[];
  tireWidth: number;
  /** outside of the tube the bar runs in between its bushings, mm */
  housing: number | null;
  /** where the links' loose ends are pinned, in the axes of the body that carries the bar; null with the links on */
  stowed: Record<'left' | 'right', Point> | null;
};

/** A driveshaft's tube as it is reckoned with, mm. */
const SHAFT_RADIUS = 38;
/** What a link's bracket takes of it, mm: that piece is meant to be near. */
const BRACKET = 70;

/** The least distance of a bar and its links from each thing, over the places of the travel; the nearest first. */
export function barRoom(input: RoomInput, turning: Turning, places: Place[]): Gap[] {
  const least = new Map<string, Gap>();
  const found = (part: Gap['part'], thing: string, distance: number, at: string) => {
    const key = `${part}|${thing}`;
    const before = least.get(key);
    if (!before || distance < before.distance) least.set(key, { part, thing, distance, at });
  };
  for (const place of places) gapsIn(input, turning, place, found);
  return [...least.values()].sort((a, b) => a.distance - b.distance);
}

/** The least distance of a bar from the driveshaft alone, over the places of the travel, mm; null where there is none. */
export function shaftRoom(rig: Rig, turning: Turning, places: Place[]): number | null {
  const { driveshaft, tireRadius } = rig;
  if (!driveshaft) return null;
  const { bar } = turning;
  return places.reduce((least, { pose }) => {
    const { left, right } = turnsTo(turning, feetIn(turning, pose, tireRadius));
    if (left === null || right === null) return least;
    const toChassis = carry(pose, tireRadius);
    const line = lineAt(turning, { left, right });
    const seen = bar.mountedOn === 'axle' ? line.map(toChassis) : line;
    const shaft = [driveshaft.transmission, toChassis(driveshaft.pinion)];
    return Math.min(least, between(seen, shaft) - bar.od / 2 - SHAFT_RADIUS);
  }, Infinity);
}

type Found = (part: Gap['part'], thing: string, distance: number, at: string) => void;

function gapsIn(
  { rig, struts, tireWidth, housing, stowed }: RoomInput,
  turning: Turning,
  { at, pose }: Place,
  found: Found,
) {
  const { bar } = turning;
  const feet = stowed ?? feetIn(turning, pose, rig.tireRadius);
  const turns = stowed ? turnsToward(turning, feet) : turnsTo(turning, feet);
  if (turns.left === null || turns.right === null) return;
  const onAxle = bar.mountedOn === 'axle';
  const [toChassis, toAxle] = [carry(pose, rig.tireRadius), seenFromAxle(pose, rig.tireRadius)];
  const line = lineAt(turning, { left: turns.left, right: turns.right });
  const own = {
    bar: line,
    links: [
      [line[0]!, feet.left],
      [line.at(-1)!, feet.right],
    ] as [Point, Point][],
  };
  // Both in the axes of either body, so that each thing is looked at where it stands still.
  const chassis = (path: Point[]) => (onAxle ? path.map(toChassis) : path);
  const axle = (path: Point[]) => (onAxle ? path : path.map(toAxle));
  const thick = (housing ?? bar.od) / 2;

  for (const o of rig.obstacles ?? []) {
    const view = o.on === 'axle' ? axle : chassis;
    found('bar', o.id, toObstacle(view(own.bar), o) - thick, at);
    // A link is bolted to the other body at its foot: that end is meant to be near.
    for (const link of own.links) {
      const onOther = (o.on === 'axle') !== onAxle && !stowed;
      found(
        'end link',
        o.id,
        toObstacle(view(onOther ? trimmed(link, 'end', BRACKET) : link), o) - LINK_OD / 2,
        at,
      );
    }
  }
  const inChassis = chassis(own.bar);
  const shaft = rig.driveshaft && [rig.driveshaft.transmission, toChassis(rig.driveshaft.pinion)];
  if (shaft) found('bar', 'driveshaft', between(inChassis, shaft) - thick - SHAFT_RADIUS, at);
  for (const member of linksOf(rig)) {
    if (member.od === undefined) continue;
    const path = pathAt(member, toChassis(member.axle));
    const name = memberName(member.id);
    found('bar', name, between(inChassis, path) - thick - member.od / 2, at);
    for (const link of own.links)
      found('end link', name, between(chassis(link), path) - LINK_OD / 2 - member.od / 2, at);
  }
  for (const { name, frame, axle: end, radius } of struts) {
    const path = [frame, toChassis(end)];
    found('bar', name, between(inChassis, path) - thick - radius, at);
    for (const link of own.links)
      found('end link', name, between(chassis(link), path) - LINK_OD / 2 - radius, at);
  }
  for (const side of [1, -1]) {
    const tyre = { y: (side * rig.track) / 2, width: tireWidth, radius: rig.tireRadius };
    const name = side > 0 ? 'left tyre' : 'right tyre';
    found('bar', name, toTyre(axle(own.bar), tyre) - thick, at);
    for (const link of own.links) found('end link', name, toTyre(axle(link), tyre) - LINK_OD / 2, at);
  }
}

/** Coils, bags and shocks are reckoned as thick as this, mm. */
const RADIUS = { coil: 62, air: 75, shock: 28 };

/** The springs and shocks of a design that stand on ends of their own. */
export function strutsOf(
  { springs, shock }: Pick<RollDesign, 'springs' | 'shock'>,
  tireRadius: number,
): Strut[] {
  return ([1, -1] as const).flatMap((side) => {
    const name = side === 1 ? 'left' : 'right';
    const strut = (what: string, [frame, axle]: [Point, Point], radius: number): Strut => ({
      name: `${name} ${what}`,
      frame,
      axle,
      radius,
    });
    return [
      ...(springs && springs.kind !== 'leaf'
        ? [strut('spring', standsOf(springs, side, tireRadius), RADIUS[springs.kind])]
        : []),
      ...(shock?.apart ? [strut('shock', shockStands(shock.apart, side), RADIUS.shock)] : []),
    ];
  });
}

const between = (p: Point[], q: Point[]): number =>
  Math.min(...p.slice(1).flatMap((b, i) => q.slice(1).map((d, k) => segmentToSegment(p[i]!, b, q[k]!, d))));

type Tyre = { y: number; width: number; radius: number };

/** A tyre is a disc about the axle's centre: distance to what is convex is least at one place of a straight piece, found by halving thirds. */
function toTyre(path: Point[], tyre: Tyre): number {
  return path.slice(1).reduce((best, b, i) => {
    const a = path[i]!;
    // Seen along the axle alone it is nearer than it is: most pieces need no more.
    const [from, to] = [Math.min(a[1], b[1]) - tyre.y, Math.max(a[1], b[1]) - tyre.y];
    if (Math.max(from, -to) - tyre.width / 2 >= best) return best;
    return Math.min(best, pieceToTyre(a, b, tyre));
  }, Infinity);
}

function pieceToTyre(a: Point, b: Point, { y, width, radius }: Tyre): number {
  const off = (t: number): number => {
    const [px, py, pz] = [a[0] + t * (b[0] - a[0]), a[1] + t * (b[1] - a[1]), a[2] + t * (b[2] - a[2])];
    const out = Math.max(0, Math.abs(py - y) - width / 2);
    const round = Math.max(0, Math.sqrt(px * px + (pz - radius) ** 2) - radius);
    return Math.sqrt(out * out + round * round);
  };
  let [low, high] = [0, 1];
  for (let n = 0; n < THIRDS; n++) {
    const [s, t] = [low + (high - low) / 3, high - (high - low) / 3];
    if (off(s) <= off(t)) high = t;
    else low = s;
  }
  return off((low + high) / 2);
}

const THIRDS = 18;
