import { boltFor } from '@/core/fabricate/boltStack';
import { bracketOf, stackOf } from '@/core/job/made/bracketParts';
import { LINK_ENDS } from '@/core/job/made/parts';
import { BRACKETS } from '@/core/job/slices/fields';
import { sayBoltBy } from '@/core/materials/boltSize';
import { BOLT_GRADES } from '@/core/materials/metals';
import { jointsOf, JOINTS } from '@/core/materials/joints';
import type { LinkMember } from '@/core/rig/members/link';
import { leavesOf } from '@/core/rig/roles';
import { CAUTIONS } from './cautions';
import { hangingOthers } from './others';
import { bracketStep, linkStep } from './linkSteps';
import { bracketName, isBolted, titled, type Site } from '../site';
import { hangingSwayBar } from './swayBar/swayBar';
import { after, shaftZone, zoneOf, type Task } from '../task';

const BOLT = { track: 'bolt', basis: {} } as const;

/** Everything hung on loosely, then snugged: nothing is tight until every bolt is in. */
export function boltingOn(site: Site): Task[] {
  const all = [
    ...site.links.map((link) => hung(site, link)),
    ...hangingOthers(site),
    ...carried(site),
    ...hangingSwayBar(site),
    ...reconnected(site),
  ];
  return [
    ...all,
    {
      ...BOLT,
      id: 'bolt/all',
      zone: 'round',
      title: 'Every bolt is in; nothing is left over',
      how: 'Count what is on the bench: a part left over is a step missed. Only then is the first bolt tightened.',
      after: all.map(({ id }) => after(id, 'nothing is tight until everything is in')),
    },
    {
      ...BOLT,
      id: 'bolt/snug',
      zone: 'round',
      title: 'Snug all of them, but not the soft bushings',
      how: 'Frame brackets, then axle brackets, then braces; spacer screws in turn. Rubber and polyurethane stay free to turn until the car stands on its weight.',
      after: [after('bolt/all', 'a bolt that is tight moves the holes of the next')],
      tools: ['two wrenches'],
    },
  ];
}

/** The bolts of a bar by size, length and grade. */
function fastenersOf({ job }: Site, link: LinkMember): string[] {
  return LINK_ENDS.map((end) => {
    const { bolt, grade, planes } = bracketOf(job, link, end);
    const { length, extraWashers } = boltFor(stackOf(job, link, end));
    const where = end === 'chassis' ? 'frame' : 'axle';
    const what = planes === 1 ? 'stud or bolt' : 'bolt';
    return `${where} end: ${what} ${sayBoltBy(bolt, length)}, ${BOLT_GRADES[grade].name}${extraWashers ? `, ${extraWashers} more washer${extraWashers > 1 ? 's' : ''} under the nut` : ''}`;
  });
}

function hung(site: Site, link: LinkMember): Task {
  return {
    ...BOLT,
    id: `bolt/${link.id}`,
    zone: zoneOf(link.axle),
    title: `${titled(site, link.id)} on, bolts loose`,
    how: `${site.car === 'same' ? 'One at a time: mock-up out, then r' : 'R'}eal joints in, threads with anti-seize where they are set again; both screws of a spacer started before one is turned; heads where a later part does not cover them.`,
    after: [
      ...BRACKETS.map((bracket) =>
        isBolted(site, link, bracket)
          ? after(bracketStep(link.id, bracket, 'loose'), `the ${bracketName(site, link.id, bracket)} is up`)
          : after(
              bracketStep(link.id, bracket, 'weld'),
              `the ${bracketName(site, link.id, bracket)} is finished`,
            ),
      ),
      after(linkStep(link.id, 'bar'), 'there must be a bar'),
      after(linkStep(link.id, 'brace'), 'its brace is in while there is room'),
      after('fit/axle/back', 'the axle is back'),
      after('fit/paint', 'paint is under what clamps, not over it'),
    ],
    fasteners: fastenersOf(site, link),
    basis: Object.fromEntries(
      LINK_ENDS.map((end) => [
        `bolt, ${end === 'chassis' ? 'frame' : 'axle'} end`,
        bracketOf(site.job, link, end).bolt,
      ]),
    ),
  };
}

/** Springs and shocks. */
function carried(site: Site): Task[] {
  const { springs } = site.job.roll;
  const leaf = leavesOf(site.job.rig).length > 0;
  const held = site.links.map((link) =>
    after(`bolt/${link.id}`, 'something must hold the axle while it is lifted'),
  );
  return [
    ...(leaf
      ? []
      : [
          {
            ...BOLT,
            id: 'bolt/springs',
            zone: 'middle' as const,
            title: 'Springs in',
            how: 'By their tags, seats clean, the axle lifted until they are caught at both ends.',
            after: [
              ...held,
              after('fit/cycle', 'they are out while the axle is cycled'),
              after('fit/measured', 'the last look is taken without them'),
              after('fit/paint', 'their seats are painted'),
            ],
            caution: springs?.kind === 'air' ? CAUTIONS.air : CAUTIONS.springs,
          },
        ]),
    {
      ...BOLT,
      id: 'bolt/shocks',
      zone: 'behind',
      title: 'Shocks on',
      how: 'Neither closed nor open before the stops are; the bump stop must be first.',
      after: [...held, after('bolt/springs', 'a shock on first is in the spring’s way')],
    },
  ];
}

/** Shaft, steering, hoses: what was parted goes together by its marks. */
const reconnected = (site: Site): Task[] => [
  ...(site.driven && site.car !== 'same'
    ? [
        {
          ...BOLT,
          id: 'bolt/shaft',
          zone: shaftZone(site.job.rig.end),
          title: 'Driveshaft in, by its marks',
          how: 'New straps or bolts; the yoke turned by hand a full turn: nothing touches, and the slip joint has room both ways.',
          after: [
            ...site.links.map((link) => after(`bolt/${link.id}`, 'the axle is where it belongs')),
            ...site.job.rig.members.map(({ id }) => after(`bolt/${id}`, 'the axle is where it belongs')),
          ],
        },
      ]
    : []),
  ...(site.job.rig.end === 'front' && site.car !== 'same'
    ? [
        {
          ...BOLT,
          id: 'bolt/steering',
          zone: 'left' as const,
          title: 'Drag link on, by its marks',
          how: 'Wheels straight, box in its middle; the stud’s nut to the maker’s torque, then on to the next slot; a new cotter.',
          after: site.links.map((link) => after(`bolt/${link.id}`, 'the axle is where it belongs')),
          caution: CAUTIONS.steering,
        },
      ]
    : []),
  {
    ...BOLT,
    id: 'bolt/lines',
    zone: 'middle',
    title: `Hoses, cables and wires ${site.car === 'same' ? 'in their clips' : 'back'}, with slack through the whole travel`,
    how: `Axle let down to droop and lifted to bump${site.job.rig.end === 'front' ? ', wheels at full lock both ways' : ''}: nothing pulls tight, nothing is pinched, nothing rubs. Fuel lines back last.`,
    after: [
      ...site.links.map((link) => after(`bolt/${link.id}`, 'it is tried with the axle hung as it will hang')),
      ...site.job.rig.members.map(({ id }) =>
        after(`bolt/${id}`, 'it is tried with the axle hung as it will hang'),
      ),
    ],
    caution: CAUTIONS.brakes,
  },
];

/** Whether a bar has a soft bushing, which is tightened with the car on its weight. */
export const isSoft = ({ job }: Site, link: LinkMember): boolean => {
  const { chassis, axle } = jointsOf(job.joints, link.id);
  return [chassis, axle].some((joint) => JOINTS[joint].soft);
};
