import { useEffect, useState } from 'react';

/** Keeps the screen awake while it is used; whether that is so. A device lets go of it when the page is hidden, and is asked again. */
export function useAwake(): boolean {
  const [awake, setAwake] = useState(false);
  useEffect(() => {
    let held: WakeLockSentinel | null = null;
    let over = false;
    const hold = async () => {
      if (document.visibilityState !== 'visible' || !('wakeLock' in navigator)) return;
      try {
        held = await navigator.wakeLock.request('screen');
        if (over) void held.release();
        else setAwake(true);
      } catch {
        // A device that is short of charge refuses: it is said.
        setAwake(false);
      }
    };
    const again = () => void hold();
    again();
    document.addEventListener('visibilitychange', again);
    return () => {
      over = true;
      document.removeEventListener('visibilitychange', again);
      void held?.release();
    };
  }, []);
  return awake;
}
