/** After a first visit the rest of the application is fetched for working offline, and the shelf is tidied: over by then, ms. */
export const SETTLED = 8000;

/** `median 8.1 ms, 95th percentile 14.8 ms, worst 30.2 ms`. */
export function sayTimes(times: number[]): string {
  const sorted = [...times].sort((a, b) => a - b);
  const at = (share: number) => sorted[Math.floor(share * (sorted.length - 1))]!.toFixed(1);
  return `median ${at(0.5)} ms, 95th percentile ${at(0.95)} ms, worst ${at(1)} ms`;
}
