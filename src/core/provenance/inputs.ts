import { dequal } from 'dequal';
import { USUAL_CG_HEIGHT, USUAL_MASSES } from '@/core/job/applyReadings';
import { sprungShare } from '@/core/job/edits/frameHeight';
import { BODY_SIZES, type BodySize } from '@/core/job/bodies/bodySizes';
import type { Job } from '@/core/job/jobSchema';
import { drawnHeight, isTyped } from '@/core/job/jobValues';
import { oncePer } from '@/core/numerics/oncePer';
import { isPlaced, mountId } from '@/core/job/placed';
import { startingCut } from '@/core/job/slices/cut';
import { bracketId } from '@/core/job/bodies/bodyNames';
import { isParted } from '@/core/job/edits/parts/parts';
import { mirrorOf, saidOfBar, saidOfBracket } from '@/core/job/made/parts';
import { crossmemberIn } from '@/core/job/made/crossmember';
import { isOfSwayBar, SWAY_PARTS, type SwayPart } from '@/core/job/made/sway/parts';
import { LIMITS } from '@/core/materials/limits';
import { capital, groupName, memberName } from '@/core/rig/names';
import { pairOf } from '@/core/rig/roles';
import type { MountKey } from '@/core/rig/members/kind';
import { mountsOf } from '@/core/rig/mounts';
import type { Rig } from '@/core/rig/schema';
import { usualOtherEnd } from '@/core/balance/otherEnd';
import { usualSprings } from '@/core/springs/springDesign';
import { quantity, readingKey, type QuantityKey } from '@/core/survey/quantities/quantities';
import { found, measuredAcross } from '@/core/survey/readings';
import { SIDES } from '@/core/geometry/side';

/**
 * Where a value of a job comes from. Known: read off the car, or typed, or put in its place by the builder (`drawn`). Guessed: still
 * where the layout's pattern put it, or what such a thing usually is.
 */
type Provenance = 'measured' | 'typed' | 'drawn' | 'pattern' | 'usual';

/** Something that results rest on, by an id: `read.track`, `mount.panhard/chassis`, `size.brake`, `weights`. */
export type InputId = string;

/** Where an input is settled: the station, what of it is open there, and the reading. */
export type Settle = {
  station: 'record' | 'locate' | 'roll' | 'prove' | 'cut';
  part?: string;
  reading?: string;
};

/** An input by the words of the trade, what it is of, where it comes from, and where the builder settles it. */
export type Input = { id: InputId; name: string; of?: string; from: Provenance; settle: Settle };

/** What an input is spoken of by: the thing that it is of, where several are of one. */
export const spokenOf = ({ of, name }: Pick<Input, 'of' | 'name'>): string => of ?? name;

export const isGuess = ({ from }: Pick<Input, 'from'>): boolean => from === 'pattern' || from === 'usual';

