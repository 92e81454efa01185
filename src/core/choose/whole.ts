import { gravities, lookAt, type Look } from '@/core/advice/look';
import { graver, type Graver } from '@/core/advice/tried';
import type { Job } from '@/core/job/jobSchema';
import type { Gap } from '@/core/locate/types';
import { swayBarPartAt } from '@/core/locate/travel/swayBarPlaces';
import { orNone } from '@/core/rig/read';
import { roomId } from '@/core/roll/checks/bar';
import { withAnswer, type Answer } from './answer';

/** A car as it stands, looked at whole, to hold a changed one against. */
export const asItStands = (job: Job): Look => lookAt(job, { cures: false });

/**
 * What is graver in a changed car than in the car as it stands, of all that is said of what is laid out, of springs, sway bar and its
 * room, and of what the parts bear.
 *
 * @param known pairs of bodies whose nearness is told already, which are left out
 */
export function graverIn(changed: Job, before: Look, known: Gap[]): Graver[] {
  const after = orNone(() => lookAt(changed, { cures: false }));
  if (!after) return [{ said: 'the axle would not be held', stops: true }];
  const isKnown = (gap: Gap) => known.some(({ a, b }) => a === gap.a && b === gap.b);
  const { end } = changed.rig;
  const saidOfBar = known.flatMap((gap) => {
    const part = swayBarPartAt(gap);
    return part ? [roomId({ part, body: gap.b }, end)] : [];
  });
  const untold = {
    ...after,
    gaps: after.gaps.filter((gap) => !isKnown(gap)),
    said: after.said.filter(({ verdict }) => !saidOfBar.includes(verdict.id)),
  };
  return graver(changed, gravities(before), gravities(untold), after);
}

/** What is graver in the whole car at a place that was found. */
export const graverAt = (job: Job, answer: Answer): Graver[] =>
  graverIn(withAnswer(job, answer), asItStands(job), answer.hits);
