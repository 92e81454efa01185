import { heldLift } from '@/core/job/jobValues';
import { restsOf } from '@/core/place/heights';
import { SIDES } from '@/core/geometry/side';
import { CAUTIONS } from './cautions';
import { axleMass, type Site } from '../site';
import { after, type Before, type Task } from '../task';

const FIT = { track: 'fit', basis: {} } as const;

/** The car and the axle made ready: safe to weld on, held where the axle will live, parts counted. */
export const makingReady = (site: Site): Task[] => [
  {
    ...FIT,
    id: 'fit/parts',
    zone: 'bench',
    title: site.make === 'kit' ? 'Count the kit in' : 'Lay out what is needed',
    how: 'Left- and right-hand threads tried with a nut, both lengths of bolts sorted, spacers counted: at Record, Parts. What is missing is ordered now.',
    after: [],
  },
  battery,
  fuel,
  ...(site.onWeight ? [onItsTyres(site)] : onRests(site)),
];

/** What is done before anything is cut, ground or welded. */
export const BEFORE_HEAT: Before[] = [
  after('fit/battery', 'a welding current finds its way through every module'),
  after('fit/fuel', 'sparks and fuel'),
];

const battery: Task = {
  ...FIT,
  id: 'fit/battery',
  zone: 'round',
  title: 'Battery and modules disconnected',
  how: 'Earth first; modules unplugged, alternator too. The welder’s clamp goes beside the weld, never across a bearing or a joint.',
  after: [],
};

const fuel: Task = {
  ...FIT,
  id: 'fit/fuel',
  zone: 'behind',
  title: 'Fuel and brake lines out of the heat',
  how: 'Tank out, or shielded and well away; lines moved, not bent; sound-deadening and trim above the place lifted. Extinguisher and water at hand, somebody to watch for half an hour after.',
  after: [],
  tools: ['extinguisher', 'wet blanket'],
  caution: CAUTIONS.fuel,
};

const onItsTyres = ({ car }: Site): Task => ({
  ...FIT,
  id: 'fit/height',
  zone: 'round',
  title: 'Car on its weight, settled',
  how: 'On ramps or a level floor, on its own tyres, at their pressure; bounced and rolled forth and back; heights as at Place.',
  after: [after('apart/record', 'it stands as it was recorded')],
  caution: CAUTIONS.bounce,
  marked: { station: 'place' },
  ...(car === 'same' && { tools: ['ramps'] }),
});

function onRests(site: Site): Task[] {
  const { job, say } = site;
  const rests = restsOf(job, heldLift(job));
  const tops = SIDES.flatMap((side) => (rests[side] ? [`${side} ${say(rests[side].top)}`] : []));
  return [
    {
      ...FIT,
      id: 'fit/frame',
      zone: 'round',
      title: 'Frame level on its stands',
      how: 'At the height that Place asks for, level across and as it will stand along; measured from the floor at four places, floor unevenness taken off.',
      after: [after('apart/brackets', 'grinding and cutting shift it on its stands')],
      tools: ['stands', 'level'],
      caution: CAUTIONS.stands,
    },
    {
      ...FIT,
      id: 'fit/height',
      zone: 'middle',
      title: 'Axle on its rests, strapped',
      how: 'At the height Place gives; strips in front of and behind the tube, so that it can go up and down and nowhere else; a strap to each rail; pinion at its angle.',
      after: [after('fit/frame', 'the rests are reckoned from the frame')],
      hands: 2,
      lifts: axleMass(site),
      caution: CAUTIONS.lift,
      ...(tops.length > 0 && { expect: `Under the tube, off the floor: ${tops.join(', ')}.` }),
      marked: { station: 'place' },
    },
  ];
}
