import type { LeverId } from '@/core/roll/levers';
import { sayLength } from '@/core/units/length';
import type { Tape } from '@/core/units/tape';

const NAMES: Record<Exclude<LeverId, 'other'>, string> = {
  panhard: 'Bar across the car, both ends',
  springs: 'Springs',
  bar: 'Sway bar, thickness',
  hole: 'Links',
  grip: 'Grip of the tyres',
};

/** An amount of a lever in words. */
export function sayLever(id: LeverId, by: number, tape: Tape): string {
  const size = Math.abs(by);
  const more = by > 0;
  switch (id) {
    case 'panhard':
      return `${sayLength(size, tape)} ${more ? 'up' : 'down'}`;
    case 'springs':
    case 'other':
      return `${Math.round(100 * size)} % ${more ? 'stiffer' : 'softer'}`;
    case 'bar':
      return `${sayLength(size, tape === 'mm' ? 'mm' : 'in32')} ${more ? 'thicker' : 'thinner'}`;
    case 'hole': {
      const holes = Number(size.toFixed(1));
      return `${holes} ${holes === 1 ? 'hole' : 'holes'} ${more ? 'inward' : 'outward'}`;
    }
    case 'grip':
      return `${size.toFixed(2)} g ${more ? 'more' : 'less'}`;
  }
}

export const leverName = (id: LeverId, end: 'front' | 'rear'): string =>
  id === 'other' ? `${end === 'rear' ? 'Front' : 'Rear'} end, against roll` : NAMES[id];

/** The corner in which each end's inside wheel lifts, front and rear. */
export const sayLifts = (lifts: { front: number; rear: number }): string =>
  [lifts.front, lifts.rear].map((g) => (Number.isFinite(g) ? `${g.toFixed(2)} g` : 'never')).join(' · ');
