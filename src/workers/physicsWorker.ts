import { wrap, type Remote } from 'comlink';
import type { PhysicsApi } from './physics.worker';

let worker: Remote<PhysicsApi> | null = null;

/** The worker that follows the hand, started when it is first asked. */
export const physicsWorker = (): Remote<PhysicsApi> =>
  (worker ??= wrap<PhysicsApi>(
    new Worker(new URL('./physics.worker.ts', import.meta.url), { type: 'module' }),
  ));
