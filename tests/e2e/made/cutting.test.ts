import { existsSync, readFileSync, readdirSync } from 'node:fs';
import { join } from 'node:path';
import DxfParser from 'dxf-parser';
import Papa from 'papaparse';
import { PDFDocument } from 'pdf-lib';
import { hands, openBench } from '../../support/page/bench';

openBench();

/** A file that the browser has finished saving. */
async function saved(ending: string): Promise<Buffer> {
  const name = () => readdirSync(hands.downloads).find((one) => one.endsWith(ending));
  await hands.until(async () => name() !== undefined && existsSync(join(hands.downloads, name()!)));
  return readFileSync(join(hands.downloads, name()!));
}

test('from the demo car to a DXF, a PDF and a CSV, each opened and measured; a plate that changes puts the sheets out of date', async () => {
  await hands.go('marigold', 'cut');
  await hands.reads('[data-cut=bars]', 'Panhard bar');
  await hands.clickOn('//button[@aria-label="DXF of Panhard bar’s axle bracket, plate"]');
  const dxf = new DxfParser().parseSync((await saved('panhard-axle-plate.dxf')).toString()) as unknown as {
    entities: { type: string; layer: string; radius?: number; center?: { x: number; y: number } }[];
  };
  const holes = dxf.entities.filter(({ layer, type }) => layer === 'DRILL' && type === 'CIRCLE');
  // A 5/8 bolt in its hole of 21/32.
  expect(holes.map(({ radius }) => 2 * radius!)).toEqual([expect.closeTo((21 / 32) * 25.4, 6)]);

  await hands.press('Cut list, CSV');
  const { data } = Papa.parse<Record<string, string>>((await saved('cut-list.csv')).toString(), {
    header: true,
  });
  const row = data.find(({ part }) => part === 'Panhard bar')!;
  expect(row.blank).toBe('31 5/8 in');
  expect(await hands.text('[data-readout=tube] .unseen, [data-readout=tube]')).toContain('31');

  await hands.press('Full-size sheets, PDF');
  const pdf = await PDFDocument.load(await saved('.pdf'));
  expect((pdf.getPage(0).getWidth() / 72) * 25.4).toBeCloseTo(215.9, 2);
  expect(pdf.getPageCount()).toBeGreaterThan(8);
  await hands.reads('[data-revision]', 'are as all of it stands');

  await hands.go('marigold', 'prove');
  await hands.choose('Which part', 'Panhard bar’s axle bracket');
  await hands.type('parts/panhard/axle/edge', '1 1/4');
  await hands.go('marigold', 'cut');
  await hands.reads('[data-revision]', 'are out of date');
  await hands.undo();
  await hands.reads('[data-revision]', 'are as all of it stands');
});

test('a bent bar is cut to what it measures along its bends, and an end welded to a barrel is notched', async () => {
  await hands.go('marigold', 'locate');
  await hands.part('Sideways');
  await hands.press('bend the bar');
  await hands.go('marigold', 'cut');
  await hands.reads('.bench-card', 'Cut the tube, along it');
  await hands.reads('.bench-card', 'Bend it long and cut both ends after');
  await hands.undo();
  await hands.reads('.bench-card', 'Cut the tube');

  await hands.choose('What its axle end is', 'welded to a barrel with a bushing');
  await hands.reads('[data-saddle=axle]', /Notch .* deep/);
  await hands.reads('.bench-card', 'Throat to throat');
  await hands.reads('[data-cut=plates]', 'Panhard bar, template for its axle end');
  await hands.type('parts/panhard/barrels/axle', '1');
  await hands.reads('.cut-kinds .field-problem', 'wider than this barrel');
  await hands.undo();
});
