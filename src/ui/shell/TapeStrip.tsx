'use client';
import { useMemo } from 'react';
import { type StationId } from '@/core/bench/stationIds';
import { stationStripe } from '@/core/bench/stations';
import { useJobPart } from '@/store/jobStore';
import { StripeMark } from '@/ui/stripe/Stripe';
import { StandingMark } from './Standing';
import './tape.css';

type Props = {
  stations: { id: StationId; name: string }[];
  current: StationId;
  onGo: (id: StationId) => void;
};

const TICK_PX = 8;

/** The steel rule across the top: its marks are the stations, in the order of the work. */
export function TapeStrip({ stations, current, onGo }: Props) {
  return (
    <nav className="tape no-print" aria-label="Stations">
      <Ticks />
      {stations.map(({ id, name }, i) => (
        <button
          key={id}
          type="button"
          aria-current={id === current ? 'step' : undefined}
          data-station={id}
          onClick={() => onGo(id)}
        >
          <span className="tape-number">{i + 1}</span>
          {name}
          <StandingMark station={id} />
          <Mark station={id} />
        </button>
      ))}
    </nav>
  );
}

function Mark({ station }: { station: StationId }) {
  const kind = useJobPart((job) => stationStripe(job, station).kind);
  if (kind === 'none') return null;
  return (
    <>
      <StripeMark kind={kind} width={34} />
      <span className="unseen">{kind === 'whole' ? 'checked' : 'changed since it was checked'}</span>
    </>
  );
}

/** Sixteen lines to the mark, the longer ones where a rule has them. */
function Ticks() {
  const lines = useMemo(
    () =>
      Array.from({ length: 260 }, (_, i) => {
        const length = i % 16 === 0 ? 15 : i % 8 === 0 ? 11 : i % 4 === 0 ? 8 : 5;
        return `M${i * TICK_PX + 0.5},0V${length}`;
      }).join(''),
    [],
  );
  return (
    <svg className="ticks" width="2080" height="16" aria-hidden>
      <path d={lines} />
    </svg>
  );
}
