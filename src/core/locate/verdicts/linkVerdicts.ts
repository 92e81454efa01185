import { JOINTS, jointsOf } from '@/core/materials/joints';
import { FORCE } from '@/core/units/unit';
import { LIMITS } from '@/core/materials/limits';
import { kindOf, linksOf } from '@/core/rig/members/members';
import { memberName, capital } from '@/core/rig/names';
import { leavesOf } from '@/core/rig/roles';
import type { Rig } from '@/core/rig/schema';
import { degreesBeside, formatDegrees, numberBeside, sayLength } from '@/core/units/length';
import { division, type Tape } from '@/core/units/tape';
import { whereAt, type Remedy, type Verdict } from '@/core/verdict/verdict';
import { isSteered } from '../steering/steered';
import type {
  BindFinding,
  JointFinding,
  LinkFindings,
  LocateInput,
  LocateResult,
  SteeringFindings,
  SteeringRemedy,
} from '../types';
import { sliderVerdicts } from './sliderVerdicts';
import { sayTravel } from './words';

/** Looks over the members that hold the axle lengthwise, in the whole travel. */
export function linkVerdicts(
  input: LocateInput,
  { links: found, cures }: LocateResult,
  tape: Tape,
): Verdict[] {
  return [
    antiSquatVerdict(input, found),
    rollSteerVerdict(input, found),
    pinionVerdict(input, found),
    bindVerdict(input, found, tape),
    jointVerdict(input, found, tape),
    cockedVerdict(input, found),
    bumpSteerVerdict(input, found, cures?.steering ?? null, tape),
    ...sliderVerdicts(input, found.sliders, tape),
  ]
    .filter((v) => v !== null)
    .map((v) => ({ where: 'axle', ...v }));
}

function antiSquatVerdict({ use }: LocateInput, { antiSquat }: LinkFindings): Verdict | null {
  if (antiSquat === null) return null;
  const [least, most] = LIMITS.antiSquat[use];
  const beside = antiSquat < least ? least : most;
  const shown = `${numberBeside(antiSquat, beside, 0)} %`;
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
    remedies: [],
  };
}

function rollSteerVerdict({ rig }: LocateInput, { rollSteer }: LinkFindings): Verdict | null {
  if (rollSteer === null) return null;
  const [least, most] = LIMITS.rollSteer;
  const ok = rollSteer >= least && rollSteer <= most;
  const way =
    rig.end === 'rear' ? (rollSteer > 0 ? 'steadying (understeer)' : 'loosening (oversteer)') : 'of the axle';
  const shown = `${formatDegrees(Math.abs(rollSteer), 2)} for each degree of roll, ${way}`;
  return {
    id: 'roll-steer',
    state: ok ? 'ok' : 'look',
    title: ok ? 'Steers little as it rolls.' : 'The axle steers as the car rolls.',
    reason: `${shown}.`,
    remedies: [],
  };
}

/** The turn of the axle about its own length over the travel: of the pinion, or of the caster of a steered axle. */
function pinionVerdict({ rig }: LocateInput, { pinion }: LinkFindings): Verdict | null {
  const front = rig.end === 'front';
  const most = front ? LIMITS.casterSwing : LIMITS.pinionSwing;
  const ok = pinion <= most;
  const turns = degreesBeside(pinion, most);
  return {
    id: front ? 'caster' : 'pinion',
    state: ok ? 'ok' : 'look',
    title: ok
      ? `The ${front ? 'caster' : 'pinion'} keeps its angle.`
      : front
        ? `The caster changes ${turns} over the travel.`
        : `The pinion turns ${turns} over the travel.`,
    reason: ok
      ? `It turns ${turns} from droop to bump.`
      : `More than ${formatDegrees(most)} ${front ? 'and it steers lightly at one end of the travel and heavily at the other, and takes the drag link’s end along' : 'lets the driveshaft shake near the ends of the travel'}.`,
    remedies: [],
  };
}

function bindVerdict(input: LocateInput, { bind }: LinkFindings, tape: Tape): Verdict | null {
  if (!bind) return null;
  if (givesAsMade(input, bind)) return armVerdict(input, bind, tape);
  const member = memberName(bind.member, input.rig.end);
  const at = sayTravel(bind.at, input, tape);
  const give = `its bushings must give ${sayGive(bind.give, tape)}`;
  const where = whereAt(bind.member, at);
  if (bind.give < LIMITS.bind.look) {
    return {
      id: 'bind',
      where,
      state: 'ok',
      title: 'The members hardly fight each other.',
      reason: `At most, ${at}, the ${member}: ${give}.`,
      remedies: [],
    };
  }
  const cannot = bind.give > LIMITS.bind.stop;
  return {
    id: 'bind',
    where,
    state: cannot ? 'stop' : 'look',
    title: `The members fight each other ${at}.`,
    reason: `There are more of them than the axle has motions to hold. The ${member} is asked for most: ${give}${whichGives(input, bind)}.${cannot ? ' No bushing does: something bends.' : ''}`,
    remedies: [{ text: bindRemedy(input, bind) }],
  };
}

