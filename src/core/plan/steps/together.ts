import { BRACKETS } from '@/core/job/slices/fields';
import { leavesOf } from '@/core/rig/roles';
import { bracketBasis } from '@/core/weld/bracketBasis';
import { bracketName, isBolted, titled, type Site } from '../site';
import { after, type Task } from '../task';
import { CAUTIONS } from './cautions';
import { bracketStep, fixedOnce, linkStep } from './linkSteps';

const FIT = { track: 'fit' } as const;

/** Whether the axle can be taken out for its welds: not from under a car that stands on it, nor where bars are replaced one by one. */
export const axleComesOut = ({ onWeight, car }: Site): boolean => !onWeight && car !== 'same';

/** What is done once for all links: mock-ups before heat, the axle moved with everything tacked, and taken out for its welds. */
export function together(site: Site): Task[] {
  const { links, onWeight } = site;
  const weldedEnds = links.flatMap((link) =>
    BRACKETS.filter((bracket) => !isBolted(site, link, bracket)).map((bracket) => ({ link, bracket })),
  );
  const onAxle = weldedEnds.filter(({ bracket }) => bracket === 'axle');
  return [
    ...(weldedEnds.length
      ? [
          {
            ...FIT,
            id: 'fit/mockup',
            zone: 'bench' as const,
            title: 'Mock-up bushings and spare rod ends in',
            how: 'A turned slug in place of each bushing, a worn rod end in each bung to take the heat and keep the thread. The real ones stay on the shelf.',
            after: [after('fit/parts', 'the real ones are here, and are put away')],
            basis: {},
          },
        ]
      : []),
    {
      ...FIT,
      id: 'fit/cycle',
      zone: 'middle',
      title: 'Cycle the axle, bump to droop and one wheel up',
      how: `${onWeight ? 'Car on stands under the frame for it. ' : ''}${leavesOf(site.job.rig).length ? 'On its main leaves alone, or as far as the pack lets it' : 'Springs out'}; by the jack, slowly, from stop to stop, looking along every bar, hose and pipe${site.driven ? '; the yoke turned by hand' : ''}. Tightest gaps measured.`,
      after: links.flatMap((link) => [
        ...BRACKETS.map((bracket) => fixedOnce(site, link, bracket, 'it is cycled with every bracket on')),
        after(linkStep(link.id, 'bar'), 'with the real bars'),
      ]),
      tools: ['jack', 'feeler of wood, half an inch'],
      caution: CAUTIONS.stands,
      basis: Object.assign(
        {},
        ...links.flatMap((link) =>
          BRACKETS.map((bracket) =>
            Object.fromEntries(
              Object.entries(bracketBasis(site.job, link.id, bracket)).map(([key, value]) => [
                `${bracketName(site, link.id, bracket)}, ${key}`,
                value,
              ]),
            ),
          ),
        ),
      ) as Task['basis'],
    },
    ...(onAxle.length && axleComesOut(site)
      ? [
          {
            ...FIT,
            id: 'fit/axle/out',
            zone: 'middle' as const,
            title: 'Axle out for its welds',
            how: `Witness marks across each bar’s ends, then down and out to where it can be turned: ${onAxle.map(({ link }) => site.name(link.id)).join(', ')}. A straight bar clamped along the tube against the pull; runs spread left and right.`,
            after: [after('fit/cycle', 'once it is out it is not cycled')],
            hands: 2 as const,
            caution: CAUTIONS.lift,
            basis: {},
          },
          {
            ...FIT,
            id: 'fit/axle/back',
            zone: 'middle' as const,
            title: 'Tube straight after welding? Axle back on its rests',
            how: 'A straightedge along it, or the axle shafts turned by hand: what has pulled is set straight by somebody who does that, before it goes back.',
            after: onAxle.map(({ link, bracket }) =>
              after(bracketStep(link.id, bracket, 'weld'), 'all of its welds'),
            ),
            hands: 2 as const,
            basis: {},
          },
        ]
      : []),
    {
      ...FIT,
      id: 'fit/measured',
      zone: 'round',
      title: 'Measure again what was measured before tacking',
      how: `Each weld pulls. ${links.map((link) => titled(site, link.id)).join('; ')}: eye to eye, level, gaps left and right, at the hold points of each; what has moved is entered, and Pellik says whether it counts.`,
      after: [
        ...weldedEnds.map(({ link, bracket }) =>
          after(bracketStep(link.id, bracket, 'weld'), 'a weld pulls'),
        ),
        after('fit/axle/back', 'the axle is where it belongs'),
        ...links.map((link) => after(linkStep(link.id, 'brace'), 'a brace pulls too')),
      ],
      basis: {},
    },
    ...(weldedEnds.length
      ? [
          {
            ...FIT,
            id: 'fit/paint',
            zone: 'round' as const,
            title: 'Paint what was welded',
            how: 'Slag off, primer, paint blended past the edge, not to a tape line; threads, bores and where a bolt clamps left bare.',
            after: [
              after('fit/measured', 'paint before the last look hides what cracked'),
              after('fit/sway/feet', 'all that is welded is welded'),
            ],
            basis: {},
          },
        ]
      : []),
  ];
}
