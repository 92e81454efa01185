import type { Hand, KitPart } from '@/core/job/slices/record';
import { LIMITS } from '@/core/materials/limits';
import { sayLength } from '@/core/units/length';
import type { Tape } from '@/core/units/tape';
import type { Verdict } from '@/core/verdict/verdict';

/** A list to check in against, from the bars this job has: each with one right-hand and one left-hand end. */
export function usualParts(bars: { id: string; name: string; tube: number }[]): KitPart[] {
  const n = bars.length;
  const each = (id: string, name: string, wanted: number, hand?: Hand): KitPart => ({
    id,
    name,
    wanted,
    hand,
  });
  return [
    each('rod-rh', 'Rod end', n, 'right'),
    each('rod-lh', 'Rod end', n, 'left'),
    each('nut-rh', 'Jam nut', n, 'right'),
    each('nut-lh', 'Jam nut', n, 'left'),
    each('bung-rh', 'Threaded bung', n, 'right'),
    each('bung-lh', 'Threaded bung', n, 'left'),
    each('bolt-long', 'Bolt, the longer, for the thicker brackets', n),
    each('bolt-short', 'Bolt, the shorter', n),
    each('spacer', 'Spacer beside a joint', 4 * n),
    ...bars.map(({ id, name, tube }): KitPart => ({
      id: `tube-${id}`,
      name: `Tube, ${name}`,
      wanted: 1,
      length: Math.max(0, tube),
    })),
  ];
}

/** Whether a line was counted and, where it has them, its hand and length looked at. */
export const isCheckedIn = (p: KitPart): boolean =>
  p.got !== undefined && (!p.hand || p.handSeen !== undefined) && (!p.length || p.lengthSeen !== undefined);

/** What is missing, wrong or short. */
export function partsChecks(parts: KitPart[], tape: Tape): Verdict[] {
  return parts.flatMap((p): Verdict[] => {
    const name = p.hand ? `${p.name}, ${p.hand}-hand` : p.name;
    const found: Verdict[] = [];
    const say = (state: Verdict['state'], id: string, title: string, reason: string, cure: string) =>
      found.push({ id: `part-${p.id}-${id}`, state, title, reason, remedies: [{ text: cure }] });
    if (p.got !== undefined && p.got < p.wanted)
      say(
        'look',
        'missing',
        `${name}: ${p.wanted - p.got} missing.`,
        `${p.wanted} wanted, ${p.got} here.`,
        'Ask for it now, before the car is apart.',
      );
    if (p.hand && p.handSeen && p.hand !== p.handSeen)
      say(
        'stop',
        'hand',
        `${name}: came ${p.handSeen}-hand.`,
        'With both ends of one hand, turning the tube does not change the length.',
        'Change it. Try a nut of known hand on each before it goes on the shelf.',
      );
    if (p.length && p.lengthSeen !== undefined && p.lengthSeen < p.length - LIMITS.readings.shortPart)
      say(
        'stop',
        'short',
        `${name}: ${sayLength(p.length - p.lengthSeen, tape)} too short.`,
        `${sayLength(p.length, tape)} wanted, ${sayLength(p.lengthSeen, tape)} here.`,
        'A tube welded up from two pieces is not a bar: get the length.',
      );
    return found;
  });
}
