import { useEffect, useRef, useState } from 'react';
import type { Outcome } from '../outcome';
import type { Running } from './choose';

/**
 * A long search that one place on the screen has under way: how far it is, 0 to 1, null while there is none; how one is begun, in place of
 * the one before it, and stopped. It ends with the place. What is begun answers null where it was stopped, or another was begun since.
 */
export function useRun<T>() {
  const [share, setShare] = useState<number | null>(null);
  const running = useRef<Running<T> | null>(null);
  useEffect(() => () => running.current?.stop(), []);

  async function run(begin: (told: (share: number) => void) => Running<T>): Promise<Outcome<T> | null> {
    running.current?.stop();
    setShare(0);
    const mine = begin(setShare);
    running.current = mine;
    const outcome = await mine.answer;
    if (running.current !== mine) return null;
    running.current = null;
    setShare(null);
    return outcome;
  }

  return { share, run, stop: () => running.current?.stop() };
}
