import { CAUTIONS } from './cautions';
import type { Site } from '../site';
import { after, type Before, type Task } from '../task';

const FIT = { track: 'fit', basis: {} } as const;

/** The car made ready: safe to weld on, parts counted. */
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
