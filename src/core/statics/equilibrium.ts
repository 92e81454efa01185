import { memberForces } from '@/core/kinematics/memberForces';
import { solveInPlace } from '@/core/numerics/gaussianElimination';
import type { Mechanism } from '@/core/kinematics/mechanism';
import type { Rig } from '@/core/rig/schema';
import { cross, type Point } from '@/core/geometry/vector';

/** Loads on an axle as a rig states them; `inertia` is what its own mass takes of them while the car gathers speed, brakes or corners, N, at its centre. */
export type LoadCase = NonNullable<Rig['loads']>[number] & { inertia?: Point };

/** Forces of one load case: members N (tension positive), springs N (compression positive: pushing the axle down). */
export type LoadAnswer = {
  name: string;
  members: Record<string, number>;
  springLeft: number;
  springRight: number;
};

/**
 * Forces of a load case: static equilibrium of the axle at ride height (with its own inertia, d'Alembert). Forces at the contact
 * patches, at the axle's centre and a torque about x on the axle are carried by the members and by two springs that push
 * straight down at their seats.
 *
 * Unknowns are a small displacement of the axle in each motion that the members hold, and the two spring forces. Every
 * member answers with rate × the stretch of it. Where members and motions balance, the forces are those of statics alone,
 * whatever the rates; where there are more members, the rates share the load. Where the axle's tube twists, forces at its wheels
 * and seats twist it too.
 *
 * @returns null where the members and springs cannot carry a load (a dead centre, or springs on one line with the axle)
 */
export function solveLoad({ rig, atRide }: Mechanism, load: LoadCase): LoadAnswer | null {
  const { residuals, linkage, n } = atRide();
  const { J, force, moment, rows } = residuals;
  const seats = [fromCentre(load.springs.left, rig), fromCentre(load.springs.right, rig)];
  const size = n + 2;
  const A = new Float64Array(size * size);
  const b = new Float64Array(size);

  // Equilibrium row by row: three forces, three moments about the axle's centre, one moment for each crank, one of the tube.
  const equations = size;
  const tube = linkage.twists ? size - 1 : null;
  const share = (row: number, equation: number): number => {
    if (equation < 3) return force[3 * row + equation]!;
    if (equation < 6) return moment[3 * row + equation - 3]!;
    return J[row * n + 4 + equation - 6]!;
  };
  for (let e = 0; e < equations; e++) {
    for (let k = 0; k < n; k++) {
      let sum = 0;
      for (let i = 0; i < rows; i++) sum -= linkage.rate[i]! * J[i * n + k]! * share(i, e);
      A[e * size + k] = sum;
    }
  }
  seats.forEach((seat, s) => {
    // A force straight down, and its moment.
    const push: Point = [0, 0, -1];
    const turn = cross(seat, push);
    for (let e = 0; e < 3; e++) {
      A[e * size + n + s] = push[e]!;
      A[(e + 3) * size + n + s] = turn[e]!;
    }
    if (tube !== null) A[tube * size + n + s] = (seat[1] / rig.track) * turn[1];
  });
  for (const [side, sign] of [
    ['left', 1],
    ['right', -1],
  ] as const) {
    const at: Point = [0, (sign * rig.track) / 2, -rig.tireRadius];
    const turn = cross(at, load.wheel[side]);
    for (let e = 0; e < 3; e++) {
      b[e]! -= load.wheel[side][e]!;
      b[e + 3]! -= turn[e]!;
    }
    // What turns the axle about its own axis twists the tube by its share.
    if (tube !== null) b[tube]! -= (at[1] / rig.track) * turn[1];
  }
  load.inertia?.forEach((force, e) => (b[e]! -= force));
  b[3]! -= load.shaftTorque;

  if (solveInPlace(A, b, size, 1) === 0 || !b.every(Number.isFinite)) return null;
  const tensions = Float64Array.from({ length: rows }, (_, i) => {
    let stretch = 0;
    for (let k = 0; k < n; k++) stretch += J[i * n + k]! * b[k]!;
    return linkage.rate[i]! * stretch;
  });
  return {
    name: load.name,
    members: memberForces(rig, linkage, tensions).forces,
    springLeft: b[n]!,
    springRight: b[n + 1]!,
  };
}

const fromCentre = (p: Point, rig: Rig): Point => [p[0], p[1], p[2] - rig.tireRadius];
