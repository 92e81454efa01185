import { dequal } from 'dequal';
import { SIDES } from '@/core/geometry/side';
import { leavesOf } from '@/core/rig/roles';
import { BODY_IDS, type Rig } from '@/core/rig/schema';
import { measured } from '@/core/survey/readings';
import { armStiffness, axleTorsion, USUAL_HELD } from '@/core/beam/armStiffness';
import { JOINTS, jointsOf } from '@/core/materials/joints';
import { ELASTIC } from '@/core/materials/steels';
import type { Leaf } from '@/core/rig/members/leaf';
import { leafLateralRate, leafWindupRate } from '@/core/springs/leafPack';
import type { RigidArm } from '@/core/rig/members/rigidArm';
import { mayTwist, sizeOf, type BodySize } from './bodySizes';
import { axleBodies, bumpStops } from './axleBodies';
import { brakeId, CENTRE, NOSE, stopId, TIE_ROD, TUBE } from './bodyNames';
import { bracketsOf, joinedToBrackets } from '@/core/job/brackets';
import { railId } from './frameRails';
import type { Job } from '@/core/job/jobSchema';
import { crossmemberBodies } from '@/core/job/made/crossmember';
import { saidOfBar } from '@/core/job/made/parts';
import { isLink } from '@/core/rig/members/members';
import type { LinkMember } from '@/core/rig/members/link';
import { ownObstacles, tireWidthOf } from '@/core/job/jobValues';

/** An arm shorter than this is none, mm; and the share of the track that brackets on an axle stand apart at least. */
const LEAST_ARM = 50;
const LEAST_APART = 0.52;

/**
 * A job's rig with every body that the job knows of: the axle's housing in its parts, tyres, driveshaft, arms, leaves and drag link, as
 * thick as they were measured or typed, or as they usually are; how arms and tube give; and which of them are fastened to each other.
 */
export function withBodies(job: Job): Job {
  const { rig } = job;
  const thick = <T extends { od?: number }>(part: T, size: BodySize): T => {
    const od = sizeOf(job, size);
    return part.od === od ? part : { ...part, od };
  };
  const members = rig.members.map((m) => {
    if (isLink(m)) return withOwnSection(job, m);
    if (m.type === 'leaf') return withLeafRates(job, thick(m, 'leaf'));
    if (m.type === 'slider-arm') return thick(m, 'arm');
    return m.type === 'rigid-arm' ? withGive(job, thick(m, 'arm')) : m;
  });
  const torsion = torsionOf(job);
  const obstacles = kept(rig.obstacles, [
    ...axleBodies(job),
    ...bumpStops(job),
    ...bracketsOf(job),
    ...crossmemberBodies(job),
    ...ownObstacles(rig),
  ]);
  const bodied: Rig = {
    ...rig,
    version: 2,
    members: members.every((m, i) => m === rig.members[i]) ? rig.members : members,
    ...(rig.driveshaft && { driveshaft: thick(rig.driveshaft, 'driveshaft') }),
    ...(rig.steering && { steering: thick(rig.steering, 'dragLink') }),
    tires: kept(rig.tires, { width: tireWidthOf(job) }),
    obstacles,
  };
  const next: Rig = { ...bodied, joined: kept(rig.joined, joinedIn(bodied)) };
  if (torsion === undefined) delete next.axleTorsion;
  else next.axleTorsion = torsion;
  const same =
    (Object.keys(next) as (keyof Rig)[]).every((key) => next[key] === rig[key]) &&
    rig.axleTorsion === torsion;
  return same ? job : { ...job, rig: next };
}

/** A link as thick as its own section, where it is not made like the set. */
function withOwnSection(job: Job, link: LinkMember): LinkMember {
  const { section } = saidOfBar(job, link.id);
  if (!section) return link;
  const od = section.shape === 'flat' ? Math.max(section.height, section.thickness) : section.od;
  return link.od === od ? link : { ...link, od };
}

