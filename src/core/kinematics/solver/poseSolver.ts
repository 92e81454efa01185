import type { Linkage } from './linkage';
import { solveInPlace } from '@/core/numerics/gaussianElimination';
import { Residuals } from './residuals';

/** Residual at which an exactly constrained pose is accepted, mm; the promise is 1e-9. */
const TOLERANCE = 1e-10;
/** Step at which an over-constrained pose is accepted (mm, and rad on a metre). */
const STEP_TOLERANCE = 1e-11;
const NEWTON_LIMIT = 12;
const DESCENT_LIMIT = 30;
/**
 * Shortest part of the way that the march towards a pose tries, as a fraction of the whole way, and the most tries: past
 * them, a linkage is creeping towards a place it cannot pass. Where members give there is no sharp end, and less to find.
 */
const SHORTEST_STRIDE = { exact: 1e-6, giving: 1e-3 };
const MOST_TRIES = { exact: 120, giving: 40 };
/** A single Newton step longer than this (mm, rad) has left the branch of poses that the axle can follow. */
const LONGEST_STEP = 150;
const LARGEST_TURN = 0.4;
const RADIANS_TO_MM = 1000;
/** Lifts this near to those last solved are started from them, mm; steps this much alike are even. */
const NEAR = 25;
const EVEN = 1e-9;
/** Steps of central differences; their error is far below what the results need. */
const STEP_MM = 1e-3;
const STEP_RADIANS = 1e-6;

/**
 * Finds the pose of an axle whose wheels are lifted by given amounts.
 *
 * With as many members as unknowns, Newton's method satisfies each to 1e-9 mm. With more, the pose minimises
 * ½ Σ rate·residual² (the members and their bushings give). Every solution is reached from ride height along one
 * unbroken path: a pose across a dead centre, where the linkage would have to snap through, is not accepted.
 */
export class PoseSolver {
  readonly residuals: Residuals;
  /** x, y (mm), pitch, steer (rad), each crank's turn (rad), the tube's twist (rad), of the last pose solved */
  readonly q: Float64Array;
  /** ∂q/∂(mean heave) and ∂q/∂(half the difference in lift), interleaved, filled by `rates` */
  readonly qRates: Float64Array;
  readonly exact: boolean;
  left = 0;
  right = 0;

  /** unknowns */
  readonly n: number;
  private readonly ride: Float64Array;
  private readonly start: Float64Array;
  private readonly older: Float64Array;
  private readonly secondOldest: Float64Array;
  private readonly oldest: Float64Array;
  private readonly A: Float64Array;
  private readonly b: Float64Array;
  private readonly gradientPlus: Float64Array;
  private readonly gradientMinus: Float64Array;
  private orientation = 0;
  private solvedRide = false;
  /** whether the last pose asked for was reached; how many before it at even steps, and those steps, mm */
  private reached = false;
  private known = 0;
  private stepLeft = 0;
  private stepRight = 0;

  constructor(readonly linkage: Linkage) {
    this.residuals = new Residuals(linkage);
    this.n = this.residuals.unknowns;
    this.exact = linkage.rows === this.n;
    const vector = () => new Float64Array(this.n);
    [this.q, this.ride, this.start, this.older, this.secondOldest, this.oldest] = [
      vector(),
      vector(),
      vector(),
      vector(),
      vector(),
      vector(),
    ];
    [this.b, this.gradientPlus, this.gradientMinus] = [vector(), vector(), vector()];
    this.A = new Float64Array(this.n * this.n);
    this.qRates = new Float64Array(this.n * 2);
  }

  /** Solves at ride height, the start of every path. @returns whether the members can be assembled there */
  solveRide(): boolean {
    this.q.fill(0);
    this.orientation = 0;
    this.solvedRide = this.converge(0, 0);
    this.ride.set(this.q);
    return this.solvedRide;
  }

  /**
   * Solves for given wheel lifts (mm), marching from ride height in strides as long as the linkage allows.
   *
   * @returns whether the pose was reached; if not, `left` and `right` are the farthest lifts that were
   */
  solve(left: number, right: number): boolean {
    if (!this.solvedRide && !this.solveRide()) return false;
    this.q.set(this.ride);
    this.left = this.right = 0;
    const kind = this.exact ? 'exact' : 'giving';
    let reached = 0;
    let stride = 1;
    for (let tries = 0; reached < 1 && tries < MOST_TRIES[kind]; tries++) {
      const target = Math.min(1, reached + stride);
      this.start.set(this.q);
      if (this.converge(left * target, right * target)) {
        reached = target;
        stride *= 2;
      } else {
        this.q.set(this.start);
        stride /= 2;
        if (stride < SHORTEST_STRIDE[kind]) break;
      }
    }
    this.left = left * reached;
    this.right = right * reached;
    this.residuals.evaluate(this.q, this.left, this.right);
    this.reached = reached === 1;
    return this.reached;
  }

