import { compileLinkage, type Linkage } from '@/core/kinematics/linkage';
import { PANHARD } from '@/core/layouts/patterns';
import { memberName } from '@/core/layouts/names';
import { linksOf, partnerOf } from '@/core/rig/members';
import type { LinkMember, Rig } from '@/core/rig/schema';

/** One adjustable bar of those that move the axle sideways: `sign` says which way it goes when the first is lengthened. */
export type LeverBar = { id: string; name: string; sign: 1 | -1; row: number; length: number };

/**
 * The bars by which a layout is centred, turned together: the bar across the car; the two links of a crank, one out as the
 * other comes in; or, without either, the pair of links that leans most, one out as the other comes in. Empty where none does.
 */
export function leverOf(rig: Rig): LeverBar[] {
  const linkage = compileLinkage(rig);
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

/** A linkage whose lever is that much longer than designed (its first bar; the others by their signs), all mounts where they are. */
export function lengthened(rig: Rig, lever: LeverBar[], mm: number): Linkage {
  const linkage = compileLinkage(rig);
  for (const { row, sign } of lever) linkage.length[row]! += sign * mm;
  return linkage;
}

const linkBar = (linkage: Linkage, { id }: LinkMember, sign: 1 | -1): LeverBar =>
  leverBar(linkage, linkage.ids.indexOf(id), id, memberName(id), sign);

const leverBar = (linkage: Linkage, row: number, id: string, name: string, sign: 1 | -1): LeverBar => ({
  id,
  name,
  sign,
  row,
  length: linkage.length[row]!,
});

const spread = ({ chassis, axle }: LinkMember): number =>
  Math.abs(chassis[1] - axle[1]) / Math.abs(chassis[0] - axle[0]);
