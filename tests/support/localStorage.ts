/** Stands in for the browser's `localStorage`, full from so many characters on. Keys are its own, as in a browser. */
export function standInStorage(room = Infinity): Record<string, string> {
  const kept: Record<string, string> = {};
  const methods = {
    getItem: (key: string) => kept[key] ?? null,
    setItem: (key: string, text: string) => {
      const used = Object.entries(kept).reduce(
        (sum, [k, v]) => sum + (k === key ? 0 : k.length + v.length),
        0,
      );
      if (used + key.length + text.length > room)
        throw Object.assign(new Error('full'), { name: 'QuotaExceededError' });
      kept[key] = text;
    },
    removeItem: (key: string) => void delete kept[key],
  };
  for (const [name, value] of Object.entries(methods))
    Object.defineProperty(kept, name, { value, enumerable: false });
  Object.defineProperty(globalThis, 'localStorage', { value: kept, configurable: true });
  return kept;
}
