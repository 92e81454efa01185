import { trimmed, toObstacle } from '@/core/clearance/clearance';
import { segmentToSegment } from '@/core/clearance/distance';
import { pathAt } from '@/core/clearance/path';
import { carry, seenFromAxle } from '@/core/kinematics/attitude';
import type { Pose } from '@/core/kinematics/pose';
import { memberName } from '@/core/layouts/names';
import { linksOf } from '@/core/rig/members';
import type { Point, Rig } from '@/core/rig/schema';
import { LINK_OD, type BarDesign } from './barDesign';
import { feetIn, stand, type Turning } from './motion';
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
/** Fingers fit, mm. */
export const CLEAR = 12.7;
/** What a link's bracket takes of it, mm: that piece is meant to be near. */
const BRACKET = 70;

/** The least distance of a bar and its links from each thing, over the places of the travel; the nearest first. */
export function barRoom(input: RoomInput, turning: Turning, places: Place[]): Gap[] {
  const least = new Map<string, Gap>();
  const mounts = mountsOf(input.rig, turning);
  for (const gap of places.flatMap((place) => gapsIn(input, turning, mounts, place))) {
    const key = `${gap.part}|${gap.thing}`;
    const before = least.get(key);
    if (!before || gap.distance < before.distance) least.set(key, gap);
  }
  return [...least.values()].sort((a, b) => a.distance - b.distance);
}

/** What the bar may come near to on its own body, mm: they do not move against each other. */
const CLEAR_OWN = 3;

/** What bar and links hit or come too near to, the nearest first. */
export const tooNear = (of: { rig: Rig; bar: BarDesign | null }, gaps: Gap[]): Gap[] =>
  gaps.filter((gap) => gap.distance < (ownBody(of, gap) ? CLEAR_OWN : CLEAR));

/** Whether the bar and what it comes near are carried by one body: they do not move against each other. */
export const ownBody = ({ rig, bar }: { rig: Rig; bar: BarDesign | null }, { part, thing }: Gap): boolean =>
  part === 'bar' && (rig.obstacles ?? []).some((o) => o.id === thing && o.on === bar?.mountedOn);

/** The least distance of a bar from the driveshaft alone, over the places of the travel, mm; null where there is none. */
export function shaftRoom(rig: Rig, turning: Turning, places: Place[]): number | null {
  const { driveshaft, tireRadius } = rig;
  if (!driveshaft) return null;
  const { bar } = turning;
  return places.reduce((least, { pose }) => {
    const line = stand(turning, feetIn(turning, pose, tireRadius))?.line;
    if (!line) return least;
    const toChassis = carry(pose, tireRadius);
    const seen = bar.mountedOn === 'axle' ? line.map(toChassis) : line;
    const shaft = [driveshaft.transmission, toChassis(driveshaft.pinion)];
    return Math.min(least, between(seen, shaft) - bar.od / 2 - SHAFT_RADIUS);
  }, Infinity);
}

/** The bar or a link in a pose, in the axes of the body that carries the bar; how thick it is from its middle. */
type Part = { part: Gap['part']; path: Point[]; thick: number; middle?: boolean };

/** All distances in one pose; none where the links cannot follow. */
function gapsIn(input: RoomInput, turning: Turning, mounts: Set<string>, { at, pose }: Place): Gap[] {
  const { rig, tireWidth, stowed } = input;
  const onAxle = turning.bar.mountedOn === 'axle';
  const [toChassis, toAxle] = [carry(pose, rig.tireRadius), seenFromAxle(pose, rig.tireRadius)];
  // In the axes of either body, so that each thing is looked at where it stands still.
  const inChassis = (path: Point[]) => (onAxle ? path.map(toChassis) : path);
  const inAxle = (path: Point[]) => (onAxle ? path : path.map(toAxle));
  const rounds = roundsIn(input, toChassis);
  return partsIn(input, turning, pose).flatMap(({ part, path, thick, middle }): Gap[] => {
    const gap = (thing: string, distance: number): Gap => ({ part, thing, distance: distance - thick, at });
    const seen = { chassis: inChassis(path), axle: inAxle(path) };
    return [
      ...(rig.obstacles ?? []).flatMap((o) => {
        if (middle && mounts.has(o.id)) return [];
        // A link is bolted to the other body at its foot: that end is meant to be near.
        const bolted = part === 'end link' && !stowed && (o.on === 'axle') !== onAxle;
        return [gap(o.id, toObstacle(bolted ? trimmed(seen[o.on], 'end', BRACKET) : seen[o.on], o))];
      }),
      ...rounds.map(({ name, line, radius }) => gap(name, between(seen.chassis, line) - radius)),
      ...[1, -1].map((side) =>
        gap(
          side > 0 ? 'left tyre' : 'right tyre',
          toTyre(seen.axle, { y: (side * rig.track) / 2, width: tireWidth, radius: rig.tireRadius }),
        ),
      ),
    ];
  });
}

/** What the bar runs through: the rails that a tube is let into. */
const mountsOf = ({ obstacles = [] }: Rig, { bar: { mountedOn, bushings } }: Turning): Set<string> =>
  new Set(
    obstacles
      .filter((o) => o.on === mountedOn && bushings.some((b) => toObstacle([b, b], o) <= 0))
      .map((o) => o.id),
  );

function partsIn({ rig, housing, stowed }: RoomInput, turning: Turning, pose: Pose): Part[] {
  const feet = stowed ?? feetIn(turning, pose, rig.tireRadius);
  const line = stand(turning, feet, stowed !== null)?.line;
  if (!line) return [];
  const link = (path: Point[]): Part => ({ part: 'end link', path, thick: LINK_OD / 2 });
  const { od, plates } = turning.bar;
  // A flat arm is reckoned as thick as it is high, whichever way it is turned.
  const arm = (path: Point[]): Part => ({
    part: 'bar',
    path,
    thick: (plates ? Math.max(plates.left.height, plates.left.thickness) : od) / 2,
  });
  return [
    { part: 'bar', path: line.slice(1, -1), thick: (housing ?? od) / 2, middle: true },
    arm(line.slice(0, 2)),
    arm(line.slice(-2)),
    link([line[0]!, feet.left]),
    link([line.at(-1)!, feet.right]),
  ];
}

/** What is round and long and stands between the two bodies, in chassis axes: driveshaft, bars, springs and shocks. */
function roundsIn({ rig, struts }: RoomInput, toChassis: (p: Point) => Point) {
  const { driveshaft } = rig;
  return [
    ...(driveshaft
      ? [
          {
            name: 'driveshaft',
            line: [driveshaft.transmission, toChassis(driveshaft.pinion)],
            radius: SHAFT_RADIUS,
          },
        ]
      : []),
    ...linksOf(rig).flatMap((m) =>
      m.od === undefined
        ? []
        : [{ name: memberName(m.id), line: pathAt(m, toChassis(m.axle)), radius: m.od / 2 }],
    ),
    ...struts.map(({ name, frame, axle, radius }) => ({ name, line: [frame, toChassis(axle)], radius })),
  ];
}

/** Coils, bags and shocks are reckoned as thick as this, mm. */
export const RADIUS = { coil: 62, air: 75, shock: 28 };

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
