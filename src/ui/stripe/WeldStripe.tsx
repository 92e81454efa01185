import { weldStripe } from '@/core/bench/holdPoint';
import { useDrawnPart } from '@/store/jobStore';
import { StripeAcross } from './StripeAcross';

/** The stripe across Weld. */
export function WeldStripe() {
  return <StripeAcross kind={useDrawnPart((job) => weldStripe(job).kind)} />;
}
