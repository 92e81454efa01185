import { CENTRE, COVER, NOSE, TIE_ROD, TUBE } from '@/core/job/bodies/bodyNames';
import { mayTwist, type BodySize } from '@/core/job/bodies/bodySizes';
import { DRIVESHAFT, STEERING } from '@/core/rig/mounts';
import { BODY_IDS, type Rig } from '@/core/rig/schema';
import { mountInputs, type InputId } from './inputs';

const sizes = (...of: BodySize[]): InputId[] => of.map((size) => `size.${size}`);
const CENTRE_SIZES = sizes('centreWidth', 'centreHeight', 'centreDepth', 'centreLeft');

/** What each of the car's own bodies is drawn from; a name with a side stands for both. */
const OWN: [is: RegExp, from: InputId[]][] = [
  [/^tire-/, ['read.track', 'read.tireWidth', 'read.tireRadius']],
  [/^brake-/, [...sizes('brake', 'brakeIn'), 'read.track', 'read.tireWidth']],
  [/^bump-stop-/, [...sizes('stop'), 'read.tubeDiameter']],
  [
    / frame rail$/,
    [...sizes('railWidth', 'railHeight'), 'read.track', 'read.tireWidth', 'read.gapFrame', 'read.rideHeight'],
  ],
  [/^(spring|shock)-/, ['springs']],
  [new RegExp(`^${TUBE}$`), ['read.tubeDiameter']],
  [new RegExp(`^${CENTRE}$`), CENTRE_SIZES],
  [new RegExp(`^${COVER}$`), [...CENTRE_SIZES, 'read.cover']],
  [new RegExp(`^${NOSE}$`), [...sizes('nose'), ...CENTRE_SIZES]],
  [new RegExp(`^${TIE_ROD}$`), sizes('tieRod', 'tieRodAhead', 'tieRodUp')],
];

const MEMBER_SIZE: Record<string, InputId[]> = {
  link: ['tube'],
  leaf: sizes('leaf'),
  'slider-arm': sizes('arm'),
  'rigid-arm': sizes('arm'),
  watts: [],
};

/** What the place and the size of a body of a rig follow from; nothing of what the builder drew himself. */
export function bodyInputs(rig: Rig, id: string): InputId[] {
  const member = rig.members.find((m) => m.id === id);
  if (member) return [...mountInputs(rig, [id]), ...MEMBER_SIZE[member.type]!];
  const held = /^bracket:(.*)\/(.*)$/.exec(id);
  // On the frame it reaches to the rail.
  if (held)
    return [
      `mount.${held[1]!}/${held[2]!}`,
      ...sizes('bracket'),
      ...(held[2] === 'chassis' ? railInputs(rig, id) : ['read.tubeDiameter']),
    ];
  if (id === BODY_IDS.driveshaft) return [...mountInputs(rig, [DRIVESHAFT]), ...sizes('driveshaft')];
  if (id === BODY_IDS.dragLink) return [...mountInputs(rig, [STEERING]), ...sizes('dragLink')];
  return OWN.find(([is]) => is.test(id))?.[1] ?? [];
}

/** Where the rail is that a frame bracket reaches to: its face, and from beside it its width. */
function railInputs(rig: Rig, bracket: string): InputId[] {
  const body = rig.obstacles?.find(({ id }) => id === bracket);
  const isBeside = body?.shape === 'box' && body.max[1] - body.min[1] > body.max[2] - body.min[2];
  return [
    'read.track',
    'read.tireWidth',
    'read.gapFrame',
    'read.rideHeight',
    ...(isBeside ? sizes('railWidth') : []),
  ];
}

/** How arms and tube give follows from their sizes. */
export const giveInputs = (rig: Rig): InputId[] => [
  ...(rig.members.some((m) => m.type === 'rigid-arm') ? sizes('arm', 'armWall', 'armSpread') : []),
  ...(mayTwist(rig) ? [...sizes('tubeWall'), 'read.tubeDiameter'] : []),
];

/** How the axle is held: where its members are mounted, and by what their joints, arms and tube give where they fight each other. */
export const heldInputs = (rig: Rig): InputId[] => [
  ...mountInputs(
    rig,
    rig.members.map((m) => m.id),
  ),
  ...giveInputs(rig),
  ...rig.members.filter((m) => m.type === 'link' || m.type === 'rigid-arm').map((m) => `joints.${m.id}`),
];
