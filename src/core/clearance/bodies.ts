import { toRadians } from '@/core/geometry/angle';
import { minus, unit, type Point } from '@/core/geometry/vector';
import {
  type Body as Carrier,
  type MemberBody,
  onAxle,
  onChassis,
  type OutlinePoint,
} from '@/core/rig/members/kind';
import { kindOf } from '@/core/rig/members/members';
import { mountsOf } from '@/core/rig/mounts';
import { BODY_IDS, type Obstacle, type Rig } from '@/core/rig/schema';
import { SIDES, signOf } from '@/core/geometry/side';

/** Something round and long: from its line out, mm. */
export type Tube = MemberBody & { kind: 'tube' };

/**
 * A body that is not round all over, mm: it is looked at in the axes of what carries it. A box by its low and its high corner; a
 * cylinder with flat ends by its middle, its axis (unit), half its length and its radius.
 */
export type Solid =
  | { kind: 'box'; min: Point; max: Point }
  | { kind: 'cylinder'; centre: Point; axis: Point; half: number; radius: number };

/**
 * A body of a rig by its id: what carries it (`both` where it reaches from one to the other, as only something long does), where it
 * is mounted, and its shape at ride height, mm. `obstacle` is something the builder put in the way; `turned` a wheel that is steered
 * against the axle that carries it.
 */
export type Body = { id: string; mounts: OutlinePoint[]; obstacle: boolean; turned?: boolean } & (
  { on: 'both'; shape: Tube } | { on: Carrier; shape: Tube | Solid }
);

/**
 * Everything of a rig that takes room, in the order of its file.
 *
 * @param lockDeg how far the front wheels are steered, degrees, left positive; the drag link, which goes with them, is then left out
 */
export function bodiesOf(rig: Rig, lockDeg = 0): Body[] {
  const { members, driveshaft, steering, springs = [], shocks = [], tires, obstacles = [] } = rig;
  const strut = ({ id, chassis, axle, od }: { id: string; chassis: Point; axle: Point; od?: number }) => {
    const ends = [onChassis(chassis), onAxle(axle)];
    return od === undefined ? [] : [tube(id, { od, line: ends }, ends)];
  };
  return [
    ...members.flatMap((m) => {
      const body = kindOf(m).body(m, rig);
      return body ? [tube(m.id, body, mountsOf(rig, m.id))] : [];
    }),
    ...(driveshaft
      ? strut({
          id: BODY_IDS.driveshaft,
          chassis: driveshaft.transmission,
          axle: driveshaft.pinion,
          od: driveshaft.od,
        })
      : []),
    ...(steering && lockDeg === 0
      ? strut({ id: BODY_IDS.dragLink, chassis: steering.pitman, axle: steering.knuckle, od: steering.od })
      : []),
    ...springs.flatMap(strut),
    ...shocks.flatMap(strut),
    ...(tires ? tiresOf(rig, tires, lockDeg) : []),
    ...obstacles.map(obstacleBody),
  ];
}

const tube = (id: string, body: MemberBody, mounts: OutlinePoint[]): Body => {
  const [first, ...rest] = body.line.map((p) => p.on);
  const on = rest.some((other) => other !== first) ? 'both' : first!;
  return { id, on, mounts, shape: { kind: 'tube', ...body }, obstacle: false };
};

const tiresOf = (
  { track, tireRadius, steering }: Rig,
  { width, radius = tireRadius }: NonNullable<Rig['tires']>,
  lockDeg: number,
) =>
  SIDES.map((side): Body => {
    // Each wheel turns about a vertical through its own kingpin.
    const [c, s] = [Math.cos(toRadians(lockDeg)), Math.sin(toRadians(lockDeg))];
    const [kx, ky] = steering
      ? [steering.kingpin[0], signOf(side) * Math.abs(steering.kingpin[1])]
      : [0, (signOf(side) * track) / 2];
    const [dx, dy] = [-kx, (signOf(side) * track) / 2 - ky];
    const centre: Point = [kx + c * dx - s * dy, ky + s * dx + c * dy, tireRadius];
    const axis: Point = [-s, c, 0];
    const shape = { kind: 'cylinder' as const, centre, axis, half: width / 2, radius };
    return {
      id: BODY_IDS.tire[side],
      on: 'axle',
      mounts: [],
      shape,
      obstacle: false,
      turned: lockDeg !== 0 || undefined,
    };
  });

const obstacleBody = (o: Obstacle): Body => ({
  id: o.id,
  on: o.on,
  mounts: [],
  shape: shapeOf(o),
  obstacle: true,
});

function shapeOf(o: Obstacle): Tube | Solid {
  const round = (points: Point[], radius: number): Tube => ({
    kind: 'tube',
    od: 2 * radius,
    line: points.map((point) => ({ on: o.on, point })),
  });
  switch (o.shape) {
    case 'box':
      return { kind: 'box', min: o.min, max: o.max };
    case 'sphere':
      return round([o.centre, o.centre], o.radius);
    case 'capsule':
      return round([o.from, o.to], o.radius);
    case 'cylinder': {
      const run = minus(o.to, o.from);
      const length = Math.hypot(...run);
      const centre = o.from.map((v, k) => v + run[k]! / 2) as Point;
      return { kind: 'cylinder', centre, axis: unit(run), half: length / 2, radius: o.radius };
    }
  }
}
