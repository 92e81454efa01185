import { wordsOfEnds, handlingIn, outsideRise, softened, stiffened } from '@/core/roll/handling';
import { capital } from '@/core/rig/names';
import { LIMITS } from '@/core/materials/limits';
import { numberBeside, sayLength } from '@/core/units/length';
import type { Tape } from '@/core/units/tape';
import type { Verdict } from '@/core/verdict/verdict';
import type { RollResult } from '@/core/roll/analyse';
import type { RideAnswer } from '@/core/springs/springTravel';
import type { RollInput } from '@/core/roll/input';
import { toRadians } from '@/core/geometry/angle';
import { FORCE, PRESSURE } from '@/core/units/unit';

/** What is to be said of springs, shocks and stops. */
export function springChecks(input: RollInput, result: RollResult, tape: Tape): Verdict[] {
  return [...shockChecks(input, result, tape), ...sprungChecks(input, result, tape)];
}

/** What hangs on what the car weighs. */
function sprungChecks(input: RollInput, result: RollResult, tape: Tape): Verdict[] {
  const { ride } = result;
  if (!input.springs) return [];
  if (!ride)
    return input.rig.masses
      ? [
          {
            id: 'springFlat',
            state: 'stop',
            title: 'The spring carries nothing as it stands.',
            reason: 'It lies flat or upside down: as the axle rises it does not get shorter.',
            remedies: [{ text: 'Its frame end goes above its axle end, more upright than flat.' }],
          },
        ]
      : [];
  return [
    ...lengthChecks(input, ride, tape),
    ...stopChecks(input, ride, tape),
    ...cornerChecks(input, result, tape),
    ...standChecks(input, ride, tape),
    frequencyCheck(input, result, ride),
  ];
}

/** Softer or harder on its springs than cars of its use are mostly run. */
function bounces({ use }: RollInput, { frequency }: RideAnswer): 'soft' | 'hard' | 'usual' {
  const [least, most] = LIMITS.rideFrequency[use];
  return frequency < least ? 'soft' : frequency > most ? 'hard' : 'usual';
}

function frequencyCheck(input: RollInput, result: RollResult, ride: RideAnswer): Verdict {
  const [least, most] = LIMITS.rideFrequency[input.use];
  const how = bounces(input, ride);
  const run = `this use is mostly run between ${least} and ${most}.`;
  const reasons = {
    soft: `Soft: ${run} It will need its travel.`,
    hard: `Hard: ${run} The tyre leaves the ground over bumps.`,
    usual: capital(run),
  };
  return {
    id: 'frequency',
    state: how === 'usual' ? 'ok' : 'look',
    title: `Bounces ${numberBeside(ride.frequency, ride.frequency < least ? least : most, 2)} times a second.`,
    reason: reasons[how],
    remedies:
      how === 'usual'
        ? []
        : [{ text: how === 'soft' ? stiffer(input, result) : softer(input, result, ride) }],
  };
}

/** Stiffer springs, with what they ask for of the other end where they alone would put the car out of balance the more. */
function stiffer(input: RollInput, result: RollResult): string {
  const way = handlingIn(input, result);
  return way === stiffened(input.rig)
    ? `Stiffer springs, and the ${wordsOfEnds(input.rig).other} stiffened against roll by more: it is ${way} already.`
    : 'Stiffer springs.';
}

/** Softer springs, with what they cost. */
function softer(input: RollInput, result: RollResult, { hardBump }: RideAnswer): string {
  const way = handlingIn(input, result);
  const bar = input.bar ? 'a stiffer bar' : 'a bar';
  const springs =
    way === stiffened(input.rig)
      ? `Softer springs: that makes it less ${way}, too`
      : way === softened(input.rig)
        ? `Softer springs, and ${bar} that gives back more against roll than they did: it is ${way} already`
        : `Softer springs, and ${bar} for the lean`;
  return hardBump === null
    ? `${springs}; and first a bump stop or more travel: a hard bump uses all of it up as it is.`
    : `${springs}.`;
}

