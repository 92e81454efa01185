import { axleToChassis, chassisToAxle } from '@/core/kinematics/attitude';
import type { Rig } from '@/core/rig/schema';
import { dot, minus, plus, unit, type Point } from '@/core/geometry/vector';
import type { BarDesign, LinkEnd } from './swayBarDesign';
import { SIDES } from '@/core/geometry/side';
import { eyesAtFeet, feetIn, turned, type TurningBar } from './armRotation';
import type { Corner, CornerPose } from '@/core/kinematics/travelCorners';
import { toDegrees } from '@/core/geometry/angle';
import { LINK_JOINTS } from '@/core/materials/joints';

/** How far the joint at an end of a link is cocked, degrees: at ride height and at the worst, and where that is. */
type Cocked = { end: 'bar' | 'foot'; allowed: number; atRide: number; most: number; at: Corner };

export type LinkAnswer = {
  cocked: Cocked[];
  /** least angle between arm and link, degrees: 90 is square, 0 in line, where it goes over centre */
  square: { least: number; at: Corner };
  /** where a link cannot reach at all */
  lost: Corner[];
};

/** How a link stands in a pose: degrees between arm and link, and by which its joints are cocked. */
type Standing = { at: Corner; between: number; bar: number; foot: number };

/** The two links over the travel, ride height first: their joints, and how square they stand to their arms. */
export function linksOver(
  rig: Rig,
  design: BarDesign,
  turning: TurningBar,
  corners: CornerPose[],
): LinkAnswer {
  const stood = corners.map((at) => ({ at: at.corner, links: linksIn(rig, design, turning, at) }));
  const all = stood.flatMap(({ links }) => links ?? []);
  const atRide = stood[0]?.links ?? [];
  const worst = (of: (s: Standing) => number): Standing | undefined =>
    all.reduce<Standing | undefined>((a, b) => (a && of(a) >= of(b) ? a : b), undefined);
  const cocked = (['bar', 'foot'] as const).map((end): Cocked => {
    const most = worst((s) => s[end]);
    return {
      end,
      allowed: LINK_JOINTS[design.ends[end].joint].swing,
      atRide: Math.max(0, ...atRide.map((s) => s[end])),
      most: most?.[end] ?? 0,
      at: most?.at ?? 'ride',
    };
  });
  const least = worst((s) => -s.between);
  return {
    cocked,
    square: { least: least?.between ?? 90, at: least?.at ?? 'ride' },
    lost: stood.filter(({ links }) => links === null).map(({ at }) => at),
  };
}

/** Both links in a pose; null where one of them cannot follow. */
function linksIn(
  { tireRadius }: Rig,
  { mountedOn, ends }: BarDesign,
  turning: TurningBar,
  { corner: at, pose }: CornerPose,
): Standing[] | null {
  const feet = feetIn(turning, pose, tireRadius);
  const stood = eyesAtFeet(turning, feet);
  if (!stood) return null;
  const { turns, eyes } = stood;
  const other = mountedOn === 'chassis' ? axleToChassis(pose, tireRadius) : chassisToAxle(pose, tireRadius);
  return SIDES.map((side) => {
    const along = unit(minus(feet[side], eyes[side]));
    const arm = unit(minus(eyes[side], turning.circles[side].centre));
    // A bolt goes with the arm at the bar, and with the other body at the foot.
    const atBar = turned(boltOf(ends.bar), turning.axis, [0, 0, 0], turns[side]);
    const foot = turning.bar.links[side];
    const atFoot = minus(other(plus(foot, boltOf(ends.foot))), other(foot));
    return {
      at,
      between: toDegrees(Math.acos(Math.min(1, Math.abs(dot(along, arm))))),
      bar: outOfPlane(along, atBar),
      foot: outOfPlane(along, atFoot),
    };
  });
}

const outOfPlane = (along: Point, bolt: Point): number =>
  toDegrees(Math.asin(Math.min(1, Math.abs(dot(along, bolt)))));

const boltOf = ({ bolt }: LinkEnd): Point => (bolt === 'across' ? [0, 1, 0] : [1, 0, 0]);

/** Whether the two ends let a link move only one way: two forks whose pins lie alike. */
export const oneWayOnly = ({ ends: { bar, foot } }: BarDesign): boolean =>
  bar.joint === 'clevis' && foot.joint === 'clevis' && bar.bolt === foot.bolt;
