import type { StopDesign } from './springDesign';

/** The bump stops of an end, and how stiffly its two springs together hold the body up, N/mm at the wheels. */
export type Stops = StopDesign & { holding: number };

/** A rubber stop stiffens as it is squeezed, and is solid before nothing is left of it: F = k·s/(1 − s/h). */
export function stopForce({ gap, rate, height }: StopDesign, lift: number): number {
  const squeezed = Math.min(0.95 * height, Math.max(0, lift - gap));
  return (rate * squeezed) / (1 - squeezed / height);
}

/** What the outside stop gives against a lean once that reaches it: N·mm; and how far it is squeezed, mm. */
export type StopAnswer = { moment: number; squeezed: number };

/**
 * The lean alone would squeeze it by u. But what it pushes with lifts the body on its springs, by F/K, and so lets it out again:
 * s + F(s)/K = u, with F = k·s/(1 − s/h) and c = k/K a square: s²/h − s·(1 + c + u/h) + u = 0, of which the lesser root holds.
 *
 * @param lean of the body against the axle, rad, either way
 */
export function stopInLean({ out, gap, rate, height, holding }: Stops, lean: number): StopAnswer {
  const alone = Math.abs(lean) * out - gap;
  if (alone <= 0) return { moment: 0, squeezed: 0 };
  const half = (1 + rate / holding + alone / height) / 2;
  const squeezed = alone / (half + Math.sqrt(half ** 2 - alone / height));
  const force = (rate * squeezed) / (1 - squeezed / height);
  return { moment: Math.sign(lean) * force * out, squeezed };
}
