import { SIDES, signOf, type Side } from '@/core/geometry/side';
import { linkHeight, linkOn, swayBarOf, type BarDesign } from '@/core/swaybar/swayBarDesign';
import type { SwayBar } from '@/core/rig/schema';
import type { Point } from '@/core/geometry/vector';

type Axis = 0 | 1 | 2;

/** A place of a sway bar that can be dragged; of its left half, which the right one follows, but for a right link of its own. */
export type BarHandle = {
  id: string;
  label: string;
  at: Point;
  /** the bar with this place moved along some axes to a point; as little else changes as can be */
  move: (to: Point, axes: Axis[]) => BarDesign;
};

/** Shorter than this nothing of a bar can be dragged, mm. */
const LEAST = 20;

export function barHandles(bar: BarDesign): BarHandle[] {
  return bar.stow && !bar.hooked ? [stowHandle(bar, bar.stow)] : handlesAtRide(bar);
}

/** With the links off only the pin they are stowed on is where it is drawn. */
const stowHandle = (bar: BarDesign, stow: NonNullable<BarDesign['stow']>): BarHandle => ({
  id: 'stow',
  label: 'Stow pin',
  at: [stow.ahead, stow.out, stow.height],
  move: (to, axes) => {
    const keys = ['ahead', 'out', 'height'] as const;
    const moved = Object.fromEntries(axes.map((axis) => [keys[axis], to[axis]]));
    return { ...bar, stow: { ...stow, ...moved, out: Math.max(0, axes.includes(1) ? to[1] : stow.out) } };
  },
});

function handlesAtRide(bar: BarDesign): BarHandle[] {
  const built = swayBarOf(bar);
  const eye = built.centreline[0]!;
  const { ahead, height } = bar;
  const half = (y: number) => Math.max(LEAST, 2 * y);
  const moved = (axes: Axis[], of: [Partial<BarDesign>, Partial<BarDesign>, Partial<BarDesign>]): BarDesign =>
    axes.reduce((next, axis) => ({ ...next, ...of[axis] }), bar);

  const dips = bar.dips.flatMap((dip, i): BarHandle[] => {
    const put = (change: Partial<typeof dip>): Partial<BarDesign> => ({
      dips: bar.dips.map((d, k) => (k === i ? { ...d, ...change } : d)),
    });
    const bottom = height - dip.depth;
    const name = bar.dips.length > 1 ? `Dip ${i + 1}` : 'Dip';
    return [
      {
        id: `dip-${i}`,
        label: `${name}, its bottom`,
        at: [ahead, dip.at, bottom],
        move: (to, axes) => {
          // Both ways at once: a dip is one thing of the bar.
          const change = {
            ...(axes.includes(1) && { at: to[1] }),
            ...(axes.includes(2) && { depth: height - to[2] }),
          };
          return { ...bar, ...put(change), ...(axes.includes(0) && { ahead: to[0] }) };
        },
      },
      {
        id: `dip-${i}-side`,
        label: `${name}, its width`,
        at: [ahead, dip.at + dip.width / 2, bottom],
        move: (to, axes) => (axes.includes(1) ? { ...bar, ...put({ width: half(to[1] - dip.at) }) } : bar),
      },
    ];
  });

  return [
    {
      id: 'bushing',
      label: 'Bushing: the bar as a whole',
      at: [ahead, bar.bushings / 2, height],
      move: (to, axes) => moved(axes, [{ ahead: to[0] }, { bushings: half(to[1]) }, { height: to[2] }]),
    },
    {
      id: 'bend',
      label: bar.made === 'arms' ? 'End of the bar' : 'Bend',
      at: [ahead, bar.middle / 2, height],
      move: (to, axes) => moved(axes, [{}, { middle: half(to[1]) }, {}]),
    },
    ...dips,
    {
      id: 'eye',
      label: 'Eye of the arm',
      at: eye,
      move: (to, axes) =>
        moved(axes, [
          {
            arm: Math.max(LEAST, Math.abs(to[0] - ahead)) + bar.hole * bar.pitch,
            pointing: to[0] === ahead ? bar.pointing : to[0] > ahead ? 'ahead' : 'back',
          },
          { eyes: half(to[1]) },
          { rise: to[2] - height },
        ]),
    },
    ...(bar.right ? SIDES : (['left'] as const)).map((side) => footHandle(bar, built, side)),
  ];
}

/** The far end of a link; of both links, unless the right one stands by itself. */
function footHandle(bar: BarDesign, { centreline, links }: SwayBar, side: Side): BarHandle {
  const eye = side === 'left' ? centreline[0]! : centreline.at(-1)!;
  const own = linkOn(bar, side);
  return {
    id: side === 'left' ? 'foot' : 'foot-right',
    label: bar.right ? `Foot of the ${side} end link` : 'Foot of the end link',
    at: links[side],
    move: (to, axes) => {
      const foot = {
        ahead: axes.includes(0) ? to[0] - eye[0] : own.foot.ahead,
        out: axes.includes(1) ? signOf(side) * (to[1] - eye[1]) : own.foot.out,
      };
      const upright = axes.includes(2) ? Math.max(LEAST, Math.abs(to[2] - eye[2])) : linkHeight(own);
      const moved = { foot, link: Math.hypot(upright, foot.ahead, foot.out) };
      return side === 'left' ? { ...bar, ...moved } : { ...bar, right: moved };
    },
  };
}
