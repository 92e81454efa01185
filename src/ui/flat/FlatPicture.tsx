import type { Drawing } from '@/core/fabricate/drawing';
import { extentsOf, pathDataOf } from '@/core/fabricate/vectorFiles';
import './flat.css';

type Props = {
  drawing: Drawing;
  /** what the picture shows, for who cannot see it */
  name: string;
  /** what is shown of it, mm; without it, all */
  window?: { low: [number, number]; high: [number, number] };
  words?: boolean;
};

/** So much paper stands round a flat part, as a share of it. */
const ROUND = 0.04;

/** So many lines of words would fill the picture, by its width or by its height: a tall one is shown smaller. */
const WORDS = { wide: 45, high: 25 };

/** A flat part or a sheet of them as it is cut, its layers told by their lines. */
export function FlatPicture({ drawing, name, window, words = false }: Props) {
  const { low, high } = window ?? extentsOf(drawing);
  const [width, height] = [high[0] - low[0], high[1] - low[1]];
  const edge = window ? 0 : ROUND * Math.max(width, height);
  return (
    <svg
      className="flat-picture"
      viewBox={`${low[0] - edge} ${-high[1] - edge} ${width + 2 * edge} ${height + 2 * edge}`}
      role="img"
      aria-label={name}
    >
      {Object.entries(pathDataOf(drawing)).map(([layer, data]) => (
        <path key={layer} className={layer.toLowerCase()} d={data} />
      ))}
      {words &&
        drawing.words.map(({ at: [x, y], text }, i) => (
          <text key={i} x={x} y={-y} fontSize={Math.max(width / WORDS.wide, height / WORDS.high)}>
            {text}
          </text>
        ))}
    </svg>
  );
}
