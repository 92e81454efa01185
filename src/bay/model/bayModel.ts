import { atRideHeight, axleToChassis, type Attitude } from '@/core/kinematics/attitude';
import { isReached, type SweptPose } from '@/core/kinematics/pose';
import type { LocateResult, SideCentre } from '@/core/locate/types';
import { plateOutlines } from '@/core/job/made/bracketShape';
import { crossmemberId, HOUSING, TIE_ROD } from '@/core/job/bodies/bodyNames';
import { crossmembersOf } from '@/core/job/made/crossmember';
import { railsOf, type Rail } from '@/core/job/bodies/frameRails';
import { LINK_ENDS } from '@/core/job/made/parts';
import { measured } from '@/core/survey/readings';
import { pathAt } from '@/core/clearance/barPath';
import { instantCentrePath } from '@/core/locate/travel/instantCentre';
import { reachedPoints } from '@/core/locate/travel/travelCurve';
import type { AxleEnd, Obstacle, Rig } from '@/core/rig/schema';
import { rollFigures, type RollFigures } from './rollFigures';
import { cornersOfBox } from '@/core/geometry/boxApproach';
import { cross, minus, unit, type Point } from '@/core/geometry/vector';
import { toRadians } from '@/core/geometry/angle';
import type { Side } from '@/core/geometry/side';
import { PANHARD } from '@/core/rig/roles';
import { kindOf, linksOf, type Member } from '@/core/rig/members/members';
import { DRIVESHAFT, mountsOf, STEERING } from '@/core/rig/mounts';
import type { Mount, OutlinePoint } from '@/core/rig/members/kind';
import { guessesBehind } from '@/core/bench/figures';
import type { Job } from '@/core/job/jobSchema';
import { mountId } from '@/core/job/placed';
import { ownObstacles, travelOf } from '@/core/job/jobValues';

/** A bar along its path, eye to eye; the force in it where one is shown, N, tension positive. */
export type Bar = {
  id: string;
  chassis: Point;
  axle: Point;
  path: Point[];
  od: number;
  force: number | null;
};

/** Something in the way, its points as they stand now: corners of a box, ends of a pipe, middle of a ball. */
export type Thing = { obstacle: Obstacle; points: Point[] };

/** A member that is not a plain bar: the lines it is drawn with. Arms are rigid to the axle, leaves are sprung. */
/** A member that is not drawn as a bar, its lines as they stand now. */
type Shape = { id: string; kind: 'arm' | 'leaf' | 'crank'; lines: Point[][] };

/** A plate of a bracket, by the bar it holds and what it stands on: its outline as it stands now. */
type Plate = { member: string; on: 'chassis' | 'axle'; outline: Point[] };

/** A point by which a member is mounted, as it stands now and where it is at ride height. */
type DrawnMount = Mount & { member: string; now: Point };

/** An eye that came out elsewhere than it is drawn: where it is now, as the axle stands. */
type BuiltMark = { id: string; at: Point };

/** An axle attitude as the bay draws it: where the wheels, the tube's ends, the differential and the bars stand. */
export type Figure = {
  /** drag link of a front axle, pitman to knuckle */
  dragLink: [Point, Point] | null;
  /** driveshaft, joint to joint, and where the axes of its yokes point to */
  shaft: { front: Point; rear: Point; tail: Point; nose: Point } | null;
  wheels: Record<Side, Point>;
  tube: [Point, Point];
  centre: Point;
  /** centre section, cover and pinion nose: the points each is drawn round */
  housing: Point[][];
  bars: Bar[];
  /** plates of the brackets of bars, as they are cut */
  plates: Plate[];
  shapes: Shape[];
  /** springs, shocks and the sway bar */
  roll: RollFigures;
  mounts: DrawnMount[];
};

/** What is drawn of the axle elsewhere in its travel: its wheels and its bars. */
export type GhostFigure = Pick<Figure, 'wheels' | 'bars'>;

export type BayModel = {
  end: AxleEnd;
  tireRadius: number;
  /** each side as measured; the model stands on their mean */
  radii: Record<Side, number>;
  tireWidth: number;
  track: number;
  tubeDiameter: number;
  cover: number;
  rails: Rail[];
  /** crossmembers and hoops: a round one along its middle line, a rectangular one by its corners */
  crossmembers: { id: string; od: number | null; points: Point[] }[];
  /** tyre to frame as last read: on the ground at Ride, before that at Record */
  gaps: Record<Side, number>;
  now: Figure;
  ghosts: Record<'bump' | 'droop' | 'leftUp' | 'rightUp', GhostFigure | null>;
  things: Thing[];
  /** everything that has room of its own, by id: ends of what is round, corners of what is square, as they stand now */
  bodies: Record<string, Point[]>;
  holes: { on: 'chassis' | 'axle'; points: Point[] }[];
  built: BuiltMark[];
  /** roll centre height now, and its least and greatest over the travel */
  rollCentre: { height: number; least: number; most: number; guessed: boolean } | null;
  /** the length of the bar across hangs on a guess */
  lengthGuessed: boolean;
  /** rise of the roll axis for each mm forward */
  rollAxisSlope: number | null;
  /** side-view instant centre now */
  instantCentre: SideCentre;
  /** the path of that over the travel, from droop to bump, in pieces */
  instantCentrePath: NonNullable<SideCentre>[][];
  bump: number;
  droop: number;
};

