import DxfParser from 'dxf-parser';
import fc from 'fast-check';
import { pdfPages, printedBy, type PdfPage } from '../support/programs/printed';
import makerjs from 'makerjs';
import { PDFDocument } from 'pdf-lib';
import { barCut } from '@/core/cut/barCut';
import { cutFiles, fullSizePdf, revisionOf } from '@/core/cut/cutFiles';
import { shoppingList } from '@/core/cut/lists';
import { jobCut } from '@/core/cut/jobCut';
import { boltFor } from '@/core/fabricate/boltStack';
import { LAYERS, type Place } from '@/core/fabricate/drawing';
import { nestLengths } from '@/core/fabricate/nesting';
import { PAPERS } from '@/core/fabricate/paper/text';
import { isFootClear, tabDrawing } from '@/core/fabricate/plates/plates';
import { holeSaw, saddleDepth, saddleFault, saddleTemplate, type Saddle } from '@/core/fabricate/saddle';
import { bendAllowance } from '@/core/fabricate/plates/bendAllowance';
import { angleDrawing, angleFault, angleSizes, type Angle } from '@/core/fabricate/plates/angle';
import { strapDrawing, strapFault, strapSizes, type Strap } from '@/core/fabricate/plates/strap';
import { dxfOf, extentsOf } from '@/core/fabricate/vectorFiles';
import { wrapDrawing } from '@/core/fabricate/wrap';
import { bendsAlong } from '@/core/geometry/bends';
import { distance, type Point } from '@/core/geometry/vector';
import { withParts } from '@/core/job/edits/parts/parts';
import { linksOf } from '@/core/rig/members/members';
import { demoJobs } from '@/store/demo';

const INCH = 25.4;
const marigold = demoJobs().find(({ name }) => name.startsWith('Marigold'))!;

const saddles: fc.Arbitrary<Saddle> = fc
  .record({
    barrel: fc.double({ min: 30, max: 90, noNaN: true }),
    share: fc.double({ min: 0.3, max: 0.95, noNaN: true }),
    wall: fc.double({ min: 1, max: 6, noNaN: true }),
    angleDeg: fc.double({ min: 40, max: 140, noNaN: true }),
    beside: fc.double({ min: -1, max: 1, noNaN: true }),
  })
  .map(({ barrel, share, wall, angleDeg, beside }) => {
    const od = share * barrel;
    return { od, wall, barrel, angleDeg, offset: (beside * (barrel - od)) / 2 };
  });

