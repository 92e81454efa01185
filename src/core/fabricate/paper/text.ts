import type { PDFFont } from 'pdf-lib';

/** Paper by its size, mm. */
export const PAPERS = { letter: [215.9, 279.4], a4: [210, 297] } as const;
export type Paper = keyof typeof PAPERS;

/** Points of a page for a millimetre. */
export const POINTS = 72 / 25.4;

/** A text in the letters that a document's own faces have. */
export const plain = (text: string): string =>
  text
    .replace(/[’‘]/g, "'")
    .replace(/[“”]/g, '"')
    .replace(/[−–—]/g, '-')
    .replace(/→/g, '->')
    .replace(/…/g, '...')
    .replace(/[^\x20-\x7e\xa0-\xff]/g, '?');

/** Words in lines no longer than so much, mm; a word that is longer is broken. */
export function wrapped(text: string, font: PDFFont, size: number, width: number): string[] {
  const fits = (line: string) => font.widthOfTextAtSize(line, size) <= width * POINTS;
  return text.split('\n').flatMap((paragraph) => {
    const lines: string[] = [];
    let line = '';
    for (const word of paragraph.split(' ').flatMap((w) => pieces(w, fits))) {
      const longer = line ? `${line} ${word}` : word;
      if (fits(longer)) line = longer;
      else {
        lines.push(line);
        line = word;
      }
    }
    return [...lines, line];
  });
}

function pieces(word: string, fits: (text: string) => boolean): string[] {
  if (fits(word) || word.length < 2) return [word];
  let n = word.length - 1;
  while (n > 1 && !fits(word.slice(0, n))) n--;
  return [word.slice(0, n), ...pieces(word.slice(n), fits)];
}
