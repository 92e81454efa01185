import type { Holes } from '@/core/job/slices/locate';

/** The name under which a bracket's holes are kept. */
export const holesKey = (member: string, end: string): string => `${member}/${end}`;

/** Height of the hole nearest to a height, mm. */
export function nearestHole({ lowest, pitch, count }: Holes, mm: number): number {
  const n = Math.round((mm - lowest) / pitch);
  return lowest + Math.min(count - 1, Math.max(0, n)) * pitch;
}
