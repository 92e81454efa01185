import { sectionOf } from '@/core/beam/section';
import type { Metal } from '@/core/materials/metals';

/** What a bar is of, across: round tube, round solid, or a flat plate on edge, mm. */
export type BarSection =
  | { shape: 'tube'; od: number; wall: number }
  | { shape: 'solid'; od: number }
  | { shape: 'flat'; height: number; thickness: number };

/** Area, mm²; least second moment of area, mm⁴, and its section modulus, mm³; radius of gyration, mm. */
export type SectionValues = { A: number; I: number; Z: number; r: number };

/** The values of a section by which it is proved: of a plate about its weak axis, which is the one it buckles about. */
export function sectionValues(section: BarSection): SectionValues {
  if (section.shape === 'flat') {
    const [deep, thin] = [section.height, section.thickness].sort((a, b) => b - a) as [number, number];
    const I = (deep * thin ** 3) / 12;
    return { A: deep * thin, I, Z: I / (thin / 2), r: thin / Math.sqrt(12) };
  }
  const { A, I } = sectionOf({ od: section.od, wall: section.shape === 'tube' ? section.wall : null });
  return { A, I, Z: I / (section.od / 2), r: Math.sqrt(I / A) };
}

/** The section modulus, mm³, of a plate bent in its own plane, of a round section any way. */
export const modulusInPlane = (section: BarSection): number =>
  section.shape === 'flat' ? (section.thickness * section.height ** 2) / 6 : sectionValues(section).Z;

/** The second moment of area, mm⁴, that goes with it. */
export const momentInPlane = (section: BarSection): number =>
  section.shape === 'flat' ? (section.thickness * section.height ** 3) / 12 : sectionValues(section).I;

/** What a straight bar carries in compression before it buckles, N, by which formula, and how slender it is: L/r, and the L/r at which they meet. */
export type Column = { load: number; by: 'Euler' | 'Johnson'; slenderness: number; meets: number };

/**
 * Buckling load of a straight bar with a pin at each end: Euler A·π²E/λ² above λ₁ = √(2π²E/S_y), below it J. B. Johnson's parabola
 * A·S_y(1 − S_yλ²/4π²E) (Shigley, from memory).
 *
 * @param length eye to eye, mm
 */
export function columnOf(section: BarSection, length: number, metal: Pick<Metal, 'yield' | 'E'>): Column {
  const { A, r } = sectionValues(section);
  const { yield: Sy, E } = metal;
  const slenderness = length / r;
  const meets = Math.sqrt((2 * Math.PI ** 2 * E) / Sy);
  return slenderness > meets
    ? { load: (A * Math.PI ** 2 * E) / slenderness ** 2, by: 'Euler', slenderness, meets }
    : {
        load: A * Sy * (1 - (Sy * slenderness ** 2) / (4 * Math.PI ** 2 * E)),
        by: 'Johnson',
        slenderness,
        meets,
      };
}

/**
 * Greatest stress in a bent bar, N/mm²: P/A + P·e/Z, in compression with the bending made greater by 1/(1 − P/P_E), P_E Euler's load
 * of the chord (Roark's, from memory); infinite at P_E and past it.
 *
 * @param pull N, tension positive
 * @param length eye to eye, mm
 * @param offset greatest distance of the bar's middle line from the line through its eyes, mm
 */
export function bentBarStress(
  section: BarSection,
  pull: number,
  { length, offset }: { length: number; offset: number },
  { E }: Pick<Metal, 'E'>,
): number {
  const { A } = sectionValues(section);
  const Z = modulusInPlane(section);
  const P = Math.abs(pull);
  if (pull >= 0) return P / A + (P * offset) / Z;
  const critical = eulerInPlane(section, length, E);
  return P < critical ? P / A + (P * offset) / Z / (1 - P / critical) : Infinity;
}

/** Euler's load of a bar that buckles the way it is bent, N: π²EI/L². */
export const eulerInPlane = (section: BarSection, length: number, E: number): number =>
  (Math.PI ** 2 * E * momentInPlane(section)) / length ** 2;
