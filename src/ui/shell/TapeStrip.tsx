'use client';
import { lazy, Suspense, useMemo } from 'react';
import { type StationId } from '@/core/bench/stationIds';
import { ownStripe } from '@/core/bench/stations';
import { useDrawnPart, useJobPart } from '@/store/jobStore';
import { StripeAcross } from '@/ui/stripe/StripeAcross';
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
  return station === 'weld' ? <WeldMark /> : <OwnMark station={station} />;
}

function OwnMark({ station }: { station: StationId }) {
  return <StripeAcross kind={useDrawnPart((job) => ownStripe(job, station).kind)} />;
}

/** Whether a hold point still holds is worked out with the solver, which the first view does without. */
const WeldStripe = lazy(async () => ({ default: (await import('@/ui/stripe/WeldStripe')).WeldStripe }));

function WeldMark() {
  const isBegun = useJobPart(
    ({ weld, stripes }) =>
      Object.keys(weld.joints).length > 0 || Object.keys(stripes).some((key) => key.startsWith('weld.')),
  );
  return isBegun ? (
    <Suspense>
      <WeldStripe />
    </Suspense>
  ) : null;
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
