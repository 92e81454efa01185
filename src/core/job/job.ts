import type { BarSpec } from '@/core/fabricate/bar';
import { distance } from '@/core/kinematics/linkage';
import type { LocateInput } from '@/core/locate/types';
import { withMember } from '@/core/locate/lateralBar';
import { measured, measuredAcross } from '@/core/measure/readings';
import { linksOf, partnerOf, withMount } from '@/core/rig/members';
import type { LinkMember, Obstacle, Travel } from '@/core/rig/schema';
import { MM_PER_INCH, type Tape } from '@/core/units/tape';
import type { MountChange } from '@/core/verdict';
import { layoutEnd, PANHARD, PATTERNS, type BarLayout } from '@/core/layouts/patterns';
import type { Job, Use } from './schema';

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
    version: 1,
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
    locate: { school: 'ride', adjuster: 'frame', shiftLimit: SHIFT_LIMITS.street },
    cut: {
      thread: '3/4-16',
      leftHandEnd: 'frame',
      engagementRule: inch(1.5),
      ends: { frame: end, axle: { ...end } },
      tube: { od: inch(1.25), wall: inch(0.12) },
    },
    weld: { joints: { frame: 'scribed', axle: 'scribed' }, measured: {}, log: [] },
    ride: { tolerance: inch(1 / 16), gaps: {}, rounds: [] },
    stripes: {},
  });
}

/**
 * The job with its rig brought up to its readings: the one way from tape to model. Mounts that were never moved follow the
 * layout's pattern; mounts that were stay where they were put.
 */
export function withReadings(job: Job): Job {
  const { readings, rig, cut } = job;
  const tireRadius = measuredAcross(readings, 'tireRadius');
  const track = measured(readings, 'track').mm;
  const wheelbase = measuredAcross(readings, 'wheelbase');
  const cover = measured(readings, 'cover').mm;
  const pattern = job.laidOut ? rig : PATTERNS[job.layout]({ tireRadius, track, cover, tubeOd: cut.tube.od });
  const { members, steering } = pattern;
  const rest = { ...rig };
  delete rest.steering;
  const laid = { ...rest, members, ...(steering ? { steering } : {}), cgHeight: rig.cgHeight ?? CG_STAND_IN };
  const sized = withMember(laid, PANHARD, (bar) => ({ ...bar, od: cut.tube.od }));
  return {
    ...job,
    rig: { ...sized, tireRadius, track, wheelbase, obstacles: axleObstacles(job, tireRadius, track, cover) },
  };
}

/**
 * The job laid out anew in another layout, from its pattern: what was typed for the old members goes, what was measured on
 * the car stays.
 */
export function withLayout(job: Job, layout: BarLayout): Job {
  const own = new Set(job.rig.members.map((m) => m.id));
  const typed = Object.fromEntries(
    Object.entries(job.typed).filter(([path]) => !own.has(path.split('/')[0]!)),
  );
  return withReadings({ ...job, layout, laidOut: false, typed, rig: { ...job.rig, end: layoutEnd(layout) } });
}

/** The axle's own housing, as far as it was measured: what a lateral bar hits first. */
function axleObstacles({ readings }: Job, tireRadius: number, track: number, cover: number): Obstacle[] {
  const reach = track / 2 - measured(readings, 'tireWidth').mm / 2;
  return [
    { id: 'differential cover', on: 'axle', shape: 'sphere', centre: [0, 0, tireRadius], radius: cover },
    {
      id: 'axle tube',
      on: 'axle',
      shape: 'capsule',
      from: [0, reach, tireRadius],
      to: [0, -reach, tireRadius],
      radius: measured(readings, 'tubeDiameter').mm / 2,
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
  const collapsed = linksOf(rig).some((m) => distance(m.chassis, m.axle) < SHORTEST_BAR);
  return collapsed ? job : { ...job, laidOut: true, rig };
}

/** The same changes with their like on the other side of the car, for members that come in pairs. */
export function onBothSides(job: Job, changes: MountChange[]): MountChange[] {
  return changes.flatMap((change) => {
    const partner = partnerOf(change.member);
    if (!partner || !job.rig.members.some((m) => m.id === partner)) return [change];
    return [change, { ...change, member: partner, mm: change.axis === 1 ? -change.mm : change.mm }];
  });
}

export function panhard(job: Job): LinkMember {
  return linksOf(job.rig).find((m) => m.id === PANHARD)!;
}

export function travelOf(job: Job): { bump: number; droop: number } {
  return { bump: measured(job.readings, 'bump').mm, droop: measured(job.readings, 'droop').mm };
}

export function locateInput(job: Job, rocker: Travel): LocateInput {
  return {
    rig: job.rig,
    ...travelOf(job),
    tireWidth: measured(job.readings, 'tireWidth').mm,
    shiftLimit: job.locate.shiftLimit,
    school: job.locate.school,
    tape: job.tape,
    rocker,
    use: job.use,
  };
}

export function barSpec({ cut }: Job): BarSpec {
  const { thread, ends, engagementRule, tube } = cut;
  return { thread, ends, engagementRule, tube };
}
