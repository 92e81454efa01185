import { bracketOf } from '@/core/job/made/bracketParts';
import { bodyAt } from '@/core/job/made/parts';
import { BRACKETS } from '@/core/job/slices/fields';
import type { AxleEnd } from '@/core/rig/schema';
import { CAUTIONS } from './cautions';
import { axleMass, bracketName, type Site } from '../site';
import { after, shaftZone, type Task } from '../task';

const APART = { track: 'apart', basis: {} } as const;

/** What comes off the car before anything is made, and what is written down before it does; nothing of a car that is bare already. */
export function takingApart(site: Site): Task[] {
  if (site.car === 'bare') return [];
  return [...beforeAnything(site), ...(site.car === 'other' ? wholeOut(site) : [])];
}

const beforeAnything = ({ onWeight, car, driven, job }: Site): Task[] => [
  {
    ...APART,
    id: 'apart/record',
    zone: 'round',
    title: 'Measure the car as it stands',
    how: 'On its weight, settled: heights, gaps, where the axle sits on each side, angles. It is the only time the old car can be read.',
    after: [],
    marked: { station: 'record' },
  },
  {
    ...APART,
    id: 'apart/photos',
    zone: 'round',
    title: 'Photograph everything as it is',
    how: 'Each bracket, hose clip, cable and washer stack, from two sides, with a tape in the picture. Bags, tags and a tray per corner ready.',
    after: [],
    tools: ['camera', 'bags and tags'],
  },
  {
    ...APART,
    id: 'apart/marks',
    zone: 'round',
    title: 'Make the marks on the frame permanent',
    how: 'Both edges of the square where the axle stood, left and right, centre-punched; chalk is gone when the brackets are ground.',
    after: [after('apart/record', 'the marks are what was read')],
    tools: ['square', 'centre punch', 'scriber'],
  },
  {
    ...APART,
    id: 'apart/soak',
    zone: 'round',
    title: 'Soak the old bolts',
    how: 'Penetrating oil on every bolt that will be undone, the evening before; wire brush on the threads.',
    after: [],
    tools: ['penetrating oil', 'wire brush'],
  },
  ...(onWeight && car === 'same'
    ? []
    : [
        {
          ...APART,
          id: 'apart/raise',
          zone: 'round' as const,
          title: 'Frame on stands, wheels off',
          how: 'Stands under the frame, not under the axle; both sides at the same height; the wheels that came off lie under the sills.',
          after: [
            after('apart/record', 'once it is up, nothing of how it stood can be read'),
            after('apart/photos', 'so that it goes back as it was'),
            after('apart/marks', 'the marks are made with the axle where it was'),
          ],
          tools: ['jack', 'stands'],
          caution: CAUTIONS.stands,
        },
      ]),
  ...(driven && car === 'other' ? shaft(job.rig.end) : []),
  ...(job.rig.end === 'front' && car === 'other' ? steering() : []),
];

const shaft = (end: AxleEnd): Task[] => [
  {
    ...APART,
    id: 'apart/shaft/marks',
    zone: shaftZone(end),
    title: 'Witness marks across the driveshaft',
    how: 'Paint or punch across both yokes and the slip joint, and a photo: it goes back in the same splines, or it shakes.',
    after: [after('apart/photos', 'so that it goes back as it was')],
    tools: ['paint pen', 'punch'],
  },
  {
    ...APART,
    id: 'apart/shaft',
    zone: shaftZone(end),
    title: 'Driveshaft out',
    how: 'Tape round the caps of the joint so that none is lost; plug the transmission. Held level all the way, never hung from one joint.',
    after: [
      after('apart/shaft/marks', 'once it is parted there is nothing to mark'),
      after('apart/raise', 'the wheels must turn to reach each bolt'),
    ],
  },
];

const steering = (): Task[] => [
  {
    ...APART,
    id: 'apart/steering/marks',
    zone: 'left',
    title: 'Witness marks on the steering',
    how: 'Wheels straight ahead: paint across every clamp and sleeve, threads counted and written down, a photo of each.',
    after: [after('apart/photos', 'so that it goes back as it was')],
    tools: ['paint pen'],
    caution: CAUTIONS.steering,
  },
  {
    ...APART,
    id: 'apart/steering',
    zone: 'left',
    title: 'Drag link off the axle',
    how: 'Cotter out, nut flush with the end of the stud; a blow on the side of the eye, or a puller. Never on the stud itself.',
    after: [
      after('apart/steering/marks', 'once it is parted there is nothing to mark'),
      after('apart/raise', 'the wheels must hang free'),
    ],
    tools: ['puller or two hammers'],
    caution: CAUTIONS.steering,
  },
];

