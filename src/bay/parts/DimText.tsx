import { memo } from 'react';
import { readTape } from '@/core/units/length';
import type { Tape } from '@/core/units/tape';

/** Advance widths of the mono face, in px at the two sizes used. */
const WHOLE = { size: 14, advance: 8.9 };
const PART = { size: 9.5, advance: 6.1 };
const WORD_ADVANCE = 4.9;
const GAP = 6;
const PAD = 5;

type Props = {
  x: number;
  y: number;
  mm: number;
  tape: Tape;
  before?: string;
  after?: string;
  /** it hangs on a guess: dashed underneath, as on a card */
  guessed?: boolean;
};

/** A length on the drawing: whole inches with a stacked fraction, breaking the line it stands on. */
export const DimText = memo(function DimText({
  x,
  y,
  mm,
  tape,
  before = '',
  after = '',
  guessed = false,
}: Props) {
  const r = readTape(mm, tape);
  const whole = (r.negative ? '−' : '') + r.whole;
  const wholeWidth = whole.length * WHOLE.advance;
  const partWidth = r.top ? Math.max(r.top.length, r.bottom!.length) * PART.advance + 2 : 0;
  const head = before ? before.length * WORD_ADVANCE + GAP : 0;
  const tail = after ? after.length * WORD_ADVANCE + GAP : 0;
  const width = head + wholeWidth + partWidth + tail;
  const start = x - width / 2;
  const left = start + head;
  const part = left + wholeWidth + partWidth / 2 + 1;
  return (
    <g className="dim-text">
      <rect x={start - PAD} y={y - 11} width={width + 2 * PAD} height={22} />
      {before && (
        <text x={start} y={y + 4.5} className="dim-word">
          {before}
        </text>
      )}
      <text x={left} y={y + 5} fontSize={WHOLE.size}>
        {whole}
      </text>
      {r.top && (
        <>
          <text x={part} y={y - 1.5} fontSize={PART.size} textAnchor="middle">
            {r.top}
          </text>
          <line x1={part - partWidth / 2 + 1} x2={part + partWidth / 2 - 1} y1={y + 0.5} y2={y + 0.5} />
          <text x={part} y={y + 9} fontSize={PART.size} textAnchor="middle">
            {r.bottom}
          </text>
        </>
      )}
      {guessed && (
        <line className="guessed" x1={left} x2={left + wholeWidth + partWidth} y1={y + 12} y2={y + 12} />
      )}
      {after && (
        <text x={left + wholeWidth + partWidth + GAP} y={y + 4.5} className="dim-word">
          {after}
        </text>
      )}
    </g>
  );
});
