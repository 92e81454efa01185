import { dequal } from 'dequal/lite';
import { lookAt, type Numbers } from '@/core/advice/look';
import { effectsOf, type Effect } from '@/core/advice/effects';
import type { Job } from '@/core/job/jobSchema';
import { drivingHeight } from '@/core/job/jobValues';
import type { DrivenSetUp, Outing } from '@/core/job/slices/work/drive';
import { stripeState, type Basis } from '@/core/job/stripes';
import { cranksOf } from '@/core/rig/roles';
import { mountsOf } from '@/core/rig/mounts';
import { linksOf } from '@/core/rig/members/members';
import { memberName } from '@/core/rig/names';
import { orNone } from '@/core/rig/read';
import { turnsOf } from '@/core/ride/turns/turns';
import type { Tape } from '@/core/units/tape';

/** Everything of a car that is set, under the words a builder would use for it; lengths in mm. */
export function settingsOf(job: Job): Basis {
  const { rig, roll, ride } = job;
  const name = (id: string) => memberName(id, rig.end);
  const links = linksOf(rig).flatMap(({ id, chassis, axle }): [string, Basis[string]][] => {
    const turned = turnsOf(job, id);
    return [
      [`${name(id)}, frame end off the floor`, chassis[2]],
      [`${name(id)}, axle end off the floor`, axle[2]],
      ...(turned ? [[`${name(id)}, turns`, String(turned)] as [string, string]] : []),
    ];
  });
  const cranks = cranksOf(rig).flatMap(({ id }) =>
    mountsOf(rig, id).map(({ name: mount, point }): [string, number] => [
      `${name(id)}, ${mount.toLowerCase()} off the floor`,
      point[2],
    ]),
  );
  return {
    'ride height': drivingHeight(job),
    ...Object.fromEntries([...links, ...cranks]),
    ...springSettings(roll.springs),
    ...(roll.bar && {
      'sway bar, diameter': roll.bar.od,
      'sway bar, hole': String(roll.bar.hole + 1),
      'sway bar, links on': roll.bar.hooked,
    }),
    ...(ride.read.pinion !== undefined && { 'pinion, degrees': String(ride.read.pinion) }),
    ...(ride.read.toe !== undefined && { toe: ride.read.toe }),
  };
}

function springSettings(springs: Job['roll']['springs']): Basis {
  if (!springs) return {};
  if (springs.kind === 'coil') return { 'springs, N/mm': String(springs.rate) };
  if (springs.kind === 'air') return { 'air springs, N/mm²': String(springs.pressure) };
  return { leaves: String(springs.count), 'leaves, thickness': springs.thickness };
}

/** The car's own numbers as it is set up; null where they cannot be worked out. */
const figuresOf = (job: Job): Numbers | null => orNone(() => lookAt(job, { cures: false }).numbers);

/** How the car is set up now, with its numbers. */
export const setUpNow = (job: Job): DrivenSetUp => ({ settings: settingsOf(job), figures: figuresOf(job) });

/** What one set-up has otherwise than another, in words: `panhard bar, frame end off the floor was 14 in, is now 13 in`. */
export function changesBetween(before: DrivenSetUp, after: DrivenSetUp, tape: Tape): string[] {
  const stripe = stripeState({ at: '', basis: before.settings }, after.settings, tape);
  return stripe.kind === 'broken' ? stripe.changes : [];
}

/** What of the set-up was changed since the drive before, in words; null of the first, and where either set-up is not known. */
export function changedSince({ outings, setUps }: Job['drive'], at: number, tape: Tape): string[] | null {
  const [was, is] = [outings[at - 1], outings[at]].map((one) => one && setUps[one.setUp]);
  return was && is ? changesBetween(was, is, tape) : null;
}

/** What the model has otherwise between two set-ups; null where the numbers of either are not known. */
export const expectedBetween = (before: DrivenSetUp, after: DrivenSetUp): Effect[] | null =>
  before.figures && after.figures ? effectsOf(before.figures, after.figures) : null;

/** The job with an outing on the car as it is set up now: a set-up that was driven before is kept once. */
export function withOuting(job: Job, outing: Omit<Outing, 'setUp'>, setUp: DrivenSetUp): Job {
  const { drive } = job;
  const known = Object.entries(drive.setUps).find(([, kept]) => dequal(kept.settings, setUp.settings));
  const id = known?.[0] ?? outing.id;
  const outings = [...drive.outings, { ...outing, setUp: id }].sort((a, b) => a.at.localeCompare(b.at));
  return { ...job, drive: { ...drive, setUps: { ...drive.setUps, [id]: known?.[1] ?? setUp }, outings } };
}

/** The job with what was written of an outing changed. */
export const withOutingSaid = (job: Job, id: string, change: Partial<Omit<Outing, 'id' | 'setUp'>>): Job => ({
  ...job,
  drive: {
    ...job.drive,
    outings: job.drive.outings.map((one) => (one.id === id ? { ...one, ...change } : one)),
  },
});

/** The job without an outing, and without set-ups that nothing was driven with. */
export function withoutOuting(job: Job, id: string): Job {
  const outings = job.drive.outings.filter((one) => one.id !== id);
  const used = new Set(outings.map(({ setUp }) => setUp));
  const setUps = Object.fromEntries(Object.entries(job.drive.setUps).filter(([key]) => used.has(key)));
  return { ...job, drive: { ...job.drive, outings, setUps } };
}

/** How far the car was driven so far, km. */
export const drivenSoFar = ({ drive }: Pick<Job, 'drive'>): number =>
  drive.outings.reduce((sum, { distance = 0 }) => sum + distance, 0);
