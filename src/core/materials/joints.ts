/** How much of the road is heard through a joint, the least first. */
export const NOISES = ['quiet', 'some', 'loud'] as const;
export type Noise = (typeof NOISES)[number];

/**
 * The joints that eyes are made with. Swing: degrees each way from square before it binds; rate: radial, N/mm; how much of the road is heard
 * through it, how long it lasts on a road that is wet and dirty, and what it costs, each against the others.
 */
export type Joint = {
  name: string;
  swing: number;
  rate: number;
  soft: boolean;
  noise: Noise;
  life: 'short' | 'fair' | 'long';
  price: 'low' | 'middle' | 'high';
};

/**
 * Swings: common practice, no published source (soft bushings 5 to 10° in all; rod ends about 30°, about 45° with
 * misalignment spacers; a fork or a plain eye turns about its pin alone). Rates: orders of magnitude, no published source; two rod ends in a row make the model's default of
 * 20 000 N/mm. Noise, life and price: common practice, no published source.
 */
export const JOINTS = {
  'rod-end': {
    name: 'Rod end',
    swing: 15,
    rate: 40_000,
    soft: false,
    noise: 'loud',
    life: 'short',
    price: 'middle',
  },
  'rod-end-spaced': {
    name: 'Rod end, spacers',
    swing: 22.5,
    rate: 40_000,
    soft: false,
    noise: 'loud',
    life: 'short',
    price: 'middle',
  },
  cushioned: {
    name: 'Cushioned ball',
    swing: 12,
    rate: 15_000,
    soft: false,
    noise: 'some',
    life: 'long',
    price: 'high',
  },
  poly: {
    name: 'Polyurethane',
    swing: 4,
    rate: 10_000,
    soft: true,
    noise: 'some',
    life: 'fair',
    price: 'low',
  },
  rubber: { name: 'Rubber', swing: 5, rate: 2_500, soft: true, noise: 'quiet', life: 'long', price: 'low' },
  clevis: {
    name: 'Fork or plain eye',
    swing: 1.5,
    rate: 40_000,
    soft: false,
    noise: 'loud',
    life: 'fair',
    price: 'low',
  },
} as const satisfies Record<string, Joint>;

export type JointName = keyof typeof JOINTS;

/** What each is asked for over the counter, to be wound on a thread. */
export const ON_THREAD: Record<JointName, string> = {
  'rod-end': 'Rod end',
  'rod-end-spaced': 'Rod end with misalignment spacers',
  cushioned: 'Cushioned ball joint',
  poly: 'Polyurethane bushed end',
  rubber: 'Rubber bushed end',
  clevis: 'Fork with its pin',
};
export const JOINT_NAMES = Object.keys(JOINTS) as [JointName, ...JointName[]];

/**
 * What the ends of an end link are made with: the joints of any bar; and an elbow of two forks
 * at right angles, that swings about both its pins until the forks meet. Its swing: common practice, no published source.
 */
export const LINK_JOINTS = {
  ...JOINTS,
  elbow: {
    name: 'Elbow of two forks',
    swing: 30,
    rate: 40_000,
    soft: false,
    noise: 'loud',
    life: 'fair',
    price: 'low',
  },
} as const satisfies Record<string, Joint>;

export type LinkJoint = keyof typeof LINK_JOINTS;
export const LINK_JOINT_NAMES = Object.keys(LINK_JOINTS) as [LinkJoint, ...LinkJoint[]];

/** How a link's brackets stand, seen from above: square to the car, or turned to look along the bar. */
export const BRACKETS_STAND = ['square', 'turned'] as const;

export type MemberJoints = {
  chassis: JointName;
  axle: JointName;
  brackets: (typeof BRACKETS_STAND)[number];
};

/** What a link has until the builder says otherwise. */
const USUAL: MemberJoints = { chassis: 'rod-end', axle: 'rod-end', brackets: 'turned' };

export const jointsOf = (joints: Record<string, MemberJoints>, member: string): MemberJoints =>
  joints[member] ?? USUAL;

/** How far a bent bar can turn about its own eyes each way, degrees: as far as both joints swing, not at all where one of them is soft. */
export function flopOf({ chassis, axle }: Pick<MemberJoints, 'chassis' | 'axle'>): number {
  const ends = [JOINTS[chassis], JOINTS[axle]];
  return ends.some(({ soft }) => soft) ? 0 : Math.min(...ends.map(({ swing }) => swing));
}

/** Stiffness along a bar with a joint at each end, N/mm: two springs in a row. */
export function axialRate({ chassis, axle }: Pick<MemberJoints, 'chassis' | 'axle'>): number {
  return 1 / (1 / JOINTS[chassis].rate + 1 / JOINTS[axle].rate);
}

/** What each is asked for over the counter, to be wound on an end link. */
export const ON_LINK: Record<LinkJoint, string> = { ...ON_THREAD, elbow: 'Elbow of two forks with its pins' };
