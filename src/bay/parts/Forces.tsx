import { memo } from 'react';
import type { Tape } from '@/core/units/tape';
import type { Bar } from '@/bay/model/bayModel';
import type { Sheet } from '@/bay/views/projection';
import { FORCE } from '@/core/units/unit';

/** Narrower than this, figures seen from above cover each other, px. */
const ROOMY = 600;
/** Bars shorter than this on the screen are seen end on, and carry no figure, px. */
const SHORTEST = 40;

type Props = { sheet: Sheet; bars: Bar[]; tape: Tape };

/** The force in every bar of the load case that is looked at: pulled or pushed. */
export const Forces = memo(function Forces({ sheet, bars, tape }: Props) {
  if (sheet.view === 'plan' && sheet.box.width < ROOMY) return null;
  const across = sheet.view === 'rear';
  const seen = bars.filter(
    (b) =>
      b.force !== null &&
      (!across || Math.abs(b.chassis[1] - b.axle[1]) > Math.abs(b.chassis[0] - b.axle[0])),
  );
  return (
    <g className="forces">
      {seen.map((bar) => {
        const [a, b] = [sheet.at(bar.chassis), sheet.at(bar.axle)];
        if (Math.hypot(a[0] - b[0], a[1] - b[1]) < SHORTEST) return null;
        // From the side, the bars of a pair share a place: the right one's figure stands below the left one's.
        const below = sheet.view === 'side' && bar.id.endsWith('-right') ? 22 : 0;
        const [x, y] = [(a[0] + b[0]) / 2, (a[1] + b[1]) / 2 + below];
        const text = `${bar.force! > 0 ? 'pulled' : 'pushed'} ${FORCE.say(Math.abs(bar.force!), tape)}`;
        return (
          <g key={bar.id} className={bar.force! > 0 ? 'pulled' : 'pushed'}>
            <rect
              x={x - text.length * 3.4 - 5}
              y={y - 11}
              width={text.length * 6.8 + 10}
              height={20}
              rx={3}
            />
            <text x={x} y={y + 4} textAnchor="middle">
              {text}
            </text>
          </g>
        );
      })}
    </g>
  );
});
