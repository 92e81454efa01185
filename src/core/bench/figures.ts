import { CUT_FIGURES } from '@/core/cut/restsOn';
import type { Job } from '@/core/job/jobSchema';
import type { Gap } from '@/core/locate/types';
import { gapRestsOn, LOCATE_FIGURES } from '@/core/locate/verdicts/restsOn';
import { guessesAmong, spokenOf, type Input, type InputId } from '@/core/provenance/inputs';
import { ROLL_FIGURES } from '@/core/roll/restsOn';

const OF_RIG = { ...LOCATE_FIGURES, ...ROLL_FIGURES };
/** Of the drag link beside the track bar. */
const alike = ({ rig }: Job): InputId[] => LOCATE_FIGURES.bumpSteer(rig);
const OF_JOB = {
  ...CUT_FIGURES,
  lengthNow: CUT_FIGURES.cutEyes,
  lengthWanted: ({ rig }: Job) => LOCATE_FIGURES.rollCentre(rig),
  tiltAfter: CUT_FIGURES.cutEyes,
  threadAfter: CUT_FIGURES.engagement,
  alikeLength: alike,
  alikeTilt: alike,
  alikeSide: alike,
  // These are what was read itself.
  pointing: () => [],
  toe: () => [],
} satisfies Record<string, (job: Job) => InputId[]>;

/** A number that a station shows as what its work comes to, by its name. */
export type Figure = keyof typeof OF_RIG | keyof typeof OF_JOB;

/** What a figure of a job, or the gap between two of its bodies, hangs on that nobody has read or said. */
export function guessesBehind(job: Job, of: Figure | Gap): Input[] {
  if (typeof of === 'object') return guessesAmong(job, gapRestsOn(job.rig, of));
  return guessesAmong(job, isOfRig(of) ? OF_RIG[of](job.rig) : OF_JOB[of](job));
}

/** The same by the words of the trade, each thing once. */
export const namesOfGuesses = (job: Job, of: Figure | Gap): string[] => [
  ...new Set(guessesBehind(job, of).map(spokenOf)),
];

const isOfRig = (figure: Figure): figure is keyof typeof OF_RIG => figure in OF_RIG;
