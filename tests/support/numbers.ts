/**
 * The places in an answer where a number is none, or none that can be written down: text made of it would say `null` there.
 * Words are looked through for what no builder should read.
 */
export function unsound(value: unknown, path = ''): string[] {
  if (typeof value === 'number') return Number.isFinite(value) ? [] : [`${path}: ${value}`];
  if (typeof value === 'string')
    return /NaN|Infinity|undefined|\[object/.test(value) ? [`${path}: ${value}`] : [];
  if (typeof value !== 'object' || value === null) return [];
  return Object.entries(value).flatMap(([key, part]) => unsound(part, `${path}/${key}`));
}
