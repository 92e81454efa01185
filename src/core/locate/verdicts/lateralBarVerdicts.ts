import { toDegrees } from '@/core/geometry/angle';
import { LIMITS } from '@/core/materials/limits';
import { awayFromAxle, meantRise, type LateralBar } from '@/core/rig/lateralBar';
import type { LinkMember } from '@/core/rig/members/link';
import type { MountChange } from '@/core/rig/mounts';
import { formatDegrees, sayLength, sayPast } from '@/core/units/length';
import { division, downToLine, upToLine, type Tape } from '@/core/units/tape';
import type { Remedy, Verdict } from '@/core/verdict/verdict';
import { mostSideways, rollCentreRange } from '@/core/locate/travel/travelCurve';
import { whileDriven, type LateralRemedies, type LocateInput, type LocateResult } from '../types';
import { gapVerdict, makeDo, makeRoom } from './gapVerdict';
import { migrationVerdict, onlyParked, reachVerdict } from './lateralVerdicts';

/** Looks over a lateral bar in its whole travel. */
export function lateralBarVerdicts(
  input: LocateInput,
  result: LocateResult,
  bar: LinkMember,
  tape: Tape,
): Verdict[] {
  const shape = result.bar!;
  const { curve, driven } = result;
  const driving = whileDriven(input);
  return [
    reachVerdict(input, curve, tape),
    endsVerdict(input, bar, tape),
    crossingVerdict(bar),
    levelVerdict(driving, shape, result, bar, tape),
    lengthVerdict(driving, result, bar, tape),
    planVerdict(shape, bar, tape),
    clearanceVerdict(input, result, bar, tape),
    migrationVerdict(driven, tape, { where: bar.id, cure: FRAME_END_OUT }),
    onlyParked(input, tape),
  ]
    .filter((v) => v !== null)
    .map((v) => ({ where: bar.id, ...v }));
}

/** Of a level bar L long the roll centre rises with the frame by the axle end's distance from the middle, over L. */
const FRAME_END_OUT =
  'The frame end farther out: the roll centre goes with the frame by the axle end’s share of the bar, as the middle of the car divides it.';

function endsVerdict(input: LocateInput, bar: LinkMember, tape: Tape): Verdict | null {
  if (input.tireWidth === null) return null;
  const tyreInside = input.rig.track / 2 - input.tireWidth / 2;
  for (const end of ['chassis', 'axle'] as const) {
    const out = Math.abs(bar[end][1]);
    if (out <= tyreInside - LIMITS.clearance.tyre) continue;
    const name = end === 'chassis' ? 'Frame end' : 'Axle end';
    const mm = Math.sign(bar[end][1]) * (tyreInside - LIMITS.clearance.tyre);
    return {
      id: 'tyre',
      state: 'stop',
      title:
        out > tyreInside
          ? `${name} is inside the tyre.`
          : `${name} is ${sayLength(tyreInside - out, tape)} from the tyre.`,
      reason: `The tyre’s inner wall is ${sayLength(tyreInside, tape)} from the centreline; leave at least ${sayLength(LIMITS.clearance.tyre, tape)}.`,
      remedies: [
        {
          text: `Bring the ${name.toLowerCase()} in to ${sayLength(Math.abs(mm), tape)}`,
          changes: [{ member: bar.id, end, axis: 1, mm }],
        },
      ],
    };
  }
  return null;
}

