import { removalOrder } from '@/core/place/order';
import { fastenedTo, hangsOn } from '@/core/job/made/bracketRoot';
import { bracketOf } from '@/core/job/made/bracketParts';
import { bodyAt } from '@/core/job/made/parts';
import { BRACKETS, type Bracket } from '@/core/job/slices/fields';
import { capital } from '@/core/rig/names';
import { describeBar } from '@/core/rig/lateralBar';
import type { LinkMember } from '@/core/rig/members/link';
import { bracketBasis } from '@/core/weld/bracketBasis';
import { bracketName, isBolted, sayPlace, type Site } from '../site';
import { after, zoneOf, type Task } from '../task';
import { bolted, welded } from './brackets';
import { CAUTIONS } from './cautions';
import { bracketStep, fixedOnce, isAdjustable, linkStep } from './linkSteps';
import { BEFORE_HEAT } from './ready';

const FIT = { track: 'fit' } as const;

/** Everything that is set, made, tacked and welded for the links of a car. */
export function fittingLinks(site: Site): Task[] {
  return site.links.flatMap((link) => [
    ...oldOneOff(site, link),
    ...hungOn(site, link),
    ...BRACKETS.map((bracket) => clamped(site, link, bracket)),
    made(site, link),
    ...BRACKETS.flatMap((bracket) =>
      isBolted(site, link, bracket) ? bolted(site, link, bracket) : welded(site, link, bracket),
    ),
    ...braced(site, link),
  ]);
}

/** On a car that keeps its axle in place, a bar comes off once the one before it is on. */
function oldOneOff(site: Site, link: LinkMember): Task[] {
  const { job, car } = site;
  if (car !== 'same') return [];
  const order = removalOrder(job.rig).filter(({ id }) => site.links.some((l) => l.id === id));
  const at = order.findIndex(({ id }) => id === link.id);
  const removal = order[at]!;
  const before = order[at - 1];
  return [
    {
      ...FIT,
      id: linkStep(link.id, 'off'),
      zone: zoneOf(link.axle),
      title: `Old ${removal.name} off, and no other`,
      how: `${removal.frees ? `Without it ${removal.frees}. ` : ''}${removal.hold}`,
      after: [
        after('fit/height', 'the axle is held before a bar lets it go'),
        ...(before
          ? [
              after(
                linkStep(before.id, 'on'),
                `the axle moves when two are off: the ${before.name} is on again first`,
              ),
            ]
          : []),
      ],
      caution: CAUTIONS.stands,
      basis: {},
    },
    {
      ...FIT,
      id: linkStep(link.id, 'on'),
      zone: zoneOf(link.axle),
      title: `New ${removal.name} on between its brackets, bolts loose`,
      how: 'It holds the axle while the next one comes off.',
      after: [
        ...BRACKETS.map((bracket) => fixedOnce(site, link, bracket, 'it must hold the axle')),
        after(linkStep(link.id, 'bar'), 'there must be a bar'),
      ],
      basis: {},
    },
  ];
}

/** The step that fixes what a link's frame bracket hangs on, where that is no rail: one for all links that hang on one crossmember. */
function carrierStep({ job, links }: Site, link: LinkMember): string {
  const on = hangsOn(job, link)?.crossmember.id;
  const first = links.find((other) => on !== undefined && hangsOn(job, other)?.crossmember.id === on);
  return linkStep((first ?? link).id, 'carrier');
}

/** A crossmember or hoop that a frame bracket hangs on: it is fixed before anything is set on it. */
function hungOn(site: Site, link: LinkMember): Task[] {
  const { job, say } = site;
  const id = linkStep(link.id, 'carrier');
  const on = hangsOn(job, link)?.crossmember;
  if (!on && fastenedTo(job, link, 'chassis') !== 'undrawn') return [];
  if (carrierStep(site, link) !== id) return [];
  const what = on ? capital(on.id) : `Crossmember or hoop for the ${bracketName(site, link.id, 'frame')}`;
  const place = on
    ? `Its middle line ${say(Math.abs(on.ahead))} ${on.ahead < 0 ? 'behind' : 'ahead of'} the axle, in its middle ${say(Math.abs(on.low))} ${on.low < 0 ? 'above' : 'below'} the rails’ undersides. `
    : '';
  return [
    {
      ...FIT,
      id,
      zone: zoneOf(link.chassis),
      title: `${what}: centred, then fixed`,
      how: `${place}Where it slides, in slots or brackets of its own: as far from both rails, square to the car, measured on both sides; then ${on ? (on.bolted ? 'bolted' : 'welded') : 'welded or bolted'} to them for good. What is set on one that moves afterwards is wrong.`,
      after: [
        after('fit/height', 'it goes where the axle will live under it'),
        after('apart/brackets', 'the metal under it must be bare'),
        after(linkStep(link.id, 'off'), 'the old bar is in the way'),
        ...BEFORE_HEAT,
      ],
      tools: ['tape', 'square', 'clamps'],
      caution: CAUTIONS.weld,
      basis: on
        ? { 'ahead of the axle': on.ahead, 'below the rails': on.low }
        : {
            'ahead of the axle': link.chassis[0],
            'left of the centreline': link.chassis[1],
            'off the floor': link.chassis[2],
          },
    },
  ];
}

