import { Key } from 'selenium-webdriver';
import type { Driver as ChromeDriver } from 'selenium-webdriver/chrome';
import { hands, openBench } from '../support/page/bench';

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
  await hands.reads('.pills', 'Left turn at 1.1 g');
  await hands.undo();
});

test('a view is enlarged, zoomed, pushed, and fitted again', async () => {
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

/** Where an eye of the view is on the screen, px. */
const eyeAt = async (eye: string): Promise<[number, number]> => {
  const { x, y, width, height } = await (await hands.find(`[data-mount="${eye}"] .eye`)).getRect();
  return [x + width / 2, y + height / 2];
};
const apart = (a: number[], b: number[]) => Math.hypot(a[0]! - b[0]!, a[1]! - b[1]!);

const chrome = () => hands.driver as ChromeDriver;

test('the wheel goes nearer to what is under the pointer, which stays where it is', async () => {
  const [x, y] = (await eyeAt('rear-chassis')).map(Math.round) as [number, number];
  const before = apart(await eyeAt('rear-chassis'), await eyeAt('rear-axle'));
  await chrome().sendDevToolsCommand('Input.dispatchMouseEvent', {
    type: 'mouseWheel',
    x,
    y,
    deltaX: 0,
    deltaY: -300,
  });
  await hands.until(async () => apart(await eyeAt('rear-chassis'), await eyeAt('rear-axle')) > 1.3 * before);
  expect(apart(await eyeAt('rear-chassis'), [x, y])).toBeLessThan(2);
  await hands.press('fit');
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

describe('by fingers', () => {
  // What a screen can be touched by is looked up once, as the page is loaded.
  beforeAll(async () => {
    await hands.part('Sideways');
    await chrome().sendDevToolsCommand('Emulation.setTouchEmulationEnabled', {
      enabled: true,
      maxTouchPoints: 5,
    });
    await hands.driver.navigate().refresh();
    await hands.station(4, 'Panhard bar');
  });

  const touch = (type: string, ...points: [number, number][]) =>
    chrome().sendDevToolsCommand('Input.dispatchTouchEvent', {
      type,
      touchPoints: points.map(([x, y], id) => ({ x, y, id })),
    });

  test('two fingers draw a view larger about the middle between them, and push it along', async () => {
    const [from, to] = [await eyeAt('rear-chassis'), await eyeAt('rear-axle')];
    const ground = await (await hands.find('[data-view=rear] .catch')).getRect();
    const [x, y] = [ground.x + ground.width / 2, ground.y + 60];
    await touch('touchStart', [x - 50, y], [x + 50, y]);
    for (const i of [1, 2, 3, 4, 5]) await touch('touchMove', [x - 50 - 10 * i, y], [x + 50 + 20 * i, y]);
    await touch('touchEnd');
    // From 100 px apart to 250, their middle 25 px on.
    await hands.until(
      async () => apart(await eyeAt('rear-chassis'), await eyeAt('rear-axle')) > 2 * apart(from, to),
    );
    expect(apart(await eyeAt('rear-chassis'), await eyeAt('rear-axle'))).toBeCloseTo(
      2.5 * apart(from, to),
      -1,
    );
    expect((await eyeAt('rear-axle'))[0]).toBeCloseTo(x + 25 + 2.5 * (to[0] - x), -1);
    await hands.press('fit');
    await hands.until(async () => apart(await eyeAt('rear-axle'), to) < 0.5);
  });

  test('a finger on a mount moves the mount and not the view, whatever a second finger does', async () => {
    const [held, other] = [await eyeAt('rear-chassis'), await eyeAt('rear-axle')];
    const ground = await (await hands.find('[data-view=rear] .catch')).getRect();
    const free: [number, number] = [ground.x + ground.width / 2, ground.y + 60];
    await touch('touchStart', held);
    await touch('touchStart', held, free);
    for (const i of [1, 2, 3])
      await touch('touchMove', [held[0], held[1] - 10 * i], [free[0] + 30 * i, free[1]]);
    await touch('touchEnd');
    await hands.until(async () => held[1] - (await eyeAt('rear-chassis'))[1] > 20);
    expect(apart(await eyeAt('rear-axle'), other)).toBeLessThan(0.5);
    await hands.undo();
    await hands.until(async () => apart(await eyeAt('rear-chassis'), held) < 0.5);
  });
});