const DRAWN_OD = 32;

/** What the bay draws of a job: its own measured figures, in the poses the worker found. */
export function bayModel(job: Job, result: LocateResult | null, load: string | null): BayModel {
  const { rig, readings } = job;
  const { tireRadius, track } = rig;
  const tireWidth = measured(readings, 'tireWidth').value;
  const inner = track / 2 - tireWidth / 2;
  const ride = atRideHeight(rig);
  const forces = result?.loads.find((l) => l.load.name === load)?.answer?.members;
  const owners = [...rig.members.map((m) => m.id), STEERING, DRIVESHAFT];
  const ghost = (pose: Attitude): GhostFigure => {
    const place = axleToChassis(pose, tireRadius);
    return {
      wheels: { left: place([0, track / 2, tireRadius]), right: place([0, -track / 2, tireRadius]) },
      bars: linksOf(rig).map((m) => ({
        id: m.id,
        chassis: m.chassis,
        axle: place(m.axle),
        path: pathAt(m, place(m.axle)),
        od: m.od ?? DRAWN_OD,
        force: forces?.[m.id] ?? null,
      })),
    };
  };
  // A tie rod is drawn once somebody has measured where it runs.
  const drawn = HOUSING.filter((id) => id !== TIE_ROD || job.bodies.tieRodAhead !== undefined);
  const housing = (rig.obstacles ?? []).filter((o) => drawn.includes(o.id)).map(cornersOf);
  const plates = platesOf(job);
  const figure = (pose: Attitude): Figure => {
    const place = axleToChassis(pose, tireRadius);
    return {
      ...ghost(pose),
      tube: [place([0, inner, tireRadius]), place([0, -inner, tireRadius])],
      centre: place([0, 0, tireRadius]),
      housing: housing.map((points) => points.map(place)),
      plates: plates.map((plate) => ({
        ...plate,
        outline: plate.on === 'axle' ? plate.outline.map(place) : plate.outline,
      })),
      shaft: shaftOf(job, place),
      dragLink: rig.steering ? [rig.steering.pitman, place(rig.steering.knuckle)] : null,
      shapes: rig.members.flatMap((m) => shapeOf(m, rig, place)),
      roll: rollFigures(job, pose),
      mounts: owners.flatMap((id) =>
        mountsOf(rig, id).map((mount) => ({
          ...mount,
          member: id,
          now: mount.on === 'axle' ? place(mount.point) : mount.point,
        })),
      ),
    };
  };
  const swept = (pose: SweptPose | undefined) => (pose && isReached(pose) ? ghost(pose) : null);
  const curve = reachedPoints(result?.curve ?? []);
  const heights = curve.flatMap((p) => p.rollCentreHeight ?? []);
  const current = result && isReached(result.current) ? result.current : null;
  const height = current?.rollCentreHeight ?? null;
  const now = figure(current ?? ride);
  const onAxle = axleToChassis(current ?? ride, tireRadius);
  const standing = (o: Obstacle) => (o.on === 'axle' ? pointsOf(o).map(onAxle) : pointsOf(o));
  const rails = railsOf(job);
  const bodies = Object.fromEntries((rig.obstacles ?? []).map((o) => [o.id, standing(o)]));
  const tubeDiameter = measured(readings, 'tubeDiameter').value;
  const cover = measured(readings, 'cover').value;
  return {
    end: rig.end,
    tireRadius,
    radii: {
      left: measured(readings, 'tireRadius', 'left').value,
      right: measured(readings, 'tireRadius', 'right').value,
    },
    tireWidth,
    track,
    tubeDiameter,
    cover,
    rails,
    crossmembers: crossmembersOf(job).map(({ id, path, section }) => ({
      id,
      od: section.shape === 'tube' ? section.od : null,
      points: section.shape === 'tube' ? path : (bodies[crossmemberId(id, 0)] ?? []),
    })),
    gaps: {
      left: job.ride.gaps.left ?? measured(readings, 'gapFrame', 'left').value,
      right: job.ride.gaps.right ?? measured(readings, 'gapFrame', 'right').value,
    },
    now,
    ghosts: {
      bump: swept(result?.ghosts.bump),
      droop: swept(result?.ghosts.droop),
      leftUp: swept(result?.ghosts.leftUp),
      rightUp: swept(result?.ghosts.rightUp),
    },
    things: ownObstacles(rig).map((obstacle) => ({ obstacle, points: standing(obstacle) })),
    bodies,
    holes: holesOf(job),
    built: builtOf(job, now.mounts),
    rollCentre:
      height === null
        ? null
        : {
            height,
            least: Math.min(...heights),
            most: Math.max(...heights),
            guessed: guessesBehind(job, 'rollCentre').length > 0,
          },
    lengthGuessed: guessesBehind(job, 'eyeToEye').length > 0,
    rollAxisSlope: current?.rollSteer == null ? null : -current.rollSteer,
    instantCentre: current?.instantCentre ?? null,
    instantCentrePath: instantCentrePath(curve.map((p) => p.instantCentre)),
    ...travelOf(job),
  };
}

