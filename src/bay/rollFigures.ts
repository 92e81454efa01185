import { carry, type Attitude } from '@/core/kinematics/attitude';
import type { Job } from '@/core/job/schema';
import type { Point } from '@/core/rig/schema';
import { stowedFeet, swayBarOf, type BarDesign } from '@/core/roll/barDesign';
import { feetIn, lineAt, turningOf, turnsTo } from '@/core/roll/motion';
import { shockStands, standsOf } from '@/core/roll/springDesign';

/** What holds the car up in roll, as it stands in a pose. */
export type RollFigures = {
  bar: { on: BarDesign['mountedOn']; line: Point[]; od: number; housing: Point[] | null } | null;
  /** end links, bar to foot; loose ones lie where they are stowed */
  links: { line: [Point, Point]; loose: boolean }[];
  springs: { kind: 'coil' | 'air'; line: [Point, Point] }[];
  shocks: [Point, Point][];
};

const SIDES = [1, -1] as const;

export function rollFigures({ roll, rig }: Job, pose: Attitude): RollFigures {
  const place = carry(pose, rig.tireRadius);
  const { springs, shock } = roll;
  const placed = ([frame, axle]: [Point, Point]): [Point, Point] => [frame, place(axle)];
  return {
    ...(roll.bar ? barFigures(roll.bar, rig.tireRadius, pose) : { bar: null, links: [] }),
    springs:
      springs && springs.kind !== 'leaf'
        ? SIDES.map((side) => ({ kind: springs.kind, line: placed(standsOf(springs, side, rig.tireRadius)) }))
        : [],
    shocks: shock?.apart ? SIDES.map((side) => placed(shockStands(shock.apart!, side))) : [],
  };
}

/** The bar with its arms turned as far as its links turn them; where they cannot follow, as it stands at ride height. */
function barFigures(
  design: BarDesign,
  tireRadius: number,
  pose: Attitude,
): Pick<RollFigures, 'bar' | 'links'> {
  const built = swayBarOf(design);
  const turning = turningOf(built);
  const loose = !design.hooked;
  const stowed = loose ? stowedFeet(design) : null;
  const ends = stowed ?? (turning ? feetIn(turning, pose, tireRadius) : built.links);
  const hung = !loose || stowed !== null;
  const turns = hung && turning ? turnsTo(turning, ends, loose) : { left: null, right: null };
  const line = turning
    ? lineAt(turning, { left: turns.left ?? 0, right: turns.right ?? 0 })
    : built.centreline;
  const carried = design.mountedOn === 'axle' ? carry(pose, tireRadius) : (p: Point) => p;
  const [left, right] = [line[0]!, line.at(-1)!];
  return {
    bar: {
      on: design.mountedOn,
      line: line.map(carried),
      od: design.od,
      housing: design.housing === null ? null : built.bushings.map(carried),
    },
    links: hung
      ? [
          { line: [carried(left), carried(ends.left)], loose },
          { line: [carried(right), carried(ends.right)], loose },
        ]
      : [],
  };
}