  /**
   * The same, started from the pose last solved where that is near: along a path or over a grid, one step of Newton's method
   * is mostly enough. Where it does not lead there, the march from ride height does.
   */
  solveNext(left: number, right: number): boolean {
    const { q, start, older, secondOldest, oldest } = this;
    const [byLeft, byRight] = [left - this.left, right - this.right];
    const near = this.reached && Math.abs(byLeft) <= NEAR && Math.abs(byRight) <= NEAR;
    const even = Math.abs(byLeft - this.stepLeft) < EVEN && Math.abs(byRight - this.stepRight) < EVEN;
    if (!near || !even) this.known = 0;
    start.set(q);
    // After three or four poses at even steps, the next is where the parabola or the cubic through them goes.
    if (this.known >= 3)
      for (let k = 0; k < this.n; k++) q[k] = 4 * (q[k]! + secondOldest[k]!) - 6 * older[k]! - oldest[k]!;
    else if (this.known === 2)
      for (let k = 0; k < this.n; k++) q[k] = 3 * (q[k]! - older[k]!) + secondOldest[k]!;
    const reached = near && this.converge(left, right);
    if (reached) {
      this.left = left;
      this.right = right;
    } else if (!this.solve(left, right)) return false;
    oldest.set(secondOldest);
    secondOldest.set(older);
    older.set(start);
    this.known = reached ? this.known + 1 : 0;
    this.stepLeft = byLeft;
    this.stepRight = byRight;
    return true;
  }

  /**
   * Solves every pose of a grid of wheel lifts, each started from its neighbour, without allocating.
   *
   * @param lefts left lifts, mm
   * @param rights right lifts, mm
   * @param out q of each pose, `lefts.length × rights.length × unknowns`; NaN where the members cannot reach
   * @param visit called after each pose with its index and whether it was reached
   */
  solveGrid(
    lefts: Float64Array,
    rights: Float64Array,
    out: Float64Array,
    visit?: (index: number, reached: boolean) => void,
  ): void {
    const columns = rights.length;
    for (let i = 0; i < lefts.length; i++) {
      // Serpentine, so that the next pose is always a neighbour of the last.
      for (let s = 0; s < columns; s++) {
        const j = i & 1 ? columns - 1 - s : s;
        const reached = this.solveNext(lefts[i]!, rights[j]!);
        const at = (i * columns + j) * this.n;
        for (let k = 0; k < this.n; k++) out[at + k] = reached ? this.q[k]! : NaN;
        visit?.(i * columns + j, reached);
      }
    }
  }

  /**
   * How the pose just solved moves with the wheels, into `qRates`, from the implicit function theorem.
   * @returns false at a dead centre, where it has no answer
   */
  rates(): boolean {
    const { residuals, A, qRates } = this;
    if (this.exact) {
      for (let i = 0; i < this.n; i++) {
        qRates[2 * i] = -residuals.rHeave[i]!;
        qRates[2 * i + 1] = -residuals.rRoll[i]!;
      }
      A.set(residuals.J);
    } else {
      this.gradientRates();
      this.hessian(this.left, this.right);
    }
    return solveInPlace(A, qRates, this.n, 2) !== 0;
  }

  /** ½ Σ rate·residual², N·mm; what the bushings store. */
  energy(): number {
    const { r } = this.residuals;
    let e = 0;
    for (let i = 0; i < r.length; i++) e += 0.5 * this.linkage.rate[i]! * r[i]! * r[i]!;
    return this.exact ? 0 : e;
  }

  /** Force in each row because it is asked for more than it can give, rate·residual, N (windup N·mm). */
  tensions(): Float64Array {
    return this.residuals.r.map((r, i) => (this.exact ? 0 : this.linkage.rate[i]! * r));
  }

  private converge(left: number, right: number): boolean {
    return this.exact ? this.newton(left, right) : this.descend(left, right);
  }

