import { SIDES } from '@/core/geometry/side';
import { layOut } from '@/core/rig/layouts';
import { validate } from '@/core/rig/read';
import { lateralBarOf, withLink } from '@/core/rig/roles';
import { rigSchema, type Rig } from '@/core/rig/schema';
import { slopeAlong } from '@/core/survey/floor';
import { found, measuredAcross } from '@/core/survey/readings';
import { withRollRig } from './edits/roll';
import type { Job } from './jobSchema';
import { withBodies } from './bodies/bodies';
import { isTyped, ownObstacles, patternSize } from './jobValues';

/** Height of the centre of gravity until it is typed, mm: about the height of a camshaft. */
export const USUAL_CG_HEIGHT = 530;

/** Weights of a middling car, kg and mm: what nobody has weighed or typed is taken from it. */
export const USUAL_MASSES: NonNullable<Rig['masses']> = {
  total: 1500,
  frontFraction: 0.54,
  unsprungFront: 90,
  unsprungRear: 150,
  unsprungHeightFront: 315,
  unsprungHeightRear: 330,
};

/**
 * The job with its rig brought up to its readings: the one way from tape to model. Sizes, angles of the yokes, weights and the
 * axle's own housing follow from what was read, springs and bars from what was designed; what was typed over a reading stands.
 * Mounts that were never moved follow the layout's pattern; mounts that were stay where they were put.
 *
 * The same job gives the same rig, whatever came first; applied again, it changes nothing.
 *
 * @throws InputError where the readings make a rig that cannot be
 */
export function applyReadings(job: Job): Job {
  const angled = withAngles(job, withSizes(job));
  const { rig } = withBodies({ ...job, rig: withRollRig(withWeights(job, angled), job.roll) });
  return { ...job, rig: validate(rigSchema, rig) };
}

function withSizes(job: Job): Rig {
  const { rig } = job;
  const size = patternSize(job);
  const { tireRadius, track, tubeOd } = size;
  const laid = job.laidOut ? rig : { ...withoutLayout(rig), ...layOut(job.layout, size, job.front) };
  const bar = lateralBarOf(laid);
  const sized = bar ? withLink(laid, bar.id, (m) => ({ ...m, od: tubeOd })) : laid;
  return {
    ...sized,
    tireRadius,
    track,
    wheelbase: measuredAcross(job.readings, 'wheelbase'),
    cgHeight: rig.cgHeight ?? USUAL_CG_HEIGHT,
    obstacles: ownObstacles(rig),
  };
}

/** A rig without what a layout brings. */
function withoutLayout(rig: Rig): Rig {
  const rest = { ...rig };
  delete rest.steering;
  delete rest.driveshaft;
  return rest;
}

/** Where the yokes point, degrees, from the gauge less the slope of the floor; what was drawn stays where nothing was read. */
function withAngles(job: Job, rig: Rig): Rig {
  const { driveshaft } = rig;
  if (!driveshaft) return rig;
  const slope = slopeAlong(job.readings);
  const angle = (reading: 'transmissionAngle' | 'pinionAngle'): number => {
    const drawn = `${reading}Deg` as const;
    const m = isTyped(job, `driveshaft/${drawn}`) ? null : found(job.readings, reading);
    return m ? m.value - slope : driveshaft[drawn];
  };
  const transmissionAngleDeg = angle('transmissionAngle');
  const pinionAngleDeg = angle('pinionAngle');
  return { ...rig, driveshaft: { ...driveshaft, transmissionAngleDeg, pinionAngleDeg } };
}

/** Weight of the car and the front's share of it, once all four wheels were weighed. */
function withWeights(job: Job, rig: Rig): Rig {
  const of = (key: 'weightFront' | 'weightRear') =>
    SIDES.flatMap((side) => found(job.readings, key, side)?.value ?? []);
  const [front, rear] = [of('weightFront'), of('weightRear')];
  if (front.length + rear.length < 4) return rig;
  const sum = (list: number[]) => list.reduce((a, b) => a + b, 0);
  const weighed = { total: sum(front) + sum(rear), frontFraction: sum(front) / (sum(front) + sum(rear)) };
  const masses = { ...(rig.masses ?? USUAL_MASSES) };
  for (const key of ['total', 'frontFraction'] as const)
    if (!isTyped(job, `masses/${key}`)) masses[key] = weighed[key];
  return { ...rig, masses };
}
