import { compileLinkage, Kind, type Linkage } from '@/core/kinematics/linkage';
import { PANHARD } from '@/core/layouts/patterns';
import { memberName } from '@/core/layouts/names';
import { linksOf, partnerOf } from '@/core/rig/members';
import type { LinkMember, Rig } from '@/core/rig/schema';

/** What is set on the ground, in the order in which it is set. */
export const TASKS = ['square', 'pinion', 'centre'] as const;
export type Task = (typeof TASKS)[number];

/**
 * One bar of those that set something, worked together: `sign` says which way it goes when the first is made longer.
 * `turned` tells a bar from what is shifted or shimmed where it is bolted to the frame.
 */
export type LeverBar = {
  id: string;
  name: string;
  sign: 1 | -1;
  row: number;
  length: number;
  kind: 'bar' | 'arm' | 'pin';
};

/** The bars by which a layout is squared, its pinion set, and by which it is centred; empty where none does. */
export function leversOf(rig: Rig): Record<Task, LeverBar[]> {
  const linkage = compileLinkage(rig);
  const centre = centreLever(rig, linkage);
  const rest = linksOf(rig).filter((m) => !centre.some((bar) => bar.id === m.id));
  return { square: squareLever(rig, linkage, rest), pinion: pinionLever(rig, linkage), centre };
}

/** Every bar that sets something, once, though it may have more than one task. */
export function settingBars(rig: Rig): LeverBar[] {
  const levers = leversOf(rig);
  return [...new Map(TASKS.flatMap((task) => levers[task]).map((bar) => [bar.id, bar])).values()];
}

/**
 * Sideways: the bar across the car; the two links of a crank, one out as the other comes in; or, without either, the pair of
 * links that leans most, one out as the other comes in.
 */
function centreLever(rig: Rig, linkage: Linkage): LeverBar[] {
  const links = linksOf(rig);
  const bar = links.find((m) => m.id === PANHARD);
  if (bar) return [linkBar(linkage, bar, 1)];
  const crank = rig.members.find((m) => m.type === 'watts');
  if (crank) {
    const row = linkage.ids.indexOf(crank.id);
    return [
      leverBar(linkage, row, `${crank.id}.top`, 'top link of the crank', 1),
      leverBar(linkage, row + 1, `${crank.id}.bottom`, 'bottom link of the crank', -1),
    ];
  }
  const left = links
    .filter((m) => m.id.endsWith('-left') && partnerOf(m.id))
    .sort((a, b) => spread(b) - spread(a))[0];
  const right = left && links.find((m) => m.id === partnerOf(left.id));
  return left && right ? [linkBar(linkage, left, 1), linkBar(linkage, right, -1)] : [];
}

/** Square: every link on the left longer as its like on the right is made shorter, so that none fights another. */
function squareLever(rig: Rig, linkage: Linkage, links: LinkMember[]): LeverBar[] {
  const bars = links.flatMap((m) =>
    m.id.endsWith('-left')
      ? [linkBar(linkage, m, 1)]
      : m.id.endsWith('-right')
        ? [linkBar(linkage, m, -1)]
        : [],
  );
  const arms = rig.members.flatMap((m) =>
    m.type === 'rigid-arm'
      ? [
          leverBar(
            linkage,
            linkage.ids.indexOf(m.id),
            m.id,
            memberName(m.id),
            m.id.endsWith('-left') ? 1 : -1,
            'arm',
          ),
        ]
      : [],
  );
  return bars.length ? bars : arms;
}

/** Pinion: the uppers, alike; or the front mount of a torque arm, up or down. */
function pinionLever(rig: Rig, linkage: Linkage): LeverBar[] {
  const uppers = linksOf(rig).filter((m) => m.id.startsWith('upper'));
  if (uppers.length) return uppers.map((m) => linkBar(linkage, m, 1));
  const arm = rig.members.find((m) => m.type === 'slider-arm');
  const row = arm ? linkage.ids.indexOf(arm.id) : -1;
  return arm ? [leverBar(linkage, row, arm.id, 'front mount of the torque arm', 1, 'pin')] : [];
}

/** Makes the bars of a lever that much longer (its first; the others by their signs), all mounts where they are. */
export function lengthen(linkage: Linkage, lever: LeverBar[], mm: number): void {
  for (const { row, sign, kind } of lever) {
    if (kind === 'bar') linkage.length[row]! += sign * mm;
    else if (kind === 'pin') linkage.chassis[3 * row + 2]! += sign * mm;
    else {
      // The three residuals of an arm's ball: it stands that much farther ahead of the axle.
      for (let i = row; i < row + 3 && linkage.kind[i] === Kind.along; i++) linkage.axle[3 * i]! += sign * mm;
    }
  }
}

const linkBar = (linkage: Linkage, { id }: LinkMember, sign: 1 | -1): LeverBar =>
  leverBar(linkage, linkage.ids.indexOf(id), id, memberName(id), sign);

const leverBar = (
  linkage: Linkage,
  row: number,
  id: string,
  name: string,
  sign: 1 | -1,
  kind: LeverBar['kind'] = 'bar',
): LeverBar => ({ id, name, sign, row, length: linkage.length[row]!, kind });

const spread = ({ chassis, axle }: LinkMember): number =>
  Math.abs(chassis[1] - axle[1]) / Math.abs(chassis[0] - axle[0]);
