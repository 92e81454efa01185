import { oncePer } from '@/core/numerics/oncePer';
import { cross, dot, mainAxis, minus, unit, type Point } from '@/core/geometry/vector';
import { railsInTheWay } from '@/core/job/bodies/frameRails';
import type { Job } from '@/core/job/jobSchema';
import { jointsOf } from '@/core/materials/joints';
import type { LinkMember } from '@/core/rig/members/link';
import type { BracketAxes } from '@/core/strength/bracket';
import { measured } from '@/core/survey/readings';
import { MM_PER_INCH } from '@/core/units/tape';
import { crossmembersOf, nearestOn, type Crossmember, type OnCrossmember } from './crossmember';
import { mountId } from '@/core/job/placed';
import { saidOfBracket, type LinkEnd } from './parts';

/** The answer to a question about an end of a link, worked out once for each job. */
export function oncePerEnd<Answer>(
  question: (job: Job, link: LinkMember, end: LinkEnd) => Answer,
): (job: Job, link: LinkMember, end: LinkEnd) => Answer {
  const at = (end: LinkEnd) => oncePer((job: Job, link: LinkMember) => question(job, link, end));
  const ends = { chassis: at('chassis'), axle: at('axle') };
  return (job, link, end) => ends[end](job, link);
}

const inch = (n: number) => n * MM_PER_INCH;

/**
 * Where a bracket is fastened: how far from the eye, mm, and which way the eye stands out from there; to the axle's tube, a frame rail, a
 * crossmember, or something that is not drawn; how thick that is where it is round.
 */
type Root = {
  reach: number;
  out: Point;
  to: 'tube' | 'rail' | 'crossmember' | 'undrawn';
  round: number | null;
  on?: HangsOn;
};

/** The crossmember that a bracket hangs on, and where its eye is nearest to it. */
type HangsOn = OnCrossmember & { crossmember: Crossmember };

/** Farther than this from every rail and crossmember a frame bracket hangs on something else, mm. */
const OFF_THE_RAIL = inch(8);
/** How far an eye usually stands out from such a thing, mm. */
const USUAL_REACH = inch(2.5);
const DOWN: Point = [0, 0, -1];

/** What a bracket is fastened to. */
export const fastenedTo = (job: Job, link: LinkMember, end: LinkEnd): Root['to'] => rootOf(job, link, end).to;

/** The crossmember that a frame bracket hangs on, and where; null of one that hangs on something else. */
export const hangsOn = (job: Job, link: LinkMember): HangsOn | null =>
  rootOf(job, link, 'chassis').on ?? null;

/** What a frame bracket hangs on where that is a rail, as it is said of it. */
export const ON_RAIL = 'rail';

/**
 * From what carries it to an eye: from the axle's tube; from the rail or crossmember that the bracket was said to hang on, else from the nearest
 * face of a frame rail, and where none is near, from the nearest crossmember.
 */
export function rootOf(job: Job, link: LinkMember, end: LinkEnd): Root {
  const eye = link[end];
  if (end === 'axle') {
    const { tireRadius } = job.rig;
    const apart = Math.hypot(eye[0], eye[2] - tireRadius);
    const out: Point = apart < 1e-6 ? DOWN : [eye[0] / apart, 0, (eye[2] - tireRadius) / apart];
    const tube = measured(job.readings, 'tubeDiameter').value / 2;
    return { reach: Math.max(0, apart - tube), out, to: 'tube', round: 2 * tube };
  }
  const rails = railsInTheWay(job).flatMap((rail): Root[] => {
    if (rail.shape !== 'box') return [];
    const face = eye.map((v, k) => Math.min(rail.max[k]!, Math.max(rail.min[k]!, v))) as Point;
    const away = minus(eye, face);
    const reach = Math.hypot(...away);
    return [{ reach, out: reach < 1e-6 ? DOWN : unit(away), to: 'rail', round: null }];
  });
  const { carrier } = saidOfBracket(job, mountId(link.id, end));
  const crossmembers = crossmembersOf(job);
  const said = crossmembers.find(({ id }) => id === carrier);
  const on = (crossmember: Crossmember): Root => {
    const nearest = nearestOn(crossmember, eye);
    return { ...nearest, to: 'crossmember', on: { ...nearest, crossmember } };
  };
  if (said) return on(said);
  const nearest = (all: Root[]): Root | undefined => all.sort((a, b) => a.reach - b.reach)[0];
  const [rail, crossmember] = [nearest(rails), nearest(crossmembers.map(on))];
  if (rail && (carrier === ON_RAIL || rail.reach <= OFF_THE_RAIL)) return rail;
  if (crossmember && crossmember.reach <= OFF_THE_RAIL) return crossmember;
  return { reach: USUAL_REACH, out: DOWN, to: 'undrawn', round: null };
}

/** Below this a bar points as good as straight out of its bracket. */
const STRAIGHT_OUT = 0.2;

/** How the plates of a bracket lie: with the bar and the way out from their root; turned to the bar, or square to the car. */
export const bracketAxes = oncePerEnd(axesAt);

function axesAt(job: Job, link: LinkMember, end: LinkEnd): BracketAxes {
  const { out } = rootOf(job, link, end);
  const bar = unit(minus(link.axle, link.chassis));
  const { brackets } = jointsOf(job.joints, link.id);
  const looks = brackets === 'turned' ? bar : mainAxis(bar);
  const across = cross(looks, out);
  const level = cross(looks, [0, 0, 1]);
  // A bar that pulls straight away from its root leaves the plates free to lie either way: with a level bolt, they do.
  const bolt = unit(Math.hypot(...across) > STRAIGHT_OUT ? across : level);
  const lean = dot(out, bolt);
  const inPlates = unit(out.map((v, k) => v - lean * bolt[k]!) as Point);
  return { bolt, out: inPlates, along: cross(bolt, inPlates) };
}
