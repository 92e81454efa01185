import type { LinkMember } from '@/core/rig/members/link';
import { linksOf } from '@/core/rig/members/members';
import type { PatternSize } from '@/core/rig/layouts';
import { lateralBarOf } from '@/core/rig/roles';
import type { Rig } from '@/core/rig/schema';
import { measured, measuredAcross } from '@/core/survey/readings';
import { isCarsOwn } from './bodies/bodyNames';
import { USUAL_LOCK } from './bodies/bodySizes';
import type { Job } from './jobSchema';

/** Wheel travel from ride height to the stops, mm, both positive. */
export const travelOf = ({ readings }: Pick<Job, 'readings'>): { bump: number; droop: number } => ({
  bump: measured(readings, 'bump').value,
  droop: measured(readings, 'droop').value,
});

/** The travel that the car is driven over, mm: without what is for parking alone. */
export const drivenTravel = (job: Pick<Job, 'readings' | 'place'>): { bump: number; droop: number } => {
  const { bump, droop } = travelOf(job);
  return { bump: Math.min(bump, job.place.drivenBump ?? bump), droop };
};

/** Whether brackets are set with the car on its own weight. */
export const onItsWeight = ({ place }: Pick<Job, 'place'>): boolean => place.holding === 'weight';

/** How far above ride height the axle is held while brackets are set, mm: on rests at the parked height, as far as the car comes down. */
export const heldLift = ({ place }: Pick<Job, 'place'>): number =>
  place.holding === 'rests' && place.heldAt === 'parked' ? place.parkedDrop : 0;

export const tireWidthOf = ({ readings }: Pick<Job, 'readings'>): number =>
  measured(readings, 'tireWidth').value;

/** How far the front wheels steer to either side, degrees; null of a rear axle. */
export const lockOf = ({ rig, bodies }: Pick<Job, 'rig' | 'bodies'>): number | null =>
  rig.end === 'front' ? (bodies.lock ?? USUAL_LOCK) : null;

/** Frame height to build for, mm: as wished, or as recorded. */
export const drivingHeight = ({ place, readings }: Job): number =>
  place.rideHeight ?? measuredAcross(readings, 'rideHeight');

/** Frame height at which what is on the frame is drawn, mm: as recorded, until it is moved with the frame. */
export const drawnHeight = ({ place, readings }: Pick<Job, 'place' | 'readings'>): number =>
  place.drawnAt ?? measuredAcross(readings, 'rideHeight');

/** Sizes that patterns are scaled to, mm, from the readings of a job. */
export const patternSize = ({ readings, cut }: Job): PatternSize => ({
  tireRadius: measuredAcross(readings, 'tireRadius'),
  track: measured(readings, 'track').value,
  cover: measured(readings, 'cover').value,
  tubeOd: cut.tube.od,
});

/** The bar on the saw: the one chosen, or the lateral bar, or the first there is; null on an axle that is held without a bar. */
export function workBar({ rig, cut }: Pick<Job, 'rig' | 'cut'>): LinkMember | null {
  const links = linksOf(rig);
  return links.find((m) => m.id === cut.member) ?? lateralBarOf(rig) ?? links[0] ?? null;
}

/** Whether a figure of the job was typed, and so stands over what was measured. */
export const isTyped = ({ typed }: Job, path: string): boolean => typed[path] !== undefined;

/** What the builder has put in the way: all but what the car itself has there. */
export const ownObstacles = ({ obstacles = [] }: Rig): NonNullable<Rig['obstacles']> =>
  obstacles.filter((o) => !isCarsOwn(o.id));
