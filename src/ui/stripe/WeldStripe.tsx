import { weldStripe } from '@/core/bench/holdPoint';
import { useJobPart } from '@/store/jobStore';
import { StripeAcross } from './StripeAcross';

/** The stripe across Weld. */
export function WeldStripe() {
  return <StripeAcross kind={useJobPart((job) => weldStripe(job).kind)} />;
}
