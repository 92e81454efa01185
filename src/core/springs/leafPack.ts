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

/** Rubber eye bushings pushed along their pin, N/mm each (order of magnitude, no published source). */
const EYE_BUSHING = 120;

/**
 * How a leaf pack holds the axle sideways at its seat, N/mm: on edge it is a beam on two eyes, 3EI·L/(a²c²) (Roark's, from memory),
 * in a row with its two eye bushings. A worn bushing or a long shackle gives more.
 */
export function leafLateralRate({ front, rear, width, thickness, count }: LeafPack): number {
  const I = (count * thickness * width ** 3) / 12;
  const onEdge = (3 * ELASTIC.E * I * (front + rear)) / (front ** 2 * rear ** 2);
  return 1 / (1 / onEdge + 1 / (2 * EYE_BUSHING));
}

/**
 * How a leaf pack holds the axle against winding up, N·mm/rad: each half is a cantilever from the seat, the two together as stiff as
 * the spring and each by the cube of the other's length; turned, they push up and down at their eyes, k_f·a² + k_r·c² (SAE
 * *Spring Design Manual*, from memory).
 */
export function leafWindupRate(pack: LeafPack): number {
  const [a, c] = [pack.front, pack.rear];
  const rate = leafRate(pack);
  const front = (rate * c ** 3) / (a ** 3 + c ** 3);
  return front * a ** 2 + (rate - front) * c ** 2;
}

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