function crossingVerdict(bar: LinkMember): Verdict | null {
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

function levelVerdict(
  { rig, school, bump, droop }: LocateInput,
  bar: LateralBar,
  { driven: curve, ride }: LocateResult,
  member: LinkMember,
  tape: Tape,
): Verdict {
  const { level, levelStop } = LIMITS.lateralBar;
  const { rise: wanted, by } = meantRise(rig, member, school, bump, droop);
  const error = bar.rise - wanted;
  const place = school === 'ride' ? 'at ride height' : 'in the middle of the travel';
  const migration = rollCentreRange(curve);
  if (Math.abs(error) <= level) {
    return {
      id: 'level',
      state: 'ok',
      title: by === 'level' ? `Level ${place}.` : 'Leans as the drag link does.',
      reason: `Within ${sayLength(level, tape)}. The roll centre moves ${sayLength(migration, tape)} over the whole travel.`,
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
  const middle = meantRise(rig, member, 'middle', bump, droop);
  const suitsMiddle = by === 'level' && school === 'ride' && Math.abs(bar.rise - middle.rise) <= level;
  const most = mostSideways(curve, ride.y);
  return {
    id: 'level',
    state: Math.abs(error) > levelStop ? 'stop' : 'look',
    title:
      by === 'level'
        ? `Bar is ${sayLength(Math.abs(error), tape)} high at the ${high} end ${place}.`
        : `Bar is ${sayLength(Math.abs(error), tape)} too high at the ${high} end to lean as the drag link does.`,
    reason: `${by === 'level' ? '' : 'Unlike each other they swing on different arcs, and bumps steer it. '}${
      Number.isFinite(most)
        ? `The axle moves ${sayLength(most, tape)} sideways in its travel and the car feels different turning left and right.`
        : 'So tilted it cannot follow the axle over the whole travel.'
    } Roll centre moves ${sayLength(migration, tape)}.${
      suitsMiddle
        ? ' The tilt suits the middle of your travel: there the bar is level, and moves the axle least.'
        : ''
    }`,
    remedies: [move('chassis'), move('axle')],
  };
}

function lengthVerdict(
  input: LocateInput,
  { driven: curve, ride, bar, cures }: LocateResult,
  member: LinkMember,
  tape: Tape,
): Verdict {
  const { shiftLimit } = input;
  const most = mostSideways(curve, ride.y);
  if (most <= shiftLimit + 1e-6)
    return {
      id: 'length',
      state: 'ok',
      title: 'Long enough for this travel.',
      reason: `The axle moves ${sayLength(most, tape)} sideways at most; you allow ${sayLength(shiftLimit, tape)}.`,
      remedies: [],
    };
  const remedy = cures?.lateral?.length ?? null;
  return {
    id: 'length',
    state: most > 2 * shiftLimit ? 'stop' : 'look',
    title: `Axle moves ${Number.isFinite(most) ? sayPast(most, shiftLimit, tape) : 'out of reach'} sideways.`,
    reason: `You allow ${sayLength(shiftLimit, tape)}. The bar is ${sayLength(bar!.eyeToEye, tape)} eye to eye; it swings on an arc, and a longer bar swings flatter.`,
    remedies: remedy ? [lengthRemedy(input, remedy, member, tape)] : [],
  };
}

function lengthRemedy(
  { rig, bump, droop, school }: LocateInput,
  remedy: NonNullable<LateralRemedies['length']>,
  member: LinkMember,
  tape: Tape,
): Remedy {
  const meant = meantRise(rig, member, school, bump, droop);
  const levelled: MountChange = {
    member: member.id,
    end: 'chassis',
    axis: 2,
    mm: member.axle[2] + meant.rise,
  };
  const level = meant.by === 'level';
  switch (remedy.kind) {
    case 'level':
      return {
        text: level
          ? 'Level it: that alone is enough'
          : 'Let it lean as the drag link does: that alone is enough',
        changes: [levelled],
      };
    case 'tooShort':
      return {
        text: `Even with both ends out at the tyres, ${sayLength(remedy.longest, tape)} eye to eye, it is too short. Shorten the travel, or accept more sideways movement.`,
      };
    case 'bothOut': {
      // What the frame end gives up to a line of the tape, the axle end makes good.
      const frame = downToLine(Math.abs(remedy.chassis), tape);
      const wanted = Math.abs(remedy.axle) + Math.abs(remedy.chassis) - frame;
      const axle = Math.min(Math.abs(remedy.farthest), upToLine(wanted, tape));
      const [y, axleY] = [Math.sign(remedy.chassis) * frame, Math.sign(remedy.farthest) * axle];
      return {
        text: `Both ends out: frame end ${sayLength(frame, tape)} and axle end ${sayLength(axle, tape)} from the centreline, ${level ? `level: ${sayLength(Math.abs(y - axleY), tape)} eye to eye` : 'leaning as the drag link does'}`,
        changes: [
          { member: member.id, end: 'chassis', axis: 1, mm: y },
          { member: member.id, end: 'axle', axis: 1, mm: axleY },
          levelled,
        ],
      };
    }
    case 'longer': {
      // Out to the next line of the tape, which is what can be set.
      const out = Math.min(Math.abs(remedy.farthest), upToLine(Math.abs(remedy.y), tape));
      const mm = Math.sign(remedy.farthest) * out;
      return {
        text: `Frame end out to ${sayLength(out, tape)} from the centreline, ${level ? `level: ${sayLength(Math.abs(mm - member.axle[1]), tape)} eye to eye` : 'leaning as the drag link does'}`,
        changes: [{ member: member.id, end: 'chassis', axis: 1, mm }, levelled],
      };
    }
  }
}

function planVerdict(bar: LateralBar, member: LinkMember, tape: Tape): Verdict | null {
  const { parallel, parallelStop, diagonal } = LIMITS.lateralBar;
  if (member.chassis[0] * member.axle[0] < 0) return null; // crossed ends are reported as such
  const off = Math.abs(bar.sweep);
  if (off <= parallel) {
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
  if (off > diagonal * bar.eyeToEye) {
    return {
      id: 'plan',
      state: 'look',
      title: 'The bar runs diagonally, seen from above.',
      reason: `About ${share} % of every side load pushes the axle fore and aft. That is fine where travel is small and the links hold it lengthwise.`,
      remedies: [{ text: 'Where there is room behind the axle, a bar beside it does better.' }],
    };
  }
  const angle = toDegrees(Math.asin(Math.min(1, off / bar.eyeToEye)));
  const set = (end: 'chassis' | 'axle'): Remedy => {
    const to = end === 'chassis' ? member.axle[0] : member.chassis[0];
    return {
      text: `Move the ${end === 'chassis' ? 'frame' : 'axle'} end ${sayLength(off, tape)} ${to > member[end][0] ? 'forward' : 'back'}`,
      changes: [{ member: member.id, end, axis: 0, mm: to }],
    };
  };
  return {
    id: 'plan',
    state: off > parallelStop ? 'stop' : 'look',
    title: `Bar is ${formatDegrees(angle)} off parallel, seen from above.`,
    reason: `The frame end is ${sayLength(off, tape)} farther ${bar.sweep > 0 ? 'forward' : 'back'}. About ${share} % of every side load pushes the axle fore and aft against its links.`,
    remedies: [set('chassis'), set('axle')],
  };
}

/** The tightest place of the bar; the rest of what is near is looked at with everything else that needs room. */
function clearanceVerdict(
  input: LocateInput,
  { gaps, cures }: LocateResult,
  bar: LinkMember,
  tape: Tape,
): Verdict | null {
  const closest = gaps.find((g) => g.a === bar.id || g.b === bar.id);
  if (!closest) return null;
  const said = gapVerdict(input, closest, tape, bar.id);
  if (said.state === 'ok') return said;
  const away = cures?.lateral?.away ?? null;
  const orElse = makeDo(closest, cures, tape);
  if (away === null) return { ...said, remedies: [makeRoom(closest, input.rig), ...orElse] };
  const way = awayFromAxle(bar);
  const mm = upToLine(away, tape);
  const text = `Move both ends ${sayLength(mm, tape)} farther ${way < 0 ? 'behind' : 'ahead of'} the axle`;
  const changes = (['chassis', 'axle'] as const).map((end): MountChange => ({
    member: bar.id,
    end,
    axis: 0,
    mm: bar[end][0] + way * mm,
  }));
  return { ...said, remedies: [{ text, changes }, ...orElse] };
}
