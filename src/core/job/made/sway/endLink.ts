import { makeBar, type BarEnd, type BarResult } from '@/core/fabricate/adjustableBar';
import type { Stack } from '@/core/fabricate/boltStack';
import type { Job } from '@/core/job/jobSchema';
import { jointStack, usualBolt } from '@/core/job/made/bracketParts';
import { startingCut } from '@/core/job/slices/cut';
import { SIDES } from '@/core/geometry/side';
import type { BoltGrade, MetalName } from '@/core/materials/metals';
import { THREADS, type ThreadName } from '@/core/materials/threads';
import type { BarSection } from '@/core/strength/bar';
import { linkOn, type BarDesign } from '@/core/swaybar/swayBarDesign';
import { MM_PER_INCH } from '@/core/units/tape';
import { isOnEar, springPlateOf } from '../springPlate';

/** The two ends of a sway bar's end link: at the bar's arm, and at its foot on the other body. */
export const LINK_PINS = ['bar', 'foot'] as const;
export type LinkPinAt = (typeof LINK_PINS)[number];

/** What an end of an end link turns on, mm: a bolt with its nut, or a pin held by a clip, through what it goes through. */
export type LinkPin = Stack & { grade: BoltGrade; clip: boolean };

/** The end links of a sway bar as they are made, mm; the longer one where the two differ. */
export type EndLink = {
  metal: MetalName;
  section: BarSection;
  thread: ThreadName;
  end: BarEnd;
  lengths: number[];
  pins: Record<LinkPinAt, LinkPin>;
};

const inch = (n: number) => n * MM_PER_INCH;

/** As they commonly are (common practice, no published source), mm; a soft sleeve's width; a flattened eye and a fork's plate, in diameters. */
const USUAL = {
  thread: '1/2-20',
  section: { shape: 'tube', od: inch(7 / 8), wall: inch(0.12) },
  grade: 'grade-8',
  foot: inch(1 / 4),
  sleeve: inch(1.25),
} as const;
const FLATTENED = 0.5;
const FORK = 0.5;

/** The end links of a job's sway bar, as was said of them, else as is usual; null of a car without one. */
export function endLinkOf(job: Job): EndLink | null {
  const { bar } = job.roll;
  if (!bar) return null;
  const { bar: atBar, foot: atFoot, ...said } = job.parts.endLink ?? {};
  const thread = said.thread ?? USUAL.thread;
  const shank = THREADS[thread].diameter;
  const lengths = [...new Set(SIDES.map((side) => linkOn(bar, side).link))];
  const pin = (at: LinkPinAt, plate: number, clip: boolean): LinkPin => {
    const bolt = (at === 'bar' ? atBar : atFoot)?.bolt ?? usualBolt(shank);
    const joint = bar.ends[at].joint;
    const fork = joint === 'clevis' || joint === 'elbow';
    const stack = fork
      ? { plate: FORK * shank, planes: 2 as const, middle: plate, spacer: 0 }
      : { plate, planes: 1 as const, ...jointStack(joint, shank, USUAL.sleeve) };
    return { grade: USUAL.grade, clip, ...stack, ...(at === 'bar' ? atBar : atFoot), bolt };
  };
  const section = said.section ?? USUAL.section;
  const plate = springPlateOf(job);
  return {
    metal: said.metal ?? (section.shape === 'tube' ? 'dom' : 'bar'),
    section,
    thread,
    end: said.end ?? usualEnd(shank),
    lengths,
    pins: {
      bar: pin('bar', armThickness(bar), false),
      // Links that come off by a pin do so at their foot.
      foot: pin('foot', plate && isOnEar(job, plate) ? plate.plate : USUAL.foot, bar.stow !== null),
    },
  };
}

/** An arm where its hole is, mm: a flat arm's plate, or the flattened end of a bent bar. */
const armThickness = ({ made, arms, od }: BarDesign): number =>
  made === 'arms' ? arms.thickness : FLATTENED * od;

/** An end as the set at Cut starts with, of another thread. */
function usualEnd(shank: number): BarEnd {
  const { ends, thread } = startingCut();
  const scale = shank / THREADS[thread].diameter;
  const { toShoulder, showing, shank: long, bung } = ends.frame;
  return {
    toShoulder: scale * toShoulder,
    showing: scale * showing,
    shank: scale * long,
    bung: scale * bung,
  };
}

/** An end link of a length as it is made up, both its ends alike. */
export const madeUpLink = (
  { thread, end, section }: EndLink,
  length: number,
): Pick<BarResult, 'tubeLength' | 'ends'> =>
  makeBar(length, {
    thread,
    ends: { frame: end, axle: end },
    engagementRule: 0,
    tube: {
      od: section.shape === 'flat' ? section.height : section.od,
      wall: section.shape === 'tube' ? section.wall : 0,
    },
  });

/** Why end links cannot be made: nothing of the tube is left between their ends, its wall fills it, or the thread does not go into it. */
export function endLinkFault(link: EndLink): 'too-short' | 'thick-wall' | 'thread-in-tube' | null {
  const { section, thread, lengths } = link;
  if (madeUpLink(link, Math.min(...lengths)).tubeLength <= 0) return 'too-short';
  if (section.shape !== 'tube') return null;
  if (section.wall > section.od / 2) return 'thick-wall';
  return THREADS[thread].diameter > section.od - 2 * LEAST_ROUND ? 'thread-in-tube' : null;
}
/** Less round a thread is no bung, mm. */
const LEAST_ROUND = inch(1 / 16);