describe('saddles', () => {
  // Two cylinders, by what each of them is: every point of the cut is on both.
  test('every point of the cut is on the tube and on the barrel', () => {
    fc.assert(
      fc.property(saddles, (saddle) => {
        const α = (saddle.angleDeg * Math.PI) / 180;
        // The tube's axis leans from the barrel's, which is x; it passes beside it by the offset, along y.
        const axis: Point = [Math.cos(α), 0, Math.sin(α)];
        const away: Point = [-Math.sin(α), 0, Math.cos(α)];
        for (const edge of ['outer', 'inner'] as const) {
          const r = saddle.od / 2 - (edge === 'inner' ? saddle.wall : 0);
          if (r <= 0) return;
          for (const { turnDeg, along } of saddleTemplate(saddle, edge)) {
            const θ = (turnDeg * Math.PI) / 180;
            const p = axis.map((v, k) => v * along - away[k]! * r * Math.cos(θ)) as Point;
            p[1] += r * Math.sin(θ) - saddle.offset;
            expect(Math.hypot(p[1], p[2])).toBeCloseTo(saddle.barrel / 2, 6);
          }
        }
      }),
      { numRuns: 60 },
    );
  });

  // manifold-3d: the tube cut against the barrel as solids of 720 sides. Where a tube just touches the barrel's side, its flats leave a
  // corner that no cylinder has: those are left to the property above.
  test('a solid kernel cuts the same saddle, to 0.02 mm', () => {
    const inside = ({ od, barrel, offset }: Saddle) => od / 2 + Math.abs(offset) < 0.48 * barrel;
    const some = fc.sample(saddles.filter(inside), 12);
    const cut = printedBy<[turn: number, along: number][][]>('saddles.mjs', [], JSON.stringify(some));
    some.forEach((saddle, i) => {
      const curve = saddleTemplate(saddle);
      expect(cut[i]!.length).toBeGreaterThan(360);
      let worst = 0;
      for (const [turn, along] of cut[i]!) {
        // Its corners stand between ours, a degree apart.
        const place = ((turn * 180) / Math.PI + 360) % 360;
        const [before, after] = [curve[Math.floor(place)]!, curve[Math.ceil(place)]!];
        const ours = before.along + (after.along - before.along) * (place - before.turnDeg);
        worst = Math.max(worst, Math.abs(along - ours));
      }
      expect({ saddle, isClose: worst < 0.02 }).toEqual({ saddle, isClose: true });
    });
  });

  // The trade's rule, common practice, no published source: tube on tube of equal size, the notch is about a quarter of the diameter deep.
  test('a tube on its equal: at its sides half a diameter, by the rule a quarter', () => {
    const { depth, rule } = saddleDepth({ od: 38.1, wall: 3, barrel: 38.1, angleDeg: 90, offset: 0 });
    expect(depth).toBeCloseTo(38.1 / 2, 6);
    expect(rule).toBeCloseTo(38.1 / 4, 9);
    // On a barrel of a size and a third the rule is right to a hundredth of the tube.
    const usual = saddleDepth({ od: 31.75, wall: 3, barrel: 1.25 * 31.75, angleDeg: 90, offset: 0 });
    expect(usual.depth / usual.rule).toBeGreaterThan(0.9);
    expect(usual.depth / usual.rule).toBeLessThan(1.1);
  });

  test('a tube wider than its barrel, or that passes beside it, has no saddle; a hole saw is as large as the barrel', () => {
    const saddle = { od: 40, wall: 3, barrel: 38, angleDeg: 90, offset: 0 };
    expect(saddleFault(saddle)).toBe('wider');
    expect(saddleFault({ ...saddle, barrel: 50, offset: 8 })).toBe('beside');
    expect(saddleFault({ ...saddle, barrel: 50, offset: 4 })).toBeNull();
    expect(holeSaw({ ...saddle, angleDeg: 60 })).toEqual({ size: 38, angleDeg: 30, offset: 0 });
  });
});

describe('bends', () => {
  // Geometry of an arc, exact: a quarter bend of radius R between legs takes πR/2 where its corner would have taken 2R.
  test('a right angle, and a bar that goes round an arc', () => {
    const sheet = bendsAlong(
      [
        [0, 0, 0],
        [300, 0, 0],
        [300, 200, 0],
      ],
      60,
    );
    expect(sheet.blank).toBeCloseTo(500 - 120 + (Math.PI * 60) / 2, 9);
    expect(sheet.bends[0]!.angle).toBeCloseTo(90, 9);
    expect(sheet.bends[0]!.straight).toBeCloseTo(240, 9);
    // Corners round a circle, each bent to that circle's own radius, add up to its arc and the two half corners left over.
    const n = 12;
    const R = 400;
    const corner = R / Math.cos(Math.PI / (2 * n));
    const at = (k: number): Point => [
      corner * Math.cos((Math.PI * (2 * k + 1)) / (2 * n)),
      corner * Math.sin((Math.PI * (2 * k + 1)) / (2 * n)),
      0,
    ];
    const round = bendsAlong(
      Array.from({ length: n }, (_, k) => at(k)),
      R,
    );
    const leftOver = 2 * R * Math.tan(Math.PI / (2 * n));
    expect(round.blank).toBeCloseTo((Math.PI / n) * (n - 2) * R + leftOver, 6);
  });
});

