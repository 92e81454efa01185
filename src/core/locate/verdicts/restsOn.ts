import { bodiesOf } from '@/core/clearance/bodies';
import { pairsOf } from '@/core/clearance/pairs';
import { linksOf } from '@/core/rig/members/members';
import { DRIVESHAFT, STEERING } from '@/core/rig/mounts';
import { armsOf, lateralBarOf } from '@/core/rig/roles';
import { BODY_IDS, type Rig } from '@/core/rig/schema';
import { bodyInputs, giveInputs, heldInputs } from '@/core/provenance/bodyInputs';
import { mountInputs, type InputId } from '@/core/provenance/inputs';
import { placeOf, type Verdict } from '@/core/verdict/verdict';
import type { Gap, LocateResult } from '../types';

const TRAVEL: InputId[] = ['read.bump', 'read.droop'];
const SIZE: InputId[] = ['read.track', 'read.tireRadius'];

type Asked = { rig: Rig; result: LocateResult; verdict: Verdict };

const ofMembers = (rig: Rig): InputId[] =>
  mountInputs(
    rig,
    rig.members.map((m) => m.id),
  );
const ofBar = (rig: Rig): InputId[] => {
  const bar = lateralBarOf(rig);
  return bar ? mountInputs(rig, [bar.id]) : ofMembers(rig);
};
const steering = (rig: Rig): InputId[] => mountInputs(rig, [STEERING]);
const shaft = (rig: Rig): InputId[] => [
  ...mountInputs(rig, [DRIVESHAFT]),
  'angle.transmission',
  'angle.pinion',
];

/** The link whose eye is spoken of; all of them where none is. */
function linksSpokenOf({ rig, verdict: { state, where = '' } }: Asked): string[] {
  const ids = linksOf(rig).map((m) => m.id);
  const spoken = ids.find((id) => placeOf({ where }).split('/')[0] === id);
  return state === 'ok' || !spoken ? ids : [spoken];
}
const jointSpokenOf = (asked: Asked): InputId[] => linksSpokenOf(asked).map((id) => `joints.${id}`);

/** How the axle goes through its travel. */
const motion = (rig: Rig): InputId[] => [...heldInputs(rig), ...TRAVEL, ...SIZE];
/** How far the slip yoke goes. */
const yoke = (rig: Rig): InputId[] => [...mountInputs(rig, [DRIVESHAFT]), ...motion(rig)];
/** How it turns as it rises: a bar across that is not level has its part in it, and so has what arms give. */
const rising = (rig: Rig): InputId[] => (armsOf(rig).length ? heldInputs(rig) : ofMembers(rig));
const pull = (rig: Rig): InputId[] => [...rising(rig), 'read.wheelbase', 'cgHeight', 'read.tireRadius'];

/** What each figure that Locate shows hangs on. */
export const LOCATE_FIGURES = {
  rollCentre: (rig: Rig) => [...heldInputs(rig), ...SIZE],
  rollCentreAtBar: ofBar,
  eyeToEye: ofBar,
  tilt: ofBar,
  'shift-bump': motion,
  'shift-droop': motion,
  antiSquat: pull,
  antiLift: pull,
  rollSteer: (rig: Rig) => [...heldInputs(rig), ...SIZE],
  bumpSteer: (rig: Rig) => [...motion(rig), ...steering(rig)],
  pinion: motion,
  instantCentre: rising,
  instantCentreMoves: motion,
  bind: motion,
  joints: shaft,
  jointMost: (rig: Rig) => [...shaft(rig), ...motion(rig)],
  plunge: yoke,
  forces: (rig: Rig) => [
    ...[...heldInputs(rig), ...SIZE, 'read.wheelbase'],
    ...['weights', 'unsprung', 'cgHeight', 'springs'],
  ],
  drawnHeight: () => ['read.rideHeight'],
} satisfies Record<string, (rig: Rig) => InputId[]>;

