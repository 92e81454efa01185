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
 * @param close how near is near enough
 * @returns the nearest place found where it is still below
 */
export function falsePosition(f: (x: number) => number, above: number, below: number, close: number): number {
  let [a, b] = [above, below];
  let [fa, fb] = [f(a), f(b)];
  for (let i = 0; i < MOST_STEPS && Math.abs(b - a) > close && fb < -1e-3; i++) {
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

const THIRDS = 18;

/** Where a function with one valley is least between two places, by thirds. */
export function minimumOn(f: (x: number) => number, from: number, to: number): number {
  let [low, high] = [from, to];
  for (let n = 0; n < THIRDS; n++) {
    const [s, t] = [low + (high - low) / 3, high - (high - low) / 3];
    if (f(s) <= f(t)) high = t;
    else low = s;
  }
  return (low + high) / 2;
}
