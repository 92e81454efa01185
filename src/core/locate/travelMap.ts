import { assemble } from '@/core/kinematics/mechanism';
import { isReached } from '@/core/kinematics/pose';
import { curveValues } from './travelCurve';
import type { CurveValues, LocateInput } from './types';

/** A quantity over heave and roll: `values[row * columns.length + column]`, null where the axle cannot go. */
export type TravelMap = {
  /** mean lift of the wheels, mm */
  columns: number[];
  /** lift of the left wheel above the mean, mm */
  rows: number[];
  values: (number | null)[];
};

const STEPS = 25;

/** Works a quantity out over every mixture of both wheels together and one against the other. */
export function travelMap(input: LocateInput, key: keyof CurveValues): TravelMap {
  const { rig, bump, droop } = input;
  const { at } = assemble(rig);
  const half = (bump + droop) / 2;
  const grid = (from: number, to: number) =>
    Array.from({ length: STEPS }, (_, i) => from + ((to - from) * i) / (STEPS - 1));
  const columns = grid(-droop, bump);
  const rows = grid(-half, half);
  const values = rows.flatMap((tilt) =>
    columns.map((heave) => {
      const pose = at({ left: heave + tilt, right: heave - tilt });
      return isReached(pose) ? curveValues(pose)[key] : null;
    }),
  );
  return { columns, rows, values };
}
