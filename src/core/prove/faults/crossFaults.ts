import type { Job } from '@/core/job/jobSchema';
import { railsOf } from '@/core/job/bodies/frameRails';
import {
  crossmemberFault,
  crossmemberPart,
  crossmembersOf,
  highOf,
  wideOf,
  type Crossmember,
} from '@/core/job/made/crossmember';
import { bracketOf } from '@/core/job/made/bracketParts';
import { hangsOn } from '@/core/job/made/bracketRoot';
import { mountId } from '@/core/job/placed';
import { mountInputs, partName, spokenPart, type InputId } from '@/core/provenance/inputs';
import { linksOf } from '@/core/rig/members/members';
import { capital } from '@/core/rig/names';
import { sayLength } from '@/core/units/length';
import type { Verdict } from '@/core/verdict/verdict';

const NOT_MADE = 'crossmember-not-made';
const AT_EYE = 'crossmember-at-eye';
export const isCrossFault = ({ id }: Pick<Verdict, 'id'>): boolean => id === NOT_MADE || id === AT_EYE;

/** What is said of a crossmember hangs on where the rails are; of an eye in it, on where that is. */
export const crossFaultRestsOn = (job: Job, { id, where = '' }: Verdict): InputId[] => [
  ...['read.rideHeight', 'size.railHeight', 'size.railWidth'],
  ...(id === AT_EYE ? mountInputs(job.rig, [where.split('/')[0]!]) : []),
];

/** Closer than this is as good as there, mm. */
const SAME = 0.05;

/** Why a crossmember cannot be made as it was said, and what cures it; null of one that can. */
export function crossFaultOf(job: Job, of: Crossmember): string | null {
  const fault = crossmemberFault(job, of);
  const { section, hoop, low } = of;
  const say = (mm: number) => sayLength(mm, job.tape);
  const high = highOf(section);
  const tall = Math.min(...railsOf(job).map(({ height }) => height));
  switch (fault) {
    case null:
      return null;
    case 'thick-wall':
      return `Its wall is ${say(section.wall)}, more than ${section.shape === 'tube' ? 'half' : 'a quarter'} of ${say(Math.min(high, wideOf(section)))}.`;
    case 'bent-box':
      return 'A rectangular tube is not bent: take a round one, or leave it straight.';
    case 'misses-rail':
      return `Its ends miss a rail: between the rails its middle is to be ${say(high / 2)} to ${say(tall - high / 2)} above their undersides; lower it lies under them, or is a hoop.`;
    case 'bends-meet':
      return `Its bends run into its ends or each other: bend it tighter than ${say(hoop!.bendRadius)}, let it drop farther than ${say(low)}, or give it another middle than ${say(hoop!.middle)}.`;
  }
}

/** What is said of crossmembers that cannot be made, or that an eye hanging on them lies in. */
export const crossFaults = (job: Job): Verdict[] => [...notMade(job), ...atEyes(job)];

/** The eyes that lie nearer to the crossmember they hang on than their brackets' plates go round them. */
const atEyes = (job: Job): Verdict[] =>
  linksOf(job.rig).flatMap((link): Verdict[] => {
    const on = hangsOn(job, link);
    const { edge } = bracketOf(job, link, 'chassis');
    if (!on || on.reach >= edge - SAME) return [];
    const say = (mm: number) => sayLength(mm, job.tape);
    const part = mountId(link.id, 'chassis');
    return [
      {
        id: AT_EYE,
        where: spokenPart(job, part),
        state: 'stop',
        title: `${capital(partName(job, part))}: its eye lies ${on.reach > 0 ? 'too near to' : 'in'} the ${on.crossmember.id}.`,
        reason: `${on.reach > 0 ? `It is ${say(on.reach)} off its face; its plates go` : 'Its plates go'} ${say(edge)} round the bolt’s middle. Move the ${on.crossmember.id} up, down or along the car, or hang the bracket on something else.`,
        remedies: [],
      },
    ];
  });

const notMade = (job: Job): Verdict[] =>
  crossmembersOf(job).flatMap((of): Verdict[] => {
    const reason = crossFaultOf(job, of);
    return reason
      ? [
          {
            id: NOT_MADE,
            where: crossmemberPart(of.id),
            state: 'stop',
            title: `${capital(of.id)}: cannot be made so.`,
            reason,
            remedies: [],
          },
        ]
      : [];
  });
