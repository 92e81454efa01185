import { distance } from '@/core/geometry/vector';
import type { Rig } from '@/core/rig/schema';
import type { Body } from './bodies';

/** Mounts nearer to each other than this are one, mm. */
export const SHARED = 1;

/**
 * Which bodies of a rig are held against each other, by their places in its list: each with what is in the way and with the bodies
 * after it, then what the axle carries with what the chassis carries. Not those of one carrier, those that share a mount and those
 * that are joined; of a version 1 file, bars are compared even where they share a mount, as ever.
 *
 * @param only which of them are asked for, by ids; all without it
 */
export function pairsOf(
  rig: Rig,
  bodies: Body[],
  only: (a: string, b: string) => boolean = () => true,
): [number, number][] {
  const joined = new Map<string, string[]>();
  for (const [p, q] of rig.joined ?? [])
    for (const [a, b] of [
      [p, q],
      [q, p],
    ] as const)
      joined.set(a, [...(joined.get(a) ?? []), b]);
  const compared = (a: Body, b: Body): boolean =>
    (a.on === 'both' || b.on === 'both' || a.on !== b.on || a.turned !== b.turned) &&
    !joined.get(a.id)?.includes(b.id) &&
    (rig.version === 1 || !shareMount(a, b));
  const all = bodies.map((_, i) => i);
  const [things, parts] = [all.filter((i) => bodies[i]!.obstacle), all.filter((i) => !bodies[i]!.obstacle)];
  const carriedBy = (on: Body['on']) => things.filter((i) => bodies[i]!.on === on);
  return [
    ...parts.flatMap((i) => [...things, ...parts.filter((k) => k > i)].map((k): [number, number] => [i, k])),
    ...carriedBy('axle').flatMap((i) => carriedBy('chassis').map((k): [number, number] => [i, k])),
  ].filter(([i, k]) => compared(bodies[i]!, bodies[k]!) && only(bodies[i]!.id, bodies[k]!.id));
}

/** Whether two bodies are mounted at one point. */
export const shareMount = (a: Body, b: Body): boolean =>
  a.mounts.some((p) => b.mounts.some((q) => p.on === q.on && distance(p.point, q.point) < SHARED));
