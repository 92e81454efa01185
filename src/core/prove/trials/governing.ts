import type { Check, CheckName, Failure, Inputs } from '@/core/prove/types';
import type { CaseForces } from '@/core/prove/cases';

/** What a check asks and gives of one force, N, tension positive. */
type Asked = { demand: number; capacity: number };

/** A check before it is known which case governs it; `when` leaves out forces that it does not concern. */
export type Trial = {
  check: CheckName;
  unit: Check['unit'];
  fails: Failure;
  formula: string;
  source: string;
  asks: (force: number) => Asked;
  /** it is made of what comes and goes: of the difference between two cases, not of one */
  comesAndGoes?: boolean;
  /** the values that go into it, with the force that governs */
  inputs: (force: number) => Inputs;
};

export const SHIGLEY = 'Shigley, from memory';

/** Where the strength is from that a check reckons with. */
export const sayStrength = ({ name, source }: { name: string; source: string }): string =>
  `${name}: ${source}`;

/** How many times over a check holds in a case; infinite where nothing is asked. */
const factorOf = ({ demand, capacity }: Asked): number => (demand > 0 ? capacity / demand : Infinity);

/** A check in the case that is hardest on it, of the member by whose force it is made. */
export function governing(
  part: string,
  member: string,
  trial: Trial,
  cases: CaseForces[],
  wanted: number,
): Check | null {
  const { check, unit, fails, formula, source, asks, inputs } = trial;
  const tried = cases.map((one) => {
    const force = one.members[member] ?? 0;
    const asked = asks(force);
    return { name: one.name, force, asked, factor: factorOf(asked) };
  });
  const [worst] = tried.sort((a, b) => a.factor - b.factor);
  if (!worst) return null;
  return {
    part,
    check,
    unit,
    fails,
    formula,
    source,
    case: worst.name,
    ...worst.asked,
    factor: worst.factor,
    wanted,
    inputs: { force: worst.force, ...inputs(worst.force) },
  };
}
