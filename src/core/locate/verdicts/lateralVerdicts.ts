import { toDegrees } from '@/core/geometry/angle';
import { distance } from '@/core/geometry/vector';
import { LIMITS } from '@/core/materials/limits';
import type { LinkMember } from '@/core/rig/members/link';
import type { Watts } from '@/core/rig/members/watts';
import { memberName } from '@/core/rig/names';
import { leaningPair } from '@/core/rig/roles';
import type { Rig } from '@/core/rig/schema';
import { degreesBeside, sayLength, sayPast } from '@/core/units/length';
import type { Tape } from '@/core/units/tape';
import type { Verdict } from '@/core/verdict/verdict';
import { mostSideways, rollCentreRange } from '@/core/locate/travel/travelCurve';
import type { CurvePoint, LocateInput, LocateResult } from '../types';

/** Looks over layouts that hold the axle sideways without a bar across the car: by a crank, or by links that lean. */
export function lateralVerdicts(
  input: LocateInput,
  { curve, driven, ride }: LocateResult,
  tape: Tape,
): Verdict[] {
  const cranks = input.rig.members.filter((m) => m.type === 'watts');
  return [
    reachVerdict(input, curve, tape),
    shiftVerdict(input, mostSideways(driven, ride.y), tape),
    migrationVerdict(driven, tape, {
      where: 'axle',
      cure: 'Level the links that set it, or make them longer.',
    }) ?? steadyCentre(driven, tape),
    ...cranks.map((crank) => crankVerdict(crank, tape)),
    cranks.length ? null : spreadVerdict(input.rig),
    onlyParked(input, tape),
  ].filter((v) => v !== null);
}

export function reachVerdict({ rig }: LocateInput, curve: CurvePoint[], tape: Tape): Verdict | null {
  const end = curve.find((p) => p.limitingMember !== undefined);
  if (end?.limitingMember === undefined) return null;
  return {
    id: 'reach',
    where: end.limitingMember,
    state: 'stop',
    title: 'The axle cannot follow its whole travel.',
    reason: `The ${memberName(end.limitingMember, rig.end)} runs out ${sayLength(Math.abs(end.lift), tape)} ${end.lift > 0 ? 'above' : 'below'} ride height.`,
    remedies: [{ text: 'Move its ends farther apart, or limit the travel.' }],
  };
}

/** Says which of the travel was not judged as driving, where some is only for parking. */
export function onlyParked({ bump, driven }: LocateInput, tape: Tape): Verdict | null {
  if (driven >= bump) return null;
  return {
    id: 'parked',
    state: 'ok',
    title: `Judged as driven up to ${sayLength(driven, tape)} above ride height.`,
    reason: `The last ${sayLength(bump - driven, tape)} up is for parking, as told at Place: sideways movement and steering do not count there. Reach, room, joints and bind do.`,
    remedies: [],
  };
}

function shiftVerdict({ shiftLimit }: LocateInput, most: number, tape: Tape): Verdict {
  const ok = most <= shiftLimit + 1e-6;
  return {
    id: 'shift',
    state: ok ? 'ok' : most > 2 * shiftLimit ? 'stop' : 'look',
    title: ok
      ? 'Goes straight up and down.'
      : `Axle moves ${Number.isFinite(most) ? sayPast(most, shiftLimit, tape) : 'out of reach'} sideways.`,
    reason: `${ok ? `At most ${sayLength(most, tape)} sideways; you` : 'You'} allow ${sayLength(shiftLimit, tape)}.`,
    remedies: ok ? [] : [{ text: 'Make left and right alike, and the links of a crank equal and level.' }],
  };
}

/** Said only where the roll centre moves more than a level bar would let it. @param cure what makes it move less here */
export function migrationVerdict(
  curve: CurvePoint[],
  tape: Tape,
  { where, cure }: { where: string; cure: string },
): Verdict | null {
  const range = rollCentreRange(curve);
  const travel = curve.at(-1)!.lift - curve[0]!.lift;
  if (travel === 0 || range <= LIMITS.rollCentreTravel * travel) return null;
  return {
    id: 'migration',
    where,
    state: 'look',
    title: `The roll centre moves ${sayLength(range, tape)} over the travel.`,
    reason: `A level bar’s moves half of the travel, ${sayLength(travel / 2, tape)}. The car is balanced otherwise loaded than empty.`,
    remedies: [{ text: cure }],
  };
}

function steadyCentre(curve: CurvePoint[], tape: Tape): Verdict {
  return {
    id: 'migration',
    state: 'ok',
    title: 'The roll centre stays near its place.',
    reason: `It moves ${sayLength(rollCentreRange(curve), tape)} over the whole travel, measured from the ground.`,
    remedies: [],
  };
}

function crankVerdict({ id, pivot, crank, ends }: Watts, tape: Tape): Verdict {
  const lengths = [distance(crank.top, ends.top), distance(crank.bottom, ends.bottom)] as const;
  const arms = [distance(crank.top, pivot), distance(crank.bottom, pivot)] as const;
  const links = Math.abs(lengths[0] - lengths[1]);
  const lever = Math.abs(arms[0] - arms[1]);
  const slopes = (['top', 'bottom'] as const).map((k) => Math.abs(ends[k][2] - crank[k][2]));
  const tilt = Math.max(...slopes);
  const faults = [
    ...(links > LIMITS.crankMatch ? [`its two links differ by ${sayLength(links, tape)}`] : []),
    ...(lever > LIMITS.crankMatch ? [`its two arms differ by ${sayLength(lever, tape)}`] : []),
    ...(tilt > LIMITS.crankMatch
      ? [`its links are ${sayLength(tilt, tape)} out of level at ride height`]
      : []),
  ];
  return {
    id: 'crank',
    where: id,
    state: faults.length ? 'look' : 'ok',
    title: faults.length ? 'The crank is not even.' : 'The crank is even.',
    reason: faults.length
      ? `${faults.join(', ')}: the axle wanders to one side as it moves.`.replace(/^./, (c) =>
          c.toUpperCase(),
        )
      : `Both links ${sayLength(lengths[0], tape)}, level at ride height.`,
    remedies: faults.length
      ? [{ text: 'Make links and arms equal, and level both links at ride height.' }]
      : [],
  };
}

/** The angle that the widest-leaning pair of links makes, seen from above. */
function spreadVerdict(rig: Rig): Verdict | null {
  const [left] = leaningPair(rig) ?? [];
  if (!left) return null;
  const leaning = { id: left.id, angle: 2 * planAngle(left) };
  const ok = leaning.angle >= LIMITS.leastSpread;
  const pair = memberName(leaning.id, rig.end).replace(/^left /, '');
  return {
    id: 'spread',
    where: leaning.id,
    state: ok ? 'ok' : 'look',
    title: ok
      ? 'The leaning links hold it sideways.'
      : `The ${pair}s lean only ${degreesBeside(leaning.angle, LIMITS.leastSpread)} against each other.`,
    reason: ok
      ? `The ${pair}s make ${degreesBeside(leaning.angle, LIMITS.leastSpread)} seen from above; at least ${LIMITS.leastSpread}° is wanted.`
      : `Below ${LIMITS.leastSpread}° every side load pulls hard on them, and soft bushings let the axle step sideways.`,
    remedies: ok ? [] : [{ text: 'Bring their ends together at one body, farther apart at the other.' }],
  };
}

const planAngle = ({ chassis, axle }: LinkMember): number =>
  toDegrees(Math.atan2(Math.abs(chassis[1] - axle[1]), Math.abs(chassis[0] - axle[0])));
