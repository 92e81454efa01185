/** A thread by its outside diameter and pitch, mm. */
export type Thread = { diameter: number; pitch: number };

/** Tensile stress area of a thread, mm²: π/4·(d − 0.9743·p)², p = 1/n (ASME B1.1, from memory). */
export const stressArea = ({ diameter, pitch }: Thread): number =>
  (Math.PI / 4) * (diameter - 0.9743 * pitch) ** 2;

/**
 * What pulls a thread out of its bung, N: half of a cylinder of the pitch diameter d − 0.6495·p along the engagement, in shear at
 * 0.577 of the softer one's yield (von Mises; common handbook formula, from memory).
 *
 * @param engagement mm
 * @param softer yield of the softer of shank and bung, N/mm²
 */
export const strippingLoad = ({ diameter, pitch }: Thread, engagement: number, softer: number): number =>
  0.5 * Math.PI * (diameter - 0.6495 * pitch) * engagement * 0.577 * softer;
