import { formatDegrees, sayLength } from '@/core/units/format';
import type { LinkMember } from '@/core/rig/schema';
import type { Verdict } from '@/core/verdict';
import { LEAST_CLEARANCE, MAKE_ROOM, sayGap } from './gaps';
import type { ClosestApproach, LinkFindings, LocateInput, ShaftFindings } from './types';

/** Joints of a shaft with two of them (common practice, no published source), degrees. */
const MATCH = 1.5;
const LARGEST_AT_RIDE = 4;
const LARGEST_IN_TRAVEL = 17;
/** Room that a slip yoke keeps at the end of its travel, mm: a quarter of an inch (common practice, no published source). */
const YOKE_SPARE = 6.35;
/** How many tight places are named; past that, the list hides the worst. */
const NAMED = 4;

type Found = { gaps: ClosestApproach[]; links: LinkFindings };

/** Looks over the driveshaft, and the room that everything but the bar across the car has. */
export function checkRoom(input: LocateInput, { gaps, links }: Found, bar: LinkMember | null): Verdict[] {
  const others = gaps.filter((g) => g.member !== bar?.id && g.obstacle !== bar?.id);
  const tight = others.filter((g) => g.distance < LEAST_CLEARANCE - 1e-6).slice(0, NAMED);
  const said = tight.length ? tight : others.slice(0, 1);
  return [
    ...said.map((gap) => withRemedy(sayGap(input, gap))),
    ...(links.shaft ? checkShaft(input, links.shaft) : []),
  ];
}

const withRemedy = (verdict: Verdict): Verdict =>
  verdict.state === 'ok' ? verdict : { ...verdict, remedies: [MAKE_ROOM] };

function checkShaft(input: LocateInput, shaft: ShaftFindings): Verdict[] {
  return [checkJointAngles(shaft), checkSwing(shaft), ...checkYoke(input, shaft)];
}

function checkJointAngles({ front, rear }: ShaftFindings): Verdict {
  const shown = `Front joint ${formatDegrees(front)}, rear joint ${formatDegrees(rear)} at ride height.`;
  const apart = Math.abs(front - rear) > MATCH;
  const steep = Math.max(front, rear) > LARGEST_AT_RIDE;
  return {
    id: 'shaft-angles',
    where: 'driveshaft',
    state: apart || steep ? 'look' : 'ok',
    title: apart
      ? 'The shaft’s two joints do not cancel.'
      : steep
        ? 'The shaft’s joints work at a steep angle.'
        : 'The shaft’s joints cancel.',
    reason:
      `${shown} ${apart ? `More than ${formatDegrees(MATCH)} apart, and the shaft shakes at speed.` : steep ? `More than ${formatDegrees(LARGEST_AT_RIDE)} wears them out.` : ''}`.trim(),
    remedies:
      apart || steep
        ? [
            {
              text: apart
                ? 'Turn the pinion until both joints work alike; a double joint wants the pinion looking at it.'
                : 'Bring the ends of the shaft nearer to the same height.',
            },
          ]
        : [],
  };
}

function checkSwing({ most, mostAt }: ShaftFindings): Verdict {
  const ok = most <= LARGEST_IN_TRAVEL;
  return {
    id: 'shaft-travel',
    where: `driveshaft, ${mostAt}`,
    state: ok ? 'ok' : 'look',
    title: ok
      ? 'The shaft’s joints follow the travel.'
      : `A joint of the shaft turns to ${formatDegrees(most)} ${mostAt}.`,
    reason: ok
      ? `Most: ${formatDegrees(most)}, ${mostAt}.`
      : `A plain joint binds somewhere past ${formatDegrees(LARGEST_IN_TRAVEL)}; look up the one you have.`,
    remedies: ok ? [] : [{ text: 'Limit the droop, lengthen the shaft, or use a joint made for the angle.' }],
  };
}

/** The slip yoke against the room that was measured for it, each way. */
function checkYoke({ room, tape }: LocateInput, shaft: ShaftFindings): Verdict[] {
  const moves = `It goes in ${sayLength(shaft.in, tape)} and comes out ${sayLength(shaft.out, tape)} over the travel.`;
  const way = (key: 'in' | 'out'): Verdict | null => {
    const has = room[key];
    if (has === undefined || has >= shaft[key] + YOKE_SPARE) return null;
    const past = has < shaft[key];
    const ends = key === 'in' ? 'bottoms in the transmission' : 'pulls out of the transmission';
    return {
      id: `slip-${key}`,
      where: 'driveshaft',
      state: past ? 'stop' : 'look',
      title: past ? `The slip yoke ${ends}.` : `The slip yoke nearly ${ends}.`,
      reason: `${moves} It has ${sayLength(has, tape)} ${key === 'in' ? 'to go in' : 'to come out'} at ride height; keep ${sayLength(YOKE_SPARE, tape)} to spare.`,
      remedies: [
        {
          text:
            key === 'in'
              ? 'Shorten the shaft, or lengthen the links so that the axle swings flatter.'
              : 'Lengthen the shaft, use a longer yoke, or limit the droop.',
        },
      ],
    };
  };
  const bad = [way('in'), way('out')].filter((v) => v !== null);
  if (bad.length) return bad;
  const known = room.in !== undefined && room.out !== undefined;
  const small = Math.max(shaft.in, shaft.out) <= YOKE_SPARE;
  return [
    {
      id: 'slip',
      where: 'driveshaft',
      state: known || small ? 'ok' : 'look',
      title: known || small ? 'The slip yoke has room.' : 'The slip yoke’s room is not measured.',
      reason: moves,
      remedies:
        known || small
          ? []
          : [{ text: 'At ride height, measure how far it can go in and come out, and type both below.' }],
    },
  ];
}
