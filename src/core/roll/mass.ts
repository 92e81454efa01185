import { distance } from '@/core/vector';
import { swayBarOf, type BarDesign } from './barDesign';
import { sectionOf } from './section';
import { DENSITY } from './steel';

/** kg: the line of the bar, or its straight middle and two flat arms. */
export function massOf(design: BarDesign): number {
  const line = swayBarOf(design).centreline;
  const pieces = line.slice(1).map((p, i) => distance(line[i]!, p));
  const { A } = sectionOf(design);
  if (design.made === 'one-piece') return pieces.reduce((a, b) => a + b, 0) * A * DENSITY;
  const middle = pieces.slice(1, -1).reduce((a, b) => a + b, 0);
  const arms = 2 * design.arm;
  return (middle * A + arms * design.arms.height * design.arms.thickness) * DENSITY;
}
