import { otherEndRates, type OtherBuild } from '@/core/balance/otherEndBuild';
import { USUAL_LEAF } from '@/core/rig/layouts';
import type { Rig } from '@/core/rig/schema';
import { shocksOf, springsOf } from '@/core/springs/springDesign';
import { swayBarOf } from '@/core/swaybar/swayBarDesign';
import { joinedIn, withBodies } from '@/core/job/bodies/bodies';
import type { Job } from '../jobSchema';
import type { RollDesign } from '../slices/roll';
import { told, without } from './omit';

/**
 * The rig with springs, shocks and sway bar as they are designed, in the form in which a rig file states them; a bar whose links are
 * off does nothing. Springs and bars that a rig states without a design stay as they are.
 */
export function withRollRig(
  rig: Rig,
  { springs, shock, bar }: Pick<RollDesign, 'springs' | 'shock' | 'bar'>,
): Rig {
  return {
    ...rig,
    ...(springs && { springs: springsOf(springs, rig) }),
    ...(shock && { shocks: shocksOf(shock, springs) }),
    ...(bar && { swayBars: bar.hooked ? [swayBarOf(bar)] : [] }),
  };
}

/** What stands where, and what is fastened to what, does not follow from the sway bar: while that is dragged, they stay. */
const isBarAlone = (change: Partial<RollDesign>): boolean =>
  Object.keys(change).every((key) => key === 'bar');

/** A rig and a design with some of the design changed; what is taken off the design is taken off the rig. */
export function redesigned<T extends RollDesign & { rig: Rig }>(of: T, change: Partial<RollDesign>): T {
  const next = { ...of, ...change };
  const rig = { ...of.rig };
  if (change.springs === null) delete rig.springs;
  if (change.shock === null) delete rig.shocks;
  if (change.bar === null) delete rig.swayBars;
  const built = withRollRig(rig, next);
  return { ...next, rig: isBarAlone(change) ? built : { ...built, joined: joinedIn(built) } };
}

/** The job with some of what holds the car up in roll designed anew. */
export function withRoll(job: Job, change: Partial<Job['roll']>): Job {
  const packless =
    job.roll.springs?.kind === 'leaf' && change.springs !== undefined && change.springs?.kind !== 'leaf';
  const { rig } = redesigned({ ...job.roll, rig: packless ? withoutPack(job.rig) : job.rig }, change);
  const rolled = { ...job, rig, roll: { ...job.roll, ...change } };
  return isBarAlone(change) ? rolled : withBodies(rolled);
}

/** A rig whose leaves hold as is usual: what their pack made of them went with the pack. */
const withoutPack = (rig: Rig): Rig => ({
  ...rig,
  members: rig.members.map((m) => (m.type === 'leaf' ? { ...m, ...USUAL_LEAF } : m)),
});

/** The job with what is known of its other end changed; its stiffness against roll follows once enough of it is. */
export function withOtherBuild(job: Job, change: Partial<OtherBuild>): Job {
  const build = told<OtherBuild>({ carried: 'independent', ...job.roll.otherBuild }, change)!;
  const known = { ...job, roll: { ...job.roll, otherBuild: build } };
  const { otherEnd } = job.rig;
  const { springs, bar } = otherEnd ? otherEndRates(build, otherEnd.track) : { springs: null, bar: null };
  if (!otherEnd || springs === null || bar === null) return known;
  return {
    ...known,
    typed: without(without(known.typed, 'other/rollRate'), 'other/bar'),
    roll: { ...known.roll, otherBar: bar },
    rig: { ...job.rig, otherEnd: { ...otherEnd, rollRate: springs + bar } },
  };
}
