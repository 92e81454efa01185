import type { PhysicsApi } from './physics.worker';
import { supervised } from './supervised';

/** Longer than any of its answers takes on a slow device, the first one with the loading of it, ms. */
const PATIENCE = 8000;

/** Asks the worker that follows the hand. */
export const askPhysics = supervised<PhysicsApi>(
  () => new Worker(new URL('./physics.worker.ts', import.meta.url), { type: 'module' }),
  PATIENCE,
);
