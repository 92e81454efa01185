import type { Numbers } from './look';

/** A number of the car that a change of it changes. */
export type Effect = { what: keyof Numbers; from: number; to: number };

/** Changes smaller than these are none. */
export const LEAST = {
  rollCentre: 1,
  antiSquat: 1,
  rollSteer: 0.005,
  sideways: 0.3,
  frontShare: 0.005,
  lean: 0.05,
} as const satisfies Record<keyof Numbers, number>;

/** What of a car's numbers changed. */
export function effectsOf(before: Numbers, after: Numbers): Effect[] {
  return (Object.keys(LEAST) as (keyof Numbers)[]).flatMap((what) => {
    const [from, to] = [before[what], after[what]];
    if (from === null || to === null || !Number.isFinite(from) || !Number.isFinite(to)) return [];
    return Math.abs(to - from) < LEAST[what] ? [] : [{ what, from, to }];
  });
}
