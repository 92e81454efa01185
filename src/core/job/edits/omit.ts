/** A record less what is kept under certain owners: `panhard/chassis` is owned by `panhard`. */
export function withoutOwners<T>(record: Record<string, T>, owners: readonly string[]): Record<string, T> {
  return Object.fromEntries(Object.entries(record).filter(([path]) => !owners.includes(path.split('/')[0]!)));
}

/** A record less one of its keys. */
export function without<T>(record: Record<string, T>, key: string): Record<string, T> {
  return Object.fromEntries(Object.entries(record).filter(([k]) => k !== key));
}

/** A record with some of it changed, less what is no longer told; undefined where nothing is left. */
export function told<T extends object>(record: T | undefined, change: Partial<T>): T | undefined {
  const left = Object.entries({ ...record, ...change }).filter(([, v]) => v !== undefined);
  return left.length ? (Object.fromEntries(left) as T) : undefined;
}
