import { assemble, type Mechanism } from '@/core/kinematics/mechanism';
import type { Job } from '@/core/job/jobSchema';
import { travelOf } from '@/core/job/jobValues';
import { LINK_ENDS } from '@/core/job/made/parts';
import { mountId } from '@/core/job/placed';
import { LIMITS } from '@/core/materials/limits';
import { linksOf } from '@/core/rig/members/members';
import type { LinkMember } from '@/core/rig/members/link';
import { barTrials } from './trials/barTrials';
import { boltWays } from './faults/boltWays';
import { bracketTrials } from './trials/bracketTrials';
import { proveCrossmembers } from './crossmembers';
import { caseForces, rangesOf, type CaseForces } from './cases';
import { governing, type Trial } from './trials/governing';
import { proveSwayBar, swayPullOf } from './swayBar';
import { unprovedOf } from './unproved';
import type { Check, Proof } from './types';
import { wantedOfLink } from './wanted';

/**
 * Every bar and bracket of a job, what its sway bar pulls at and its crossmembers, against every load case, each check in the case that governs it, the
 * weakest first; and what could not be proved.
 *
 * @throws InputError where the members cannot hold the axle or be assembled
 */
export function proveJob(job: Job): Proof {
  const mechanism = assemble(job.rig);
  const [cases, pull] = [casesOf(job, mechanism), swayPullOf(job, mechanism)];
  const checks = [
    ...linksOf(job.rig).flatMap((link) => proveLink(job, link, cases)),
    ...proveSwayBar(job, pull),
    ...proveCrossmembers(job, cases),
  ];
  return { checks: checks.sort(weakestFirst), unproved: unprovedOf(job, cases, pull), bolts: boltWays(job) };
}

/** How much of what is wanted a check has: below 1 it has too little. */
export const margin = ({ factor, wanted }: Check): number => factor / wanted;

/** Whether a check does not hold even once: what cracks in time does at first. */
export const isUnderOne = ({ factor, fails }: Check): boolean => factor < 1 && fails !== 'cracks';

/** The order of two checks: what does not hold at all, then what has the least of what is wanted. */
export const weakestFirst = (a: Check, b: Check): number =>
  Number(isUnderOne(b)) - Number(isUnderOne(a)) || margin(a) - margin(b);

/** Whether a check holds less often than is wanted. */
export const isShort = (check: Check): boolean => margin(check) < 1 - 1e-9;

export const casesOf = (job: Job, mechanism: Mechanism): CaseForces[] =>
  caseForces(mechanism, { use: job.use, cornerG: job.cornerG, axleRatio: job.shaft.ratio }, travelOf(job));

/** The checks of one link with the brackets at its ends. */
export function proveLink(job: Job, link: LinkMember, cases: CaseForces[]): Check[] {
  const ranges = rangesOf(cases, LIMITS.strength.cycles[job.use]);
  const prove = (part: string, trials: Trial[]) =>
    trials.flatMap(
      (trial) =>
        governing(
          part,
          link.id,
          trial,
          trial.comesAndGoes ? ranges : cases,
          wantedOfLink(job, link, trial),
        ) ?? [],
    );
  return [
    ...prove(link.id, barTrials(job, link)),
    ...LINK_ENDS.flatMap((end) => prove(mountId(link.id, end), bracketTrials(job, link, end))),
  ];
}
