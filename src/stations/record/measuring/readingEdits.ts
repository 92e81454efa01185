import type { Step } from '@/core/record/plan';
import type { Spot } from '@/core/survey/quantities/quantities';
import type { ToolName } from '@/core/survey/quantities/tools';
import type { Limits } from '@/ui/fields/QuantityField';
import { edit } from '@/store/jobStore';
import type { Job } from '@/core/job/jobSchema';
import { withReadingsAt } from '@/core/job/edits/readings';

/** Where the half-typed text of a reading is kept. */
export const readingField = (key: string): string => `reading/${key}`;

export const limitsOf = ({ quantity: { unit, least, most, ways } }: Spot): Limits => ({
  unit,
  least,
  most,
  ways,
});

/** Puts one more reading on record. */
export function keepReading(step: Step, value: number, typed: string, by?: ToolName): void {
  const tool = by ?? (step.tool === step.quantity.tool ? undefined : step.tool);
  const reading = { value, typed, at: new Date().toISOString(), ...(tool && { by: tool }) };
  edit((job) => withReadingsAt(job, step, (list) => [...list, reading]));
}

/** Strikes a reading out, or counts it again: it stays on record either way. */
export const strike =
  (spot: Spot, index: number) =>
  (job: Job): Job =>
    withReadingsAt(job, spot, (list) => list.map((r, i) => (i === index ? { ...r, struck: !r.struck } : r)));
