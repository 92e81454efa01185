import type { Job } from '@/core/job/jobSchema';
import { drivenTravel } from '@/core/job/jobValues';
import { motionOf } from '@/core/kinematics/smallMotions';
import { orNone } from '@/core/rig/read';
import { rollInput } from '@/core/roll/input';
import { setUpOf } from '@/core/roll/setUp';
import { FIGURES, figuresOf, type Figures } from './figures';

/** What of a car in the corner asked about follows where mounts are: how far it leans, degrees; the front's share of what goes over, 0 to 1. */
const IN_THE_CORNER = ['lean', 'frontShare'] as const;
type CornerFigure = (typeof IN_THE_CORNER)[number];
type CornerFigures = Record<CornerFigure, number | null>;

/** What can be wanted of the place of a mount. */
export const WANTED = [...FIGURES, ...IN_THE_CORNER] as const;
export type WantedName = (typeof WANTED)[number];
export type WantedFigures = Figures & CornerFigures;

export const isOfCorner = (figure: WantedName): figure is CornerFigure =>
  (IN_THE_CORNER as readonly string[]).includes(figure);

const AT_RIDE = { left: 0, right: 0 };
const UNTOLD: CornerFigures = { lean: null, frontShare: null };

/** A car in its corner; null each without its springs, its weights or the other end, and where it goes over. */
export function cornerFigures(job: Job): CornerFigures {
  const car = orNone(() => setUpOf(rollInput(job, AT_RIDE), motionOf(job.rig)))?.car;
  return car?.corner ? { lean: car.corner.rollDeg, frontShare: car.corner.frontShare } : UNTOLD;
}

/**
 * The figures of a job; null where its members cannot be put together, or do not reach the ends of its travel.
 *
 * @param corner whether what it does in the corner is asked too, which takes several times as long
 */
export function wantedFigures(job: Job, corner: boolean): WantedFigures | null {
  const figures = figuresOf(job.rig, drivenTravel(job));
  return figures && { ...figures, ...(corner ? cornerFigures(job) : UNTOLD) };
}
