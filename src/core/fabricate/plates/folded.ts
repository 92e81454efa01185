import makerjs, { type IPath, type IPathArc, type IPathLine } from 'makerjs';
import { bendAllowance } from './bendAllowance';
import { line, type Drawing, type Place } from '@/core/fabricate/drawing';
import { flankTop, markedOn, noseOf, type TabShape } from './plates';

/**
 * Two tabs that stand on a flat face with the web between them, folded from one plate, mm: each tab; the space between their inner faces; the
 * plate's thickness; the inside radius of the folds; how high the web stands from the foot.
 */
export type Folded = { tab: TabShape; apart: number; thickness: number; bend: number; web: number };

/** How a folded bracket lies flat, mm: from its middle to where the web, the fold and the tab begin, to the tab's flank past the web; how high web and relief are along the flank, and the flank. */
type Lie = { web: number; tab: number; flank: number; high: number; relief: number; whole: number };

/** A fold that ends within a plate tears unless it is cut free past its end by as much as the plate is thick (common practice, no published source). */
function lieOf({ tab, apart, thickness, bend, web }: Folded): Lie {
  const { up } = flankOf(tab);
  const half = apart / 2 - bend;
  const folded = half + bendAllowance(bend, thickness);
  return {
    web: half,
    tab: folded,
    // The web's outer face lies in the flank's line: of each tab a thickness and a radius are in web and fold.
    flank: folded - thickness - bend,
    high: web / up,
    relief: web / up + thickness,
    whole: flankTop(tab) / up,
  };
}

/** A tab's right flank: from where, which way it goes up, as a unit vector, and how much of that is up. */
function flankOf(tab: TabShape): { from: Place; way: Place; up: number } {
  const from = tab.foot.at(-1)!;
  const [x, y] = [tab.width / 2 - from[0], flankTop(tab) - from[1]];
  const length = Math.hypot(x, y);
  return { from, way: [x / length, y / length], up: y / length };
}

/** Why a bracket cannot be folded so: its tabs stand too close for the folds, its web is too high for its flanks, or its tabs are no deeper than the folds. */
export function foldedFault(folded: Folded): 'close' | 'high' | 'shallow' | null {
  const { web, flank, relief, whole } = lieOf(folded);
  const { tab, thickness, bend } = folded;
  if (web < 0 || flank < 0) return 'close';
  if (relief > whole) return 'high';
  const across = tab.foot.at(-1)![0] - tab.foot[0]![0];
  return across * flankOf(tab).up < 2 * (thickness + bend) ? 'shallow' : null;
}

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
