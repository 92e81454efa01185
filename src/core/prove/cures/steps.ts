import type { PartsChange } from '@/core/job/edits/parts/parts';
import type { Job } from '@/core/job/jobSchema';
import { boltSystem, sayBolt } from '@/core/materials/boltSize';
import { BOLT_GRADES, METALS, type BoltGrade, type MetalName } from '@/core/materials/metals';
import { BOLTS, PLATES, TUBES } from '@/core/materials/stockSizes';
import { THREAD_NAMES, THREADS, type ThreadName } from '@/core/materials/threads';
import type { BarSection } from '@/core/strength/bar';
import { sayLength } from '@/core/units/length';
import { MM_PER_INCH, systemOf, type Tape } from '@/core/units/tape';

/** One thing about a part that can be made stronger, step by step: what is said of each step, and what it changes. */
export type Step = { text: string; change: PartsChange };
export type Lever = (job: Job, part: string) => Step[];

/** Past this more of the same is no part any more, in steps. */
const MOST_STEPS = 10;
export const EIGHTH = MM_PER_INCH / 8;

/** Lengths greater than one, step by step, mm. */
export const beyond = (mm: number, step: number): number[] =>
  Array.from({ length: MOST_STEPS }, (_, i) => mm + (i + 1) * step);

export const fromTo = (what: string, from: number, to: number, tape: Tape): string =>
  `${what} ${sayLength(from, tape)} → ${sayLength(to, tape)}`;

/** Plates that are thicker than one, as they are sold, mm. */
export const thickerPlates = (mm: number, tape: Tape): number[] =>
  PLATES[systemOf(tape)].filter((t) => t > mm + 0.1);

export const stouterBolts = (bolt: number): { text: string; bolt: number }[] =>
  BOLTS[boltSystem(bolt)]
    .filter((d) => d > bolt + 0.1)
    .map((d) => ({ text: `Bolt ${sayBolt(bolt)} → ${sayBolt(d)}`, bolt: d }));

/** The hardest grade that bolts are bought in, where one is softer than that. */
export const hardest = (grade: BoltGrade): { text: string; grade: 'grade-8' }[] =>
  BOLT_GRADES[grade].ultimate < BOLT_GRADES['grade-8'].ultimate - 50
    ? [{ text: `Bolt ${BOLT_GRADES[grade].name} → ${BOLT_GRADES['grade-8'].name}`, grade: 'grade-8' }]
    : [];

/** Tubes that are no thinner than one either way; none of what is no tube. */
export const biggerTubes = (
  section: BarSection,
  tape: Tape,
): { text: string; section: Extract<BarSection, { shape: 'tube' }> }[] =>
  section.shape !== 'tube'
    ? []
    : TUBES.filter(
        ({ od, wall }) =>
          od >= section.od - 0.1 &&
          wall >= section.wall - 0.01 &&
          od + wall > section.od + section.wall + 0.1,
      ).map(({ od, wall }) => ({
        text: `Tube ${sayTube(section, tape)} → ${sayTube({ od, wall }, tape)}`,
        section: { shape: 'tube', od, wall },
      }));
const sayTube = ({ od, wall }: { od: number; wall: number }, tape: Tape): string =>
  tape === 'mm'
    ? `${od.toFixed(1)} × ${sayWall(wall, tape)}`
    : `${sayLength(od, tape)} × ${sayWall(wall, tape)}`;

/** A tube's wall, as it is asked for. */
export const sayWall = (mm: number, tape: Tape): string =>
  tape === 'mm' ? `${mm.toFixed(1)} mm` : (mm / MM_PER_INCH).toFixed(3);

/** Stronger metals that are welded and bent as readily. */
const STRONGER: Partial<Record<MetalName, MetalName[]>> = { erw: ['dom'], plate: ['bar'] };
export const strongerMetals = (metal: MetalName): { text: string; metal: MetalName }[] =>
  (STRONGER[metal] ?? []).map((to) => ({
    text: `${METALS[metal].name} → ${METALS[to].name}`,
    metal: to,
  }));

/** Larger threads of the same system. */
export const largerThreads = (thread: ThreadName): { text: string; thread: ThreadName }[] =>
  THREAD_NAMES.filter(
    (name) =>
      THREADS[name].diameter > THREADS[thread].diameter + 0.1 &&
      name.startsWith('M') === thread.startsWith('M'),
  ).map((name) => ({ text: `Thread ${thread} → ${name}`, thread: name }));
