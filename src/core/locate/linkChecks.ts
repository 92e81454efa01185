import { formatDegrees, sayLength } from '@/core/units/format';
import { division, type Tape } from '@/core/units/tape';
import type { Rig } from '@/core/rig/schema';
import type { Verdict } from '@/core/verdict';
import type { LinkFindings, LocateInput } from './types';

/**
 * Anti-squat that suits each use, per cent (common practice, no published source): less lets the tail squat and the tyre
 * work softly, more plants the tyre at the launch and hops under the brakes.
 */
const ANTI_SQUAT: Record<LocateInput['use'], [least: number, most: number]> = {
  street: [30, 90],
  autocross: [20, 80],
  drag: [90, 160],
  offroad: [30, 100],
  tow: [40, 110],
};

/** Limits of the trade (common practice, no published source). */
const ROLL_STEER = { least: -0.05, most: 0.1 };
const PINION = 3;
const JOINT = 15;
const BUMP_STEER = 0.5;
/** How far members may have to give, mm: what any bushing does, and what only a very soft one can. */
const BIND = { look: 1, stop: 6 };

/** Looks over the members that hold the axle lengthwise, in the whole travel. */
export function checkLinks(input: LocateInput, found: LinkFindings): Verdict[] {
  return [
    checkAntiSquat(input, found),
    checkRollSteer(input, found),
    checkPinion(input, found),
    checkBind(input, found),
    checkJoints(found),
    checkBumpSteer(input, found),
  ].filter((v) => v !== null);
}

function checkAntiSquat({ use, rig }: LocateInput, { antiSquat }: LinkFindings): Verdict | null {
  if (antiSquat === null || rig.end === 'front') return null;
  const [least, most] = ANTI_SQUAT[use];
  const shown = `${Math.round(antiSquat)} %`;
  if (antiSquat >= least && antiSquat <= most) {
    return {
      id: 'anti-squat',
      state: 'ok',
      title: `Anti-squat ${shown}.`,
      reason: `${least} to ${most} % suits this use.`,
      remedies: [],
    };
  }
  const low = antiSquat < least;
  return {
    id: 'anti-squat',
    state: 'look',
    title: `Anti-squat ${shown}: ${low ? 'less' : 'more'} than suits this use.`,
    reason: low
      ? `The tail squats and the tyres are planted late; ${least} to ${most} % is usual.`
      : `The tail rises when it pulls and may hop when it brakes; ${least} to ${most} % is usual.`,
    remedies: [
      {
        text: low
          ? `Raise the ${frontEnd(rig)}, or lower the other end.`
          : `Lower the ${frontEnd(rig)}, or raise the other end.`,
      },
    ],
  };
}

function checkRollSteer({ rig }: LocateInput, { rollSteer }: LinkFindings): Verdict | null {
  if (rollSteer === null) return null;
  const ok = rollSteer >= ROLL_STEER.least && rollSteer <= ROLL_STEER.most;
  const way =
    rig.end === 'rear' ? (rollSteer > 0 ? 'steadying (understeer)' : 'loosening (oversteer)') : 'of the axle';
  const shown = `${formatDegrees(Math.abs(rollSteer), 2)} for each degree of roll, ${way}`;
  return {
    id: 'roll-steer',
    state: ok ? 'ok' : 'look',
    title: ok ? 'Steers little as it rolls.' : 'The axle steers as the car rolls.',
    reason: `${shown}.`,
    remedies: ok
      ? []
      : [
          {
            text: rollSteer > 0 ? `Raise the ${frontEnd(rig)}.` : `Lower the ${frontEnd(rig)}.`,
          },
        ],
  };
}

