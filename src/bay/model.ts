import { carry, type Attitude } from '@/core/kinematics/attitude';
import { isReached, type SweptPose } from '@/core/kinematics/pose';
import { travelOf } from '@/core/job/job';
import { PANHARD } from '@/core/layouts/patterns';
import type { Job } from '@/core/job/schema';
import type { LocateResult } from '@/core/locate/types';
import { measured } from '@/core/measure/readings';
import { SIDES, type Side } from '@/core/measure/quantities';
import { linksOf, mountsOf, type Mount } from '@/core/rig/members';
import type { Member, Point } from '@/core/rig/schema';

/** Frame rails are drawn at this section until they are measured; only their place is taken from the tape, mm. */
export const RAIL = { width: 50, height: 100 };

export type Bar = { id: string; chassis: Point; axle: Point; od: number };

/** A member that is not a plain bar: the lines it is drawn with. Arms are rigid to the axle, leaves are sprung. */
type Shape = { id: string; kind: 'arm' | 'leaf' | 'crank'; lines: Point[][] };

/** A point by which a member is mounted, as it stands now and where it is at ride height. */
type DrawnMount = Mount & { member: string; now: Point };
type Rail = { side: Side; outside: number; underside: number };

/** An axle attitude as the bay draws it: where the wheels, the tube's ends, the differential and the bars stand. */
export type Figure = {
  /** drag link of a front axle, pitman to knuckle */
  dragLink: [Point, Point] | null;
  wheels: Record<Side, Point>;
  tube: [Point, Point];
  centre: Point;
  bars: Bar[];
  shapes: Shape[];
  mounts: DrawnMount[];
};

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
  /** side-view instant centre now */
  instantCentre: [number, number] | null;
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
      dragLink: rig.steering ? [rig.steering.pitman, place(rig.steering.knuckle)] : null,
      shapes: rig.members.flatMap((m) => shapeOf(m, place, track, tireRadius)),
      mounts: rig.members.flatMap((m) =>
        mountsOf(m).map((mount) => ({
          ...mount,
          member: m.id,
          now: mount.on === 'axle' ? place(mount.point) : mount.point,
        })),
      ),
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
    instantCentre: current?.instantCentre ?? null,
    ...travelOf(job),
  };
}

/** Where arms meet the axle is not recorded: they are drawn to the tube straight behind their front joint, or at the seats. */
const ARM_ROOT = 0.26;
const ARM_SPREAD = 65;

function shapeOf(m: Member, place: (p: Point) => Point, track: number, tireRadius: number): Shape[] {
  switch (m.type) {
    case 'link':
      return [];
    case 'rigid-arm': {
      const y = Math.sign(m.chassis[1] || 1) * Math.max(Math.abs(m.chassis[1]), ARM_ROOT * track);
      const roots = [ARM_SPREAD, -ARM_SPREAD].map((up) => place([0, y, tireRadius + up]));
      return [{ id: m.id, kind: 'arm', lines: roots.map((root) => [m.chassis, root]) }];
    }
    case 'slider-arm':
      return [
        {
          id: m.id,
          kind: 'arm',
          lines: [ARM_SPREAD, -ARM_SPREAD].map((up) => [m.chassis, place([60, 0, tireRadius + up])]),
        },
      ];
    case 'leaf':
      return [{ id: m.id, kind: 'leaf', lines: [[m.frontEye, place(m.seat), m.rearEye]] }];
    case 'watts': {
      const onCrank = m.pivotOn === 'axle' ? place : (p: Point) => p;
      const onEnds = m.pivotOn === 'axle' ? (p: Point) => p : place;
      return [
        {
          id: m.id,
          kind: 'crank',
          lines: [
            [onCrank(m.crank.top), onCrank(m.pivot), onCrank(m.crank.bottom)],
            [onCrank(m.crank.top), onEnds(m.ends.top)],
            [onCrank(m.crank.bottom), onEnds(m.ends.bottom)],
          ],
        },
      ];
    }
  }
}

export const lateral = (figure: Figure): Bar => figure.bars.find((b) => b.id === PANHARD)!;
