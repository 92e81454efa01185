import type { Pose } from '@/core/kinematics/pose';
import type { LinkMember } from '@/core/rig/schema';
import { setInMotion } from '@/core/kinematics/answer';
import { formatDegrees, sayLength } from '@/core/units/format';
import { division } from '@/core/units/tape';
import type { Remedy, Verdict } from '@/core/verdict';
import { closestApproaches } from './closest';
import { withMount, type MountChange } from '@/core/rig/members';
import { LEAST_CLEARANCE, MAKE_ROOM, sayGap } from './gaps';
import { centreRange, checkMigration, checkReach, sideMost } from './lateralChecks';
import { withMember, type LateralBar } from './lateralBar';
import { sidewaysOverTravel, wantedRise } from './schools';
import type { ClosestApproach, CurvePoint, LocateInput } from './types';
import { withoutGaps } from './withoutGaps';

/** Limits of the trade (common practice, no published source), mm. */
const LEVEL = 3.2;
const LEVEL_STOP = 50;
const PARALLEL = 6.4;
const PARALLEL_STOP = 38;
/** Share of its length that a bar runs lengthwise when it is meant to run diagonally. */
const DIAGONAL = 0.25;
const TYRE_CLEARANCE = 25.4;

/** How nearly a place is found, mm: finer than any tape. */
const CLOSE = 0.1;

type Findings = { bar: LateralBar | null; ride: Pose; curve: CurvePoint[]; gaps: ClosestApproach[] };

/** Looks over a lateral bar in its whole travel. */
export function checkLateralBar(input: LocateInput, found: Findings, bar: LinkMember): Verdict[] {
  const shape = found.bar!;
  return [
    checkReach(input, found.curve),
    checkEnds(input, bar),
    checkCrossing(bar),
    checkLevel(input, shape, found.curve, bar),
    checkLength(input, shape, found.curve, bar),
    checkPlan(input, shape, bar),
    checkClearance(input, found, bar),
    checkMigration(input, found.curve, bar.id),
  ]
    .filter((v) => v !== null)
    .map((v) => ({ where: bar.id, ...v }));
}

function checkEnds(input: LocateInput, bar: LinkMember): Verdict | null {
  if (input.tireWidth === null) return null;
  const tyreInside = input.rig.track / 2 - input.tireWidth / 2;
  for (const end of ['chassis', 'axle'] as const) {
    const out = Math.abs(bar[end][1]);
    if (out <= tyreInside - TYRE_CLEARANCE) continue;
    const name = end === 'chassis' ? 'Frame end' : 'Axle end';
    const mm = Math.sign(bar[end][1]) * (tyreInside - TYRE_CLEARANCE);
    return {
      id: 'tyre',
      state: 'stop',
      title:
        out > tyreInside
          ? `${name} is inside the tyre.`
          : `${name} is ${sayLength(tyreInside - out, input.tape)} from the tyre.`,
      reason: `The tyre’s inner wall is ${sayLength(tyreInside, input.tape)} from the centreline; leave at least ${sayLength(TYRE_CLEARANCE, input.tape)}.`,
      remedies: [
        {
          text: `Bring the ${name.toLowerCase()} in to ${sayLength(Math.abs(mm), input.tape)}`,
          changes: [{ member: bar.id, end, axis: 1, mm }],
        },
      ],
    };
  }
  return null;
}

function checkCrossing(bar: LinkMember): Verdict | null {
  const { chassis, axle, id } = bar;
  if (chassis[1] * axle[1] >= 0) {
    const side = axle[1] > 0 ? 'left' : 'right';
    return {
      id: 'crossed',
      state: 'stop',
      title: `Both ends are on the ${side}.`,
      reason:
        'A bar that does not cross the car is short and holds the axle from one corner: its roll centre is off the centreline.',
      remedies: [
        {
          text: `Frame end to the ${side === 'left' ? 'right' : 'left'}`,
          changes: [{ member: id, end: 'chassis', axis: 1, mm: -chassis[1] || -Math.sign(axle[1]) * 400 }],
        },
      ],
    };
  }
  if (chassis[0] * axle[0] < 0) {
    return {
      id: 'crossed',
      state: 'stop',
      title: 'The ends are crossed: one ahead of the axle, one behind.',
      reason: 'The bar would pass through the axle tube.',
      remedies: [
        {
          text: `Frame end to the axle end’s side`,
          changes: [{ member: id, end: 'chassis', axis: 0, mm: axle[0] }],
        },
      ],
    };
  }
  return null;
}

