import type { Bracket } from '@/core/job/made/bracketParts';
import { MM_PER_INCH } from '@/core/units/tape';

/** One run of weld along a plate's foot: which plate and which of its faces, from and to along it, mm, and when it is made. */
type Run = { plate: number; face: 'in' | 'out'; from: number; to: number; order: number };

/** Where a bracket is welded: its runs in the order that pulls least, how long all of them are, mm, and what is left between stitches. */
export type WeldPattern = { runs: Run[]; length: number; gap: number; depth: number; plates: number };

/** A run is made about so long, mm, and then left: an inch (common practice, no published source). */
const RUN = MM_PER_INCH;

/**
 * The runs of a bracket's plates: all of each foot in runs of about an inch, or stitches with gaps where it is not welded all along.
 * Each run is as far as may be from the one before it, the other plate and the other face first, so that the heat is spread and the
 * pull of one is met by the next (common practice, no published source).
 */
export function weldPattern({
  depth,
  planes,
  welded,
}: Pick<Bracket, 'depth' | 'planes' | 'welded'>): WeldPattern {
  const count = Math.max(1, Math.round((depth * welded) / RUN));
  const long = (depth * welded) / count;
  const gap = count > 1 ? (depth - count * long) / (count - 1) : 0;
  const first = count > 1 ? 0 : (depth - long) / 2;
  const plates = Array.from({ length: planes }, (_, plate) => plate);
  const all = plates.flatMap((plate) =>
    (['out', 'in'] as const).flatMap((face) =>
      Array.from({ length: count }, (_, i) => ({
        plate,
        face,
        from: first + i * (long + gap),
        to: first + i * (long + gap) + long,
      })),
    ),
  );
  return { runs: inTurn(all, depth), length: all.length * long, gap, depth, plates: planes };
}

/** The farthest first: each run the one that is farthest from the last, the other plate and face counting as half the depth each. */
function inTurn(runs: Omit<Run, 'order'>[], depth: number): Run[] {
  const left = [...runs];
  const ordered: Run[] = [];
  while (left.length > 0) {
    const last = ordered.at(-1);
    const next = last
      ? left.reduce((a, b) => (apart(b, last, depth) > apart(a, last, depth) + 1e-9 ? b : a))
      : left[0]!;
    left.splice(left.indexOf(next), 1);
    ordered.push({ ...next, order: ordered.length + 1 });
  }
  return ordered;
}

const middle = ({ from, to }: Pick<Run, 'from' | 'to'>): number => (from + to) / 2;

const apart = (a: Omit<Run, 'order'>, b: Omit<Run, 'order'>, depth: number): number =>
  Math.abs(middle(a) - middle(b)) +
  (a.plate === b.plate ? 0 : depth / 2) +
  (a.face === b.face ? 0 : depth / 2);
