import type { Job } from '@/core/job/jobSchema';
import type {
  AlikePart,
  BarPart,
  Brace,
  BracketPart,
  CrossmemberPart,
  Parts,
  Strength,
} from '@/core/job/slices/parts';
import type { StrengthName } from '@/core/materials/metals';
import { keptAs, mirrorOf, saidOfBar, saidOfBracket } from '@/core/job/made/parts';
import { type Bracket } from '@/core/job/made/bracketParts';
import { eyeOut } from '@/core/job/made/oldBracket';
import type { LinkMember } from '@/core/rig/members/link';
import { MM_PER_INCH } from '@/core/units/tape';
import { withBodies } from '@/core/job/bodies/bodies';
import { told, without } from '../omit';

/** What is changed of parts: of bars by member, of brackets by mount, of those that are all alike, of crossmembers by their name; only what is named changes; what is undefined is said no more. */
export type PartsChange = {
  bars?: Record<string, BarPart>;
  brackets?: Record<string, BracketPart>;
  alike?: { [P in AlikePart]?: NonNullable<Parts[P]> };
  crossmembers?: Record<string, Partial<CrossmemberPart>>;
};

/** The job with parts changed; of a pair both, unless its other one is parted. */
export function withParts(
  job: Job,
  { bars = {}, brackets = {}, alike = {}, crossmembers = {} }: PartsChange,
): Job {
  const next = { ...job.parts, bars: { ...job.parts.bars }, brackets: { ...job.parts.brackets } };
  for (const [id, part] of Object.entries(bars))
    next.bars[keptAs(next.bars, id)] = told(saidOfBar(job, id), part) ?? {};
  for (const [id, part] of Object.entries(brackets))
    next.brackets[keptAs(next.brackets, id)] = told(saidOfBracket(job, id), part) ?? {};
  for (const [id, part] of Object.entries(crossmembers)) {
    const was = next.crossmembers?.[id];
    if (was) next.crossmembers = { ...next.crossmembers, [id]: told(was, part as CrossmemberPart)! };
  }
  const changed = (Object.keys(alike) as AlikePart[]).reduce(
    (made, part) => withAlike(made, part, alike[part]!),
    { ...job, parts: next },
  );
  return withBodies(changed);
}

/** The job with what a metal bears said otherwise; what is undefined is said no more. */
export function withStrength(job: Job, name: StrengthName, change: Strength): Job {
  const { strengths = {}, ...rest } = job.parts;
  const said = told(strengths[name], change);
  const next = said ? { ...strengths, [name]: said } : without(strengths as Record<string, Strength>, name);
  return { ...job, parts: Object.keys(next).length ? { ...rest, strengths: next } : rest };
}

/** The job with the plates under its leaf springs, or its sway bar's straps, said otherwise; what is undefined is said no more. */
export function withAlike<P extends AlikePart>(job: Job, part: P, change: NonNullable<Parts[P]>): Job {
  const parts = { ...job.parts, [part]: told(job.parts[part] as Parts[P] & object, change) };
  if (parts[part] === undefined) delete parts[part];
  return { ...job, parts };
}

/** The job with its sway bar's straps on angles of their own, as those usually are; or on what the bar is held to. */
export function withAngles(job: Job, on: boolean): Job {
  const parts: Parts = { ...job.parts, angle: {} };
  if (!on) delete parts.angle;
  return { ...job, parts };
}

/** The job with how many times over all is to hold; undefined: what is usual for its use. */
export function withWanted(job: Job, wanted: number | undefined): Job {
  const parts = { ...job.parts, wanted };
  if (wanted === undefined) delete parts.wanted;
  return { ...job, parts };
}

/** Whether left and right are each said for themselves. */
export const isParted = ({ parts }: Pick<Job, 'parts'>, id: string): boolean => {
  const mirrored = mirrorOf(id);
  const kept = id.includes('/') ? parts.brackets : parts.bars;
  return mirrored !== null && kept[id] !== undefined && kept[mirrored] !== undefined;
};

/** The job with left and right of a part each said for itself, or alike again, as the one named is. */
export function withParted(job: Job, id: string, parted: boolean): Job {
  const mirrored = mirrorOf(id);
  if (mirrored === null) return job;
  const { bars, brackets } = job.parts;
  if (id.includes('/')) {
    const said = saidOfBracket(job, id);
    const kept = parted
      ? { ...brackets, [id]: said, [mirrored]: said }
      : without({ ...brackets, [id]: said }, mirrored);
    return { ...job, parts: { ...job.parts, brackets: kept } };
  }
  const said = saidOfBar(job, id);
  const kept = parted
    ? { ...bars, [id]: said, [mirrored]: said }
    : without({ ...bars, [id]: said }, mirrored);
  return { ...job, parts: { ...job.parts, bars: kept } };
}

type TakenOff = NonNullable<Job['cut']['takenOff']>;

const withTakenOff = (job: Job, takenOff: TakenOff): Job => {
  const cut = { ...job.cut, takenOff };
  if (takenOff.other === undefined && Object.keys(takenOff.bars).length === 0)
    delete (cut as Job['cut']).takenOff;
  return { ...job, cut };
};

/** The job with what the bar weighs that a bar replaces, kg, of a pair of each; null: not weighed. */
export function withBarTakenOff(job: Job, id: string, kg: number | null): Job {
  const { bars, ...rest } = job.cut.takenOff ?? { bars: {} };
  const key = keptAs(bars, id);
  return withTakenOff(job, { ...rest, bars: kg === null ? without(bars, key) : { ...bars, [key]: kg } });
}

/** The job with what all else weighs that came off, kg; null: not weighed. */
export const withOtherTakenOff = (job: Job, kg: number | null): Job => {
  const { bars = {} } = job.cut.takenOff ?? {};
  return withTakenOff(job, { bars, ...(kg !== null && { other: kg }) });
};

/** A brace as it is usually made (common practice, no published source): a tube from the bracket’s eye across to the other rail. */
export const usualBrace = (
  { chassis }: Pick<LinkMember, 'chassis'>,
  bracket: Pick<Bracket, 'reach' | 'over'>,
  track: number,
): Brace => ({
  od: MM_PER_INCH,
  wall: 0.12 * MM_PER_INCH,
  length: Math.abs(chassis[1]) + track / 4,
  at: Math.max(1, eyeOut(bracket)),
});
