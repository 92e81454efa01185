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
    const grewFrom = (list: unknown[]) => base.every((v, i) => sameStored(v, list[i]));
    if (grewFrom(mine) && grewFrom(theirs))
      return [...base, ...theirs.slice(base.length), ...mine.slice(base.length)] as T;
  }
  return mine;
}

function mergedKeys(base: Loose, mine: Loose, theirs: Loose): Loose {
  const out: Loose = {};
  for (const key of new Set([...Object.keys(theirs), ...Object.keys(mine)])) {
    const value = merged(base[key], mine[key], theirs[key]);
    if (value !== undefined) out[key] = value;
  }
  return out;
}
