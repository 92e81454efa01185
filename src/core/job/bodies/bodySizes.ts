import { armsOf, leavesOf } from '@/core/rig/roles';
import { linksOf } from '@/core/rig/members/members';
import type { Rig } from '@/core/rig/schema';

/** A size of a body: what a builder calls it, what it usually is and what it can be, mm; and of which rigs it is asked. */
type Size = {
  part: string;
  name: string;
  usual: number | ((rig: Rig) => number);
  least: number;
  most: number;
  has: (rig: Rig) => boolean;
};

const always = () => true;
const isFront = (rig: Rig) => rig.end === 'front';
const hasDragLink = (rig: Rig) => rig.steering !== undefined;
const hasShaft = (rig: Rig) => rig.driveshaft !== undefined;
const hasArms = (rig: Rig) => armsOf(rig).length > 0;
const hasRigidArms = ({ members }: Rig) => members.some((m) => m.type === 'rigid-arm');
const hasSprings = (rig: Rig) => rig.springs !== undefined;
const hasLeaves = (rig: Rig) => leavesOf(rig).length > 0;

/** Whether an axle has a differential in its middle: a front axle without a shaft is a plain beam. */
export const hasCentre = (rig: Rig): boolean => rig.end === 'rear' || hasShaft(rig);

/** Whether members may ask the axle's tube to twist: two arms or two leaves, or links two above and two below with a bar. */
export const mayTwist = (rig: Rig): boolean => hasRigidArms(rig) || hasLeaves(rig) || linksOf(rig).length > 4;

/** Ladder bars are two tubes one above the other; other arms are one. */
const usualSpread = ({ members }: Rig) => (members.some((m) => m.id.startsWith('ladder')) ? 130 : 0);

/**
 * Bodies whose size no reading gives, and the sizes that such parts commonly have (common practice, no published source): each
 * stands in until the builder types his own.
 */
export const BODY_SIZES = {
  driveshaft: { part: 'driveshaft', name: 'tube diameter', usual: 76, least: 25, most: 200, has: hasShaft },
  centreWidth: { part: 'centre section', name: 'width', usual: 230, least: 50, most: 600, has: hasCentre },
  centreHeight: { part: 'centre section', name: 'height', usual: 240, least: 50, most: 600, has: hasCentre },
  centreDepth: {
    part: 'centre section',
    name: 'from the axle’s middle to its front',
    usual: 110,
    least: 20,
    most: 500,
    has: hasCentre,
  },
  centreLeft: {
    part: 'centre section',
    name: 'left of the centreline',
    usual: 0,
    least: -900,
    most: 900,
    has: hasCentre,
  },
  nose: { part: 'pinion nose', name: 'diameter', usual: 100, least: 20, most: 300, has: hasShaft },
  tubeWall: { part: 'axle tube', name: 'wall', usual: 6.35, least: 1, most: 50, has: mayTwist },
  arm: { part: 'arms', name: 'tube diameter', usual: 44.45, least: 10, most: 200, has: hasArms },
  armWall: { part: 'arms', name: 'wall', usual: 3.05, least: 0.5, most: 30, has: hasRigidArms },
  armSpread: {
    part: 'arms',
    name: 'between the two tubes at the axle (0: one tube)',
    usual: usualSpread,
    least: 0,
    most: 500,
    has: hasRigidArms,
  },
  leaf: {
    part: 'leaf springs',
    name: 'thickness of the pack',
    usual: 40,
    least: 5,
    most: 200,
    has: hasLeaves,
  },
  dragLink: {
    part: 'drag link',
    name: 'diameter',
    usual: 28,
    least: 10,
    most: 100,
    has: hasDragLink,
  },
  tieRod: { part: 'tie rod', name: 'diameter', usual: 28, least: 10, most: 100, has: isFront },
  tieRodAhead: {
    part: 'tie rod',
    name: 'ahead of the axle',
    usual: 95,
    least: -400,
    most: 400,
    has: isFront,
  },
  tieRodUp: {
    part: 'tie rod',
    name: 'above the hubs',
    usual: -45,
    least: -300,
    most: 300,
    has: isFront,
  },
  railWidth: { part: 'frame rails', name: 'width', usual: 50, least: 10, most: 300, has: always },
  railHeight: { part: 'frame rails', name: 'height', usual: 100, least: 10, most: 400, has: always },
  brake: { part: 'drums or discs', name: 'diameter', usual: 290, least: 100, most: 500, has: always },
  brakeIn: {
    part: 'drums or discs',
    name: 'inward of the tyre',
    usual: 15,
    least: -150,
    most: 250,
    has: always,
  },
  bracket: { part: 'brackets', name: 'width at the eye', usual: 50, least: 10, most: 200, has: always },
  stop: { part: 'bump stops', name: 'diameter', usual: 55, least: 10, most: 200, has: hasSprings },
} as const satisfies Record<string, Size>;

export type BodySize = keyof typeof BODY_SIZES;
export const BODY_SIZE_NAMES = Object.keys(BODY_SIZES) as BodySize[];

/** How far front wheels usually steer to either side, degrees (common practice, no published source). */
export const USUAL_LOCK = 32;

type Sized = { bodies: Partial<Record<BodySize, number>>; rig: Rig };

/** A size as it usually is, mm. */
export function usualSize(rig: Rig, size: BodySize): number {
  const { usual }: Size = BODY_SIZES[size];
  return typeof usual === 'number' ? usual : usual(rig);
}

/** A size as it was typed, or as it usually is, mm. */
export const sizeOf = ({ bodies, rig }: Sized, size: BodySize): number =>
  bodies[size] ?? usualSize(rig, size);