function lengthChecks({ springs }: RollInput, { rows }: RideAnswer, tape: Tape): Verdict[] {
  const verdicts: Verdict[] = [];
  const top = rows.at(-1);
  if (
    springs?.kind === 'coil' &&
    springs.solid !== null &&
    top &&
    top.length < springs.solid + LIMITS.springs.coilsApart
  )
    verdicts.push({
      id: 'coilBind',
      state: top.length < springs.solid ? 'stop' : 'look',
      title:
        top.length < springs.solid
          ? 'The coils close before full bump.'
          : 'The coils all but close at full bump.',
      reason: `The spring is ${sayLength(top.length, tape)} long there and solid at ${sayLength(springs.solid, tape)}: then the axle hits the frame through it.`,
      remedies: [
        { text: 'A spring with fewer or thinner coils, seats farther apart, or a stop that is there first.' },
      ],
    });
  const loose = rows.findLast((row) => row.force <= 0 && row.lift < 0);
  if (loose && springs?.kind === 'coil')
    verdicts.push({
      id: 'springLoose',
      state: 'look',
      title: `The spring goes loose ${sayLength(-loose.lift, tape)} below ride height.`,
      reason: 'From there to full droop nothing holds it in its seat, and it may come back beside it.',
      remedies: [
        { text: 'A longer, softer spring, a helper spring, a strap that ends the droop, or a retainer.' },
      ],
    });
  return verdicts;
}

/** A shock that bottoms or is pulled out does so whatever the car weighs. */
function shockChecks({ shock, stop }: RollInput, { shock: lengths }: RollResult, tape: Tape): Verdict[] {
  if (!shock || lengths.length < 2) return [];
  const [droop, bump] = [lengths[0]!, lengths.at(-1)!];
  const verdicts: Verdict[] = [];
  const bottoms = lengths.find((l) => l.lift > 0 && l.length < shock.closed);
  if (bottoms)
    verdicts.push({
      id: 'shockBottoms',
      state: 'stop',
      title: `The shock bottoms ${bottoms.lift < 1 ? 'at ride height' : `${sayLength(bottoms.lift, tape)} up`}.`,
      reason: `It is ${sayLength(bump.length, tape)} at full bump and closes to ${sayLength(shock.closed, tape)}${stop && stop.gap < bottoms.lift ? ': the stop touches first, but does not hold it off' : ''}. A shock is no stop.`,
      remedies: [{ text: 'Mounts farther apart, a shorter shock, or less bump travel by a stop.' }],
    });
  const tops = lengths.findLast((l) => l.lift < 0 && l.length > shock.open);
  if (tops)
    verdicts.push({
      id: 'shockTops',
      state: 'stop',
      title: `The shock is pulled out ${tops.lift > -1 ? 'at' : `${sayLength(-tops.lift, tape)} below`} ride height.`,
      reason: `It opens to ${sayLength(shock.open, tape)} and would have to be ${sayLength(droop.length, tape)} at full droop: it hangs the axle.`,
      remedies: [{ text: 'A longer shock, mounts nearer together, or a strap that ends the droop.' }],
    });
  if (!bottoms && !tops)
    verdicts.push({
      id: 'shockFits',
      state: 'ok',
      title: 'The shock has travel for both ends.',
      reason: `${sayLength(bump.length - shock.closed, tape)} left at full bump, ${sayLength(shock.open - droop.length, tape)} at full droop.`,
      remedies: [],
    });
  return verdicts;
}

function stopChecks(input: RollInput, ride: RideAnswer, tape: Tape): Verdict[] {
  const { stop, bump } = input;
  const { hardBump, rows, standing } = ride;
  const verdicts: Verdict[] = [];
  if (stop && stop.gap >= bump)
    verdicts.push({
      id: 'stopNever',
      state: 'look',
      title: 'The bump stop is never touched.',
      reason: `It stands ${sayLength(stop.gap, tape)} off and the axle rises ${sayLength(bump, tape)}: something harder is there first.`,
      remedies: [{ text: 'Space it down, so that it catches the axle before anything else does.' }],
    });
  const most = rows.at(-1)?.load ?? 0;
  verdicts.push(
    hardBump === null
      ? {
          id: 'hardBump',
          state: 'look',
          title: 'A hard bump uses up all of the travel.',
          reason: `At full bump a wheel carries ${FORCE.say(most, tape)}, ${(most / standing).toFixed(1)} times what it does at rest; a hard bump asks for twice.`,
          remedies: [
            {
              text: `${bounces(input, ride) === 'hard' ? 'More' : 'Stiffer springs, more'} travel, or ${stop ? 'a stiffer' : 'a bump'} stop.`,
            },
          ],
        }
      : {
          id: 'hardBump',
          state: 'ok',
          title: `A hard bump takes ${sayLength(hardBump, tape)} of ${sayLength(bump, tape)}.`,
          reason: 'Twice what the wheel carries at rest, springs and stop together.',
          remedies: [],
        },
  );
  return verdicts;
}

