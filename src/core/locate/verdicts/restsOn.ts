import { linksOf } from '@/core/rig/members/members';
import { DRIVESHAFT, STEERING } from '@/core/rig/mounts';
import { armsOf, lateralBarOf, leavesOf, lengthwiseLinks } from '@/core/rig/roles';
import type { Rig } from '@/core/rig/schema';
import { bodyInputs, giveInputs, heldInputs } from '@/core/provenance/bodyInputs';
import { mountInputs, type InputId } from '@/core/provenance/inputs';
import { placeOf, type Verdict } from '@/core/verdict/verdict';
import type { LocateResult } from '../types';

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
const ofLengthwise = (rig: Rig): InputId[] => {
  const links = [...lengthwiseLinks(rig), ...armsOf(rig), ...leavesOf(rig)].map((m) => m.id);
  return mountInputs(rig, links);
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

/** How far the slip yoke goes. */
const yoke = ({ rig }: Asked): InputId[] => [...mountInputs(rig, [DRIVESHAFT]), ...motion(rig)];

/** How the axle goes through its travel. */
const motion = (rig: Rig): InputId[] => [...heldInputs(rig), ...TRAVEL, ...SIZE];

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
  'anti-squat': ({ rig }) => [...ofLengthwise(rig), 'read.wheelbase', 'cgHeight', 'read.tireRadius'],
  'roll-steer': ({ rig }) => [...heldInputs(rig), ...SIZE],
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
  'bump-steer': ({ rig }) => [...motion(rig), ...steering(rig), ...SIZE],
  slider: ({ rig }) => motion(rig),
  line: ({ rig }) => motion(rig),
  'shaft-angles': ({ rig }) => shaft(rig),
  'shaft-travel': ({ rig }) => [...shaft(rig), ...motion(rig)],
  'slip-in': (asked) => yoke(asked),
  'slip-out': (asked) => yoke(asked),
  slip: (asked) => yoke(asked),
  clearance: ({ rig, result, verdict }) => clearance(rig, result, verdict),
};

/** A pair that is too near hangs on its two bodies; that everything clears, on all that was looked at. */
function clearance(rig: Rig, { gaps }: LocateResult, { state, where = '' }: Verdict): InputId[] {
  const [a = '', b = ''] = placeOf({ where }).split(' / ');
  const bar = lateralBarOf(rig)?.id;
  const about = [a, b].includes(bar ?? '') ? bar : undefined;
  const pairs =
    state === 'ok'
      ? gaps.filter((g) => (about ? g.a === about || g.b === about : g.a !== bar && g.b !== bar))
      : gaps.filter((g) => g.a === a && g.b === b);
  const steered = pairs.some((g) => g.lockDeg !== undefined);
  return [
    ...(steered ? ['lock'] : []),
    ...pairs.flatMap((g) => [...bodyInputs(rig, g.a), ...bodyInputs(rig, g.b)]),
    ...TRAVEL,
  ];
}

/** What a verdict hangs on, by ids of inputs. */
export const locateRestsOn = (rig: Rig, result: LocateResult, verdict: Verdict): InputId[] =>
  RESTS[verdict.id]!({ rig, result, verdict });
