import { sideOf } from '@/core/geometry/side';
import type { Point } from '@/core/geometry/vector';
import type { Basis } from '@/core/job/stripes';
import { LIMITS } from '@/core/materials/limits';
import type { Member } from '@/core/rig/members/members';
import { formatDegrees } from '@/core/units/length';
import { SWAY_BAR, type HeldPoint } from '../held';
import { placeTolerance, tellsIn, type Tolerance } from '../placeTolerance';
import { centred, clearance, cycled, fit, held, lastOfAll } from './car';
import { confirm, type Around, type Check, type Draft } from './condition';

/** What must be true of an arm, a crank, a leaf spring or the sway bar, and of what it is mounted by. */
export function otherDrafts(check: Check, points: HeldPoint[], around: Around): Draft[] {
  const places = points.flatMap((point) => (point.at ? [place(check, point, point.at, around)] : []));
  const standing: Basis = Object.assign({}, ...places.map(({ basis }) => basis)) as Basis;
  return [
    held(check),
    ...places,
    ...(check.member === SWAY_BAR ? [] : [clearance(check, standing)]),
    centred(check, 'centred', 'tack', 'Axle centred, tyre to frame left and right'),
    ...ownDrafts(check),
    fit(check),
    cycled(check),
    confirm(
      check,
      'stillThere',
      'weld',
      'Every point measured again, and still there',
      'Clamps let go, and a weld pulls toward itself as it cools: measured again after each.',
    ),
    centred(check, 'centredAgain', 'weld', 'Axle still centred, measured again'),
    lastOfAll(check),
  ];
}

const AXES = [
  { key: 'up', label: 'off the floor', axis: 2, ways: ['high', 'low'] },
  { key: 'out', label: 'from the centreline', axis: 1, ways: ['far out', 'far in'] },
  { key: 'along', label: 'from the axle’s middle', axis: 0, ways: ['far away', 'near'] },
] as const;

/** Where a point stands, off the floor, from the centreline and along the car from the axle; each as far off as this car can have it. */
function place(check: Check, point: HeldPoint, at: Point, { raised }: Around): Draft {
  const { say, read } = check;
  const side = sideOf(at[1]);
  const up = raised(point.on, side);
  // Off the floor it is only told while it is known how far the car is raised.
  const asked = AXES.filter(({ axis }) => axis !== 2 || up !== null);
  const looked = asked.map(({ key, label, axis, ways }) => {
    const designed = axis === 2 ? at[2] + up! : Math.abs(at[axis]);
    const seen = read(`place.${point.bracket}.${key}`);
    const { mm: may, costs } = toleranceOf(check, point, axis, at);
    return { key, label, axis, ways, designed, may, costs, error: seen === null ? null : seen - designed };
  });
  const off = looked.filter(({ error, may }) => error !== null && Math.abs(error) > may + 1e-6);
  const whole = looked.every(({ error }) => error !== null);
  const along = Math.abs(at[0]) < 0.5 ? '' : at[0] > 0 ? ' ahead' : ' behind';
  const sideways = Math.abs(at[1]) < 0.5 ? '' : ` ${side}`;
  const after = { up: ' up', out: sideways, along };
  return {
    id: `place.${point.bracket}`,
    step: 'tack',
    label: `${point.name}: where it stands`,
    how: `Middle of its bolt or bushing, ${up === null ? 'its height once the car is at ride height, ' : ''}measured as the car is held.`,
    designed: looked
      .map(({ key, designed, may }) => `${say(designed)}${after[key]} ± ${say(may)}`)
      .join(', '),
    fields: looked.map(({ key, label }) => ({ key: `place.${point.bracket}.${key}`, label })),
    holds: off.length > 0 ? false : whole ? true : null,
    problem:
      off
        .map(
          ({ error, ways, costs }) =>
            `${say(Math.abs(error!))} too ${ways[error! > 0 ? 0 : 1]}${tellsIn({ costs })}`,
        )
        .join('; ') + '. Move it before it is fixed, or take it as the design at Locate.',
    basis: {
      [`${point.name}, ahead of the axle`]: at[0],
      [`${point.name}, left of the centreline`]: at[1],
      [`${point.name}, off the floor`]: at[2],
    },
  };
}

