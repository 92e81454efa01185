import { SHIFT_LIMITS } from '@/core/job/job';
import type { Rig } from '@/core/rig/schema';
import { USUAL_CASES } from '@/core/statics/usualCases';
import type { Verdict } from '@/core/verdict';
import { analyseLocate } from './analyse';
import type { LocateInput } from './types';

/** What is wrong with a rig: a code, the part and place, and in words what, why and what to do. */
export type Warning = { code: string; where: string; message: string };

/**
 * Everything that wants a look in a rig, over the travel that its sweep spans (at rest only, without one). Lengths in the
 * messages are mm; limits are those of a street car.
 */
export function findWarnings(rig: Rig): Warning[] {
  const { verdicts, linkVerdicts, roomVerdicts } = analyseLocate(plainInput(rig));
  return [...verdicts, ...linkVerdicts, ...roomVerdicts].filter((v) => v.state !== 'ok').map(warning);
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
    springs: rig.springs ?? null,
    bump,
    droop,
    tireWidth: null,
    shiftLimit: SHIFT_LIMITS.street,
    school: 'ride',
    tape: 'mm',
    use: 'street',
    joints: {},
    room: {},
    loads: USUAL_CASES,
    rocker: { left: 0, right: 0 },
  };
}
