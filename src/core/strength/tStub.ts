/**
 * A flange held down by a bolt on each side of what pulls at it, mm: how wide it is; from a bolt's middle to the face that it stands out from,
 * and to its own end; the radius of the bend between; its thickness; and the washers.
 */
export type Flange = {
  width: number;
  out: number;
  past: number;
  bend: number;
  thickness: number;
  bolt: number;
  washer: number;
};

/** What a flange carries, N, by each way that it gives: bent along four lines, bent along two with its bolts drawn out, its bolts drawn out. */
export type FlangeLoads = { bent: number; pried: number; drawn: number };

/**
 * What the two flanges of a T carry, N: with M = 0.25·w·t²·S_y, m = out − 0.8·bend, n = the lesser of past and 1.25·m and e = washer/4,
 * bent (8n − 2e)·M/(2mn − e(m + n)), pried (2M + n·ΣF)/(m + n), drawn ΣF (EN 1993-1-8, 6.2.4 and table 6.2, from memory).
 *
 * @param yieldsAt yield of the flange, N/mm²
 * @param bolt what one bolt carries pulled, N
 */
export function flangeLoads(flange: Flange, yieldsAt: number, bolt: number): FlangeLoads {
  const { width, thickness, past } = flange;
  const { m, n, e } = leversOf(flange);
  const M = 0.25 * width * thickness ** 2 * yieldsAt;
  const drawn = 2 * bolt;
  return {
    bent: ((8 * n - 2 * e) * M) / (2 * m * n - e * (m + n)),
    pried: past > 0 ? (2 * M + n * drawn) / (m + n) : 0,
    drawn,
  };
}

/** The levers of a flange, mm: bolt to bend, bolt to where it pries, and what the washer takes off both. */
export function leversOf({ out, past, bend, bolt, washer }: Flange): { m: number; n: number; e: number } {
  // A bolt that stands in the bend still bends what is beside its head.
  const m = Math.max(out - 0.8 * bend, bolt / 2);
  const n = Math.min(past, 1.25 * m);
  return { m, n, e: Math.min(washer / 4, m / 2, n / 2) };
}

/** What a bolt carries pulled, N: 0.9·S_u·A_t (EN 1993-1-8, table 3.4, from memory). @param area of its thread, mm² */
export const boltPullLoad = (ultimate: number, area: number): number => 0.9 * ultimate * area;

/** The pull, N, that is as hard on a bolt as a pull and a shear at once: √(pull² + (shear · 0.9/0.6)²), by the ellipse of both (AISC J3.7, from memory). */
export const pullAndShear = (pull: number, shear: number): number => Math.hypot(pull, (shear * 0.9) / 0.6);
