import { address, hands, openBench } from '../../support/page/bench';
import { beforeEachPage } from '../../support/page/storage';

openBench();

/** Keeps hold of the workers that the page starts, so that they can be ended past it. */
const HELD = `
  const Real = window.Worker;
  window.workers = [];
  window.Worker = class extends Real {
    constructor(...all) {
      super(...all);
      window.workers.push(this);
    }
  };`;
const endAll = () => hands.driver.executeScript('window.workers.splice(0).forEach((w) => w.terminate())');
const heights = async () => (await hands.readout('rollCentre')).split('\n')[0]!;

let release = async () => {};
async function visit(source: string, hash: string) {
  release = await beforeEachPage(source);
  await hands.driver.get(`${address}/${hash}`);
  await hands.driver.navigate().refresh();
  await hands.find('.bench-card h1, .bench-card .locate-focus');
}
afterEach(() => release());

test('a worker that is gone: figures are said to be from before, drags stay in the hand, and it is started anew', async () => {
  await visit(HELD, '#/demo-copperline/locate');
  await hands.until(async () => (await heights()) !== '');
  const then = await heights();
  // What is asked at rest, of a worker that is given more time, has been answered too.
  await hands.driver.sleep(2500);
  await endAll();
  const mount = await hands.find('[data-mount^="rear"]');
  const from = await mount.getRect();
  const hand = hands.driver.actions();
  await hand
    .move({ origin: mount })
    .press()
    .move({ origin: 'pointer' as never, x: 0, y: -24 })
    .perform();
  await hands.reads('.from-before', 'from before');
  // The figure that stands there is the old one, and says so.
  expect(await heights()).toBe(then);
  await hands.until(async () => (await (await hands.find('[data-mount^="rear"]')).getRect()).y < from.y - 10);
  await hands.driver.actions().release().perform();
  await hands.until(async () => (await heights()) !== then);
  await hands.until(async () => (await hands.count('.from-before:not(:empty)')) === 0);
  expect(await hands.driver.executeScript('return window.workers.length')).toBeGreaterThan(0);
});

test('where no worker can be started, that is said in a word; once it can, figures come by themselves', async () => {
  await visit(
    'window.RealWorker = window.Worker; window.Worker = function () { throw new DOMException("no", "SecurityError"); };',
    '#/demo-marigold/locate',
  );
  await hands.reads('.from-before', 'nothing can be worked out');
  await hands.station(1, 'The job');
  await (await hands.find('#job-name')).sendKeys('!');
  await hands.saved();
  await hands.station(4, '');
  await hands.driver.executeScript('window.Worker = window.RealWorker');
  await hands.until(async () => (await hands.count('.from-before:not(:empty)')) === 0);
  await hands.until(async () => (await heights()) !== '');
});