/** Whether a member is an arm of which it is known how it gives along, across and up. */
const givesAsMade = ({ rig }: LocateInput, { member }: BindFinding): boolean =>
  rig.members.some((m) => m.id === member && m.type === 'rigid-arm' && Array.isArray(m.rate));

/** An arm rigid to the axle bends where a link's bushing gives: what counts is what its joint pushes on the frame with. */
function armVerdict(input: LocateInput, bind: BindFinding, tape: Tape): Verdict {
  const { armLook, armStop } = LIMITS.bind;
  const member = memberName(bind.member, input.rig.end);
  const at = sayTravel(bind.at, input, tape);
  const pushed = `its front joint pushes on the frame with ${FORCE.say(bind.force, tape)}; joint, arm, bracket and axle tube give ${sayGive(bind.give, tape)}`;
  const shared = { id: 'bind', where: whereAt(bind.member, at) };
  if (bind.force < armLook)
    return {
      ...shared,
      state: 'ok',
      title: 'The arms hardly twist the axle.',
      reason: `At most, ${at}, the ${member}: ${pushed}.`,
      remedies: [],
    };
  const cannot = bind.force > armStop;
  return {
    ...shared,
    state: cannot ? 'stop' : 'look',
    title: `The arms twist the axle ${at}.`,
    reason: `The ${member} is asked for most: ${pushed}.${cannot ? ' Something bends for good.' : ' What that does to brackets and welds is not reckoned here.'}`,
    remedies: [{ text: bindRemedy(input, bind) }],
  };
}

/** The joints of a link; null for a member that is not one. */
const jointsIn = ({ rig, joints }: LocateInput, member: string) =>
  linksOf(rig).some((m) => m.id === member) ? jointsOf(joints, member) : null;

/** Of two joints in a row the softer gives more, by what each is to the whole. */
function whichGives(input: LocateInput, { member, force, give }: BindFinding): string {
  const joints = jointsIn(input, member);
  if (!joints) return '';
  const [softer, end] =
    JOINTS[joints.chassis].rate <= JOINTS[joints.axle].rate
      ? [JOINTS[joints.chassis], 'frame']
      : [JOINTS[joints.axle], 'axle'];
  if (joints.chassis === joints.axle) return ', half at each end';
  const share = Math.min(1, force / softer.rate / give);
  return `, ${Math.round(100 * share)} % of it the ${softer.name.toLowerCase()} at the ${end} end`;
}

