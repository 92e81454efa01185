import { sideOf } from '@/core/geometry/side';
import { heldLift, travelOf } from '@/core/job/jobValues';
import type { Basis } from '@/core/job/stripes';
import { LIMITS } from '@/core/materials/limits';
import { confirm, measuredKey, type Check, type Draft, type Step, type Trouble } from './condition';

/** What other stations know to stand in the way; nothing where they know of nothing. */
export const known = (troubles: Trouble[]): Draft[] =>
  troubles
    .filter(({ found }) => found.length > 0)
    .map(({ id, label, how, found }) => ({
      id,
      step: 'tack',
      label,
      how,
      designed: '–',
      holds: false,
      problem: `${found.join('; ')}.`.replace('..', '.'),
      known: true,
    }));

/** How the car stands while the bracket is set: as the builder has picked at Place, or has said here before he did. */
export function held(check: Check): Draft {
  const { job, member } = check;
  const isOnTyres = job.weld.measured[measuredKey(member, 'onWheels')] === true;
  if (!job.place.holding && !isOnTyres)
    return confirm(
      check,
      'held',
      'tack',
      'Axle held where it will live, by the car’s weight or on rests',
      'Which of the two, and how high, is said at Place. A bar set level in droop is wrong at ride height.',
    );
  if (job.place.holding !== 'rests')
    return confirm(
      check,
      'onWheels',
      'tack',
      'Weight is on the tyres, car bounced and rolled',
      'Nobody under it while it is bounced. A bar set level in droop is wrong at ride height.',
    );
  const parked = heldLift(job) > 0;
  return confirm(
    check,
    parked ? 'onRestsParked' : 'onRests',
    'tack',
    `Axle on its rests at the ${parked ? 'parked' : 'driving'} height, frame level on its stands`,
    'Both ends at the heights that Place gives, strapped down. A bar set level in droop is wrong at ride height.',
  );
}

/** The brackets themselves, as they are before they are tacked or drilled for. */
export const fit = (check: Check): Draft =>
  check.bolted
    ? confirm(
        check,
        'fitBolted',
        'tack',
        'Brackets level and plumb, flat on what they are bolted to',
        'Holes centre-punched through the brackets themselves, what is behind looked at, bolt heads on the side that stays clear.',
      )
    : confirm(
        check,
        'fit',
        'tack',
        'Brackets level and plumb, bright metal all round',
        'Ground back past the paint, weld-through primer where it will be closed in, mock-up bushings in, bolt heads on the side that stays clear.',
      );

/** The axle taken through its travel since. */
export const cycled = (check: Check): Draft =>
  confirm(
    check,
    'cycled',
    'weld',
    `Cycled bump to droop since ${check.bolted ? 'it was bolted up' : 'tacking'}`,
    check.bolted
      ? 'Nothing touches, nothing binds, no bracket has crept.'
      : 'Nothing touches, nothing binds, the tacks have not cracked.',
  );

/** What must be so with the parts themselves before the last step. */
export const lastOfAll = (check: Check): Draft =>
  check.bolted
    ? confirm(
        check,
        'allIn',
        'weld',
        'Every bolt of the job is in before one is tightened',
        'Soft bushings free to turn until the car stands on its weight; nothing is left over on the bench.',
      )
    : confirm(
        check,
        'partsOut',
        'weld',
        'Bushings and rod ends safe from the heat',
        'Real bushings out; a spare rod end wound into each bung to sink the heat and keep the thread.',
      );

/** @param swung how far to the left the axle stands as it is held, mm */
export function centred(check: Check, id: string, step: Step, label: string, swung = 0): Draft {
  const { job, say, read } = check;
  const { tolerance } = job.ride;
  const [left, right] = [read(`${id}.left`), read(`${id}.right`)];
  const offset = left === null || right === null ? null : (left - right) / 2 - swung;
  return {
    id,
    step,
    label,
    how: 'Tyre to frame, both sides, level with the hub.',
    designed: `${Math.abs(swung) < 0.5 ? '' : `${say(Math.abs(swung))} to the ${sideOf(swung)}, `}within ${say(tolerance)}`,
    fields: [
      { key: `${id}.left`, label: 'left' },
      { key: `${id}.right`, label: 'right' },
    ],
    holds: offset === null ? null : Math.abs(offset) <= tolerance + 1e-6,
    problem:
      offset === null
        ? null
        : `Axle sits ${say(Math.abs(offset))} to the ${sideOf(offset)}. Push it over and hold it there.`,
  };
}

/** The tightest place at full bump. @param basis where the member stands */
export function clearance({ job, say, read }: Check, basis: Basis): Draft {
  const least = LIMITS.weld.clearance;
  const seen = read('clearance');
  return {
    id: 'clearance',
    step: 'tack',
    label: 'Nearest anything, at full bump',
    how: 'Lift the axle to the stop, measure the tightest place, lower it.',
    designed: `at least ${say(least)}`,
    fields: [{ key: 'clearance', label: 'measured' }],
    holds: seen === null ? null : seen >= least - 1e-6,
    problem:
      seen === null
        ? null
        : `${say(least - seen)} short. What clears at rest hits at bump: move the bar before it is fixed.`,
    basis: { ...basis, 'travel up': travelOf(job).bump },
  };
}
