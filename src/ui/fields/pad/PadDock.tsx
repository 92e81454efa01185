'use client';
import { useEffect, useRef, useSyncExternalStore } from 'react';
import { createPortal } from 'react-dom';
import { useJobPart } from '@/store/jobStore';
import { setPreferences, usePreferences } from '@/store/preferences';
import { Pad, type PadProps } from './Pad';

const FINGERS = '(pointer: coarse)';
const byFinger = () => window.matchMedia(FINGERS).matches;
function watch(tell: () => void): () => void {
  const media = window.matchMedia(FINGERS);
  media.addEventListener('change', tell);
  return () => media.removeEventListener('change', tell);
}

/** Whether values are typed with a finger; whether with our pad, or with the keyboard that the device brings up. */
export function usePadded(): { byFinger: boolean; padded: boolean } {
  const finger = useSyncExternalStore(watch, byFinger, () => false);
  const pad = usePreferences((s) => s.pad);
  return { byFinger: finger, padded: finger && pad };
}

type Props = Omit<PadProps, 'tape'> & { label: string };

/** The pad at the foot of the screen, for the field that is being typed in; the field stays in sight above it. */
export function PadDock({ label, ...pad }: Props) {
  const tape = useJobPart((j) => j.tape);
  const dock = useRef<HTMLDivElement>(null);
  useEffect(() => {
    document.documentElement.style.setProperty('--pad', `${dock.current!.offsetHeight}px`);
    document.activeElement?.scrollIntoView({ block: 'nearest' });
    return () => void document.documentElement.style.removeProperty('--pad');
  }, []);
  return createPortal(
    <div className="pad-dock no-print" ref={dock}>
      <p>
        {label}
        <button
          type="button"
          tabIndex={-1}
          onPointerDown={(e) => e.preventDefault()}
          onClick={() => setPreferences({ pad: false })}
        >
          use the keyboard
        </button>
      </p>
      <Pad {...pad} tape={tape} />
    </div>,
    document.body,
  );
}
