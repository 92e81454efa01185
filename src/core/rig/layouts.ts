import { PANHARD } from './roles';
import type { Rig } from './schema';
import type { Point } from '@/core/geometry/vector';
import type { LinkMember } from '@/core/rig/members/link';
import type { Member } from '@/core/rig/members/members';

/** What a pattern is scaled to, mm. */
export type PatternSize = { tireRadius: number; track: number; cover: number; tubeOd: number };

/** What a layout brings to a rig. */
type Pattern = { members: Member[]; steering?: Rig['steering']; driveshaft?: Rig['driveshaft'] };

/**
 * How hard one leaf spring of a car's rear axle holds that nobody has told anything of: sideways at its seat, N/mm, and against wind-up,
 * N·mm/rad (orders of magnitude; common practice).
 */
export const USUAL_LEAF = { lateralRate: 180, windupRate: 9e6 };

/** A pattern draws in its own proportions: along the car in mm, across in shares of the track, heights from the axle's centre. */
type Pen = (x: number, share: number, aboveCentre: number) => Point;

const penFor =
  ({ tireRadius, track }: PatternSize): Pen =>
  (x, share, aboveCentre) => [Math.round(x), Math.round(share * track), Math.round(tireRadius + aboveCentre)];

const link = (id: string, chassis: Point, axle: Point): LinkMember => ({ type: 'link', id, chassis, axle });

/** Two links alike, left and right. */
const pair = (
  id: string,
  at: Pen,
  chassis: [number, number, number],
  axle: [number, number, number],
): LinkMember[] =>
  (
    [
      ['left', 1],
      ['right', -1],
    ] as const
  ).map(([side, s]) =>
    link(`${id}-${side}`, at(chassis[0], s * chassis[1], chassis[2]), at(axle[0], s * axle[1], axle[2])),
  );

/** A pattern with every bar of the same tube, so that what comes near it can be told. */
const ofTube = (pattern: Pattern, od: number): Pattern => ({
  ...pattern,
  members: pattern.members.map((m) => (m.type === 'link' ? { ...m, od } : m)),
});

/** Level, just above the axle's centre, behind the cover, as long as fits inside the tyres; `out`: share of the track to either eye. */
function panhardBar(at: Pen, size: PatternSize, out = 0.33): LinkMember {
  const behind = -(size.cover + size.tubeOd / 2 + 24);
  return link(PANHARD, at(behind, out, 30), at(behind, -out, 30));
}

/** Two lower links, low and wide. */
const lowerLinks = (at: Pen) => pair('lower', at, [580, 0.32, -58], [0, 0.34, -70]);

function threeLinkPanhard(size: PatternSize): Pattern {
  const at = penFor(size);
  const upper = link('upper', at(480, -0.035, 172), at(20, -0.035, 192));
  return { members: [...lowerLinks(at), upper, panhardBar(at, size)] };
}

function threeLinkWatts(size: PatternSize): Pattern {
  const at = penFor(size);
  const behind = -(size.cover + 40);
  return {
    members: [
      ...lowerLinks(at),
      link('upper', at(480, -0.035, 172), at(20, -0.035, 192)),
      {
        type: 'watts',
        id: 'watts',
        pivotOn: 'axle',
        pivot: at(behind, 0, 20),
        crank: { top: at(behind, 0, 100), bottom: at(behind, 0, -60) },
        ends: { top: at(behind, 0.34, 100), bottom: at(behind, -0.34, -60) },
      },
    ],
  };
}

function triangulatedFourLink(size: PatternSize): Pattern {
  const at = penFor(size);
  return { members: [...lowerLinks(at), ...pair('upper', at, [430, 0.28, 146], [20, 0.05, 166])] };
}

function parallelFourLink(size: PatternSize): Pattern {
  const at = penFor(size);
  return {
    members: [
      ...pair('lower', at, [580, 0.33, -46], [20, 0.33, -70]),
      ...pair('upper', at, [580, 0.33, 154], [20, 0.33, 130]),
      panhardBar(at, size),
    ],
  };
}

/** The same links, held sideways by a bar run diagonally from one frame rail to the other end of the axle. */
function diagonalTrackBar(size: PatternSize): Pattern {
  const at = penFor(size);
  const diagonal = link(PANHARD, at(500, 0.27, -115), at(40, -0.27, -115));
  return { members: [...parallelFourLink(size).members.slice(0, 4), diagonal] };
}

function torqueArm(size: PatternSize): Pattern {
  const at = penFor(size);
  return {
    members: [
      ...pair('lower', at, [580, 0.32, -105], [0, 0.34, -70]),
      // Beside the shaft, which it would meet in the middle.
      {
        type: 'slider-arm',
        id: 'torque-arm',
        chassis: at(1150, -0.075, 40),
        path: { axle: [at(60, -0.075, 60)] },
      },
      panhardBar(at, size),
    ],
  };
}

const arms = (id: string, at: Pen, ball: [number, number, number]): Member[] =>
  (
    [
      ['left', 1],
      ['right', -1],
    ] as const
  ).map(([side, s]) => ({
    type: 'rigid-arm' as const,
    id: `${id}-${side}`,
    chassis: at(ball[0], s * ball[1], ball[2]),
  }));

function ladderBarsPanhard(size: PatternSize): Pattern {
  const at = penFor(size);
  return { members: [...arms('ladder', at, [800, 0.3, -110]), panhardBar(at, size)] };
}

function ladderBarsDiagonal(size: PatternSize): Pattern {
  const at = penFor(size);
  const diagonal = link(PANHARD, at(620, 0.24, -70), at(90, -0.26, -70));
  return { members: [...arms('ladder', at, [800, 0.3, -110]), diagonal] };
}

