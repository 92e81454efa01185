import { distance } from '@/core/vector';
import { memberName } from '@/core/layouts/names';
import { linksOf, partnerOf } from '@/core/rig/members';
import type { LinkMember, Rig, Watts } from '@/core/rig/schema';
import { formatDegrees, sayLength } from '@/core/units/format';
import type { Verdict } from '@/core/verdict';
import type { CurvePoint, LocateInput } from './types';

/** A roll centre that moves more than this share of the wheels’ travel moves too much; a level bar’s moves about half (common practice, no published source). */
const MIGRATION = 1;
/** Links of a crank that differ by more push the axle sideways, mm. */
const CRANK_MATCH = 3.2;
/** Least angle between a pair of links, seen from above, that holds an axle sideways well (common practice, no published source). */
const LEAST_SPREAD = 40;

const DEGREES = 180 / Math.PI;

/** Looks over layouts that hold the axle sideways without a bar across the car: by a crank, or by links that lean. */
export function checkLateral(input: LocateInput, { curve }: { curve: CurvePoint[] }): Verdict[] {
  const cranks = input.rig.members.filter((m) => m.type === 'watts');
  return [
    checkReach(input, curve),
    checkShift(input, curve),
    checkMigration(input, curve, 'axle') ?? steadyCentre(input, curve),
    ...cranks.map((crank) => checkCrank(input, crank)),
    cranks.length ? null : checkSpread(input.rig),
  ].filter((v) => v !== null);
}

export function checkReach({ tape }: LocateInput, curve: CurvePoint[]): Verdict | null {
  const end = curve.find((p) => p.lost !== undefined);
  if (end?.lost === undefined) return null;
  return {
    id: 'reach',
    where: end.lost,
    state: 'stop',
    title: 'The axle cannot follow its whole travel.',
    reason: `The ${memberName(end.lost)} runs out ${sayLength(Math.abs(end.lift), tape)} ${end.lift > 0 ? 'above' : 'below'} ride height.`,
    remedies: [{ text: 'Move its ends farther apart, or limit the travel.' }],
  };
}

function checkShift({ tape, shiftLimit }: LocateInput, curve: CurvePoint[]): Verdict {
  const most = sideMost(curve);
  const ok = most <= shiftLimit + 1e-6;
  return {
    id: 'shift',
    state: ok ? 'ok' : most > 2 * shiftLimit ? 'stop' : 'look',
    title: ok
      ? 'Goes straight up and down.'
      : `Axle moves ${Number.isFinite(most) ? sayLength(most, tape) : 'out of reach'} sideways.`,
    reason: `${ok ? `At most ${sayLength(most, tape)} sideways; you` : 'You'} allow ${sayLength(shiftLimit, tape)}.`,
    remedies: ok ? [] : [{ text: 'Make left and right alike, and the links of a crank equal and level.' }],
  };
}

/** How far the roll centre moves over the travel of both wheels, mm. */
export function centreRange(curve: CurvePoint[]): number {
  const heights = curve.flatMap((p) => (p.lost === undefined ? (p.rollCentreHeight ?? []) : []));
  return heights.length ? Math.max(...heights) - Math.min(...heights) : 0;
}

/** Said only where the roll centre moves more than a level bar would let it. */
export function checkMigration({ tape }: LocateInput, curve: CurvePoint[], where: string): Verdict | null {
  const range = centreRange(curve);
  const travel = curve.at(-1)!.lift - curve[0]!.lift;
  if (travel === 0 || range <= MIGRATION * travel) return null;
  return {
    id: 'migration',
    where,
    state: 'look',
    title: `The roll centre moves ${sayLength(range, tape)} over the travel.`,
    reason: `A level bar’s moves half of the travel, ${sayLength(travel / 2, tape)}. The car is balanced otherwise loaded than empty.`,
    remedies: [{ text: 'Level the bar or the links that set it, or make them longer.' }],
  };
}

function steadyCentre({ tape }: LocateInput, curve: CurvePoint[]): Verdict {
  return {
    id: 'migration',
    state: 'ok',
    title: 'The roll centre stays near its place.',
    reason: `It moves ${sayLength(centreRange(curve), tape)} over the whole travel, measured from the ground.`,
    remedies: [],
  };
}

function checkCrank({ tape }: LocateInput, { id, pivot, crank, ends }: Watts): Verdict {
  const lengths = [distance(crank.top, ends.top), distance(crank.bottom, ends.bottom)] as const;
  const arms = [distance(crank.top, pivot), distance(crank.bottom, pivot)] as const;
  const links = Math.abs(lengths[0] - lengths[1]);
  const lever = Math.abs(arms[0] - arms[1]);
  const slopes = (['top', 'bottom'] as const).map((k) => Math.abs(ends[k][2] - crank[k][2]));
  const tilt = Math.max(...slopes);
  const faults = [
    ...(links > CRANK_MATCH ? [`its two links differ by ${sayLength(links, tape)}`] : []),
    ...(lever > CRANK_MATCH ? [`its two arms differ by ${sayLength(lever, tape)}`] : []),
    ...(tilt > CRANK_MATCH ? [`its links are ${sayLength(tilt, tape)} out of level at ride height`] : []),
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
function checkSpread(rig: Rig): Verdict | null {
  const leaning = linksOf(rig)
    .filter((m) => partnerOf(m.id) && m.id.endsWith('-left'))
    .map((m) => ({ id: m.id, angle: 2 * planAngle(m) }))
    .sort((a, b) => b.angle - a.angle)[0];
  if (!leaning) return null;
  const ok = leaning.angle >= LEAST_SPREAD;
  const pair = memberName(leaning.id).replace(/^left /, '');
  return {
    id: 'spread',
    where: leaning.id,
    state: ok ? 'ok' : 'look',
    title: ok
      ? 'The leaning links hold it sideways.'
      : `The ${pair}s lean only ${formatDegrees(leaning.angle)} against each other.`,
    reason: ok
      ? `The ${pair}s make ${formatDegrees(leaning.angle)} seen from above; at least ${LEAST_SPREAD}° is wanted.`
      : `Below ${LEAST_SPREAD}° every side load pulls hard on them, and soft bushings let the axle step sideways.`,
    remedies: ok ? [] : [{ text: 'Bring their ends together at one body, farther apart at the other.' }],
  };
}

const planAngle = ({ chassis, axle }: LinkMember): number =>
  Math.atan2(Math.abs(chassis[1] - axle[1]), Math.abs(chassis[0] - axle[0])) * DEGREES;

/** Most sideways movement of the axle, mm; infinite where it cannot follow. */
export function sideMost(curve: CurvePoint[]): number {
  return Math.max(...curve.map((p) => (p.lost === undefined ? Math.abs(p.y) : Infinity)));
}
