import type { Point } from '@/core/geometry/vector';
import type { Basis } from '@/core/job/stripes';
import { isLink, type Member } from '@/core/rig/members/members';
import { mountsOf } from '@/core/rig/mounts';
import { SIDES } from '@/core/geometry/side';
import { leavesOf, pairedSide } from '@/core/rig/roles';
import { bracketBasis } from '@/core/weld/bracketBasis';
import { fastening } from '@/core/weld/fastening';
import { heldPoints, type HeldPoint } from '@/core/weld/held';
import { CAUTIONS } from './cautions';
import { BEFORE_HEAT } from './ready';
import { sayPlace, titled, type Site } from '../site';
import { after, byName, zoneOf, type Task } from '../task';

const FIT = { track: 'fit' } as const;

/** What is set and welded for arms, cranks and leaf springs. */
export const fittingOthers = (site: Site): Task[] => [
  ...leaves(site),
  ...setOthers(site).flatMap((member) => armOrCrank(site, member)),
  ...springSeats(site),
];

/** The steps that hang leaf springs on a bare frame. */
export const hangerSteps = (site: Site): string[] =>
  hasNoHangers(site)
    ? leavesOf(site.job.rig).flatMap(({ id }) =>
        heldPoints(site.job, id)
          .filter(({ on }) => on === 'chassis')
          .map((point) => tackStep(id, point)),
      )
    : [];

/** What is fixed of an arm, a crank or a leaf spring: by which steps at first and for good, whether it is welded, and what it rests on. */
export type OthersFixed = {
  member: string;
  first: string[];
  last: string[];
  isWelded: boolean;
  basis: Basis;
};

export const othersFixed = (site: Site): OthersFixed[] =>
  setOthers(site).map(({ id }) => {
    const points = heldPoints(site.job, id);
    const ways = waysOf(site, id, points);
    return {
      member: id,
      first: points.map((point) => tackStep(id, point)),
      last: ways.map((way) => fixedStep(id, way, ways)),
      isWelded: ways.includes('welded'),
      basis: mountsBasis(site, id, points),
    };
  });

/** Arms and cranks, and leaf springs that have no hangers yet. */
const setOthers = (site: Site): Member[] =>
  site.job.rig.members.filter((member) => !isLink(member) && (member.type !== 'leaf' || hasNoHangers(site)));

const wayOf = ({ job }: Site, member: string, { bracket }: HeldPoint) => fastening(job, { member, bracket });

/** The ways in which the mounts of a member go on, the welded ones first: what is bolted beside them is tightened after the heat. */
const waysOf = (site: Site, member: string, points: HeldPoint[]): Way[] =>
  WAYS.filter((way) => points.some((point) => wayOf(site, member, point) === way));

/** Where mounts of a member are drawn, by their names. */
const mountsBasis = ({ job }: Site, member: string, points: HeldPoint[]): Basis =>
  byName(points.map(({ name, bracket }) => [name.toLowerCase(), bracketBasis(job, member, bracket)]));

const placed = ([ahead, left, up]: Point): Basis => ({
  'ahead of the axle': ahead,
  'left of the centreline': left,
  'off the floor': up,
});

/** Hold points of a member in the order in which they are set: on the frame first. */
const inTurn = (points: HeldPoint[]): HeldPoint[] =>
  [...points].sort((a, b) => Number(a.on === 'axle') - Number(b.on === 'axle'));

/** On a bare frame and housing, leaf springs want hangers and perches as an arm wants brackets. */
const hasNoHangers = ({ car }: Site): boolean => car === 'bare';

const othersStep = (member: string, step: string): string => `fit/${member}/${step}`;
const tackStep = (member: string, { mount, bracket }: HeldPoint): string =>
  othersStep(member, `${mount ?? bracket}/tack`);

