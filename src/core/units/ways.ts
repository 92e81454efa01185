/** The words for the two ways that a quantity can count, as left and right of the centreline; the first is positive. */
export type Ways = readonly [positive: string, negative: string];

/** What was typed without the word for its way, and the sign that the word gives; null where no such word was typed. */
export type Signed = { bare: string; sign: 1 | -1 | null };

/**
 * Takes closing words like `left`, `R`, `tail down` or `down` off a text. A text that reads by itself has none: `3/4 in` is three
 * quarters of an inch, not three quarters inboard.
 *
 * @param reads whether a text is a whole quantity by itself
 */
export function splitWay(text: string, ways: Ways, reads: (text: string) => boolean): Signed {
  const unsaid: Signed = { bare: text, sign: null };
  const match = /^(.*?)\s*([a-z][a-z ]*)$/i.exec(text.trim());
  if (!match || reads(text)) return unsaid;
  const [, head, tail] = match as unknown as [string, string, string];
  const words = tail.toLowerCase().split(/ +/);
  for (const [i] of words.entries()) {
    const said = words.slice(i).join(' ');
    const [first, second] = ways.map((way) => says(way.toLowerCase(), said));
    // What both say says nothing.
    if (first !== second)
      return { bare: [head, ...words.slice(0, i)].join(' ').trim(), sign: first ? 1 : -1 };
  }
  return unsaid;
}

/** Whether words are how a way is called, or how one of its words begins: `down` and `d` of `tail down`. */
const says = (way: string, said: string): boolean =>
  way.split(' ').some((_, i, all) => all.slice(i).join(' ').startsWith(said));

/** A size that counts one way or the other. Nought counts neither: it is never minus nought, which no file can hold. */
export const counted = (sign: number, size: number): number => sign * size + 0;
