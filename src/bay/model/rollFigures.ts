import { SIDES, signOf } from '@/core/geometry/side';
import { axleToChassis, type Attitude } from '@/core/kinematics/attitude';
import { measured } from '@/core/survey/readings';
import { stowedFeet, swayBarOf, type BarDesign } from '@/core/swaybar/swayBarDesign';
import { feetIn, lineAt, turningBar, turnsTo } from '@/core/swaybar/armRotation';
import { shockStands, standsOf, type StopDesign } from '@/core/springs/springDesign';
import type { Point } from '@/core/geometry/vector';
import type { Job } from '@/core/job/jobSchema';

/** What holds the car up in roll, as it stands in a pose. */
export type RollFigures = {
  bar: { on: BarDesign['mountedOn']; line: Point[]; od: number; housing: Point[] | null } | null;
  /** end links, bar to foot; loose ones lie where they are stowed */
  links: { line: [Point, Point]; loose: boolean }[];
  springs: { kind: 'coil' | 'air'; od: number; line: [Point, Point] }[];
  shocks: [Point, Point][];
  /** bump stops, from where they hang to their tips; squeezed where the axle is at them */
  stops: { line: [Point, Point]; squeezed: boolean }[];
};

export function rollFigures({ roll, rig, readings }: Job, pose: Attitude): RollFigures {
  const place = axleToChassis(pose, rig.tireRadius);
  const { springs, shock } = roll;
  const placed = ([frame, axle]: [Point, Point]): [Point, Point] => [frame, place(axle)];
  return {
    ...(roll.bar ? barFigures(roll.bar, rig.tireRadius, pose) : { bar: null, links: [] }),
    springs:
      springs && springs.kind !== 'leaf'
        ? SIDES.map((side) => ({
            kind: springs.kind,
            od: springs.od,
            line: placed(standsOf(springs, side, rig.tireRadius)),
          }))
        : [],
    shocks: shock?.apart ? SIDES.map((side) => placed(shockStands(shock.apart!, side))) : [],
    stops: roll.stop
      ? stopFigures(roll.stop, rig.tireRadius + measured(readings, 'tubeDiameter').value / 2, place)
      : [],
  };
}

/** Above the axle's tube, as far off at ride height as was typed; the rubber gives before the tube does. */
function stopFigures(
  { out, gap, height }: StopDesign,
  top: number,
  place: (p: Point) => Point,
): RollFigures['stops'] {
  return SIDES.map((side) => {
    const y = signOf(side) * out;
    const hangs: Point = [0, y, top + gap + height];
    const tube = place([0, y, top])[2];
    const tip = Math.min(hangs[2] - 0.05 * height, Math.max(hangs[2] - height, tube));
    return { line: [hangs, [0, y, tip]], squeezed: tube > hangs[2] - height };
  });
}

/** The bar with its arms turned as far as its links turn them; where they cannot follow, as it stands at ride height. */
function barFigures(
  design: BarDesign,
  tireRadius: number,
  pose: Attitude,
): Pick<RollFigures, 'bar' | 'links'> {
  const built = swayBarOf(design);
  const turning = turningBar(built);
  const loose = !design.hooked;
  const stowed = loose ? stowedFeet(design) : null;
  const ends = stowed ?? (turning ? feetIn(turning, pose, tireRadius) : built.links);
  const hung = !loose || stowed !== null;
  const turns = hung && turning ? turnsTo(turning, ends, loose) : { left: null, right: null };
  const line = turning
    ? lineAt(turning, { left: turns.left ?? 0, right: turns.right ?? 0 })
    : built.centreline;
  const carried = design.mountedOn === 'axle' ? axleToChassis(pose, tireRadius) : (p: Point) => p;
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
