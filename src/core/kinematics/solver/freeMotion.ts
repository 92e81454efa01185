import { Matrix, SingularValueDecomposition } from 'ml-matrix';
import { AXLE_UNKNOWNS, type Residuals } from './residuals';

/** Angles are weighed against lengths at the scale of an axle: one radian counts as this many mm. */
const RADIAN_AS_MM = 500;
const RANK_TOLERANCE = 1e-8;

const MOTIONS = [
  'nothing stops the axle moving forward or back',
  'nothing stops the axle moving sideways',
  'nothing stops the axle turning about its own tube (pinion up and down)',
  'nothing stops the axle steering (one wheel ahead of the other)',
] as const;

/**
 * Which motion the members leave free at the pose last evaluated, as a sentence; null when every motion is held.
 * The free motion is the right null vector of the constraint Jacobian (singular value decomposition).
 */
export function freeMotion(residuals: Residuals): string | null {
  const { svd, weakest } = weakestDirection(residuals);
  if (svd.diagonal[weakest]! > RANK_TOLERANCE * Math.max(...svd.diagonal)) return null;
  const motion = largest(svd.rightSingularVectors.getColumn(weakest));
  if (motion < AXLE_UNKNOWNS) return MOTIONS[motion]!;
  return `nothing stops the crank “${residuals.linkage.crankIds[motion - AXLE_UNKNOWNS]}” turning`;
}

/**
 * Which row runs out at a dead centre: the one that dominates the left null vector, whose bar can be neither
 * lengthened nor shortened by any small move of the axle.
 */
export function exhaustedRow(residuals: Residuals): number {
  const { svd, weakest } = weakestDirection(residuals);
  return largest(svd.leftSingularVectors.getColumn(weakest).slice(0, residuals.rows));
}

function weakestDirection(residuals: Residuals) {
  // Rows of zeros make the matrix tall enough for the decomposition to show every direction.
  const { rows, unknowns } = residuals;
  const J = Matrix.zeros(Math.max(rows, unknowns), unknowns);
  for (let i = 0; i < rows; i++) {
    for (let k = 0; k < unknowns; k++)
      J.set(i, k, residuals.J[i * unknowns + k]! / (k < 2 ? 1 : RADIAN_AS_MM));
  }
  const svd = new SingularValueDecomposition(J);
  return { svd, weakest: svd.diagonal.indexOf(Math.min(...svd.diagonal)) };
}

function largest(column: number[]): number {
  const sizes = column.map(Math.abs);
  return sizes.indexOf(Math.max(...sizes));
}