  private newton(left: number, right: number): boolean {
    const { residuals, q, A, b } = this;
    let determinant = 0;
    for (let n = 0; n < NEWTON_LIMIT; n++) {
      residuals.evaluate(q, left, right);
      const { worst } = residuals;
      if (worst <= TOLERANCE) return this.keepsOrientation(determinant || this.determinantHere());
      if (!(worst < Infinity)) return false;
      A.set(residuals.J);
      b.set(residuals.r);
      determinant = solveInPlace(A, b, this.n, 1);
      if (determinant === 0 || !this.step()) return false;
    }
    return false;
  }

  /** Newton's method on the energy, whose gradient is analytic; Gauss–Newton alone slows down where much bind is stored. */
  private descend(left: number, right: number): boolean {
    const { residuals, q, A, b } = this;
    for (let n = 0; n < DESCENT_LIMIT; n++) {
      residuals.evaluate(q, left, right);
      if (!(residuals.worst < Infinity)) return false;
      this.gradient(b);
      if (n < 4) this.gaussNewton();
      else this.hessian(left, right);
      const determinant = solveInPlace(A, b, this.n, 1);
      if (determinant <= 0 || !this.step()) return false;
      let size = Math.max(Math.abs(b[0]!), Math.abs(b[1]!));
      for (let k = 2; k < this.n; k++) size = Math.max(size, RADIANS_TO_MM * Math.abs(b[k]!));
      if (size < STEP_TOLERANCE) {
        residuals.evaluate(q, left, right);
        return true;
      }
    }
    return false;
  }

  private step(): boolean {
    const { q, b } = this;
    if (Math.abs(b[0]!) > LONGEST_STEP || Math.abs(b[1]!) > LONGEST_STEP) return false;
    for (let k = 2; k < this.n; k++) if (Math.abs(b[k]!) > LARGEST_TURN) return false;
    for (let k = 0; k < this.n; k++) q[k]! -= b[k]!;
    return true;
  }

  private determinantHere(): number {
    this.A.set(this.residuals.J);
    return solveInPlace(this.A, this.b, this.n, 1);
  }

  /** The sign of the determinant turns only where the path crosses a dead centre. */
  private keepsOrientation(determinant: number): boolean {
    if (this.orientation === 0) this.orientation = determinant;
    return determinant === this.orientation;
  }

  private gradient(into: Float64Array): void {
    const { r, J, rows } = this.residuals;
    into.fill(0);
    for (let i = 0; i < rows; i++) {
      const f = this.linkage.rate[i]! * r[i]!;
      for (let k = 0; k < this.n; k++) into[k]! += f * J[i * this.n + k]!;
    }
  }

  private gaussNewton(): void {
    const { J, rows } = this.residuals;
    const { A } = this;
    A.fill(0);
    for (let i = 0; i < rows; i++) {
      const k = this.linkage.rate[i]!;
      for (let a = 0; a < this.n; a++) {
        for (let c = 0; c < this.n; c++) A[a * this.n + c]! += k * J[i * this.n + a]! * J[i * this.n + c]!;
      }
    }
  }

  /** Second derivatives of the energy by central differences of its gradient. */
  private hessian(left: number, right: number): void {
    const { q, A, gradientPlus, gradientMinus } = this;
    for (let a = 0; a < this.n; a++) {
      const h = a < 2 ? STEP_MM : STEP_RADIANS;
      const kept = q[a]!;
      q[a] = kept + h;
      this.residuals.evaluate(q, left, right);
      this.gradient(gradientPlus);
      q[a] = kept - h;
      this.residuals.evaluate(q, left, right);
      this.gradient(gradientMinus);
      q[a] = kept;
      for (let c = 0; c < this.n; c++) A[c * this.n + a] = (gradientPlus[c]! - gradientMinus[c]!) / (2 * h);
    }
    this.residuals.evaluate(q, left, right);
  }

  private gradientRates(): void {
    const { q, qRates, left, right, gradientPlus, gradientMinus } = this;
    const h = STEP_MM;
    for (let s = 0; s < 2; s++) {
      const other = s === 0 ? h : -h;
      this.residuals.evaluate(q, left + h, right + other);
      this.gradient(gradientPlus);
      this.residuals.evaluate(q, left - h, right - other);
      this.gradient(gradientMinus);
      for (let c = 0; c < this.n; c++) qRates[2 * c + s] = -(gradientPlus[c]! - gradientMinus[c]!) / (2 * h);
    }
  }
}
