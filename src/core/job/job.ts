import type { BarSpec } from '@/core/fabricate/bar';
import { distance } from '@/core/vector';
import type { LocateInput } from '@/core/locate/types';
import { withMember } from '@/core/locate/lateralBar';
import { axialRate, jointsOf, type MemberJoints } from '@/core/joints/joints';
import { measured, measuredAcross } from '@/core/measure/readings';
import {
  DRIVESHAFT,
  isLink,
  linksOf,
  pairOf,
  partnerOf,
  STEERING,
  withMount,
  type MountChange,
} from '@/core/rig/members';
import type { LinkMember, Obstacle, Point, Rig, Travel } from '@/core/rig/schema';
import { USUAL_CASES } from '@/core/statics/usualCases';
import type { RollInput } from '@/core/roll/setUp';
import { springsOf } from '@/core/roll/springDesign';
import { withoutOwners } from '@/core/without';
import { MM_PER_INCH, type Tape } from '@/core/units/tape';
import { layoutEnd, layOut, PANHARD, type LayoutId, type PatternSize } from '@/core/layouts/patterns';
import { JOB_VERSION, type Job, type Use } from './schema';
import { startingPlace, startingRecord, startingRide, startingRoll } from './starting';

/** Height of the centre of gravity until it is typed, mm: about the height of a camshaft. */
const CG_STAND_IN = 530;

const inch = (n: number) => n * MM_PER_INCH;

/** Sideways movement of the axle that each use can live with, mm; where Pellik starts, for the builder to change. */
export const SHIFT_LIMITS: Record<Use, number> = {
  street: inch(1 / 8),
  autocross: inch(1 / 16),
  drag: inch(1 / 8),
  offroad: inch(1 / 2),
  tow: inch(1 / 4),
};

/** A job with nothing measured yet: drawn from stand-in figures until the tape says better. */
export function newJob(id: string, name: string, tape: Tape): Job {
  const end = { toShoulder: inch(2.125), showing: inch(0.375), shank: inch(2.25), bung: inch(2) };
  return withReadings({
    format: 'pellik.job',
    version: JOB_VERSION,
    id,
    name,
    car: '',
    use: 'street',
    layout: 'three-link-panhard',
    tape,
    notes: '',
    rig: { format: 'pellik.rig', version: 1, end: 'rear', tireRadius: 1, track: 1, members: [] },
    laidOut: false,
    typed: {},
    readings: {},
    record: startingRecord(),
    place: startingPlace(),
    joints: {},
    holes: {},
    shaft: { room: {}, ratio: USUAL_CASES.axleRatio },
    cornerG: USUAL_CASES.cornerG,
    locate: { school: 'ride', adjuster: 'frame', shiftLimit: SHIFT_LIMITS.street },
    roll: startingRoll(),
    cut: {
      thread: '3/4-16',
      leftHandEnd: 'frame',
      engagementRule: inch(1.5),
      ends: { frame: end, axle: { ...end } },
      tube: { od: inch(1.25), wall: inch(0.12) },
    },
    weld: { joints: { frame: 'scribed', axle: 'scribed' }, measured: {}, log: [] },
    ride: startingRide(),
    stripes: {},
  });
}

/**
 * The job with its rig brought up to its readings: the one way from tape to model. Mounts that were never moved follow the
 * layout's pattern; mounts that were stay where they were put.
 */
export function withReadings(job: Job): Job {
  const { rig } = job;
  const size = patternSize(job);
  const { tireRadius, track, cover, tubeOd } = size;
  const wheelbase = measuredAcross(job.readings, 'wheelbase');
  const laid = job.laidOut ? rig : { ...bare(rig), ...layOut(job.layout, size) };
  const sized = withMember(laid, PANHARD, (bar) => ({ ...bar, od: tubeOd }));
  const obstacles = [...axleObstacles(job, tireRadius, track, cover), ...ownObstacles(rig)];
  const cgHeight = rig.cgHeight ?? CG_STAND_IN;
  return { ...job, rig: { ...sized, tireRadius, track, wheelbase, cgHeight, obstacles } };
}

/** What patterns are scaled to, from the readings of a job. */
export const patternSize = ({ readings, cut }: Job): PatternSize => ({
  tireRadius: measuredAcross(readings, 'tireRadius'),
  track: measured(readings, 'track').value,
  cover: measured(readings, 'cover').value,
  tubeOd: cut.tube.od,
});

/** A rig without what a layout brings. */
function bare(rig: Rig): Rig {
  const rest = { ...rig };
  delete rest.steering;
  delete rest.driveshaft;
  return rest;
}

/**
 * The job laid out anew in another layout, from its pattern: what was typed for the old members goes, what was measured on
 * the car stays.
 */
export function withLayout(job: Job, layout: LayoutId): Job {
  const gone = [...job.rig.members.map((m) => m.id), STEERING, DRIVESHAFT];
  const fresh = {
    ...job,
    typed: withoutOwners(job.typed, gone),
    joints: {},
    holes: {},
    cut: { ...job.cut, member: undefined },
  };
  return withReadings({ ...fresh, layout, laidOut: false, rig: { ...job.rig, end: layoutEnd(layout) } });
}

