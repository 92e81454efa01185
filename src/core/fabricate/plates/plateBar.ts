import makerjs, { type IModel, type IPath, type IPathLine } from 'makerjs';
import { hole, line, through, type Drawing, type Place } from '@/core/fabricate/drawing';

/** A bar cut from plate, mm: its middle line from its frame hole to its axle hole, how high it is, and its two holes. */
export type PlateBar = { middle: Place[]; height: number; holes: { frame: number; axle: number } };

/** A corner whose outer arc would be shorter than this is cut straight, mm: no table follows it, and outlines with such arcs do not close. */
const LEAST_ARC = 0.03;

/** A line without the corners that turn it too little to be cut: it stays within half a millimetre of what it was. */
function cornersCut(middle: Place[], radius: number): Place[] {
  const kept: Place[] = [];
  middle.forEach((place, i) => {
    const [before, after] = [kept.at(-1), middle[i + 1]];
    if (!before || !after || radius * turnAt(before, place, after) >= LEAST_ARC) kept.push(place);
  });
  return kept;
}

/** How much a line turns at a place, radians, to either side. */
function turnAt([x1, y1]: Place, [x2, y2]: Place, [x3, y3]: Place): number {
  const [ax, ay, bx, by] = [x2 - x1, y2 - y1, x3 - x2, y3 - y2];
  return Math.abs(Math.atan2(ax * by - ay * bx, ax * bx + ay * by));
}

/**
 * A bar of plate as it is cut: as high all along as round its holes, its outer corners and its ends rounded by half of its height, its holes
 * drilled, its middle line and the line from hole to hole scribed.
 */
export function plateBarDrawing({ middle, height, holes }: PlateBar): Drawing {
  const corners = cornersCut(middle, height / 2);
  const spine: IModel = {
    paths: Object.fromEntries(
      corners.slice(1).map((to, i) => [`s${i}`, new makerjs.paths.Line([...corners[i]!], [...to])]),
    ),
  };
  const around = makerjs.model.expandPaths(spine, height / 2);
  const [frame, axle] = [middle[0]!, middle.at(-1)!];
  return {
    paths: [
      ...roundOf(around).map((path): IPath => ({ ...path, layer: 'CUT' })),
      ...(middle.length > 2 ? through('SCRIBE', middle) : []),
      line('SCRIBE', frame, axle),
      ...hole(frame, holes.frame),
      ...hole(axle, holes.axle),
    ],
    words: [],
  };
}

/** A closed outline's paths in order round it to the left, as all outlines are: its arcs, which bulge outward, turn so of themselves. */
function roundOf(model: IModel): IPath[] {
  const { links } = makerjs.model.findSingleChain(makerjs.model.originate(model));
  const corners = links.map(({ endPoints, reversed }) => endPoints[reversed ? 1 : 0] as [number, number]);
  const turn = corners.reduce((sum, [x, y], i) => {
    const [u, v] = corners[(i + 1) % corners.length]!;
    return sum + x * v - u * y;
  }, 0);
  const isLeft = turn > 0;
  const path = ({ walkedPath: { pathContext }, reversed }: (typeof links)[number]): IPath => {
    if (pathContext.type !== makerjs.pathType.Line || reversed !== isLeft) return { ...pathContext };
    const { origin, end } = pathContext as IPathLine;
    return { ...pathContext, origin: end, end: origin } as IPathLine;
  };
  return (isLeft ? links : links.toReversed()).map(path);
}