describe('what a bar is cut to', () => {
  // Common practice, no published source: 40 1/2 eye to eye, 2 3/4 at each end, tube 35; 35 in of 1 1/4 × .120 weighs 4.23 lb (7850 kg/m³).
  test('40 1/2 eye to eye, 2 3/4 each end: 35 of tube, 4.23 lb', () => {
    const end = { toShoulder: 2.5 * INCH, showing: 0.25 * INCH, shank: 2.25 * INCH, bung: 2 * INCH };
    const job = {
      ...marigold,
      parts: { bars: {}, brackets: {} },
      cut: { ...marigold.cut, ends: { frame: end, axle: end }, tube: { od: 1.25 * INCH, wall: 0.12 * INCH } },
    };
    const cut = barCut(job, { type: 'link', id: 'panhard', chassis: [0, 0, 0], axle: [0, 40.5 * INCH, 0] });
    expect(cut.blank / INCH).toBeCloseTo(35, 9);
    expect(cut.finished / INCH).toBeCloseTo(35, 9);
    expect(cut.mass / 0.45359237).toBeCloseTo(4.23, 2);
  });

  // Common practice, no published source: throat to throat and twice the notch, on barrels at both ends.
  test('on barrels, the blank is throat to throat and the depth of both notches', () => {
    const welded = withParts(marigold, {
      bars: { panhard: { barrels: { frame: { od: 44.45 }, axle: { od: 44.45 } } } },
    });
    const link = linksOf(welded.rig).find(({ id }) => id === 'panhard')!;
    const { blank, finished, eyeToEye, ends } = barCut(welded, link);
    const { depth } = saddleDepth({ od: 31.75, wall: 3.048, barrel: 44.45, angleDeg: 90, offset: 0 });
    expect(finished).toBeCloseTo(eyeToEye - 44.45, 6);
    expect(blank).toBeCloseTo(finished + 2 * depth, 6);
    expect(ends.frame.kind).toBe('saddle');
    expect(jobCut(welded).wraps.map(({ id }) => id)).toEqual(['panhard-frame-wrap', 'panhard-axle-wrap']);
  });

  test('a bent bar is cut to what it measures along its bends', () => {
    const link = linksOf(marigold.rig).find(({ id }) => id === 'panhard')!;
    const under: Point = link.chassis.map((v, k) => (v + link.axle[k]!) / 2 - (k === 2 ? 90 : 0)) as Point;
    const straight = barCut(marigold, link);
    const bent = barCut(marigold, { ...link, path: { chassis: [under] } });
    const corners = distance(link.chassis, under) + distance(under, link.axle);
    expect(bent.blank).toBeGreaterThan(straight.blank);
    expect(bent.blank - straight.blank).toBeLessThan(corners - straight.eyeToEye);
    expect(bent.bends!.bends).toHaveLength(1);
  });
});

test('nothing is lost on the saw: every piece once, none overlapping, no length longer than it is', () => {
  fc.assert(
    fc.property(
      fc.array(fc.double({ min: 20, max: 2500, noNaN: true }), { maxLength: 30 }),
      fc.double({ min: 500, max: 6100, noNaN: true }),
      fc.double({ min: 0, max: 6, noNaN: true }),
      (sizes, stock, kerf) => {
        const pieces = sizes.map((length, i) => ({ id: `p${i}`, length }));
        const { lengths, tooLong } = nestLengths(pieces, stock, kerf);
        const laid = [...lengths.flatMap((one) => one.pieces), ...tooLong];
        expect(laid.map(({ id }) => id).sort()).toEqual(pieces.map(({ id }) => id).sort());
        for (const one of lengths) {
          const used =
            one.pieces.reduce((sum, { length }) => sum + length, 0) + kerf * (one.pieces.length - 1);
          expect(used).toBeLessThanOrEqual(stock + 1e-6);
          expect(one.left).toBeLessThanOrEqual(stock - used + 1e-6);
        }
        expect(tooLong.every(({ length }) => length > stock)).toBe(true);
      },
    ),
  );
});