/** Long arms that nearly meet under the middle of the car. */
function truckArms(size: PatternSize): Pattern {
  const at = penFor(size);
  return { members: [...arms('truck-arm', at, [1300, 0.06, -120]), panhardBar(at, size)] };
}

/** Two leaf springs, fixed at one eye and on a shackle at the other. */
const leaves = (
  at: Pen,
  share: number,
  fixed: [number, number],
  shackled: [number, number],
  seat: number,
): Member[] =>
  (
    [
      ['left', 1],
      ['right', -1],
    ] as const
  ).map(([side, s]) => ({
    type: 'leaf' as const,
    id: `leaf-${side}`,
    frontEye: at(fixed[0], s * share, fixed[1]),
    seat: at(0, s * share, seat),
    rearEye: at(shackled[0], s * share, shackled[1]),
    ...USUAL_LEAF,
  }));

const rearLeaves = (at: Pen) => leaves(at, 0.36, [640, -10], [-720, 60], -50);

const leavesAlone = (size: PatternSize): Pattern => ({ members: rearLeaves(penFor(size)) });

function leafPanhard(size: PatternSize): Pattern {
  const at = penFor(size);
  // Its brackets stand inside of the springs.
  return { members: [...rearLeaves(at), panhardBar(at, size, 0.31)] };
}

/** Of a front axle the shackle commonly is ahead, so that the axle is held from behind; the drag link runs along the car. */
function frontLeaves(size: PatternSize): Pattern {
  const at = penFor(size);
  return {
    members: leaves(at, 0.2, [-560, 30], [520, 35], 55),
    // As long and as steep as the part of the spring that the axle swings on, and over the axle.
    steering: {
      pitman: at(-420, 0.3, 91),
      knuckle: at(0, 0.3, 110),
      kingpin: at(0, 0.43, 0),
    },
  };
}

/** A track bar ahead of a front axle and the drag link that should run beside it, alike in length and angle. */
function frontBars(at: Pen, size: PatternSize): { trackBar: LinkMember; steering: Rig['steering'] } {
  const ahead = size.cover + size.tubeOd / 2 + 19;
  return {
    trackBar: link(PANHARD, at(ahead, 0.265, 50), at(ahead, -0.255, 50)),
    steering: {
      pitman: at(ahead + 90, 0.26, 80),
      knuckle: at(ahead + 90, -0.26, 80),
      kingpin: at(0, -0.43, 0),
    },
  };
}

function frontFourLink(size: PatternSize): Pattern {
  const at = penFor(size);
  const { trackBar, steering } = frontBars(at, size);
  return {
    members: [
      ...pair('lower', at, [-700, 0.17, -20], [-20, 0.23, -60]),
      ...pair('upper', at, [-600, 0.16, 110], [-10, 0.2, 110]),
      trackBar,
    ],
    steering,
  };
}

function frontRadiusArms(size: PatternSize): Pattern {
  const at = penFor(size);
  const { trackBar, steering } = frontBars(at, size);
  return { members: [...arms('radius-arm', at, [-800, 0.18, -10]), trackBar], steering };
}

/** Every layout Pellik can draw from nothing, by id. */
const PATTERNS = {
  'three-link-panhard': threeLinkPanhard,
  'three-link-watts': threeLinkWatts,
  'triangulated-four-link': triangulatedFourLink,
  'parallel-four-link-panhard': parallelFourLink,
  'diagonal-track-bar': diagonalTrackBar,
  'torque-arm-panhard': torqueArm,
  'ladder-bars-panhard': ladderBarsPanhard,
  'ladder-bars-diagonal': ladderBarsDiagonal,
  'truck-arms-panhard': truckArms,
  'leaf-panhard': leafPanhard,
  'leaf-alone': leavesAlone,
  'front-four-link': frontFourLink,
  'front-radius-arms': frontRadiusArms,
  'front-leaf': frontLeaves,
} as const satisfies Record<string, (size: PatternSize) => Pattern>;

export type LayoutId = keyof typeof PATTERNS;
export const LAYOUT_IDS = Object.keys(PATTERNS) as [LayoutId, ...LayoutId[]];

/** A shaft with two joints, both yokes leaning alike: tail of the transmission down, nose of the pinion up. */
function driveshaft(size: PatternSize): Rig['driveshaft'] {
  const at = penFor(size);
  return {
    transmission: at(1280, 0, 90),
    transmissionAngleDeg: -2.5,
    pinion: at(290, 0, 25),
    pinionAngleDeg: -2.5,
  };
}

/** The shaft of a driven front axle, from the box behind it: one yoke looks forward, the other back. */
function frontDriveshaft(size: PatternSize): Rig['driveshaft'] {
  const at = penFor(size);
  return {
    transmission: at(-900, 0, 60),
    transmissionAngleDeg: 3,
    pinion: at(-260, 0, 0),
    pinionAngleDeg: 3,
  };
}

/** A layout at its usual proportions, scaled to a car; of a front axle, with its shaft if it drives and a drag link if its box is on the frame. */
export function layOut(
  layout: LayoutId,
  size: PatternSize,
  front: { driven: boolean; box: 'frame' | 'axle' } = { driven: false, box: 'frame' },
): Pattern {
  const { steering, members } = ofTube(PATTERNS[layout](size), size.tubeOd);
  if (layoutEnd(layout) === 'rear') return { members, driveshaft: driveshaft(size) };
  return {
    members,
    ...(front.box === 'frame' && { steering }),
    ...(front.driven && { driveshaft: frontDriveshaft(size) }),
  };
}

/** Which end of the car a layout is for. */
export const layoutEnd = (layout: LayoutId): Rig['end'] => (layout.startsWith('front-') ? 'front' : 'rear');
