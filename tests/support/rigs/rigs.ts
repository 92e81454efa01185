import fc from 'fast-check';
import type { Rig } from '@/core/rig/schema';
import type { Point } from '@/core/geometry/vector';

/** Three links and a panhard bar, plain round figures. */
export function threeLink(change: Partial<Rig> = {}): Rig {
  return {
    format: 'pellik.rig',
    version: 1,
    end: 'rear',
    tireRadius: 330,
    track: 1470,
    wheelbase: 2800,
    cgHeight: 540,
    members: [
      { type: 'link', id: 'lower-left', chassis: [620, 480, 300], axle: [10, 520, 270] },
      { type: 'link', id: 'lower-right', chassis: [620, -480, 300], axle: [10, -520, 270] },
      { type: 'link', id: 'upper', chassis: [520, 60, 470], axle: [30, 60, 500] },
      { type: 'link', id: 'panhard', chassis: [-170, 470, 370], axle: [-170, -455, 352] },
    ],
    ...change,
  };
}

/** The rig with every point of it carried somewhere. */
export function carried(rig: Rig, to: (p: Point) => Point): Rig {
  const walk = (value: unknown): unknown => {
    if (Array.isArray(value)) {
      const point = value.length === 3 && value.every((v) => typeof v === 'number');
      return point ? to(value as Point) : value.map(walk);
    }
    if (typeof value !== 'object' || value === null) return value;
    return Object.fromEntries(
      Object.entries(value).map(([k, v]) => [k, k === 'axis' || k === 'rate' ? v : walk(v)]),
    );
  };
  return walk(rig) as Rig;
}

/** The same with one member's ends elsewhere. */
export function withEnds(
  rig: Rig,
  id: string,
  ends: { chassis?: Point; axle?: Point; length?: number },
): Rig {
  return { ...rig, members: rig.members.map((m) => (m.id === id ? { ...m, ...ends } : m)) };
}

const about = (centre: number, spread: number) =>
  fc.double({ min: centre - spread, max: centre + spread, noNaN: true });
const point = (x: number, y: number, z: number, spread = 60): fc.Arbitrary<Point> =>
  fc.tuple(about(x, spread), about(y, spread), about(z, spread));

/** Three links and a panhard bar with every mount somewhere else: lopsided, out of level, out of plane. */
export const randomThreeLink: fc.Arbitrary<Rig> = fc
  .record({
    tireRadius: about(330, 60),
    track: about(1470, 150),
    ends: fc.tuple(
      point(620, 480, 300),
      point(10, 520, 260),
      point(620, -480, 300),
      point(10, -520, 260),
      point(520, 40, 470),
      point(30, 40, 520),
      point(-170, 470, 370),
      point(-170, -455, 352),
    ),
  })
  .map(({ tireRadius, track, ends }) =>
    threeLink({
      tireRadius,
      track,
      members: ['lower-left', 'lower-right', 'upper', 'panhard'].map((id, i) => ({
        type: 'link' as const,
        id,
        chassis: ends[2 * i]!,
        axle: ends[2 * i + 1]!,
      })),
    }),
  );

export const randomTravel = fc.record({ left: about(0, 90), right: about(0, 90) });
