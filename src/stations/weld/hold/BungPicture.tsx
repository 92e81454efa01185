import type { BungWeld } from '@/core/weld/endWeld';
import { sayLength } from '@/core/units/length';
import type { Tape } from '@/core/units/tape';

const WIDE = 360;
const HIGH = 112;
const LEFT = 40;
const TOP = 30;

/** The end of a tube with its bung, seen from the side: the seam round its face, and the plugs through its wall. */
export function BungPicture({ weld: { od, bung, plugs }, tape }: { weld: BungWeld; tape: Tape }) {
  const k = Math.min((WIDE - 2 * LEFT) / (1.6 * bung), (HIGH - TOP - 30) / od);
  const [face, deep, high] = [LEFT, LEFT + bung * k, od * k];
  const middle = TOP + high / 2;
  return (
    <svg viewBox={`0 0 ${WIDE} ${HIGH}`} role="img" aria-label="Seam and plugs of a bung, from the side">
      <rect className="foot" x={face} y={TOP} width={1.6 * bung * k} height={high} />
      <path
        className="bung"
        d={`M${deep},${TOP + 5}V${TOP + high - 5}M${face},${TOP + 5}H${deep}M${face},${TOP + high - 5}H${deep}`}
      />
      <line className="run" x1={face} x2={face} y1={TOP} y2={TOP + high} />
      <text x={face} y={TOP - 10} textAnchor="middle">
        seam
      </text>
      {plugs && (
        <>
          <circle className="plug" cx={face + plugs.fromFace * k} cy={middle} r={(plugs.hole / 2) * k} />
          <text x={face} y={TOP + high + 18}>
            {sayLength(plugs.hole, tape)} hole, {sayLength(plugs.fromFace, tape)} from the face
          </text>
        </>
      )}
    </svg>
  );
}
