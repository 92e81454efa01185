import { distance } from '@/core/geometry/vector';
import type { Job } from '@/core/job/jobSchema';
import type { Design } from '@/core/job/slices/choose';
import { JOINTS, jointsOf } from '@/core/materials/joints';
import { isLink, type Member } from '@/core/rig/members/members';
import { mountsOf } from '@/core/rig/mounts';
import type { Rig } from '@/core/rig/schema';
import type { BarDesign } from '@/core/swaybar/swayBarDesign';
import { dequal } from 'dequal/lite';

/** Rough classes of what a way of building costs in work and in money; by what is to be made, for somebody with the tools. */
export const EFFORTS = ['nothing', 'a day', 'a weekend', 'several weekends', 'weeks'] as const;
export const COSTS = ['nothing', 'low', 'middle', 'high'] as const;

/**
 * What of a car is to be made or bought that is not there yet: bars (arms and cranks among them), leaf springs, brackets by the mounts that
 * stand elsewhere, joints of bars that are new, a sway bar. Their classes: common practice, no published source.
 */
export type ToMake = {
  bars: number;
  leaves: number;
  brackets: number;
  joints: number;
  swayBar: boolean;
  effort: (typeof EFFORTS)[number];
  cost: (typeof COSTS)[number];
};

/** Two places nearer than this are one, mm; so are two lengths. */
const SAME = 0.5;
/** Hours for each, by common practice: a bar cut, threaded and fitted; a bracket made, fitted and welded; a sway bar bent and hung. */
const HOURS = { bar: 1.5, bracket: 2, swayBar: 8 };
/** Up to so many hours each class goes. */
const UP_TO = [0, 8, 16, 48, Infinity];
/** What a joint counts for among the cost by its price, beside a bar and a bracket. */
const PRICES = { low: 1, middle: 2, high: 4 };
/** A leaf spring, or a sway bar. */
const BOUGHT = 6;
const COST_UP_TO = [0, 8, 24, Infinity];

const byClass = <T>(classes: readonly T[], limits: number[], value: number): T =>
  classes[limits.findIndex((limit) => value <= limit)]!;

/** @param found what was on the car before */
export function toMake(job: Job, found: Design): ToMake {
  const { rig, joints: made, roll } = job;
  const before = new Map(found.members.map((m) => [m.id, m]));
  const was: Rig = { ...rig, members: found.members };
  const stood = (id: string, key: string) => mountsOf(was, id).find((mount) => mount.key === key)?.point;
  const fresh = rig.members.filter((m) => !isThere(m, before.get(m.id)));
  const bars = fresh.filter((m) => m.type !== 'leaf');
  const leaves = fresh.length - bars.length;
  const brackets = rig.members.flatMap((m) =>
    mountsOf(rig, m.id).filter(({ key, point }) => {
      const place = before.get(m.id)?.type === m.type ? stood(m.id, key) : undefined;
      return !place || distance(place, point) > SAME;
    }),
  ).length;
  const joints = bars.filter(isLink).flatMap(({ id }) => {
    const { chassis, axle } = jointsOf(made, id);
    return [JOINTS[chassis], JOINTS[axle]];
  });
  const swayBar = roll.bar !== null && !isThatBar(roll.bar, found.roll.bar);
  const hours = bars.length * HOURS.bar + brackets * HOURS.bracket + (swayBar ? HOURS.swayBar : 0);
  const price =
    bars.length +
    brackets +
    joints.reduce((sum, { price: of }) => sum + PRICES[of], 0) +
    leaves * BOUGHT +
    (swayBar ? BOUGHT : 0);
  return {
    bars: bars.length,
    leaves,
    brackets,
    joints: joints.length,
    swayBar,
    effort: byClass(EFFORTS, UP_TO, hours),
    cost: byClass(COSTS, COST_UP_TO, price),
  };
}

/** Whether a sway bar is the one that was there: on another hole, or with its links off, it is the same bar. */
const isThatBar = (bar: BarDesign, before: BarDesign | null): boolean =>
  before !== null && dequal({ ...bar, hole: 0, hooked: true }, { ...before, hole: 0, hooked: true });

/** Whether a bar that was on the car does as it is: of the same kind, as long, bent alike. */
function isThere(m: Member, before: Member | undefined): boolean {
  if (before?.type !== m.type) return false;
  if (!isLink(m) || !isLink(before)) return true;
  const alike = Math.abs(distance(m.chassis, m.axle) - distance(before.chassis, before.axle)) <= SAME;
  return alike && dequal(m.path ?? null, before.path ?? null);
}
