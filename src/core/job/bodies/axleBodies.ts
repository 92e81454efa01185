import { toRadians } from '@/core/geometry/angle';
import { SIDES, signOf } from '@/core/geometry/side';
import { unit, type Point } from '@/core/geometry/vector';
import type { Obstacle, Rig } from '@/core/rig/schema';
import { measured } from '@/core/survey/readings';
import { brakeId, CENTRE, COVER, NOSE, stopId, TIE_ROD, TUBE } from './bodyNames';
import { hasCentre, sizeOf, type BodySize } from './bodySizes';
import type { Job } from '@/core/job/jobSchema';
import { patternSize, tireWidthOf } from '@/core/job/jobValues';

/** Where kingpins usually stand, share of the track (common practice, no published source). */
const USUAL_KINGPIN = 0.43;
/** So much of a brake stands inside its wheel, mm: the rest of it is hidden there. */
const IN_WHEEL = 60;

/** What the axle is and carries, as far as it was measured, mm: tube, centre section, cover and pinion nose, brakes, tie rod. */
export const axleBodies = (job: Job): Obstacle[] => [
  tubeOf(job),
  ...(hasCentre(job.rig) ? centreOf(job) : []),
  ...brakesOf(job),
  ...tieRodOf(job),
];

/** Where the tube ends in the wheels, mm from the centreline. */
const reachOf = (job: Job): number => job.rig.track / 2 - tireWidthOf(job) / 2;

function tubeOf(job: Job): Obstacle {
  const { tireRadius: r } = job.rig;
  const [reach, radius] = [reachOf(job), measured(job.readings, 'tubeDiameter').value / 2];
  return { id: TUBE, on: 'axle', shape: 'capsule', from: [0, reach, r], to: [0, -reach, r], radius };
}

/** Centre section, cover, and the nose where there is a shaft: of a front axle the nose looks back, and the cover stands ahead. */
function centreOf(job: Job): Obstacle[] {
  const { end, tireRadius: r, driveshaft } = job.rig;
  const { cover } = patternSize(job);
  const size = (of: BodySize) => sizeOf(job, of);
  const [left, depth] = [size('centreLeft'), size('centreDepth')];
  const [width, height] = [size('centreWidth'), size('centreHeight')];
  const nose = end === 'rear' ? 1 : -1;
  const [low, high] = [Math.min(0, nose * depth), Math.max(0, nose * depth)];
  return [
    ...(driveshaft ? [noseOf(driveshaft, nose, depth, size('nose') / 2)] : []),
    {
      id: CENTRE,
      on: 'axle',
      shape: 'box',
      min: [low, left - width / 2, r - height / 2],
      max: [high, left + width / 2, r + height / 2],
    },
    {
      id: COVER,
      on: 'axle',
      shape: 'cylinder',
      from: [0, left, r],
      to: [-nose * cover, left, r],
      radius: Math.min(width, height) / 2,
    },
  ];
}

/** The pinion's nose, from the face of the centre section to the shaft's joint, along the pinion. */
function noseOf(
  { pinion, pinionAngleDeg }: NonNullable<Rig['driveshaft']>,
  nose: 1 | -1,
  depth: number,
  radius: number,
): Obstacle {
  const angle = toRadians(pinionAngleDeg);
  const way = unit([nose * Math.cos(angle), 0, -nose * Math.sin(angle)]);
  const length = Math.max(10, (pinion[0] - nose * depth) / way[0]);
  const from = pinion.map((v, k) => v - length * way[k]!) as Point;
  return { id: NOSE, on: 'axle', shape: 'cylinder', from, to: pinion, radius };
}

/** Drums or discs, as far as they stand out of the wheels. */
function brakesOf(job: Job): Obstacle[] {
  const { tireRadius: r } = job.rig;
  const reach = reachOf(job);
  return SIDES.map((side) => {
    const at = (out: number): Point => [0, signOf(side) * out, r];
    const [from, to] = [at(reach - sizeOf(job, 'brakeIn')), at(reach + IN_WHEEL)];
    return { id: brakeId(side), on: 'axle', shape: 'cylinder', from, to, radius: sizeOf(job, 'brake') / 2 };
  });
}

/** The tie rod of a steered axle, wheels straight ahead, from kingpin to kingpin. */
function tieRodOf(job: Job): Obstacle[] {
  const { rig } = job;
  if (rig.end === 'rear') return [];
  const out = Math.abs(rig.steering?.kingpin[1] ?? USUAL_KINGPIN * rig.track);
  const at = (y: number): Point => [sizeOf(job, 'tieRodAhead'), y, rig.tireRadius + sizeOf(job, 'tieRodUp')];
  const radius = sizeOf(job, 'tieRod') / 2;
  return [{ id: TIE_ROD, on: 'axle', shape: 'capsule', from: at(out), to: at(-out), radius }];
}

/** Bump stops on the frame, over the tube, where they are told at Roll. */
export function bumpStops(job: Job): Obstacle[] {
  const { stop } = job.roll;
  if (!stop) return [];
  const foot = job.rig.tireRadius + measured(job.readings, 'tubeDiameter').value / 2 + stop.gap;
  return SIDES.map((side) => {
    const at = (z: number): Point => [0, signOf(side) * stop.out, z];
    const radius = sizeOf(job, 'stop') / 2;
    return {
      id: stopId(side),
      on: 'chassis',
      shape: 'cylinder',
      from: at(foot),
      to: at(foot + stop.height),
      radius,
    };
  });
}
