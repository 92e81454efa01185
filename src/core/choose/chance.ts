import { uniformFloat64 } from 'pure-rand/distribution/uniformFloat64';
import { xoroshiro128plus } from 'pure-rand/generator/xoroshiro128plus';

/** A source of chance that gives the same on every machine for the same seed. */
export type Chance = { uniform: () => number; normal: () => number };

/** Uniform from 0 to 1, and normal of mean 0 and deviation 1 (Box and Muller). @param seed a whole number */
export function chance(seed: number): Chance {
  const source = xoroshiro128plus(seed);
  const uniform = () => uniformFloat64(source);
  const normal = () => Math.sqrt(-2 * Math.log(1 - uniform())) * Math.cos(2 * Math.PI * uniform());
  return { uniform, normal };
}
