import { putTurn } from '@/core/geometry/angle';
import { Kind, type Linkage } from './linkage';

/**
 * Unknowns of an axle once both wheels' travel is imposed: x, y (mm), pitch, steer (rad). Cranks (rad) follow them, and last the
 * twist of the axle's tube (rad) where it twists.
 */
export const AXLE_UNKNOWNS = 4;

/**
 * Evaluates how far an axle's attitude is from satisfying its members, and how that changes with the unknowns.
 * All storage is made once; nothing is allocated by `evaluate`, which is the innermost loop of everything.
 *
 * Attitude is Z-Y-X (steer, pitch, roll; ISO 8855). With e the axle's own y axis, the wheels' difference in lift is
 * track · e_z = track · cos(pitch) · sin(roll), so roll follows from pitch and is no unknown.
 *
 * Where the tube twists by τ from wheel to wheel, each axle-fixed point turns about the axle's y axis by its share of it,
 * τ·y/track, before the axle's own attitude.
 *
 * Every row gives, with its residual, the force and the moment about the axle's centre that a unit of tension in it answers:
 * its derivatives with respect to any motion of the axle follow from those two.
 */
export class Residuals {
  readonly rows: number;
  readonly unknowns: number;
  /** residual of each row, mm (windup: rad) */
  readonly r: Float64Array;
  /** ∂r/∂unknowns, row by row */
  readonly J: Float64Array;
  /** ∂r/∂(mean heave, mm) and ∂r/∂(half the wheels' difference in lift, mm), unknowns held */
  readonly rHeave: Float64Array;
  readonly rRoll: Float64Array;
  /** unit force of each row on the axle, and its moment about the axle's centre, chassis axes */
  readonly force: Float64Array;
  readonly moment: Float64Array;
  /** rotation, axle to chassis axes, row by row */
  readonly R = new Float64Array(9);
  /** ∂roll/∂pitch and ∂roll/∂(half difference in lift) at held travel and pitch */
  rollPerPitch = 0;
  /** the largest residual, mm; NaN where the wheels' difference exceeds what the track allows. A field, since a returned fraction would be allocated. */
  worst = 0;
  rollPerLift = 0;
  sinRoll = 0;
  z = 0;

  /** angular velocity per unit of pitch, chassis axes */
  private readonly w = new Float64Array(3);
  /** a crank arm turned, and its velocity per unit of turn */
  private readonly arm = new Float64Array(3);
  private readonly armRate = new Float64Array(3);
  /** an axle-fixed point, turned by its share of the tube's twist, axle axes */
  private readonly point = new Float64Array(3);
  private readonly onlyLinks: boolean;

  constructor(readonly linkage: Linkage) {
    this.rows = linkage.rows;
    this.unknowns = AXLE_UNKNOWNS + linkage.cranks + (linkage.twists ? 1 : 0);
    this.r = new Float64Array(this.rows);
    this.J = new Float64Array(this.rows * this.unknowns);
    this.rHeave = new Float64Array(this.rows);
    this.rRoll = new Float64Array(this.rows);
    this.force = new Float64Array(this.rows * 3);
    this.moment = new Float64Array(this.rows * 3);
    this.onlyLinks = linkage.kind.every((k) => k === Kind.link);
  }

  /**
   * @param q x, y (mm), pitch, steer (rad), then a crank's turn (rad) for each, then the tube's twist (rad)
   * @param left lift of the left wheel centre, mm
   * @param right lift of the right wheel centre, mm
   */
  evaluate(q: Float64Array, left: number, right: number): void {
    const { R, w } = this;
    const { track, tireRadius } = this.linkage;
    const pitch = q[2]!;
    const steer = q[3]!;
    const cp = Math.cos(pitch);
    const sp = Math.sin(pitch);
    const cs = Math.cos(steer);
    const ss = Math.sin(steer);
    const sr = (left - right) / (track * cp);
    if (!(Math.abs(sr) < 1)) {
      this.worst = NaN;
      return;
    }
    const cr = Math.sqrt(1 - sr * sr);
    this.z = tireRadius + 0.5 * (left + right);
    this.sinRoll = sr;
    this.rollPerPitch = (sr / cr) * (sp / cp);
    this.rollPerLift = 2 / (track * cp * cr);
    putTurn(R, cr, sr, cp, sp, cs, ss);
    // About the steered y axis, plus the roll that keeps the wheels' lift.
    w[0] = -ss + this.rollPerPitch * R[0]!;
    w[1] = cs + this.rollPerPitch * R[3]!;
    w[2] = this.rollPerPitch * R[6]!;
    if (this.onlyLinks) this.links(q);
    else this.mixed(q);
  }

