import type { Job } from '@/core/job/jobSchema';
import type { StripeState } from '@/core/job/stripes';
import { weldStripe } from './holdPoint';
import type { StationId } from './stationIds';
import { ownStripe } from './stations';

/** The stripe across a station on the tape; Weld's is whole when all that was begun is striped wherever it is fastened. */
export const stationStripe = (job: Job, station: StationId): StripeState =>
  station === 'weld' ? weldStripe(job) : ownStripe(job, station);
