import { bracketId } from '@/core/job/bodies/bodyNames';
import { isTyped, onItsWeight } from '@/core/job/jobValues';
import type { Job } from '@/core/job/jobSchema';
import { bracketOf } from '@/core/job/made/bracketParts';
import { bodyAt } from '@/core/job/made/parts';
import type { Bracket } from '@/core/job/slices/fields';
import type { CarAsItIs, Make } from '@/core/job/slices/work/plan';
import type { Point } from '@/core/geometry/vector';
import { sideOf } from '@/core/geometry/side';
import { raisedNow } from '@/core/place/heights';
import type { Body } from '@/core/rig/members/kind';
import type { LinkMember } from '@/core/rig/members/link';
import { lengthwiseLinks, lateralBarOf } from '@/core/rig/roles';
import { capital, memberName } from '@/core/rig/names';
import { sayLength } from '@/core/units/length';

/** A job as its work is gone about: what was said of it, else what asks for the most care; how it says lengths and names. */
export type Site = {
  job: Job;
  car: CarAsItIs;
  make: Make;
  helper: boolean;
  onWeight: boolean;
  /** links in the order in which they are set: those along the car, then the one across it */
  links: LinkMember[];
  across: LinkMember | null;
  /** whether a shaft drives this axle */
  driven: boolean;
  say: (mm: number) => string;
  name: (id: string) => string;
};

export function siteOf(job: Job): Site {
  const { plan, rig, tape, front } = job;
  const across = lateralBarOf(rig);
  const onWeight = onItsWeight(job);
  return {
    job,
    // A car that stands on its weight has something under it that carries it.
    car: plan.car ?? (onWeight ? 'same' : 'other'),
    make: plan.make ?? 'own',
    helper: plan.helper ?? false,
    onWeight,
    links: [...lengthwiseLinks(rig), ...(across ? [across] : [])],
    across,
    driven: rig.end === 'rear' || front.driven,
    say: (mm) => sayLength(mm, tape),
    name: (id) => memberName(id, rig.end),
  };
}

/** A bracket by its bar: `panhard bar’s frame bracket`. */
export const bracketName = ({ name }: Site, member: string, bracket: Bracket): string =>
  name(bracketId(member, bodyAt(bracket)));

export const titled = (site: Site, id: string): string => capital(site.name(id));

/** Whether a bracket is fastened by bolts of its own. */
export const isBolted = ({ job }: Site, link: LinkMember, bracket: Bracket): boolean =>
  bracketOf(job, link, bodyAt(bracket)).bolted;

/** A place in the car as it is measured while brackets are set: off the floor as the car is held, where that is known, else as at ride height. */
export function sayPlace({ job, onWeight, say }: Site, [ahead, left, up]: Point, on: Body): string {
  const along =
    Math.abs(ahead) < 0.5
      ? 'in line with the axle'
      : `${say(Math.abs(ahead))} ${ahead > 0 ? 'ahead of' : 'behind'} the axle`;
  const aside =
    Math.abs(left) < 0.5 ? 'on the centreline' : `${say(Math.abs(left))} ${sideOf(left)} of the centreline`;
  const raised = onWeight ? 0 : raisedNow(job, on, sideOf(left));
  const held = raised === null ? ' with the car at ride height' : raised === 0 ? '' : ' as it is held';
  return `${along}, ${aside}, ${say(up + (raised ?? 0))} off the floor${held}`;
}

/** What the axle weighs with its wheels, kg, where somebody has said it; a usual figure is no weight to lift by. */
export function axleMass({ job }: Site): number | undefined {
  const key = job.rig.end === 'front' ? 'unsprungFront' : 'unsprungRear';
  return isTyped(job, `masses/${key}`) ? job.rig.masses?.[key] : undefined;
}
