/**
 * Solves A·x = b in place by Gaussian elimination with partial pivoting, for the small systems of the pose loop, where
 * a matrix library would allocate at every call.
 *
 * @param A n×n row by row; destroyed
 * @param b right-hand sides, n×m row by row; replaced by the solution
 * @returns the sign of the determinant (a small whole number, which costs no allocation); 0 when singular, and then `b` is
 *   meaningless
 */
export function solveInPlace(A: Float64Array, b: Float64Array, n: number, m: number): number {
  let sign = 1;
  for (let c = 0; c < n; c++) {
    let p = c;
    for (let i = c + 1; i < n; i++) if (Math.abs(A[i * n + c]!) > Math.abs(A[p * n + c]!)) p = i;
    const pivot = A[p * n + c]!;
    if (pivot === 0) return 0;
    if (p !== c) {
      sign = -sign;
      for (let k = c; k < n; k++) {
        const t = A[c * n + k]!;
        A[c * n + k] = A[p * n + k]!;
        A[p * n + k] = t;
      }
      for (let k = 0; k < m; k++) {
        const t = b[c * m + k]!;
        b[c * m + k] = b[p * m + k]!;
        b[p * m + k] = t;
      }
    }
    if (pivot < 0) sign = -sign;
    for (let i = c + 1; i < n; i++) {
      const f = A[i * n + c]! / pivot;
      if (f === 0) continue;
      for (let k = c + 1; k < n; k++) A[i * n + k]! -= f * A[c * n + k]!;
      for (let k = 0; k < m; k++) b[i * m + k]! -= f * b[c * m + k]!;
    }
  }
  for (let i = n - 1; i >= 0; i--) {
    for (let k = 0; k < m; k++) {
      let s = b[i * m + k]!;
      for (let c = i + 1; c < n; c++) s -= A[i * n + c]! * b[c * m + k]!;
      b[i * m + k] = s / A[i * n + i]!;
    }
  }
  return sign;
}
