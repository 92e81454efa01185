import { Clipper, FillRule, type Path64 } from 'clipper2-ts';
import fc from 'fast-check';
import { jobCut } from '@/core/cut/jobCut';
import { plateSheets, USUAL_SHEET } from '@/core/cut/sheets';
import { plateDrawing, tabDrawing } from '@/core/fabricate/plates/plates';
import { nestFlats, outlineOf, type Flat, type Laid, type Sheet } from '@/core/fabricate/sheetNesting';
import { demoJobs } from '@/store/demo';

const size = (min: number, max: number) => fc.double({ min, max, noNaN: true });
const plates = fc
  .record({ width: size(10, 200), height: size(10, 200) })
  .map(({ width, height }) => plateDrawing(width, height));
const tabs = fc
  .record({
    depth: size(30, 120),
    width: size(30, 70),
    edge: size(12, 35),
    up: size(40, 150),
    round: fc.boolean(),
  })
  .map(({ depth, width, edge, up, round }) => {
    // On a flat face, or a tube of its own depth and a half.
    const radius = 0.75 * depth;
    const foot = Array.from({ length: 13 }, (_, i): [number, number] => {
      const u = depth * (i / 12 - 0.5);
      return [u, round ? Math.sqrt(radius ** 2 - u ** 2) - radius : 0];
    });
    return tabDrawing({ foot, width, edge, hole: 12, holes: [up] });
  });
const flats: fc.Arbitrary<Flat[]> = fc
  .array(fc.record({ drawing: fc.oneof(plates, tabs), quantity: fc.integer({ min: 1, max: 3 }) }), {
    minLength: 1,
    maxLength: 5,
  })
  .map((list) => list.map((flat, i) => ({ id: `part ${i}`, ...flat })));
const sheets: fc.Arbitrary<Sheet> = fc.record({
  width: size(150, 700),
  height: size(150, 500),
  gap: size(0, 12),
});

/** A part where it lies, in thousandths of a millimetre, by sines and cosines of its own. */
function lies({ quarters, at }: Laid, flat: Flat): Path64 {
  const turn = (quarters * Math.PI) / 2;
  return outlineOf(flat.drawing).map(([x, y]) => ({
    x: Math.round(1000 * (x * Math.cos(turn) - y * Math.sin(turn) + at[0])),
    y: Math.round(1000 * (x * Math.sin(turn) + y * Math.cos(turn) + at[1])),
  }));
}

test('parts on a sheet never overlap nor leave it, keep their gap, and none is lost or made', () => {
  fc.assert(
    fc.property(flats, sheets, (list, sheet) => {
      const { sheets: laid, tooLarge } = nestFlats(list, sheet);
      for (const { id, quantity } of list) {
        const times = laid.flat().filter((one) => one.id === id).length;
        expect([id, times]).toEqual([id, tooLarge.includes(id) ? 0 : quantity]);
      }
      for (const on of laid) {
        expect(on.length).toBeGreaterThan(0);
        const shapes = on.map((one) =>
          lies(
            one,
            list.find(({ id }) => id === one.id)!,
          ),
        );
        for (const { x, y } of shapes.flat()) {
          expect(Math.min(x, y)).toBeGreaterThanOrEqual(500 * sheet.gap - 1);
          expect(x).toBeLessThanOrEqual(1000 * (sheet.width - sheet.gap / 2) + 1);
          expect(y).toBeLessThanOrEqual(1000 * (sheet.height - sheet.gap / 2) + 1);
        }
        // Each as wide as its own half of the gap: still none over another.
        const wide = shapes.map((shape) => Clipper.inflatePaths([shape], 500 * sheet.gap - 20, 2, 0));
        wide.forEach((a, i) =>
          wide.slice(i + 1).forEach((b) => {
            const over = Clipper.intersect(a, b, FillRule.NonZero);
            expect(Clipper.areaPaths(over) / 1e6).toBeCloseTo(0, 3);
          }),
        );
      }
    }),
    { numRuns: 10, endOnFailure: true },
  );
});

test('what is larger than a sheet is said, and a part that just fits is laid', () => {
  const one = (width: number, height: number) => [
    { id: 'a', quantity: 1, drawing: plateDrawing(width, height) },
  ];
  const sheet = { width: 200, height: 100, gap: 4 };
  expect(nestFlats(one(250, 20), sheet)).toEqual({ sheets: [], tooLarge: ['a'] });
  expect(nestFlats(one(20, 190), sheet).sheets[0]).toHaveLength(1);
  expect(nestFlats(one(194, 94), sheet).tooLarge).toEqual([]);
});

test('every plate of a demo job is on a sheet of its own metal and thickness, under its number in the list', () => {
  for (const job of demoJobs().filter(({ name }) => /^(Marigold|Copperline)/.test(name))) {
    const cut = jobCut(job);
    const laid = plateSheets(job, cut);
    const numbers = laid.flatMap(({ sheets: all }) =>
      all.flatMap(({ words }) => words.map(({ text }) => text)),
    );
    const wanted = cut.flats.flatMap(({ quantity }, i) =>
      Array.from({ length: quantity }, () => String(i + 1)),
    );
    expect([...numbers].sort()).toEqual(wanted.sort());
    for (const { metal, thickness, sheets: all } of laid)
      for (const text of all.flatMap(({ words }) => words.map((word) => word.text))) {
        const flat = cut.flats[Number(text) - 1]!;
        expect([flat.metal, flat.thickness]).toEqual([metal, expect.closeTo(thickness, 2)]);
      }
    const small = plateSheets({ cut: { ...job.cut, sheet: { ...USUAL_SHEET, width: 60, height: 60 } } }, cut);
    expect(small.some(({ tooLarge }) => tooLarge.length > 0)).toBe(true);
  }
});