/** What wheels, axle and rails are drawn from, which stand still while a mount is dragged. */
export const bodyParts = ({
  now,
  tireRadius,
  tireWidth,
  tubeDiameter,
  cover,
  rails,
  crossmembers,
}: BayModel): unknown[] => [
  now.wheels,
  now.tube,
  now.centre,
  now.housing,
  tireRadius,
  tireWidth,
  tubeDiameter,
  cover,
  rails,
  ...crossmembers.flatMap(({ od, points }) => [od, ...points.flat()]),
];

/** Works out what the bay asks of a job alone, which is then known when its answer comes. */
export function prepareBay(job: Job): void {
  platesOf(job);
  guessesBehind(job, 'rollCentre');
  guessesBehind(job, 'eyeToEye');
}

/** Length of the stubs that show where a yoke points, mm. */
const STUB = 150;

function shaftOf({ rig }: Job, place: (p: Point) => Point): Figure['shaft'] {
  if (!rig.driveshaft) return null;
  const { transmission, transmissionAngleDeg, pinion, pinionAngleDeg } = rig.driveshaft;
  const along = ([x, y, z]: Point, deg: number, mm: number): Point => {
    const a = toRadians(deg);
    return [x + mm * Math.cos(a), y, z - mm * Math.sin(a)];
  };
  return {
    front: transmission,
    rear: place(pinion),
    tail: along(transmission, transmissionAngleDeg, STUB),
    nose: place(along(pinion, pinionAngleDeg, -STUB)),
  };
}

function pointsOf(o: Obstacle): Point[] {
  if (o.shape === 'sphere') return [o.centre];
  if (o.shape === 'capsule' || o.shape === 'cylinder') return [o.from, o.to];
  return cornersOfBox(o.min, o.max);
}

/** Points that an obstacle's outline is drawn round: a box's corners, a cylinder's two rims. */
function cornersOf(o: Obstacle): Point[] {
  if (o.shape !== 'cylinder') return pointsOf(o);
  const axis = unit(minus(o.to, o.from));
  const side = unit(cross(axis, Math.abs(axis[2]) < 0.9 ? [0, 0, 1] : [1, 0, 0]));
  const other = cross(axis, side);
  return Array.from({ length: 2 * RIM }, (_, i): Point => {
    const turn = (2 * Math.PI * (i % RIM)) / RIM;
    const [c, s] = [o.radius * Math.cos(turn), o.radius * Math.sin(turn)];
    return (i < RIM ? o.from : o.to).map((v, k) => v + c * side[k]! + s * other[k]!) as Point;
  });
}
const RIM = 32;

/** The plates of all brackets of bars, at ride height. */
const platesOf = (job: Job): Plate[] =>
  linksOf(job.rig).flatMap((link) =>
    LINK_ENDS.flatMap((on) =>
      plateOutlines(job, link, on).map((outline) => ({ member: link.id, on, outline })),
    ),
  );

/** Eyes that were measured once they were welded, as far from where they are drawn as they came out. */
function builtOf({ weld }: Job, mounts: DrawnMount[]): BuiltMark[] {
  const { built = {} } = weld;
  return mounts.flatMap(({ member, key, now, point }) => {
    const id = mountId(member, key);
    const eye = built[id];
    if (!eye) return [];
    const [ahead, left, up] = point;
    const off: Point = [(eye.ahead ?? ahead) - ahead, (eye.left ?? left) - left, (eye.up ?? up) - up];
    return [{ id, at: now.map((v, k) => v + off[k]!) as Point }];
  });
}

/** The holes of every bracket that has them, at ride height. */
function holesOf({ rig, holes }: Job): BayModel['holes'] {
  return Object.entries(holes).flatMap(([path, { lowest, pitch, count }]) => {
    const [member, key] = path.split('/');
    const mount = mountsOf(rig, member!).find((m) => m.key === key);
    if (!mount) return [];
    const points = Array.from({ length: count }, (_, i): Point => [
      mount.point[0],
      mount.point[1],
      lowest + i * pitch,
    ]);
    return [{ on: mount.on, points }];
  });
}

function shapeOf(member: Member, rig: Rig, place: (p: Point) => Point): Shape[] {
  const { drawnAs, outline } = kindOf(member);
  if (drawnAs === 'bar') return [];
  const now = ({ on, point }: OutlinePoint) => (on === 'axle' ? place(point) : point);
  return [{ id: member.id, kind: drawnAs, lines: outline(member, rig).map((line) => line.map(now)) }];
}

/** The bar across the car, in layouts that have one. */
export const lateral = (figure: GhostFigure): Bar | null => figure.bars.find((b) => b.id === PANHARD) ?? null;

/** How far ahead everything stands that a view must have room for, mm. */
export const placesAlong = ({ now, things }: BayModel): number[] => [
  ...now.mounts.map((m) => m.now[0]),
  ...things.flatMap((t) => t.points.map((p) => p[0])),
];
