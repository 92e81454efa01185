import { pathAt } from '@/core/clearance/barPath';
import { pathToPath, toObstacle, trimmed } from '@/core/clearance/clearance';
import { SIDES, signOf, type Side } from '@/core/geometry/side';
import type { Point } from '@/core/geometry/vector';
import { axleToChassis, chassisToAxle } from '@/core/kinematics/attitude';
import type { Pose } from '@/core/kinematics/pose';
import type { Corner, CornerPose } from '@/core/kinematics/travelCorners';
import { LIMITS } from '@/core/materials/limits';
import { minimumOn } from '@/core/numerics/rootFinding';
import { linksOf } from '@/core/rig/members/members';
import { DRIVESHAFT } from '@/core/rig/mounts';
import type { Rig } from '@/core/rig/schema';
import { shockStands, standsOf, type ShockDesign, type SpringDesign } from '@/core/springs/springDesign';
import { feetIn, barAtFeet, type TurningBar } from './armRotation';
import { LINK_OD, type BarDesign } from './swayBarDesign';

/** Where bar or links come nearest to another body, surface to surface, mm; negative where they overlap. */
export type Gap = { part: 'bar' | 'end link'; body: string; distance: number; corner: Corner };

/** A spring or a shock: from the frame to the axle, mm. */
type Strut = { id: string; frame: Point; axle: Point; radius: number };

/** What stands around a sway bar: springs and shocks as they are designed, tyres, and the tube it runs in between its bushings. */
export type Surroundings = {
  rig: Rig;
  springs: SpringDesign | null;
  shock: ShockDesign | null;
  tireWidth: number;
  /** outside of that tube, mm */
  housing: number | null;
  /** where the links' loose ends are pinned, in the axes of the body that carries the bar; null with the links on */
  stowed: Record<Side, Point> | null;
};

/** A driveshaft's tube as it is reckoned with, mm. */
const SHAFT_RADIUS = 38;
/** What a link's bracket takes of it, mm: that piece is meant to be near. */
const BRACKET = 70;

/** The least distance of a bar and its links from each body, over the corners of the travel; the nearest first. */
export function gapsOverTravel(around: Surroundings, arms: TurningBar, corners: CornerPose[]): Gap[] {
  const least = { bar: new Map<string, Gap>(), 'end link': new Map<string, Gap>() };
  const mounts = mountedIn(around.rig, arms);
  const struts = strutsOf(around);
  for (const corner of corners)
    eachGap(around, struts, arms, mounts, corner.pose, (part, body, distance) => {
      const known = least[part].get(body);
      if (!known || distance < known.distance)
        least[part].set(body, { part, body, distance, corner: corner.corner });
    });
  return [...least.bar.values(), ...least['end link'].values()].sort((a, b) => a.distance - b.distance);
}

/** What bar and links hit or come too near to, the nearest first. */
export const tooNear = (of: { rig: Rig; bar: BarDesign | null }, gaps: Gap[]): Gap[] =>
  gaps.filter(
    (gap) => gap.distance < (ownBody(of, gap) ? LIMITS.clearance.sameBody : LIMITS.clearance.least),
  );

/** Whether the bar and what it comes near are carried by one body: they do not move against each other. */
export const ownBody = ({ rig, bar }: { rig: Rig; bar: BarDesign | null }, { part, body }: Gap): boolean =>
  part === 'bar' && (rig.obstacles ?? []).some((o) => o.id === body && o.on === bar?.mountedOn);

/** The least distance of a bar from the driveshaft alone, over the corners of the travel, mm; null where there is none. */
export function gapToDriveshaft(rig: Rig, arms: TurningBar, corners: CornerPose[]): number | null {
  const { driveshaft, tireRadius } = rig;
  if (!driveshaft) return null;
  const { bar } = arms;
  return corners.reduce((least, { pose }) => {
    const line = barAtFeet(arms, feetIn(arms, pose, tireRadius))?.line;
    if (!line) return least;
    const toChassis = axleToChassis(pose, tireRadius);
    const seen = bar.mountedOn === 'axle' ? line.map(toChassis) : line;
    const shaft = [driveshaft.transmission, toChassis(driveshaft.pinion)];
    return Math.min(least, pathToPath(seen, shaft) - bar.od / 2 - SHAFT_RADIUS);
  }, Infinity);
}

/** The bar or a link in a pose, in the axes of the body that carries the bar; how thick it is from its middle. */
type CheckedPart = { part: Gap['part']; path: Point[]; thick: number; middle?: boolean };

type Told = (part: Gap['part'], body: string, distance: number) => void;

