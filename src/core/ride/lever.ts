import { distance } from '@/core/kinematics/linkage';
import { PANHARD } from '@/core/layouts/patterns';
import { memberName } from '@/core/layouts/names';
import { withMember } from '@/core/locate/lateralBar';
import { linksOf, partnerOf } from '@/core/rig/members';
import type { LinkMember, Point, Rig, Watts } from '@/core/rig/schema';

/** One adjustable bar of those that move the axle sideways: `sign` says which way it goes when the first is lengthened. */
type LeverBar = { id: string; name: string; sign: 1 | -1; length: number };

/** What moves an axle sideways: bars turned together, and what a rig becomes when the first is lengthened by so many mm. */
export type Lever = { bars: LeverBar[]; lengthened: (rig: Rig, mm: number) => Rig };

/**
 * The bars by which a layout is centred: the bar across the car; the two links of a crank, one out as the other comes in;
 * or, without either, the pair of links that leans most, one out as the other comes in.
 */
export function leverOf(rig: Rig): Lever | null {
  const links = linksOf(rig);
  const bar = links.find((m) => m.id === PANHARD);
  if (bar) return { bars: [leverBar(bar, 1)], lengthened: (r, mm) => longer(r, bar, mm) };
  const crank = rig.members.find((m) => m.type === 'watts');
  if (crank) return crankLever(crank);
  const left = links
    .filter((m) => m.id.endsWith('-left') && partnerOf(m.id))
    .sort((a, b) => spread(b) - spread(a))[0];
  const right = left && links.find((m) => m.id === partnerOf(left.id));
  if (!left || !right) return null;
  return {
    bars: [leverBar(left, 1), leverBar(right, -1)],
    lengthened: (r, mm) => longer(longer(r, left, mm), right, -mm),
  };
}

const leverBar = (m: LinkMember, sign: 1 | -1): LeverBar => ({
  id: m.id,
  name: memberName(m.id),
  sign,
  length: designed(m),
});

const designed = (m: LinkMember): number => m.length ?? distance(m.chassis, m.axle);

/** A rig with a bar that much longer than it was designed, its ends where they are. */
const longer = (rig: Rig, bar: LinkMember, mm: number): Rig =>
  withMember(rig, bar.id, (m) => ({ ...m, length: designed(bar) + mm }));

const spread = ({ chassis, axle }: LinkMember): number =>
  Math.abs(chassis[1] - axle[1]) / distance(chassis, axle);

/** A link of a crank made longer does what its far end moved away along it would do. */
function crankLever(crank: Watts): Lever {
  const length = (end: 'top' | 'bottom') => distance(crank.crank[end], crank.ends[end]);
  const away = (m: Watts, end: 'top' | 'bottom', mm: number): Point => {
    const [from, to] = [m.crank[end], m.ends[end]];
    return to.map((v, k) => v + (mm * (v - from[k]!)) / distance(from, to)) as Point;
  };
  return {
    bars: [
      { id: `${crank.id}.top`, name: 'top link of the crank', sign: 1, length: length('top') },
      { id: `${crank.id}.bottom`, name: 'bottom link of the crank', sign: -1, length: length('bottom') },
    ],
    // The eye on the frame stays; the crank is pushed the other way by as much.
    lengthened: (rig, mm) => ({
      ...rig,
      members: rig.members.map((m) =>
        m.id === crank.id && m.type === 'watts'
          ? { ...m, ends: { top: away(m, 'top', -mm), bottom: away(m, 'bottom', mm) } }
          : m,
      ),
    }),
  };
}