function checkPinion({ rig }: LocateInput, { pinion }: LinkFindings): Verdict | null {
  if (rig.end === 'front') return null;
  const ok = pinion <= PINION;
  return {
    id: 'pinion',
    state: ok ? 'ok' : 'look',
    title: ok ? 'The pinion keeps its angle.' : `The pinion turns ${formatDegrees(pinion)} over the travel.`,
    reason: ok
      ? `It turns ${formatDegrees(pinion)} from droop to bump.`
      : `More than ${formatDegrees(PINION)} lets the driveshaft shake near the ends of the travel.`,
    remedies: ok
      ? []
      : [
          {
            text: isArm(rig)
              ? 'A longer arm turns it less.'
              : 'Make upper and lower links nearer to the same length and angle.',
          },
        ],
  };
}

function checkBind({ tape }: LocateInput, { bind }: LinkFindings): Verdict | null {
  if (!bind) return null;
  const give = `its bushings must give ${sayGive(bind.give, tape)}`;
  if (bind.give < BIND.look) {
    return {
      id: 'bind',
      state: 'ok',
      title: 'The members hardly fight each other.',
      reason: `At most, ${bind.at}, the ${bind.member}: ${give}.`,
      remedies: [],
    };
  }
  const cannot = bind.give > BIND.stop;
  return {
    id: 'bind',
    state: cannot ? 'stop' : 'look',
    title: `The members fight each other ${bind.at}.`,
    reason: `There are more of them than the axle has motions to hold. The ${bind.member} is asked for most: ${give}.${cannot ? ' No bushing does: something bends.' : ''}`,
    remedies: [
      {
        text: bind.rigid
          ? 'Arms rigid to the axle twist it in roll. Keep the travel short, bring their front joints nearer the middle, or let one arm turn on the axle tube.'
          : 'Softer bushings at one end, or bring the links nearer to the same length and angle.',
      },
    ],
  };
}

/** How far a bushing gives, to the finest line of the tape. */
export function sayGive(mm: number, tape: Tape): string {
  const fine = tape === 'mm' ? 'mm' : 'in32';
  return mm < division(fine) / 2 ? `less than ${sayLength(division(fine), fine)}` : sayLength(mm, fine);
}

function checkJoints({ joint }: LinkFindings): Verdict | null {
  if (!joint) return null;
  const ok = joint.degrees <= JOINT;
  return {
    id: 'joints',
    state: ok ? 'ok' : 'look',
    title: ok
      ? 'Every joint stays within its swing.'
      : `The ${joint.member} swings ${formatDegrees(joint.degrees)} at its joint.`,
    reason: ok
      ? `Most: ${formatDegrees(joint.degrees)}, the ${joint.member}. A plain rod end allows about 15° each way, a soft bushing less.`
      : 'A plain rod end allows about 15° each way, a soft bushing 5 to 10 in all; past that it is bent or torn.',
    remedies: ok
      ? []
      : [{ text: 'A longer member swings less; misalignment spacers allow about 22° each way.' }],
  };
}

function checkBumpSteer({ tape }: LocateInput, { steering }: LinkFindings): Verdict | null {
  if (!steering) return null;
  const { bumpSteer, lengthDifference, angleDifference } = steering;
  const ok = bumpSteer !== null && bumpSteer <= BUMP_STEER;
  return {
    id: 'bump-steer',
    state: ok ? 'ok' : 'stop',
    title: ok
      ? 'Bumps do not steer it.'
      : bumpSteer === null
        ? 'The drag link cannot follow the axle.'
        : `Bumps steer it ${formatDegrees(bumpSteer)}.`,
    reason: `Track bar and drag link differ by ${sayLength(lengthDifference, tape)} in length and ${formatDegrees(angleDifference)} in angle.`,
    remedies: ok
      ? []
      : [{ text: 'Make the track bar as long as the drag link, and as steep, with both ends in mind.' }],
  };
}

const isArm = (rig: Rig): boolean =>
  rig.members.some((m) => m.type === 'rigid-arm' || m.type === 'slider-arm');

/** The mount that sets the slope of a layout's lower members, by its own words. */
function frontEnd(rig: Rig): string {
  if (rig.members.some((m) => m.type === 'rigid-arm')) return 'front joint of the arms';
  if (rig.members.some((m) => m.type === 'leaf')) return 'front eyes of the leaves';
  return 'frame end of the lower links';
}
