import { Clipper, EndType, FillRule, JoinType, type Path64, type Paths64 } from 'clipper2-ts';
import makerjs from 'makerjs';
import { modelOf, rectangle, through, type Drawing, type Place } from './drawing';
import { extentsOf } from './vectorFiles';

/** A flat part to be laid on a sheet, and how many of it. */
export type Flat = { id: string; quantity: number; drawing: Drawing };

/** A part as it lies: turned about its own origin by so many quarters to the left, then moved, mm. */
export type Laid = { id: string; quarters: number; at: Place };

/** A sheet of plate, mm, and the least that is left between two parts, and half of it at the edges. */
export type Sheet = { width: number; height: number; gap: number };

/** The library counts in whole numbers: hundredths of a millimetre. */
const FINE = 100;
/** Outlines are followed to so much, mm, which is added to what parts keep off each other. */
const COARSE = 0.5;
const FACET = 4;

/** The outline of a drawing as corners, mm. */
export function outlineOf(drawing: Drawing): Place[] {
  const cut = modelOf({ paths: drawing.paths.filter(({ layer }) => layer === 'CUT'), words: [] });
  const [chain] = makerjs.model.findChains(cut) as makerjs.IChain[];
  return makerjs.chain.toKeyPoints(chain!, FACET).map((point): Place => [point[0]!, point[1]!]);
}

const turned = ([x, y]: Place, quarters: number): Place =>
  (
    [
      [x, y],
      [-y, x],
      [-x, -y],
      [y, -x],
    ] as const
  )[quarters]!;

/** A part's outline, as wide as it keeps others off, from the lower left of what it takes; and where its own origin then is. */
type Fat = { key: string; path: Path64; width: number; height: number; origin: Place };

function fatOf(id: string, outline: Place[], quarters: number, gap: number): Fat {
  const path = outline.map((place) => {
    const [x, y] = turned(place, quarters);
    return { x: Math.round(x * FINE), y: Math.round(y * FINE) };
  });
  const solid = Clipper.isPositive(path) ? path : Clipper.reversePath(path);
  const keepOff = (gap / 2 + 2 * COARSE) * FINE;
  const [wide] = Clipper.inflatePaths([solid], keepOff, JoinType.Miter, EndType.Polygon);
  const fat = Clipper.simplifyPath(wide!, COARSE * FINE, true);
  const { left, top, right, bottom } = Clipper.getBounds(fat);
  return {
    key: `${id} ${quarters}`,
    path: Clipper.translatePath(fat, -left, -top),
    width: right - left,
    height: bottom - top,
    origin: [-left / FINE, -top / FINE],
  };
}

/** Where one part may not come beside another that lies at the origin: the outline of all places of it at which they overlap. */
function apartOf(fixed: Fat, moved: Fat): Path64 {
  // The sum sweeps one outline along the other; what it goes round is as taken as what it goes over.
  const swept = Clipper.minkowskiDiff(moved.path, fixed.path, true);
  return swept.reduce((most, path) =>
    Math.abs(Clipper.area(path)) > Math.abs(Clipper.area(most)) ? path : most,
  );
}

type Open = { laid: Laid[]; taken: { fat: Fat; x: number; y: number }[] };

/**
 * Flat parts laid on sheets: the largest first, each turned by quarters to where its far edge is lowest, as far left as there is room, on
 * the first sheet that has some (bottom-left, by no-fit polygons).
 *
 * @returns what lies on each sheet, and the parts that are larger than one
 */
