import { agreementOf, type Agreement } from '@/core/measure/agreement';
import { slopeAlong } from '@/core/measure/floor';
import { checkRecord } from '@/core/measure/recordChecks';
import type { Verdict } from '@/core/verdict';
import type { Approach } from '@/core/measure/plan';
import type { Spot } from '@/core/measure/quantities';
import { found, type Reading } from '@/core/measure/readings';
import { SIDES } from '@/core/measure/quantities';
import { withReadings } from './job';
import type { Job } from './schema';

const MOST_READINGS = 50;

/** How this job is measured, for the plan. */
export const approachOf = ({ record, rig }: Job): Approach => ({
  method: record.method,
  measuring: record.measuring,
  datum: record.datum,
  scales: record.scales,
  brief: record.brief === true,
  driven: rig.driveshaft !== undefined,
});

/** How all readings of a job fit together; null while nothing is redundant. Worked out once for the same readings. */
export function jobAgreement({ readings, record }: Job): Agreement | null {
  if (last?.readings !== readings || last.method !== record.method)
    last = { readings, method: record.method, agreement: agreementOf(readings, record.method) };
  return last.agreement;
}
let last: {
  readings: Job['readings'];
  method: Job['record']['method'];
  agreement: Agreement | null;
} | null = null;

/** What is to be said of a job's readings. */
export const jobRecordChecks = (job: Job): Verdict[] =>
  checkRecord(job.readings, jobAgreement(job), approachOf(job), job.tape);

/** The job with other readings at one spot, and what follows from them: sizes, angles of the shaft, weights. */
export function withReadingsAt(job: Job, spot: Spot, change: (list: Reading[]) => Reading[]): Job {
  const list = change(job.readings[spot.key] ?? []).slice(-MOST_READINGS);
  const read = withReadings({ ...job, readings: { ...job.readings, [spot.key]: list } });
  if (spot.quantity.unit === 'angle') return withAngles(read);
  return spot.quantity.unit === 'weight' ? withWeights(read) : read;
}

/** The same for many spots at once: readings brought in from outside. */
export function withManyReadings(job: Job, readings: Job['readings']): Job {
  return withWeights(withAngles(withReadings({ ...job, readings })));
}

/** Where the yokes point, from the gauge less the slope of the floor; what was drawn stays where nothing was read. */
function withAngles(job: Job): Job {
  const { driveshaft } = job.rig;
  if (!driveshaft) return job;
  const slope = slopeAlong(job.readings);
  const read = (key: 'transmissionAngle' | 'pinionAngle', drawn: number): number => {
    const m = found(job.readings, key);
    return m ? m.value - slope : drawn;
  };
  const angles = {
    transmissionAngleDeg: read('transmissionAngle', driveshaft.transmissionAngleDeg),
    pinionAngleDeg: read('pinionAngle', driveshaft.pinionAngleDeg),
  };
  return { ...job, rig: { ...job.rig, driveshaft: { ...driveshaft, ...angles } } };
}

/** Weight and its place, once all four wheels were weighed. */
function withWeights(job: Job): Job {
  const of = (key: 'weightFront' | 'weightRear') => SIDES.map((side) => found(job.readings, key, side));
  const [front, rear] = [of('weightFront'), of('weightRear')];
  if (!job.rig.masses || [...front, ...rear].some((m) => m === null)) return job;
  const sum = (list: typeof front) => list.reduce((total, m) => total + m!.value, 0);
  const total = sum(front) + sum(rear);
  return {
    ...job,
    rig: { ...job.rig, masses: { ...job.rig.masses, total, frontFraction: sum(front) / total } },
  };
}
