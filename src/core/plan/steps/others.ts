import type { Point } from '@/core/geometry/vector';
import type { Basis } from '@/core/job/stripes';
import { isLink, type Member } from '@/core/rig/members/members';
import type { Mount } from '@/core/rig/members/kind';
import { mountsOf } from '@/core/rig/mounts';
import { SIDES } from '@/core/geometry/side';
import { leavesOf, pairedSide } from '@/core/rig/roles';
import { CAUTIONS } from './cautions';
import { BEFORE_HEAT } from './ready';
import { sayPlace, titled, type Site } from '../site';
import { after, zoneOf, type Task } from '../task';

const FIT = { track: 'fit' } as const;

/** What is set and welded for arms, cranks and leaf springs. */
export const fittingOthers = (site: Site): Task[] => [
  ...leaves(site),
  ...site.job.rig.members
    .filter((member) => !isLink(member) && member.type !== 'leaf')
    .flatMap((member) => armOrCrank(site, member)),
  ...springSeats(site),
];

const placed = ([ahead, left, up]: Point): Basis => ({
  'ahead of the axle': ahead,
  'left of the centreline': left,
  'off the floor': up,
});

/** Bushes, balls and pins of a member in the order in which they are set: on the frame first. */
const inTurn = (mounts: Mount[]): Mount[] =>
  [...mounts].sort((a, b) => Number(a.on === 'axle') - Number(b.on === 'axle'));

const othersStep = (member: string, step: string): string => `fit/${member}/${step}`;

function armOrCrank(site: Site, member: Member): Task[] {
  const mounts = inTurn(mountsOf(site.job.rig, member.id));
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
  const first = mounts[0];
  return [
    ...mounts.map((mount): Task => ({
      ...FIT,
      id: othersStep(member.id, `${mount.key}/tack`),
      zone: zoneOf(mount.point),
      title: `${site.make === 'kit' ? 'Bolt up, loose' : 'Clamp and tack'}: the ${name}’s ${mount.name.toLowerCase()}`,
      how: `Level and plumb, bright metal, mock-up bushings in. ${own}`.trim(),
      after: [
        after('fit/height', 'a bracket set with the axle elsewhere is wrong at ride height'),
        after('fit/parts', 'the bracket itself says what fits'),
        after('apart/brackets', 'the metal under it must be bare'),
        ...BEFORE_HEAT,
        ...(first && mount !== first
          ? [
              after(
                othersStep(member.id, `${first.key}/tack`),
                'the frame end first, as far from the axle as it goes',
              ),
            ]
          : []),
      ],
      ...(site.make === 'own' && { caution: CAUTIONS.weld }),
      expect: `${sayPlace(site, mount.point, mount.on)}.`,
      basis: placed(mount.point),
    })),
    {
      ...FIT,
      id: othersStep(member.id, 'weld'),
      zone: zoneOf(mounts.at(-1)?.point ?? [0, 0, 0]),
      title: `${site.make === 'kit' ? 'All bolts of' : 'Finish-weld'} the ${name}’s mounts`,
      how:
        site.make === 'kit'
          ? 'All started, none tight yet.'
          : 'All round, in short runs end for end, cooled to the hand between; measured again after each.',
      after: [
        ...mounts.map((mount) => after(othersStep(member.id, `${mount.key}/tack`), 'tacked first')),
        after('fit/cycle', 'what touches or binds is found while it can be cut loose'),
      ],
      ...(site.make === 'own' && {
        caution: CAUTIONS.weld,
        permanent: `After this the ${name}’s mounts only come off by cutting.`,
      }),
      basis: Object.assign(
        {},
        ...mounts.map((mount) =>
          Object.fromEntries(
            Object.entries(placed(mount.point)).map(([key, mm]) => [
              `${mount.name.toLowerCase()}, ${key}`,
              mm,
            ]),
          ),
        ),
      ) as Basis,
    },
  ];
}

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
      after: [after('fit/height', 'on springs that carry what they will carry')],
      tools: ['tape', 'square'],
      basis: Object.assign(
        {},
        ...springs.map(({ id }) =>
          Object.fromEntries(
            Object.entries(seatOf(site, id)).map(([key, mm]) => [`${site.name(id)}, ${key}`, mm]),
          ),
        ),
      ) as Basis,
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
    how: `Frame on stands, axle let down on its jack until it is ${air ? 'empty and ' : ''}slack.`,
    after: [after('fit/cycle', 'it is out for that too')],
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
