import { capital } from '@/core/rig/names';
import type { Tape } from '@/core/units/tape';
import { gravestFirst, type Verdict } from '@/core/verdict/verdict';
import type { RollPart, RollResult } from '@/core/roll/analyse';
import { balanceChecks, barChoice, barNeeded } from './balance';
import { barChecks } from './bar';
import type { RollInput } from '@/core/roll/input';
import { springChecks } from './springs';

/** What is to be said of the part of Roll that was asked about, the gravest first. */
export const rollVerdicts = (input: RollInput, part: RollPart, result: RollResult, tape: Tape): Verdict[] =>
  gravestFirst(checksOf(input, part, result, tape));

function checksOf(input: RollInput, part: RollPart, result: RollResult, tape: Tape): Verdict[] {
  const { bar } = input;
  switch (part) {
    case 'springs':
      return springChecks(input, result, tape);
    case 'bar':
      return bar
        ? [...barChoice(input, result), ...barChecks({ ...input, bar }, result, tape)]
        : barNeeded(input, result, tape);
    case 'balance':
      return balanceChecks(input, result, tape);
  }
}

/** Springs and a bar that cannot be worked out as they are typed. @param problem what is wrong, as it was refused */
export const cannotBeWorkedOut = (problem: string): Verdict => ({
  id: 'cannotBeWorkedOut',
  state: 'stop',
  title: 'Springs and sway bar cannot be worked out as they stand.',
  reason: `${capital(problem)}. Nothing here is judged until then.`,
  remedies: [],
});