/** The bar across has its axle end set first, and its frame end follows from that; the others are set from the frame. */
const firstEnd = ({ across }: Site, link: LinkMember): Bracket => (link === across ? 'axle' : 'frame');
function clamped(site: Site, link: LinkMember, bracket: Bracket): Task {
  const first = firstEnd(site, link);
  const isFirst = bracket === first;
  const { backing, over } = bracketOf(site.job, link, bodyAt(bracket));
  const old = over
    ? `The old bracket cut square, ${site.say(over.high)} from what it is on, and looked over for cracks, its weld too; the new plates lap it by ${site.say(over.lap)}. `
    : '';
  const way = isBolted(site, link, bracket)
    ? 'Level and plumb; mark its holes through it.'
    : 'Level and plumb; scribe round it, take it down, grind to bright metal past the line; weld-through primer where it will be closed in; clamp it again.';
  const last =
    link === site.across && bracket === 'frame'
      ? ' Its place follows from the axle end and the bar: the one free end of the chain is its brace.'
      : '';
  return {
    ...FIT,
    id: bracketStep(link.id, bracket, 'clamp'),
    zone: zoneOf(link[bodyAt(bracket)]),
    title: `Clamp the ${bracketName(site, link.id, bracket)} where it is drawn`,
    how: `${old}${way}${backing > 0 ? ' Backing plate on the other face with it.' : ''}${last}`,
    after: [
      after('fit/height', 'a bracket set with the axle elsewhere is wrong at ride height'),
      after('fit/parts', 'the bracket itself says what fits'),
      after('apart/brackets', 'the metal under it must be bare'),
      after(linkStep(link.id, 'off'), 'the old bar is in the way'),
      ...(bracket === 'frame'
        ? [after(carrierStep(site, link), 'what it hangs on must not move any more')]
        : []),
      ...(isFirst
        ? []
        : [
            after(
              bracketStep(link.id, first, 'clamp'),
              link === site.across
                ? 'the axle end says where the frame end goes'
                : 'the frame end goes as far from the axle as it will, and says where the bar lies',
            ),
          ]),
      ...(link === site.across
        ? [
            ...site.links
              .filter((l) => l !== link)
              .map((l) =>
                fixedOnce(site, l, 'axle', 'fore and aft come first: the links say where the axle stands'),
              ),
            after('fit/leaves', 'the springs say where the axle stands'),
          ]
        : []),
    ],
    tools: ['clamps', 'small level', 'scriber'],
    expect: `Middle of the eye ${sayPlace(site, link[bodyAt(bracket)], bodyAt(bracket))}.`,
    basis: bracketBasis(site.job, link.id, bracket),
  };
}

function made(site: Site, link: LinkMember): Task {
  const { say, make } = site;
  const adjustable = isAdjustable(site, link);
  const eyeToEye = describeBar(link).eyeToEye;
  const how =
    make === 'kit'
      ? 'Both ends wound right in and then out alike, until it meets its holes; thread left showing measured at both.'
      : adjustable
        ? 'As on its sheet at Cut, from the length between the clamped brackets: cut long, bevel, bungs welded with a spare rod end wound in; both ends wound alike.'
        : 'It cannot be set afterwards: cut to the length between the tacked brackets, trimmed to fit, its barrels welded in the jig with mock-up bushings.';
  return {
    ...FIT,
    id: linkStep(link.id, 'bar'),
    zone: 'bench',
    title: `${make === 'kit' ? 'Set' : 'Make'} the ${site.name(link.id)}`,
    how,
    after: [
      ...BRACKETS.map((bracket) =>
        adjustable
          ? after(bracketStep(link.id, bracket, 'clamp'), 'a bar cut to a guess fits by luck')
          : fixedOnce(site, link, bracket, 'a bar of one length is cut to what is there'),
      ),
    ],
    tools: make === 'kit' ? ['two wrenches'] : ['saw', 'welder', 'jig'],
    ...(make === 'own' && { caution: CAUTIONS.weld }),
    expect: `Eye to eye ${say(eyeToEye)}.`,
    basis: { 'eye to eye': eyeToEye },
  };
}

/** A brace that is welded closes the chain and comes last; a kit's that threads goes in while there is room for it. */
function braced(site: Site, link: LinkMember): Task[] {
  const { brace } = bracketOf(site.job, link, 'chassis');
  if (!brace) return [];
  const kit = site.make === 'kit';
  const name = bracketName(site, link.id, 'frame');
  return [
    {
      ...FIT,
      id: linkStep(link.id, 'brace'),
      zone: zoneOf(link.chassis),
      title: kit ? `Thread the brace of the ${name} in, loose` : `Cut and weld the brace of the ${name}`,
      how: kit
        ? 'Both ends wound in alike, while the bar is still out of the way; a cut that is a quarter inch off is taken up by its thread and slot.'
        : 'Last of the chain: cut to what is there between the bracket and the other rail, both of its ends welded all round.',
      after: kit
        ? [fixedOnce(site, link, 'frame', 'it braces the bracket')]
        : [
            isBolted(site, link, 'frame')
              ? after(bracketStep(link.id, 'frame', 'loose'), 'it braces the bracket where it is')
              : after(
                  bracketStep(link.id, 'frame', 'weld'),
                  'the weld pulls the bracket: the brace is cut after it',
                ),
            ...BEFORE_HEAT,
          ],
      ...(!kit && {
        caution: CAUTIONS.weld,
        permanent: 'Once both of its ends are fixed it cannot be turned or set.',
      }),
      expect: `From the bracket to the other rail ${site.say(brace.length)}.`,
      basis: { length: brace.length, od: brace.od, wall: brace.wall },
    },
  ];
}
