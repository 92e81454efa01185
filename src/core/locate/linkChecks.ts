import { formatDegrees, sayLength } from '@/core/units/format';
import { division, type Tape } from '@/core/units/tape';
import type { Rig } from '@/core/rig/schema';
import type { Verdict } from '@/core/verdict';
import { JOINTS } from '@/core/joints/joints';
import type { BindFinding, JointFinding, LinkFindings, LocateInput } from './types';

/**
 * Anti-squat that suits each use, per cent (common practice, no published source): less lets the tail squat and the tyre
 * work softly, more plants the tyre at the launch and hops under the brakes.
 */
const ANTI_SQUAT: Record<LocateInput['use'], [least: number, most: number]> = {
  street: [20, 90],
  autocross: [20, 80],
  drag: [90, 160],
  offroad: [30, 100],
  tow: [40, 110],
};

/** Limits of the trade (common practice, no published source). */
const ROLL_STEER = { least: -0.05, most: 0.1 };
const PINION = 3;
/** Degrees that bumps may steer: both wheels together, and one alone, which rolls the axle too. */
const BUMP_STEER = { both: 0.5, one: 1 };
/** Drag link against track bar: what passes for alike, mm and degrees. */
const DRAG_LINK = { length: 75, angle: 2 };
/** Share of its swing that a joint may have used up at rest. */
const COCKED = 0.4;
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
    checkCocked(found),
    checkBumpSteer(input, found),
  ]
    .filter((v) => v !== null)
    .map((v) => ({ where: 'axle', ...v }));
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
  const { member, at } = bind;
  const give = `its bushings must give ${sayGive(bind.give, tape)}`;
  const where = `${member}, ${at}`;
  if (bind.give < BIND.look) {
    return {
      id: 'bind',
      where,
      state: 'ok',
      title: 'The members hardly fight each other.',
      reason: `At most, ${at}, the ${member}: ${give}.`,
      remedies: [],
    };
  }
  const cannot = bind.give > BIND.stop;
  return {
    id: 'bind',
    where,
    state: cannot ? 'stop' : 'look',
    title: `The members fight each other ${at}.`,
    reason: `There are more of them than the axle has motions to hold. The ${member} is asked for most: ${give}${whichGives(bind)}.${cannot ? ' No bushing does: something bends.' : ''}`,
    remedies: [{ text: bindRemedy(bind) }],
  };
}

/** Of two joints in a row the softer gives more, by what each is to the whole. */
function whichGives({ joints, force, give }: BindFinding): string {
  if (!joints) return '';
  const [softer, end] =
    JOINTS[joints.chassis].rate <= JOINTS[joints.axle].rate
      ? [JOINTS[joints.chassis], 'frame']
      : [JOINTS[joints.axle], 'axle'];
  if (joints.chassis === joints.axle) return ', half at each end';
  const share = Math.min(1, force / softer.rate / give);
  return `, ${Math.round(100 * share)} % of it the ${softer.name.toLowerCase()} at the ${end} end`;
}

function bindRemedy({ rigid, joints }: BindFinding): string {
  if (rigid) {
    return 'Arms rigid to the axle twist it in roll. Keep the travel short, bring their front joints nearer the middle, or let one arm turn on the axle tube.';
  }
  const angles = 'bring the links nearer to the same length and angle';
  const soft = joints && (JOINTS[joints.chassis].soft || JOINTS[joints.axle].soft);
  return soft
    ? `The bushings are soft already: ${angles}.`
    : `Rubber or polyurethane at one end, or ${angles}.`;
}

/** How far a bushing gives, to the finest line of the tape. */
export function sayGive(mm: number, tape: Tape): string {
  const fine = tape === 'mm' ? 'mm' : 'in32';
  return mm < division(fine) / 2 ? `less than ${sayLength(division(fine), fine)}` : sayLength(mm, fine);
}

const END = { chassis: 'frame', axle: 'axle' } as const;
const sayEye = ({ member, end }: JointFinding) => `${member}, ${END[end]} end`;

function checkJoints({ joint }: LinkFindings): Verdict | null {
  if (!joint) return null;
  const { degrees, swing, at } = joint;
  const ok = degrees <= swing;
  const kind = joint.joint.toLowerCase();
  return {
    id: 'joints',
    where: `${sayEye(joint)}, ${at}`,
    state: ok ? 'ok' : 'stop',
    title: ok
      ? 'Every joint stays within its swing.'
      : `The joint of the ${sayEye(joint)}, is past its swing ${at}.`,
    reason: `${ok ? `Most: ${sayEye(joint)}, ` : ''}${formatDegrees(degrees)}${ok ? ` ${at}` : ''}; a ${kind} allows about ${formatDegrees(swing)} each way${ok ? '' : ', past that it is bent or torn'}.`,
    remedies: ok
      ? []
      : [
          {
            text:
              swing < JOINTS['rod-end'].swing
                ? 'A rod end there, a longer member, or brackets turned to look along it.'
                : 'A longer member swings less; misalignment spacers allow about 22° each way.',
          },
        ],
  };
}

function checkCocked({ cocked }: LinkFindings): Verdict | null {
  if (!cocked || cocked.degrees <= COCKED * cocked.swing) return null;
  return {
    id: 'cocked',
    where: `${sayEye(cocked)}, at ride height`,
    state: cocked.degrees > cocked.swing ? 'stop' : 'look',
    title: `The joint of the ${sayEye(cocked)}, is cocked at rest.`,
    reason: `It stands ${formatDegrees(cocked.degrees)} out of square of the ${formatDegrees(cocked.swing)} it has: little is left for the travel.`,
    remedies: [{ text: 'Turn its bracket to look along the member, so that it sits square at ride height.' }],
  };
}

function checkBumpSteer({ tape }: LocateInput, { steering }: LinkFindings): Verdict | null {
  if (!steering) return null;
  const { bumpSteer, match } = steering;
  const steers = bumpSteer === null || bumpSteer.both > BUMP_STEER.both || bumpSteer.one > BUMP_STEER.one;
  const unlike = match !== null && (match.length > DRAG_LINK.length || match.angle > DRAG_LINK.angle);
  const differ = match
    ? `Track bar and drag link differ by ${sayLength(match.length, tape)} in length and ${formatDegrees(match.angle)} in angle.`
    : 'There is no track bar to match the drag link to.';
  return {
    id: 'bump-steer',
    where: 'drag link',
    state: steers ? 'stop' : unlike ? 'look' : 'ok',
    title: !steers
      ? unlike
        ? 'Drag link and track bar are not alike.'
        : 'Bumps do not steer it.'
      : bumpSteer === null
        ? 'The drag link cannot follow the axle.'
        : `Bumps steer it ${formatDegrees(Math.max(bumpSteer.both, bumpSteer.one))}.`,
    reason: differ,
    remedies:
      steers || unlike
        ? [
            {
              text:
                unlike || !match
                  ? 'Make the track bar as long as the drag link, and as steep, with both ends in mind.'
                  : 'Bar and link are alike: it is the caster that turns with the travel and takes the knuckle along. Longer arms turn it less.',
            },
          ]
        : [],
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
