const VULGAR: Record<string, string> = {
  '½': '1/2',
  '¼': '1/4',
  '¾': '3/4',
  '⅛': '1/8',
  '⅜': '3/8',
  '⅝': '5/8',
  '⅞': '7/8',
};

/** A text with `28½` as `28 1/2`, and every dash a minus. */
export const spelledOut = (text: string): string =>
  text
    .replace(/[½¼¾⅛⅜⅝⅞]/g, (sign) => ` ${VULGAR[sign]}`)
    .replace(/[–—−]/g, '-')
    .trim();

const DECIMAL = /^[-+]?(\d+\.?\d*|\.\d+)$/;
const FRACTION = /^([-+]?)\s*(?:(\d+)(?:\s+|\s*-\s*))?(\d+)\/(\d*[1-9]\d*)$/;

/**
 * A plain number as it is typed: digits with a decimal point or comma, or with a fraction, as `5 1/2`; between groups of three digits
 * commas are thousands (`1,024` is 1024, `2,5` is two and a half).
 *
 * @returns null where the text is no such number, as `0x20` or `1e3`, which nobody reads off a scale
 */
export function parseNumber(text: string): number | null {
  const bare = spelledOut(text);
  const fraction = FRACTION.exec(bare);
  if (fraction) {
    const [, sign, whole = '0', over, under] = fraction;
    return (sign === '-' ? -1 : 1) * (Number(whole) + Number(over) / Number(under));
  }
  const plain = hasThousands(bare) ? bare.replaceAll(',', '') : bare.replace(',', '.');
  return DECIMAL.test(plain) ? Number(plain) : null;
}

/** Whether the commas of a number stand between thousands: a text that starts with nought has none. */
export const hasThousands = (text: string): boolean => /^[-+]?[1-9]\d{0,2}(,\d{3})+(\.\d*)?$/.test(text);
