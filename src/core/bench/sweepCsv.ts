import { reachedPoints } from '@/core/locate/travel/travelCurve';
import Papa from 'papaparse';
import type { CurvePoint } from '@/core/locate/types';
import type { TravelMap } from '@/core/locate/travel/travelMap';
import type { RideRow } from '@/core/springs/springTravel';
import type { RollRow } from '@/core/swaybar/swayBarOverTravel';
import type { Corner } from '@/core/balance/steadyCorner';

/** A sweep as comma-separated text: one line a place, every column named with its unit, empty where there is no value. */
function toCsv<T>(rows: T[], columns: [name: string, of: (row: T) => number | null | undefined][]): string {
  const data = rows.map((row) => columns.map(([, of]) => of(row) ?? ''));
  return Papa.unparse({ fields: columns.map(([name]) => name), data }, { newline: '\n' }) + '\n';
}

/** All quantities over the travel of both wheels together. */
export const curveToCsv = (curve: CurvePoint[]): string =>
  toCsv(reachedPoints(curve), [
    ['lift_mm', (p) => p.lift],
    ['axle_left_mm', (p) => p.y],
    ['roll_centre_height_mm', (p) => p.rollCentreHeight],
    ['anti_squat_pct', (p) => p.antiSquat],
    ['roll_steer_deg_per_deg', (p) => p.rollSteer],
    ['steer_deg', (p) => p.steerDeg],
    ['pitch_nose_down_deg', (p) => p.pitchDeg],
    ['wheel_steer_deg', (p) => p.wheelSteer],
    ['plunge_mm', (p) => p.plunge],
    ['front_joint_deg', (p) => p.frontJoint],
    ['rear_joint_deg', (p) => p.rearJoint],
  ]);

/** One quantity over heave and roll: a line for every place that was worked out. */
export const mapToCsv = ({ columns, rows, values }: TravelMap, name: string): string =>
  toCsv(
    values.map((value, i) => ({
      heave: columns[i % columns.length]!,
      tilt: rows[Math.floor(i / columns.length)]!,
      value,
    })),
    [
      ['left_lift_mm', (p) => p.heave + p.tilt],
      ['right_lift_mm', (p) => p.heave - p.tilt],
      [name, (p) => p.value],
    ],
  );

/** Spring, shock and stop over the travel of both wheels together. */
export const rideToCsv = (rows: RideRow[]): string =>
  toCsv(rows, [
    ['lift_mm', (p) => p.lift],
    ['spring_length_mm', (p) => p.length],
    ['spring_force_N', (p) => p.force],
    ['wheel_load_N', (p) => p.load],
    ['wheel_rate_N_per_mm', (p) => p.rate],
    ['shock_length_mm', (p) => p.shock],
    ['air_pressure_MPa', (p) => p.pressure],
  ]);

/** Sway bar and end links over the roll of the axle. */
export const rollToCsv = (rows: RollRow[]): string =>
  toCsv(rows, [
    ['axle_roll_deg', (p) => p.rollDeg],
    ['eyes_apart_mm', (p) => p.apart],
    ['pull_at_each_eye_N', (p) => p.force],
    ['bar_stress_MPa', (p) => p.stress],
    ['joint_at_bar_deg', (p) => p.bar],
    ['joint_at_foot_deg', (p) => p.foot],
    ['arm_to_link_deg', (p) => p.square],
  ]);

/** The car in harder and harder corners. */
export const cornersToCsv = (corners: Corner[]): string =>
  toCsv(corners, [
    ['corner_g', (c) => c.g],
    ['lean_deg', (c) => c.rollDeg],
    ['front_share_pct', (c) => (c.g > 0 ? 100 * c.frontShare : null)],
    ['front_inside_N', (c) => c.wheels.front.inside],
    ['front_outside_N', (c) => c.wheels.front.outside],
    ['rear_inside_N', (c) => c.wheels.rear.inside],
    ['rear_outside_N', (c) => c.wheels.rear.outside],
    ['stop_squeezed_mm', (c) => c.stop],
  ]);
