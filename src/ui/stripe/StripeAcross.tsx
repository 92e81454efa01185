import type { StripeState } from '@/core/job/stripes';
import { StripeMark } from './Stripe';

/** The stripe across a station on the tape, in words besides. */
export function StripeAcross({ kind }: Pick<StripeState, 'kind'>) {
  if (kind === 'none') return null;
  return (
    <>
      <StripeMark kind={kind} width={34} />
      <span className="unseen">{kind === 'whole' ? 'checked' : 'changed since it was checked'}</span>
    </>
  );
}