export function nestFlats(flats: Flat[], sheet: Sheet): { sheets: Laid[][]; tooLarge: string[] } {
  const [width, height] = [sheet.width * FINE, sheet.height * FINE];
  const known = new Map<string, Path64>();
  const apart = (fixed: Fat, moved: Fat): Path64 => {
    const key = `${fixed.key}|${moved.key}`;
    const path = known.get(key) ?? apartOf(fixed, moved);
    known.set(key, path);
    return path;
  };
  const shapes = flats
    .map(({ id, quantity, drawing }) => {
      const outline = outlineOf(drawing);
      const ways = [0, 1, 2, 3].map((quarters) => fatOf(id, outline, quarters, sheet.gap));
      return { id, quantity, ways, size: ways[0]!.width * ways[0]!.height };
    })
    .sort((a, b) => b.size - a.size || a.id.localeCompare(b.id));
  const open: Open[] = [];
  const tooLarge: string[] = [];
  for (const { id, quantity, ways } of shapes) {
    if (!ways.some((fat) => fat.width <= width && fat.height <= height)) {
      tooLarge.push(id);
      continue;
    }
    for (let n = 0; n < quantity; n++) {
      let on = open.find((one) => lay(one, id, ways, [width, height], apart));
      if (!on) {
        on = { laid: [], taken: [] };
        lay(on, id, ways, [width, height], apart);
        open.push(on);
      }
    }
  }
  return { sheets: open.map(({ laid }) => laid), tooLarge };
}

/** Lays a part on a sheet; whether there was room. */
function lay(
  on: Open,
  id: string,
  ways: Fat[],
  [width, height]: [number, number],
  apart: (fixed: Fat, moved: Fat) => Path64,
): boolean {
  const places = ways.flatMap((fat, quarters) =>
    placesFor(on, fat, [width, height], apart).map(({ x, y }) => ({
      fat,
      quarters,
      x,
      y,
      far: y + fat.height,
    })),
  );
  const [first, ...others] = places;
  if (!first) return false;
  const { fat, quarters, x, y } = others.reduce(
    (best, one) => (one.far < best.far || (one.far === best.far && one.x < best.x) ? one : best),
    first,
  );
  on.taken.push({ fat, x, y });
  on.laid.push({ id, quarters, at: [x / FINE + fat.origin[0], y / FINE + fat.origin[1]] });
  return true;
}

/** Corners of where a part can lie on a sheet beside what lies there. */
function placesFor(
  { taken }: Open,
  fat: Fat,
  [width, height]: [number, number],
  apart: (fixed: Fat, moved: Fat) => Path64,
): { x: number; y: number }[] {
  const [right, top] = [width - fat.width, height - fat.height];
  if (right < 0 || top < 0) return [];
  if (taken.length === 0) return [{ x: 0, y: 0 }];
  // Where it only just fits there is still a line to slide it along.
  const [wide, tall] = [Math.max(1, right), Math.max(1, top)];
  const room: Paths64 = [Clipper.makePath(rectangle([0, 0], [wide, tall]).flat())];
  const not = taken.map(({ fat: fixed, x, y }) => Clipper.translatePath(apart(fixed, fat), x, y));
  return Clipper.difference(room, not, FillRule.NonZero)
    .flat()
    .filter(({ x, y }) => x <= right && y <= top);
}

/** How far up a part its number stands, as a share: over any round in its foot. */
const NUMBER = 0.4;

/** Parts as they lie on a sheet, each with its number instead of its name, as one drawing with the sheet's edge scribed. */
export function sheetDrawing(
  laid: Laid[],
  parts: Map<string, { number: number; drawing: Drawing }>,
  { width, height }: Sheet,
): Drawing {
  const edge = rectangle([0, 0], [width, height]);
  const on = laid.map(({ id, quarters, at }): Drawing => {
    const { number, drawing } = parts.get(id)!;
    const { low, high } = extentsOf(drawing);
    const [x, y] = turned([(low[0] + high[0]) / 2, low[1] + NUMBER * (high[1] - low[1])], quarters);
    return {
      paths: drawing.paths.map((path) => {
        const copy = makerjs.path.rotate(makerjs.path.clone(path), 90 * quarters, [0, 0]);
        return { ...makerjs.path.moveRelative(copy, [...at]), layer: path.layer };
      }),
      words: [{ at: [x + at[0], y + at[1]], text: String(number) }],
    };
  });
  return {
    paths: [...through('SCRIBE', [...edge, edge[0]!]), ...on.flatMap(({ paths }) => paths)],
    words: on.flatMap(({ words }) => words),
  };
}
