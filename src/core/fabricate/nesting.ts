/** A length to be cut, mm, and what it is for. */
export type Piece = { id: string; length: number };

/** One length of stock: the pieces off it in the order of cutting, and what is left, mm. */
export type StockLength = { pieces: Piece[]; left: number };

/**
 * Pieces laid on lengths of stock, the longest first on the first that holds it (first fit decreasing); a saw takes `kerf` for each cut.
 *
 * @returns what each length gives, and the pieces that are longer than the stock
 */
export function nestLengths(
  pieces: Piece[],
  stock: number,
  kerf: number,
): { lengths: StockLength[]; tooLong: Piece[] } {
  const lengths: StockLength[] = [];
  const tooLong: Piece[] = [];
  for (const piece of [...pieces].sort((a, b) => b.length - a.length || a.id.localeCompare(b.id))) {
    if (piece.length > stock) {
      tooLong.push(piece);
      continue;
    }
    const on = lengths.find(({ left }) => left >= piece.length) ?? { pieces: [], left: stock };
    if (on.pieces.length === 0) lengths.push(on);
    on.pieces.push(piece);
    // The last of a length may be cut with nothing left for the saw.
    on.left = Math.max(0, on.left - piece.length - kerf);
  }
  return { lengths, tooLong };
}
