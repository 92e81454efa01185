import { Dimension } from '@/bay/parts/Dimension';
import { DimText } from '@/bay/parts/DimText';
import type { Tape } from '@/core/units/tape';

type Props = {
  /** mm off the floor */
  frame: number;
  centre: number;
  top: number;
  tube: number;
  radius: number;
  tape: Tape;
};

const WIDTH = 410;
const HEIGHT = 250;
const FLOOR = 222;
const AXLE_X = 150;
const FRAME_X = 300;
const TOP_ROOM = 30;
const RAIL = 90;
const STRIP = 60;

/** One end of the axle on its rest, seen from the side, true to scale in height: floor, rest, strips, tube, wheel to come and frame. */
export function StandsDrawing({ frame, centre, top, tube, radius, tape }: Props) {
  const k = (FLOOR - TOP_ROOM) / Math.max(frame + RAIL, centre + tube, 1);
  const y = (mm: number) => FLOOR - mm * k;
  const half = Math.max(7, (tube / 2) * k);
  return (
    <svg
      className="stands-drawing drawing"
      viewBox={`0 0 ${WIDTH} ${HEIGHT}`}
      role="img"
      aria-label="The axle on its rest, with heights off the floor"
    >
      <rect className="ground" width={WIDTH} height={HEIGHT} />
      <line className="floor" x1={10} x2={WIDTH - 10} y1={FLOOR} y2={FLOOR} />
      <circle className="wheel" cx={AXLE_X} cy={y(centre)} r={radius * k} />
      <rect
        className="rest"
        x={AXLE_X - half * 2.2}
        y={y(top)}
        width={half * 4.4}
        height={Math.max(0, FLOOR - y(top))}
      />
      {[-1, 1].map((s) => (
        <rect
          key={s}
          className="strip"
          x={s < 0 ? AXLE_X - half - 6 : AXLE_X + half}
          y={y(top + STRIP)}
          width={6}
          height={STRIP * k}
        />
      ))}
      <circle className="tube" cx={AXLE_X} cy={y(centre)} r={half} />
      <rect className="rail" x={FRAME_X - 50} y={y(frame + RAIL)} width={140} height={RAIL * k} />
      <path
        className="stand"
        d={`M${FRAME_X},${y(frame)}V${FLOOR}M${FRAME_X - 22},${FLOOR}L${FRAME_X},${y(frame * 0.55)}L${FRAME_X + 22},${FLOOR}`}
      />
      <Dimension
        from={[40, FLOOR]}
        to={[40, y(centre)]}
        mm={centre}
        tape={tape}
        after="centre"
        label={0.62}
      />
      <Dimension
        from={[AXLE_X + half * 2.2 + 26, FLOOR]}
        to={[AXLE_X + half * 2.2 + 26, y(top)]}
        mm={top}
        tape={tape}
        label={0.4}
      />
      <Dimension
        from={[FRAME_X + 60, FLOOR]}
        to={[FRAME_X + 60, y(frame)]}
        mm={frame}
        tape={tape}
        label={0.5}
      />
      <DimText x={AXLE_X - half - 52} y={y(top + STRIP / 2)} mm={tube} tape={tape} before="strips" />
    </svg>
  );
}
