'use client';
import { useMemo } from 'react';
import { stationStripe, type StationId } from '@/core/build/stations';
import { useJob } from '@/store/jobStore';
import { StripeMark } from './Stripe';
import './tape.css';

type Props = {
  stations: { id: StationId; name: string }[];
  current: StationId;
  onGo: (id: StationId) => void;
};

const TICK_PX = 8;

/** The steel rule across the top: its marks are the stations, in the order of the work. */
export function TapeStrip({ stations, current, onGo }: Props) {
  const job = useJob();
  return (
    <nav className="tape no-print" aria-label="Stations">
      <Ticks />
      {stations.map(({ id, name }, i) => {
        const stripe = stationStripe(job, id);
        return (
          <button
            key={id}
            type="button"
            aria-current={id === current ? 'step' : undefined}
            data-station={id}
            onClick={() => onGo(id)}
          >
            <span className="tape-number">{i + 1}</span>
            {name}
            {stripe.kind !== 'none' && <StripeMark kind={stripe.kind} width={34} />}
            {stripe.kind !== 'none' && (
              <span className="unseen">
                {stripe.kind === 'whole' ? 'checked' : 'changed since it was checked'}
              </span>
            )}
          </button>
        );
      })}
    </nav>
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
