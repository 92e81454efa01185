import type { Rig, SwayBar } from '@/core/rig/schema';
import type { LinkJoint } from '@/core/materials/joints';
import { ELASTIC, type SteelName } from '@/core/materials/steels';
import { SIDES, signOf, type Side } from '@/core/geometry/side';
import type { Point } from '@/core/geometry/vector';

/** End links are reckoned as thick as this, mm. */
export const LINK_OD = 22;

/** Which way a joint's bolt lies at ride height: across the car or along it. */
export const BOLTS = ['across', 'along'] as const;
export type LinkEnd = { joint: LinkJoint; bolt: (typeof BOLTS)[number] };

/** Bent from one piece, or a straight bar with arms of its own on its ends. */
export const BAR_KINDS = ['one-piece', 'arms'] as const;

/** A dip of the middle downward (negative: a hump), for an exhaust or the differential; mm. */
export type Dip = {
  /** its middle, left of the centreline */
  at: number;
  depth: number;
  /** at its bottom */
  width: number;
};

/**
 * An end link, mm: eye centre to eye centre, and where its far end stands from straight under or over its eye: outboard and ahead. It
 * goes down to the other body where the bar is on the frame, up where it is on the axle.
 */
export type EndLink = { link: number; foot: { out: number; ahead: number } };

/** A sway bar as a builder would say it; mm. Both sides are alike, but for a right link of its own. */
export type BarDesign = EndLink & {
  mountedOn: 'chassis' | 'axle';
  made: (typeof BAR_KINDS)[number];
  steel: SteelName;
  od: number;
  /** null: solid */
  wall: number | null;
  /** flat arms, where they are parts of their own: 0° stands on edge, 90° lies flat; teeth of the spline, null where they are clamped or welded */
  arms: { height: number; thickness: number; turned: number; teeth: number | null };
  /** outside of the tube that it runs in between its bushings; null where it runs free */
  housing: number | null;
  /** eye to eye, and the straight middle between the two bends */
  eyes: number;
  middle: number;
  /** along the car, from the middle to the first hole */
  arm: number;
  /** the eyes above the middle */
  rise: number;
  /** the hole in use, counted from the end; each is `pitch` nearer to the middle; how many there are */
  hole: number;
  pitch: number;
  holes: number;
  /** arms point ahead or back */
  pointing: 'ahead' | 'back';
  /** where the middle lies: ahead of the axle, off the floor */
  ahead: number;
  height: number;
  /** between the two bushings, and how hard they are, N/mm; null: as good as rigid */
  bushings: number;
  bushingRate: number | null;
  dips: Dip[];
  /** to the bar's own middle, as it is bent */
  bendRadius: number;
  /** the right link, where it is not as the left one */
  right?: EndLink;
  ends: { bar: LinkEnd; foot: LinkEnd };
  /** links that come off by a pin, and where their loose end is then pinned on the body that carries the bar: from the centreline, ahead, off the floor */
  stow: { out: number; ahead: number; height: number } | null;
  /** whether the links are on */
  hooked: boolean;
  /** eyes off the floor with the links off, as measured: whether both arms are clocked alike */
  measured: { left: number | null; right: number | null };
};

/** Arm from the middle to the hole in use, mm. */
export const armInUse = ({ arm, hole, pitch }: BarDesign): number => arm - hole * pitch;

/** `hole 1 of 3 from the tip`. */
export const sayHole = ({ hole, holes }: Pick<BarDesign, 'hole' | 'holes'>): string =>
  `hole ${hole + 1} of ${holes} from the tip`;

/** The end link of a side. */
export const linkOn = ({ link, foot, right }: BarDesign, side: Side): EndLink =>
  side === 'right' && right ? right : { link, foot };

/** How far a link's far end is below or above its eye, mm; nothing where it leans more than it is long. */
export const linkHeight = ({ link, foot }: EndLink): number =>
  Math.sqrt(Math.max(0, link ** 2 - foot.out ** 2 - foot.ahead ** 2));

/** From the foot of one link to that of the other across the car, mm. */
export const apartAtFeet = (design: BarDesign): number =>
  SIDES.reduce((apart, side) => apart + linkOn(design, side).foot.out, design.eyes);