/** An arm that gives as it is made: by its tubes, its joint, its bracket and the frame, or as was typed. */
function withGive(job: Job, arm: RigidArm): RigidArm {
  const { bodies, joints, rig } = job;
  const size = (of: BodySize) => sizeOf(job, of);
  const length = Math.max(LEAST_ARM, Math.hypot(arm.chassis[0], arm.chassis[2] - rig.tireRadius));
  const made = {
    length,
    od: size('arm'),
    wall: size('armWall'),
    tubes: size('armSpread') > 0 ? (2 as const) : (1 as const),
    spread: size('armSpread'),
  };
  const joint = JOINTS[jointsOf(joints, arm.id).chassis].rate;
  const estimated = armStiffness(made, { joint, ...USUAL_HELD }, ELASTIC.E);
  const typed = [bodies.armAlong, bodies.armAcross, bodies.armUp];
  const rate = estimated.map((v, k) => typed[k] ?? v) as [number, number, number];
  return dequal(rate, arm.rate) ? arm : { ...arm, rate };
}

/** A leaf that holds sideways and against wind-up as was typed, or as its pack at Roll gives it; else as it stands. */
function withLeafRates({ bodies, roll: { springs } }: Job, leaf: Leaf): Leaf {
  const pack = springs?.kind === 'leaf' ? springs : null;
  const lateralRate = bodies.leafAcross ?? (pack ? leafLateralRate(pack) : leaf.lateralRate);
  const windupRate = bodies.leafWindup ?? (pack ? leafWindupRate(pack) : leaf.windupRate);
  const same = lateralRate === leaf.lateralRate && windupRate === leaf.windupRate;
  return same ? leaf : { ...leaf, lateralRate, windupRate };
}

/** How hard the axle's tube twists, N·mm/rad; undefined where nothing twists it. */
function torsionOf(job: Job): number | undefined {
  const { rig, bodies, readings } = job;
  if (!mayTwist(rig)) return undefined;
  if (bodies.axleTorsion !== undefined) return bodies.axleTorsion;
  const tube = { od: measured(readings, 'tubeDiameter').value, wall: sizeOf(job, 'tubeWall') };
  const out = Math.max(0, ...rig.members.map(outOf));
  const brackets = Math.max(2 * out, LEAST_APART * rig.track);
  return axleTorsion(tube, brackets, out > 0 ? 2 * out : brackets, rig.track, ELASTIC.G);
}

/** How far out the joint of an arm or the seat of a leaf turns with the tube, mm; nothing of links, which stand anywhere. */
const outOf = (m: Rig['members'][number]): number =>
  m.type === 'rigid-arm' ? Math.abs(m.chassis[1]) : m.type === 'leaf' ? Math.abs(m.seat[1]) : 0;

/** What is the same stays the same object, so that it is seen not to have changed. */
const kept = <T>(was: T | undefined, is: T): T => (was !== undefined && dequal(was, is) ? was : is);

/**
 * What is fastened to each other beside what shares a mount: shaft and pinion, springs, shocks and leaves with what they stand on,
 * wheels with tube, brakes and tie rod, a stop with what it stops on, brackets with what is mounted in them.
 */
export function joinedIn(rig: Rig): [string, string][] {
  const standing = [
    ...leavesOf(rig).map((m) => m.id),
    ...[...(rig.springs ?? []), ...(rig.shocks ?? [])].map((s) => s.id),
  ];
  const there = new Set((rig.obstacles ?? []).map((o) => o.id));
  const [rails, stops] = [railId, stopId].map((id) => SIDES.map(id).filter((own) => there.has(own)));
  const each = (list: string[], on: string[]) =>
    list.flatMap((id) => on.map((other): [string, string] => [id, other]));
  return [
    ...(rig.driveshaft ? each([BODY_IDS.driveshaft], [NOSE, CENTRE]) : []),
    ...each(Object.values(BODY_IDS.tire), [
      TUBE,
      ...SIDES.map(brakeId),
      ...(rig.end === 'front' ? [TIE_ROD] : []),
    ]),
    ...each(standing, [TUBE, ...rails!, ...stops!]),
    ...each(stops!, [TUBE]),
    ...(rig.steering ? each([BODY_IDS.dragLink], [TIE_ROD]) : []),
    ...joinedToBrackets(rig),
  ];
}
