'use client';
import type { Holding } from '@/core/job/slices/place';
import { useJob } from '@/store/jobStore';
import { Pick } from '@/ui/cards/Pick';
import { Pills } from '@/ui/cards/Pills';
import { putPlace } from './place';

const HOLDINGS: Record<Holding, [name: string, what: string]> = {
  weight: [
    'On its own weight',
    'Tyres on the floor or on ramps, settled: what is set is set where the car will stand. Little room to work.',
  ],
  rests: [
    'On rests, frame on stands',
    'The axle is held at its height by arithmetic. Room to work, springs out; it is only as right as the rests.',
  ],
};
const AT: { value: 'driving' | 'parked'; label: string }[] = [
  { value: 'driving', label: 'at its driving height' },
  { value: 'parked', label: 'at its parked height' },
];

/** How the axle is held while brackets are set: what is measured here, and what the hold points ask, follow from it. */
export function HeldBy() {
  const { place } = useJob();
  const at = AT.find(({ value }) => value === (place.heldAt ?? 'driving'))!.label;
  return (
    <>
      {place.holding && (
        <p className="print-only">
          Held: {HOLDINGS[place.holding][0].toLowerCase()}
          {place.holding === 'rests' && `, ${at}`}.
        </p>
      )}
      <div className="no-print">
        <Pick
          legend="Two ways of holding the axle while brackets are set"
          name="holding"
          options={HOLDINGS}
          value={place.holding ?? null}
          onPick={(holding) => putPlace('place/holding', null, () => ({ holding }))}
        />
        {place.holding === 'rests' && place.parkedDrop > 0 && (
          <Pills
            legend="Rests"
            options={AT}
            value={place.heldAt ?? 'driving'}
            onPick={(heldAt) => putPlace('place/heldAt', null, () => ({ heldAt }))}
          />
        )}
      </div>
    </>
  );
}
