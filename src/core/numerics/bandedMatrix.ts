/** A symmetric positive matrix whose entries lie near its diagonal: the upper half, row by row. */
export class BandMatrix {
  private readonly a: Float64Array;

  /** @param width entries of a row from the diagonal on */
  constructor(
    readonly n: number,
    readonly width: number,
  ) {
    this.a = new Float64Array(n * width);
  }

  /** Adds to an entry of the upper half; what belongs to the lower half is left to its mirror. */
  add(row: number, column: number, v: number): void {
    if (column >= row) this.a[row * this.width + column - row]! += v;
  }

  /** Adds to an entry and its mirror, whichever of the two is in the upper half. */
  addEither(row: number, column: number, v: number): void {
    this.add(Math.min(row, column), Math.max(row, column), v);
  }

  /** Holds an unknown at nothing. */
  hold(k: number, load: Float64Array): void {
    const { a, width, n } = this;
    for (let j = 0; j < width; j++) {
      if (k + j < n) a[k * width + j] = 0;
      if (k - j >= 0) a[(k - j) * width + j] = 0;
    }
    a[k * width] = 1;
    load[k] = 0;
  }

  /** Solves in place by LDLᵀ, which keeps to the band. */
  solve(b: Float64Array): void {
    const { a, n, width } = this;
    for (let i = 0; i < n; i++) {
      const pivot = a[i * width]!;
      const last = Math.min(width, n - i);
      for (let j = 1; j < last; j++) {
        const factor = a[i * width + j]! / pivot;
        if (factor === 0) continue;
        const row = (i + j) * width;
        for (let k = j; k < last; k++) a[row + k - j]! -= factor * a[i * width + k]!;
        b[i + j]! -= factor * b[i]!;
      }
    }
    for (let i = n - 1; i >= 0; i--) {
      let sum = b[i]!;
      const last = Math.min(width, n - i);
      for (let j = 1; j < last; j++) sum -= a[i * width + j]! * b[i + j]!;
      b[i] = sum / a[i * width]!;
    }
  }
}
