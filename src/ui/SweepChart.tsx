'use client';
import { extent, line, scaleLinear, ticks } from 'd3';
import type { ReactNode } from 'react';
import './curve.css';

const SIZE = { width: 400, height: 180 };
const EDGE = { left: 62, right: 14, top: 14, bottom: 32 };
const MOST_LINES = 5;

type Props = {
  name: string;
  /** what it is drawn against, and where on it the car stands now */
  xs: number[];
  now: number | null;
  /** as shown, in this unit */
  ys: (number | null)[];
  unit: string;
  sayX: (x: number) => string;
  /** a line that is not to be passed */
  limit?: number | null;
  onPick: (x: number) => void;
  children: ReactNode;
};

const anchorOf = (x: number, xs: number[]) => (x === xs[0] ? 'start' : x === xs.at(-1) ? 'end' : 'middle');

/** One quantity over a sweep; touch it to send the axle there. */
export function SweepChart({ name, xs, now, ys, unit, sayX, limit = null, onPick, children }: Props) {
  const sayY = (y: number) => `${Number(y.toFixed(2))}${unit === '°' ? '' : ' '}${unit}`;
  const points = xs.flatMap((x, i): [number, number][] => (ys[i] == null ? [] : [[x, ys[i]]]));
  if (points.length < 2) return <p className="hint">Nothing to draw of it yet.</p>;
  const [low = 0, high = 0] = extent([...points.map(([, y]) => y), ...(limit === null ? [] : [limit])]) as [
    number?,
    number?,
  ];
  const air = Math.max(0.1 * (high - low), 1e-3 * Math.max(1, Math.abs(high)));
  const x = scaleLinear([xs[0]!, xs.at(-1)!], [EDGE.left, SIZE.width - EDGE.right]);
  const y = scaleLinear([low - air, high + air], [SIZE.height - EDGE.bottom, EDGE.top]);
  const draw = line<[number, number]>(
    ([u]) => x(u),
    ([, v]) => y(v),
  );
  const marks = [...new Set([xs[0]!, 0, xs.at(-1)!])];
  return (
    <>
      <svg
        viewBox={`0 0 ${SIZE.width} ${SIZE.height}`}
        role="img"
        aria-label={`${name}: from ${sayY(points[0]![1])} at ${sayX(points[0]![0])} to ${sayY(points.at(-1)![1])} at ${sayX(points.at(-1)![0])}`}
        onClick={(e) => {
          const box = e.currentTarget.getBoundingClientRect();
          const at = x.invert(((e.clientX - box.left) / box.width) * SIZE.width);
          onPick(Math.min(xs.at(-1)!, Math.max(xs[0]!, at)));
        }}
      >
        {ticks(low - air, high + air, MOST_LINES).map((t) => (
          <g key={t} className="grid">
            <line x1={EDGE.left} x2={SIZE.width - EDGE.right} y1={y(t)} y2={y(t)} />
            <text x={EDGE.left - 6} y={y(t) + 4} textAnchor="end">
              {sayY(t)}
            </text>
          </g>
        ))}
        {limit !== null && (
          <line className="limit" x1={EDGE.left} x2={SIZE.width - EDGE.right} y1={y(limit)} y2={y(limit)} />
        )}
        <line className="ride" x1={x(0)} x2={x(0)} y1={EDGE.top} y2={SIZE.height - EDGE.bottom} />
        {now !== null && Math.abs(now) > 1e-6 && (
          <line className="now-line" x1={x(now)} x2={x(now)} y1={EDGE.top} y2={SIZE.height - EDGE.bottom} />
        )}
        <path className="line" d={draw(points) ?? ''} />
        <g className="axis">
          {marks.map((t) => (
            <text key={t} x={x(t)} y={SIZE.height - 14} textAnchor={anchorOf(t, xs)}>
              {sayX(t)}
            </text>
          ))}
        </g>
      </svg>
      <figcaption className="hint">{children}</figcaption>
    </>
  );
}
