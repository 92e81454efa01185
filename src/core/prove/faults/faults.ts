import type { Job } from '@/core/job/jobSchema';
import { barOf, LINK_ENDS, type LinkEnd, saidOfBracket } from '@/core/job/made/parts';
import {
  bracketOf,
  clearOfWeld,
  holesOf,
  type Bracket,
  foldedOf,
  footOf,
  tabOf,
} from '@/core/job/made/bracketParts';
import { mountId } from '@/core/job/placed';
import { partInput, partName, spokenPart, type InputId } from '@/core/provenance/inputs';
import { endFaults, isEndFault } from './endFaults';
import { isOverFault, overFaults } from './overOld';
import { foldedFault } from '@/core/fabricate/plates/foldedShape';
import { isFootClear } from '@/core/fabricate/plates/plates';
import { linksOf } from '@/core/rig/members/members';
import type { LinkMember } from '@/core/rig/members/link';
import { capital } from '@/core/rig/names';
import { sayLength } from '@/core/units/length';
import type { Verdict } from '@/core/verdict/verdict';

/** Sizes closer than this are alike, mm; and how much larger than its bolt a hole may be drilled. */
const SAME = 0.05;
const LOOSE = 2;

type Say = (mm: number) => string;
/** A way in which a bracket cannot be made: the two sizes that do not go together, whether they do not, and what is said. */
type Fault = {
  sizes: (keyof Bracket)[];
  is: (bracket: Bracket) => boolean;
  title: string;
  reason: (bracket: Bracket, say: Say) => string;
};

const FAULTS: Record<string, Fault> = {
  'hole-at-edge': {
    sizes: ['edge', 'hole'],
    is: ({ edge, hole }) => edge <= hole / 2 + SAME,
    title: 'the hole runs out of the edge',
    reason: ({ edge, hole }, say) =>
      `A hole of ${say(hole)} whose middle is ${say(edge)} from the edge leaves no steel there. Put it farther in.`,
  },
  'hole-in-width': {
    sizes: ['width', 'hole'],
    is: ({ width, hole }) => width <= hole + SAME,
    title: 'the hole is as wide as the tab',
    reason: ({ width, hole }, say) => `Hole ${say(hole)}, tab ${say(width)}. Make the tab wider.`,
  },
  'bolt-in-hole': {
    sizes: ['bolt', 'hole'],
    is: ({ bolt, hole }) => hole < bolt - SAME,
    title: 'the bolt does not go into its hole',
    reason: ({ bolt, hole }, say) => `Bolt ${say(bolt)}, hole ${say(hole)}.`,
  },
  'loose-hole': {
    sizes: ['bolt', 'hole'],
    is: ({ bolt, hole }) => hole > bolt + LOOSE,
    title: 'the hole is too large for its bolt',
    reason: ({ bolt, hole }, say) =>
      `Bolt ${say(bolt)}, hole ${say(hole)}: the bolt hammers in it. Sleeve it, or weld on a washer with the right hole.`,
  },
  'tall-fillet': {
    sizes: ['leg', 'plate'],
    is: ({ leg, plate }) => leg > plate + SAME,
    title: 'the fillet is taller than its plate is thick',
    reason: ({ leg, plate }, say) => `Leg ${say(leg)}, plate ${say(plate)}: the edge melts away before that.`,
  },
};

const OFF_ITS_TUBE = 'off-its-tube';
const FOOT_IN_FLANK = 'foot-in-flank';
const THICK_WALL = 'thick-wall';
const NOT_FOLDED = 'not-folded';
const ROW_IN_WELD = 'row-in-weld';

