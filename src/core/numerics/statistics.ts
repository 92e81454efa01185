export const mean = (v: number[]): number => v.reduce((a, b) => a + b, 0) / v.length;
export const max = (v: number[]): number => v.reduce((a, b) => Math.max(a, b), -Infinity);
export const min = (v: number[]): number => v.reduce((a, b) => Math.min(a, b), Infinity);
export function median(v: number[]): number {
  const sorted = [...v].sort((a, b) => a - b);
  const half = sorted.length >> 1;
  return sorted.length % 2 ? sorted[half]! : (sorted[half - 1]! + sorted[half]!) / 2;
}
