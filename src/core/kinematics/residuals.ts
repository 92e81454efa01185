import type { Linkage } from './linkage';

/** Unknowns of a pose once both wheels' travel is imposed: x, y (mm), pitch, steer (rad). Roll and z follow. */
export const UNKNOWNS = 4;

/**
 * Evaluates how far an axle's attitude is from satisfying its members, and how that changes with the unknowns.
 * All storage is made once; nothing is allocated by `evaluate`, which is the innermost loop of everything.
 *
 * Attitude is Z-Y-X (steer, pitch, roll; ISO 8855). With e the axle's own y axis, the wheels' difference in lift is
 * track · e_z = track · cos(pitch) · sin(roll), so roll follows from pitch and is no unknown.
 */
export class Residuals {
  readonly rows: number;
  /** residual of each row, mm */
  readonly r: Float64Array;
  /** ∂r/∂(x, y, pitch, steer), row by row */
  readonly J: Float64Array;
  /** ∂r/∂(mean heave, mm) and ∂r/∂(half the wheels' difference in lift, mm), unknowns held */
  readonly rHeave: Float64Array;
  readonly rRoll: Float64Array;
  /** unit vector of each row's bar, chassis end to axle end, chassis axes */
  readonly direction: Float64Array;
  /** rotation, axle to chassis axes, row by row */
  readonly R = new Float64Array(9);
  /** ∂roll/∂pitch and ∂roll/∂(half difference in lift) at held travel and pitch */
  rollPerPitch = 0;
  rollPerLift = 0;
  sinRoll = 0;
  z = 0;

  constructor(readonly linkage: Linkage) {
    this.rows = linkage.rows;
    this.r = new Float64Array(this.rows);
    this.J = new Float64Array(this.rows * UNKNOWNS);
    this.rHeave = new Float64Array(this.rows);
    this.rRoll = new Float64Array(this.rows);
    this.direction = new Float64Array(this.rows * 3);
  }

  /**
   * @param q x, y (mm), pitch, steer (rad)
   * @param left lift of the left wheel centre, mm
   * @param right lift of the right wheel centre, mm
   * @returns the largest residual, mm; NaN where the wheels' difference exceeds what the track allows
   */
  evaluate(q: Float64Array, left: number, right: number): number {
    const { chassis, axle, length, track, tireRadius } = this.linkage;
    const { r, J, R, rHeave, rRoll, direction } = this;
    const x = q[0]!,
      y = q[1]!,
      pitch = q[2]!,
      steer = q[3]!;
    const z = tireRadius + 0.5 * (left + right);
    const cp = Math.cos(pitch),
      sp = Math.sin(pitch);
    const cs = Math.cos(steer),
      ss = Math.sin(steer);
    const sr = (left - right) / (track * cp);
    if (!(Math.abs(sr) < 1)) return NaN;
    const cr = Math.sqrt(1 - sr * sr);
    const rollPerPitch = (sr / cr) * (sp / cp);
    const rollPerLift = 2 / (track * cp * cr);
    this.z = z;
    this.sinRoll = sr;
    this.rollPerPitch = rollPerPitch;
    this.rollPerLift = rollPerLift;
    const r00 = cs * cp,
      r01 = cs * sp * sr - ss * cr,
      r02 = cs * sp * cr + ss * sr;
    const r10 = ss * cp,
      r11 = ss * sp * sr + cs * cr,
      r12 = ss * sp * cr - cs * sr;
    const r20 = -sp,
      r21 = cp * sr,
      r22 = cp * cr;
    R[0] = r00;
    R[1] = r01;
    R[2] = r02;
    R[3] = r10;
    R[4] = r11;
    R[5] = r12;
    R[6] = r20;
    R[7] = r21;
    R[8] = r22;
    // Angular velocity per unit pitch: about the steered y axis, plus the roll that keeps the wheels' lift.
    const wx = -ss + rollPerPitch * r00,
      wy = cs + rollPerPitch * r10,
      wz = rollPerPitch * r20;

    let worst = 0;
    for (let i = 0, k = 0; i < this.rows; i++, k += 3) {
      const a0 = axle[k]!,
        a1 = axle[k + 1]!,
        a2 = axle[k + 2]!;
      const ax = r00 * a0 + r01 * a1 + r02 * a2;
      const ay = r10 * a0 + r11 * a1 + r12 * a2;
      const az = r20 * a0 + r21 * a1 + r22 * a2;
      const dx = x + ax - chassis[k]!,
        dy = y + ay - chassis[k + 1]!,
        dz = z + az - chassis[k + 2]!;
      const d = Math.sqrt(dx * dx + dy * dy + dz * dz);
      const residual = d - length[i]!;
      const ux = dx / d,
        uy = dy / d,
        uz = dz / d;
      // Moment of the unit force along the bar about the axle's centre.
      const mx = ay * uz - az * uy,
        my = az * ux - ax * uz,
        mz = ax * uy - ay * ux;
      r[i] = residual;
      direction[k] = ux;
      direction[k + 1] = uy;
      direction[k + 2] = uz;
      const j = i * UNKNOWNS;
      J[j] = ux;
      J[j + 1] = uy;
      J[j + 2] = mx * wx + my * wy + mz * wz;
      J[j + 3] = mz;
      rHeave[i] = uz;
      rRoll[i] = (mx * r00 + my * r10 + mz * r20) * rollPerLift;
      const size = residual < 0 ? -residual : residual;
      if (!(size <= worst)) worst = size;
    }
    return worst;
  }
}
