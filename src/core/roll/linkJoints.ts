import { JOINTS, type Joint } from '@/core/joints/joints';

/** What the ends of an end link are made with: the joints of any bar, and a fork that swings about its pin alone. */
export const LINK_JOINTS = {
  ...JOINTS,
  clevis: { name: 'Clevis', swing: 1.5, rate: 40_000, soft: false },
} as const satisfies Record<string, Joint>;

export type LinkJoint = keyof typeof LINK_JOINTS;
export const LINK_JOINT_NAMES = Object.keys(LINK_JOINTS) as [LinkJoint, ...LinkJoint[]];

/** Which way a joint's bolt lies at ride height: across the car or along it. */
export const BOLTS = ['across', 'along'] as const;

export type LinkEnd = { joint: LinkJoint; bolt: (typeof BOLTS)[number] };