function checkLevel(input: LocateInput, bar: LateralBar, curve: CurvePoint[], member: LinkMember): Verdict {
  const { tape, school, bump, droop } = input;
  const wanted = wantedRise(school, bump, droop);
  const error = bar.rise - wanted;
  const place = school === 'ride' ? 'at ride height' : 'in the middle of the travel';
  const migration = centreRange(curve);
  if (Math.abs(error) <= LEVEL) {
    return {
      id: 'level',
      state: 'ok',
      title: `Level ${place}.`,
      reason: `Within ${sayLength(LEVEL, tape)}. The roll centre moves ${sayLength(migration, tape)} over the whole travel.`,
      remedies: [],
    };
  }
  const move = (end: 'chassis' | 'axle'): Remedy => {
    const mm = end === 'chassis' ? member.axle[2] + wanted : member.chassis[2] - wanted;
    const down = mm < member[end][2];
    return {
      text: `${down ? 'Lower' : 'Raise'} the ${end === 'chassis' ? 'frame' : 'axle'} end ${sayLength(Math.abs(error), tape)}`,
      changes: [{ member: member.id, end, axis: 2, mm }],
    };
  };
  const high = error > 0 ? 'frame' : 'axle';
  const most = sideMost(curve);
  return {
    id: 'level',
    state: Math.abs(error) > LEVEL_STOP ? 'stop' : 'look',
    title: `Bar is ${sayLength(Math.abs(error), tape)} high at the ${high} end ${place}.`,
    reason: `${
      Number.isFinite(most)
        ? `The axle moves ${sayLength(most, tape)} sideways in its travel and the car feels different turning left and right.`
        : 'So tilted it cannot follow the axle over the whole travel.'
    } Roll centre moves ${sayLength(migration, tape)}.`,
    remedies: [move('chassis'), move('axle')],
  };
}

function checkLength(input: LocateInput, bar: LateralBar, curve: CurvePoint[], member: LinkMember): Verdict {
  const { tape, shiftLimit } = input;
  const most = sideMost(curve);
  if (most <= shiftLimit + 1e-6) {
    return {
      id: 'length',
      state: 'ok',
      title: 'Long enough for this travel.',
      reason: `The axle moves ${sayLength(most, tape)} sideways at most; you allow ${sayLength(shiftLimit, tape)}.`,
      remedies: [],
    };
  }
  return {
    id: 'length',
    state: most > 2 * shiftLimit ? 'stop' : 'look',
    title: `Axle moves ${Number.isFinite(most) ? sayLength(most, tape) : 'out of reach'} sideways.`,
    reason: `You allow ${sayLength(shiftLimit, tape)}. The bar is ${sayLength(bar.eyeToEye, tape)} eye to eye; it swings on an arc, and a longer bar swings flatter.`,
    remedies: lengthRemedies(input, member),
  };
}

/** Level first, which is free; then the shortest level bar that keeps the axle within the limit, if it fits between the tyres. */
function lengthRemedies(input: LocateInput, member: LinkMember): Remedy[] {
  const { rig, tape, bump, droop, shiftLimit } = input;
  const levelled: MountChange = {
    member: member.id,
    end: 'chassis',
    axis: 2,
    mm: member.axle[2] + wantedRise(input.school, bump, droop),
  };
  const mostWith = (y: number) => {
    const moved = withMember(rig, member.id, (m) => ({ ...m, chassis: [m.chassis[0], y, levelled.mm] }));
    return sidewaysOverTravel(moved, bump, droop).most;
  };
  if (mostWith(member.chassis[1]) <= shiftLimit) {
    return [{ text: 'Level it: that alone is enough', changes: [levelled] }];
  }
  const outward = -Math.sign(member.axle[1]) || 1;
  const farthest = outward * (rig.track / 2 - (input.tireWidth ?? 0) / 2 - TYRE_CLEARANCE);
  if (mostWith(farthest) > shiftLimit) {
    const best = Math.abs(farthest - member.axle[1]);
    return [
      {
        text: `Even ${sayLength(best, tape)} eye to eye, the most that fits between these tyres, is too short. Move the axle end outward too, shorten the travel, or accept more sideways movement.`,
      },
    ];
  }
  const long = shortestWithin(mostWith, shiftLimit, member.chassis[1], farthest);
  // Out to the next line of the tape, which is what can be set.
  const place =
    outward * Math.min(Math.abs(farthest), Math.ceil(Math.abs(long) / division(tape)) * division(tape));
  return [
    {
      text: `Frame end out to ${sayLength(Math.abs(place), tape)} from the centreline, level: ${sayLength(Math.abs(place - member.axle[1]), tape)} eye to eye`,
      changes: [{ member: member.id, end: 'chassis', axis: 1, mm: place }, levelled],
    },
  ];
}

/**
 * The place nearest to `short` at which `most` comes within the limit, somewhere on the way to `long`. False position, with
 * the stale end's weight halved (Illinois), so that either end comes in; always from the side that holds.
 */