/** Parts that cannot be made as they were said, each with the sizes that do not go together. */
export function partFaults(job: Job): Verdict[] {
  const say: Say = (mm) => sayLength(mm, job.tape);
  const verdict = (id: string, part: string, title: string, reason: string): Verdict => ({
    id,
    where: spokenPart(job, part),
    state: 'stop',
    title: `${capital(partName(job, part))}: ${title}.`,
    reason,
    remedies: [],
  });
  const told =
    (part: string) =>
    ({ id, title, reason, state }: Pick<Verdict, 'id' | 'title' | 'reason' | 'state'>): Verdict => ({
      ...verdict(id, part, title, reason),
      state,
    });
  const all = linksOf(job.rig).flatMap((link) => {
    const { section } = barOf(job, link.id);
    const thick = section.shape === 'tube' && section.wall > section.od / 2 + SAME;
    return [
      ...(thick
        ? [
            verdict(
              THICK_WALL,
              link.id,
              'its wall is thicker than half of the tube',
              `Wall ${say(section.wall)}, tube ${say(section.od)}.`,
            ),
          ]
        : []),
      ...endFaults(job, link, say).map(told(link.id)),
      ...LINK_ENDS.flatMap((end) => {
        const bracket = bracketOf(job, link, end);
        const part = mountId(link.id, end);
        const [nearest] = holesOf(job, link, end);
        const row =
          nearest! < clearOfWeld(bracket) - SAME
            ? [
                {
                  ...verdict(
                    ROW_IN_WELD,
                    part,
                    'a hole of it stands in the weld',
                    bracket.over
                      ? `Its middle is ${say(nearest!)} up plates that lap the old bracket by ${say(bracket.over.lap)}. Leave it out: the drawing does.`
                      : `Its middle is ${nearest! > 0 ? `${say(nearest!)} from` : 'past'} where the plates are fastened. Drill it only where the plates lap the rail and are welded round it, or leave it out: the drawing does.`,
                  ),
                  state: 'look' as const,
                },
              ]
            : [];
        return [
          ...Object.entries(FAULTS).flatMap(([id, { is, title, reason }]) =>
            is(bracket) ? [verdict(id, part, title, reason(bracket, say))] : [],
          ),
          ...row,
          ...overFaults(bracket, say).map(told(part)),
          ...foldFaults(job, link, end, (title, reason) => verdict(NOT_FOLDED, part, title, reason)),
          ...seatFaults(job, link, end, (id, title, reason) => verdict(id, part, title, reason)),
        ];
      }),
    ];
  });
  return [...new Map(all.map((v) => [`${v.id} ${v.where}`, v])).values()];
}

/** What of a folded bracket no brake folds. */
const FOLDS = {
  close: ['its folds meet between its plates', 'Bend it tighter, or make plates and web of three pieces.'],
  high: [
    'its web is too high for its flanks',
    'A fold that ends at the hole wants to be cut free past its end: more edge round the hole gives it room.',
  ],
  shallow: [
    'its plates are no deeper than their folds',
    'Make them deeper where they are fastened, or bend it tighter.',
  ],
} as const;

function foldFaults(
  job: Job,
  link: LinkMember,
  end: LinkEnd,
  verdict: (title: string, reason: string) => Verdict,
): Verdict[] {
  const folded = foldedOf(job, link, end);
  const fault = folded && foldedFault(folded);
  if (!fault) return [];
  const [title, reason] = FOLDS[fault];
  return [verdict(title, reason)];
}

/** A bracket whose plates miss the tube that they should sit on, or have no steel left between its round and their flanks. */
function seatFaults(
  job: Job,
  link: LinkMember,
  end: LinkEnd,
  verdict: (id: string, title: string, reason: string) => Verdict,
): Verdict[] {
  const { depth, seat, middle, spacer } = bracketOf(job, link, end);
  if (!seat) return [];
  const say = (mm: number) => sayLength(mm, job.tape);
  if (footOf(job, link, end) === null)
    return [
      verdict(
        OFF_ITS_TUBE,
        'its plates do not meet the tube they sit on',
        `Tube ${say(seat.od)}; plates ${say(depth)} deep, ${say(middle + 2 * spacer)} apart. Bring them closer, or give them a pad to stand on and say that it is flat.`,
      ),
    ];
  return isFootClear(tabOf(job, link, end))
    ? []
    : [
        verdict(
          FOOT_IN_FLANK,
          'its round cuts through its flanks',
          `Tube ${say(seat.od)}; plates ${say(depth)} deep. Make them less deep, or wider at the hole.`,
        ),
      ];
}

export const isFault = ({ id }: Pick<Verdict, 'id'>): boolean =>
  [THICK_WALL, NOT_FOLDED, ROW_IN_WELD, OFF_ITS_TUBE, FOOT_IN_FLANK].includes(id) ||
  id in FAULTS ||
  isOverFault(id) ||
  isEndFault(id);

/** What a fault hangs on: nothing where both of its sizes were said, else that the part is as is usual. */
export function faultRestsOn(job: Job, { id, where = '' }: Verdict): InputId[] {
  const said = saidOfBracket(job, where);
  const told = FAULTS[id]?.sizes.every((key) => said[key as keyof typeof said] !== undefined);
  return told ? [] : [partInput(job, where)];
}
