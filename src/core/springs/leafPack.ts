import { ELASTIC } from '@/core/materials/steels';

/** A pack of leaves alike: seat to front and to rear eye, width and thickness, mm; how many, and how many of them go the full length. */
export type LeafPack = {
  front: number;
  rear: number;
  width: number;
  thickness: number;
  count: number;
  full: number;
};

/**
 * Rate of a leaf pack at its seat, N/mm: E·L·b·t³·(2·graded + 3·full)/(12·a²·c²), a and c seat to eyes, L = a + c. Graded
 * leaves make a beam of uniform strength, full ones a uniform beam (SAE *Spring Design Manual*; Shigley; from memory).
 * Friction between the leaves, clamped seats and shackles make a real one stiffer: weigh it if it matters.
 */
export function leafRate({ front, rear, width, thickness, count, full }: LeafPack): number {
  const whole = Math.min(full, count);
  return (
    (ELASTIC.E * (front + rear) * width * thickness ** 3 * (2 * (count - whole) + 3 * whole)) /
    (12 * front ** 2 * rear ** 2)
  );
}
