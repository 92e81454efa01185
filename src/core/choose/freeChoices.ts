import { holesKey } from '@/core/job/made/bracketHoles';
import type { Job } from '@/core/job/jobSchema';
import { withRollRig } from '@/core/job/edits/roll';
import { linksOf } from '@/core/rig/members/members';
import { InputError } from '@/core/rig/read';
import { coordinateNow, withMount, type MountChange } from '@/core/rig/mounts';
import { partnerOf } from '@/core/rig/roles';
import type { BarDesign } from '@/core/swaybar/swayBarDesign';
import { division } from '@/core/units/tape';
import { isBend, isFeet, isMount, type Brief, type FreeBend, type FreeFeet, type FreeMount } from './brief';
import { MET } from './ranking';

/** What may be chosen of a sway bar: its hole, counted from the tip, and where the feet of its links stand from their eyes, mm. */
export type BarChoice = { hole?: number; foot?: Partial<BarDesign['foot']> };

/** What one thing that may move can be set to: a mount, mm, and, alike, its mirror image; or something of the sway bar. */
export type Choice = {
  values: number[];
  now: number;
  put: (job: Job, value: number) => Job;
  changes: (value: number) => MountChange[];
  bar: (value: number) => BarChoice;
};

/**
 * What the things that may move can each be set to, but for bends.
 *
 * @throws InputError where one of them is not there, or has nowhere to go
 */
export const choicesOf = (job: Job, { free }: Brief): Choice[] =>
  free.flatMap((one, i) => {
    if (isBend(one)) return [];
    if (isMount(one)) return [mountChoice(job, one, i)];
    return [isFeet(one) ? feetChoice(job, one, i) : holeChoice(job, i)];
  });

/**
 * The bars that may be bent, by id.
 *
 * @throws InputError where one of them is not there
 */
export const bendableOf = (job: Job, { free }: Brief): string[] => [
  ...new Set(free.flatMap((one, i) => (isBend(one) ? barsOf(job, one, i) : []))),
];

function barsOf({ rig }: Job, { bend, alike }: FreeBend, i: number): string[] {
  const ids = linksOf(rig).map(({ id }) => id);
  if (!ids.includes(bend)) throw new InputError(`free[${i}]`, `a bar that this car has; “${bend}” is none`);
  const partner = alike ? partnerOf(bend) : null;
  return partner && ids.includes(partner) ? [bend, partner] : [bend];
}

/** A sway bar with what was chosen of it; a right link of its own goes as far as the left one. */
export function withBarChoice(bar: BarDesign, { hole = bar.hole, foot }: BarChoice): BarDesign {
  const next = { ...bar.foot, ...foot };
  const { right } = bar;
  return {
    ...bar,
    hole,
    foot: next,
    ...(right && {
      right: {
        ...right,
        foot: {
          out: right.foot.out + next.out - bar.foot.out,
          ahead: right.foot.ahead + next.ahead - bar.foot.ahead,
        },
      },
    }),
  };
}

/** A choice of something of the sway bar. */
function barChoice(values: number[], now: number, bar: Choice['bar']): Choice {
  const put = (job: Job, value: number): Job => {
    const chosen = withBarChoice(job.roll.bar!, bar(value));
    const rig = withRollRig(job.rig, { springs: null, shock: null, bar: chosen });
    return { ...job, rig, roll: { ...job.roll, bar: chosen } };
  };
  return { values, now, put, changes: () => [], bar };
}

function holeChoice({ roll: { bar } }: Job, i: number): Choice {
  if (!bar?.hooked || bar.holes < 2)
    throw new InputError(`free[${i}]`, 'a sway bar that is hooked up and has holes to choose between');
  const values = Array.from({ length: bar.holes }, (_, hole) => hole);
  return barChoice(values, bar.hole, (hole) => ({ hole }));
}

function feetChoice({ roll: { bar }, tape }: Job, { axis, from, to, step }: FreeFeet, i: number): Choice {
  if (!bar?.hooked) throw new InputError(`free[${i}]`, 'a sway bar that is hooked up');
  const values = stepped(from, to, step ?? division(tape) * 2, i);
  return axis === 1
    ? barChoice(values, bar.foot.out, (out) => ({ foot: { out } }))
    : barChoice(values, bar.foot.ahead, (ahead) => ({ foot: { ahead } }));
}

function mountChoice(job: Job, { member, end, axis, from, to, step, alike }: FreeMount, i: number): Choice {
  const at = { member, end, axis } as const;
  const now = coordinateNow(job.rig, at);
  if (now === undefined || !Number.isFinite(now))
    throw new InputError(`free[${i}]`, `a mount that this car has; “${member}/${end}” is none`);
  const row = axis === 2 ? job.holes[holesKey(member, end)] : undefined;
  const partner = alike ? partnerOf(member) : null;
  const other = partner ? coordinateNow(job.rig, { member: partner, end, axis }) : undefined;
  const [least, most] = [from ?? -Infinity, to ?? Infinity];
  const values = row
    ? Array.from({ length: row.count }, (_, k) => row.lowest + k * row.pitch).filter(
        (mm) => mm >= least - MET && mm <= most + MET,
      )
    : stepped(least, most, step ?? division(job.tape) * 2, i);
  if (values.length === 0) throw new InputError(`free[${i}]`, 'somewhere to go between from and to');
  const changes = (mm: number): MountChange[] => [
    { ...at, mm },
    // Its mirror image moves by as much, from where it stands: old cars are not alike left and right.
    ...(partner && other !== undefined
      ? [{ member: partner, end, axis, mm: other + (axis === 1 ? -1 : 1) * (mm - now) }]
      : []),
  ];
  const put = (of: Job, mm: number): Job => ({ ...of, rig: changes(mm).reduce(withMount, of.rig) });
  return { values, now, changes, put, bar: () => ({}) };
}

/** Steps of the tape from one place to another; both ends are told, or there is no end to them. */
function stepped(least: number, most: number, step: number, i: number): number[] {
  if (!Number.isFinite(least) || !Number.isFinite(most) || most < least)
    throw new InputError(`free[${i}]`, 'from and to, where it has no holes');
  const count = Math.floor((most - least) / step + 1e-6) + 1;
  if (count > 2000)
    throw new InputError(`free[${i}].step`, 'no more than 2000 steps from one end to the other');
  return Array.from({ length: count }, (_, k) => least + k * step);
}