describe('bolts through a stack', () => {
  // Common practice, no published source: the thread stays out of the last tab, two threads stand out of the nut.
  test('through, with its nut, its thread past the last plane, and no longer than that takes', () => {
    fc.assert(
      fc.property(
        fc.constantFrom(9.525, 12.7, 15.875, 19.05, 12, 16, 20),
        fc.double({ min: 3, max: 13, noNaN: true }),
        fc.double({ min: 10, max: 80, noNaN: true }),
        fc.double({ min: 0, max: 15, noNaN: true }),
        fc.constantFrom(1 as const, 2 as const),
        (bolt, plate, middle, spacer, planes) => {
          const { grip, length, thread, plainPast, extraWashers } = boltFor({
            bolt,
            plate,
            planes,
            middle,
            spacer,
          });
          // A bolt of so many sixteenths comes by the quarter inch, one of whole millimetres by five.
          const step = Number.isInteger(bolt) ? 5 : 6.35;
          const stack = planes * plate + middle + 2 * spacer;
          expect(length / step).toBeCloseTo(Math.round(length / step), 9);
          expect(grip).toBeGreaterThan(stack);
          expect(length).toBeGreaterThan(grip + 0.9 * bolt);
          expect(plainPast).toBeGreaterThanOrEqual(-1e-9);
          // With its washers on, the nut is on thread.
          expect(length - thread).toBeLessThanOrEqual(grip + extraWashers * 0.16 * bolt + 1e-6);
        },
      ),
    );
  });

  // ASME B18.2.1, from memory: a 5/8 × 3 bolt has 1 1/2 of thread.
  test('a 5/8 bolt through 1/4 tabs and a 7/8 ball is 2 3/4 long', () => {
    const inch = {
      bolt: 0.625 * INCH,
      plate: 0.25 * INCH,
      planes: 2 as const,
      middle: 0.875 * INCH,
      spacer: 0,
    };
    const { length, thread } = boltFor(inch);
    expect([length / INCH, thread / INCH]).toEqual([expect.closeTo(2.75, 9), expect.closeTo(1.5, 9)]);
  });
});

/** An entity of a DXF file as the parser gives it. */
type Entity = {
  type: string;
  layer: string;
  vertices?: { x: number; y: number }[];
  center?: { x: number; y: number };
  radius?: number;
};
const parsed = (text: string) =>
  new DxfParser().parseSync(text) as unknown as { header: Record<string, unknown>; entities: Entity[] };

const straight = (depth: number): Place[] => [
  [-depth / 2, 0],
  [depth / 2, 0],
];

describe('DXF, read back by dxf-parser', () => {
  test('Release 12, mm, known layers; holes are circles of their diameter at their true centres', () => {
    const shape = { foot: straight(100), width: 50, edge: 25, hole: 16.5, holes: [60, 85, 110] };
    const { header, entities } = parsed(dxfOf(tabDrawing(shape)));
    expect(header.$ACADVER).toBe('AC1009');
    expect(header.$INSUNITS).toBe(4);
    expect(
      entities.map(({ layer }) => layer).every((layer) => (LAYERS as readonly string[]).includes(layer)),
    ).toBe(true);
    const holes = entities.filter(({ type, layer }) => type === 'CIRCLE' && layer === 'DRILL');
    expect(holes.map(({ center, radius }) => [center!.x, center!.y, radius])).toEqual(
      shape.holes.map((y) => [0, y, 8.25]),
    );
    const cut = entities.filter(({ layer }) => layer === 'CUT');
    const xs = cut.flatMap(({ vertices }) => (vertices ?? []).map(({ x }) => x));
    expect([Math.min(...xs), Math.max(...xs)]).toEqual([-50, 50]);
  });

  test('a tab’s outline is closed, goes round all of its holes, and leaves them their edge', () => {
    fc.assert(
      fc.property(
        fc.record({
          depth: fc.double({ min: 40, max: 160, noNaN: true }),
          width: fc.double({ min: 35, max: 80, noNaN: true }),
          edge: fc.double({ min: 12, max: 45, noNaN: true }),
          hole: fc.double({ min: 8, max: 20, noNaN: true }),
          reach: fc.double({ min: 30, max: 200, noNaN: true }),
          count: fc.integer({ min: 1, max: 5 }),
          round: fc.double({ min: 0.02, max: 2, noNaN: true }),
        }),
        ({ round, depth, width, edge, hole, reach, count }) => {
          const holes = Array.from({ length: count }, (_, i) => reach + 25 * i);
          // On a flat face, or round a tube.
          const radius = depth * (0.5 + round);
          const foot = Array.from({ length: 41 }, (_, i): Place => {
            const u = depth * (i / 40 - 0.5);
            return [u, Math.sqrt(radius ** 2 - u ** 2) - radius];
          });
          const shape = { foot: round > 1 ? straight(depth) : foot, width, edge, hole, holes };
          fc.pre(isFootClear(shape));
          const drawing = tabDrawing(shape);
          const outline = {
            paths: Object.fromEntries(
              drawing.paths.filter((p) => p.layer === 'CUT').map((p, i) => [`p${i}`, p]),
            ),
          };
          const chains = makerjs.model.findChains(outline) as makerjs.IChain[];
          expect(chains).toHaveLength(1);
          expect(chains[0]!.endless).toBe(true);
          const { high } = extentsOf({ ...drawing, paths: drawing.paths.filter((p) => p.layer === 'CUT') });
          expect(high[1]).toBeCloseTo(holes.at(-1)! + edge, 6);
        },
      ),
      {
        numRuns: 100,
        endOnFailure: true,
        examples: [[{ depth: 40, width: 35, edge: 17.3, hole: 8, reach: 30, count: 1, round: 2 }]],
      },
    );
  });

  test('a wrap template is as wide as the tube is round, and its curve is the saddle', () => {
    fc.assert(
      fc.property(saddles, (saddle) => {
        const { entities } = parsed(dxfOf(wrapDrawing(saddle)));
        const cut = entities.filter(({ layer }) => layer === 'CUT').flatMap(({ vertices }) => vertices ?? []);
        expect(Math.max(...cut.map(({ x }) => x))).toBeCloseTo(Math.PI * saddle.od, 6);
        expect(Math.min(...cut.map(({ y }) => y))).toBeCloseTo(saddleDepth(saddle).tip, 6);
      }),
      { numRuns: 10 },
    );
  });
});