  /** The rows of a linkage of plain links, in one tight loop. */
  private links(q: Float64Array): void {
    const x = q[0]!;
    const y = q[1]!;
    const { chassis, axle, length } = this.linkage;
    const { r, J, R, rHeave, rRoll, force, moment, z, rollPerLift, unknowns } = this;
    const r00 = R[0]!,
      r01 = R[1]!,
      r02 = R[2]!,
      r10 = R[3]!,
      r11 = R[4]!,
      r12 = R[5]!,
      r20 = R[6]!,
      r21 = R[7]!,
      r22 = R[8]!;
    const wx = this.w[0]!,
      wy = this.w[1]!,
      wz = this.w[2]!;
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
      const mx = ay * uz - az * uy,
        my = az * ux - ax * uz,
        mz = ax * uy - ay * ux;
      r[i] = residual;
      force[k] = ux;
      force[k + 1] = uy;
      force[k + 2] = uz;
      moment[k] = mx;
      moment[k + 1] = my;
      moment[k + 2] = mz;
      const j = i * unknowns;
      J[j] = ux;
      J[j + 1] = uy;
      J[j + 2] = mx * wx + my * wy + mz * wz;
      J[j + 3] = mz;
      rHeave[i] = uz;
      rRoll[i] = (mx * r00 + my * r10 + mz * r20) * rollPerLift;
      const size = residual < 0 ? -residual : residual;
      if (!(size <= worst)) worst = size;
    }
    this.worst = worst;
  }

  private mixed(q: Float64Array): void {
    const { kind } = this.linkage;
    let worst = 0;
    for (let i = 0; i < this.rows; i++) {
      switch (kind[i]) {
        case Kind.link:
          this.link(i, q);
          break;
        case Kind.slider:
          this.slider(i, q);
          break;
        case Kind.along:
          this.along(i, q);
          break;
        case Kind.windup:
          this.windup(i, q);
          break;
        case Kind.crankOnAxle:
          this.crankOnAxle(i, q);
          break;
        case Kind.torsion:
          this.torsion(i, q);
          break;
        default:
          this.crankOnChassis(i, q);
      }
      const size = Math.abs(this.r[i]!);
      if (!(size <= worst)) worst = size;
    }
    this.worst = worst;
  }

  private link(i: number, q: Float64Array): void {
    const { axle, chassis } = this.linkage;
    const k = 3 * i;
    this.span(i, q, axle[k]!, axle[k + 1]!, axle[k + 2]!, chassis[k]!, chassis[k + 1]!, chassis[k + 2]!);
  }

  /** Puts an axle-fixed point, turned by its share of the tube's twist, into `point`. */
  private twisted(q: Float64Array, x: number, y: number, z: number): void {
    const { point, linkage, unknowns } = this;
    point[1] = y;
    if (linkage.twists) {
      const angle = (q[unknowns - 1]! * y) / linkage.track;
      const c = Math.cos(angle);
      const s = Math.sin(angle);
      point[0] = c * x + s * z;
      point[2] = c * z - s * x;
    } else {
      point[0] = x;
      point[2] = z;
    }
  }

  /** Distance of an axle point (axle axes) from a chassis point, less the row's length. */
  private span(
    i: number,
    q: Float64Array,
    a0: number,
    a1: number,
    a2: number,
    c0: number,
    c1: number,
    c2: number,
  ): void {
    const { R, point } = this;
    this.twisted(q, a0, a1, a2);
    const p0 = point[0]!;
    const p2 = point[2]!;
    const ax = R[0]! * p0 + R[1]! * a1 + R[2]! * p2;
    const ay = R[3]! * p0 + R[4]! * a1 + R[5]! * p2;
    const az = R[6]! * p0 + R[7]! * a1 + R[8]! * p2;
    const dx = q[0]! + ax - c0;
    const dy = q[1]! + ay - c1;
    const dz = this.z + az - c2;
    const d = Math.sqrt(dx * dx + dy * dy + dz * dz);
    this.put(i, d - this.linkage.length[i]!, dx / d, dy / d, dz / d, ax, ay, az);
    this.turnWithTube(i, a1);
  }

  private slider(i: number, q: Float64Array): void {
    const { R } = this;
    const { vector, chassis, axle, track, twists } = this.linkage;
    const k = 3 * i;
    const n0 = vector[k]!;
    const n1 = vector[k + 1]!;
    const n2 = vector[k + 2]!;
    // The held direction in chassis axes, and the pin as seen from the axle's centre.
    const nx = R[0]! * n0 + R[1]! * n1 + R[2]! * n2;
    const ny = R[3]! * n0 + R[4]! * n1 + R[5]! * n2;
    const nz = R[6]! * n0 + R[7]! * n1 + R[8]! * n2;
    const sx = chassis[k]! - q[0]!;
    const sy = chassis[k + 1]! - q[1]!;
    const sz = chassis[k + 2]! - this.z;
    // Where the pin was, as the arm carries it: n · (Rᵀ(pin − c) − (pin − c₀)).
    const y = axle[k + 1]!;
    this.twisted(q, axle[k]!, y, axle[k + 2]!);
    const { point, unknowns } = this;
    const was = n0 * point[0]! + n1 * point[1]! + n2 * point[2]!;
    this.put(i, nx * sx + ny * sy + nz * sz - was, -nx, -ny, -nz, sx, sy, sz);
    if (twists) this.J[(i + 1) * unknowns - 1] = (-y * (n0 * point[2]! - n2 * point[0]!)) / track;
  }

  private along(i: number, q: Float64Array): void {
    const { R } = this;
    const { vector, chassis, axle } = this.linkage;
    const k = 3 * i;
    const a1 = axle[k + 1]!;
    this.twisted(q, axle[k]!, a1, axle[k + 2]!);
    const p0 = this.point[0]!;
    const p2 = this.point[2]!;
    const ax = R[0]! * p0 + R[1]! * a1 + R[2]! * p2;
    const ay = R[3]! * p0 + R[4]! * a1 + R[5]! * p2;
    const az = R[6]! * p0 + R[7]! * a1 + R[8]! * p2;
    const ux = vector[k]!;
    const uy = vector[k + 1]!;
    const uz = vector[k + 2]!;
    const residual =
      ux * (q[0]! + ax - chassis[k]!) +
      uy * (q[1]! + ay - chassis[k + 1]!) +
      uz * (this.z + az - chassis[k + 2]!);
    this.put(i, residual, ux, uy, uz, ax, ay, az);
    this.turnWithTube(i, a1);
  }

  /** Answers with a pure moment about the steered y axis, the axis of pitch. */
  private windup(i: number, q: Float64Array): void {
    const { linkage, unknowns } = this;
    const share = linkage.axle[3 * i + 1]! / linkage.track;
    const twist = linkage.twists ? share * q[unknowns - 1]! : 0;
    this.put(i, q[2]! + twist, 0, 0, 0, 0, 0, 0);
    this.settle(i, -Math.sin(q[3]!), Math.cos(q[3]!), 0);
    if (linkage.twists) this.J[(i + 1) * unknowns - 1] = share;
  }

  /** Stays within the tube: it neither pushes nor turns the axle. */
  private torsion(i: number, q: Float64Array): void {
    const { unknowns } = this;
    this.put(i, q[unknowns - 1]!, 0, 0, 0, 0, 0, 0);
    this.J[(i + 1) * unknowns - 1] = 1;
  }

  private crankOnAxle(i: number, q: Float64Array): void {
    const { axle, chassis, crank } = this.linkage;
    const { arm, armRate, R, point } = this;
    const k = 3 * i;
    const column = AXLE_UNKNOWNS + crank[i]!;
    this.turnArm(i, q[column]!);
    this.span(
      i,
      q,
      axle[k]! + arm[0]!,
      axle[k + 1]! + arm[1]!,
      axle[k + 2]! + arm[2]!,
      chassis[k]!,
      chassis[k + 1]!,
      chassis[k + 2]!,
    );
    // The tip turns with its own share of the tube's twist, which changes as it swings across.
    const share = this.linkage.twists ? q[this.unknowns - 1]! / this.linkage.track : 0;
    const turned = share * (axle[k + 1]! + arm[1]!);
    const [c, s] = [Math.cos(turned), Math.sin(turned)];
    const swing = share * armRate[1]!;
    const w0 = c * armRate[0]! + s * armRate[2]! + swing * point[2]!;
    const w1 = armRate[1]!;
    const w2 = c * armRate[2]! - s * armRate[0]! - swing * point[0]!;
    const vx = R[0]! * w0 + R[1]! * w1 + R[2]! * w2;
    const vy = R[3]! * w0 + R[4]! * w1 + R[5]! * w2;
    const vz = R[6]! * w0 + R[7]! * w1 + R[8]! * w2;
    this.J[i * this.unknowns + column] =
      this.force[k]! * vx + this.force[k + 1]! * vy + this.force[k + 2]! * vz;
  }

  private crankOnChassis(i: number, q: Float64Array): void {
    const { axle, chassis, crank } = this.linkage;
    const { arm, armRate, force } = this;
    const k = 3 * i;
    const column = AXLE_UNKNOWNS + crank[i]!;
    this.turnArm(i, q[column]!);
    this.span(
      i,
      q,
      axle[k]!,
      axle[k + 1]!,
      axle[k + 2]!,
      chassis[k]! + arm[0]!,
      chassis[k + 1]! + arm[1]!,
      chassis[k + 2]! + arm[2]!,
    );
    this.J[i * this.unknowns + column] = -(
      force[k]! * armRate[0]! +
      force[k + 1]! * armRate[1]! +
      force[k + 2]! * armRate[2]!
    );
  }

  /** Turns a row's crank arm about its axis (Rodrigues), and its velocity per radian. */
  private turnArm(i: number, angle: number): void {
    const { vector, axis } = this.linkage;
    const { arm, armRate } = this;
    const k = 3 * i;
    const c = Math.cos(angle);
    const s = Math.sin(angle);
    const e0 = axis[k]!,
      e1 = axis[k + 1]!,
      e2 = axis[k + 2]!;
    const v0 = vector[k]!,
      v1 = vector[k + 1]!,
      v2 = vector[k + 2]!;
    const along = (1 - c) * (e0 * v0 + e1 * v1 + e2 * v2);
    arm[0] = c * v0 + s * (e1 * v2 - e2 * v1) + along * e0;
    arm[1] = c * v1 + s * (e2 * v0 - e0 * v2) + along * e1;
    arm[2] = c * v2 + s * (e0 * v1 - e1 * v0) + along * e2;
    armRate[0] = e1 * arm[2] - e2 * arm[1];
    armRate[1] = e2 * arm[0] - e0 * arm[2];
    armRate[2] = e0 * arm[1] - e1 * arm[0];
  }

  /** Stores what the tube's twist makes of a row that answers at an axle-fixed point, y mm left of the middle. */
  private turnWithTube(i: number, y: number): void {
    const { linkage, unknowns, moment, R } = this;
    if (!linkage.twists) return;
    const k = 3 * i;
    const about = moment[k]! * R[1]! + moment[k + 1]! * R[4]! + moment[k + 2]! * R[7]!;
    this.J[(i + 1) * unknowns - 1] = (y * about) / linkage.track;
  }

  /** Stores a row: its residual, the unit force u it answers with, and that force's arm from the axle's centre. */
  private put(
    i: number,
    r: number,
    ux: number,
    uy: number,
    uz: number,
    ax: number,
    ay: number,
    az: number,
  ): void {
    const k = 3 * i;
    this.r[i] = r;
    this.force[k] = ux;
    this.force[k + 1] = uy;
    this.force[k + 2] = uz;
    this.J[i * this.unknowns] = ux;
    this.J[i * this.unknowns + 1] = uy;
    this.rHeave[i] = uz;
    this.settle(i, ay * uz - az * uy, az * ux - ax * uz, ax * uy - ay * ux);
  }

  /** Stores a row's moment about the axle's centre, and what the unknown angles make of it. */
  private settle(i: number, mx: number, my: number, mz: number): void {
    const { R, w } = this;
    const k = 3 * i;
    const j = i * this.unknowns;
    this.moment[k] = mx;
    this.moment[k + 1] = my;
    this.moment[k + 2] = mz;
    this.J[j + 2] = mx * w[0]! + my * w[1]! + mz * w[2]!;
    this.J[j + 3] = mz;
    this.rRoll[i] = (mx * R[0]! + my * R[3]! + mz * R[6]!) * this.rollPerLift;
  }
}
