import type { Point, Rig, Spring, SwayBar } from '@/core/rig/schema';

/** A pair of springs as a builder would say where they stand; mm, N/mm. */
export type SpringDesign = {
  rate: number;
  /** from the centreline, both ends */
  out: number;
  /** off the floor */
  top: number;
  bottom: number;
  /** ahead of the axle */
  ahead: number;
};

/** A sway bar as a builder would say it; mm. */
export type BarDesign = {
  mountedOn: 'chassis' | 'axle';
  od: number;
  /** null: solid */
  wall: number | null;
  /** eye to eye, and the straight middle between the two bends */
  eyes: number;
  middle: number;
  /** along the car, from the middle to the first hole */
  arm: number;
  /** the hole in use, counted from the end; each is `pitch` nearer to the middle */
  hole: number;
  pitch: number;
  /** arms point ahead or back */
  pointing: 'ahead' | 'back';
  /** where the middle lies: ahead of the axle, off the floor */
  ahead: number;
  height: number;
  /** between the two bushings */
  bushings: number;
  /** end link, eye centre to eye centre; down to the other body where the bar is on the frame, up where it is on the axle */
  link: number;
  /** a dip of the middle downward (negative: a hump), for an exhaust or the differential: how deep, how wide at its bottom */
  dip: { depth: number; width: number };
};

/** Spring steel, N/mm². */
const STEEL = { E: 205_000, G: 79_300 };

export const springsOf = ({ rate, out, top, bottom, ahead }: SpringDesign): Spring[] =>
  (['left', 'right'] as const).map((id) => {
    const y = id === 'left' ? out : -out;
    return { id, rate, chassis: [ahead, y, top], axle: [ahead, y, bottom] };
  });

/** Arm from the middle to the hole in use, mm. */
export const armInUse = ({ arm, hole, pitch }: BarDesign): number => arm - hole * pitch;

/** The bar as a rig states it: its centreline from eye to eye, bushings and the far ends of its links. */
export function swayBarOf(design: BarDesign): SwayBar {
  const { mountedOn, od, wall, eyes, middle, pointing, ahead, height, bushings, link, dip } = design;
  const tip = ahead + (pointing === 'ahead' ? 1 : -1) * armInUse(design);
  const side = (y: number): Point[] => [
    [tip, (y * eyes) / 2, height],
    [ahead, (y * middle) / 2, height],
    ...(dip.depth === 0
      ? []
      : ([
          [ahead, y * (dip.width / 2 + Math.abs(dip.depth)), height],
          [ahead, (y * dip.width) / 2, height - dip.depth],
        ] as Point[])),
  ];
  const far = (y: number): Point => [tip, (y * eyes) / 2, height + (mountedOn === 'chassis' ? -link : link)];
  const held = (y: number): Point => [ahead, (y * bushings) / 2, height];
  return {
    id: 'sway bar',
    mountedOn,
    od,
    wall,
    centreline: [...side(1), ...side(-1).reverse()],
    bushings: [held(1), held(-1)],
    links: { left: far(1), right: far(-1) },
    ...STEEL,
  };
}

/** A bar to start from, of a size that suits the rig. */
export function usualBar({ track, tireRadius }: Rig): BarDesign {
  return {
    mountedOn: 'chassis',
    od: 22.225,
    wall: null,
    eyes: Math.round(0.62 * track),
    middle: Math.round(0.58 * track),
    arm: 230,
    hole: 0,
    pitch: 25.4,
    pointing: 'back',
    ahead: 260,
    height: tireRadius + 60,
    bushings: Math.round(0.48 * track),
    link: 130,
    dip: { depth: 0, width: 200 },
  };
}

export const usualSprings = ({ track, tireRadius }: Rig): SpringDesign => ({
  rate: 26,
  out: Math.round(0.33 * track),
  top: tireRadius + 330,
  bottom: tireRadius - 40,
  ahead: -60,
});

/** Common stock of round bar and tube by inch sizes: diameter and wall, mm; null: solid. Standard sizes, from memory. */
export const STOCK: { od: number; wall: number | null }[] = [
  ...[5 / 8, 3 / 4, 7 / 8, 1, 9 / 8, 5 / 4].map((inch) => ({ od: inch * 25.4, wall: null })),
  ...(
    [
      [1, 0.12],
      [1.25, 0.12],
      [1.25, 0.188],
      [1.5, 0.25],
    ] as const
  ).map(([od, wall]) => ({ od: od * 25.4, wall: wall * 25.4 })),
];
