import type { BarDesign, SpringDesign } from '@/core/roll/design';
import { edit, enter } from '@/store/jobStore';

/** Changes the sway bar as it is meant; by something typed, its text is kept. */
export function putBar(change: Partial<BarDesign>, field?: string, typed?: string): void {
  const to = (job: Parameters<Parameters<typeof edit>[0]>[0]) =>
    job.roll.bar ? { ...job, roll: { ...job.roll, bar: { ...job.roll.bar, ...change } } } : job;
  if (field && typed !== undefined) enter(field, typed, to);
  else edit(to);
}

export function putSprings(change: Partial<SpringDesign>, field: string, typed: string): void {
  enter(field, typed, (job) =>
    job.roll.springs ? { ...job, roll: { ...job.roll, springs: { ...job.roll.springs, ...change } } } : job,
  );
}