/** The bar as a rig states it: its centreline from eye to eye, bushings, the far ends of its links, and its flat arms. */
export function swayBarOf(design: BarDesign): SwayBar {
  const {
    mountedOn,
    od,
    wall,
    eyes,
    middle,
    pointing,
    ahead,
    height,
    rise,
    bushings,
    bushingRate,
    made,
    arms,
  } = design;
  const way = pointing === 'ahead' ? 1 : -1;
  const tip = ahead + way * armInUse(design);
  const eye = (y: number): Point => [tip, (y * eyes) / 2, height + rise];
  const corner = (y: number): Point => [ahead, (y * middle) / 2, height];
  const far = (side: Side): Point => {
    const link = linkOn(design, side);
    return [
      tip + link.foot.ahead,
      signOf(side) * (eyes / 2 + link.foot.out),
      height + rise + (mountedOn === 'chassis' ? -1 : 1) * linkHeight(link),
    ];
  };
  const held = (y: number): Point => [ahead, (y * bushings) / 2, height];
  return {
    id: 'sway bar',
    mountedOn,
    od,
    wall,
    centreline: [eye(1), corner(1), ...dipPoints(design), corner(-1), eye(-1)],
    bushings: [held(1), held(-1)],
    links: { left: far('left'), right: far('right') },
    ...ELASTIC,
    ...(bushingRate !== null && { bushingRate }),
    ...(made === 'arms' && {
      arms: { height: arms.height, thickness: arms.thickness, turnedDeg: arms.turned },
    }),
  };
}

/** Corners of the dips from left to right; their sides slope as much as they are deep. */
function dipPoints({ dips, ahead, height }: BarDesign): Point[] {
  return [...dips]
    .filter((dip) => dip.depth !== 0)
    .sort((a, b) => b.at - a.at)
    .flatMap(({ at, depth, width }): Point[] => {
      const side = Math.abs(depth);
      return [
        [ahead, at + width / 2 + side, height],
        [ahead, at + width / 2, height - depth],
        [ahead, at - width / 2, height - depth],
        [ahead, at - width / 2 - side, height],
      ];
    });
}

/** Where the loose ends of both links are pinned; null for links that do not come off. */
export const stowedFeet = ({ stow }: BarDesign): Record<'left' | 'right', Point> | null =>
  stow && { left: [stow.ahead, stow.out, stow.height], right: [stow.ahead, -stow.out, stow.height] };

type Start = Pick<Rig, 'track' | 'tireRadius'>;

/** A bent bar to start from, of a size that suits the rig. */
export function usualBar({ track, tireRadius }: Start): BarDesign {
  return {
    mountedOn: 'chassis',
    made: 'one-piece',
    steel: 'spring',
    od: 19.05,
    wall: null,
    arms: { height: 38, thickness: 9.525, turned: 0, teeth: 48 },
    housing: null,
    eyes: Math.round(0.57 * track),
    middle: Math.round(0.54 * track),
    arm: 200,
    rise: 0,
    hole: 0,
    pitch: 25.4,
    holes: 4,
    pointing: 'back',
    ahead: 300,
    height: tireRadius + 60,
    bushings: Math.round(0.46 * track),
    bushingRate: null,
    dips: [],
    bendRadius: 57,
    link: 150,
    foot: { out: 0, ahead: 0 },
    ends: { bar: { joint: 'rod-end', bolt: 'across' }, foot: { joint: 'rod-end', bolt: 'along' } },
    stow: null,
    hooked: true,
    measured: { left: null, right: null },
  };
}

/** A straight bar with flat arms whose stiffness is trimmed by turning them. */
export const usualBladeBar = (rig: Start): BarDesign => ({
  ...usualBar(rig),
  made: 'arms',
  od: 31.75,
  wall: 3.048,
  arms: { height: 32, thickness: 9.525, turned: 0, teeth: 48 },
  eyes: Math.round(0.56 * rig.track),
  middle: Math.round(0.56 * rig.track),
  arm: 250,
  holes: 1,
});

/** What a drag car carries: a stiff bar in a tube through the frame, flat arms, links to the housing. */
export const usualStripBar = (rig: Start): BarDesign => ({
  ...usualBar(rig),
  made: 'arms',
  od: 31.75,
  wall: 4.775,
  housing: 44.45,
  arms: { height: 57, thickness: 12.7, turned: 0, teeth: 36 },
  eyes: Math.round(0.52 * rig.track),
  middle: Math.round(0.52 * rig.track),
  bushings: Math.round(0.5 * rig.track),
  arm: 254,
  holes: 3,
  ahead: 354,
  height: rig.tireRadius + 165,
  link: 190,
});
