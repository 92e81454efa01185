import makerjs, { type IPath, type IPathArc, type IPathLine } from 'makerjs';
import { line, type Drawing, type Place } from '@/core/fabricate/drawing';
import { flankOf, lieOf, type Folded } from './foldedShape';
import { flankTop, markedOn, noseOf } from './plates';

/**
 * A bracket of two tabs and a web laid flat, the web's middle at x = 0 and its foot along y = 0; the middle of each fold is on layer BEND, and
 * both folds go the same way. Bend allowances as `bendAllowance` has them.
 */
export function foldedDrawing(folded: Folded): Drawing {
  const { tab, thickness, bend } = folded;
  const lie = lieOf(folded);
  const { from, way, up } = flankOf(tab);
  // On a tab: so far up its right flank, and so far in from it.
  const on = (s: number, v: number): Place => [
    from[0] + way[0] * s - way[1] * v,
    from[1] + way[1] * s + way[0] * v,
  ];
  const inner = thickness + bend;
  const foot: Place = [from[0] - inner / up, from[1]];
  const half: IPath[] = [
    line('CUT', tab.foot[0]!, foot),
    line('CUT', on(lie.high, inner), on(lie.relief, inner)),
    line('CUT', on(lie.relief, inner), on(lie.relief, 0)),
    line('CUT', on(lie.relief, 0), [tab.width / 2, flankTop(tab)]),
    ...noseOf(tab),
    ...markedOn(tab),
  ];
  const upright = 90 - (Math.atan2(way[1], way[0]) * 180) / Math.PI;
  const lay = (path: IPath): IPath =>
    makerjs.path.moveRelative(
      makerjs.path.rotate(
        makerjs.path.moveRelative(makerjs.path.clone(path), [-from[0], -from[1]]),
        upright,
        [0, 0],
      ),
      [-lie.flank, 0],
    );
  const left = half.map(lay);
  const [, toFold] = endsOf(left[0]!);
  const middle = (lie.web + lie.tab) / 2;
  return {
    paths: [
      ...left,
      ...left.map(mirrored),
      line('CUT', toFold, [-lie.web, 0]),
      line('CUT', [-lie.web, 0], [lie.web, 0]),
      line('CUT', [lie.web, 0], [-toFold[0], toFold[1]]),
      line('CUT', [lie.tab, lie.high], [-lie.tab, lie.high]),
      ...[-middle, middle].map((x) => line('BEND', [x, toFold[1] / 2], [x, lie.high])),
      line('SCRIBE', [0, 0], [0, lie.high]),
    ],
    words: [],
  };
}

const endsOf = (path: IPath): [Place, Place] => {
  const { origin, end } = path as IPathLine;
  return [origin as unknown as Place, end as unknown as Place];
};

/**
 * A path on the other side of the middle; a line turned round, so that the outline still goes round to the left. The library's own mirror
 * takes an arc that ends a hair from a right angle for one a degree shorter.
 */
function mirrored(path: IPath): IPath {
  const over = ([x, y]: Place): [number, number] => [-x, y];
  const [origin, end] = endsOf(path);
  if (path.type === makerjs.pathType.Line)
    return { ...path, origin: over(end), end: over(origin) } as IPathLine;
  if (path.type !== makerjs.pathType.Arc) return { ...path, origin: over(origin) };
  const arc = path as IPathArc;
  const turned = (deg: number): number => (540 - deg) % 360;
  const opposite: IPathArc = {
    ...arc,
    origin: over(origin),
    startAngle: turned(arc.endAngle),
    endAngle: turned(arc.startAngle),
  };
  return opposite;
}
