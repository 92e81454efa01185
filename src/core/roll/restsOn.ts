import { bodiesOf } from '@/core/clearance/bodies';
import { bodyInputs, heldInputs } from '@/core/provenance/bodyInputs';
import { mountInputs, type InputId } from '@/core/provenance/inputs';
import { memberName } from '@/core/rig/names';
import type { Rig } from '@/core/rig/schema';

const TRAVEL: InputId[] = ['read.bump', 'read.droop'];
const SPRUNG: InputId[] = ['springs', 'weights', 'unsprung'];

/** What the whole car’s lean and balance follow from. */
const carOf = (rig: Rig): InputId[] => [
  ...SPRUNG,
  ...['cgHeight', 'otherEnd', 'read.track', 'read.tireRadius', 'read.wheelbase'],
  ...heldInputs(rig),
];

/** Every body that the bar could come near, by its words; all of them where none is named. */
const roomOf = (rig: Rig, id: string): InputId[] => [
  ...TRAVEL,
  ...bodiesOf(rig)
    .filter((body) => id === 'barRoom' || id.endsWith(` ${memberName(body.id, rig.end)}`))
    .flatMap((body) => bodyInputs(rig, body.id)),
];

const springTravel = (): InputId[] => [...SPRUNG, ...TRAVEL];
const lean = (rig: Rig): InputId[] => [...carOf(rig), ...TRAVEL];
const travel = (): InputId[] => TRAVEL;
const nothing = (): InputId[] => [];

/** What each figure that Roll shows hangs on, beside the springs and the bar as the builder designed them. */
export const ROLL_FIGURES = {
  frequency: () => SPRUNG,
  wheelRate: () => ['springs'],
  leverage: () => ['springs'],
  standing: () => SPRUNG,
  free: () => SPRUNG,
  springsRollRate: () => ['springs', 'read.track'],
  rollAngle: carOf,
  frontShare: carOf,
  transfers: carOf,
  tyres: carOf,
  'parts-front': carOf,
  'parts-rear': carOf,
  lifts: carOf,
  launch: carOf,
  barRollRate: () => ['read.track'],
  barBalance: carOf,
  barNow: nothing,
  barRate: nothing,
  handbook: nothing,
  barStress: () => ['read.track'],
  barCarried: travel,
  barShare: nothing,
  barMass: nothing,
} satisfies Record<string, (rig: Rig) => InputId[]>;

/** What each check of Roll hangs on, by its id, beside the springs and the bar as the builder designed them. */
const RESTS: Record<string, (rig: Rig) => InputId[]> = {
  frequency: () => SPRUNG,
  springFlat: () => SPRUNG,
  coilBind: springTravel,
  springLoose: springTravel,
  stands: () => SPRUNG,
  airPressure: () => SPRUNG,
  hardBump: springTravel,
  stopNever: travel,
  shockBottoms: travel,
  shockTops: travel,
  shockFits: travel,
  cornerTravel: lean,
  cannotHold: carOf,
  cannotBeWorkedOut: nothing,
  goesOver: carOf,
  rollAngle: carOf,
  balance: carOf,
  barWrong: carOf,
  barNeeded: carOf,
  bindRoll: lean,
  inside: carOf,
  launch: carOf,
  barStress: (rig) => [
    ...TRAVEL,
    'read.track',
    ...mountInputs(
      rig,
      rig.members.map((m) => m.id),
    ),
  ],
  barShaft: (rig) => [...TRAVEL, ...bodyInputs(rig, 'driveshaft')],
  barFrame: () => [
    ...['read.track', 'read.tireWidth', 'read.gapFrame', 'read.rideHeight'],
    ...['size.railWidth', 'size.railHeight'],
  ],
  barTube: nothing,
  barArm: nothing,
  barLow: nothing,
  barBushings: nothing,
  barOverhang: nothing,
  barClocked: travel,
  barOff: nothing,
  linkLeans: travel,
  linkLost: travel,
  linkSquare: travel,
  linkOneWay: travel,
  stowReach: nothing,
  stowRoom: nothing,
};

/** What a check hangs on, by ids of inputs. */
export function rollRestsOn(rig: Rig, id: string): InputId[] {
  if (id.startsWith('barRoom')) return roomOf(rig, id);
  if (id.startsWith('linkCocked')) return TRAVEL;
  return RESTS[id]!(rig);
}
