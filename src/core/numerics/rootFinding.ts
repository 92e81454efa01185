/**
 * Where an answer turns from no to yes, by halving the interval between one of each.
 *
 * @param holds answers no at `no` and yes at `yes`
 * @returns the nearest place found that still says yes
 */
export function bisect(holds: (x: number) => boolean, no: number, yes: number, halvings: number): number {
  let [fails, keeps] = [no, yes];
  for (let n = 0; n < halvings; n++) {
    const middle = (fails + keeps) / 2;
    if (holds(middle)) keeps = middle;
    else fails = middle;
  }
  return keeps;
}

const MOST_STEPS = 30;

/**
 * Where a function comes down to nothing: false position, with the stale end's weight halved (the Illinois variant), so that
 * either end comes in. A first value that is not finite is halved towards.
 *
 * @param above where it is above nothing, `below` where it is below
 * @param close how near is near enough; `small` how little below nothing is
 * @returns the nearest place found where it is still below
 */
export function falsePosition(
  f: (x: number) => number,
  above: number,
  below: number,
  close: number,
  small = 1e-3,
): number {
  let [a, b] = [above, below];
  let [fa, fb] = [f(a), f(b)];
  for (let i = 0; i < MOST_STEPS && Math.abs(b - a) > close && fb < -small; i++) {
    const c = Number.isFinite(fa) ? b - (fb * (b - a)) / (fb - fa) : (a + b) / 2;
    const fc = f(c);
    if (fc > 0) {
      [a, fa] = [c, fc];
      fb /= 2;
    } else {
      [b, fb] = [c, fc];
      fa /= 2;
    }
  }
  return b;
}

/** The share of an interval that is kept each time: a place that was looked at is then a place of the next one. */
const GOLDEN = (Math.sqrt(5) - 1) / 2;
const NARROWINGS = 16;

/** Where a function with one valley is least between two places, by golden section. */
export function minimumOn(f: (x: number) => number, from: number, to: number): number {
  let [low, high] = [from, to];
  let [s, t] = [high - GOLDEN * (high - low), low + GOLDEN * (high - low)];
  let [fs, ft] = [f(s), f(t)];
  for (let n = 0; n < NARROWINGS; n++) {
    if (fs <= ft) {
      [high, t, ft] = [t, s, fs];
      s = high - GOLDEN * (high - low);
      fs = f(s);
    } else {
      [low, s, fs] = [s, t, ft];
      t = low + GOLDEN * (high - low);
      ft = f(t);
    }
  }
  return (low + high) / 2;
}
