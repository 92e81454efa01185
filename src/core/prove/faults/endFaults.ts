import { toDegrees } from '@/core/geometry/angle';
import { cross, dot, minus, unit } from '@/core/geometry/vector';
import type { Job } from '@/core/job/jobSchema';
import { bracketAxes } from '@/core/job/made/bracketRoot';
import { bracketOf } from '@/core/job/made/bracketParts';
import { barEndAt, barOf, isPlateBar, LINK_ENDS, thicknessOf } from '@/core/job/made/parts';
import { flatLine, offWay } from '@/core/job/made/plateBar';
import type { LinkMember } from '@/core/rig/members/link';

/** A way in which a bar with ends of plate cannot be made: what is said, and in which numbers. */
type EndFault = { id: EndFaultId; title: string; reason: string; state: 'stop' | 'look' };

const IDS = ['eye-hole', 'short-eye', 'thick-eye', 'fork-gap', 'out-of-plane', 'pin-askew'] as const;
type EndFaultId = (typeof IDS)[number];
export const isEndFault = (id: string): boolean => (IDS as readonly string[]).includes(id);

/** Sizes closer than this are alike, mm; and a pin leans no farther from square to its plate than it turns in its hole, degrees. */
const SAME = 0.05;
const SQUARE = 3;

/** What of a bar's ends of plate cannot be made as it was said. */
export function endFaults(job: Job, link: LinkMember, say: (mm: number) => string): EndFault[] {
  const bar = barOf(job, link.id);
  if (isPlateBar(bar)) return plateFaults(job, link);
  const thick = thicknessOf(bar.section);
  return LINK_ENDS.flatMap((of): EndFault[] => {
    const end = barEndAt(of);
    const eye = bar.eyes[end];
    if (!eye) return [];
    const { hole, edge, plate, spacer } = bracketOf(job, link, of);
    const between = plate + 2 * spacer;
    const found: [is: boolean, fault: EndFault][] = [
      [
        eye.width <= hole + SAME,
        {
          state: 'stop',
          id: 'eye-hole',
          title: `the hole at its ${end} end is as wide as its plate`,
          reason: `Hole ${say(hole)}, plate ${say(eye.width)}. Make the plate wider.`,
        },
      ],
      [
        eye.reach < edge - SAME,
        {
          state: 'stop',
          id: 'short-eye',
          title: `its ${end} end runs into its bracket`,
          reason: `It ends ${say(eye.reach)} from the hole, where the bracket’s plates reach ${say(edge)} round it. Let its plate stand out farther.`,
        },
      ],
      [
        eye.kind === 'eye' && bar.section.shape !== 'flat' && eye.plate >= thick - SAME,
        {
          state: 'stop',
          id: 'thick-eye',
          title: `the plate of its ${end} end is as thick as the bar`,
          reason: `Plate ${say(eye.plate)}, bar ${say(thick)}: no slot takes it.`,
        },
      ],
      [
        eye.kind === 'fork' && Math.abs(between - thick) > 1,
        {
          state: 'stop',
          id: 'fork-gap',
          title: `the fork at its ${end} end does not fit what is between its plates`,
          reason: `They lie ${say(thick)} apart, on the bar; the bracket’s plate with its spacers is ${say(between)}.`,
        },
      ],
    ];
    return found.flatMap(([is, fault]) => (is ? [fault] : []));
  });
}

/** A bar of plate that is not all in one plane, or whose pins do not stand square to it. */
function plateFaults(job: Job, link: LinkMember): EndFault[] {
  if (!flatLine(link))
    return [
      {
        state: 'stop',
        id: 'out-of-plane',
        title: 'it leaves the plane of its plate',
        reason: 'Its bends are not all in one plane: make it of tube, or lay them so that they are.',
      },
    ];
  const pins = LINK_ENDS.map((end) => bracketAxes(job, link, end).bolt);
  const off = offWay(link);
  // A straight bar's plate is square to its frame pin as far as its length lets it be.
  const way = unit(minus(link.axle, link.chassis));
  const normal = off ? unit(cross(way, off)) : unit(cross(way, cross(pins[0]!, way)));
  const lean = Math.max(...pins.map((pin) => toDegrees(Math.acos(Math.min(1, Math.abs(dot(pin, normal)))))));
  return lean > SQUARE
    ? [
        {
          // A bracket's plates can be cut and set so that its pin stands as it must.
          state: 'look',
          id: 'pin-askew',
          title: 'its pins do not stand square to its plate',
          reason: `As its brackets stand, from their roots straight out to the eyes, one leans ${lean.toFixed(0)}° from it: set that bracket so that its pin is square to the plate, or give that end a joint that swings.`,
        },
      ]
    : [];
}