describe('a strap over a bushing', () => {
  // By hand, inches: a bushing 1 5/8 square squeezed by 1/32, a round top, 1/8 strap bent to 1/8, feet 1 1/4; Machinery’s Handbook, from
  // memory: a quarter turn of mild steel takes 1.57·radius + 0.64·thickness.
  const inches = {
    wide: 1.625,
    high: 1.625,
    squeeze: 1 / 32,
    round: 0.8125,
    thickness: 0.125,
    width: 1.25,
    bend: 0.125,
    foot: 1.25,
    bolt: 0.375,
  };
  const strap = Object.fromEntries(Object.entries(inches).map(([key, v]) => [key, v * INCH])) as Strap;

  test('is flat as long as its feet, sides and bends, and its bolts stand outside of it', () => {
    const { flat, apart } = strapSizes(strap);
    const bends = 2 * (1.57 * 0.125 + 0.08) + 2 * (1.57 * 0.8125 + 0.08);
    expect(flat / INCH).toBeCloseTo(2 * 1.125 + bends + 2 * 0.53125, 2);
    expect(apart / INCH).toBeCloseTo(1.625 + 0.25 + 1.25, 9);
    expect(bendAllowance(2 * INCH, 0.1 * INCH) / INCH).toBeCloseTo(1.57 * 2 + 0.064, 2);
  });

  // Exact arcs: what has no thickness is as long as its own line.
  test('thin as foil, it is as long as the line of its arcs', () => {
    fc.assert(
      fc.property(
        fc.double({ min: 30, max: 60, noNaN: true }),
        fc.double({ min: 0, max: 1, noNaN: true }),
        fc.double({ min: 1, max: 6, noNaN: true }),
        (wide, share, bend) => {
          const round = (share * wide) / 2;
          const thin = { ...strap, wide, high: 60, squeeze: 0, round, bend, thickness: 1e-9 };
          const line =
            2 * (strap.foot - bend) +
            Math.PI * bend +
            2 * (60 - round - bend) +
            Math.PI * round +
            wide -
            2 * round;
          expect(strapSizes(thin).flat).toBeCloseTo(line, 6);
          expect(strapFault(thin)).toBeNull();
        },
      ),
    );
  });

  test('read back: four bends on their layer, alike from both ends, two holes; feet or sides that its bends eat are a fault', () => {
    const { flat } = strapSizes(strap);
    const { entities } = parsed(dxfOf(strapDrawing(strap)));
    const bends = entities.filter(({ layer }) => layer === 'BEND').map(({ vertices }) => vertices![0]!.x);
    expect(bends).toHaveLength(4);
    bends.forEach((x, i) => expect(x + bends[3 - i]!).toBeCloseTo(flat, 6));
    expect(entities.filter(({ layer, type }) => layer === 'DRILL' && type === 'CIRCLE')).toHaveLength(2);
    expect(strapFault(strap)).toBeNull();
    expect(strapFault({ ...strap, foot: 5 })).toBe('foot');
    expect(strapFault({ ...strap, high: 22 })).toBe('side');
  });
});

