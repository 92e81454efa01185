import { LIMITS } from '@/core/materials/limits';
import type { MostSteer } from '../types';

/** Whether bumps steer the road wheels more than is allowed, or the drag link cannot follow. Apart from what finds it: words need no solver. */
export const isSteered = (wheels: MostSteer | null): boolean =>
  wheels === null || wheels.both > LIMITS.bumpSteer.both || wheels.one > LIMITS.bumpSteer.one;
