import { bracketOf } from '@/core/job/made/bracketParts';
import { bodyAt } from '@/core/job/made/parts';
import type { Bracket } from '@/core/job/slices/fields';
import type { LinkMember } from '@/core/rig/members/link';
import { bracketBasis } from '@/core/weld/bracketBasis';
import { bracketName, type Site } from '../site';
import { after, zoneOf, type Task } from '../task';
import { CAUTIONS } from './cautions';
import { bracketStep, isAdjustable, linkStep } from './linkSteps';
import { BEFORE_HEAT } from './ready';
import { seatNear } from './springSeats';
import { isThroughFrame } from './swayBar/swayBar';
import { axleComesOut } from './together';

const FIT = { track: 'fit' } as const;

/** A bracket tacked, and finish-welded once everything has been moved with it. */
export function welded(site: Site, link: LinkMember, bracket: Bracket): Task[] {
  const { job } = site;
  const name = bracketName(site, link.id, bracket);
  const zone = zoneOf(link[bodyAt(bracket)]);
  const basis = bracketBasis(job, link.id, bracket);
  const { welded: share, leg } = bracketOf(job, link, bodyAt(bracket));
  const seat = seatNear(job, link, bracket);
  const off = bracket === 'axle' && axleComesOut(site);
  const way =
    share < 1
      ? `In stitches, about an inch with a quarter free, over ${Math.round(100 * share)} % of its length, end for end so that the heat is spread; `
      : `All round, inside too, ${site.say(leg)} legs, in short runs end for end; `;
  return [
    {
      ...FIT,
      id: bracketStep(link.id, bracket, 'tack'),
      zone,
      title: `Tack the ${name}`,
      how: 'Four short tacks, opposite each other, mock-up bushings in. Its hold point says what must be true first.',
      after: [
        after(bracketStep(link.id, bracket, 'clamp'), 'it is held where it goes'),
        ...(isAdjustable(site, link)
          ? [after(linkStep(link.id, 'bar'), 'the bar holds it to its length')]
          : []),
        ...BEFORE_HEAT,
        after('fit/mockup', 'a real bushing burns'),
      ],
      tools: ['welder'],
      caution: CAUTIONS.weld,
      marked: { member: link.id, brackets: [bracket], to: 'tacked' },
      basis,
    },
    {
      ...FIT,
      id: bracketStep(link.id, bracket, 'weld'),
      zone: off ? 'bench' : zone,
      title: `Finish-weld the ${name}`,
      how: `${way}let it cool to the hand between runs. Measured again after it: a weld pulls.`,
      after: [
        after('fit/cycle', 'what touches or binds is found while it can be cut loose'),
        after(bracketStep(link.id, bracket, 'tack'), 'tacked first'),
        ...(off
          ? [after('fit/axle/out', 'welded lying flat, with the axle on the bench, it is a better weld')]
          : []),
        ...(seat
          ? [after(`fit/spring/${seat}`, 'the spring stands in the heat, and must not be welded near')]
          : []),
        ...(isThroughFrame(job)
          ? [after('fit/sway/in', 'a bar that runs through the frame is in before the frame is closed')]
          : []),
      ],
      tools: ['welder'],
      caution: CAUTIONS.weld,
      permanent: `After this the ${name} only comes off by cutting.`,
      marked: { member: link.id, brackets: [bracket], to: 'welded' },
      basis,
    },
  ];
}

/** A bracket drilled for and bolted up, loose. */
export function bolted(site: Site, link: LinkMember, bracket: Bracket): Task[] {
  const name = bracketName(site, link.id, bracket);
  const zone = zoneOf(link[bodyAt(bracket)]);
  const basis = bracketBasis(site.job, link.id, bracket);
  return [
    {
      ...FIT,
      id: bracketStep(link.id, bracket, 'drill'),
      zone,
      title: `Drill for the ${name}`,
      how: 'Centre-punch through its own holes, pilot, then the drill of the bolt’s size; deburr, primer on the bare edge. Look behind before the drill goes through.',
      after: [
        after(bracketStep(link.id, bracket, 'clamp'), 'the holes are marked through it'),
        ...(isAdjustable(site, link)
          ? [after(linkStep(link.id, 'bar'), 'the bar says whether it is in its place')]
          : []),
        after('fit/fuel', 'a drill that goes through finds the line behind'),
      ],
      tools: ['centre punch', 'pilot drill', 'final drill'],
      permanent: 'A hole drilled too large or beside its place is no hole: it is plugged and welded.',
      marked: { member: link.id, brackets: [bracket], to: 'drilled' },
      basis,
    },
    {
      ...FIT,
      id: bracketStep(link.id, bracket, 'loose'),
      zone,
      title: `Bolt up the ${name}, loose`,
      how: 'All of its bolts started by hand before one is turned; heads on the side that a later part leaves free.',
      after: [after(bracketStep(link.id, bracket, 'drill'), 'drilled first')],
      marked: { member: link.id, brackets: [bracket], to: 'loose' },
      basis,
    },
  ];
}
