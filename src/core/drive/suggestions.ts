import { effectsOf, LEAST, type Effect } from '@/core/advice/effects';
import { gravities, lookAt } from '@/core/advice/look';
import { fartherOut, worsened } from '@/core/advice/tried';
import { holesKey } from '@/core/job/made/bracketHoles';
import type { Job } from '@/core/job/jobSchema';
import type { Feel, Phase } from '@/core/job/slices/work/drive';
import { lateralBarOf, lengthwiseLinks, pairOf, pairedSide } from '@/core/rig/roles';
import type { LinkMember } from '@/core/rig/members/link';
import type { MountChange } from '@/core/rig/mounts';
import { memberName, groupName } from '@/core/rig/names';
import { orNone } from '@/core/rig/read';
import { stiffened } from '@/core/springs/springDesign';
import { sayLength } from '@/core/units/length';
import { MM_PER_INCH } from '@/core/units/tape';
import { withRemedy } from '@/core/verdict/remedy';
import type { Remedy } from '@/core/verdict/verdict';
import { gainOf, wantsOf, type Want } from './wants';

/**
 * One change that was tried on the whole car: what it does to what is wanted, in shares of the least that counts, and what else it
 * changes. `ease`: 0 a pin or a bolt in another hole, 1 a bracket moved or a spring changed.
 */
export type Suggestion = {
  remedy: Remedy;
  want: Want;
  gain: number;
  ease: 0 | 1;
  effects: Effect[];
  /** what would be worse for it, in words: such a change is told, and not offered */
  spoils: string[];
};

/** What can be suggested about a feel: the changes that help, those first that spoil nothing, the best first; and what of the car is not known. */
export type Suggested = { suggestions: Suggestion[]; unknown: Want['what'][] };

/** A bracket without holes is moved by as much at a time, mm; springs by a tenth. */
const STEP = MM_PER_INCH / 2;
const STIFFER = 0.1;

/**
 * Changes of one thing at a time that answer what was felt, each tried on the whole car before it is offered.
 *
 * @throws InputError where the car as it is cannot be worked out
 */
export function suggestionsFor(job: Job, phase: Phase, feel: Feel): Suggested {
  const wants = wantsOf(phase, feel, job.rig.end);
  if (wants.length === 0) return { suggestions: [], unknown: [] };
  const before = lookAt(job, { cures: false });
  const grave = gravities(before);
  const suggestions = candidates(job).flatMap(({ remedy, ease }): Suggestion[] => {
    const after = orNone(() => lookAt(withRemedy(job, remedy), { cures: false }));
    if (!after) return [];
    const best = wants
      .map((want) => ({ want, gain: (gainOf(want, before.numbers, after.numbers) ?? 0) / LEAST[want.what] }))
      .reduce((a, b) => (b.gain > a.gain ? b : a));
    if (best.gain < 1) return [];
    const spoils = [
      ...worsened(job, grave, gravities(after), after),
      ...fartherOut(job, before.numbers, after.numbers),
    ];
    return [{ remedy, ease, ...best, effects: effectsOf(before.numbers, after.numbers), spoils }];
  });
  return {
    suggestions: suggestions.sort(
      (a, b) => a.spoils.length - b.spoils.length || a.ease - b.ease || worth(b) - worth(a),
    ),
    unknown: [...new Set(wants.map(({ what }) => what))].filter((what) => before.numbers[what] === null),
  };
}

/** What is gained, less a part of all that is changed beside it. */
const DISTURBED = 0.2;
const worth = ({ gain, effects, want }: Suggestion): number =>
  gain -
  DISTURBED *
    effects
      .filter(({ what }) => what !== want.what)
      .reduce((sum, { what, from, to }) => sum + Math.abs(to - from) / LEAST[what], 0);

type Candidate = { remedy: Remedy; ease: Suggestion['ease'] };

/** Everything that is changed at the track: a hole, a bracket by half an inch, springs; both sides alike. */
function candidates(job: Job): Candidate[] {
  const across = lateralBarOf(job.rig);
  const links = lengthwiseLinks(job.rig).filter(({ id }) => pairedSide(id) !== 'right');
  return [
    ...(across ? [1, -1].flatMap((way) => barMoved(job, across, way)) : []),
    ...links.flatMap((link) => [1, -1].flatMap((way) => linkMoved(job, link, way))),
    ...swayBar(job),
    ...springs(job),
  ];
}

