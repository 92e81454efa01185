import { parentPort } from 'node:worker_threads';
import { solveRig } from '@/core/bench/solveRig';
import { InputError, readRig } from '@/core/rig/read';
import type { Solved } from './solveApart';

parentPort!.once('message', (rig: string) => parentPort!.postMessage(answerTo(rig)));

/** The answer as it is sent: its text is made here, where the time that this takes is counted. */
function answerTo(rig: string): Solved {
  try {
    return { ok: true, text: JSON.stringify(solveRig(readRig(rig))) };
  } catch (error) {
    // A text has a greatest length.
    if (error instanceof RangeError)
      return { ok: false, path: 'sweep', expected: 'fewer poses at a time: the answer would be too long' };
    if (!(error instanceof InputError)) throw error;
    return { ok: false, path: error.path, expected: error.expected };
  }
}
