type Loose = Record<string, unknown>;

const isLoose = (v: unknown): v is Loose => typeof v === 'object' && v !== null && !Array.isArray(v);

/** Whether two values are one once they are written: a key without a value is no key, which a package for equality would tell apart. */
export const sameStored = (a: unknown, b: unknown): boolean =>
  a === b || JSON.stringify(a) === JSON.stringify(b);

/**
 * Two versions of one thing that grew from the same base, made one: what only one of them changed is taken from that one.
 * Where both changed the same value, mine stands; where both added to the end of a list, both additions do.
 */
export function merged<T>(base: T, mine: T, theirs: T): T {
  if (sameStored(mine, base)) return theirs;
  if (sameStored(theirs, base) || sameStored(mine, theirs)) return mine;
  if (isLoose(base) && isLoose(mine) && isLoose(theirs)) return mergedKeys(base, mine, theirs) as T;
  if (Array.isArray(base) && Array.isArray(mine) && Array.isArray(theirs)) {
    // What one has brought in of the other already is theirs alike.
    const shared = sharedStart(mine, theirs);
    if (sharedStart(base, mine) === base.length && shared >= base.length)
      return [...theirs, ...mine.slice(shared)] as T;
  }
  return mine;
}

/** How many of the first values of two lists are alike. */
function sharedStart(a: unknown[], b: unknown[]): number {
  const parting = a.findIndex((v, i) => i >= b.length || !sameStored(v, b[i]));
  return parting === -1 ? Math.min(a.length, b.length) : parting;
}

function mergedKeys(base: Loose, mine: Loose, theirs: Loose): Loose {
  const out: Loose = {};
  for (const key of new Set([...Object.keys(theirs), ...Object.keys(mine)])) {
    const value = merged(base[key], mine[key], theirs[key]);
    if (value !== undefined) out[key] = value;
  }
  return out;
}