/** What the lean of the corner takes of the outside wheel's travel. */
function cornerChecks(input: RollInput, result: RollResult, tape: Tape): Verdict[] {
  const { stop, rig, bump, cornerG } = input;
  const { corner, offStops } = result;
  if (!corner) return [];
  const lean = Math.tan(toRadians(corner.rollDeg));
  const rise = outsideRise(rig, corner);
  const behind = rig.end === 'rear';
  if (corner.stop > 0 && offStops) {
    const felt = Math.abs(corner.frontShare - offStops.frontShare) >= LIMITS.balance.felt;
    return [
      {
        id: 'cornerTravel',
        state: felt ? 'look' : 'ok',
        title: `Leaning at ${cornerG} g it sits ${sayLength(corner.stop, tape)} into its bump stop.`,
        reason: `From ${offStops.touches.toFixed(2)} g on this end is harder than its springs: the front’s share is ${percent(corner.frontShare)}, and would be ${percent(offStops.frontShare)} off the stop; ${felt ? `${behind ? 'the tail steps out' : 'the front pushes'} as it is reached` : 'that is hardly felt'}.`,
        remedies: felt
          ? [
              {
                text: `${stifferAgainstRoll(input, result)}, a shorter or softer stop, or more room above it.`,
              },
            ]
          : [],
      },
    ];
  }
  const onLast = rise > bump;
  return [
    {
      id: 'cornerTravel',
      state: onLast ? 'look' : 'ok',
      title: onLast
        ? `Leaning at ${cornerG} g it is out of travel outside.`
        : `Leaning at ${cornerG} g takes ${sayLength(rise, tape)} of the ${sayLength(bump, tape)} outside.`,
      reason: onLast
        ? `The outside wheel rises ${sayLength(rise, tape)} and has ${sayLength(bump, tape)}: this end goes hard at once in the middle of the corner, ${behind ? 'and the tail steps out' : 'and the front pushes'}.`
        : stop
          ? `Its bump stop is ${sayLength(Math.max(0, stop.gap - stop.out * lean), tape)} off then. What is left is for the bumps.`
          : 'What is left is for the bumps in it.',
      remedies: onLast
        ? [{ text: `${stifferAgainstRoll(input, result)}, a bump stop, or more travel.` }]
        : [],
    },
  ];
}

/** Where stiffness against roll takes lean away and does not put the car out of balance the more. */
function stifferAgainstRoll(input: RollInput, result: RollResult): string {
  const way = handlingIn(input, result);
  const { here, there } = wordsOfEnds(input.rig);
  if (way === null) return 'Stiffer against roll';
  if (way === 'even') return 'Stiffer against roll at both ends alike';
  return `Stiffer against roll ${way === stiffened(input.rig) ? there : here}`;
}

const percent = (share: number) => `${(100 * share).toFixed(0)} %`;

function standChecks({ springs }: RollInput, ride: RideAnswer, tape: Tape): Verdict[] {
  const verdicts: Verdict[] = [];
  const { standsHigh, wanted } = ride;
  if (standsHigh !== null) {
    const off = Math.abs(standsHigh) > LIMITS.springs.standing;
    const cure =
      wanted.pressure !== null
        ? PRESSURE.say(wanted.pressure, tape)
        : `${sayLength(wanted.free ?? 0, tape)} long unloaded`;
    verdicts.push({
      id: 'stands',
      state: off ? 'look' : 'ok',
      title: off
        ? `On these springs it stands ${sayLength(Math.abs(standsHigh), tape)} ${standsHigh > 0 ? 'high' : 'low'}.`
        : 'On these springs it stands at its ride height.',
      reason: `Each pushes with ${FORCE.say(ride.pushes ?? 0, tape)} there; the car puts ${FORCE.say(ride.standing / ride.ratio, tape)} on it.`,
      remedies: off ? [{ text: `At ride height it wants ${cure}.` }] : [],
    });
  }
  if (
    springs?.kind === 'air' &&
    wanted.pressure !== null &&
    (wanted.pressure < LIMITS.springs.airPressure[0] || wanted.pressure > LIMITS.springs.airPressure[1])
  )
    verdicts.push({
      id: 'airPressure',
      state: 'look',
      title: `The bags need ${PRESSURE.say(wanted.pressure, tape)} for this car.`,
      reason: `They are best between ${PRESSURE.say(LIMITS.springs.airPressure[0], tape)} and ${PRESSURE.say(LIMITS.springs.airPressure[1], tape)}; the maker’s own limit comes first.`,
      remedies: [
        {
          text:
            wanted.pressure > LIMITS.springs.airPressure[1]
              ? 'A larger bag, or more leverage.'
              : 'A smaller bag.',
        },
      ],
    });
  return verdicts;
}
