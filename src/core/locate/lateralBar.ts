import { isLink, linksOf } from '@/core/rig/members';
import { PANHARD } from '@/core/layouts/patterns';
import type { LinkMember, Rig } from '@/core/rig/schema';

/** The bar that locates the axle side to side, as a fabricator would describe it. mm, degrees. */
export type LateralBar = {
  id: string;
  eyeToEye: number;
  /** frame end above axle end */
  rise: number;
  /** tilt in the rear view; positive: climbs to the frame */
  tiltDeg: number;
  /** frame end ahead of axle end */
  sweep: number;
  /** height at which it crosses the car's centreline; null when both ends are on one side */
  crossesAt: number | null;
  /** distance behind the axle where it crosses (negative ahead), or of its middle */
  behind: number;
};

const DEGREES = 180 / Math.PI;

/** Least share of its length that a bar must run across the car to be the one that holds the axle sideways. */
const ACROSS = 0.5;
/** A second bar nearly as much across, leaning the other way, makes a pair of the two. */
const ALIKE = 0.8;

/**
 * The bar that holds the axle sideways: the one so named, else the one that runs most nearly across the car. Null where
 * a crank does it, or a pair of links that lean against each other.
 */
export function findLateralBar(rig: Rig): LinkMember | null {
  const links = linksOf(rig);
  const named = links.find((m) => m.id === PANHARD);
  if (named) return named;
  const [best, next] = [...links].sort((a, b) => acrossness(b) - acrossness(a));
  if (!best || acrossness(best) < ACROSS) return null;
  const paired = next && acrossness(next) > ALIKE * acrossness(best) && lean(next) !== lean(best);
  return paired ? null : best;
}

const lean = ({ chassis, axle }: LinkMember): number => Math.sign(axle[1] - chassis[1]);

export function describeBar({ id, chassis, axle }: LinkMember): LateralBar {
  const [dx, dy, dz] = [chassis[0] - axle[0], chassis[1] - axle[1], chassis[2] - axle[2]];
  const crosses = chassis[1] * axle[1] < 0;
  const t = crosses ? axle[1] / (axle[1] - chassis[1]) : 0.5;
  return {
    id,
    eyeToEye: Math.hypot(dx, dy, dz),
    rise: dz,
    tiltDeg: Math.atan2(dz, Math.hypot(dx, dy)) * DEGREES,
    sweep: dx,
    crossesAt: crosses ? axle[2] + t * dz : null,
    behind: -(axle[0] + t * dx),
  };
}

/** The rig with its member `id` replaced. */
export function withMember(rig: Rig, id: string, change: (member: LinkMember) => LinkMember): Rig {
  return { ...rig, members: rig.members.map((m) => (m.id === id && isLink(m) ? change(m) : m)) };
}

function acrossness({ chassis, axle }: LinkMember): number {
  const dy = Math.abs(chassis[1] - axle[1]);
  return dy / Math.hypot(chassis[0] - axle[0], dy, chassis[2] - axle[2]);
}
