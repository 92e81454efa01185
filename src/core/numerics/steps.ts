/** A long calculation that can rest between its steps: each tells the share that is done, 0 to 1; the last is the answer. */
export type Steps<T> = Generator<number, T, void>;

/** The answer of a long calculation, without a rest. */
export function atOnce<T>(steps: Steps<T>): T {
  for (;;) {
    const { done, value } = steps.next();
    if (done) return value;
  }
}
