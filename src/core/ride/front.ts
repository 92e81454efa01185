import { PANHARD } from '@/core/layouts/patterns';
import { linksOf } from '@/core/rig/members';
import type { Point, Rig } from '@/core/rig/schema';
import { distance } from '@/core/vector';

/** A bar seen from behind: its length, mm, and how far its left end stands up, degrees. */
export type SeenBar = { length: number; tiltDeg: number };

/** Drag link and track bar of a front axle, to be alike: else every bump steers. Null where one is missing. */
export function dragLinkAgainstBar(rig: Rig): { dragLink: SeenBar; bar: SeenBar } | null {
  const bar = linksOf(rig).find((m) => m.id === PANHARD);
  if (!bar || !rig.steering || rig.end !== 'front') return null;
  const { pitman, knuckle } = rig.steering;
  return { dragLink: seen(pitman, knuckle), bar: seen(bar.chassis, bar.axle) };
}

function seen(a: Point, b: Point): SeenBar {
  const [left, right] = a[1] > b[1] ? [a, b] : [b, a];
  const across = Math.hypot(left[1] - right[1], left[0] - right[0]);
  return {
    length: distance(a, b),
    tiltDeg: (Math.atan2(left[2] - right[2], across) * 180) / Math.PI,
  };
}
