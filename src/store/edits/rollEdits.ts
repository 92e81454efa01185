import { create } from 'zustand';
import type { BarDesign } from '@/core/swaybar/swayBarDesign';
import { told } from '@/core/job/edits/omit';
import { withRoll } from '@/core/job/edits/roll';
import type { WhatIf } from '@/core/roll/levers';
import type { SpringDesign } from '@/core/springs/springDesign';
import { edit, enter } from '@/store/jobStore';
import type { Job } from '@/core/job/jobSchema';
import { lockOf, travelOf } from '@/core/job/jobValues';

type Roll = Job['roll'];

/** Changes what holds the car up in roll; by something typed, its text is kept. */
export function putRoll(change: (roll: Roll) => Partial<Roll>, field?: string, typed?: string | null): void {
  const to = (job: Job): Job => withRoll(job, change(job.roll));
  if (field !== undefined && typed !== undefined) enter(field, typed, to);
  else edit(to);
}

/** Changes the sway bar as it is meant, by what is changed of it or from what it is. */
export function putBar(
  change: Partial<BarDesign> | ((bar: BarDesign) => Partial<BarDesign>),
  field?: string,
  typed?: string | null,
): void {
  const of = typeof change === 'function' ? change : () => change;
  putRoll(({ bar }) => (bar ? { bar: told(bar, of(bar)) ?? null } : {}), field, typed);
}

/** Changes the springs as they are meant. */
export function putSprings(change: Partial<SpringDesign>, field?: string, typed?: string | null): void {
  putRoll(
    ({ springs }) => (springs ? { springs: { ...springs, ...change } as SpringDesign } : {}),
    field,
    typed,
  );
}

/** Puts a usual pair of springs on, where they clear everything. What finds the place is fetched when it is wanted. */
export async function startSprings(kind: SpringDesign['kind']): Promise<void> {
  const { springsThatFit } = await import('@/core/roll/placing');
  edit((job) => withRoll(job, { springs: springsThatFit(carOf(job), kind) }));
}

/** Puts a sway bar on where it clears everything and its links can follow. */
export async function startBar(make: (rig: Job['rig']) => BarDesign): Promise<void> {
  const { barThatFits } = await import('@/core/roll/placing');
  edit((job) => withRoll(job, { bar: barThatFits(carOf(job), make(job.rig)) }));
}

const carOf = (job: Job) => ({ ...job.roll, rig: job.rig, ...travelOf(job), lock: lockOf(job) });

/** Changes that are being thought about: shown, not made. Gone with the page. */
export const useWhatIf = create<WhatIf>()(() => ({}));

export const think = (what: WhatIf): void => useWhatIf.setState(what);
export const forget = (): void => useWhatIf.setState({}, true);