/** Where a mount goes one step up or down: to the next hole, or by half an inch; null past the last hole. */
function stepped(
  job: Job,
  link: LinkMember,
  end: 'chassis' | 'axle',
  way: number,
): { mm: number; hole: boolean } | null {
  const row = job.holes[holesKey(link.id, end)];
  const now = link[end][2];
  if (!row) return { mm: now + way * STEP, hole: false };
  const at = Math.round((now - row.lowest) / row.pitch) + way;
  return at >= 0 && at < row.count ? { mm: row.lowest + at * row.pitch, hole: true } : null;
}

const up = (way: number) => (way > 0 ? 'up' : 'down');

/** The bar across moved at both of its ends by as much, so that it leans as it does. */
function barMoved(job: Job, bar: LinkMember, way: number): Candidate[] {
  const frame = stepped(job, bar, 'chassis', way);
  const axle = stepped(job, bar, 'axle', way);
  if (!frame || !axle) return [];
  const by = frame.mm - bar.chassis[2];
  const even = Math.abs(axle.mm - bar.axle[2] - by) < 0.5;
  const to = even ? axle.mm : bar.axle[2] + by;
  return [
    {
      ease: frame.hole && axle.hole && even ? 0 : 1,
      remedy: {
        text: `${memberName(bar.id, job.rig.end)} ${up(way)} ${said(job, frame.hole && even, by)} at both ends`,
        changes: [
          { member: bar.id, end: 'chassis', axis: 2, mm: frame.mm },
          { member: bar.id, end: 'axle', axis: 2, mm: to },
        ],
      },
    },
  ];
}

const said = ({ tape }: Job, hole: boolean, by: number): string =>
  `${hole ? 'one hole, ' : ''}${sayLength(Math.abs(by), tape)}`;

/** The frame end of a link, and of its mirror image, one step up or down. */
function linkMoved(job: Job, link: LinkMember, way: number): Candidate[] {
  const ids = pairOf(link.id).filter((id) => job.rig.members.some((m) => m.id === id));
  const ends = (['chassis', 'axle'] as const).flatMap((end) => {
    const moves = ids.flatMap((id) => {
      const own = job.rig.members.find((m) => m.id === id) as LinkMember;
      const to = stepped(job, own, end, way);
      return to ? [{ own, to }] : [];
    });
    if (moves.length < ids.length) return [];
    const holes = moves.every(({ to }) => to.hole);
    // An axle bracket that has no holes is not moved at the track.
    if (end === 'axle' && !holes) return [];
    const name = groupName(ids, job.rig.end) ?? memberName(link.id, job.rig.end);
    const by = moves[0]!.to.mm - moves[0]!.own[end][2];
    return [
      {
        ease: holes ? (0 as const) : (1 as const),
        remedy: {
          text: `${name}, ${end === 'chassis' ? 'frame' : 'axle'} end ${up(way)} ${said(job, holes, by)}`,
          changes: moves.map(({ own, to }): MountChange => ({ member: own.id, end, axis: 2, mm: to.mm })),
        },
      },
    ];
  });
  return ends;
}

function swayBar({ roll }: Job): Candidate[] {
  const { bar } = roll;
  if (!bar) return [];
  return [1, -1].flatMap((way): Candidate[] => {
    const hole = bar.hole + way;
    if (hole < 0 || hole >= bar.holes) return [];
    return [
      {
        ease: 0,
        remedy: {
          text: `sway bar one hole ${way > 0 ? 'in, harder' : 'out, softer'}: hole ${hole + 1} of ${bar.holes}`,
          roll: { bar: { ...bar, hole } },
        },
      },
    ];
  });
}

function springs({ roll }: Job): Candidate[] {
  const { springs: now } = roll;
  if (!now) return [];
  return [STIFFER, -STIFFER].map((by) => ({
    ease: 1,
    remedy: {
      text: `springs a tenth ${by > 0 ? 'harder' : 'softer'}`,
      roll: { springs: stiffened(now, 1 + by) },
    },
  }));
}