const COVER = 'differential cover';
const TUBE = 'axle tube';

/** What the builder has put in the way: all that does not follow from readings. */
export const ownObstacles = (rig: Rig): Obstacle[] =>
  (rig.obstacles ?? []).filter((o) => o.id !== COVER && o.id !== TUBE);

/** The axle's own housing, as far as it was measured: what a lateral bar hits first. */
function axleObstacles({ readings }: Job, tireRadius: number, track: number, cover: number): Obstacle[] {
  const reach = track / 2 - measured(readings, 'tireWidth').value / 2;
  return [
    { id: COVER, on: 'axle', shape: 'sphere', centre: [0, 0, tireRadius], radius: cover },
    {
      id: TUBE,
      on: 'axle',
      shape: 'capsule',
      from: [0, reach, tireRadius],
      to: [0, -reach, tireRadius],
      radius: measured(readings, 'tubeDiameter').value / 2,
    },
  ];
}

/** Ends of a bar nearer than this are one point, mm. */
const SHORTEST_BAR = 1;

/**
 * The job with mounts moved; the same job where that would put both ends of a bar on one point. Text typed for a mount
 * that has moved shows no more, since it no longer reads as the value.
 */
export function withMounts(job: Job, changes: MountChange[]): Job {
  const rig = changes.reduce(withMount, job.rig);
  return collapsed(rig) ? job : { ...job, laidOut: true, rig };
}

/** Whether both ends of some bar stand on one point. */
const collapsed = (rig: Rig): boolean =>
  rig.members.some((m) =>
    m.type === 'link'
      ? distance(m.chassis, m.axle) < SHORTEST_BAR
      : m.type === 'watts'
        ? (['top', 'bottom'] as const).some(
            (k) =>
              distance(m.crank[k], m.ends[k]) < SHORTEST_BAR || distance(m.crank[k], m.pivot) < SHORTEST_BAR,
          )
        : m.type === 'leaf' && distance(m.frontEye, m.seat) < SHORTEST_BAR,
  );

/** The job with a bar bent through other points between its eyes, at ride height; none makes it straight. */
export function withBends(job: Job, member: string, bends: Point[]): Job {
  const path = bends.length ? { chassis: bends } : undefined;
  return { ...job, laidOut: true, rig: withMember(job.rig, member, (bar) => ({ ...bar, path })) };
}

/** The job with other joints in a link, whose stiffness follows from them; on both sides where asked. */
export function withJoints(job: Job, member: string, change: Partial<MemberJoints>, alike: boolean): Job {
  const ids = alike ? pairOf(member) : [member];
  const joints = { ...job.joints };
  for (const id of ids) joints[id] = { ...jointsOf(joints, id), ...change };
  const members = job.rig.members.map((m) =>
    ids.includes(m.id) && isLink(m) ? { ...m, rate: axialRate(joints[m.id]!) } : m,
  );
  return { ...job, laidOut: true, joints, rig: { ...job.rig, members } };
}

/** The same changes with their like on the other side of the car, for members that come in pairs. */
export function onBothSides(job: Job, changes: MountChange[]): MountChange[] {
  return changes.flatMap((change) => {
    const partner = partnerOf(change.member);
    if (!partner || !job.rig.members.some((m) => m.id === partner)) return [change];
    return [change, { ...change, member: partner, mm: change.axis === 1 ? -change.mm : change.mm }];
  });
}

/** The bar across the car; null in layouts that hold the axle sideways by other means. */
export function panhard({ rig }: Job): LinkMember | null {
  return linksOf(rig).find((m) => m.id === PANHARD) ?? null;
}

/** The bar on the saw: the one chosen, or the one across the car, or the first there is. */
export function workBar(job: Job): LinkMember {
  const links = linksOf(job.rig);
  return links.find((m) => m.id === job.cut.member) ?? panhard(job) ?? links[0]!;
}

export function travelOf(job: Job): { bump: number; droop: number } {
  return { bump: measured(job.readings, 'bump').value, droop: measured(job.readings, 'droop').value };
}

export function locateInput(job: Job, rocker: Travel): LocateInput {
  return {
    rig: job.rig,
    springs: job.roll.springs && springsOf(job.roll.springs, job.rig),
    ...travelOf(job),
    tireWidth: measured(job.readings, 'tireWidth').value,
    shiftLimit: job.locate.shiftLimit,
    school: job.locate.school,
    joints: job.joints,
    room: job.shaft.room,
    loads: { cornerG: job.cornerG, axleRatio: job.shaft.ratio },
    tape: job.tape,
    rocker,
    use: job.use,
  };
}

export function rollInput(job: Job, rocker: Travel): RollInput {
  const { springs, shock, stop, bar, otherBar } = job.roll;
  return {
    rig: job.rig,
    springs,
    shock,
    stop,
    bar,
    otherBar,
    ...travelOf(job),
    tireWidth: measured(job.readings, 'tireWidth').value,
    rocker,
    use: job.use,
    cornerG: job.cornerG,
    axleRatio: job.shaft.ratio,
  };
}

export function barSpec({ cut }: Job): BarSpec {
  const { thread, ends, engagementRule, tube } = cut;
  return { thread, ends, engagementRule, tube };
}