/** What carries no geometry is set as well as brackets commonly are. */
function toleranceOf({ job, member }: Check, { mount }: HeldPoint, axis: 0 | 1 | 2, at: Point): Tolerance {
  return mount
    ? placeTolerance(job, { member, end: mount, axis }, at[axis])
    : { mm: LIMITS.weld.level, costs: null };
}

type Own = { id: string; label: string; how: string };

/** What a kind of member asks for by itself, before it is fixed. */
const OWN: Partial<Record<Member['type'], Own[]>> = {
  'rigid-arm': [
    {
      id: 'unforced',
      label: 'Arm lies on the axle without being forced',
      how: 'Clamped, not pulled: what is forced on is loaded before the car has moved. Both arms alike off the floor.',
    },
  ],
  'slider-arm': [
    {
      id: 'slides',
      label: 'Slides both ways, at both ends of the travel',
      how: 'Room at full bump and at full droop; its slide greased and vented: closed, it locks like a jack.',
    },
  ],
  watts: [
    {
      id: 'upright',
      label: 'Crank upright at ride height, both rods level and alike',
      how: 'A crank that leans at ride height moves the axle on the first bump.',
    },
    {
      id: 'free',
      label: 'Crank turns by hand over the whole travel, without play',
      how: 'No rod past the middle, none against the crank or the frame.',
    },
  ],
  leaf: [
    {
      id: 'carries',
      label: 'Springs carry the car, U-bolts snug and no more',
      how: 'Unloaded, a spring stands elsewhere and its perch with it. Centre pin in its hole.',
    },
    {
      id: 'steel',
      label: 'Spring wrapped: no arc, no spatter, no clamp of the welder on it',
      how: 'Nothing is welded to spring steel, nor beside it without a wet blanket over it.',
    },
  ],
};
const OF_SWAY_BAR: Own[] = [
  {
    id: 'turns',
    label: 'Bar turns by hand in its bushings, held snug',
    how: 'Greased, not crushed; nothing of exhaust or shaft near it as both wheels move apart.',
  },
  {
    id: 'arms',
    label: 'Both eyes alike off the floor, links off',
    how: 'Arms clocked unlike twist the car as it stands.',
  },
  {
    id: 'steel',
    label: 'Bar wrapped: no arc, no spatter, no clamp of the welder on it',
    how: 'It is spring steel. A bar through the frame is in before the frame is closed.',
  },
];

function ownDrafts(check: Check): Draft[] {
  const { job, member: id } = check;
  const member = job.rig.members.find((m) => m.id === id);
  const own = id === SWAY_BAR ? OF_SWAY_BAR : ((member && OWN[member.type]) ?? []);
  const drafts = own.map(({ id: own, label, how }) => confirm(check, own, 'tack', label, how));
  const turned = member?.type === 'leaf' || member?.type === 'rigid-arm' ? pinion(check) : null;
  return turned ? [...drafts, turned] : drafts;
}

/** What turns the axle sets its pinion; in front, without a shaft, its caster, which Ride looks at. */
function pinion(check: Check): Draft | null {
  const { driveshaft } = check.job.rig;
  if (!driveshaft) return null;
  const { pinionAngleDeg: deg } = driveshaft;
  const way =
    Math.abs(deg) < 0.05 ? 'level' : `${formatDegrees(Math.abs(deg))} nose ${deg > 0 ? 'down' : 'up'}`;
  return {
    ...confirm(
      check,
      'pinion',
      'tack',
      `Pinion at its angle: ${way}, against a level floor`,
      'Gauge on the yoke or on what is square to it, with the car at ride height. Once perches or arms are welded it is where it is.',
      way,
    ),
    basis: { 'pinion, degrees nose down': deg.toFixed(2) },
  };
}
