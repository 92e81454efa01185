import { sectionOf } from './section';

/**
 * An arm rigid to the axle, as it is made; mm. `length` from its foot to its front joint; `tubes` that run side by side from the
 * axle, `spread` apart one above the other there (nought for one tube), and meet at the joint.
 */
export type ArmBuild = { length: number; od: number; wall: number; tubes: 1 | 2; spread: number };

/** What holds an arm at its ends: N/mm of the joint and of the frame behind it, N·mm/rad of the bracket on the axle's tube. */
export type ArmHeld = { joint: number; frame: number; bracket: number };

/** Frame behind a joint, N/mm, and a welded bracket on an axle's tube, N·mm/rad (orders of magnitude, no published source). */
export const USUAL_HELD = { frame: 3_000, bracket: 2e9 };

/**
 * Stiffness of an arm at its front joint, N/mm, along the car, across it and up: springs in a row of joint, frame, arm and bracket.
 * The arm bends as a cantilever, 3EI/L³ a tube; two tubes that meet at the joint carry up and down as a truss besides,
 * 2·EA/L·(half the spread/L)² (Roark's; *Machinery's Handbook*; from memory).
 *
 * @param E Young's modulus, N/mm²
 */
export function armStiffness(
  arm: ArmBuild,
  { joint, frame, bracket }: ArmHeld,
  E: number,
): [number, number, number] {
  const { length: L, tubes, spread } = arm;
  const { I, A } = sectionOf(arm);
  const bends = (3 * tubes * E * I) / L ** 3;
  const pulls = (tubes * E * A) / L;
  const truss = tubes > 1 ? pulls * (spread / 2 / L) ** 2 : 0;
  return [
    inARow(joint, frame, pulls),
    inARow(joint, bends),
    inARow(joint, frame, bends + truss, bracket / L ** 2),
  ];
}

const inARow = (...rates: number[]): number => 1 / rates.reduce((sum, rate) => sum + 1 / rate, 0);

/**
 * How hard an axle's tube twists, N·mm for a radian from wheel to wheel. What twists it acts between its brackets and twists it there
 * alone, θ = T·L/(G·J); a rig turns each point by its share of an even twist of the whole track, so that points so far apart turn by
 * θ when the track turns by θ·track/apart. The energy is the same.
 *
 * @param brackets what stands on the tube, from left to right, mm
 * @param apart the points that turn with it, from left to right, mm: the joints of arms, seats of leaves, eyes of links
 * @param G shear modulus, N/mm²
 */
export const axleTorsion = (
  tube: { od: number; wall: number },
  brackets: number,
  apart: number,
  track: number,
  G: number,
): number => ((G * sectionOf(tube).J) / brackets) * (apart / track) ** 2;