type Told = Omit<Input, 'id'>;
/** What each kind of input is in a job, by the first word of its id. */
const kinds: Record<string, (job: Job, of: string) => Told> = {
  read: (job, key) => reading(job, key as QuantityKey),
  mount: (job, of) => mount(job, of),
  size: ({ bodies }, of) => {
    const { part, name } = BODY_SIZES[of as BodySize];
    const told = typedOr(bodies[of as BodySize] !== undefined, `${part}: ${name}`, {
      station: 'locate',
      part: 'room',
    });
    return { ...told, of: `Size of the ${part}` };
  },
  joints: ({ joints, rig }, member) =>
    typedOr(joints[member] !== undefined, `Joints of the ${memberName(member, rig.end)}`, {
      station: 'locate',
      part: 'links',
    }),
  lock: ({ bodies }) =>
    typedOr(bodies.lock !== undefined, 'Steering lock', {
      station: 'locate',
      part: 'room',
    }),
  angle: (job, of) => yokeAngle(job, of as 'transmission' | 'pinion'),
  weights: (job) => weights(job),
  unsprung: (job) => {
    const { masses } = job.rig;
    const typed = (['unsprungFront', 'unsprungRear'] as const).every(
      (key) => isTyped(job, `masses/${key}`) || masses?.[key] !== USUAL_MASSES[key],
    );
    return typedOr(typed, 'Weight of both axles with their wheels', { station: 'locate', part: 'forces' });
  },
  cgHeight: (job) =>
    typedOr(isTyped(job, 'cgHeight') || !isUsualCg(job), 'Height of the centre of gravity', {
      station: 'locate',
      part: 'forces',
    }),
  otherEnd: ({ rig }) =>
    typedOr(
      rig.otherEnd !== undefined && rig.otherEnd.rollRate !== usualOtherEnd(rig).rollRate,
      `The ${rig.end === 'rear' ? 'front' : 'rear'} end’s springs and bar against roll`,
      { station: 'roll', part: 'balance' },
    ),
  springs: ({ rig, roll }) => {
    const { springs } = roll;
    const usual = springs && usualSprings(rig, springs.kind);
    const same =
      usual &&
      (Object.keys(usual) as (keyof typeof usual)[]).every(
        (key) => typeof usual[key] !== 'number' || usual[key] === springs[key],
      );
    return typedOr(springs !== null && !same, 'Springs as they are', { station: 'roll', part: 'springs' });
  },
  tube: ({ cut }) => {
    const usual = startingCut().tube;
    return typedOr(cut.tube.od !== usual.od || cut.tube.wall !== usual.wall, 'Tube of the bar', {
      station: 'cut',
    });
  },
  barEnds: ({ cut }) =>
    typedOr(!dequal(cut.ends, startingCut().ends), 'Rod ends and bungs of the bar', { station: 'cut' }),
  bar: (job, member) => {
    const { metal, section } = saidOfBar(job, member);
    const known = metal !== undefined && (section !== undefined || inputOf(job, 'tube').from === 'typed');
    return typedOr(known, `Section and metal of the ${partName(job, member)}`, {
      station: 'prove',
      part: member,
    });
  },
  bracket: (job, mount) => {
    const said = saidOfBracket(job, mount);
    const known = BRACKET_SIZES.every((key) => said[key] !== undefined);
    return typedOr(known, `Sizes of the ${partName(job, mount)}`, { station: 'prove', part: mount });
  },
  sway: ({ parts }, part) =>
    typedOr(SWAY_SIZES[part as SwayPart](parts), `Sizes of the ${SWAY_PARTS[part as SwayPart]}`, {
      station: 'prove',
      part,
    }),
  cross: ({ parts }, part) =>
    typedOr(
      parts.crossmembers?.[crossmemberIn(part) ?? '']?.section !== undefined,
      `Section of the ${crossmemberIn(part)}`,
      { station: 'prove', part },
    ),
  sleeve: ({ parts }) =>
    typedOr(
      SLEEVE_SIZES.every((key) => parts.sleeve?.[key] !== undefined),
      'Sizes of the sleeves through the rails',
      { station: 'cut' },
    ),
  shiftLimit: (job) => ({
    name: 'How far the axle may move sideways',
    from:
      isTyped(job, 'shiftLimit') || job.locate.shiftLimit !== LIMITS.sideways[job.use] ? 'typed' : 'usual',
    settle: { station: 'locate', part: 'bar' },
  }),
};

/** What of a bracket has to be said for it to be known. */
const BRACKET_SIZES = ['plate', 'width', 'edge', 'depth', 'bolt', 'leg'] as const;

/** What of the sleeves through the rails has to be said for them to be known. */
/** What of each thing that a sway bar pulls at is to be said, for it to be known. */
const SWAY_SIZES: Record<SwayPart, (parts: Job['parts']) => boolean> = {
  'sway-bar/link': ({ endLink }) => isSaid(endLink, 'section', 'thread', 'bar', 'foot'),
  'sway-bar/strap': ({ strap }) => isSaid(strap, 'thickness', 'width', 'foot', 'bolt'),
  'sway-bar/angle': ({ angle }) => isSaid(angle, 'thickness', 'against'),
  'sway-bar/ear': ({ springPlate }) => isSaid(springPlate, 'plate', 'ear'),
};
const isSaid = <T extends object>(said: T | undefined, ...keys: (keyof T)[]): boolean =>
  keys.every((key) => said?.[key] !== undefined);

const SLEEVE_SIZES = ['od', 'tube', 'collar', 'plate', 'wall'] as const;

/** A bar by its member or a bracket by its mount, left and right as one where they are alike. */
export function partName(job: Job, part: string): string {
  if (isOfSwayBar(part)) return SWAY_PARTS[part];
  const crossmember = crossmemberIn(part);
  if (crossmember) return crossmember;
  const [member = '', end] = part.split('/');
  const { end: axle } = job.rig;
  const both = isParted(job, part) ? null : groupName(pairOf(member), axle);
  if (end === undefined) return both ?? memberName(member, axle);
  const bracket = end === 'chassis' ? 'frame bracket' : 'axle bracket';
  const pair = both && pairOf(member).length === 2;
  return pair ? `${both}’ ${bracket}s` : memberName(bracketId(member, end as MountKey), axle);
}

