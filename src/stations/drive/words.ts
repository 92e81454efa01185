import type { Effect } from '@/core/advice/effects';
import type { Feel, Outing, Phase, TyreCorner } from '@/core/job/slices/work/drive';

export const PHASE_WORDS: Record<Phase, string> = {
  entry: 'Into the corner',
  middle: 'Middle of the corner',
  exit: 'Out of the corner',
  launch: 'Off the line',
  top: 'At speed, straight',
  rough: 'Over bumps',
};

export const FEEL_WORDS: Record<Feel, string> = {
  'very-tight': 'very tight: pushes',
  tight: 'tight',
  good: 'good',
  loose: 'loose',
  'very-loose': 'very loose: the tail goes',
  hooks: 'hooks up',
  spins: 'spins',
  hops: 'hops',
  'pulls-left': 'pulls left',
  'pulls-right': 'pulls right',
  steady: 'steady',
  wanders: 'wanders',
  shakes: 'shakes',
  calm: 'calm',
  skips: 'skips',
  bottoms: 'bottoms',
  steers: 'steers itself',
};

/** Feels that ask for nothing. */
export const GOOD: Feel[] = ['good', 'hooks', 'steady', 'calm'];

export const CORNER_WORDS: Record<TyreCorner, string> = {
  frontLeft: 'front left',
  frontRight: 'front right',
  rearLeft: 'rear left',
  rearRight: 'rear right',
};

/** Less than that of the load transfer nobody feels. */
const FELT = 0.002;

/** What a change of the car's numbers should be felt as; empty where they do not say. */
export function feltAs(effects: Effect[]): string {
  const share = effects.find(({ what }) => what === 'frontShare');
  if (!share || Math.abs(share.to - share.from) < FELT) return '';
  return share.to > share.from ? 'tighter' : 'looser';
}

/** What was felt of an outing, phase by phase. */
export const sayFeel = ({ feel }: Pick<Outing, 'feel'>): string =>
  (Object.entries(feel) as [Phase, Feel][])
    .map(([phase, felt]) => `${PHASE_WORDS[phase].toLowerCase()} ${FEEL_WORDS[felt]}`)
    .join('; ');
