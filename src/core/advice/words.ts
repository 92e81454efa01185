import { sayLength } from '@/core/units/length';
import type { Tape } from '@/core/units/tape';
import type { Numbers } from './look';
import type { Effect } from './effects';
import type { Trade } from './trade';

const percent = (v: number): string => `${Math.round(v)} %`.replace('-', '−');
const share = (v: number): string => `${(100 * v).toFixed(0)} %`;
const signed = (mm: number, tape: Tape): string => `${mm < 0 ? '−' : ''}${sayLength(Math.abs(mm), tape)}`;

/** How each number of a car is called and said. */
const SAID: Record<keyof Numbers, { name: string; say: (v: number, tape: Tape) => string }> = {
  rollCentre: { name: 'roll centre', say: signed },
  antiSquat: { name: 'anti-squat', say: percent },
  rollSteer: { name: 'roll steer', say: (v) => v.toFixed(2).replace('-', '−') },
  sideways: { name: 'sideways', say: signed },
  frontShare: { name: 'front’s share', say: share },
  lean: { name: 'lean', say: (v) => `${v.toFixed(1)}°` },
};

/** What else a remedy changes, in one line: `roll centre 14 3/4 in → 14 1/4 in, anti-squat 99 % → 81 %`; empty where nothing does. */
export const sayEffects = (effects: Effect[], tape: Tape): string =>
  effects
    .map(({ what, from, to }) => {
      const { name, say } = SAID[what];
      return [name, say(from, tape), say(to, tape)] as const;
    })
    .filter(([, from, to]) => from !== to)
    .map(([name, from, to]) => `${name} ${from} → ${to}`)
    .join(', ');

/** What each step of a mount is worth: `Each 1/2 in up: anti-squat +9 %, roll steer −0.03.`; empty where that is nothing. */
export function sayTrade({ step, byHole, way, effects }: Trade, tape: Tape): string {
  const said = effects.flatMap(({ what, from, to }) => {
    const { name, say } = SAID[what];
    const by = to - from;
    const size = say(Math.abs(by), tape);
    return size === say(0, tape) ? [] : [`${name} ${by < 0 ? '−' : '+'}${size}`];
  });
  return said.length ? `Each ${byHole ? 'hole' : sayLength(step, tape)} ${way}: ${said.join(', ')}.` : '';
}
