import type { Job } from '@/core/job/jobSchema';
import { barOf, bracketOf, LINK_ENDS } from '@/core/job/parts';
import { mountId } from '@/core/job/placed';
import { partName, spokenPart } from '@/core/provenance/inputs';
import { linksOf } from '@/core/rig/members/members';
import { capital } from '@/core/rig/names';
import { sayLength } from '@/core/units/length';
import type { Verdict } from '@/core/verdict/verdict';

/** Sizes closer than this are alike, mm. */
const SAME = 0.05;

/** Parts that cannot be made as they were said, each with the size that is wrong. */
export function partFaults(job: Job): Verdict[] {
  const say = (mm: number) => sayLength(mm, job.tape);
  const fault = (part: string, title: string, reason: string): Verdict => ({
    id: 'cannot-be-made',
    where: spokenPart(job, part),
    state: 'stop',
    title: `${capital(partName(job, part))}: ${title}.`,
    reason,
    remedies: [],
  });
  const all = linksOf(job.rig).flatMap((link) => {
    const { section } = barOf(job, link.id);
    const bar =
      section.shape === 'tube' && section.wall > section.od / 2 + SAME
        ? [
            fault(
              link.id,
              'its wall is thicker than half of its tube',
              `Wall ${say(section.wall)}, tube ${say(section.od)}.`,
            ),
          ]
        : [];
    const brackets = LINK_ENDS.flatMap((end) => {
      const { edge, hole, bolt, width, leg, plate } = bracketOf(job, link, end);
      const part = mountId(link.id, end);
      return [
        ...(edge <= hole / 2 + SAME
          ? [
              fault(
                part,
                'the hole runs out of the edge',
                `A hole of ${say(hole)} whose middle is ${say(edge)} from the edge leaves no steel there. Put it farther in.`,
              ),
            ]
          : []),
        ...(width <= hole + SAME
          ? [
              fault(
                part,
                'the hole is as wide as the tab',
                `Hole ${say(hole)}, tab ${say(width)}. Make the tab wider.`,
              ),
            ]
          : []),
        ...(hole < bolt - SAME
          ? [fault(part, 'the bolt does not go into its hole', `Bolt ${say(bolt)}, hole ${say(hole)}.`)]
          : []),
        ...(hole > bolt + 2
          ? [
              fault(
                part,
                'the hole is drilled too large for its bolt',
                `Bolt ${say(bolt)}, hole ${say(hole)}: the bolt hammers in it. Sleeve it, or weld a washer on with the right hole.`,
              ),
            ]
          : []),
        ...(leg > plate + SAME
          ? [
              fault(
                part,
                'the fillet is taller than its plate is thick',
                `Leg ${say(leg)}, plate ${say(plate)}: its edge melts away before that.`,
              ),
            ]
          : []),
      ];
    });
    return [...bar, ...brackets];
  });
  return [...new Map(all.map((v) => [v.title, v])).values()];
}
