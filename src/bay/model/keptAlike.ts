/**
 * What is now, of parts of what was before wherever those are alike: what is drawn of a part that is the same need not be drawn again.
 * Arrays and plain objects are looked into; all else is alike where it is the same.
 */
export function keptAlike<T>(before: unknown, now: T): T {
  if (Object.is(before, now) || !isOpen(before) || !isOpen(now)) return now;
  if (Array.isArray(now)) return Array.isArray(before) ? (partsKept(before, now) as T) : now;
  return Array.isArray(before) ? now : membersKept(before, now);
}

function partsKept(before: unknown[], now: unknown[]): unknown[] {
  let isAlike = before.length === now.length;
  let kept = now;
  for (let i = 0; i < now.length; i++) {
    // Most of what is looked through are coordinates.
    if (before[i] === now[i]) continue;
    const part = keptAlike(before[i], now[i]);
    isAlike &&= Object.is(part, before[i]);
    if (Object.is(part, now[i])) continue;
    if (kept === now) kept = [...now];
    kept[i] = part;
  }
  return isAlike ? before : kept;
}

function membersKept<T extends Record<string, unknown>>(before: Record<string, unknown>, now: T): T {
  const keys = Object.keys(now);
  let isAlike = keys.length === Object.keys(before).length;
  let kept = now;
  for (const key of keys) {
    const part = keptAlike(before[key], now[key]);
    isAlike &&= Object.is(part, before[key]) && key in before;
    if (Object.is(part, now[key])) continue;
    if (kept === now) kept = { ...now };
    kept[key as keyof T] = part as T[keyof T];
  }
  return isAlike ? (before as T) : kept;
}

const isOpen = (value: unknown): value is Record<string, unknown> =>
  typeof value === 'object' && value !== null;

/** A memory of the last of what it is given, whose parts are kept where they are alike. */
export function keeper<T>(): (now: T) => T {
  let last: T | null = null;
  return (now) => (last = keptAlike(last, now));
}
