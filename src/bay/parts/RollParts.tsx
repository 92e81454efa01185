import { memo } from 'react';
import type { RollFigures } from '@/bay/model/rollFigures';
import { path, type Flat, type Sheet } from '@/bay/views/projection';
import type { Point } from '@/core/geometry/vector';

const TURNS = 7;
/** A bump stop's rubber as it is drawn, mm. */
const STOP_WIDTH = 42;

/** Springs, shocks, sway bar and its end links, as they stand. */
export const RollParts = memo(function RollParts({ sheet, parts }: { sheet: Sheet; parts: RollFigures }) {
  const { bar, links, springs, shocks, stops } = parts;
  const flat = (line: readonly Point[]) => line.map(sheet.at);
  return (
    <g className="roll-parts">
      {springs.map((spring, i) => (
        <SpringShape key={i} sheet={sheet} spring={spring} />
      ))}
      {shocks.map((line, i) => (
        <path key={i} className="shape shock" d={path(flat(line))} />
      ))}
      {stops.map(({ line, squeezed }, i) => (
        <path
          key={i}
          className={`shape bump-stop ${squeezed ? 'squeezed' : ''}`}
          d={path(flat(line))}
          style={{ strokeWidth: STOP_WIDTH * sheet.k }}
        />
      ))}
      {bar?.housing && (
        <path
          className={`shape bar-housing ${bar.on}`}
          d={path(flat(bar.housing))}
          style={{ strokeWidth: Math.max(9, (bar.od + 10) * sheet.k) }}
        />
      )}
      {bar && (
        <path
          className={`shape ${bar.on === 'axle' ? 'sway-axle' : 'sway'}`}
          d={path(flat(bar.line))}
          style={{ strokeWidth: Math.max(4.5, bar.od * sheet.k) }}
        />
      )}
      {links.map(({ line, loose }, i) => (
        <path key={i} className={`shape end-link ${loose ? 'loose' : ''}`} d={path(flat(line))} />
      ))}
    </g>
  );
});

type SpringProps = { sheet: Sheet; spring: RollFigures['springs'][number] };

/** A coil as the zigzag that every draughtsman draws, a bag as a box; end on, either is a ring. */
const SpringShape = memo(function SpringShape({ sheet, spring }: SpringProps) {
  const { kind, od, line } = spring;
  const [a, b] = line.map(sheet.at) as [Flat, Flat];
  const half = (od / 2) * sheet.k;
  const length = Math.hypot(b[0] - a[0], b[1] - a[1]);
  if (length < half) return <circle className="shape spring" cx={a[0]} cy={a[1]} r={half} />;
  const [ux, uy] = [(b[0] - a[0]) / length, (b[1] - a[1]) / length];
  const at = (along: number, out: number): Flat => [
    a[0] + ux * along * length - uy * out * half,
    a[1] + uy * along * length + ux * out * half,
  ];
  if (kind === 'air')
    return (
      <path
        className="shape spring bag"
        d={`${path([at(0.1, -1), at(0.9, -0.8), at(0.9, 0.8), at(0.1, 1)])}ZM${at(0, 0)}L${at(0.1, 0)}M${at(0.9, 0)}L${at(1, 0)}`}
      />
    );
  const turns = Array.from({ length: TURNS }, (_, i) =>
    at(0.08 + (0.84 * (i + 0.5)) / TURNS, i % 2 ? 1 : -1),
  );
  return <path className="shape spring" d={path([at(0, 0), at(0.08, 0), ...turns, at(0.92, 0), at(1, 0)])} />;
});
