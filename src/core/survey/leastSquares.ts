import { CholeskyDecomposition, EigenvalueDecomposition, Matrix } from 'ml-matrix';

/** One reading among the redundant ones: what was read, how well, and what it should read for given parameters. */
export type Observation = {
  key: string;
  value: number;
  /** standard uncertainty, in the unit of the value */
  u: number;
  of: (parameters: number[]) => number;
};

export type Residual = {
  key: string;
  value: number;
  /** what it reads in the best fit of all */
  fitted: number;
  /** share of an error in this reading that shows: 0 nothing else checks it, 1 wholly checked */
  redundancy: number;
  /** residual over its own standard deviation; 0 where nothing else checks the reading */
  standardized: number;
  /** what all the other readings say it should be, with its standard uncertainty; null where they say nothing */
  others: { value: number; u: number } | null;
};

export type Adjustment = {
  parameters: number[];
  covariance: Matrix;
  residuals: Residual[];
  /** readings more than are needed */
  redundancy: number;
  /** weighted sum of squared residuals; its expectation is `redundancy` */
  chiSquare: number;
  /** correlation of two standardized residuals, by the order of the observations: at ±1 the two cannot be told apart */
  correlation: (i: number, j: number) => number;
};

const STEPS = 12;
const SETTLED = 1e-5;
/** Holds a step where the readings leave it free; small enough not to be felt where they do not. */
const RIDGE = 1e-8;
const RANK_TOLERANCE = 1e-11;
/** Below this, an error in the reading would hardly show in anything else. */
const UNCHECKED = 0.02;
const DIFFERENCE = 1e-3;

/**
 * Least-squares adjustment of redundant readings (observation equations, Gauss–Newton), every reading weighed by its
 * uncertainty. What the readings leave free (where the whole car stands, and which way it points) takes the smallest change
 * from the start, by the pseudo-inverse: a free network. Functions that do not depend on it have their proper covariance.
 *
 * Source: Wolf and Ghilani, *Adjustment Computations*, ch. 11, 16 and 21; standardized residuals after Baarda, *A Testing
 * Procedure for Use in Geodetic Networks* (1968); from memory.
 *
 * @param start parameters near the answer, mm or any unit of the observations
 */
export function adjust(start: number[], observations: Observation[]): Adjustment {
  let x = start;
  for (let step = 0; step < STEPS; step++) {
    const { design, misfit } = linearized(x, observations);
    const change = stepBy(design, misfit);
    x = x.map((v, k) => v + change[k]!);
    if (Math.max(...change.map(Math.abs)) < SETTLED) break;
  }
  const { design, misfit } = linearized(x, observations);
  const { covariance, rank } = pseudoInverse(design.transpose().mmul(design));
  const hat = design.mmul(covariance).mmul(design.transpose());
  const free = observations.map((_, i) => Math.max(0, 1 - hat.get(i, i)));
  return {
    parameters: x,
    covariance,
    residuals: observations.map((o, i) => {
      const r = free[i]!;
      const checked = r > UNCHECKED;
      return {
        key: o.key,
        value: o.value,
        fitted: o.of(x),
        redundancy: r,
        standardized: checked ? misfit[i]! / Math.sqrt(r) : 0,
        others: checked ? { value: o.value - (misfit[i]! * o.u) / r, u: o.u * Math.sqrt((1 - r) / r) } : null,
      };
    }),
    redundancy: observations.length - rank,
    chiSquare: misfit.reduce((sum, v) => sum + v * v, 0),
    correlation: (i, j) => (i === j ? 1 : -hat.get(i, j) / Math.sqrt(free[i]! * free[j]!)),
  };
}

/**
 * A function of adjusted parameters with its standard uncertainty: u² = g C gᵀ, the gradient g taken numerically (JCGM
 * 100:2008, 5.2.2, correlated inputs).
 */
export function estimateOf(
  { parameters, covariance }: Adjustment,
  f: (parameters: number[]) => number,
): { value: number; u: number } {
  const g = gradient(f, parameters);
  let variance = 0;
  for (let i = 0; i < g.length; i++)
    for (let j = 0; j < g.length; j++) variance += g[i]! * g[j]! * covariance.get(i, j);
  return { value: f(parameters), u: Math.sqrt(Math.max(0, variance)) };
}

/** The readings in units of their uncertainty: the design matrix, and what is left between read and fitted. */
function linearized(x: number[], observations: Observation[]) {
  return {
    design: new Matrix(observations.map((o) => gradient(o.of, x).map((d) => d / o.u))),
    misfit: observations.map((o) => (o.value - o.of(x)) / o.u),
  };
}

function gradient(f: (x: number[]) => number, x: number[]): number[] {
  // One copy is moved to and fro: a network asks for thousands of these.
  const probe = [...x];
  return x.map((v, k) => {
    probe[k] = v + DIFFERENCE;
    const up = f(probe);
    probe[k] = v - DIFFERENCE;
    const down = f(probe);
    probe[k] = v;
    return (up - down) / (2 * DIFFERENCE);
  });
}

/** Gauss–Newton step by the normal equations. */
function stepBy(design: Matrix, misfit: number[]): number[] {
  const across = design.transpose();
  const normal = across.mmul(design);
  const ridge = RIDGE * Math.max(...normal.diagonal());
  for (let k = 0; k < normal.rows; k++) normal.set(k, k, normal.get(k, k) + ridge);
  return new CholeskyDecomposition(normal).solve(across.mmul(Matrix.columnVector(misfit))).to1DArray();
}

/** Inverse over the directions that the readings hold; the free ones have no part in it. */
function pseudoInverse(normal: Matrix): { covariance: Matrix; rank: number } {
  const { eigenvectorMatrix: V, realEigenvalues: values } = new EigenvalueDecomposition(normal, {
    assumeSymmetric: true,
  });
  const least = RANK_TOLERANCE * Math.max(...values);
  const inverse = values.map((value) => (value > least ? 1 / value : 0));
  return {
    covariance: V.mmul(Matrix.diag(inverse)).mmul(V.transpose()),
    rank: inverse.filter((v) => v > 0).length,
  };
}
