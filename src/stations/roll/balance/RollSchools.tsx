'use client';
import type { School } from '@/core/roll/schools';
import type { Tape } from '@/core/units/tape';
import { edit, useJob } from '@/store/jobStore';
import { Pick } from '@/ui/cards/Pick';
import type { RollSchool } from '@/core/job/slices/roll';
import { FORCE, SPRING_RATE } from '@/core/units/unit';

const TITLES: Record<RollSchool, string> = {
  soft: 'Big bar, soft springs',
  none: 'No bar at this end',
  strip: 'Strip: a stiff one behind, none in front',
};

const percent = (share: number) => `${(100 * share).toFixed(1)} %`;

/** Where shops disagree about sway bars: each in this car's own numbers, and which one is set. */
export function RollSchools({ schools }: { schools: School[] }) {
  const job = useJob();
  const { tape } = job;
  const now = schools.find((s) => s.id === 'now');
  const offered = schools.filter(
    (s): s is School & { id: RollSchool } => s.id !== 'now' && s.change !== null,
  );
  if (!now?.numbers || offered.length === 0) return null;
  const own: [string, string] = ['As it stands', costs(now, now, tape)];
  const options = Object.fromEntries([
    ['own', own],
    ...offered.map((school) => [school.id, [TITLES[school.id], costs(school, now, tape)]]),
  ]) as Record<RollSchool | 'own', [string, string]>;
  return (
    <Pick<RollSchool | 'own'>
      legend="Schools: what is a sway bar for?"
      name="roll-school"
      options={options}
      value={job.roll.school ?? 'own'}
      onPick={(picked) => take(picked, offered)}
    />
  );
}

/** What a school gives and what it costs, against how the car stands. */
function costs({ id, numbers }: School, now: School, tape: Tape): string {
  if (!numbers) return 'This car would not stand up like that.';
  const off = numbers.lifted === null ? '' : ` with its inside ${numbers.lifted} wheel off the ground`;
  const lean = `Leans ${numbers.rollDeg.toFixed(1)}°${off}, front takes ${percent(numbers.frontShare)}`;
  const bump = `one wheel’s bump meets ${SPRING_RATE.say(numbers.oneWheel, tape)}`;
  const both = numbers.springs === 1 ? '' : `, both wheels’ a quarter less than now`;
  const launch =
    numbers.launch === null
      ? ''
      : `; at the launch ${FORCE.say(numbers.launch, tape)} between the rear tyres`;
  const argument = ARGUMENTS[id](numbers.frontShare - (now.numbers?.frontShare ?? 0));
  return `${lean}; ${bump}${both}${launch}. ${argument}`;
}

const ARGUMENTS: Record<School['id'], (share: number) => string> = {
  now: () => '',
  soft: () =>
    'Rides softly and leans no more; but a bump under one wheel shakes the other, and the stops come sooner.',
  none: (share) =>
    share > 0.002
      ? 'Each wheel minds its own bump and the inside one keeps driving; the balance goes tighter.'
      : 'Each wheel minds its own bump; nothing more to carry, bend or clear.',
  strip: () => 'Both rear tyres push alike off the line; in a corner the tail goes first.',
};

/** Sets the car up as a school would, in one step of undo. */
function take(picked: RollSchool | 'own', offered: (School & { id: RollSchool })[]): void {
  const change = offered.find((s) => s.id === picked)?.change;
  edit((job) => {
    if (picked === 'own' || !change) return { ...job, roll: { ...job.roll, school: null } };
    const { otherRate, ...design } = change;
    const { otherEnd } = job.rig;
    return {
      ...job,
      rig:
        otherEnd && otherRate !== undefined
          ? { ...job.rig, otherEnd: { ...otherEnd, rollRate: otherRate } }
          : job.rig,
      roll: { ...job.roll, ...design, school: picked },
    };
  });
}
