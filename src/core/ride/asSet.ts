import { memberName } from '@/core/layouts/names';
import type { Job } from '@/core/job/schema';
import { linksOf } from '@/core/rig/members';
import type { Unit } from '@/core/units/values';
import { distance } from '@/core/vector';
import { perTurn } from './adjusters';
import { adjusterOf, turnsOf, SQUARE_TOLERANCE, PINION_TOLERANCE } from './setting';
import { leversOf, TASKS } from './lever';
import { onGround, wantedPinion } from './onGround';

/** One line of the record of the car as it was set: what was read, with its uncertainty, beside what was designed. */
export type AsSet = {
  id: string;
  label: string;
  value: number;
  u: number;
  unit: Unit;
  ways?: readonly [string, string];
  designed: number;
  /** within what is good enough; null where nothing is laid down */
  holds: boolean | null;
};

/** The same turn of the axle about its tube: at the rear the pinion's, at the front the caster, which counts the other way. */
export const PINION = { label: 'Pinion', sign: 1, ways: ['nose down', 'nose up'] } as const;
export const CASTER = { label: 'Caster', sign: -1, ways: ['back at the top', 'forward at the top'] } as const;

/** The car as set on the ground, against its design. Only what was read appears, and every bar that has been wound. */
export function asSet(job: Job): AsSet[] {
  const ground = onGround(job);
  const lines: AsSet[] = [];
  const line = (
    facts: Omit<AsSet, 'value' | 'u' | 'holds'>,
    read: { value: number; u: number } | null,
    within: number,
  ) => {
    if (!read) return;
    lines.push({ ...facts, ...read, holds: Math.abs(read.value - facts.designed) <= within + 1e-6 });
  };
  line(
    {
      id: 'offset',
      label: 'Axle off the middle',
      unit: 'length',
      ways: ['to the left', 'to the right'],
      designed: 0,
    },
    ground.offset,
    job.ride.tolerance,
  );
  line(
    {
      id: 'ahead',
      label: 'Out of square, at the tyre',
      unit: 'length',
      ways: ['left ahead', 'right ahead'],
      designed: 0,
    },
    ground.ahead,
    SQUARE_TOLERANCE,
  );
  const pitch = wantedPinion(job);
  if (pitch !== null) {
    const facts = job.rig.end === 'front' ? CASTER : PINION;
    const read = ground.pinion && { ...ground.pinion, value: facts.sign * ground.pinion.value };
    const { label, ways } = facts;
    line({ id: 'pinion', label, unit: 'angle', ways, designed: facts.sign * pitch }, read, PINION_TOLERANCE);
  }
  line(
    { id: 'toe', label: 'Toe', unit: 'length', ways: ['toe-in', 'toe-out'], designed: wantedToe(job) },
    ground.toe,
    TOE_TOLERANCE,
  );
  return [...lines, ...barLines(job)];
}

/** An eighth of an inch in is usual after any change of a front bar (common practice, no published source). */
const USUAL_TOE = 3.175;
const TOE_TOLERANCE = 1.6;
export const wantedToe = (job: Job): number => job.ride.wanted.toe ?? USUAL_TOE;

/** A bar's length as set is its design and the turns made: no tape comes into it. */
function barLines(job: Job): AsSet[] {
  const levers = leversOf(job.rig);
  const bars = new Map(TASKS.flatMap((task) => levers[task]).map((bar) => [bar.id, bar]));
  return linksOf(job.rig).flatMap((link): AsSet[] => {
    const bar = bars.get(link.id);
    const each = bar && perTurn(adjusterOf(job, bar));
    const turns = turnsOf(job, link.id);
    if (!each || turns === 0) return [];
    const designed = link.length ?? distance(link.chassis, link.axle);
    const label = memberName(link.id);
    return [
      {
        id: `length.${link.id}`,
        label: `${label[0]!.toUpperCase()}${label.slice(1)}, eye to eye`,
        value: designed + turns * each,
        u: 0,
        unit: 'length',
        designed,
        holds: null,
      },
    ];
  });
}
