import type { LinkMember, Member, Rig } from './schema';

export const isLink = (member: Member): member is LinkMember => member.type === 'link';

/** The two-ended bars of a rig: what can be moved by its ends, cut to length, and hit by something. */
export const linksOf = (rig: Rig): LinkMember[] => rig.members.filter(isLink);
