import { Clipper, EndType, JoinType, type Path64 } from 'clipper2-ts';
import DxfParser, { type IArcEntity, type ILineEntity, type ICircleEntity } from 'dxf-parser';
import fc from 'fast-check';
import { areaOf, type Place } from '@/core/fabricate/drawing';
import { collarDrawing } from '@/core/fabricate/plates/collar';
import { foldedDrawing } from '@/core/fabricate/plates/folded';
import { foldedFault, type Folded } from '@/core/fabricate/plates/foldedShape';
import { tabDrawing } from '@/core/fabricate/plates/plates';
import { plateBarDrawing } from '@/core/fabricate/plates/plateBar';
import { dxfOf } from '@/core/fabricate/vectorFiles';

const num = (min: number, max: number) => fc.double({ min, max, noNaN: true });
const FINE = 1000;

/** The cut outline of a file, its arcs as 180 chords each, as pieces from end to end. */
function cutPieces(dxf: string): Place[][] {
  const { entities } = new DxfParser().parseSync(dxf)!;
  return entities
    .filter(({ layer }) => layer === 'CUT')
    .map((entity): Place[] => {
      if (entity.type === 'LINE') return (entity as ILineEntity).vertices.map(({ x, y }): Place => [x, y]);
      const { center, radius, startAngle, endAngle } = entity as IArcEntity;
      const sweep = endAngle - startAngle + (endAngle < startAngle ? 2 * Math.PI : 0);
      return Array.from({ length: 181 }, (_, i): Place => {
        const turn = startAngle + (sweep * i) / 180;
        return [center.x + radius * Math.cos(turn), center.y + radius * Math.sin(turn)];
      });
    });
}

/** Pieces joined into one closed round; it fails where they do not close. */
function joined(pieces: Place[][]): Place[] {
  const near = (a: Place, b: Place) => Math.hypot(a[0] - b[0], a[1] - b[1]) < 0.01;
  const [first, ...rest] = pieces as [Place[], ...Place[][]];
  const round = [...first];
  while (rest.length) {
    const i = rest.findIndex((p) => near(p[0]!, round.at(-1)!) || near(p.at(-1)!, round.at(-1)!));
    expect(i).toBeGreaterThanOrEqual(0);
    const [next] = rest.splice(i, 1) as [Place[]];
    round.push(...(near(next[0]!, round.at(-1)!) ? next : next.toReversed()).slice(1));
  }
  expect(near(round[0]!, round.at(-1)!)).toBe(true);
  return round;
}
const areaIn = (round: Place[]): number =>
  Math.abs(
    round.reduce((sum, [x, y], i) => {
      const [u, v] = round[(i + 1) % round.length]!;
      return sum + (x * v - u * y) / 2;
    }, 0),
  );

// Clipper2 (clipper2-ts), its offset of an open path with round joins and ends: by nothing of what draws the plate.
test('a plate bar’s outline, read back from its file, closes and is the offset of its line, within 0.2 %', () => {
  // As far aside as a bar goes, or by so little that its arcs are shorter than any table cuts.
  const aside = fc.oneof(num(-140, 140), num(-0.2, 0.2));
  const corners = fc.array(fc.tuple(num(0.15, 0.85), aside), { maxLength: 2 });
  fc.assert(
    fc.property(num(400, 900), num(30, 80), corners, (length, height, bends) => {
      const middle: Place[] = [
        [0, 0],
        ...[...bends].sort(([a], [b]) => a - b).map(([share, aside]): Place => [share * length, aside]),
        [length, 0],
      ];
      // Corners nearer than the bar is high are no shape that anybody draws.
      fc.pre(middle.slice(1).every(([x], i) => x - middle[i]![0] > 1.5 * height));
      const drawing = plateBarDrawing({ middle, height, holes: { frame: 13, axle: 16 } });
      const area = areaIn(joined(cutPieces(dxfOf(drawing))));
      const line: Path64 = middle.map(([x, y]) => ({ x: Math.round(x * FINE), y: Math.round(y * FINE) }));
      const [offset] = Clipper.inflatePaths([line], (FINE * height) / 2, JoinType.Round, EndType.Round);
      const by = Math.abs(Clipper.area(offset!)) / FINE ** 2;
      expect(area / by).toBeGreaterThan(0.998);
      expect(area / by).toBeLessThan(1.002);
      // What it weighs by is that less its two holes.
      expect((areaOf(drawing) + (Math.PI / 4) * (13 ** 2 + 16 ** 2)) / by).toBeCloseTo(1, 2);
    }),
    {
      numRuns: 100,
      examples: [
        [
          400,
          30,
          [
            [0.15, 0.014999919877602689],
            [0.262500573375, 0],
          ],
        ],
      ],
    },
  );
});

/** Frame brackets as a builder may have them folded: tapered or straight, thick or thin, near or far apart. */
const brackets = fc
  .record({
    depth: num(60, 140),
    width: num(35, 60),
    hole: num(11, 19),
    up: num(60, 140),
    apart: num(30, 90),
    thickness: num(2, 8),
    bend: num(0, 10),
  })
  .map(({ depth, width, hole, up, ...rest }): Folded => {
    const edge = width / 2;
    const foot: Place[] = [
      [-depth / 2, 0],
      [depth / 2, 0],
    ];
    return { ...rest, tab: { foot, width, edge, hole, holes: [up] }, web: up - edge };
  })
  .filter((folded) => foldedFault(folded) === null);
