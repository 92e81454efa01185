import { assemble } from '@/core/kinematics/mechanism';
import { isReached } from '@/core/kinematics/pose';
import { curveValues } from './travelCurve';
import type { CurveValues, LocateInput } from '@/core/locate/types';

/** A quantity over heave and roll: `values[row * columns.length + column]`, null where the axle cannot go. */
export type TravelMap = {
  /** mean lift of the wheels, mm */
  columns: number[];
  /** lift of the left wheel above the mean, mm */
  rows: number[];
  values: (number | null)[];
};

const STEPS = 25;
/** How far past the stops the map goes, in cells: its lines are drawn up to the edge of the travel, from both sides of it. */
const MARGIN = 2;

/** A quantity over every mixture of both wheels together and one against the other, as far as neither wheel is past its stops. */
export function travelMap(input: LocateInput, key: keyof CurveValues): TravelMap {
  const { rig, bump, droop } = input;
  const { at } = assemble(rig);
  const half = (bump + droop) / 2;
  const cell = (2 * half) / (STEPS - 1);
  const grid = (from: number) => Array.from({ length: STEPS }, (_, i) => from + i * cell);
  const columns = grid(-droop);
  const rows = grid(-half);
  const past = MARGIN * cell + 1e-9;
  const isInTravel = (lift: number) => lift >= -droop - past && lift <= bump + past;
  const valueAt = (heave: number, tilt: number): number | null => {
    const travel = { left: heave + tilt, right: heave - tilt };
    if (!isInTravel(travel.left) || !isInTravel(travel.right)) return null;
    const pose = at(travel);
    return isReached(pose) ? curveValues(pose)[key] : null;
  };
  // To and fro, so that each pose is near the one before: that is where the solver starts from.
  const values = rows.flatMap((tilt, row) => {
    const way = row % 2 === 0 ? columns : columns.toReversed();
    const found = way.map((heave) => valueAt(heave, tilt));
    return row % 2 === 0 ? found : found.reverse();
  });
  return { columns, rows, values };
}
