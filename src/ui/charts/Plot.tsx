'use client';
import { line, scaleLinear } from 'd3';
import './curve.css';

const SIZE = { width: 400, height: 180 };
const EDGE = { left: 60, right: 14, top: 14, bottom: 32 };

type Props = {
  /** what it shows, for whoever cannot see it */
  label: string;
  points: [x: number, y: number][];
  /** from left to right, and from the bottom to the top */
  across: [number, number];
  up: [number, number];
  /** where something is written: at heights, and along the foot */
  lines: { y: number; text: string }[];
  foot: { x: number; text: string }[];
  /** what is not to be passed */
  limits: number[];
  /** where the car stands: a dot on the curve, or where there is none a line */
  now: { x: number; y: number | null } | null;
  /** what is more and what is less */
  ways?: readonly [top: string, bottom: string];
  onPick: (x: number) => void;
};

/** One curve in its frame; touched, it tells where. */
export function Plot({ label, points, across, up, lines, foot, limits, now, ways, onPick }: Props) {
  const x = scaleLinear(across, [EDGE.left, SIZE.width - EDGE.right]);
  const y = scaleLinear(up, [SIZE.height - EDGE.bottom, EDGE.top]);
  const draw = line<[number, number]>(
    ([u]) => x(u),
    ([, v]) => y(v),
  );
  const level = (v: number) => ({ x1: EDGE.left, x2: SIZE.width - EDGE.right, y1: y(v), y2: y(v) });
  const upright = (u: number) => ({ x1: x(u), x2: x(u), y1: EDGE.top, y2: SIZE.height - EDGE.bottom });
  const [least, most] = across;
  return (
    <svg
      viewBox={`0 0 ${SIZE.width} ${SIZE.height}`}
      role="img"
      aria-label={label}
      onClick={(e) => {
        const box = e.currentTarget.getBoundingClientRect();
        const at = x.invert(((e.clientX - box.left) / box.width) * SIZE.width);
        onPick(Math.min(most, Math.max(least, at)));
      }}
    >
      {lines.map((line) => (
        <g key={line.y} className="grid">
          <line {...level(line.y)} />
          <text x={EDGE.left - 6} y={y(line.y) + 4} textAnchor="end">
            {line.text}
          </text>
        </g>
      ))}
      {limits.map((v) => (
        <line key={v} className="limit" {...level(v)} />
      ))}
      <line className="ride" {...upright(0)} />
      {now && now.y === null && now.x !== 0 && <line className="now-line" {...upright(now.x)} />}
      <path className="line" d={draw(points) ?? ''} />
      {now && now.y !== null && <circle className="now" cx={x(now.x)} cy={y(now.y)} r={5} />}
      <g className="axis">
        {foot.map((mark) => (
          <text
            key={mark.x}
            x={x(mark.x)}
            y={SIZE.height - 14}
            textAnchor={mark.x === least ? 'start' : mark.x === most ? 'end' : 'middle'}
          >
            {mark.text}
          </text>
        ))}
        {ways && (
          <>
            <text x={EDGE.left + 6} y={EDGE.top + 10}>
              {ways[0]}
            </text>
            <text x={EDGE.left + 6} y={SIZE.height - EDGE.bottom - 5}>
              {ways[1]}
            </text>
          </>
        )}
      </g>
    </svg>
  );
}
