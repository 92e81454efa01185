import { carry, type Attitude } from '@/core/kinematics/attitude';
import { isReached, type SweptPose } from '@/core/kinematics/pose';
import { travelOf } from '@/core/job/job';
import { PANHARD } from '@/core/layouts/patterns';
import type { Job } from '@/core/job/schema';
import type { LocateResult } from '@/core/locate/types';
import { measured } from '@/core/measure/readings';
import { SIDES, type Side } from '@/core/measure/quantities';
import { linksOf } from '@/core/rig/members';
import type { Point } from '@/core/rig/schema';

/** Frame rails are drawn at this section until they are measured; only their place is taken from the tape, mm. */
export const RAIL = { width: 50, height: 100 };

export type Bar = { id: string; chassis: Point; axle: Point; od: number };
type Rail = { side: Side; outside: number; underside: number };

/** An axle attitude as the bay draws it: where the wheels, the tube's ends, the differential and the bars stand. */
export type Figure = { wheels: Record<Side, Point>; tube: [Point, Point]; centre: Point; bars: Bar[] };

export type BayModel = {
  tireRadius: number;
  /** each side as measured; the model stands on their mean */
  radii: Record<Side, number>;
  tireWidth: number;
  track: number;
  tubeDiameter: number;
  cover: number;
  rails: Rail[];
  /** tyre to frame as last read: on the ground at Ride, before that at Record */
  gaps: Record<Side, number>;
  now: Figure;
  ghosts: { bump: Figure | null; droop: Figure | null; leftUp: Figure | null };
  /** roll centre height now, and its least and greatest over the travel */
  rollCentre: { height: number; least: number; most: number } | null;
  bump: number;
  droop: number;
};

const DRAWN_OD = 32;
const AT_RIDE = { x: 0, y: 0, rollDeg: 0, pitchDeg: 0, steerDeg: 0 };

/** What the bay draws of a job: its own measured figures, in the poses the worker found. */
export function bayModel(job: Job, result: LocateResult | null): BayModel {
  const { rig, readings } = job;
  const { tireRadius, track } = rig;
  const tireWidth = measured(readings, 'tireWidth').mm;
  const inner = track / 2 - tireWidth / 2;
  const ride: Attitude = { ...AT_RIDE, z: tireRadius };
  const figure = (pose: Attitude): Figure => {
    const place = carry(pose, tireRadius);
    return {
      wheels: { left: place([0, track / 2, tireRadius]), right: place([0, -track / 2, tireRadius]) },
      tube: [place([0, inner, tireRadius]), place([0, -inner, tireRadius])],
      centre: place([0, 0, tireRadius]),
      bars: linksOf(rig).map((m) => ({
        id: m.id,
        chassis: m.chassis,
        axle: place(m.axle),
        od: m.od ?? DRAWN_OD,
      })),
    };
  };
  const swept = (pose: SweptPose | undefined) => (pose && isReached(pose) ? figure(pose) : null);
  const heights = (result?.curve ?? []).flatMap((p) =>
    p.lost === undefined ? (p.rollCentreHeight ?? []) : [],
  );
  const current = result && isReached(result.current) ? result.current : null;
  const height = current?.rollCentreHeight ?? null;
  return {
    tireRadius,
    radii: {
      left: measured(readings, 'tireRadius', 'left').mm,
      right: measured(readings, 'tireRadius', 'right').mm,
    },
    tireWidth,
    track,
    tubeDiameter: measured(readings, 'tubeDiameter').mm,
    cover: measured(readings, 'cover').mm,
    rails: SIDES.map((side) => ({
      side,
      outside: (side === 'left' ? 1 : -1) * (inner - measured(readings, 'gapFrame', side).mm),
      underside: measured(readings, 'rideHeight', side).mm,
    })),
    gaps: {
      left: job.ride.gaps.left ?? measured(readings, 'gapFrame', 'left').mm,
      right: job.ride.gaps.right ?? measured(readings, 'gapFrame', 'right').mm,
    },
    now: swept(result?.current) ?? figure(ride),
    ghosts: {
      bump: swept(result?.ghosts.bump),
      droop: swept(result?.ghosts.droop),
      leftUp: swept(result?.ghosts.leftUp),
    },
    rollCentre: height === null ? null : { height, least: Math.min(...heights), most: Math.max(...heights) },
    ...travelOf(job),
  };
}

export const lateral = (figure: Figure): Bar => figure.bars.find((b) => b.id === PANHARD)!;
