import type { Job } from '@/core/job/jobSchema';
import { bracketOf, type Bracket } from '@/core/job/made/bracketParts';
import { BAR_ENDS, bodyAt, isPlateBar, keptAs, threadedEnds } from '@/core/job/made/parts';
import { METALS } from '@/core/materials/metals';
import { linksOf } from '@/core/rig/members/members';
import { THREADS } from '@/core/materials/threads';
import { MASS } from '@/core/units/unit';
import { MM_PER_INCH } from '@/core/units/tape';
import { spokenPart } from '@/core/provenance/inputs';
import type { BarCut } from './barCut';
import type { JobCut } from './jobCut';

const sum = (kg: number[]): number => kg.reduce((all, one) => all + one, 0);
const massOf = (parts: { mass: number; quantity: number }[]): number =>
  sum(parts.map(({ mass, quantity }) => mass * quantity));

/** All tubes and plates of a job, kg; without rod ends, bolts and weld. Bars out of a sheet are among the plates. */
export const cutMass = ({ bars, pieces, flats }: JobCut): number =>
  sum(bars.filter(({ bar }) => !isPlateBar(bar)).map(({ mass }) => mass)) + massOf([...pieces, ...flats]);

/**
 * A rod end with its bung and jam nut, kg for every mm³ of a cube as wide as its thread: the two of a bar with 3/4 in ends are about 2 lb of
 * its 6 (common practice, no published source); others of one shape by the cube of their thread.
 */
const END = MASS.read(1, 'in16') / (0.75 * MM_PER_INCH) ** 3;

/** Walls of a barrel and of the sleeve in its bushing, mm; what is between them, kg/mm³ (common practice, no published source). */
const BARREL = { wall: (3 / 16) * MM_PER_INCH, sleeve: (1 / 8) * MM_PER_INCH, bushing: 1.2e-6 };

/** A barrel with its bushing, kg: two tubes of steel as long as they stand between their plates, and rubber or urethane between them. */
function barrelMass(od: number, { middle, bolt }: Pick<Bracket, 'middle' | 'bolt'>): number {
  const inside = Math.max(bolt, od - 2 * BARREL.wall);
  const sleeve = Math.min(inside, bolt + 2 * BARREL.sleeve);
  const ring = (outer: number, inner: number) => (Math.PI / 4) * (outer ** 2 - inner ** 2) * middle;
  const steel = ring(Math.max(od, inside), inside) + ring(sleeve, bolt);
  return steel * METALS.dom.density + ring(inside, sleeve) * BARREL.bushing;
}

/** A bar as it is put in, kg, with its rod ends, bungs and jam nuts, its barrels and bushings, or the plates of its eyes. */
export function madeMass(job: Job, cut: JobCut, { id, bar, mass }: BarCut): number {
  if (isPlateBar(bar)) return mass;
  const link = linksOf(job.rig).find((one) => one.id === id);
  const spoken = spokenPart(job, id);
  const alike = cut.bars.filter((other) => spokenPart(job, other.id) === spoken).length;
  return (
    mass +
    threadedEnds(bar).length * END * THREADS[bar.thread].diameter ** 3 +
    sum(
      BAR_ENDS.flatMap((end) => {
        const barrel = bar.barrels[end];
        return barrel && link ? [barrelMass(barrel.od, bracketOf(job, link, bodyAt(end)))] : [];
      }),
    ) +
    massOf(cut.flats.filter(({ of }) => of === spoken)) / alike
  );
}

/** What the bar that one replaces weighs, kg, as it was told of it or of its mirror image; null where it was not weighed. */
export function takenOff({ cut }: Pick<Job, 'cut'>, id: string): number | null {
  const bars = cut.takenOff?.bars ?? {};
  return bars[keptAs(bars, id)] ?? null;
}

/**
 * What is made against what it replaces, kg, as far as that was weighed: the bars whose old one was, and pieces and plates of brackets where
 * all else that came off was; the bars whose old one was not. Null where nothing was weighed.
 */
export function againstTakenOff(
  job: Job,
  cut: JobCut,
): { made: number; off: number; unweighed: string[] } | null {
  const weighed = cut.bars.filter(({ id }) => takenOff(job, id) !== null);
  const other = job.cut.takenOff?.other;
  if (!weighed.length && other === undefined) return null;
  const bars = sum(weighed.map((bar) => madeMass(job, cut, bar)));
  const ofBars = new Set(cut.bars.map(({ id }) => id));
  const brackets = [...cut.pieces, ...cut.flats.filter(({ of }) => !ofBars.has(of))];
  return {
    made: bars + (other === undefined ? 0 : massOf(brackets)),
    off: sum(weighed.map(({ id }) => takenOff(job, id)!)) + (other ?? 0),
    unweighed: cut.bars.filter(({ id }) => takenOff(job, id) === null).map(({ id }) => id),
  };
}
