import { locateVerdicts } from './verdicts/verdicts';
import { LIMITS } from '@/core/materials/limits';
import type { Rig } from '@/core/rig/schema';
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
  return [...sideways, ...lengthwise, ...room].filter((v) => v.state !== 'ok').map(warning);
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
    tireWidth: null,
    lock: null,
    shiftLimit: LIMITS.sideways.street,
    school: 'ride',
    use: 'street',
    joints: {},
    room: {},
    loads: USUAL_CASES,
    rocker: { left: 0, right: 0 },
  };
}
