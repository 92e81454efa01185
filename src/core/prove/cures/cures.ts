import { assemble } from '@/core/kinematics/mechanism';
import { withParts } from '@/core/job/edits/parts/parts';
import type { Job } from '@/core/job/jobSchema';
import { hangsOn } from '@/core/job/made/bracketRoot';
import { crossmemberIn } from '@/core/job/made/crossmember';
import { isOfSwayBar } from '@/core/job/made/sway/parts';
import { linksOf } from '@/core/rig/members/members';
import { pairOf } from '@/core/rig/roles';
import type { Remedy } from '@/core/verdict/verdict';
import { casesOf, isShort, margin, proveLink } from '@/core/prove/prove';
import { proveCrossmembers } from '@/core/prove/crossmembers';
import type { CaseForces } from '@/core/prove/cases';
import { proveSwayBar, swayPullOf, type SwayPull } from '@/core/prove/swayBar';
import type { Check } from '@/core/prove/types';
import { LEVERS } from './levers';

/** So many ways are given. */
const MOST = 3;

/** What a job's parts are asked, by its links and by its sway bar. */
type Asked = { cases: CaseForces[]; pull: SwayPull | null };

/** What makes a check hold as often as is wanted, each the least step of its kind that does, proved with it, and with no other check of the bar or its brackets the worse for it. */
export function curesIn(job: Job): (failing: Check) => Remedy[] {
  let asked: Asked | undefined;
  return (failing) => curesOf(job, failing, (asked ??= askedOf(job)));
}

function askedOf(job: Job): Asked {
  const mechanism = assemble(job.rig);
  return { cases: casesOf(job, mechanism), pull: swayPullOf(job, mechanism) };
}

function curesOf(job: Job, failing: Check, asked: Asked): Remedy[] {
  const before = checksBeside(job, failing, asked);
  return LEVERS[failing.check]
    .flatMap((lever): Remedy[] => {
      const step = lever(job, failing.part).find(({ change }) =>
        holdsWith(before, checksBeside(withParts(job, change), failing, asked), failing),
      );
      return step ? [{ text: step.text, parts: step.change }] : [];
    })
    .slice(0, MOST);
}

/** The checks of what a part belongs to: of a member and of the one that mirrors it, of all that the sway bar pulls at, or of crossmembers and what hangs on them. */
const checksBeside = (job: Job, { part }: Check, asked: Asked): Map<string, Check> =>
  new Map(besides(job, part, asked).map((check) => [keyOf(check), check]));

function besides(job: Job, part: string, { cases, pull }: Asked): Check[] {
  if (isOfSwayBar(part)) return proveSwayBar(job, pull);
  const crossmember = crossmemberIn(part);
  const links = linksOf(job.rig).filter((link) =>
    crossmember ? hangsOn(job, link) !== null : pairOf(part.split('/')[0]!).includes(link.id),
  );
  return [
    ...links.flatMap((link) => proveLink(job, link, cases)),
    ...(crossmember ? proveCrossmembers(job, cases) : []),
  ];
}

const keyOf = ({ part, check }: Check): string => `${part} ${check}`;

function holdsWith(before: Map<string, Check>, after: Map<string, Check>, { part, check }: Check): boolean {
  const cured = after.get(`${part} ${check}`);
  if (!cured || isShort(cured)) return false;
  return [...after].every(([key, now]) => {
    const was = before.get(key);
    return !isShort(now) || (was !== undefined && margin(now) >= margin(was) - 1e-9);
  });
}
