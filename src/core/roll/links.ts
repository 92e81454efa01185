import { carry, seenFromAxle } from '@/core/kinematics/attitude';
import type { Point, Rig } from '@/core/rig/schema';
import { dot, minus, plus, unit } from '@/core/vector';
import type { BarDesign } from './barDesign';
import { LINK_JOINTS, type LinkEnd } from './linkJoints';
import { feetIn, stand, turned, type Turning } from './motion';
import type { Place } from './travel';

const DEGREES = 180 / Math.PI;
const SIDES = ['left', 'right'] as const;

/** How far the joint at an end of a link is cocked, degrees: at ride height and at the worst, and where that is. */
type Cocked = { end: 'bar' | 'foot'; allowed: number; atRide: number; most: number; at: string };

export type LinkAnswer = {
  cocked: Cocked[];
  /** least angle between arm and link, degrees: 90 is square, 0 in line, where it goes over centre */
  square: { least: number; at: string };
  /** where a link cannot reach at all */
  lost: string[];
};

/** How a link stands in a pose: degrees between arm and link, and by which its joints are cocked. */
type Standing = { at: string; between: number; bar: number; foot: number };

/** The two links over the travel, ride height first: their joints, and how square they stand to their arms. */
export function linksOver(rig: Rig, design: BarDesign, turning: Turning, places: Place[]): LinkAnswer {
  const stood = places.map((place) => ({ at: place.at, links: linksIn(rig, design, turning, place) }));
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
      at: most?.at ?? 'at ride height',
    };
  });
  const least = worst((s) => -s.between);
  return {
    cocked,
    square: { least: least?.between ?? 90, at: least?.at ?? 'at ride height' },
    lost: stood.filter(({ links }) => links === null).map(({ at }) => at),
  };
}

/** Both links in a pose; null where one of them cannot follow. */
function linksIn(
  { tireRadius }: Rig,
  { mountedOn, ends }: BarDesign,
  turning: Turning,
  { at, pose }: Place,
): Standing[] | null {
  const feet = feetIn(turning, pose, tireRadius);
  const stood = stand(turning, feet);
  if (!stood) return null;
  const { turns, line } = stood;
  const eyes = { left: line[0]!, right: line.at(-1)! };
  const other = mountedOn === 'chassis' ? carry(pose, tireRadius) : seenFromAxle(pose, tireRadius);
  return SIDES.map((side) => {
    const along = unit(minus(feet[side], eyes[side]));
    const arm = unit(minus(eyes[side], turning.circles[side].centre));
    // A bolt goes with the arm at the bar, and with the other body at the foot.
    const atBar = turned(boltOf(ends.bar), turning.axis, [0, 0, 0], turns[side]);
    const foot = turning.bar.links[side];
    const atFoot = minus(other(plus(foot, boltOf(ends.foot))), other(foot));
    return {
      at,
      between: Math.acos(Math.min(1, Math.abs(dot(along, arm)))) * DEGREES,
      bar: outOfPlane(along, atBar),
      foot: outOfPlane(along, atFoot),
    };
  });
}

const outOfPlane = (along: Point, bolt: Point): number =>
  Math.asin(Math.min(1, Math.abs(dot(along, bolt)))) * DEGREES;

const boltOf = ({ bolt }: LinkEnd): Point => (bolt === 'across' ? [0, 1, 0] : [1, 0, 0]);

/** Whether the two ends let a link move only one way: two forks whose pins lie alike. */
export const oneWayOnly = ({ ends: { bar, foot } }: BarDesign): boolean =>
  bar.joint === 'clevis' && foot.joint === 'clevis' && bar.bolt === foot.bolt;
