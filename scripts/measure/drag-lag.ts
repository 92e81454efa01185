/**
 * Drags a mount of the demo, a dip of a sway bar, and a wheel while places of mounts are looked for and while the car is built by chance,
 * in headless Chromium and prints how long a movement of the pointer takes to a painted frame with the drawing, the curve and the verdicts all brought up to it:
 * `npx tsx scripts/measure/drag-lag.ts`, after a build.
 */
import { Key } from 'selenium-webdriver';
import { Hands, serve } from '../../tests/support/page/browser';
import { SETTLED, sayTimes } from './times';

const MOVES = 600;

/** Runs in the page: moves a captured pointer step by step, each time waiting until what is worked out has followed and was painted. */
const measure = `
  const [moves, held, follower, kind, begin, done] = arguments;
  const handle = document.querySelector(held);
  const box = handle.getBoundingClientRect();
  const at = { x: box.x + box.width / 2, y: box.y + box.height / 2 };
  handle.setPointerCapture = () => {};
  // A browser tells of a mouse twice over: of the pointer first.
  const kinds = kind === 'mouse' ? [['pointer', PointerEvent], ['mouse', MouseEvent]] : [['pointer', PointerEvent]];
  const send = (type, x, y) => {
    for (const [kind, Made] of kinds) handle.dispatchEvent(new Made(kind + type, { bubbles: true, pointerId: 1, button: 0, buttons: type === 'up' ? 0 : 1, clientX: x, clientY: y }));
  };
  const changed = () => new Promise((tell) => {
    const watch = new MutationObserver(() => { watch.disconnect(); tell(true); });
    watch.observe(document.querySelector(follower), { attributes: true, characterData: true, subtree: true, childList: true });
    setTimeout(() => { watch.disconnect(); tell(false); }, 400);
  });
  const painted = () => new Promise((r) => requestAnimationFrame(() => { const c = new MessageChannel(); c.port1.onmessage = r; c.port2.postMessage(0); }));
  const times = [];
  (async () => {
    send('down', at.x, at.y);
    for (let i = 1; i <= moves; i++) {
      // What should be under way meanwhile is begun anew when it has ended; the frames that takes are not counted.
      const again = begin && document.querySelector(begin);
      if (again) {
        again.click();
        for (let n = 0; n < 6; n++) await painted();
      }
      // Browsers hand pointer movements over at the beginning of a frame.
      await new Promise(requestAnimationFrame);
      const followed = changed();
      const start = performance.now();
      const by = 30 * Math.sin(i / 6);
      send('move', at.x + (kind === 'mouse' ? by : 0), at.y + (kind === 'mouse' ? 0 : by));
      // A movement within one line of the tape changes nothing, and is not counted.
      if (!(await followed)) continue;
      await painted();
      times.push(performance.now() - start);
    }
    send('up', at.x, at.y);
    done(times);
  })();
`;

type Dragged = { held: string; follower: string; kind?: 'pointer' | 'mouse'; begin?: string };

async function time(
  hands: Hands,
  what: string,
  { held, follower, kind = 'pointer', begin }: Dragged,
): Promise<void> {
  await hands.find(held);
  // What follows is in sight, as it is for who looks at it.
  const followed = await hands.find(follower);
  await hands.driver.executeScript('arguments[0].scrollIntoView({ block: "center" })', followed);
  const times = await hands.driver.executeAsyncScript<number[]>(
    measure,
    MOVES,
    held,
    follower,
    kind,
    begin ?? null,
  );
  console.log(`${what} to painted frame: ${sayTimes(times)} (${times.length} moves)`);
}

/** A wheel by its slider under the bay, which follows it. */
const WHEEL: Dragged = {
  held: '.rocker .ant-slider-handle',
  follower: '.bay-side svg[role=group]',
  kind: 'mouse',
};

/** Makes ready a search that takes its time: many mounts may move, and a lean is asked for. */
async function lookForPlaces(hands: Hands): Promise<void> {
  await hands.go('copperline', 'locate');
  await hands.part('Find');
  await hands.choose('Something wanted', 'Lean in the corner');
  await hands.type('find/lean/near', '2');
  const list = await hands.find('input[aria-label="Something that may move"]');
  for (const what of [
    'Panhard bar, axle end: height',
    'Panhard bar, frame end: height',
    'Panhard bar, frame end: sideways',
  ])
    await list.sendKeys(what, Key.ENTER);
  await hands.find('.find-go:not([disabled])');
}

async function main(): Promise<void> {
  const server = await serve();
  const hands = await Hands.open(server.address);
  await hands.driver.manage().setTimeouts({ script: 120_000 });
  await hands.station(4, 'Panhard bar');
  await hands.driver.sleep(SETTLED);
  await time(hands, 'drag of a mount', { held: '[data-mount="rear-axle"]', follower: '.curve .line' });
  await hands.go('copperline', 'roll');
  await hands.part('Sway bar');
  await time(hands, 'drag of a dip of the sway bar', {
    held: '[data-bar=rear-dip-0]',
    follower: '[data-readout=barRollRate]',
  });
  await lookForPlaces(hands);
  await time(hands, 'drag of a wheel', WHEEL);
  await time(hands, 'drag of a wheel while places of mounts are looked for', { ...WHEEL, begin: '.find-go' });
  await hands.go('copperline', 'weld');
  await hands.part('Close?');
  await time(hands, 'drag of a wheel while the car is built by chance', { ...WHEEL, begin: '.close-go' });
  await hands.close();
  server.stop();
}

void main();
