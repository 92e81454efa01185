/** A car weighed level and with one end lifted: kg on the end that stays down, and how far the axle of the other was lifted, mm. */
export type Lifted = { level: number; lifted: number; by: number };

/**
 * Height of the centre of gravity above the ground, mm, from what the lifted end puts on the other: r + ΔW·L/(W·tan θ), sin θ = lift
 * over wheelbase, its springs held so that they do not move (Milliken & Milliken, *Race Car Vehicle Dynamics*, ch. 18, from memory).
 *
 * @param total weight of the car, kg
 * @param wheelbase mm
 * @param hubs height of the wheel centres above the ground, mm
 * @returns null where that lift or that change of weight gives no height
 */
export function gravityHeight(
  { level, lifted, by }: Lifted,
  total: number,
  wheelbase: number,
  hubs: number,
): number | null {
  const share = by / wheelbase;
  if (!(share > 0 && share < 1) || level >= total || lifted >= total) return null;
  const tan = share / Math.sqrt(1 - share ** 2);
  const height = hubs + ((lifted - level) * wheelbase) / (total * tan);
  return height > 0 ? height : null;
}
