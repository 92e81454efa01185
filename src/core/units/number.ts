/**
 * A plain number as it is typed: digits with a decimal point or comma; between groups of three digits commas are thousands
 * (`1,024` is 1024, `2,5` is two and a half).
 *
 * @returns null where the text is no such number, as `0x20` or `1e3`, which nobody reads off a scale
 */
export function parseNumber(text: string): number | null {
  const bare = text.trim().replace(/[–—−]/g, '-');
  const plain = hasThousands(bare) ? bare.replaceAll(',', '') : bare.replace(',', '.');
  return /^[-+]?(\d+\.?\d*|\.\d+)$/.test(plain) ? Number(plain) : null;
}

/** Whether the commas of a number stand between thousands: a text that starts with nought has none. */
export const hasThousands = (text: string): boolean => /^[-+]?[1-9]\d{0,2}(,\d{3})+(\.\d*)?$/.test(text);
