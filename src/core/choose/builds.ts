import type { Job } from '@/core/job/jobSchema';
import { bracketAxes } from '@/core/job/made/bracketRoot';
import { barOf, LINK_ENDS, threadedEnds } from '@/core/job/made/parts';
import { toRadians } from '@/core/geometry/angle';
import { distance, type Point } from '@/core/geometry/vector';
import { assemble } from '@/core/kinematics/mechanism';
import { LOOSE } from '@/core/fabricate/drawing';
import { loweredBy } from '@/core/locate/heights';
import { carInputs } from '@/core/locate/resultUncertainty';
import type { Mount } from '@/core/rig/members/kind';
import { isLink, linksOf } from '@/core/rig/members/members';
import { memberName } from '@/core/rig/names';
import { mountOwners, mountsOf, withMount } from '@/core/rig/mounts';
import type { Rig } from '@/core/rig/schema';
import { COVERAGE } from '@/core/survey/uncertainty';
import { MM_PER_INCH } from '@/core/units/tape';

/**
 * How well a car is built, and what may change of it, each so that nineteen times in twenty it is no more; mm, where nothing else is said.
 * What is left out does not differ.
 */
export type Closeness = {
  /** where an eye is set */
  place: number;
  /** how far springs settle */
  settle: number;
  /** how a bar without a thread is cut */
  cut: number;
  /** how much larger a hole is than its bolt: an eye stands anywhere in it, square to the bolt */
  hole?: number;
  /** degrees to which the pinion, in front caster, is set by a gauge: all that the axle carries turns with it */
  gauge?: number;
  /** how much higher the frame, or the floor that it was set from, stands on one side, over the track */
  lean?: number;
  /** by how much the tyres’ radius differs */
  tire?: number;
  /** kg that the car carries over this axle, more or less; counts where its springs are known */
  load?: number;
  /** told otherwise than `place` for a mount, by its id and direction: `panhard/chassis/2` */
  only?: Record<string, number>;
};

/**
 * As builders commonly come (common practice, no published source): an eighth of an inch, springs a quarter, a saw an eighth, holes a 32nd
 * over, an angle gauge 0.2°, a floor an eighth over the track, tyres an eighth by wear and pressure, the same load.
 */
export const USUAL_CLOSENESS: Closeness = {
  place: MM_PER_INCH / 8,
  settle: MM_PER_INCH / 4,
  cut: MM_PER_INCH / 8,
  hole: LOOSE,
  gauge: 0.2,
  lean: MM_PER_INCH / 8,
  tire: MM_PER_INCH / 8,
  load: 0,
};

/** Something that comes out otherwise than it was meant: its name, its standard deviation, and the build that is off by so much of it. */
export type Off = { name: string; deviation: number; put: (build: Build, by: number) => void };

/** A build in the making: where every mount came out, what was changed of the rig as a whole, and how much lower it settled, mm. */
export type Build = {
  mounts: Float64Array;
  lengths: Map<string, number>;
  car: ((rig: Rig) => Rig)[];
  lift: number;
};

const DIRECTIONS = ['fore and aft', 'sideways', 'height'] as const;

/** A mount, whose it is, and where its three numbers begin. */
type BuiltMount = Mount & { owner: string; k: number };

/** The mounts of a rig, of its drag link and driveshaft too; those among them that are not of bars; and the bars that cannot be set. */
export type Parts = {
  mounts: BuiltMount[];
  others: BuiltMount[];
  at: Map<string, number>;
  fixed: string[];
};

export function partsOf(job: Job): Parts {
  const { rig } = job;
  const links = linksOf(rig).map(({ id }) => id);
  const mounts = mountOwners(rig)
    .flatMap((owner) => mountsOf(rig, owner).map((mount) => ({ ...mount, owner })))
    .map((mount, i) => ({ ...mount, k: 3 * i }));
  return {
    mounts,
    others: mounts.filter(({ owner }) => !links.includes(owner)),
    at: new Map(mounts.map(({ owner, key, k }) => [`${owner}/${key}`, k])),
    fixed: links.filter((id) => threadedEnds(barOf(job, id)).length === 0),
  };
}

export const emptyBuild = ({ mounts }: Parts): Build => ({
  mounts: new Float64Array(3 * mounts.length),
  lengths: new Map(),
  car: [],
  lift: 0,
});

/** Every direction of every mount of a rig: by which id it can be told how well it is set, and its name. */
export const placesOf = (rig: Rig): { id: string; mount: string; axis: number; name: string }[] =>
  rig.members.flatMap(({ id: member }) =>
    mountsOf(rig, member).flatMap(({ key, name }) =>
      DIRECTIONS.map((direction, axis) => ({
        id: `${member}/${key}/${axis}`,
        mount: `${member}/${key}`,
        axis,
        name: `${memberName(member, rig.end)}, ${name.toLowerCase()}: ${direction}`,
      })),
    ),
  );

