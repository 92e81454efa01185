/** The words for the two ways that a quantity can count, as left and right of the centreline; the first is positive. */
export type Ways = readonly [positive: string, negative: string];

/** What was typed without the word for its way, and the sign that the word gives; null where no such word was typed. */
export type Signed = { bare: string; sign: 1 | -1 | null };

/**
 * Takes a closing word like `left`, `R` or `behind` off a text. A text that reads by itself has none: `3/4 in` is three
 * quarters of an inch, not three quarters inboard.
 *
 * @param reads whether a text is a whole quantity by itself
 */
export function splitWay(text: string, ways: Ways, reads: (text: string) => boolean): Signed {
  const match = /^(.*?)\s*([a-z]+)$/i.exec(text.trim());
  if (!match || reads(text)) return { bare: text, sign: null };
  const word = match[2]!.toLowerCase();
  const [first, second] = ways.map((way) => way.toLowerCase().startsWith(word));
  // A letter that both begin with says nothing.
  if (first === second) return { bare: text, sign: null };
  return { bare: match[1]!, sign: first ? 1 : -1 };
}

/** A size that counts one way or the other. Nought counts neither: it is never minus nought, which no file can hold. */
export const counted = (sign: number, size: number): number => sign * size + 0;
