import { SIDES } from '@/core/geometry/side';
import type { Mechanism } from '@/core/kinematics/mechanism';
import type { Job } from '@/core/job/jobSchema';
import { travelOf } from '@/core/job/jobValues';
import { isOnEar, springPlateOf } from '@/core/job/made/springPlate';
import { angleOf } from '@/core/job/made/sway/angle';
import { endLinkOf } from '@/core/job/made/sway/endLink';
import type { SwayPart } from '@/core/job/made/sway/parts';
import { strapOf } from '@/core/job/made/sway/strap';
import { orNone } from '@/core/rig/read';
import { linkHeight, linkOn, type EndLink } from '@/core/swaybar/swayBarDesign';
import { swayBarCarries } from '@/core/swaybar/swayBarOverTravel';
import type { CaseForces } from './cases';
import { swayFaultsOf } from './faults/swayFaults';
import { governing, type Trial } from './trials/governing';
import { angleTrials, earTrials, endLinkTrials, strapTrials } from './trials/swayBarTrials';
import type { Check } from './types';
import { wantedElsewhere } from './wanted';

/** The member by whose force a case asks what a sway bar pulls at: along its end links. */
const LINKS = 'sway-bar';

/** What a sway bar pulls with: the force along its end links by case; and what each bushing carries of that, as a share. */
export type SwayPull = { cases: CaseForces[]; share: number };

/** What a job's sway bar pulls with as the axle is rolled as far as its travel lets it; null of a bar that cannot follow, and without one. */
export function swayPullOf(job: Job, mechanism: Mechanism): SwayPull | null {
  const { bar } = job.roll;
  const carried = bar && orNone(() => swayBarCarries({ rig: job.rig, ...travelOf(job) }, bar, mechanism));
  if (!carried || carried.link <= 0) return null;
  // What a link lifts with is what it carries, the more the farther it leans.
  const along = carried.link / Math.min(...SIDES.map((side) => steepness(linkOn(bar, side))));
  return {
    share: carried.bushing / along,
    cases: ([1, -1] as const).map((way) => ({
      name: `Axle rolled as far as it goes, link ${way > 0 ? 'pulled' : 'pushed'}`,
      members: { [LINKS]: way * along },
    })),
  };
}

/** How much of its length a link stands upright at ride height. */
const steepness = (of: EndLink): number => linkHeight(of) / of.link;

/** The checks of what a sway bar pulls at: its end links, the straps over its bushings and the angles they stand on, the ears of spring plates that its links stand on. */
export function proveSwayBar(job: Job, pull: SwayPull | null): Check[] {
  if (!pull) return [];
  const { cases, share } = pull;
  const faults = swayFaultsOf(job);
  // What cannot be made is not proved.
  const prove = (part: SwayPart, trials: Trial[]) =>
    (faults[part] ? [] : trials).flatMap(
      (trial) => governing(part, LINKS, trial, cases, wantedElsewhere(job, trial)) ?? [],
    );
  const [link, strap, angle, plate] = [endLinkOf(job), strapOf(job), angleOf(job), springPlateOf(job)];
  return [
    ...(link ? prove('sway-bar/link', endLinkTrials(job, link)) : []),
    ...(strap ? prove('sway-bar/strap', strapTrials(job, strap, share)) : []),
    ...(strap && angle ? prove('sway-bar/angle', angleTrials(job, angle, strap.grade, share)) : []),
    ...(plate && isOnEar(job, plate) ? prove('sway-bar/ear', earTrials(job, plate)) : []),
  ];
}