const wholeOut = (site: Site): Task[] => [
  {
    ...APART,
    id: 'apart/lines',
    zone: 'middle',
    title: 'Free hoses, cables and wires of the axle',
    how: 'Brake hose, parking cables, breather, wires, exhaust hangers: what goes from frame to axle. Open lines capped, tied up out of the heat.',
    after: [
      after('apart/photos', 'so that each goes back to its clip'),
      after('apart/raise', 'they are reached from below'),
    ],
    tools: ['line wrenches', 'caps', 'wire ties'],
    caution: CAUTIONS.brakes,
  },
  {
    ...APART,
    id: 'apart/sway',
    zone: 'behind',
    title: 'Old sway bar’s end links off, if it has one',
    how: 'First of all that is sprung, both wheels hanging alike, so that the bar is not wound up.',
    after: [after('apart/raise', 'both wheels must hang alike')],
  },
  {
    ...APART,
    id: 'apart/carry',
    zone: 'middle',
    title: 'Axle carried on a jack',
    how: 'A cradle under the housing, a strap over it, taking the weight and no more.',
    after: [
      after('apart/lines', 'nothing may hang by its hoses when it comes down'),
      ...(site.driven ? [after('apart/shaft', 'the shaft would hold the axle by its joints')] : []),
      ...(site.job.rig.end === 'front' ? [after('apart/steering', 'the drag link would hold the axle')] : []),
    ],
    tools: ['jack with a cradle', 'straps'],
    caution: CAUTIONS.stands,
  },
  {
    ...APART,
    id: 'apart/shocks',
    zone: 'behind',
    title: 'Shocks off at the axle',
    how: 'They are what keeps the axle from dropping: only with the jack under it.',
    after: [
      after('apart/carry', 'without them the axle drops as far as its hoses'),
      after('apart/sway', 'the bar would lift one end as the other is let down'),
    ],
  },
  {
    ...APART,
    id: 'apart/springs',
    zone: 'middle',
    title: 'Axle let down until the springs are slack, springs out',
    how:
      site.job.roll.springs?.kind === 'air'
        ? 'Air out first, then down until the bags hang free. Look at every seat while it can be seen.'
        : 'Slowly, watching every hose. Tag each spring left, right and up. Look at every seat while it can be seen.',
    after: [after('apart/shocks', 'they would stop it half way')],
    caution: site.job.roll.springs?.kind === 'air' ? CAUTIONS.air : CAUTIONS.springs,
  },
  {
    ...APART,
    id: 'apart/bars',
    zone: 'ahead',
    title: 'Old bars off, axle out',
    how: 'Carried and strapped, one bolt at a time; the bar across comes off last, then it rolls out on the jack.',
    after: [
      after('apart/springs', 'a spring under load would throw it'),
      after('apart/soak', 'a bolt that shears in its bushing costs a day'),
    ],
    hands: 2,
    lifts: axleMass(site),
    caution: CAUTIONS.lift,
  },
  {
    ...APART,
    id: 'apart/brackets',
    zone: 'ahead',
    title: 'Old brackets off, metal looked at',
    how: `Cut beside the weld, not into the rail; the rest ground flush.${leftOn(site)} Screwdriver along both rails, light along every seam; what you find goes into Record, Inspect.`,
    after: [
      after('apart/bars', 'what is still bolted cannot be cut off'),
      after('fit/battery', 'what is cut or ground may set fire, or kill a module'),
      after('fit/fuel', 'sparks and fuel'),
    ],
    tools: ['grinder', 'cutting discs'],
    caution: CAUTIONS.grind,
  },
];

/** Which old brackets stay, as new ones go over them, and how much of each. */
function leftOn(site: Site): string {
  const left = site.links.flatMap((link) =>
    BRACKETS.flatMap((bracket) => {
      const { over } = bracketOf(site.job, link, bodyAt(bracket));
      return over ? [`${site.say(over.high)} where the ${bracketName(site, link.id, bracket)} goes`] : [];
    }),
  );
  return left.length ? ` New brackets go over some: leave ${left.join(', ')}.` : '';
}
