import { Key } from 'selenium-webdriver';
import { hands, openBench } from '../support/bench';

openBench();
beforeAll(() => hands.station(4, 'Panhard bar'));

const state = (id: string) => hands.find(`[data-verdict="${id}"]`).then((e) => e.getAttribute('data-state'));

test('a word of the trade is explained on focus, and goes away', async () => {
  const term = await hands.button('Roll centre, at the axle');
  await hands.driver.executeScript('arguments[0].focus()', term);
  await hands.reads('.term-card', 'the body leans about');
  await hands.driver.executeScript('arguments[0].blur()', term);
});

test('the map is probed by keys, and sends the axle where it is read', async () => {
  await hands.press('as a map');
  const map = await hands.find('.curve svg[role=application]');
  await hands.driver.executeScript('arguments[0].focus()', map);
  const eye = async () => (await hands.find('[data-mount="rear-axle"] .eye')).getAttribute('cy');
  const before = await eye();
  await map.sendKeys(Key.ARROW_UP, Key.ARROW_UP, Key.ARROW_RIGHT);
  await hands.until(async () => /left end .* above the other/.test(await hands.text('[data-readout=probe]')));
  await map.sendKeys(Key.ENTER);
  await hands.until(async () => (await eye()) !== before);
  await hands.press('ride');
  await hands.press('as a curve');
});

test('what is in the way is found, dragged clear, and put back by undo', async () => {
  await hands.part('Room');
  await hands.until(async () => (await state('clearance')) === 'look');
  await hands.reads('[data-verdict=clearance]', 'axle tube to tailpipe at full bump');
  await hands.drag('[data-thing="rear-tailpipe"]', 0, -40);
  await hands.until(async () => (await state('clearance')) === 'ok');
  await hands.undo();
  await hands.until(async () => (await state('clearance')) === 'look');
});

test('the slip yoke is judged by the room typed for it', async () => {
  await hands.type('shaft/in', '1/8');
  await hands.type('shaft/out', '1');
  await hands.until(async () => (await state('slip-in')) === 'stop');
  await hands.undo();
  await hands.undo();
});

test('forces of a case are listed and shown in the bay', async () => {
  await hands.part('Forces');
  await hands.part('Left turn at 0.8 g');
  await hands.reads('[data-force=panhard]', 'pushed');
  await hands.reads('.forces', 'pushed');
  await hands.type('cornerG', '1.1');
  await hands.reads('.cases', 'Left turn at 1.1 g');
  await hands.undo();
});

test('a view is enlarged, zoomed by the wheel, pushed, and fitted again', async () => {
  await hands.part('Sideways');
  const views = () => hands.count('[data-view]');
  expect(await views()).toBe(3);
  await hands.clickOn('(//button[text()="large"])[1]');
  await hands.until(async () => (await views()) === 1);
  const x = async () => Number(await (await hands.find('[data-mount="rear-axle"] .eye')).getAttribute('cx'));
  const fitted = await x();
  await hands.press('rear: nearer');
  await hands.until(async () => Math.abs((await x()) - fitted) > 20);
  const near = await x();
  await hands.drag('[data-view=rear] .catch', 30, 0);
  await hands.until(async () => Math.abs((await x()) - near - 30) < 3);
  await hands.press('fit');
  await hands.until(async () => Math.abs((await x()) - fitted) < 0.01);
  await hands.press('all views');
  await hands.until(async () => (await views()) === 3);
});

test('a member is taken off and put on: what is then free is said, and what is held again moves', async () => {
  await hands.part('Lengthwise');
  await hands.press('Take off: upper link');
  await hands.reads('.bench-card', 'nothing stops the axle');
  await hands.press('Put on another member');
  await hands.clickOn('//li[contains(@class,"menu-item")]//*[text()="Torque arm"]');
  await hands.until(async () => !(await hands.text('.bench-card')).includes('nothing stops the axle'));
  await hands.undo();
  await hands.undo();
  await hands.until(async () => (await hands.text('.bench-card')).includes('Upper link'.toLowerCase()));
});
