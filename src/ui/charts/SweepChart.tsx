'use client';
import { extent, ticks } from 'd3';
import type { ReactNode } from 'react';
import { Plot } from './Plot';

const MOST_LINES = 5;

type Props = {
  name: string;
  /** what it is drawn against, and where on it the car stands now */
  xs: number[];
  now: number;
  /** as shown, in this unit */
  ys: (number | null)[];
  unit: string;
  sayX: (x: number) => string;
  /** a line that is not to be passed */
  limit?: number | null;
  onPick: (x: number) => void;
  children: ReactNode;
};

/** One quantity over a sweep, at round figures. */
export function SweepChart({ name, xs, now, ys, unit, sayX, limit = null, onPick, children }: Props) {
  const sayY = (y: number) => `${Number(y.toFixed(2))}${unit === '°' ? '' : ' '}${unit}`;
  const points = xs.flatMap((x, i): [number, number][] => (ys[i] == null ? [] : [[x, ys[i]]]));
  const [first, last] = [points[0], points.at(-1)];
  if (points.length < 2 || !first || !last) return <p className="hint">Nothing to draw of it yet.</p>;
  const limits = limit === null ? [] : [limit];
  const [low = 0, high = 0] = extent([...points.map(([, y]) => y), ...limits]) as [number?, number?];
  const air = Math.max(0.1 * (high - low), 1e-3 * Math.max(1, Math.abs(high)));
  const up: [number, number] = [low - air, high + air];
  const across: [number, number] = [xs[0]!, xs.at(-1)!];
  return (
    <>
      <Plot
        label={`${name}: from ${sayY(first[1])} at ${sayX(first[0])} to ${sayY(last[1])} at ${sayX(last[0])}`}
        points={points}
        across={across}
        up={up}
        lines={ticks(...up, MOST_LINES).map((y) => ({ y, text: sayY(y) }))}
        foot={[...new Set([across[0], 0, across[1]])].map((x) => ({ x, text: sayX(x) }))}
        limits={limits}
        now={{ x: Math.abs(now) > 1e-6 ? now : 0, y: null }}
        onPick={onPick}
      />
      <figcaption className="hint">{children}</figcaption>
    </>
  );
}
