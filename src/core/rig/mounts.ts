import { withCoordinate, type Point } from '@/core/geometry/vector';
import { kindOf } from './members/members';
import type { Mount, MountKey } from './members/kind';
import type { Rig } from './schema';

/** What else has points to be measured and moved, beside the members. */
export const STEERING = 'steering';
export const DRIVESHAFT = 'driveshaft';

/** Where a coordinate of a mount is put, mm. `member` may be the drag link or the driveshaft. */
export type MountChange = { member: string; end: MountKey; axis: 0 | 1 | 2; mm: number };

/** Everything that has mounts: the members, the drag link and the driveshaft, by id. */
export const mountOwners = ({ members }: Rig): string[] => [
  ...members.map((m) => m.id),
  STEERING,
  DRIVESHAFT,
];

/** Where a member, the drag link or the driveshaft is mounted, by the words of the trade; none where there is no such thing. */
export function mountsOf(rig: Rig, id: string): Mount[] {
  const member = rig.members.find((m) => m.id === id);
  if (member) return kindOf(member).mounts(member);
  if (id === STEERING && rig.steering) {
    const { pitman, knuckle, kingpin } = rig.steering;
    return [
      { key: 'pitman', name: 'Pitman arm', on: 'chassis', point: pitman },
      { key: 'knuckle', name: 'Knuckle arm', on: 'axle', point: knuckle },
      { key: 'kingpin', name: 'Kingpin, middle', on: 'axle', point: kingpin },
    ];
  }
  if (id === DRIVESHAFT && rig.driveshaft) {
    const { transmission, pinion } = rig.driveshaft;
    // A front axle's shaft runs back from it.
    const [ahead, behind] = ['Front joint', 'Rear joint'];
    const [atBox, atAxle] = rig.end === 'rear' ? [ahead, behind] : [behind, ahead];
    return [
      { key: 'transmission', name: atBox!, on: 'chassis', point: transmission },
      { key: 'pinion', name: atAxle!, on: 'axle', point: pinion },
    ];
  }
  return [];
}

/** Where a coordinate of a mount is now, mm; undefined of what has no such mount. */
export const coordinateNow = (
  rig: Rig,
  { member, end, axis }: Pick<MountChange, 'member' | 'end' | 'axis'>,
): number | undefined => mountsOf(rig, member).find(({ key }) => key === end)?.point[axis];

/** The rig with one coordinate of one mount changed; what has no such mount stays as it is. */
export function withMount(rig: Rig, { member: id, end, axis, mm }: MountChange): Rig {
  const mount = mountsOf(rig, id).find((p) => p.key === end);
  if (!mount) return rig;
  // Mirrored, nought becomes minus nought, which a file does not tell from nought.
  const point = withCoordinate(mount.point, axis, mm + 0);
  if (id === STEERING || id === DRIVESHAFT) return withOwnPoint(rig, id, end, point);
  return {
    ...rig,
    members: rig.members.map((m) => (m.id === id ? kindOf(m).withMount(m, end, point) : m)),
  };
}

const withOwnPoint = (
  rig: Rig,
  part: typeof STEERING | typeof DRIVESHAFT,
  end: MountKey,
  point: Point,
): Rig => ({
  ...rig,
  [part]: { ...rig[part], [end]: point },
});