describe('an angle under a strap', () => {
  // By hand, inches: legs of 1 5/8 and 2, 3/16 plate folded to 3/16; Machinery’s Handbook, from memory: a quarter turn of mild steel takes
  // 1.57·radius + 0.64·thickness.
  const inches = {
    under: 1.625,
    against: 2,
    thickness: 3 / 16,
    bend: 3 / 16,
    edge: 0.75,
    apart: 3.125,
    bolt: 0.375,
    strap: 1.25,
  };
  const angle = Object.fromEntries(Object.entries(inches).map(([key, v]) => [key, v * INCH])) as Angle;

  test('is flat as wide as its legs less their fold, and the fold; its bolts stand in the middle of what lies flat', () => {
    const { length, flat } = angleSizes(angle);
    const fold = 1.57 * (3 / 16) + 0.64 * (3 / 16);
    expect(length / INCH).toBeCloseTo(4.625, 9);
    expect(flat / INCH).toBeCloseTo(1.25 + fold + 1.625, 2);
    const { entities } = parsed(dxfOf(angleDrawing(angle)));
    const rings = entities.filter(({ layer, type }) => layer === 'DRILL' && type === 'CIRCLE');
    const at = (axis: 'x' | 'y') => [
      ...new Set(rings.map(({ center }) => (center![axis] / INCH).toFixed(3))),
    ];
    expect(at('x').map(Number)).toEqual([expect.closeTo(0.75, 3), expect.closeTo(3.875, 3)]);
    expect(at('y').map(Number)).toEqual([expect.closeTo(0.625, 2), expect.closeTo(1.25 + fold + 0.8125, 2)]);
    const [bend] = entities.filter(({ layer }) => layer === 'BEND');
    expect(bend!.vertices![0]!.y / INCH).toBeCloseTo(1.25 + fold / 2, 2);
  });

  test('a leg that its strap does not lie flat on, one without room for a bolt, and a bolt at its end are faults', () => {
    expect(angleFault(angle)).toBeNull();
    expect(angleFault({ ...angle, strap: 1.3 * INCH })).toBe('under');
    expect(angleFault({ ...angle, against: 1.1 * INCH })).toBe('against');
    expect(angleFault({ ...angle, edge: 0.3 * INCH })).toBe('edge');
  });
});

