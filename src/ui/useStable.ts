import { useCallback, useLayoutEffect, useRef } from 'react';

/** The same function at every drawing, doing what its newest version does: what it is given to need not be drawn again for it. */
export function useStable<A extends unknown[], R>(newest: (...args: A) => R): (...args: A) => R {
  const latest = useRef(newest);
  useLayoutEffect(() => {
    latest.current = newest;
  });
  return useCallback((...args: A) => latest.current(...args), []);
}
