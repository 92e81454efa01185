import { isLoose, keyed, keysOf, sameStored } from './merge';

/** Where two values part: the keys to each place, entries of a list by their own names. */
export function partings(a: unknown, b: unknown, path: string[] = []): string[][] {
  if (sameStored(a, b)) return [];
  if (isLoose(a) && isLoose(b))
    return [...new Set([...Object.keys(a), ...Object.keys(b)])].flatMap((key) =>
      partings(a[key], b[key], [...path, key]),
    );
  const [keysA, keysB] = [a, b].map((list) => (Array.isArray(list) ? keysOf(list) : null));
  if (!keysA || !keysB) return [path];
  return partings(keyed(a as unknown[], keysA), keyed(b as unknown[], keysB), path);
}
