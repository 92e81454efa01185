import { distance } from '@/core/geometry/vector';
import { swayBarOf, type BarDesign } from './swayBarDesign';
import { sectionOf } from '@/core/beam/section';
import { DENSITY } from '@/core/materials/steels';

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
