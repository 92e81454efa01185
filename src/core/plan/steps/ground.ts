import { barOf, threadedEnds } from '@/core/job/made/parts';
import { BRACKETS, type HoldPoint } from '@/core/job/slices/fields';
import { armsAndCranksOf, armsOf, leavesOf } from '@/core/rig/roles';
import { heldPoints, SWAY_BAR } from '@/core/weld/held';
import { CAUTIONS } from './cautions';
import { isSoft } from './boltOn';
import { titled, type Site } from '../site';
import { after, shaftZone, zoneOf, type Task, type Zone } from '../task';

const GROUND = { track: 'ground', basis: {} } as const;

/** What is torqued and marked by a line: by its id, where it is, the brackets it is bolted in. */
type Tightened = { id: string; zone: Zone; brackets: HoldPoint[] };

/** On the ground: set, tightened, marked, driven. */
export function onTheGround(site: Site): Task[] {
  const { links, job, say } = site;
  const soft = links.filter((link) => isSoft(site, link));
  const leaf = leavesOf(job.rig).length > 0;
  const threaded = links.filter(({ id }) => threadedEnds(barOf(job, id)).length > 0);
  const tightened: Tightened[] = [
    ...links.map((link) => ({ id: link.id, zone: zoneOf(link.axle), brackets: [...BRACKETS] })),
    ...[...armsAndCranksOf(job.rig).map(({ id }) => id), ...(job.roll.bar ? [SWAY_BAR] : [])].map((id) => {
      const points = heldPoints(job, id);
      const at = points.find((point) => point.at)?.at;
      return {
        id,
        zone: at ? zoneOf(at) : ('middle' as const),
        brackets: points.map(({ bracket }) => bracket),
      };
    }),
  ];
  const torqued = tightened.map(({ id }) =>
    after(`ground/${id}/torque`, 'every nut, none twice and none not'),
  );
  return [
    {
      ...GROUND,
      id: 'ground/down',
      zone: 'round',
      title: 'Wheels on, down on its tyres, settled',
      how: 'Pressures as driven, fuel as driven, a weight in each seat that will carry one; bounced and rolled forth and back.',
      after: [after('bolt/snug', 'what is loose moves as the weight comes on')],
      caution: CAUTIONS.bounce,
    },
    ...(soft.length || leaf
      ? [
          {
            ...GROUND,
            id: 'ground/soft',
            zone: 'middle' as const,
            title: 'Soft bushings tightened, on the car’s weight',
            how: `${[...soft.map(({ id }) => titled(site, id)), ...(leaf ? ['spring eyes and shackles'] : [])].join(', ')}: tightened hanging, they are wound up for good and tear.`,
            after: [after('ground/down', 'they are at rest where the car drives')],
            tools: ['torque wrench'],
          },
        ]
      : []),
    ...(leaf
      ? [
          {
            ...GROUND,
            id: 'ground/ubolts',
            zone: 'middle' as const,
            title: 'U-bolts tightened crosswise, on the car’s weight',
            how: 'In turns, a little each; both legs stand out alike. Again after the first drive.',
            after: [after('ground/down', 'the pack settles under the weight')],
            tools: ['torque wrench'],
          },
        ]
      : []),
    {
      ...GROUND,
      id: 'ground/set',
      zone: 'round',
      title: `Centre and square the axle, ${job.rig.end === 'front' ? 'caster and toe' : 'pinion angle'}`,
      how: 'At Ride: read, turn, read again until both sides agree.',
      after: [
        after('ground/down', 'it is set where the car drives'),
        after('ground/soft', 'a bushing that lets go moves the axle'),
        after('ground/ubolts', 'the axle shifts on springs that are not clamped'),
      ],
      expect: `Centred within ${say(job.ride.tolerance)}.`,
      marked: { station: 'ride' },
    },
    ...(site.driven
      ? [
          {
            ...GROUND,
            id: 'ground/yoke',
            zone: shaftZone(job.rig.end),
            title: 'Shaft turned by hand once round',
            how: `Brake off, transmission in neutral, wheels chocked: nothing touches${armsOf(job.rig).some(({ type }) => type === 'slider-arm') ? ', least of all the torque arm' : ''}.`,
            after: [after('ground/set', 'the pinion moves while it is set')],
          },
        ]
      : []),
    ...tightened.map(({ id, zone, brackets }): Task => ({
      ...GROUND,
      id: `ground/${id}/torque`,
      zone,
      title: `Torque the bolts of the ${site.name(id)}`,
      how: 'To the vehicle maker’s value where there is one, else the sheet’s; wrench on the nut, the head held.',
      after: [after('ground/set', 'what is torqued is not set any more')],
      tools: ['torque wrench', 'wrench'],
      marked: { member: id, brackets, to: 'torqued' },
    })),
    ...(threaded.length
      ? [
          {
            ...GROUND,
            id: 'ground/jam',
            zone: 'middle' as const,
            title: 'Jam nuts, rod ends square, with two wrenches',
            how: `${threaded.map(({ id }) => titled(site, id)).join(', ')}: each ball in the middle of its swing as the nut closes; thread locker only now that the setting is final.`,
            after: [after('ground/set', 'what is locked is not turned again'), ...torqued],
            tools: ['two wrenches', 'thread locker'],
          },
        ]
      : []),
    {
      ...GROUND,
      id: 'ground/cotters',
      zone: 'round',
      title: 'A pass over everything: two wrenches on every nut, cotters in',
      how: 'From the front to the back, left then right, one hand on what the other has just done. Brakes bled and tried where a line was open; battery on again.',
      after: [
        ...torqued,
        ...['jam', 'soft', 'ubolts', 'set'].map((step) => after(`ground/${step}`, 'it is the last pass')),
      ],
      caution: CAUTIONS.brakes,
    },
    ...tightened.map(({ id, zone, brackets }): Task => ({
      ...GROUND,
      id: `ground/${id}/stripe`,
      zone,
      title: `Paint line across the nuts of the ${site.name(id)}`,
      how: `Across nut and bracket${threaded.some((link) => link.id === id) ? ', and across each jam nut' : ''}: a broken line later shows that it moved.`,
      after: [
        after(`ground/${id}/torque`, 'it says that the nut is tight'),
        after('ground/jam', 'and the jam nut'),
        after('ground/cotters', 'it is drawn after the last wrench'),
      ],
      tools: ['paint pen'],
      marked: { member: id, brackets, to: 'striped' },
    })),
    ...(leaf
      ? [
          {
            ...GROUND,
            id: 'ground/leaves/stripe',
            zone: 'middle' as const,
            title: 'Paint line across the nuts of U-bolts, spring eyes and shackles',
            how: 'Across each nut and what it clamps. U-bolts give as the pack beds in: drawn anew once they are torqued again after the first drive.',
            after: [
              after('ground/ubolts', 'it says that they are tight'),
              after('ground/soft', 'and the bolts of eyes and shackles'),
              after('ground/cotters', 'it is drawn after the last wrench'),
            ],
            tools: ['paint pen'],
          },
        ]
      : []),
    {
      ...GROUND,
      id: 'ground/rack',
      zone: 'round',
      title: 'Alignment on a rack, and whatever inspection the law asks for',
      how: 'Before it is driven at speed. Many places want an inspection or an engineer’s approval of a changed suspension.',
      after: [after('ground/set', 'it is set as well as a floor lets it'), ...torqued],
    },
    {
      ...GROUND,
      id: 'ground/drive',
      zone: 'round',
      title: 'First drive, short and slow',
      how: 'In a closed place: straight, brakes, both ways round, one bump. Knock: loose, or no preload. Wobble: a loose bracket, or steering and bar unlike.',
      after: [
        ...[...tightened.map(({ id }) => id), 'leaves'].map((id) =>
          after(`ground/${id}/stripe`, 'the lines show afterwards what moved'),
        ),
        after('ground/cotters', 'nothing is driven with a cotter out'),
        after('ground/yoke', 'nothing may touch'),
        after('ground/rack', 'inspected first, where the law asks for it'),
        ...torqued,
      ],
      caution: CAUTIONS.drive,
    },
    {
      ...GROUND,
      id: 'ground/again',
      zone: 'round',
      title: 'Every torque again, every line looked at',
      how: 'Cold, after the first drive: what has settled is taken up, what has turned says why.',
      after: [after('ground/drive', 'metal settles under load')],
      tools: ['torque wrench'],
    },
  ];
}
