import { G } from '@/core/units/gravity';
import type { Rig } from './schema';

/** Sprung weight on the end that is built, N; null without the car's masses, or where nothing of it is sprung. */
export function sprungWeight({ masses, end }: Pick<Rig, 'masses' | 'end'>): number | null {
  if (!masses) return null;
  const { total, frontFraction, unsprungFront, unsprungRear } = masses;
  const sprung =
    end === 'rear' ? total * (1 - frontFraction) - unsprungRear : total * frontFraction - unsprungFront;
  return sprung > 0 ? sprung * G : null;
}
