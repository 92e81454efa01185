/** A bolt by its shank's diameter, mm, and its strength, N/mm². */
type Bolt = { diameter: number; yield: number; ultimate: number };

/**
 * What shears a bolt through, N: shear planes · area · 0.6·S_u (Shigley and AISC J3, from memory).
 *
 * @param planes one or two
 * @param threadArea stress area of its thread, mm², where the thread lies in the shear plane
 */
export const boltShearLoad = ({ diameter, ultimate }: Bolt, planes: 1 | 2, threadArea?: number): number =>
  planes * (threadArea ?? (Math.PI / 4) * diameter ** 2) * 0.6 * ultimate;

/** The lie of a joint along its bolt, mm: a tab's thickness, the free space (or spacer) beside the middle part, and the middle part. */
export type BoltStack = { tab: number; gap: number; middle: number };

/**
 * Bending of a bolt between its tabs, N/mm²: in double shear M = P/2·(t₁/2 + g + t₂/4), in single shear the whole of P stands out by
 * t₁/2 + g + t₂/2; σ = 32M/πd³ (Shigley, pins in bending, from memory).
 */
export function boltBending(
  load: number,
  diameter: number,
  planes: 1 | 2,
  { tab, gap, middle }: BoltStack,
): number {
  const moment =
    planes === 2 ? (load / 2) * (tab / 2 + gap + middle / 4) : load * (tab / 2 + gap + middle / 2);
  return (32 * moment) / (Math.PI * diameter ** 3);
}