/** Flanks a hair from upright. */
const UPRIGHT: Folded = {
  tab: {
    foot: [
      [-30, 0],
      [30, 0],
    ],
    width: 59.999999999999915,
    edge: 29.999999999999957,
    hole: 11,
    holes: [108.12235740412923],
  },
  apart: 30,
  thickness: 2,
  bend: 0,
  web: 78.12235740412927,
};

describe('a bracket folded from one plate', () => {
  test('closes, is alike on both sides, and has its two folds on their layer', () => {
    fc.assert(
      fc.property(brackets, (folded) => {
        const dxf = dxfOf(foldedDrawing(folded));
        const round = joined(cutPieces(dxf));
        expect(areaIn(round)).toBeGreaterThan(0);
        const some = round.filter((_, i) => i % 10 === 0);
        const mirrored = some.every(([x, y]) => round.some(([u, v]) => Math.hypot(u + x, v - y) < 0.05));
        expect(mirrored).toBe(true);
        const { entities } = new DxfParser().parseSync(dxf)!;
        expect(entities.filter(({ layer }) => layer === 'BEND')).toHaveLength(2);
        expect(entities.filter(({ layer, type }) => layer === 'DRILL' && type === 'CIRCLE')).toHaveLength(2);
      }),
      { numRuns: 60, examples: [[UPRIGHT]] },
    );
  });

  // Folded up again by hand: what is beyond the fold's end stands as far from the web's outer face as the fold takes of it.
  test('folded up, its holes stand where the tab has them, and its tabs as far apart as they should', () => {
    fc.assert(
      fc.property(brackets, (folded) => {
        const { tab, apart, thickness, bend } = folded;
        const { entities } = new DxfParser().parseSync(dxfOf(foldedDrawing(folded)))!;
        const holes = entities.filter(
          ({ layer, type }) => layer === 'DRILL' && type === 'CIRCLE',
        ) as ICircleEntity[];
        const folds = entities.filter(({ layer }) => layer === 'BEND') as ILineEntity[];
        const right = Math.max(...folds.map(({ vertices }) => vertices[0]!.x));
        const takes = (Math.PI / 2) * bend + 0.64 * thickness;
        // Half of the web between the folds, and both inside radii, are the space between the tabs.
        expect(2 * (right - takes / 2) + 2 * bend).toBeCloseTo(apart, 6);
        const { x, y } = holes.find(({ center }) => center.x > 0)!.center;
        const inward = x - (right + takes / 2) + bend + thickness;
        // The hole's distance from the flank's line, and how far up it, by the tab alone.
        const [fx, fy] = [tab.foot[1]![0], tab.foot[1]![1]];
        const lean = Math.atan2(Math.max(tab.edge, tab.holes[0]!) - fy, tab.width / 2 - fx);
        const [dx, dy] = [0 - fx, tab.holes[0]! - fy];
        expect(inward).toBeCloseTo(-Math.sin(lean) * dx + Math.cos(lean) * dy, 4);
        expect(y).toBeCloseTo(Math.cos(lean) * dx + Math.sin(lean) * dy, 4);
      }),
      { numRuns: 60 },
    );
  });

  test('of foil, it is its two tabs and its web side by side', () => {
    fc.assert(
      fc.property(brackets, (one) => {
        const foil = { ...one, thickness: 1e-4, bend: 0 };
        const flat = areaOf(foldedDrawing(foil));
        const { tab, apart, web } = foil;
        const lean = Math.hypot(1, (tab.foot[1]![0] - tab.width / 2) / Math.max(tab.edge, tab.holes[0]!));
        expect(flat / (2 * areaOf(tabDrawing(tab)) + apart * web * lean)).toBeCloseTo(1, 3);
      }),
      { numRuns: 40, examples: [[UPRIGHT]] },
    );
  });

  test('what cannot be folded is said: tabs too close, a web up to the hole, tabs as shallow as the folds', () => {
    const foot: Place[] = [
      [-40, 0],
      [40, 0],
    ];
    const good: Folded = {
      tab: { foot, width: 50, edge: 25, hole: 13, holes: [90] },
      apart: 40,
      thickness: 5,
      bend: 5,
      web: 60,
    };
    expect(foldedFault(good)).toBeNull();
    expect(foldedFault({ ...good, apart: 9 })).toBe('close');
    expect(foldedFault({ ...good, web: 88 })).toBe('high');
    expect(foldedFault({ ...good, bend: 60, apart: 200 })).toBe('shallow');
  });
});

test('a collar’s file is one circle to cut and one to drill, about one middle', () => {
  const { entities } = new DxfParser().parseSync(dxfOf(collarDrawing(82, 40)))!;
  const circles = entities.filter(({ type }) => type === 'CIRCLE') as ICircleEntity[];
  expect(circles.map(({ layer, radius }) => [layer, radius]).sort()).toEqual([
    ['CUT', 41],
    ['DRILL', 20],
  ]);
  for (const { center } of circles) expect([center.x, center.y]).toEqual([0, 0]);
});
