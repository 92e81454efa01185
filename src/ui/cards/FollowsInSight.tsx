'use client';
import { useEffect, useRef, useState, type ReactNode } from 'react';
import type { Job } from '@/core/job/jobSchema';
import { HeldJob } from '@/store/heldJob';
import { jobOnBench, useDragged } from '@/store/jobStore';

type Kept = { children: ReactNode; job: Job | null };

/**
 * A part of a card that follows a drag while it is in sight. Out of sight it stays as it was until the hand lets go, so that what can be
 * seen follows the hand the sooner.
 */
export function FollowsInSight({ children }: { children: ReactNode }) {
  const box = useRef<HTMLDivElement>(null);
  const [inSight, setInSight] = useState(true);
  const inHand = useDragged((s) => s.job !== null);
  const [kept, setKept] = useState<Kept | null>(null);
  const follows = inSight || !inHand;
  if (follows && kept) setKept(null);
  if (!follows && !kept) setKept({ children, job: jobOnBench() });

  useEffect(() => {
    const watch = new IntersectionObserver((seen) => setInSight(seen.at(-1)!.isIntersecting));
    watch.observe(box.current!);
    return () => watch.disconnect();
  }, []);

  return (
    <div ref={box}>
      <HeldJob value={kept?.job ?? null}>{kept ? kept.children : children}</HeldJob>
    </div>
  );
}
