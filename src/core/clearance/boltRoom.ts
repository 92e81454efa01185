import { convexMeet } from '@/core/geometry/convexDistance';
import type { Support } from '@/core/geometry/overlapDepth';
import type { Point } from '@/core/geometry/vector';
import type { Body as Carrier } from '@/core/rig/members/kind';
import type { Rig } from '@/core/rig/schema';
import { bodiesOf, type Body } from './bodies';
import { shifted, supportOf, supportOfBody } from './solids';

/**
 * A bolt in its bracket, mm: what carries it; the middle of its eye; its axis, a unit vector; how far the outer faces of the plates are from
 * there; its length under its head; its diameter.
 */
export type BoltPlace = {
  on: Carrier;
  eye: Point;
  axis: Point;
  face: number;
  length: number;
  diameter: number;
};

/**
 * What is in the way on one side of a bolt, by id: of the bolt as it is drawn out, head first, and of a wrench on what sits there; null where
 * nothing is, at ride height or, `hanging`, with the axle let down; what comes off by itself only where nothing else is.
 */
export type BoltSide = { out: string | null; wrench: string | null; hanging: boolean };

/** A hexagon head over its corners and its height, and what a box wrench takes round it and along the bolt, in diameters (ISO 4014, ISO 7738, from memory). */
const HEAD = { across: 1.73, high: 0.64 };
const WRENCH = { across: 2.4, high: 1 };

/** A body to be held against: where it stands, and the box round it, mm. */
type Standing = { id: string; support: Support; low: Point; high: Point };

/**
 * What stands round the bolts of a car as it is raised: of a bolt, its way along the axis (`along`) and the other (`against`).
 *
 * @param comesOff ids of what is taken off for such work anyway: the wheels
 * @param droop how far the axle can be let down, mm
 */
export function boltRooms(
  rig: Rig,
  { comesOff, droop }: { comesOff: string[]; droop: number },
): (bolt: BoltPlace, own: string[]) => { along: BoltSide; against: BoltSide } {
  const late = ({ id }: Body): number => Number(comesOff.includes(id));
  const bodies = bodiesOf(rig).sort((a, b) => late(a) - late(b));
  // Let down, the axle and the frame are that much farther apart; what reaches from one to the other is taken as it stands at ride height.
  const lowered = (on: Carrier): Standing[] =>
    bodies.map((body) =>
      standing(body, body.on === 'both' || body.on === on ? 0 : on === 'axle' ? droop : -droop),
    );
  const around = bodies.map((body) => standing(body, 0));
  const isFree = (by: string | null): boolean => by === null || comesOff.includes(by);
  const freedom = ({ out, wrench }: Omit<BoltSide, 'hanging'>): number =>
    Number(isFree(out)) + Number(isFree(wrench));
  return (bolt, own) => {
    const sideOf = (side: 1 | -1): BoltSide => {
      const { length, diameter } = bolt;
      const among = (list: Standing[]) => ({
        out: meets(list, own, roomOf(bolt, side, length + HEAD.high * diameter, HEAD.across)),
        wrench: meets(list, own, roomOf(bolt, side, WRENCH.high * diameter, WRENCH.across)),
      });
      const stands = among(around);
      if (freedom(stands) === 2) return { ...stands, hanging: false };
      const hangs = among(lowered(bolt.on));
      const isBetter = freedom(hangs) > freedom(stands);
      return { ...(isBetter ? hangs : stands), hanging: isBetter };
    };
    return { along: sideOf(1), against: sideOf(-1) };
  };
}

/** The room that something round takes from the face of a bracket on, mm far and so many diameters across. */
function roomOf(
  { eye, axis, face, diameter }: BoltPlace,
  side: 1 | -1,
  far: number,
  across: number,
): Standing {
  const middle = side * (face + far / 2);
  const centre = eye.map((v, k) => v + middle * axis[k]!) as Point;
  const support = supportOf({
    kind: 'cylinder',
    centre,
    axis,
    half: far / 2,
    radius: (across * diameter) / 2,
  });
  return boxed('', support);
}

/** The first of a list that a room meets, by id; of what is not the bolt's own. */
const meets = (list: Standing[], own: string[], room: Standing): string | null =>
  list.find(
    (other) =>
      !own.includes(other.id) &&
      AXES.every((k) => other.low[k]! <= room.high[k]! && other.high[k]! >= room.low[k]!) &&
      convexMeet(room.support, other.support),
  )?.id ?? null;

const AXES = [0, 1, 2] as const;

const standing = (body: Body, up: number): Standing => {
  const support = supportOfBody(body);
  return boxed(body.id, up === 0 ? support : shifted(support, [0, 0, up]));
};

/** A body with the box round it. */
function boxed(id: string, support: Support): Standing {
  const end = (k: number, way: 1 | -1): number => {
    const out: Point = [0, 0, 0];
    support(k === 0 ? way : 0, k === 1 ? way : 0, k === 2 ? way : 0, out);
    return out[k]!;
  };
  const [low, high] = [-1, 1].map((way) => AXES.map((k) => end(k, way as 1 | -1)) as Point) as [Point, Point];
  return { id, support, low, high };
}
