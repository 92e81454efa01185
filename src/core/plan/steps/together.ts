import { BRACKETS, type Bracket } from '@/core/job/slices/fields';
import type { Basis } from '@/core/job/stripes';
import type { LinkMember } from '@/core/rig/members/link';
import { leavesOf } from '@/core/rig/roles';
import { bracketBasis } from '@/core/weld/bracketBasis';
import { fastening } from '@/core/weld/fastening';
import { heldPoints, SWAY_BAR } from '@/core/weld/held';
import { bracketName, isBolted, titled, type Site } from '../site';
import { after, byName, type Before, type Task } from '../task';
import { CAUTIONS } from './cautions';
import { bracketStep, fixedOnce, linkStep } from './linkSteps';
import { othersFixed, type OthersFixed } from './others';

const FIT = { track: 'fit' } as const;

/** Whether the axle can be taken out for its welds: not from under a car that stands on it, nor where bars are replaced one by one. */
export const axleComesOut = ({ onWeight, car }: Site): boolean => !onWeight && car !== 'same';

type LinkEnd = { link: LinkMember; bracket: Bracket };

/** What is done once for everything that is set: mock-ups before heat, the axle moved with all of it in place, welded, measured, painted. */
export function together(site: Site): Task[] {
  const others = othersFixed(site);
  if (site.links.length === 0 && others.length === 0 && !site.job.roll.bar) return [];
  const ends = site.links.flatMap((link) =>
    BRACKETS.filter((bracket) => !isBolted(site, link, bracket)).map((bracket) => ({ link, bracket })),
  );
  const isHot = ends.length > 0 || others.some(({ isWelded }) => isWelded);
  const isPainted = isHot || isBarWelded(site);
  return [
    ...(isHot ? [mockUps] : []),
    cycled(site, others),
    ...(axleComesOut(site) ? axleOut(site, ends, others) : []),
    measured(site, ends, others, isPainted),
    ...(isPainted ? [painted] : []),
  ];
}

/** Whether anything of the sway bar is welded to the car. */
const isBarWelded = ({ job }: Site): boolean =>
  heldPoints(job, SWAY_BAR).some(({ bracket }) => fastening(job, { member: SWAY_BAR, bracket }) === 'welded');

const mockUps: Task = {
  ...FIT,
  id: 'fit/mockup',
  zone: 'bench',
  title: 'Mock-up bushings and spare rod ends in',
  how: 'A turned slug in place of each bushing, a worn rod end in each bung to take the heat and keep the thread. The real ones stay on the shelf.',
  after: [after('fit/parts', 'the real ones are here, and are put away')],
  basis: {},
};

/** The axle moved through its travel, its springs out: they are out already where everything came off. */
function cycled(site: Site, others: OthersFixed[]): Task {
  const { job, links, onWeight, car, driven } = site;
  const isLeaf = leavesOf(job.rig).length > 0;
  const { springs } = job.roll;
  const out =
    car === 'same'
      ? `shocks off at the axle and ${springs?.kind === 'air' ? 'bags empty' : 'springs out, tagged left, right and up'}`
      : 'springs out';
  const on = isLeaf ? 'On its main leaves alone, or as far as the pack lets it' : out;
  return {
    ...FIT,
    id: 'fit/cycle',
    zone: 'middle',
    title: 'Cycle the axle, bump to droop and one wheel up',
    how: `${onWeight ? 'Car on stands under the frame for it. ' : ''}${on[0]!.toUpperCase()}${on.slice(1)}; by the jack, slowly, from stop to stop, looking along every bar, hose and pipe${driven ? '; the yoke turned by hand' : ''}. Tightest gaps measured.`,
    after: [
      after('fit/height', 'the axle is held from there'),
      ...leavesOf(job.rig).map(({ id }) => after(`fit/${id}/plate`, 'it hangs on its springs')),
      ...links.flatMap((link) => [
        ...BRACKETS.map((bracket) => fixedOnce(site, link, bracket, 'it is cycled with every bracket on')),
        after(linkStep(link.id, 'bar'), 'with the real bars'),
      ]),
      ...others.flatMap(({ first }) => first.map((id) => after(id, 'it is cycled with every bracket on'))),
    ],
    tools: ['jack', 'feeler of wood, half an inch'],
    caution:
      car === 'same' && !isLeaf
        ? `${CAUTIONS.stands} ${springs?.kind === 'air' ? CAUTIONS.air : CAUTIONS.springs}`
        : CAUTIONS.stands,
    basis: drawnBasis(site, others),
  };
}

