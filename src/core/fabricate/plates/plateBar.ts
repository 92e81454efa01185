import makerjs, { type IModel, type IPath, type IPathLine } from 'makerjs';
import { hole, line, through, type Drawing, type Place } from '@/core/fabricate/drawing';

/** A bar cut from plate, mm: its middle line from its frame hole to its axle hole, how high it is, and its two holes. */
export type PlateBar = { middle: Place[]; height: number; holes: { frame: number; axle: number } };

/**
 * A bar of plate as it is cut: as high all along as round its holes, its outer corners and its ends rounded by half of its height, its holes
 * drilled, its middle line and the line from hole to hole scribed.
 */
export function plateBarDrawing({ middle, height, holes }: PlateBar): Drawing {
  const spine: IModel = {
    paths: Object.fromEntries(
      middle.slice(1).map((to, i) => [`s${i}`, new makerjs.paths.Line([...middle[i]!], [...to])]),
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
