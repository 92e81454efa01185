import * as z from 'zod/mini';
import type { MemberKind } from './kind';
import { leaf, leafSchema } from './leaf';
import { link, linkSchema, type LinkMember } from './link';
import { rigidArm, rigidArmSchema } from './rigidArm';
import { sliderArm, sliderArmSchema } from './sliderArm';
import { watts, wattsSchema } from './watts';

/** What can hold an axle. */
export const memberSchema = z.discriminatedUnion('type', [
  linkSchema,
  sliderArmSchema,
  rigidArmSchema,
  wattsSchema,
  leafSchema,
]);
export type Member = z.infer<typeof memberSchema>;

const KINDS: { [T in Member['type']]: MemberKind<Extract<Member, { type: T }>> } = {
  link,
  'slider-arm': sliderArm,
  'rigid-arm': rigidArm,
  watts,
  leaf,
};

/** All that tells a member's type from the others. */
export const kindOf = (member: Member): MemberKind<Member> =>
  KINDS[member.type] as unknown as MemberKind<Member>;

export const isLink = (member: Member): member is LinkMember => member.type === 'link';

/** The two-ended bars among members: what can be moved by its ends, cut to length, and hit by something. */
export const linksOf = ({ members }: { members: Member[] }): LinkMember[] => members.filter(isLink);
