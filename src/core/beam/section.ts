import { cross, dot, unit, type Point } from '@/core/geometry/vector';

/** Young's and shear modulus, N/mm². */
type Elastic = { E: number; G: number };

/** A round bar or tube: outside diameter and wall, mm (null: solid). */
export type Round = Elastic & { od: number; wall: number | null };

/** A flat plate: its height and thickness, mm, and the direction that the height points in. */
export type Plate = Elastic & { height: number; thickness: number; up: Point };

/** A rectangular tube: high, wide and its wall, mm, and the direction that its height points in. */
export type Box = Elastic & { high: number; wide: number; wall: number; up: Point };

export type Section = Round | Plate | Box;

/** A matrix of three rows of three. */
export type Matrix = readonly number[];

/** What a section does along a direction: pull EA (N), twist GJ (N·mm²), and what bends it, the force way to the movement's way (N·mm²). */
export type Stiffness = { EA: number; GJ: number; EI: Matrix };

/** Second moment of area and polar moment of a round section, mm⁴; area, mm². */
export function sectionOf({ od, wall }: Pick<Round, 'od' | 'wall'>) {
  const inner = wall === null ? 0 : Math.max(0, od - 2 * wall);
  return {
    I: (Math.PI / 64) * (od ** 4 - inner ** 4),
    J: (Math.PI / 32) * (od ** 4 - inner ** 4),
    A: (Math.PI / 4) * (od ** 2 - inner ** 2),
  };
}

/** The moments of a plate: bent along its height, bent along its thickness, twisted (Roark's, thin rectangle; from memory), mm⁴. */
export function plateOf({ height, thickness }: Pick<Plate, 'height' | 'thickness'>) {
  const [h, t] = [Math.max(height, thickness), Math.min(height, thickness)];
  return {
    high: (thickness * height ** 3) / 12,
    flat: (height * thickness ** 3) / 12,
    J: h * t ** 3 * (1 / 3 - 0.21 * (t / h) * (1 - t ** 4 / (12 * h ** 4))),
    A: height * thickness,
  };
}

/** Corners of a rectangular tube are rounded, outside, by so many walls (ASTM A500, from memory). */
const CORNER = 2;
/** What a square corner has more than its round, in squares of its radius. */
const PAST_ROUND = 1 - Math.PI / 4;

/**
 * The moments of a rectangular tube, its rounded corners' lost steel taken off where it would lie in the middle of the wall: bent along its
 * height, along its width; twisted, round what its wall's middle line encloses (Bredt, from memory), mm⁴; area, mm².
 */
export function boxOf({ high, wide, wall: t }: Pick<Box, 'high' | 'wide' | 'wall'>) {
  const [h, w] = [Math.max(0, high - 2 * t), Math.max(0, wide - 2 * t)];
  const [H, W] = [high - t, wide - t];
  const lost = 4 * PAST_ROUND * t ** 2 * (CORNER ** 2 - (CORNER - 1) ** 2);
  const middle = (CORNER - 0.5) * t;
  const enclosed = H * W - 4 * PAST_ROUND * middle ** 2;
  return {
    high: (wide * high ** 3 - w * h ** 3) / 12 - lost * (H / 2) ** 2,
    flat: (high * wide ** 3 - h * w ** 3) / 12 - lost * (W / 2) ** 2,
    J: (4 * enclosed ** 2 * t) / (2 * (H + W) - 8 * PAST_ROUND * middle),
    A: high * wide - h * w - lost,
    enclosed,
  };
}

export function stiffnessOf(section: Section, e: Point): Stiffness {
  const { E, G } = section;
  if ('od' in section) {
    const { I, J, A } = sectionOf(section);
    return { EA: E * A, GJ: G * J, EI: outer(e, e).map((ee, k) => E * I * ((k % 4 === 0 ? 1 : 0) - ee)) };
  }
  const { high, flat, J, A } = 'wall' in section ? boxOf(section) : plateOf(section);
  const [a, b] = acrossOf(section, e);
  const [aa, bb] = [outer(a, a), outer(b, b)];
  return { EA: E * A, GJ: G * J, EI: aa.map((v, k) => E * (high * v + flat * bb[k]!)) };
}

/**
 * Von Mises stress in the surface of a section along e, N/mm². Of a plate the corner's bending and the long side's twist are
 * taken together, which errs to the safe side (Roark's, from memory).
 *
 * @param moment bending, N·mm, square to e
 * @param torque twist, N·mm
 * @param pull N
 */
export function vonMisesStress(
  section: Section,
  e: Point,
  moment: Point,
  torque: number,
  pull: number,
): number {
  if ('od' in section) {
    const { I, J, A } = sectionOf(section);
    const r = section.od / 2;
    return Math.hypot((Math.hypot(...moment) * r) / I + Math.abs(pull) / A, (Math.sqrt(3) * torque * r) / J);
  }
  const [a, b] = acrossOf(section, e);
  if ('wall' in section) {
    const { high, flat, A, enclosed } = boxOf(section);
    const bending =
      (Math.abs(dot(moment, b)) * section.high) / 2 / high +
      (Math.abs(dot(moment, a)) * section.wide) / 2 / flat;
    return Math.hypot(bending + Math.abs(pull) / A, (Math.sqrt(3) * torque) / (2 * section.wall * enclosed));
  }
  const { high, flat, A } = plateOf(section);
  const [h, t] = [section.height, section.thickness];
  const bending = (Math.abs(dot(moment, b)) * h) / 2 / high + (Math.abs(dot(moment, a)) * t) / 2 / flat;
  const [long, short] = [Math.max(h, t), Math.min(h, t)];
  const shear = (torque * (3 * long + 1.8 * short)) / (long * short) ** 2;
  return Math.hypot(bending + Math.abs(pull) / A, Math.sqrt(3) * shear);
}

/** A plate's height and thickness, or a box's height and width, as directions square to e. */
function acrossOf({ up }: Pick<Plate, 'up'>, e: Point): [Point, Point] {
  const flat = up.map((v, k) => v - dot(up, e) * e[k]!) as Point;
  const a =
    Math.hypot(...flat) > 1e-9 ? unit(flat) : unit(cross(e, Math.abs(e[2]) < 0.9 ? [0, 0, 1] : [1, 0, 0]));
  return [a, cross(e, a)];
}

const outer = (a: Point, b: Point): number[] => a.flatMap((v) => b.map((w) => v * w));
