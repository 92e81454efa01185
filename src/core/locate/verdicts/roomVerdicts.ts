import { LIMITS } from '@/core/materials/limits';
import { decimalsBeside, degreesBeside, formatDegrees, sayLength } from '@/core/units/length';
import type { Tape } from '@/core/units/tape';
import { whereAt, type Verdict } from '@/core/verdict/verdict';
import { isTight, type LocateInput, type LocateResult, type ShaftFindings } from '../types';
import { lineVerdicts } from './lineVerdicts';
import { gapVerdict, makeDo, makeRoom } from './gapVerdict';
import { sayTravel } from './words';

/** How many tight places are named; past that, the list hides the worst. */
const NAMED = 4;

/** Looks over the driveshaft, and the room that everything but the lateral bar has. */
export function roomVerdicts(
  input: LocateInput,
  { gaps, links, lines, bar, cures }: LocateResult,
  tape: Tape,
): Verdict[] {
  const others = gaps.filter((g) => g.a !== bar?.id && g.b !== bar?.id);
  const tight = others.filter(isTight).slice(0, NAMED);
  const said = tight.length ? tight : others.slice(0, 1);
  return [
    ...said.map((gap) => {
      const verdict = gapVerdict(input, gap, tape);
      return verdict.state === 'ok'
        ? verdict
        : { ...verdict, remedies: [makeRoom(gap, input.rig), ...makeDo(gap, cures, tape)] };
    }),
    ...lineVerdicts(input, lines, tape),
    ...(links.shaft ? shaftVerdicts(input, links.shaft, tape) : []),
  ];
}

const shaftVerdicts = (input: LocateInput, shaft: ShaftFindings, tape: Tape): Verdict[] => [
  jointAngles(shaft),
  swing(input, shaft, tape),
  ...yoke(input, shaft, tape),
];

function jointAngles({ front, rear }: ShaftFindings): Verdict {
  const { match, atRide } = LIMITS.driveshaft;
  const decimals = Math.max(
    decimalsBeside(Math.max(front, rear), atRide, 1),
    decimalsBeside(Math.abs(front - rear), match, 1),
  );
  const [first, second] = [front, rear].map((angle) => formatDegrees(angle, decimals));
  const shown = `Joint at the transmission ${first}, at the pinion ${second} at ride height.`;
  const apart = Math.abs(front - rear) > match;
  const steep = Math.max(front, rear) > atRide;
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
      `${shown} ${apart ? `More than ${formatDegrees(match)} apart, and the shaft shakes at speed.` : steep ? `More than ${formatDegrees(atRide)} wears them out.` : ''}`.trim(),
    remedies: [],
  };
}

function swing(input: LocateInput, { most, mostAt }: ShaftFindings, tape: Tape): Verdict {
  const { inTravel } = LIMITS.driveshaft;
  const ok = most <= inTravel;
  const at = sayTravel(mostAt, input, tape);
  return {
    id: 'shaft-travel',
    where: whereAt('driveshaft', at),
    state: ok ? 'ok' : 'look',
    title: ok
      ? 'The shaft’s joints follow the travel.'
      : `A joint of the shaft turns to ${degreesBeside(most, inTravel)} ${at}.`,
    reason: ok
      ? `Most: ${degreesBeside(most, inTravel)}, ${at}.`
      : `A plain joint binds somewhere past ${formatDegrees(inTravel)}; look up the one you have.`,
    remedies: ok ? [] : [{ text: 'Limit the droop, lengthen the shaft, or use a joint made for the angle.' }],
  };
}

/** The slip yoke against the room that was measured for it, each way. */
function yoke({ room }: LocateInput, shaft: ShaftFindings, tape: Tape): Verdict[] {
  const { yokeSpare } = LIMITS.driveshaft;
  const moves = `It goes in ${sayLength(shaft.in, tape)} and comes out ${sayLength(shaft.out, tape)} over the travel.`;
  const way = (key: 'in' | 'out'): Verdict | null => {
    const has = room[key];
    if (has === undefined || has >= shaft[key] + yokeSpare) return null;
    const past = has < shaft[key];
    const ends = key === 'in' ? 'bottoms in the transmission' : 'pulls out of the transmission';
    return {
      id: `slip-${key}`,
      where: 'driveshaft',
      state: past ? 'stop' : 'look',
      title: past ? `The slip yoke ${ends}.` : `The slip yoke nearly ${ends}.`,
      reason: `${moves} It has ${sayLength(has, tape)} ${key === 'in' ? 'to go in' : 'to come out'} at ride height; keep ${sayLength(yokeSpare, tape)} to spare.`,
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
  const small = Math.max(shaft.in, shaft.out) <= yokeSpare;
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
