import type { Tape } from '@/core/units/tape';
import { DimText } from './DimText';
import type { Flat } from '@/bay/views/projection';

const TICK = 3.5;

type Props = {
  from: Flat;
  to: Flat;
  mm: number;
  tape: Tape;
  after?: string;
  /** where along the line the figure stands, 0 to 1 */
  label?: number;
  guessed?: boolean;
};

/** A dimension line with slashes at its ends, as drawn on a shop floor. */
export function Dimension({ from, to, mm, tape, after, label = 0.5, guessed }: Props) {
  const x = from[0] + label * (to[0] - from[0]);
  const y = from[1] + label * (to[1] - from[1]);
  return (
    <g className="dimension">
      <line x1={from[0]} y1={from[1]} x2={to[0]} y2={to[1]} />
      {[from, to].map(([px, py], i) => (
        <line key={i} className="tick" x1={px - TICK} y1={py + TICK} x2={px + TICK} y2={py - TICK} />
      ))}
      <DimText x={x} y={y} mm={mm} tape={tape} after={after} guessed={guessed} />
    </g>
  );
}
