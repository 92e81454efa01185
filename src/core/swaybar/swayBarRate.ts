import { changePerRadian, type SmallMotions } from '@/core/kinematics/smallMotions';
import { axleToChassis, chassisToAxle, type Attitude } from '@/core/kinematics/attitude';
import { InputError } from '@/core/rig/read';
import type { Rig, SwayBar } from '@/core/rig/schema';
import { dot, minus, unit, type Point } from '@/core/geometry/vector';
import { centrelineOf, type Centreline } from './centreline';
import { deflect, type Deflected } from '@/core/beam/beamFrame';

import type { Section } from '@/core/beam/section';
import { perDegree, toRadians } from '@/core/geometry/angle';
import { SIDES, signOf, type Side } from '@/core/geometry/side';

export type SwayBarAnswer = {
  id: string;
  /** N for a mm of relative travel of the two eyes */
  rate: number;
  /** N·mm for a degree of roll */
  rollRate: number;
  /** von Mises stress for a degree of roll, N/mm², and where in the bar */
  maxStress: number;
  maxStressAt: Point;
  /** share of what the bar stores that is twist, the rest is bending */
  torsionShare: number;
};

/**
 * What a sway bar does: its rate from the frame model of its true centreline, bushings holding it across its axis and free
 * along and about it; its roll rate from how far the links move its eyes as the axle rolls at constant mean heave.
 *
 * The bar is free to swing about its bushings, so that of any two movements v of its eyes only one combination is stored: v_left −
 * lever·v_right, lever the left arm to the right one; the right eye held, force and movement of the left give its stiffness k.
 * Rate = 2·energy/(relative travel)² for eyes moved u and −u, k(1 + lever)²/4; roll rate = k(v_left − lever·v_right)².
 *
 * @param twisted the bar by itself, where it has been worked out already
 * @throws InputError where the bar cannot be held, or an end link lies flat
 */
export function swayBar(
  rig: Rig,
  bar: SwayBar,
  small: SmallMotions,
  path: string,
  twisted = barTwisted(bar, path),
): SwayBarAnswer {
  const { rate, stiffness, lever, eyes, stress, stressAt, torsionShare } = twisted;
  const wound = changePerRadian(small, (pose) => {
    const [left, right] = eyeTravels(rig, bar, eyes, pose, path);
    return left - lever * right;
  });
  // An eye on the axis of its own bar cannot turn it.
  if (!Number.isFinite(rate) || !Number.isFinite(stiffness * wound ** 2))
    throw new InputError(path, 'its arms have no length: use a hole farther out, or a longer arm');
  return {
    id: bar.id,
    rate,
    rollRate: perDegree(stiffness * wound ** 2),
    maxStress: Math.abs(perDegree(wound)) * stress,
    maxStressAt: stressAt,
    torsionShare,
  };
}

/**
 * A bar by itself: N for a mm that its eyes part; N for a mm of its left eye with the right one held, and the left arm to the
 * right one; von Mises stress for that mm, N/mm², and where; share of twist.
 */
export type Twisted = {
  rate: number;
  stiffness: number;
  lever: number;
  stress: number;
  stressAt: Point;
  torsionShare: number;
  eyes: [left: Point, right: Point];
};

/** @throws InputError where the bar cannot be held */
export function barTwisted(bar: SwayBar, path: string): Twisted {
  const line = centrelineOf(bar.centreline, bar.bushings);
  const unitLoad = underUnitLoad(bar, line, path);
  const stiffness = 1 / unitLoad.move(0)[2];
  if (!Number.isFinite(stiffness) || stiffness <= 0)
    throw new InputError(path, 'its bushings do not hold it, or its eyes lie on the line through them');
  const lever = liftOf(bar, line.nodes[0]!) / liftOf(bar, line.nodes.at(-1)!);
  return {
    rate: (stiffness * (1 + lever) ** 2) / 4,
    stiffness,
    lever,
    stress: stiffness * unitLoad.stress.most,
    stressAt: line.nodes[unitLoad.stress.node]!,
    torsionShare: unitLoad.torsionShare,
    eyes: [line.nodes[0]!, line.nodes.at(-1)!],
  };
}

/** How far a place of a bar goes up as the bar swings about its bushings, mm for a radian. */
function liftOf({ bushings: [a, b] }: SwayBar, p: Point): number {
  const axis = unit(minus(a, b));
  const d = minus(p, b);
  return axis[0] * d[1] - axis[1] * d[0];
}

function underUnitLoad(bar: SwayBar, { nodes, bushings }: Centreline, path: string): Deflected {
  const [left, right] = bushings;
  if (left!.node === right!.node)
    throw new InputError(`${path}.bushings`, 'both hold the same place of the bar; put them apart');
  const rate = bar.bushingRate ?? null;
  return deflect(
    nodes,
    sectionsOf(bar, nodes.length - 1),
    [
      // Along the bar nothing pulls: held in one bushing it stays where it is.
      { ...left!, alongToo: true, rate },
      { ...right!, alongToo: false, rate },
      { node: nodes.length - 1, vertical: true },
    ],
    [{ node: 0, force: [0, 0, 1] }],
  );
}

/** The bar all along, or a flat arm for its first and last piece. */
function sectionsOf({ od, wall, E, G, arms }: SwayBar, pieces: number): Section | Section[] {
  const round = { od, wall: wall ?? null, E, G };
  if (!arms) return round;
  const { height, thickness } = arms;
  const plate = (side: Side): Section => ({ height, thickness, up: upOf(arms.turnedDeg, side), E, G });
  return Array.from({ length: pieces }, (_, i) =>
    i === 0 ? plate('left') : i === pieces - 1 ? plate('right') : round,
  );
}

/** The direction of a flat arm's height: on edge it stands upright; turned, it lies over outboard. */
function upOf(turnedDeg: number, side: Side): Point {
  const turned = toRadians(turnedDeg);
  return [0, signOf(side) * Math.sin(turned), Math.cos(turned)];
}

/** How far each eye goes up, on the body that carries the bar, to keep its end link's length in a pose of the axle. */
export function eyeTravels(
  rig: Rig,
  bar: SwayBar,
  eyes: [Point, Point],
  pose: Attitude,
  path: string,
): [number, number] {
  const moved =
    bar.mountedOn === 'chassis' ? axleToChassis(pose, rig.tireRadius) : chassisToAxle(pose, rig.tireRadius);
  return SIDES.map((side, i) => {
    const [eye, far] = [eyes[i]!, bar.links[side]];
    const rest = minus(far, eye);
    const now = minus(moved(far), eye);
    const under = dot(rest, rest) - now[0] ** 2 - now[1] ** 2;
    if (under <= 0 || Math.abs(unit(rest)[2]) < FLAT)
      throw new InputError(
        `${path}.links.${side}`,
        'the end link lies flat: it cannot lift its eye; stand it up',
      );
    return now[2] - Math.sign(rest[2]) * Math.sqrt(under);
  }) as [number, number];
}

/** Sine of the least slope of an end link that still lifts an eye. */
const FLAT = 0.02;
