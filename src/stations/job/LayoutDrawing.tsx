import { memo } from 'react';
import { layOut, type LayoutId } from '@/core/rig/layouts';
import type { Point } from '@/core/geometry/vector';
import type { Member } from '@/core/rig/members/members';

/** A car of middling size, to draw patterns on, mm. */
const SIZE = { tireRadius: 330, track: 1470, cover: 160, tubeOd: 40 };
const TYRE = { width: 210, length: 660 };
/** Frame rails from the centreline. */
const RAIL = 430;
const BOX = { width: 150, height: 104 };
const LARGEST_SCALE = 0.068;
const EDGE = 9;
const MIDDLE = 66;

/** A layout from above, drawn from the very pattern that it starts with. */
export const LayoutDrawing = memo(function LayoutDrawing({ layout }: { layout: LayoutId }) {
  const { members } = layOut(layout, SIZE);
  const centre = layout.startsWith('front-') ? 38 : MIDDLE;
  const ends = members
    .flatMap(lines)
    .flat()
    .map(([x]) => x);
  const scale = Math.min(
    LARGEST_SCALE,
    (centre - EDGE) / Math.max(1, ...ends),
    (BOX.height - centre - EDGE) / Math.max(1, ...ends.map((x) => -x)),
  );
  const place = ([x, y]: Point): [number, number] => [BOX.width / 2 - y * scale, centre - x * scale];
  const [halfTrack, halfTyre] = [(SIZE.track / 2) * scale, (TYRE.length / 2) * scale];
  return (
    <svg viewBox={`0 0 ${BOX.width} ${BOX.height}`} width={BOX.width} height={BOX.height} aria-hidden>
      <rect width={BOX.width} height={BOX.height} rx="3" fill="#14264A" />
      <g stroke="#E07A55" strokeWidth="1.6">
        {[-RAIL, RAIL].map((y) => (
          <path key={y} d={`M${BOX.width / 2 - y * scale} 4 V${BOX.height - 4}`} />
        ))}
      </g>
      <g fill="#2a4069" stroke="#B9C6D3" strokeWidth="1.3">
        {[-1, 1].map((s) => (
          <rect
            key={s}
            x={BOX.width / 2 + s * halfTrack - (TYRE.width / 2) * scale}
            y={centre - halfTyre}
            width={TYRE.width * scale}
            height={2 * halfTyre}
            rx="4"
          />
        ))}
        <rect x={BOX.width / 2 - halfTrack + 8} y={centre - 3} width={2 * halfTrack - 16} height="6" />
        <circle cx={BOX.width / 2} cy={centre} r={SIZE.cover * scale * 0.9} />
      </g>
      {members.flatMap(lines).map((points, i) => (
        <g key={i}>
          <path
            d={`M${points.map((p) => place(p).join(' ')).join('L')}`}
            stroke="#F6F0DF"
            strokeWidth="3.2"
            strokeLinecap="round"
            fill="none"
          />
          {points.map((p, k) => (
            <circle
              key={k}
              cx={place(p)[0]}
              cy={place(p)[1]}
              r="3"
              fill="#14264A"
              stroke="#F6F0DF"
              strokeWidth="1.4"
            />
          ))}
        </g>
      ))}
    </svg>
  );
});

/** The lines a member is drawn with, from above. */
function lines(m: Member): Point[][] {
  switch (m.type) {
    case 'link':
      return [[m.chassis, m.axle]];
    case 'rigid-arm':
      return [
        [m.chassis, [0, Math.sign(m.chassis[1]) * Math.max(Math.abs(m.chassis[1]), 0.26 * SIZE.track), 0]],
      ];
    case 'slider-arm':
      return [[m.chassis, [60, 0, 0]]];
    case 'leaf':
      return [[m.frontEye, m.seat, m.rearEye]];
    case 'watts':
      return [
        [m.crank.top, m.ends.top],
        [m.crank.bottom, m.ends.bottom],
      ];
  }
}
