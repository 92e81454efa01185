import { boltRooms } from '@/core/clearance/boltRoom';
import { boltFor } from '@/core/fabricate/boltStack';
import { mainAxis, type Point } from '@/core/geometry/vector';
import { bracketId } from '@/core/job/bodies/bodyNames';
import type { Job } from '@/core/job/jobSchema';
import { bracketAxes } from '@/core/job/made/bracketRoot';
import { stackOf } from '@/core/job/made/bracketParts';
import { LINK_ENDS, type LinkEnd } from '@/core/job/made/parts';
import { travelOf } from '@/core/job/jobValues';
import { mountId } from '@/core/job/placed';
import type { LinkMember } from '@/core/rig/members/link';
import { linksOf } from '@/core/rig/members/members';
import { BODY_IDS } from '@/core/rig/schema';
import { bodyInputs } from '@/core/provenance/bodyInputs';
import { mountInputs, partInput, partName, spokenPart, type InputId } from '@/core/provenance/inputs';
import { capital, memberName } from '@/core/rig/names';
import { sayLength } from '@/core/units/length';
import type { Verdict } from '@/core/verdict/verdict';
import type { BoltWay, Towards } from '@/core/prove/types';

/** How the bolt of each bracket goes in and comes out, and whether a wrench goes on at both ends; a stud is welded in, and has neither. */
export function boltWays(job: Job): BoltWay[] {
  const wayOf = boltWayIn(job);
  return linksOf(job.rig).flatMap((link) => LINK_ENDS.flatMap((end) => wayOf(link, end) ?? []));
}

/** How the bolt of a bracket of a job does; null of a stud. */
export function boltWayIn(job: Job): (link: LinkMember, end: LinkEnd) => BoltWay | null {
  const roomOf = boltRooms(job.rig, {
    comesOff: Object.values(BODY_IDS.tire),
    droop: travelOf(job).droop,
  });
  return (link, end) => {
    const stack = stackOf(job, link, end);
    const { planes, middle, spacer, plate, bolt } = stack;
    if (planes !== 2) return null;
    const { bolt: axis } = bracketAxes(job, link, end);
    const { length } = boltFor(stack);
    const face = middle / 2 + spacer + plate;
    const room = roomOf({ on: end, eye: link[end], axis, face, length, diameter: bolt }, [
      link.id,
      bracketId(link.id, end),
    ]);
    return {
      part: mountId(link.id, end),
      length,
      sides: [
        { towards: towardsOf(axis), ...room.along },
        { towards: towardsOf(axis.map((v) => -v) as Point), ...room.against },
      ],
    };
  };
}

const WAYS: [plus: Towards, minus: Towards][] = [
  ['ahead', 'back'],
  ['left', 'right'],
  ['up', 'down'],
];

/** The way of the car that a direction is nearest to. */
function towardsOf(way: Point): Towards {
  const main = mainAxis(way);
  const k = main.findIndex((v) => v !== 0);
  return WAYS[k]![main[k]! > 0 ? 0 : 1];
}

/** Whether anything but a wheel, which comes off, is in the way. */
const isShut = (by: string | null): by is string =>
  by !== null && !(Object.values(BODY_IDS.tire) as string[]).includes(by);

/** Whether a bolt is shut in: it cannot be drawn out on either side. */
const isShutIn = ({ sides }: BoltWay): boolean => sides.every(({ out }) => isShut(out));

/** The sides on which no wrench goes on. */
const withoutWrench = ({ sides }: BoltWay): BoltWay['sides'] => sides.filter(({ wrench }) => isShut(wrench));

const troubles = (bolt: BoltWay): number => 2 * Number(isShutIn(bolt)) + withoutWrench(bolt).length;

const SAID: Record<Towards, string> = {
  ahead: 'ahead',
  back: 'back',
  left: 'to the left',
  right: 'to the right',
  up: 'up',
  down: 'down',
};

/** On which side its head goes, and what is in the way on the other, as sentences. */
export function sayBoltWay({ sides }: BoltWay, { rig }: Pick<Job, 'rig'>): string {
  const name = (id: string) => memberName(id, rig.end);
  const open = sides.filter(({ out }) => !isShut(out));
  const [shut] = sides.filter(({ out }) => isShut(out));
  const needs = [
    ...(open.every(({ out }) => out !== null) ? ['its wheel off'] : []),
    ...(open.every(({ hanging }) => hanging) ? ['the axle let down'] : []),
  ];
  const only = open.length && needs.length ? `, with ${needs.join(' and ')}` : '';
  if (open.length === 2) return `It comes out either way${only}.`;
  if (open.length === 1)
    return `Head ${SAID[open[0]!.towards]}: there it comes out${only}; ${SAID[shut!.towards]} the ${name(shut!.out!)} is in its way.`;
  return `It is shut in: ${sides.map(({ towards, out }) => `${SAID[towards]} the ${name(out!)} is in its way`).join(', ')}.`;
}

/** What is said of a bolt that cannot be drawn out, and of one that a wrench does not go on at both ends, as the car stands raised at ride height. */
export function boltVerdicts(job: Job, bolts: BoltWay[]): Verdict[] {
  // Of a pair that is alike on a car that is not, the one that is worse off is told of.
  const spoken = new Map<string, BoltWay>();
  for (const bolt of bolts) {
    const where = spokenPart(job, bolt.part);
    const known = spoken.get(where);
    if (!known || troubles(bolt) > troubles(known)) spoken.set(where, bolt);
  }
  return [...spoken].flatMap(([where, bolt]): Verdict[] => {
    const name = capital(partName(job, where));
    const tight = withoutWrench(bolt);
    return [
      ...(isShutIn(bolt)
        ? [
            {
              id: SHUT_IN,
              where,
              state: 'look' as const,
              title: `${name}: its bolt does not come out.`,
              reason: `${sayLength(bolt.length, job.tape)} long. ${sayBoltWay(bolt, job)} It goes in before that is fitted, and comes out when that is off.`,
              remedies: [],
            },
          ]
        : []),
      ...(tight.length
        ? [
            {
              id: NO_WRENCH,
              where,
              state: 'look' as const,
              title: `${name}: no room for a wrench on its bolt.`,
              reason: `${capital(
                tight
                  .map(
                    ({ towards, wrench }) =>
                      `${SAID[towards]} the ${memberName(wrench!, job.rig.end)} is where it goes`,
                  )
                  .join(', '),
              )}. A nut with a tab welded to it holds itself there.`,
              remedies: [],
            },
          ]
        : []),
    ];
  });
}

const SHUT_IN = 'bolt-shut-in';
const NO_WRENCH = 'no-wrench';
export const isOfBolt = ({ id }: Pick<Verdict, 'id'>): boolean => id === SHUT_IN || id === NO_WRENCH;

/** What is said of a bolt hangs on: its bracket, how its bar stands, and what is in its way. */
export function boltRestsOn(job: Job, bolts: BoltWay[], { where = '' }: Verdict): InputId[] {
  const [member = ''] = where.split('/');
  const around = bolts
    .filter(({ part }) => spokenPart(job, part) === where)
    .flatMap(({ sides }) => sides.flatMap(({ out, wrench }) => [out, wrench].filter(isShut)));
  return [
    ...mountInputs(job.rig, [member]),
    `joints.${member}`,
    partInput(job, where),
    ...around.flatMap((id) => bodyInputs(job.rig, id)),
  ];
}
