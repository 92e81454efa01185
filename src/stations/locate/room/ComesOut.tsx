'use client';
import { useEffect } from 'react';
import type { Way } from '@/core/clearance/comesOut';
import { capital, memberName } from '@/core/rig/names';
import { useJob } from '@/store/jobStore';
import { askComesOut, useComesOut } from '@/workers/choosing/search';

/** Whether bars, shaft, cover and what was drawn can still be taken out, once all of this is fitted. */
export function ComesOut() {
  const job = useJob();
  const parts = useComesOut((s) => s.of);
  useEffect(() => {
    void askComesOut(job);
  }, [job]);
  const name = (id: string) => memberName(id, job.rig.end);
  return (
    <section className="section" data-part="comes-out">
      <h2>What still comes out</h2>
      <ul className="comes-out">
        {parts?.map(({ part, way, inTheWay }) => (
          <li key={part} data-out={part} data-clear={way !== null}>
            <b>{capital(name(part))}</b>:{' '}
            {way
              ? `straight ${sayWay(way)}`
              : `no straight way found; ${inTheWay.map((stop) => `${sayWay(stop.way)}, the ${name(stop.by)} is in the way`).join('; ')}`}
          </li>
        ))}
      </ul>
      <p className="hint">
        With its bolts out, the car raised, the axle at ride height. What has to be turned on its way is for
        your own hands to try, before the weld that shuts it in.
      </p>
    </section>
  );
}

const sayWay = ([ahead, left, up]: Way): string =>
  [
    up && (up > 0 ? 'up' : 'down'),
    ahead && (ahead > 0 ? 'ahead' : 'back'),
    left && (left > 0 ? 'to the left' : 'to the right'),
  ]
    .filter(Boolean)
    .join(' and ');