function shortestWithin(most: (y: number) => number, limit: number, short: number, long: number): number {
  let [a, b] = [short, long];
  let [fa, fb] = [most(a) - limit, most(b) - limit];
  for (let i = 0; i < 30 && Math.abs(b - a) > CLOSE && fb < -1e-3; i++) {
    const c = Number.isFinite(fa) ? b - (fb * (b - a)) / (fb - fa) : (a + b) / 2;
    const fc = most(c) - limit;
    if (fc > 0) {
      [a, fa] = [c, fc];
      fb /= 2;
    } else {
      [b, fb] = [c, fc];
      fa /= 2;
    }
  }
  return b;
}

function checkPlan(input: LocateInput, bar: LateralBar, member: LinkMember): Verdict | null {
  const { tape } = input;
  if (member.chassis[0] * member.axle[0] < 0) return null; // crossed ends are reported as such
  const off = Math.abs(bar.sweep);
  if (off <= PARALLEL) {
    return {
      id: 'plan',
      state: 'ok',
      title: 'Parallel to the axle, seen from above.',
      reason:
        off < division(tape)
          ? 'Both ends are equally far from the axle.'
          : `The ends differ by ${sayLength(off, tape)}, front to back.`,
      remedies: [],
    };
  }
  const share = Math.round((100 * off) / bar.eyeToEye);
  if (off > DIAGONAL * bar.eyeToEye) {
    return {
      id: 'plan',
      state: 'look',
      title: 'The bar runs diagonally, seen from above.',
      reason: `About ${share} % of every side load pushes the axle fore and aft. That is fine where travel is small and the links hold it lengthwise.`,
      remedies: [{ text: 'Where there is room behind the axle, a bar beside it does better.' }],
    };
  }
  const angle = Math.asin(Math.min(1, off / bar.eyeToEye)) * (180 / Math.PI);
  const set = (end: 'chassis' | 'axle'): Remedy => {
    const to = end === 'chassis' ? member.axle[0] : member.chassis[0];
    return {
      text: `Move the ${end === 'chassis' ? 'frame' : 'axle'} end ${sayLength(off, tape)} ${to > member[end][0] ? 'forward' : 'back'}`,
      changes: [{ member: member.id, end, axis: 0, mm: to }],
    };
  };
  return {
    id: 'plan',
    state: off > PARALLEL_STOP ? 'stop' : 'look',
    title: `Bar is ${formatDegrees(angle)} off parallel, seen from above.`,
    reason: `The frame end is ${sayLength(off, tape)} farther ${bar.sweep > 0 ? 'forward' : 'back'}. About ${share} % of every side load pushes the axle fore and aft against its links.`,
    remedies: [set('chassis'), set('axle')],
  };
}

/** The tightest place of the bar; the rest of what is near is looked at with everything else that needs room. */
function checkClearance(input: LocateInput, { gaps }: Findings, bar: LinkMember): Verdict | null {
  const closest = gaps.find((g) => g.member === bar.id || g.obstacle === bar.id);
  if (!closest) return null;
  const said = sayGap(input, closest, bar.id);
  if (said.state === 'ok') return said;
  const near = input.rig.obstacles?.find((o) => o.id === closest.obstacle);
  // Away from the axle is away from what the axle carries; it may be into anything else.
  if (near?.on !== 'axle') return { ...said, remedies: [MAKE_ROOM] };
  const way = bar.axle[0] <= 0 ? -1 : 1;
  const away = distanceAway(input, closest, bar, way);
  const text = `Move both ends ${sayLength(away, input.tape)} farther ${way < 0 ? 'behind' : 'ahead of'} the axle`;
  return { ...said, remedies: [{ text, changes: shiftBoth(bar, way * away) }] };
}

/** How far both ends must move away from the axle, lengthwise, for the bar to clear; to the next line of the tape. */
function distanceAway(input: LocateInput, closest: ClosestApproach, bar: LinkMember, way: 1 | -1): number {
  const { rig, bump, droop, tape } = input;
  const { at } = setInMotion(withoutGaps(rig));
  const poses = [closest.at, { left: bump, right: bump }, { left: -droop, right: -droop }].map(at);
  let away = 0;
  let gap = closest.distance;
  // The gap grows by no more than the bar is moved, so these steps come up to the limit and never past it.
  for (let i = 0; i < 30 && gap < LEAST_CLEARANCE - 0.01; i++) {
    away += LEAST_CLEARANCE - gap;
    const shifted = shiftBoth(bar, way * away).reduce(withMount, rig);
    const near = closestApproaches(shifted, poses);
    gap = near.find((g) => g.member === bar.id || g.obstacle === bar.id)!.distance;
  }
  return Math.ceil(away / division(tape)) * division(tape);
}

const shiftBoth = (bar: LinkMember, dx: number): MountChange[] =>
  (['chassis', 'axle'] as const).map((end) => ({ member: bar.id, end, axis: 0, mm: bar[end][0] + dx }));