/** Tells all distances in one pose; none where the links cannot follow. */
function eachGap(
  around: Surroundings,
  struts: Strut[],
  arms: TurningBar,
  mounts: Set<string>,
  pose: Pose,
  tell: Told,
): void {
  const { rig, tireWidth, stowed } = around;
  const onAxle = arms.bar.mountedOn === 'axle';
  const [toChassis, toAxle] = [axleToChassis(pose, rig.tireRadius), chassisToAxle(pose, rig.tireRadius)];
  const rounds = roundsIn(rig, struts, toChassis);
  for (const { part, path, thick, middle } of partsIn(around, arms, pose)) {
    // In the axes of either body, so that each thing is looked at where it stands still.
    const seen = {
      chassis: onAxle ? path.map(toChassis) : path,
      axle: onAxle ? path : path.map(toAxle),
    };
    for (const o of rig.obstacles ?? []) {
      if (middle && mounts.has(o.id)) continue;
      // A link is bolted to the other body at its foot: that end is meant to be near.
      const bolted = part === 'end link' && !stowed && (o.on === 'axle') !== onAxle;
      const free = bolted ? trimmed(seen[o.on], 'end', BRACKET) : seen[o.on];
      tell(part, o.id, toObstacle(free, o) - thick);
    }
    for (const { id, line, radius } of rounds)
      tell(part, id, pathToPath(seen.chassis, line) - radius - thick);
    for (const side of SIDES) {
      const y = (signOf(side) * rig.track) / 2;
      const tire = { y, width: tireWidth, radius: rig.tireRadius };
      tell(part, `tire-${side}`, toTire(seen.axle, tire) - thick);
    }
  }
}

/** What the bar runs through: the rails that a tube is let into. */
const mountedIn = ({ obstacles = [] }: Rig, { bar: { mountedOn, bushings } }: TurningBar): Set<string> =>
  new Set(
    obstacles
      .filter((o) => o.on === mountedOn && bushings.some((b) => toObstacle([b, b], o) <= 0))
      .map((o) => o.id),
  );

function partsIn({ rig, housing, stowed }: Surroundings, turning: TurningBar, pose: Pose): CheckedPart[] {
  const feet = stowed ?? feetIn(turning, pose, rig.tireRadius);
  const line = barAtFeet(turning, feet, stowed !== null)?.line;
  if (!line) return [];
  const link = (path: Point[]): CheckedPart => ({ part: 'end link', path, thick: LINK_OD / 2 });
  const { od, arms } = turning.bar;
  // A flat arm is reckoned as thick as it is high, whichever way it is turned.
  const arm = (path: Point[]): CheckedPart => ({
    part: 'bar',
    path,
    thick: (arms ? Math.max(arms.height, arms.thickness) : od) / 2,
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
function roundsIn(rig: Rig, struts: Strut[], toChassis: (p: Point) => Point) {
  const { driveshaft } = rig;
  return [
    ...(driveshaft
      ? [
          {
            id: DRIVESHAFT,
            line: [driveshaft.transmission, toChassis(driveshaft.pinion)],
            radius: SHAFT_RADIUS,
          },
        ]
      : []),
    ...linksOf(rig).flatMap((m) =>
      m.od === undefined ? [] : [{ id: m.id, line: pathAt(m, toChassis(m.axle)), radius: m.od / 2 }],
    ),
    ...struts.map(({ id, frame, axle, radius }) => ({ id, line: [frame, toChassis(axle)], radius })),
  ];
}

/** Coils, bags and shocks are reckoned as thick as this, mm. */
export const RADIUS = { coil: 62, air: 75, shock: 28 };

/** The springs and shocks that stand on ends of their own. */
function strutsOf({ springs, shock, rig }: Surroundings): Strut[] {
  return SIDES.flatMap((side) => {
    const strut = (what: string, [frame, axle]: [Point, Point], radius: number): Strut => ({
      id: `${what}-${side}`,
      frame,
      axle,
      radius,
    });
    return [
      ...(springs && springs.kind !== 'leaf'
        ? [strut('spring', standsOf(springs, side, rig.tireRadius), RADIUS[springs.kind])]
        : []),
      ...(shock?.apart ? [strut('shock', shockStands(shock.apart, side), RADIUS.shock)] : []),
    ];
  });
}

type Tire = { y: number; width: number; radius: number };

/** A tyre is a disc about the axle's centre: distance to what is convex is least at one place of a straight piece, found by golden section. */
function toTire(path: Point[], tire: Tire): number {
  return path.slice(1).reduce((best, b, i) => {
    const a = path[i]!;
    // Seen along the axle alone it is nearer than it is: most pieces need no more.
    const [from, to] = [Math.min(a[1], b[1]) - tire.y, Math.max(a[1], b[1]) - tire.y];
    if (Math.max(from, -to) - tire.width / 2 >= best) return best;
    return Math.min(best, pieceToTire(a, b, tire));
  }, Infinity);
}

function pieceToTire(a: Point, b: Point, { y, width, radius }: Tire): number {
  const off = (t: number): number => {
    const [px, py, pz] = [a[0] + t * (b[0] - a[0]), a[1] + t * (b[1] - a[1]), a[2] + t * (b[2] - a[2])];
    const out = Math.max(0, Math.abs(py - y) - width / 2);
    const round = Math.max(0, Math.sqrt(px * px + (pz - radius) ** 2) - radius);
    return Math.sqrt(out * out + round * round);
  };
  return off(minimumOn(off, 0, 1));
}
