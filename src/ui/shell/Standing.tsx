'use client';
import type { StationId } from '@/core/bench/stationIds';
import type { Open } from '@/core/bench/open';
import { useJobPart } from '@/store/jobStore';
import { useOpen } from '@/workers/advice';
import { settleAt } from './settleAt';
import './standing.css';

const WORDS = { stop: 'stop', look: 'look', unknown: 'not known' } as const;

/** What stops the work at a station, or wants a look: the gravest by its words, the rest by number; always in sight. */
export function Standing({ station }: { station: StationId }) {
  const id = useJobPart((job) => job.id);
  const open = (useOpen(id) ?? []).filter((one) => one.station === station);
  const first = open[0];
  if (!first) return null;
  const rest = countsOf(open.slice(1));
  return (
    <button
      type="button"
      className={`standing no-print ${first.state}`}
      data-standing={first.state}
      onClick={() => show(id, first)}
    >
      <b>{WORDS[first.state]}</b>
      <span>
        {first.title}
        {rest && <small> and {rest}</small>}
      </span>
    </button>
  );
}

/** `1 stop, 2 look, 3 not known`; empty where there is nothing. */
function countsOf(open: Open[]): string {
  return (['stop', 'look', 'unknown'] as const)
    .map((state) => [state, open.filter((one) => one.state === state).length] as const)
    .filter(([, n]) => n > 0)
    .map(([state, n]) => `${n} ${WORDS[state]}`)
    .join(', ');
}

/** Opens the part of the station where it is said, and brings it into sight. */
function show(jobId: string, { station, part, id }: Open): void {
  settleAt(jobId, { station, part });
  // The part may have to be drawn first.
  setTimeout(
    () => document.querySelector(`[data-verdict="${CSS.escape(id)}"]`)?.scrollIntoView({ block: 'center' }),
    120,
  );
}

/** Stops and looks of a station, as small as fits on the tape. */
export function StandingMark({ station }: { station: StationId }) {
  const id = useJobPart((job) => job.id);
  const open = (useOpen(id) ?? []).filter((one) => one.station === station);
  const [stops, looks] = (['stop', 'look'] as const).map(
    (state) => open.filter((one) => one.state === state).length,
  ) as [number, number];
  if (stops + looks === 0) return null;
  return (
    <span className="standing-mark" data-stops={stops} data-looks={looks}>
      {stops > 0 && (
        <b className="stop">
          {stops}
          <span className="unseen"> stop</span>
        </b>
      )}
      {looks > 0 && (
        <b className="look">
          {looks}
          <span className="unseen"> look</span>
        </b>
      )}
    </span>
  );
}
