import type { Rig } from '@/core/rig/schema';

type OtherEnd = NonNullable<Rig['otherEnd']>;

/** The end of a car that is not being built, as it usually is (orders of magnitude, no published source): a place to begin. */
export const usualOtherEnd = ({
  track,
  tireRadius,
  end,
}: Pick<Rig, 'track' | 'tireRadius' | 'end'>): OtherEnd => ({
  rollCentreHeight: end === 'rear' ? 60 : 300,
  rollRate: end === 'rear' ? 420_000 : 250_000,
  track,
  tireRadius,
});
