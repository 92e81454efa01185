import { readFileSync } from 'node:fs';
import DxfParser from 'dxf-parser';
import { hands, openBench } from '../../support/page/bench';

openBench();

type Entity = { type: string; layer: string; radius?: number; center?: { x: number; y: number } };
const drills = async (name: string): Promise<Entity[]> => {
  const text = readFileSync(await hands.downloaded(name), 'utf8');
  const { entities } = new DxfParser().parseSync(text) as unknown as { entities: Entity[] };
  return entities.filter(({ layer, type }) => layer === 'DRILL' && type === 'CIRCLE');
};

test('plates are laid on a sheet and saved as one file; a sheet too small says which part does not go on it', async () => {
  await hands.go('cinder', 'cut');
  await hands.press('Lay them out');
  await hands.reads('.plate-sheet figcaption', 'sheet 1 of 1');
  await hands.clickOn('//button[starts-with(@aria-label, "DXF of sheet 1, Mild steel plate, 1/4 in")]');
  // Every hole of every plate of that thickness, as often as the list asks for it.
  expect((await drills('sheet-1-mild-steel-plate-1-4-in.dxf')).length).toBeGreaterThanOrEqual(8);
  await hands.type('cut/sheet/width', '3');
  await hands.reads('[data-sheets=old]', 'has changed since');
  await hands.press('Lay them out again');
  await hands.reads('.plate-sheets .field-problem', 'Larger than a sheet of Mild steel plate');
  await hands.undo();
});

test('the jig’s pins are as far apart as the bars are long; bars that are alike share them', async () => {
  await hands.go('cinder', 'cut');
  await hands.reads('[data-cut=jig]', 'Panhard bar');
  expect(await hands.count('[data-cut=jig] tbody tr')).toBe(2);
  await hands.press('DXF of the jig');
  const holes = await drills('jig.dxf');
  expect(holes).toHaveLength(4);
  const said = await hands.text('[data-cut=jig] tbody tr td');
  const [, whole, over, under] = /^(\d+)(?: (\d+)\/(\d+))? in$/.exec(said)!.map(Number);
  const inches = whole! + (over ? over / under! : 0);
  expect(Math.abs(holes[1]!.center!.x - holes[0]!.center!.x) / 25.4 - inches).toBeLessThan(1 / 32);
});

test('a bar with ends of its own is cut by them, and by the set’s again once they are taken back', async () => {
  await hands.go('marigold', 'cut');
  const tube = async () => hands.text('[data-readout=tube] .unseen, [data-readout=tube]');
  const before = await tube();
  await hands.clickOn('//label[contains(normalize-space(), "ends of its own")]');
  await hands.type('parts/panhard/ends/frame/toTube', '3');
  await hands.until(async () => (await tube()) !== before);
  expect(await (await hands.field('parts/panhard/ends/frame/showing')).getAttribute('value')).toBe('7/8');
  await hands.clickOn('//label[contains(normalize-space(), "ends of its own")]');
  await hands.until(async () => (await tube()) === before);
});

test('leaf springs get a plate with a slot to set the axle by, and U-bolts long enough for a thicker pack', async () => {
  await hands.go('pewter', 'cut');
  await hands.reads('[data-ubolt]', /U-bolts 1\/2 in, .* long inside at least/);
  const before = await hands.text('[data-ubolt]');
  await hands.type('parts/springPlate/pack', '2 1/2');
  await hands.until(async () => (await hands.text('[data-ubolt]')) !== before);
  await hands.type('parts/springPlate/trim', '1/4');
  await hands.reads('[data-ubolt]', 'drawn out');
  await hands.clickOn('//button[@aria-label="DXF of Spring plate"]');
  // Four legs, and the pin at both ends of its slot, half an inch apart.
  const holes = await drills('spring-plate.dxf');
  expect(holes).toHaveLength(6);
  const pins = holes.filter(({ center }) => Math.abs(center!.y) < 1e-6).map(({ center }) => center!.x / 25.4);
  expect(pins.sort((a, b) => a - b)).toEqual([expect.closeTo(-0.25, 5), expect.closeTo(0.25, 5)]);
  await hands.undo();
});

test('a mill’s figure for the steel changes what is proved, and its source stands beside the check', async () => {
  await hands.go('marigold', 'prove');
  await hands.clickOn('//summary[text()="What is reckoned with"]');
  await hands.type('parts/strengths/dom/yield', '90');
  await (await hands.find('#strength-source-dom')).sendKeys('Mill certificate 41');
  await hands.choose('Which part', 'Panhard bar ·');
  await hands.clickOn('//li[@data-check="tension"]//summary');
  await hands.reads('[data-check=tension]', 'Mill certificate 41');
  await hands.type('parts/wanted', '4');
  await hands.reads('[data-verdict=strength]', 'weaker than wanted');
});

test('plates that sit on a round tube are cut to it; deeper than the tube leaves steel for, that is said', async () => {
  await hands.go('marigold', 'prove');
  await hands.choose('Which part', 'Lower links’ axle brackets');
  await hands.find('.prove-fields .flat-picture path.cut');
  await hands.type('parts/lower-left/axle/depth', '3');
  await hands.reads('[data-verdict="foot-in-flank"]', 'its round cuts through its flanks');
  await hands.clickOn('//label[normalize-space()="a flat face"]');
  await hands.until(async () => (await hands.count('[data-verdict="foot-in-flank"]')) === 0);
});

test('a bar that ends in a fork, then whole of plate: cut, proved and drilled as what it is', async () => {
  await hands.go('marigold', 'cut');
  await hands.choose('What its axle end is', 'fork of two plates');
  await hands.reads('[data-cut=plates]', 'Panhard bar, plate of the fork at its axle end');
  await hands.type('parts/panhard/eyes/axle/reach', '1/4');
  await hands.go('marigold', 'prove');
  await hands.reads('[data-verdict="short-eye"]', 'its axle end runs into its bracket');
  await hands.undo();
  await hands.until(async () => (await hands.count('[data-verdict="short-eye"]')) === 0);
  await hands.choose('Which part', 'Panhard bar ·');
  await hands.find('[data-check="end-weld-axle"]');
  await hands.choose('Which part', 'Panhard bar’s axle bracket');
  await hands.reads('.prove-fields', 'One plate, between the two of the bar’s fork');
  await hands.reads('[data-bolt]', /comes out|Head|shut in/);

  await hands.choose('Which part', 'Panhard bar ·');
  await hands.clickOn('//*[@id="prove-parts"]//label[normalize-space()="plate"]');
  await hands.go('marigold', 'cut');
  await hands.choose('What its axle end is', 'plain eye');
  await hands.choose('What its frame end is', 'plain eye');
  await hands.reads('.bench-card', 'Cut the plate, end to end');
  await hands.clickOn('//button[@aria-label="DXF of Panhard bar"]');
  const holes = await drills('panhard-bar.dxf');
  const apart = Math.hypot(
    holes[0]!.center!.x - holes[1]!.center!.x,
    holes[0]!.center!.y - holes[1]!.center!.y,
  );
  // 36 5/8 from eye to eye, to the nearest sixteenth.
  expect(Math.abs(apart / 25.4 - 36.625)).toBeLessThan(1 / 32);
});
