import { redesigned } from '@/core/job/edits/roll';
import { withRaisedLateral } from '@/core/rig/raisedLateral';
import { stiffened } from '@/core/springs/springDesign';
import { type RollInput } from './input';

/** What can be turned to change the balance: by how much, mm, shares, holes or g. */
export const LEVERS = ['panhard', 'springs', 'bar', 'hole', 'other', 'grip'] as const;
export type LeverId = (typeof LEVERS)[number];

/** Changes that are being thought about; each from how the car stands now. */
export type WhatIf = Partial<Record<LeverId, number>>;

/** One thing that could be changed, and what a step of it does in the corner asked about. */
export type Lever = {
  id: LeverId;
  step: number;
  /** how far it can go, down and up */
  reach: [least: number, most: number];
  /** change of the front's share of the load transfer, 0 to 1 */
  share: number;
  /** degrees of lean */
  roll: number;
  /** how much of it makes the car one hundredth looser, about; null where it does nothing to the balance */
  forOne: number | null;
};

/** A bar is no wire, mm; and what a corner may be asked to be, g. */
const THINNEST = 6;
const GRIP = { least: 0.1, most: 3 };

/** A car with one thing changed, as far as it can be; null where it has no such thing, or no more holes that way. */
export function changed(input: RollInput, id: LeverId, by: number): RollInput | null {
  const { bar, springs, rig } = input;
  switch (id) {
    case 'panhard': {
      const up = withRaisedLateral(rig, by);
      return up && { ...input, rig: up };
    }
    case 'springs':
      return springs && redesigned(input, { springs: stiffened(springs, 1 + by) });
    case 'bar':
      return bar && redesigned(input, { bar: { ...bar, od: Math.max(THINNEST, bar.od + by) } });
    case 'hole': {
      if (!bar) return null;
      const hole = Math.min(bar.holes - 1, Math.max(0, bar.hole + Math.round(by)));
      return hole === bar.hole ? null : redesigned(input, { bar: { ...bar, hole } });
    }
    case 'other': {
      const { otherEnd } = rig;
      return otherEnd
        ? { ...input, rig: { ...rig, otherEnd: { ...otherEnd, rollRate: (1 + by) * otherEnd.rollRate } } }
        : null;
    }
    case 'grip':
      return { ...input, cornerG: Math.min(GRIP.most, Math.max(GRIP.least, input.cornerG + by)) };
  }
}

/** All changes of a what-if together. */
export const changedBy = (input: RollInput, what: WhatIf): RollInput =>
  LEVERS.reduce((car, id) => (what[id] ? (changed(car, id, what[id]) ?? car) : car), input);

/** The easiest first: a bolt, a bracket's holes, then parts to buy. */
const EASE: LeverId[] = ['hole', 'panhard', 'bar', 'springs', 'other'];

/** What each lever by itself would have to do to make the car so much looser (negative: tighter), as a share; about, from its step. Those that do not reach are left out. */
export function curesFor(levers: Lever[], looserBy: number): { id: LeverId; by: number }[] {
  return EASE.flatMap((id) => {
    const lever = levers.find((l) => l.id === id);
    if (!lever || lever.forOne === null) return [];
    const exact = (lever.forOne * looserBy) / 0.01;
    const by = id === 'hole' ? Math.round(exact) : exact;
    const [least, most] = lever.reach;
    return by !== 0 && by >= least && by <= most ? [{ id, by }] : [];
  });
}