/** Where everything that is set is drawn. */
const drawnBasis = (site: Site, others: OthersFixed[]): Basis =>
  byName([
    ...site.links.flatMap((link) =>
      BRACKETS.map((bracket): [string, Basis] => [
        bracketName(site, link.id, bracket),
        bracketBasis(site.job, link.id, bracket),
      ]),
    ),
    ...others.map(({ member, basis }): [string, Basis] => [site.name(member), basis]),
  ]);

/** The axle taken out for what is welded to it, and put back; nothing where nothing of a bar is. */
function axleOut(site: Site, ends: LinkEnd[], others: OthersFixed[]): Task[] {
  const onAxle = ends.filter(({ bracket }) => bracket === 'axle');
  if (onAxle.length === 0) return [];
  const bars = onAxle.map(({ link }) => site.name(link.id));
  return [
    {
      ...FIT,
      id: 'fit/axle/out',
      zone: 'middle',
      title: 'Axle out for its welds',
      how: `Witness marks across each bar’s ends, then down and out to where it can be turned: ${bars.join(', ')}${site.job.roll.bar ? '; the sway bar’s end links are off' : ''}. A straight bar clamped along the tube against the pull; runs spread left and right.`,
      after: [
        after('fit/cycle', 'once it is out it is not cycled'),
        after('fit/sway/feet', 'the feet of the end links are found with the axle in its place'),
      ],
      hands: 2,
      caution: CAUTIONS.lift,
      basis: {},
    },
    {
      ...FIT,
      id: 'fit/axle/back',
      zone: 'middle',
      title: 'Tube straight after welding? Axle back on its rests',
      how: 'A straightedge along it, or the axle shafts turned by hand: what has pulled is set straight by somebody who does that, before it goes back.',
      after: [
        ...onAxle.map(({ link, bracket }) =>
          after(bracketStep(link.id, bracket, 'weld'), 'all of its welds'),
        ),
        ...others
          .filter(({ isWelded }) => isWelded)
          .flatMap(({ last }) => last.map((id) => after(id, 'all of its welds'))),
      ],
      hands: 2,
      basis: {},
    },
  ];
}

function measured(site: Site, ends: LinkEnd[], others: OthersFixed[], isWelded: boolean): Task {
  const all = [
    ...site.links.map(({ id }) => id),
    ...others.map(({ member }) => member),
    ...(site.job.roll.bar ? [SWAY_BAR] : []),
  ];
  const eyes = site.links.length ? 'eye to eye, ' : '';
  // Its springs are out, or it is on stands: what was read on its weight is read so again.
  const levels = site.onWeight
    ? `${eyes}each eye in its place; level and gaps once it stands on its weight again`
    : `${eyes}level, gaps left and right`;
  const what = `${all.map((id) => titled(site, id)).join('; ')}: ${levels}, at the hold points of each; what has moved is entered, and Pellik says whether it counts.`;
  const afterWhat: Before[] = [
    ...ends.map(({ link, bracket }) => after(bracketStep(link.id, bracket, 'weld'), 'a weld pulls')),
    ...others.flatMap(({ last }) => last.map((id) => after(id, 'its mounts are fixed for good'))),
    after('fit/cycle', 'what is cut loose after that is measured again too'),
    after('fit/axle/back', 'the axle is where it belongs'),
    after('fit/sway/feet', 'its feet are on'),
    after('fit/sway/sleeves/weld', 'a weld pulls'),
    ...site.links.map((link) => after(linkStep(link.id, 'brace'), 'a brace pulls too')),
  ];
  return {
    ...FIT,
    id: 'fit/measured',
    zone: 'round',
    title: isWelded
      ? 'Measure again what was measured before tacking'
      : 'Measure again, with everything bolted up',
    how: `${isWelded ? 'Each weld pulls.' : 'A hole that is off shows now, while it can be mended.'} ${what}`,
    after: afterWhat,
    basis: {},
  };
}

const painted: Task = {
  ...FIT,
  id: 'fit/paint',
  zone: 'round',
  title: 'Paint what was welded',
  how: 'Slag off, primer, paint blended past the edge, not to a tape line; threads, bores and where a bolt clamps left bare.',
  after: [after('fit/measured', 'paint before the last look hides what cracked')],
  basis: {},
};
