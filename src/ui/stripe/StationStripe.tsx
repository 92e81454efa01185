'use client';
import { type StationId } from '@/core/bench/stationIds';
import { ownStripe, stationBasis, stationStripeKey } from '@/core/bench/stations';
import { edit, useDrawnPart } from '@/store/jobStore';
import { drawStripe, wipeStripe } from './stripeEdits';
import { StripeButton } from './Stripe';

/** The stripe across a whole station: the builder's word that it was checked, broken by any later change. */
export function StationStripe({
  station,
  title,
  note,
  disabled,
}: {
  station: StationId;
  title: string;
  note: string;
  disabled?: boolean;
}) {
  const drawn = useDrawnPart((job) => job);
  const stripe = ownStripe(drawn, station);
  const key = stationStripeKey(station);
  return (
    <div className="stripe-row no-print">
      <div>
        <h2>{title}</h2>
        {stripe.kind === 'broken' ? (
          <p className="changed">
            Since checked: {stripe.changes.slice(0, 2).join('; ')}
            {stripe.changes.length > 2 ? '; and more' : ''}.
          </p>
        ) : (
          <p>{note}</p>
        )}
      </div>
      <StripeButton
        stripe={stripe}
        label={title}
        disabled={disabled}
        onDraw={() => edit((j) => drawStripe(j, key, stationBasis(j, station)!))}
        onWipe={() => edit((j) => wipeStripe(j, key))}
      />
    </div>
  );
}
