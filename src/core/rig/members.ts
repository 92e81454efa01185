import type { LinkMember, Member, Point, Rig, Watts } from './schema';

export const isLink = (member: Member): member is LinkMember => member.type === 'link';

/** The two-ended bars of a rig: what can be moved by its ends, cut to length, and hit by something. */
export const linksOf = (rig: Rig): LinkMember[] => rig.members.filter(isLink);

/** What else has points to be measured and moved, beside the members. */
export const STEERING = 'steering';
export const DRIVESHAFT = 'driveshaft';

/** The points by which members, drag link and driveshaft are mounted. */
export type MountKey =
  | 'chassis'
  | 'axle'
  | 'frontEye'
  | 'seat'
  | 'rearEye'
  | 'pivot'
  | 'crank.top'
  | 'crank.bottom'
  | 'ends.top'
  | 'ends.bottom'
  | 'pitman'
  | 'knuckle'
  | 'kingpin'
  | 'transmission'
  | 'pinion';

type Body = 'chassis' | 'axle';
export type Mount = { key: MountKey; name: string; on: Body; point: Point };

/** Where a coordinate of a mount is put, mm. `member` may be the drag link or the driveshaft. */
export type MountChange = { member: string; end: MountKey; axis: 0 | 1 | 2; mm: number };

/** Where a member, the drag link or the driveshaft is mounted, by the words of the trade. */
export function mountsOf(rig: Rig, id: string): Mount[] {
  const member = rig.members.find((m) => m.id === id);
  if (member) return memberMounts(member);
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
    return [
      { key: 'transmission', name: 'Front joint', on: 'chassis', point: transmission },
      { key: 'pinion', name: 'Rear joint', on: 'axle', point: pinion },
    ];
  }
  return [];
}

function memberMounts(member: Member): Mount[] {
  switch (member.type) {
    case 'link':
      return [
        { key: 'chassis', name: 'Frame end', on: 'chassis', point: member.chassis },
        { key: 'axle', name: 'Axle end', on: 'axle', point: member.axle },
      ];
    case 'slider-arm':
      return [{ key: 'chassis', name: 'Front pin', on: 'chassis', point: member.chassis }];
    case 'rigid-arm':
      return [{ key: 'chassis', name: 'Front joint', on: 'chassis', point: member.chassis }];
    case 'leaf':
      return [
        { key: 'frontEye', name: 'Front eye', on: 'chassis', point: member.frontEye },
        { key: 'seat', name: 'Axle seat', on: 'axle', point: member.seat },
        { key: 'rearEye', name: 'Rear eye', on: 'chassis', point: member.rearEye },
      ];
    case 'watts':
      return crankMounts(member);
  }
}

function crankMounts({ pivotOn, pivot, crank, ends }: Watts): Mount[] {
  const [near, far]: Body[] = pivotOn === 'axle' ? ['axle', 'chassis'] : ['chassis', 'axle'];
  return [
    { key: 'pivot', name: 'Crank pivot', on: near!, point: pivot },
    { key: 'crank.top', name: 'Crank, top', on: near!, point: crank.top },
    { key: 'crank.bottom', name: 'Crank, bottom', on: near!, point: crank.bottom },
    { key: 'ends.top', name: 'Top link, far end', on: far!, point: ends.top },
    { key: 'ends.bottom', name: 'Bottom link, far end', on: far!, point: ends.bottom },
  ];
}

/** The rig with one coordinate of one mount changed; what has no such mount stays as it is. */
export function withMount(rig: Rig, { member: id, end, axis, mm }: MountChange): Rig {
  const mount = mountsOf(rig, id).find((p) => p.key === end);
  if (!mount) return rig;
  const point = mount.point.map((v, k) => (k === axis ? mm : v)) as Point;
  if (!rig.members.some((m) => m.id === id)) {
    const part = id === STEERING ? 'steering' : 'driveshaft';
    return { ...rig, [part]: { ...rig[part], [end]: point } };
  }
  return { ...rig, members: rig.members.map((m) => (m.id === id ? withPoint(m, end, point) : m)) };
}

function withPoint(member: Member, end: MountKey, point: Point): Member {
  if (member.type !== 'watts') return { ...member, [end]: point } as Member;
  if (end === 'pivot') {
    // A crank is one part: moved by its pivot, it moves whole.
    const by = point.map((v, k) => v - member.pivot[k]!);
    const shift = (p: Point) => p.map((v, k) => v + by[k]!) as Point;
    const crank = { top: shift(member.crank.top), bottom: shift(member.crank.bottom) };
    return { ...member, pivot: point, crank };
  }
  const [part, place] = end.split('.') as ['crank' | 'ends', 'top' | 'bottom'];
  return { ...member, [part]: { ...member[part], [place]: point } };
}

/** The member that mirrors another across the car: `lower-left` and `lower-right`. */
export function partnerOf(id: string): string | null {
  if (id.endsWith('-left')) return id.replace(/-left$/, '-right');
  if (id.endsWith('-right')) return id.replace(/-right$/, '-left');
  return null;
}

/** A member and its mirror image, where its name says that it has one. */
export function pairOf(id: string): string[] {
  const partner = partnerOf(id);
  return partner ? [id, partner] : [id];
}
