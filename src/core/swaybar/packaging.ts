import { bodiesOf, type Body } from '@/core/clearance/bodies';
import { lineOf, pathToPath, trimmed } from '@/core/clearance/lines';
import { gapTo } from '@/core/clearance/solids';
import { segmentsOf, type Segments } from '@/core/geometry/shapes';
import type { Side } from '@/core/geometry/side';
import type { Point } from '@/core/geometry/vector';
import { axleToChassis, chassisToAxle } from '@/core/kinematics/attitude';
import type { Pose } from '@/core/kinematics/pose';
import type { Corner, CornerPose } from '@/core/kinematics/travelCorners';
import { LIMITS } from '@/core/materials/limits';
import type { Rig } from '@/core/rig/schema';
import { feetIn, barAtFeet, type TurningBar } from './armRotation';
import { LINK_OD, type BarDesign } from './swayBarDesign';

/** Where bar or links come nearest to another body, surface to surface, mm; negative where they overlap. */
export type Gap = { part: 'bar' | 'end link'; body: string; distance: number; corner: Corner };

/** What stands around a sway bar: every body of the rig, and the tube it runs in between its bushings. */
export type Surroundings = {
  rig: Rig;
  /** outside of that tube, mm */
  housing: number | null;
  /** where the links' loose ends are pinned, in the axes of the body that carries the bar; null with the links on */
  stowed: Record<Side, Point> | null;
};

/** What a link's bracket takes of it, mm: that piece is meant to be near. */
const BRACKET = 70;

/** The least distance of a bar and its links from each body, over the corners of the travel; the nearest first. */
export function gapsOverTravel(around: Surroundings, arms: TurningBar, corners: CornerPose[]): Gap[] {
  const least = { bar: new Map<string, Gap>(), 'end link': new Map<string, Gap>() };
  const bodies = bodiesOf(around.rig);
  const still = bodies.flatMap((body) => (body.on === 'both' ? [] : [stillBody(body, body.on, arms)]));
  const reaching = bodies.filter((body) => body.on === 'both');
  for (const corner of corners)
    eachGap(around, { still, reaching }, arms, corner.pose, (part, body, distance) => {
      const known = least[part].get(body);
      if (!known || distance < known.distance)
        least[part].set(body, { part, body, distance, corner: corner.corner });
    });
  return [...least.bar.values(), ...least['end link'].values()].sort((a, b) => a.distance - b.distance);
}

/** What bar and links hit or come too near to, the nearest first. */
export const tooNear = (of: { rig: Rig; bar: BarDesign | null }, gaps: Gap[]): Gap[] =>
  gaps.filter((gap) => spareOf(of, gap) < 0);

/** How much farther apart a pair is than it is wanted to be, mm: less is wanted of what does not move against each other. */
export const spareOf = (of: { rig: Rig; bar: BarDesign | null }, gap: Gap): number =>
  gap.distance - (ownBody(of, gap) ? LIMITS.clearance.sameBody : LIMITS.clearance.least);

/** Whether the bar and what it comes near are carried by one body: they do not move against each other. */
export const ownBody = ({ rig, bar }: { rig: Rig; bar: BarDesign | null }, { part, body }: Gap): boolean =>
  part === 'bar' && (rig.obstacles ?? []).some((o) => o.id === body && o.on === bar?.mountedOn);

/** The least distance of a bar from the driveshaft alone, over the corners of the travel, mm; null where there is none. */
export function gapToDriveshaft(rig: Rig, arms: TurningBar, corners: CornerPose[]): number | null {
  const { driveshaft, tireRadius } = rig;
  if (driveshaft?.od === undefined) return null;
  const radius = driveshaft.od / 2;
  const { bar } = arms;
  return corners.reduce((least, { pose }) => {
    const line = barAtFeet(arms, feetIn(arms, pose, tireRadius))?.line;
    if (!line) return least;
    const toChassis = axleToChassis(pose, tireRadius);
    const seen = bar.mountedOn === 'axle' ? line.map(toChassis) : line;
    const shaft = [driveshaft.transmission, toChassis(driveshaft.pinion)];
    return Math.min(least, pathToPath(seen, shaft) - bar.od / 2 - radius);
  }, Infinity);
}

/** The bar or a link in a pose, in the axes of the body that carries the bar; how thick it is from its middle. */
type CheckedPart = { part: Gap['part']; path: Point[]; thick: number; middle?: boolean };

type Told = (part: Gap['part'], body: string, distance: number) => void;

/**
 * A body that stands still in the axes of its carrier: how far a path is from it there, and whether the bar runs through it, as through the
 * rails that its tube is let into.
 */
type StillBody = { id: string; on: 'chassis' | 'axle'; gap: (path: Segments) => number; holdsBar: boolean };

/** A body from one carrier to the other. */
type ReachingBody = Extract<Body, { on: 'both' }>;

function stillBody(body: Body, on: StillBody['on'], { bar: { mountedOn, bushings } }: TurningBar): StillBody {
  const gap = gapTo(body);
  const holdsBar = on === mountedOn && bushings.some((b) => gap(segmentsOf([b, b])) <= 0);
  return { id: body.id, on, gap, holdsBar };
}

/** Tells all distances in one pose; none where the links cannot follow. */
function eachGap(
  around: Surroundings,
  bodies: { still: StillBody[]; reaching: ReachingBody[] },
  arms: TurningBar,
  pose: Pose,
  tell: Told,
): void {
  const { rig, stowed } = around;
  const onAxle = arms.bar.mountedOn === 'axle';
  const [toChassis, toAxle] = [axleToChassis(pose, rig.tireRadius), chassisToAxle(pose, rig.tireRadius)];
  const reaching = bodies.reaching.map((b) => ({ b, line: lineOf(b.shape, toChassis) }));
  for (const { part, path, thick, middle } of partsIn(around, arms, pose)) {
    // In the axes of either body, so that each thing is looked at where it stands still.
    const seen = {
      chassis: onAxle ? path.map(toChassis) : path,
      axle: onAxle ? path : path.map(toAxle),
    };
    // A link is bolted to the other body at its foot: that end is meant to be near.
    const isBolted = (on: StillBody['on']) => part === 'end link' && !stowed && (on === 'axle') !== onAxle;
    const freeOn = (on: StillBody['on']) =>
      segmentsOf(isBolted(on) ? trimmed(seen[on], 'end', BRACKET) : seen[on]);
    const free = { chassis: freeOn('chassis'), axle: freeOn('axle') };
    for (const { id, on, gap, holdsBar } of bodies.still)
      if (!middle || !holdsBar) tell(part, id, gap(free[on]) - thick);
    for (const { b, line } of reaching)
      tell(part, b.id, pathToPath(seen.chassis, line) - b.shape.od / 2 - thick);
  }
}

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
