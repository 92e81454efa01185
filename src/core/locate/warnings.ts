import { locateVerdicts } from './verdicts/verdicts';
import { LIMITS } from '@/core/materials/limits';
import { BODY_IDS, type Rig } from '@/core/rig/schema';
import type { Verdict } from '@/core/verdict/verdict';
import { analyseLocate } from './analyse';
import type { LocateInput } from './types';
import { USUAL_CASES } from '@/core/statics/standardCases';

/** What is wrong with a rig: a code, the part and place, and in words what, why and what to do. */
export type Warning = { code: string; where: string; message: string };

/**
 * Everything that wants a look in a rig, over the travel that its sweep spans (at rest only, without one). Lengths in the
 * messages are mm; limits are those of a street car.
 */
export function findWarnings(rig: Rig): Warning[] {
  const input = plainInput(rig);
  const { sideways, lengthwise, room } = locateVerdicts(input, analyseLocate(input), 'mm');
  return [
    ...[...sideways, ...lengthwise, ...room]
      .filter(({ id, state }) => state !== 'ok' && id !== NOT_IN_A_RIG)
      .map(warning),
    ...joinedToNothing(rig),
  ];
}

/** No rig file says how much room a slider has. */
const NOT_IN_A_RIG = 'slider';

/** Pairs said to be joined of which one is not there: most likely misspelt. */
function joinedToNothing({ joined = [], ...rig }: Rig): Warning[] {
  const { members, springs = [], shocks = [], obstacles = [] } = rig;
  const { driveshaft, dragLink, tire } = BODY_IDS;
  const there = new Set<string>([
    ...[members, springs, shocks, obstacles].flatMap((list) => list.map(({ id }) => id)),
    ...[driveshaft, dragLink, ...Object.values(tire)],
  ]);
  return joined.flatMap((pair, i) =>
    pair.flatMap((id, k) =>
      there.has(id)
        ? []
        : [
            {
              code: 'joined',
              where: `joined[${i}][${k}]`,
              message: `Nothing here is called “${id}”: the pair is compared as if it were not joined. Check its spelling.`,
            },
          ],
    ),
  );
}

function warning({ id, where = 'axle', title, reason, remedies }: Verdict): Warning {
  const cures = remedies.map(({ text }) => (/[.!?]$/.test(text) ? text : `${text}.`));
  return { code: id, where, message: [title, reason, ...cures].join(' ') };
}

function plainInput(rig: Rig): LocateInput {
  let [bump, droop] = [0, 0];
  for (const { left, right } of rig.sweep ?? []) {
    bump = Math.max(bump, left, right);
    droop = Math.max(droop, -left, -right);
  }
  return {
    rig,
    tape: 'mm',
    bump,
    droop,
    driven: bump,
    tireWidth: null,
    lock: null,
    shiftLimit: LIMITS.sideways.street,
    school: 'ride',
    use: 'street',
    joints: {},
    room: {},
    slider: {},
    loads: USUAL_CASES,
    lines: [],
    made: {},
    opens: {},
    rocker: { left: 0, right: 0 },
  };
}
