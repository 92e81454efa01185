import { distance } from '@/core/geometry/vector';
import { isLink, kindOf, linksOf, type Member } from './members/members';
import type { LinkMember } from './members/link';
import type { Rig } from './schema';

/**
 * What a member does for the axle, from where it stands. Ids are read here and in `names.ts` alone: a bar called `panhard` is
 * the lateral bar whatever its slope, and members called `…-left` and `…-right` are each other's mirror image.
 */

/** The id of the bar that a layout lays out as its lateral bar. */
export const PANHARD = 'panhard';

/** Least share of its length that a bar must run across the car to be the one that holds the axle sideways. */
const ACROSS = 0.5;
/** A second bar nearly as much across, leaning the other way, makes a pair of the two. */
const ALIKE = 0.8;

type Members = Pick<Rig, 'members'>;

/**
 * The lateral bar: the one so named, else the one that runs most nearly across the car. Null where a crank holds the axle
 * sideways, or a pair of links that lean against each other.
 */
export function lateralBarOf(rig: Members): LinkMember | null {
  const links = linksOf(rig);
  const named = links.find((m) => m.id === PANHARD);
  if (named) return named;
  const [best, next] = [...links].sort((a, b) => acrossness(b) - acrossness(a));
  if (!best || acrossness(best) < ACROSS) return null;
  const paired = next && acrossness(next) > ALIKE * acrossness(best) && lean(next) !== lean(best);
  return paired ? null : best;
}

/** Share of its length that a bar runs across the car, 0 to 1. */
const acrossness = ({ chassis, axle }: LinkMember): number =>
  Math.abs(chassis[1] - axle[1]) / distance(chassis, axle);
const lean = ({ chassis, axle }: LinkMember): number => Math.sign(axle[1] - chassis[1]);

/** Members that hold the axle sideways by themselves, such as a crank with its two links. */
export const cranksOf = ({ members }: Members): Member[] => members.filter((m) => kindOf(m).acrossTheCar);

/** The links that hold the axle lengthwise: all but the lateral bar. */
export function lengthwiseLinks(rig: Members): LinkMember[] {
  const across = lateralBarOf(rig);
  return linksOf(rig).filter((m) => m !== across);
}

/** Links whose axle end stands above the axle's own middle: made longer, they tip the pinion's nose up. */
export const upperLinks = (rig: Members & Pick<Rig, 'tireRadius'>): LinkMember[] =>
  lengthwiseLinks(rig).filter((m) => m.axle[2] > rig.tireRadius);

/** The left and the right link of the pair that leans most against each other, seen from above; null without a pair. */
export function leaningPair(rig: Members): [left: LinkMember, right: LinkMember] | null {
  const links = linksOf(rig);
  const pairs = links.flatMap((left): [LinkMember, LinkMember][] => {
    const right = isLeft(left) && links.find((m) => m.id === partnerOf(left.id));
    return right ? [[left, right]] : [];
  });
  return pairs.sort(([a], [b]) => planLean(b) - planLean(a))[0] ?? null;
}

/** How far a link leans out of straight ahead, seen from above: across over along. */
const planLean = ({ chassis, axle }: LinkMember): number =>
  Math.abs(chassis[1] - axle[1]) / Math.abs(chassis[0] - axle[0]);

/** Arms rigid to the axle. */
export const armsOf = ({ members }: Members): Member[] => members.filter((m) => kindOf(m).pin);

/** What holds an axle and is neither a bar nor a spring: arms and cranks. */
export const armsAndCranksOf = ({ members }: Members): Member[] =>
  members.filter((m) => !isLink(m) && !kindOf(m).spring);

/** Leaf springs: members that carry the car as well as hold its axle. */
export const leavesOf = ({ members }: Members): Member[] => members.filter((m) => kindOf(m).spring);

/** The member that mirrors another across the car. */
export function partnerOf(id: string): string | null {
  if (id.endsWith('-left')) return id.replace(/-left$/, '-right');
  if (id.endsWith('-right')) return id.replace(/-right$/, '-left');
  return null;
}

/** Which side of the car a member of a pair is on; null for one that stands by itself. */
export const pairedSide = (id: string): 'left' | 'right' | null =>
  id.endsWith('-left') ? 'left' : id.endsWith('-right') ? 'right' : null;
const isLeft = ({ id }: { id: string }) => pairedSide(id) === 'left';

/** A member and its mirror image, where its name says that it has one. */
export function pairOf(id: string): string[] {
  const partner = partnerOf(id);
  return partner ? [id, partner] : [id];
}

/** The rig with its link `id` replaced. */
export const withLink = (rig: Rig, id: string, change: (link: LinkMember) => LinkMember): Rig => ({
  ...rig,
  members: rig.members.map((m) => (m.id === id && isLink(m) ? change(m) : m)),
});
