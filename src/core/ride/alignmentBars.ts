import { compileLinkage, type Linkage } from '@/core/kinematics/solver/linkage';
import type { Adjustable } from '@/core/rig/members/kind';
import { kindOf, type Member } from '@/core/rig/members/members';
import { memberName } from '@/core/rig/names';
import {
  armsOf,
  cranksOf,
  lateralBarOf,
  leaningPair,
  lengthwiseLinks,
  pairedSide,
  upperLinks,
} from '@/core/rig/roles';
import type { Rig } from '@/core/rig/schema';

/** What is set on the ground, in the order in which it is set. */
export const TASKS = ['square', 'pinion', 'centre'] as const;
export type Task = (typeof TASKS)[number];

/**
 * One bar of those that set something, worked together: `sign` says which way it goes when the first is made longer; `by`
 * tells a bar from an arm whose foot is shifted and a pin that is shimmed. `row` is its constraint's in the linkage.
 */
export type AlignmentBar = {
  id: string;
  name: string;
  sign: 1 | -1;
  row: number;
  length: number;
  by: Adjustable['by'];
};

/** The bars by which a layout is squared, its pinion set, and by which it is centred; empty where none does. */
export function alignmentBars(rig: Rig): Record<Task, AlignmentBar[]> {
  const linkage = compileLinkage(rig);
  const bar = (member: Member, sign: 1 | -1, n = 0) => alignmentBar(rig, linkage, member, sign, n);
  return { square: squareBars(rig, bar), pinion: pinionBars(rig, bar), centre: centreBars(rig, bar) };
}

/** Every bar that sets something, once, though it may have more than one task. */
export function settingBars(rig: Rig): AlignmentBar[] {
  const bars = alignmentBars(rig);
  return [...new Map(TASKS.flatMap((task) => bars[task]).map((bar) => [bar.id, bar])).values()];
}

type Make = (member: Member, sign: 1 | -1, n?: number) => AlignmentBar;

/**
 * Sideways: the lateral bar; the two links of a crank, one out as the other comes in; or, without either, the pair of links
 * that leans most, one out as the other comes in.
 */
function centreBars(rig: Rig, bar: Make): AlignmentBar[] {
  const lateral = lateralBarOf(rig);
  if (lateral) return [bar(lateral, 1)];
  const [crank] = cranksOf(rig);
  if (crank) return kindOf(crank).adjustables.map((_, n) => bar(crank, n === 0 ? 1 : -1, n));
  const pair = leaningPair(rig);
  return pair ? [bar(pair[0], 1), bar(pair[1], -1)] : [];
}

/** Square: every link on the left longer as its like on the right is made shorter, so that none fights another; or the feet of arms. */
function squareBars(rig: Rig, bar: Make): AlignmentBar[] {
  const centring = new Set(centreBars(rig, bar).map(({ id }) => id));
  const paired = (members: Member[]) =>
    members.flatMap((m) => {
      const side = pairedSide(m.id);
      return side ? [bar(m, side === 'left' ? 1 : -1)] : [];
    });
  const links = paired(lengthwiseLinks(rig).filter((m) => !centring.has(m.id)));
  return links.length ? links : paired(armsOf(rig)).filter(({ by }) => by === 'foot');
}

/** Pinion: the uppers, alike; or the front mount of a torque arm, up or down. */
function pinionBars(rig: Rig, bar: Make): AlignmentBar[] {
  const uppers = upperLinks(rig);
  if (uppers.length) return uppers.map((m) => bar(m, 1));
  return armsOf(rig)
    .map((m) => bar(m, 1))
    .filter(({ by }) => by === 'pin')
    .slice(0, 1);
}

function alignmentBar(
  { members, end }: Rig,
  linkage: Linkage,
  member: Member,
  sign: 1 | -1,
  n: number,
): AlignmentBar {
  const { by, constraint, part } = kindOf(member).adjustables[n]!;
  const before = members.indexOf(member);
  const row = linkage.rowsOfMember.slice(0, before).reduce((a, b) => a + b, 0) + constraint;
  const name = memberName(member.id, end);
  return {
    id: part ? `${member.id}.${part}` : member.id,
    name: part ? `${part} link of the ${name}` : by === 'pin' ? `front mount of the ${name}` : name,
    sign,
    row,
    length: linkage.length[row]!,
    by,
  };
}

/** Makes bars that much longer (the first; the others by their signs), all mounts where they are. */
export function lengthen(linkage: Linkage, bars: AlignmentBar[], mm: number): void {
  for (const { row, sign, by } of bars) {
    if (by === 'length') linkage.length[row]! += sign * mm;
    else if (by === 'pin') linkage.chassis[3 * row + 2]! += sign * mm;
    // The residuals of an arm's ball all hang on where it stands ahead of the axle.
    else for (let i = row; i < row + 3; i++) linkage.axle[3 * i]! += sign * mm;
  }
}
