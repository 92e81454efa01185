'use client';
import type { RodTurn } from '@/core/ride/steering';
import { memberName } from '@/core/rig/names';
import { useJobPart } from '@/store/jobStore';
import { AdjusterRow } from '@/stations/ride/adjusters/AdjusterRow';

/** How a rod of the steering is adjusted: nothing is taken as usual, so that no turn is told of threads nobody looked at. */
export function RodAdjuster({ id, ends }: { id: RodTurn['id']; ends: readonly [string, string] }) {
  const adjuster = useJobPart((j) => j.ride.adjusters[id] ?? null);
  const name = memberName(id, 'front');
  return (
    <details className="approach no-print">
      <summary>How the {name} is adjusted</summary>
      <ul className="adjusters">
        <AdjusterRow id={id} name={name} adjuster={adjuster} ends={ends} />
      </ul>
    </details>
  );
}