function armOrCrank(site: Site, member: Member): Task[] {
  const points = inTurn(heldPoints(site.job, member.id));
  const name = site.name(member.id);
  const own = {
    'slider-arm':
      'Its slide packed with grease needs a vent: closed, it locks like a jack. Room both ways at both ends of the travel.',
    'rigid-arm':
      'Clamped to the tube without being forced: what is forced on is loaded before the car has moved.',
    watts: 'The crank upright at ride height, its two rods alike, turning by hand without play.',
    leaf: '',
    link: '',
  }[member.type];
  const [first] = points;
  const way = (point: HeldPoint) => wayOf(site, member.id, point);
  const zone = (at: Point | null) => zoneOf(at ?? points.find((one) => one.at)?.at ?? [0, 0, 0]);
  const called = (point: HeldPoint) => `the ${name}’s ${point.name.toLowerCase().replace(/^its /, '')}`;
  const set = points.map((point): Task => {
    const welded = way(point) === 'welded';
    return {
      ...FIT,
      id: tackStep(member.id, point),
      zone: zone(point.at),
      title: `${welded ? 'Clamp and tack' : 'Bolt up, loose'}: ${called(point)}`,
      how: `Level and plumb, bright metal, mock-up bushings in. Its hold point says what must be true first. ${own}`.trim(),
      after: [
        after('fit/height', 'a bracket set with the axle elsewhere is wrong at ride height'),
        after('fit/parts', 'the bracket itself says what fits'),
        after('apart/brackets', 'the metal under it must be bare'),
        ...BEFORE_HEAT,
        ...(welded ? [after('fit/mockup', 'a real bushing burns')] : []),
        ...(first && point !== first
          ? [after(tackStep(member.id, first), 'the frame end first, as far from the axle as it goes')]
          : []),
        ...(point.bracket === 'seat'
          ? [after('fit/leaves', 'a perch goes where the centred axle is, turned to its pinion’s angle')]
          : []),
      ],
      ...(welded && { caution: CAUTIONS.weld }),
      ...(point.at && { expect: `${sayPlace(site, point.at, point.on)}.` }),
      marked: { member: member.id, brackets: [point.bracket], to: welded ? 'tacked' : 'loose' },
      basis: bracketBasis(site.job, member.id, point.bracket),
    };
  });
  const ways = waysOf(site, member.id, points);
  const fixed = ways.map((one): Task => {
    const these = points.filter((point) => way(point) === one);
    const welded = one === 'welded';
    return {
      ...FIT,
      id: fixedStep(member.id, one, ways),
      zone: zone(these.at(-1)?.at ?? null),
      title: `${welded ? 'Finish-weld' : 'All bolts of'} the ${name}’s ${these.length < points.length ? these.map((point) => point.name.toLowerCase()).join(' and ') : 'mounts'}`,
      how: welded
        ? 'All round, in short runs end for end, cooled to the hand between; measured again after each.'
        : 'All started, and all of the job in, before one is snug.',
      after: [
        ...these.map((point) => after(tackStep(member.id, point), 'tacked first')),
        after('fit/cycle', 'what touches or binds is found while it can be cut loose'),
      ],
      ...(welded && {
        caution: CAUTIONS.weld,
        permanent: `After this the ${name}’s mounts only come off by cutting.`,
      }),
      marked: {
        member: member.id,
        brackets: these.map(({ bracket }) => bracket),
        to: welded ? 'welded' : 'snug',
      },
      basis: mountsBasis(site, member.id, these),
    };
  });
  return [...set, ...fixed];
}
const WAYS = ['welded', 'bolted'] as const;
type Way = (typeof WAYS)[number];

/** The step by which the mounts of a member that go on one way are fixed for good. */
const fixedStep = (member: string, way: Way, ways: Way[]): string =>
  othersStep(member, way === ways[0] ? 'weld' : way);

const seatOf = ({ job }: Site, id: string): Basis => {
  const seat = mountsOf(job.rig, id).find(({ key }) => key === 'seat');
  return seat ? placed(seat.point) : {};
};

/** An axle on leaf springs is put in its place on them before anything else holds it. */
function leaves(site: Site): Task[] {
  const springs = leavesOf(site.job.rig);
  if (springs.length === 0) return [];
  return [
    {
      ...FIT,
      id: 'fit/leaves',
      zone: 'middle',
      title: 'Centre the axle on its springs, U-bolts slack',
      how: 'Both sides measured, frame to tyre and along the car; centre pins in their holes. A bar that pulls the springs over is loaded before the car has moved.',
      after: [
        after('fit/height', 'on springs that carry what they will carry'),
        ...hangerSteps(site).map((id) => after(id, 'the springs hang in them')),
      ],
      tools: ['tape', 'square'],
      basis: byName(springs.map(({ id }) => [site.name(id), seatOf(site, id)])),
    },
    ...springs.map(({ id }): Task => ({
      ...FIT,
      id: `fit/${id}/plate`,
      zone: pairedSide(id) ?? 'middle',
      title: `Spring plate and U-bolts of the ${site.name(id)}, snug`,
      how: 'Plates are a left and a right; pin in its hole, slots only as far as the axle was trimmed. Nothing is welded to a spring, nor beside one without a wet blanket over it.',
      after: [after('fit/leaves', 'the axle is where it belongs on them')],
      basis: seatOf(site, id),
    })),
  ];
}

/** Springs that stand in the heat of a weld come out before it. */
function springSeats(site: Site): Task[] {
  const { springs } = site.job.roll;
  if (!springs || springs.kind === 'leaf' || site.car !== 'same') return [];
  const air = springs.kind === 'air';
  return SIDES.map((side): Task => ({
    ...FIT,
    id: `fit/spring/${side}`,
    zone: side,
    title: `Spring out on the ${side}, before the welding beside it`,
    how: `Out since the axle was cycled; if it went back in: frame on stands, axle let down on its jack until it is ${air ? 'empty and ' : ''}slack.`,
    after: [after('fit/cycle', 'it is out for that already')],
    caution: air ? CAUTIONS.air : CAUTIONS.springs,
    basis: {},
  }));
}

export const hangingOthers = (site: Site): Task[] =>
  site.job.rig.members
    .filter((member) => !isLink(member) && member.type !== 'leaf')
    .map((member): Task => ({
      track: 'bolt',
      id: `bolt/${member.id}`,
      zone: 'middle',
      title: `${titled(site, member.id)} on, bolts loose`,
      how: 'Every bolt started by hand; the real bushings in, greased where they turn.',
      after: [
        after(othersStep(member.id, 'weld'), 'its mounts are finished'),
        after('fit/paint', 'paint is under what clamps, not over it'),
      ],
      basis: {},
    }));
