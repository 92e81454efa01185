import { assemble, type Mechanism } from '@/core/kinematics/mechanism';
import type { Job } from '@/core/job/jobSchema';
import { travelOf } from '@/core/job/jobValues';
import { LINK_ENDS } from '@/core/job/made/parts';
import { mountId } from '@/core/job/placed';
import { LIMITS } from '@/core/materials/limits';
import { linksOf } from '@/core/rig/members/members';
import { lateralBarOf, partnerOf } from '@/core/rig/roles';
import type { LinkMember } from '@/core/rig/members/link';
import { barTrials } from './trials/barTrials';
import { boltWays } from './faults/boltWays';
import { bracketTrials } from './trials/bracketTrials';
import { caseForces, rangesOf, type CaseForces } from './cases';
import { governing, type Trial } from './trials/governing';
import { unprovedOf } from './unproved';
import { isWeld, type Check, type Failure, type Proof } from './types';

/** What is allowed of a weld, and of what comes and goes, has its own margin in it: asked is only what the use and the place ask for more. */
const OF_ALLOWANCE = 1 / LIMITS.strength.wanted.street;

/**
 * Every bar and bracket of a job against every load case, each check in the case that governs it, the weakest first; and what could not
 * be proved.
 *
 * @throws InputError where the members cannot hold the axle or be assembled
 */
export function proveJob(job: Job): Proof {
  const cases = casesOf(job, assemble(job.rig));
  const checks = linksOf(job.rig).flatMap((link) => proveLink(job, link, cases));
  return { checks: checks.sort(weakestFirst), unproved: unprovedOf(job, cases), bolts: boltWays(job) };
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
        governing(part, link.id, trial, trial.comesAndGoes ? ranges : cases, wantedOf(job, link, trial)) ??
        [],
    );
  return [
    ...prove(link.id, barTrials(job, link)),
    ...LINK_ENDS.flatMap((end) => prove(mountId(link.id, end), bracketTrials(job, link, end))),
  ];
}

const SUDDEN: Record<Failure, boolean> = {
  bends: false,
  buckles: false,
  breaks: true,
  strips: true,
  cracks: true,
};

/** How many times over a check should hold: by the use, by whether another member is left when it goes, and by how it goes. */
function wantedOf(job: Job, link: LinkMember, { check, fails }: Trial): number {
  const { strength } = LIMITS;
  const base = job.parts.wanted ?? strength.wanted[job.use];
  const alone = lateralBarOf(job.rig)?.id === link.id || partnerOf(link.id) === null ? strength.alone : 1;
  if (isWeld(check) || fails === 'cracks') return base * alone * OF_ALLOWANCE;
  return base * alone * (SUDDEN[fails] ? strength.breaks : 1);
}