/** What each verdict of Locate hangs on, by its id. */
const RESTS: Record<string, (asked: Asked) => InputId[]> = {
  tyre: ({ rig }) => [...ofBar(rig), 'read.track', 'read.tireWidth'],
  crossed: ({ rig }) => ofBar(rig),
  level: ({ rig }) => [...ofBar(rig), ...(rig.end === 'front' ? steering(rig) : []), ...TRAVEL],
  length: ({ rig }) => [...motion(rig), 'shiftLimit'],
  shift: ({ rig }) => [...motion(rig), 'shiftLimit'],
  migration: ({ rig }) => motion(rig),
  plan: ({ rig }) => ofBar(rig),
  crank: ({ rig }) => ofMembers(rig),
  spread: ({ rig }) => ofMembers(rig),
  reach: ({ rig }) => motion(rig),
  parked: () => [],
  made: ({ rig }) => ofMembers(rig),
  'leaf-give': ({ rig }) => [...ofMembers(rig), 'springs', 'weights'],
  'anti-squat': ({ rig }) => LOCATE_FIGURES.antiSquat(rig),
  'roll-steer': ({ rig }) => LOCATE_FIGURES.rollSteer(rig),
  pinion: ({ rig }) => motion(rig),
  caster: ({ rig }) => motion(rig),
  bind: ({ rig }) => motion(rig),
  joints: (asked) => [
    ...ofMembers(asked.rig),
    ...giveInputs(asked.rig),
    ...TRAVEL,
    ...SIZE,
    ...jointSpokenOf(asked),
  ],
  cocked: (asked) => [...mountInputs(asked.rig, linksSpokenOf(asked)), ...jointSpokenOf(asked)],
  'bump-steer': ({ rig }) => LOCATE_FIGURES.bumpSteer(rig),
  slider: ({ rig }) => motion(rig),
  line: ({ rig }) => motion(rig),
  'shaft-angles': ({ rig }) => shaft(rig),
  'shaft-travel': ({ rig }) => LOCATE_FIGURES.jointMost(rig),
  'slip-in': ({ rig }) => yoke(rig),
  'slip-out': ({ rig }) => yoke(rig),
  slip: ({ rig }) => yoke(rig),
  clearance: ({ rig, result, verdict }) => clearance(rig, result, verdict),
};

/** What the gap between two bodies hangs on. */
export const gapRestsOn = (rig: Rig, { a, b, lockDeg }: Gap): InputId[] => [
  ...(lockDeg === undefined ? [] : ['lock']),
  ...[a, b].flatMap((id) => bodyInputs(rig, id)),
  ...TRAVEL,
];

/** A pair that is too near hangs on its two bodies; that everything clears, on all that was looked at. */
function clearance(rig: Rig, { gaps }: LocateResult, { state, where = '' }: Verdict): InputId[] {
  const [a = '', b = ''] = placeOf({ where }).split(' / ');
  if (state !== 'ok') {
    const gap = gaps.find((g) => g.a === a && g.b === b);
    return [...(gap ? gapRestsOn(rig, gap) : []), ...TRAVEL];
  }
  const bar = lateralBarOf(rig)?.id;
  const ofBar = [a, b].includes(bar ?? '');
  const bodies = bodiesOf(rig);
  const held = pairsOf(rig, bodies)
    .map((pair) => pair.map((i) => bodies[i]!.id))
    .filter((pair) => pair.includes(bar ?? '') === ofBar);
  const ids = [...new Set(held.flat())];
  const tires: string[] = Object.values(BODY_IDS.tire);
  return [
    ...(rig.end === 'front' && ids.some((id) => tires.includes(id)) ? ['lock'] : []),
    ...ids.flatMap((id) => bodyInputs(rig, id)),
    ...TRAVEL,
  ];
}

/** What a verdict hangs on, by ids of inputs. */
export const locateRestsOn = (rig: Rig, result: LocateResult, verdict: Verdict): InputId[] =>
  RESTS[verdict.id]!({ rig, result, verdict });