/** The part that a pair that is alike is spoken of by; a part that stands alone, or is parted, is its own. */
export function spokenPart(job: Job, part: string): string {
  const mirrored = mirrorOf(part);
  return mirrored === null || isParted(job, part) ? part : [part, mirrored].sort()[0]!;
}

/** The input that a part's sizes are: one for both of a pair that is alike. */
export const partInput = (job: Job, part: string): InputId => `${kindOfPart(part)}.${spokenPart(job, part)}`;

function kindOfPart(part: string): string {
  if (isOfSwayBar(part)) return 'sway';
  if (crossmemberIn(part)) return 'cross';
  return part.includes('/') ? 'bracket' : 'bar';
}

/** A guessed centre of gravity went up and down with the frame, by the share of the car that stands on springs. */
function isUsualCg(job: Job): boolean {
  const moved = drawnHeight(job) - measuredAcross(job.readings, 'rideHeight');
  const usual = USUAL_CG_HEIGHT + moved * sprungShare(job.rig);
  return Math.abs((job.rig.cgHeight ?? usual) - usual) < 0.01;
}

const typedOr = (typed: boolean, name: string, settle: Settle): Told => ({
  name: capital(name),
  from: typed ? 'typed' : 'usual',
  settle,
});

function reading({ readings }: Job, key: QuantityKey): Told {
  const asked = quantity(key);
  const sides = asked.sided
    ? SIDES.filter((side) => found(readings, key, side))
    : found(readings, key)
      ? [undefined]
      : [];
  return {
    name: asked.label,
    from: sides.length ? 'measured' : 'usual',
    settle: {
      station: 'record',
      part: 'measure',
      reading: readingKey(key, asked.sided ? 'left' : undefined),
    },
  };
}

/** @param of `member/mount` */
function mount(job: Job, of: string): Told {
  const [member = '', key = ''] = of.split('/');
  const there = mountsOf(job.rig, member).find((m) => m.key === key);
  return {
    name: `${capital(memberName(member, job.rig.end))}, ${(there?.name ?? key).toLowerCase()}`,
    of: `Mounts of the ${memberName(member, job.rig.end)}`,
    from: isPlaced(job, of) ? 'drawn' : 'pattern',
    settle: { station: 'locate', part: member === 'panhard' ? 'bar' : 'links' },
  };
}

function yokeAngle(job: Job, of: 'transmission' | 'pinion'): Told {
  const read = found(job.readings, `${of}Angle`);
  const typed = isTyped(job, `driveshaft/${of}AngleDeg`);
  return {
    name: quantity(`${of}Angle`).label,
    from: typed ? 'typed' : read ? 'measured' : 'pattern',
    settle: { station: 'record', part: 'measure', reading: `${of}Angle` },
  };
}

function weights(job: Job): Told {
  const weighed = (['weightFront', 'weightRear'] as const).every((key) =>
    SIDES.every((side) => found(job.readings, key, side)),
  );
  const { masses } = job.rig;
  const typed = (['total', 'frontFraction'] as const).every(
    (key) => isTyped(job, `masses/${key}`) || masses?.[key] !== USUAL_MASSES[key],
  );
  return {
    name: 'What the car weighs, front and rear',
    from: weighed ? 'measured' : typed ? 'typed' : 'usual',
    settle: { station: 'record', part: 'measure', reading: 'weightFront.left' },
  };
}

/** The mounts of members, of the drag link or of the driveshaft, as inputs. */
export const mountInputs = (rig: Rig, members: string[]): InputId[] =>
  members.flatMap((id) => mountsOf(rig, id).map(({ key }) => `mount.${mountId(id, key)}`));

/** An input of a job by its id. Asked by every figure on the screen. */
export const inputOf = oncePer((job: Job, id: InputId): Input => {
  const at = id.indexOf('.');
  const [kind, of] = at < 0 ? [id, ''] : [id.slice(0, at), id.slice(at + 1)];
  const told = kinds[kind]!(job, of);
  return { id, ...told, from: told.from === 'usual' && job.accepted?.[id] ? 'typed' : told.from };
});

/** Those of a list of inputs that are guessed, each once. */
export const guessesAmong = (job: Job, ids: InputId[]): Input[] =>
  [...new Set(ids)].map((id) => inputOf(job, id)).filter(isGuess);