/** All that can come out otherwise than it was meant. */
export const offsOf = (job: Job, closeness: Closeness, parts: Parts): Off[] =>
  [
    ...placeOffs(job, closeness, parts),
    ...holeOffs(job, closeness, parts),
    ...lengthOffs(job, closeness, parts),
    ...carInputs(job).map(({ name, u, value, set }): Off => ({
      name,
      deviation: u,
      put: (build, by) => void build.car.push((r) => set(r, value + by)),
    })),
    ...wholeOffs(job, closeness, parts),
    ...standOffs(job, closeness),
  ].filter(({ deviation }) => deviation > 0);

const placeOffs = ({ rig }: Job, { place, only = {} }: Closeness, { at }: Parts): Off[] =>
  placesOf(rig).map(({ id, mount, axis, name }) => {
    const k = at.get(mount)! + axis;
    return {
      name,
      deviation: (only[id] ?? place) / COVERAGE,
      put: (build, by) => {
        build.mounts[k]! += by;
      },
    };
  });

/** An eye in a hole that is larger than its bolt: either way of its middle by half of that, in the two directions square to the bolt. */
const holeOffs = (job: Job, { hole = 0 }: Closeness, { at }: Parts): Off[] =>
  linksOf(job.rig).flatMap((link) =>
    LINK_ENDS.flatMap((end) => {
      const { out, along } = bracketAxes(job, link, end);
      const k = at.get(`${link.id}/${end}`)!;
      return [out, along].map((way): Off => ({
        name: 'bolts loose in their holes',
        deviation: hole / 2 / COVERAGE,
        put: (build, by) => way.forEach((share, axis) => (build.mounts[k + axis]! += share * by)),
      }));
    }),
  );

const lengthOffs = ({ rig }: Job, { cut }: Closeness, { fixed }: Parts): Off[] =>
  fixed.map((id) => ({
    name: `${memberName(id, rig.end)}: length as it is cut`,
    deviation: cut / COVERAGE,
    put: (build, by) => void build.lengths.set(id, by),
  }));

/** What moves many mounts at once: the axle turned about its tube, the frame leaning over it, another size of tyre. */
function wholeOffs({ rig }: Job, { gauge = 0, lean = 0, tire = 0 }: Closeness, { mounts }: Parts): Off[] {
  const together = (
    name: string,
    deviation: number,
    ofOne: (mount: Mount) => Point | null,
    car?: (rig: Rig, by: number) => Rig,
  ): Off => {
    const moves = mounts.flatMap((mount) => {
      const move = ofOne(mount);
      return move ? [{ k: mount.k, move }] : [];
    });
    return {
      name,
      deviation,
      put: (build, by) => {
        for (const { k, move } of moves)
          for (const axis of [0, 1, 2] as const) build.mounts[k + axis]! += move[axis] * by;
        if (car) build.car.push((r) => car(r, by));
      },
    };
  };
  const { track, tireRadius } = rig;
  return [
    together(
      rig.end === 'rear' ? 'the pinion’s angle by the gauge' : 'caster by the gauge',
      toRadians(gauge) / COVERAGE,
      ({ on, point: [x, , z] }) => (on === 'axle' ? [z - tireRadius, 0, -x] : null),
    ),
    together('how level the frame stands', lean / COVERAGE, ({ on, point: [, y, z] }) =>
      on === 'chassis' ? [0, (tireRadius - z) / track, y / track] : null,
    ),
    together(
      'size of the tyres',
      tire / COVERAGE,
      () => [0, 0, 1],
      (r, by) => ({
        ...r,
        tireRadius: r.tireRadius + by,
        ...(r.cgHeight !== undefined && { cgHeight: r.cgHeight + by }),
      }),
    ),
  ];
}

/** What lets the car stand lower or higher: springs that settle, and a load, by their rates. */
function standOffs({ rig }: Job, { settle, load = 0 }: Closeness): Off[] {
  const lower = (name: string, limit: number): Off => ({
    name,
    deviation: limit / COVERAGE,
    put: (build, by) => {
      build.lift += by;
    },
  });
  const sinks = load > 0 ? loweredBy(rig, assemble(rig), load) : null;
  return [
    lower('how far the springs settle', settle),
    ...(sinks === null ? [] : [lower('what the car carries', sinks)]),
  ];
}

/** The rig as it was built. A bar that cannot be set is as long as it was meant, and as it was cut off from that. */
export function rigOf(rig: Rig, { others, at, fixed }: Parts, { mounts: moves, lengths, car }: Build): Rig {
  const members = rig.members.map((member) => {
    if (!isLink(member)) return member;
    return {
      ...member,
      chassis: moved(member.chassis, moves, at.get(`${member.id}/chassis`)!),
      axle: moved(member.axle, moves, at.get(`${member.id}/axle`)!),
      ...(fixed.includes(member.id) && {
        length: (member.length ?? distance(member.chassis, member.axle)) + (lengths.get(member.id) ?? 0),
      }),
    };
  });
  let built: Rig = { ...rig, members };
  for (const { owner, key, point, k } of others)
    for (const axis of [0, 1, 2] as const)
      if (moves[k + axis] !== 0)
        built = withMount(built, { member: owner, end: key, axis, mm: point[axis] + moves[k + axis]! });
  return car.reduce((r, change) => change(r), built);
}

const moved = ([x, y, z]: Point, by: Float64Array, k: number): Point => [
  x + by[k]!,
  y + by[k + 1]!,
  z + by[k + 2]!,
];
