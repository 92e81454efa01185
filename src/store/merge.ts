import { dequal } from 'dequal/lite';

type Loose = Record<string, unknown>;

const isLoose = (v: unknown): v is Loose => typeof v === 'object' && v !== null && !Array.isArray(v);

/**
 * Two versions of one thing that grew from the same base, made one: what only one of them changed is taken from that one.
 * Where both changed the same value, mine stands; where both added to the end of a list, both additions do.
 */
export function merged<T>(base: T, mine: T, theirs: T): T {
  if (dequal(mine, base)) return theirs;
  if (dequal(theirs, base) || dequal(mine, theirs)) return mine;
  if (isLoose(base) && isLoose(mine) && isLoose(theirs)) return mergedKeys(base, mine, theirs) as T;
  if (Array.isArray(base) && Array.isArray(mine) && Array.isArray(theirs)) {
    const grewFrom = (list: unknown[]) => base.every((v, i) => dequal(v, list[i]));
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
