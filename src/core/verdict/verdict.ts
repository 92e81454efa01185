import type { PartsChange } from '@/core/job/edits/parts/parts';
import type { RollDesign } from '@/core/job/slices/roll';
import type { Job } from '@/core/job/jobSchema';
import { guessesAmong, type Input, type InputId } from '@/core/provenance/inputs';
import type { MountChange } from '@/core/rig/mounts';

/** What a check comes to: holds, wants a look, or must stop the work; or that is not known, since it hangs on guesses. */
export type State = 'ok' | 'look' | 'stop' | 'unknown';
/** What a check says of the values it was given. */
export type Finding = Exclude<State, 'unknown'>;

/** A remedy the builder can take with one touch, by moving mounts changing springs and bar or the parts it is made of, or only read. */
export type Remedy = {
  text: string;
  changes?: MountChange[];
  roll?: Partial<RollDesign>;
  /** the pinion turned so many degrees nose down */
  pinionDeg?: number;
  parts?: PartsChange;
};

/**
 * `where` names by its id the part, the mount as `upper/chassis` or the two bodies as `driveshaft / tailpipe`, and, where it
 * matters, the place in the travel.
 */
export type Verdict = {
  id: string;
  state: Finding;
  title: string;
  reason: string;
  remedies: Remedy[];
  where?: string;
};

/** A verdict with what it hangs on: it neither holds nor stops the work while any of that is guessed. */
export type Judged = Omit<Verdict, 'state'> & {
  state: State;
  /** what it would come to were all guesses right */
  would: Finding;
  guesses: Input[];
};

/** Between the part and the place in the travel: no name that a builder gives is likely to have it. */
const AT = ' · ';

/** What a verdict is about, and the place in the travel. */
export const whereAt = (place: string, travel: string): string => `${place}${AT}${travel}`;

/** The id of the part, of the mount or of the two bodies that a verdict is about; empty where it is about the car. */
export const placeOf = ({ where = '' }: Pick<Verdict, 'where'>): string => where.split(AT)[0]!;

/** What a verdict is about: the same in a changed car. */
export const aboutOf = (verdict: Pick<Verdict, 'id' | 'where'>): string =>
  `${verdict.id} ${placeOf(verdict)}`;

/** A title as part of a longer sentence. */
export const asClause = (title: string): string => title.replace(/\.$/, '');

/** What a verdict comes to in a job, knowing what of it is guessed. @param restsOn ids of what it hangs on */
export function judged(job: Job, verdict: Verdict, restsOn: InputId[]): Judged {
  const guesses = guessesAmong(job, restsOn);
  const open = guesses.length > 0 && verdict.state !== 'look';
  return { ...verdict, state: open ? 'unknown' : verdict.state, would: verdict.state, guesses };
}

/** A verdict about what was read or done, of which nothing is guessed. */
export const asRead = (verdict: Verdict): Judged => ({ ...verdict, would: verdict.state, guesses: [] });

const GRAVITY: Record<Finding, number> = { stop: 0, look: 2, ok: 4 };
const gravityOf = ({ state, would }: { state: State; would?: Finding }): number =>
  state === 'unknown' ? GRAVITY[would!] + 1 : GRAVITY[state];

/** The gravest first, what is known before what is guessed; those alike stay in their order. */
export const gravestFirst = <V extends { state: State; would?: Finding }>(verdicts: V[]): V[] =>
  [...verdicts].sort((a, b) => gravityOf(a) - gravityOf(b));
