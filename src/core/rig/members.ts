import type { LinkMember, Member, Point, Rig } from './schema';

export const isLink = (member: Member): member is LinkMember => member.type === 'link';

/** The two-ended bars of a rig: what can be moved by its ends, cut to length, and hit by something. */
export const linksOf = (rig: Rig): LinkMember[] => rig.members.filter(isLink);

/** The points by which members are mounted. */
export type MountKey = 'chassis' | 'axle' | 'frontEye' | 'seat' | 'rearEye';

export type Mount = { key: MountKey; name: string; on: 'chassis' | 'axle'; point: Point };

/** Where a member is mounted, by the words of the trade. A crank is set by its links, and is not listed. */
export function mountsOf(member: Member): Mount[] {
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
      return [];
  }
}

/** The rig with one coordinate of one mount changed; a member without that mount stays as it is. */
export function withMount(
  rig: Rig,
  change: { member: string; end: MountKey; axis: 0 | 1 | 2; mm: number },
): Rig {
  const members = rig.members.map((m) => {
    const mount = m.id === change.member && mountsOf(m).find((p) => p.key === change.end);
    if (!mount) return m;
    const point = mount.point.map((v, k) => (k === change.axis ? change.mm : v));
    return { ...m, [change.end]: point } as Member;
  });
  return { ...rig, members };
}

/** The member that mirrors another across the car: `lower-left` and `lower-right`. */
export function partnerOf(id: string): string | null {
  if (id.endsWith('-left')) return id.replace(/-left$/, '-right');
  if (id.endsWith('-right')) return id.replace(/-right$/, '-left');
  return null;
}