describe('files of a job', () => {
  test('every part has its files; the revision is alike for the same parts, and another for others', async () => {
    for (const job of demoJobs()) {
      const files = await cutFiles(job);
      const names = files.map(({ name }) => name);
      expect(new Set(names).size).toBe(names.length);
      const list = JSON.parse(files.find(({ name }) => name === 'parts.json')!.content as string) as {
        revision: string;
        parts: { files: string[]; mass: number }[];
      };
      for (const { files: own, mass } of list.parts) {
        expect(names).toEqual(expect.arrayContaining(own));
        expect(mass).toBeGreaterThanOrEqual(0);
      }
      for (const { name, content } of files.filter((f) => f.name.endsWith('.dxf')))
        expect([name, parsed(content as string).entities.length > 3]).toEqual([name, true]);
      expect(revisionOf(jobCut(structuredClone(job)))).toBe(list.revision);
    }
    const thicker = withParts(marigold, { brackets: { 'panhard/axle': { plate: 9 } } });
    expect(revisionOf(jobCut(thicker))).not.toBe(revisionOf(jobCut(marigold)));
  });

  test.each(['letter', 'a4'] as const)(
    'the PDF is on %s paper, one sheet at least for each drawing',
    async (paper) => {
      const cut = jobCut(marigold);
      const pdf = await PDFDocument.load(await fullSizePdf(marigold, cut, paper));
      for (const page of pdf.getPages()) {
        expect((page.getWidth() / 72) * 25.4).toBeCloseTo(PAPERS[paper][0], 3);
        expect((page.getHeight() / 72) * 25.4).toBeCloseTo(PAPERS[paper][1], 3);
      }
      expect(pdf.getPageCount()).toBeGreaterThanOrEqual(1 + cut.flats.length);
    },
  );

  test.each(['letter', 'a4'] as const)(
    'on %s paper no word runs off a page, however much is to be said or listed',
    async (paper) => {
      const [width] = PAPERS[paper];
      const tinker = demoJobs().find(({ id }) => id === 'demo-tinker')!;
      const cut = jobCut(tinker);
      // A job of three times as many parts: more than the first page has room to list.
      const many = { ...cut, flats: [...cut.flats, ...cut.flats, ...cut.flats] };
      for (const made of [cut, many]) {
        const pages = pdfPages(await fullSizePdf(tinker, made, paper));
        for (const { ends, words } of pages)
          ends.forEach((end, i) => expect([words[i], end <= width - 12 + 0.01]).toEqual([words[i], true]));
        const listed = pages.flatMap(({ words }) => words.filter((word) => / × /.test(word)));
        expect(listed.length).toBe(made.flats.length + made.wraps.length);
        expect(pages.flatMap(({ words }) => words).join(' ')).toContain('A washer on the shoulder');
      }
    },
  );

  // pdfjs-dist, a reader that shares nothing with what writes it.
  test.each(['letter', 'a4'] as const)(
    'read back from %s paper: the check square is 100.00 mm, and a part on one sheet has its own size',
    async (paper) => {
      const cut = jobCut(marigold);
      const [first, ...sheets] = pdfPages(await fullSizePdf(marigold, cut, paper));
      for (const { width, height } of [first!, ...sheets]) {
        expect(width).toBeCloseTo(PAPERS[paper][0], 3);
        expect(height).toBeCloseTo(PAPERS[paper][1], 3);
      }
      const [[x1, y1, x2, y2]] = first!.boxes as [PdfPage['boxes'][number]];
      expect(x2 - x1).toBeCloseTo(100, 3);
      expect(y2 - y1).toBeCloseTo(100, 3);
      const drawn = [...cut.flats, ...cut.wraps];
      let whole = 0;
      for (const { name, quantity, drawing } of drawn) {
        const own = sheets.filter(({ words }) =>
          words.some((word) => word === `${name}, ${quantity} off`.replace('’', "'")),
        );
        expect([name, own.length >= 1]).toEqual([name, true]);
        if (own.length > 1) continue;
        whole++;
        const { low, high } = extentsOf({
          ...drawing,
          paths: drawing.paths.filter(({ layer }) => layer === 'CUT'),
        });
        const [box] = own[0]!.boxes as [PdfPage['boxes'][number]];
        expect(box[2] - box[0]).toBeCloseTo(high[0] - low[0], 2);
        expect(box[3] - box[1]).toBeCloseTo(high[1] - low[1], 2);
      }
      expect(whole).toBeGreaterThan(drawn.length / 2);
    },
  );

  test('as many rod ends of each hand as bars have, and no more', () => {
    const list = shoppingList(marigold, jobCut(marigold));
    const ends = list.filter(({ what }) => what.startsWith('Rod end'));
    expect(ends.map(({ quantity }) => quantity)).toEqual([4, 4]);
    const welded = withParts(marigold, {
      bars: { panhard: { barrels: { frame: { od: 44 }, axle: { od: 44 } } } },
    });
    const then = shoppingList(welded, jobCut(welded));
    expect(then.filter(({ what }) => what.startsWith('Rod end')).map(({ quantity }) => quantity)).toEqual([
      3, 3,
    ]);
    expect(then.find(({ what }) => what.startsWith('Barrel'))!.quantity).toBe(2);
  });
});
