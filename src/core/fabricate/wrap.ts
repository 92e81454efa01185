import { line, through, type Drawing, type Place } from './drawing';
import { saddleTemplate, type Saddle, type WallEdge } from './saddle';

/** How much paper stands beyond the throat, mm. */
const BEYOND = 25;
const QUARTERS = [0, 0.25, 0.5, 0.75, 1];

/**
 * A template to wrap round a tube, mm: x round its outside from the clocking mark, 0 to π·D; y along it from the barrel's axis. Cut along
 * the curve, the straight edge square round the tube.
 */
export function wrapDrawing(saddle: Saddle, edge: WallEdge = 'outer'): Drawing {
  const round = Math.PI * saddle.od;
  const curve = saddleTemplate(saddle, edge).map(({ turnDeg, along }): Place => [
    (round * turnDeg) / 360,
    along,
  ]);
  const top = Math.max(...curve.map(([, y]) => y)) + BEYOND;
  return {
    paths: [
      ...through('CUT', curve),
      ...through('CUT', [curve.at(-1)!, [round, top], [0, top], curve[0]!]),
      ...QUARTERS.map((share) => {
        const x = share * round;
        const [, y] = curve[Math.round(share * (curve.length - 1))]!;
        return line('SCRIBE', [x, y], [x, top]);
      }),
    ],
    words: [],
  };
}