function bindRemedy(input: LocateInput, { member }: BindFinding): string {
  const bound = input.rig.members.find((m) => m.id === member);
  if (bound && kindOf(bound).adjustables.some(({ by }) => by === 'foot'))
    return 'Arms rigid to the axle twist it in roll. Keep the travel short, bring their front joints nearer the middle, or let one arm turn on the axle tube.';
  const joints = jointsIn(input, member);
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

/** `upper/chassis`, as mounts are named in files. */
const eyeOf = ({ member, end }: JointFinding): string => `${member}/${end}`;
const END = { chassis: 'frame', axle: 'axle' } as const;
const sayEye = ({ member, end }: JointFinding, { rig }: LocateInput) =>
  `${memberName(member, rig.end)}, ${END[end]} end`;

function jointVerdict(input: LocateInput, { joint }: LinkFindings, tape: Tape): Verdict | null {
  if (!joint) return null;
  const { degrees, swing } = joint;
  const at = sayTravel(joint.at, input, tape);
  const ok = degrees <= swing;
  const kind = JOINTS[joint.joint].name.toLowerCase();
  return {
    id: 'joints',
    where: whereAt(eyeOf(joint), at),
    state: ok ? 'ok' : 'stop',
    title: ok
      ? 'Every joint stays within its swing.'
      : `The joint of the ${sayEye(joint, input)}, is past its swing ${at}.`,
    reason: `${ok ? `Most: ${sayEye(joint, input)}, ` : ''}${degreesBeside(degrees, swing)}${ok ? ` ${at}` : ''}; a ${kind} allows about ${formatDegrees(swing)} each way${ok ? '' : ', past that it is bent or torn'}.`,
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

function cockedVerdict(input: LocateInput, { cocked }: LinkFindings): Verdict | null {
  if (!cocked || cocked.degrees <= LIMITS.cocked * cocked.swing) return null;
  return {
    id: 'cocked',
    where: whereAt(eyeOf(cocked), 'at ride height'),
    state: cocked.degrees > cocked.swing ? 'stop' : 'look',
    title: `The joint of the ${sayEye(cocked, input)}, is cocked at rest.`,
    reason: `It stands ${formatDegrees(cocked.degrees)} out of square of the ${formatDegrees(cocked.swing)} it has: little is left for the travel.`,
    remedies: [{ text: 'Turn its bracket to look along the member, so that it sits square at ride height.' }],
  };
}

function bumpSteerVerdict(
  input: LocateInput,
  { steering }: LinkFindings,
  remedy: SteeringRemedy | null,
  tape: Tape,
): Verdict | null {
  const { rig } = input;
  if (!steering) return null;
  if (!rig.steering) return axleSteerVerdict(steering);
  const { wheels, axle, match, parts } = steering;
  const alike = LIMITS.dragLink;
  const steers = isSteered(wheels);
  const crossed = match !== null && !match.sameSide;
  const unlike = match !== null && (crossed || match.length > alike.length || match.angle > alike.angle);
  const differ = !match
    ? leavesOf(rig).length > 0
      ? 'On leaf springs the axle swings about a point three quarters of the way to the fixed eye.'
      : 'There is no track bar to match the drag link to.'
    : crossed
      ? 'The track bar’s frame end and the drag link’s are on opposite sides: they swing against each other.'
      : `Track bar and drag link differ in length by ${sayLength(match.length, tape)}, in angle by ${formatDegrees(match.angle)}.`;
  const ofItself = Math.max(axle.both, axle.one);
  return {
    id: 'bump-steer',
    where: 'drag link',
    state: steers ? 'stop' : unlike ? 'look' : 'ok',
    title: !steers
      ? unlike
        ? 'Drag link and track bar are not alike.'
        : littleSteer(Math.max(wheels!.both, wheels!.one))
      : wheels === null
        ? 'The drag link cannot follow the axle.'
        : `Bumps steer it ${formatDegrees(Math.max(wheels.both, wheels.one))}.`,
    reason: `${differ}${parts ? sayParts(parts, input, tape) : ''}${ofItself >= TOLD ? ` The axle itself turns up to ${formatDegrees(ofItself)} and takes the wheels along.` : ''}`,
    remedies: [
      ...(remedy ? [steeringRemedyInWords(rig, remedy, tape)] : []),
      ...(steers || unlike
        ? [
            {
              text: crossed
                ? 'Mount the track bar’s frame end on the side of the drag link’s.'
                : unlike || !match
                  ? match || !leavesOf(rig).length
                    ? 'Make the track bar as long as the drag link, and as steep, with both ends in mind.'
                    : 'Make the drag link as long and as steep as that part of the spring, seen from the side.'
                  : 'Bar and link are alike: it is the caster that turns with the travel and takes the knuckle along. Longer arms turn it less.',
            },
          ]
        : []),
    ],
  };
}

/** What is said of bumps that steer no more than they may, degrees. */
const littleSteer = (most: number): string =>
  most < TOLD ? 'Bumps do not steer it.' : `Bumps steer it little: ${formatDegrees(most)} at most.`;

/** With the box on the axle the wheels steer as the axle does, and nothing else comes in. */
function axleSteerVerdict({ axle, wheels }: SteeringFindings): Verdict {
  const most = Math.max(axle.both, axle.one);
  const steers = isSteered(wheels);
  return {
    id: 'bump-steer',
    where: 'axle',
    state: steers ? 'stop' : 'ok',
    title: steers ? `Bumps steer it ${formatDegrees(most)}.` : littleSteer(most),
    reason: `The steering box is on the axle: the wheels turn only as the axle does, up to ${formatDegrees(most)} over the travel. The steering shaft must slide and bend as the axle moves.`,
    remedies: steers
      ? [
          {
            text: 'Make the lower members level and alike left and right: their slope is what turns the axle in roll.',
          },
        ]
      : [],
  };
}

/** What of the drag link steers how much with both wheels, where it is worth a word; the largest first. */
function sayParts(
  { side, angle, length, at }: NonNullable<SteeringFindings['parts']>,
  input: LocateInput,
  tape: Tape,
): string {
  const told = (
    [
      ['its angle', angle],
      ['its length', length],
      ['its frame end on the other side', side],
    ] as const
  )
    .filter(([, deg]) => Math.abs(deg) >= TOLD / 2)
    .sort(([, p], [, q]) => Math.abs(q) - Math.abs(p))
    .map(([what, deg]) => `${what} ${formatDegrees(Math.abs(deg), 2)} ${deg > 0 ? 'left' : 'right'}`);
  return told.length
    ? ` ${capital(sayTravel(at, input, tape))} the drag link steers: by ${told.join(', by ')}.`
    : '';
}

/** A turn of the axle that is worth a word, degrees. */
const TOLD = 0.1;

function steeringRemedyInWords(rig: Rig, { member, end, z, wheels }: SteeringRemedy, tape: Tape): Remedy {
  const up = z - linksOf(rig).find((m) => m.id === member)![end][2];
  return {
    text: `Put the track bar’s ${end === 'chassis' ? 'frame' : 'axle'} end ${sayLength(Math.abs(up), tape)} ${up > 0 ? 'higher' : 'lower'}, at ${sayLength(z, tape)} off the floor: bumps then ${isSteered(wheels) ? 'still ' : ''}steer it ${formatDegrees(Math.max(wheels.both, wheels.one))}.`,
    changes: [{ member, end, axis: 2, mm: z }],
  };
}
