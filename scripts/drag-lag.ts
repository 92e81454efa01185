/**
 * Drags a mount of the demo, and a dip of a sway bar, in headless Chromium and prints how long a movement of the pointer takes to a painted frame with
 * the drawing, the curve and the verdicts all brought up to it: `npx tsx scripts/drag-lag.ts`, after a build.
 */
import { Hands, serve } from '../tests/support/page/browser';
import { SETTLED, sayTimes } from './times';

const MOVES = 600;

/** Runs in the page: moves a captured pointer step by step, each time waiting until what is worked out has followed and was painted. */
const measure = `
  const [moves, held, follower, done] = arguments;
  const handle = document.querySelector(held);
  const box = handle.getBoundingClientRect();
  const at = { x: box.x + box.width / 2, y: box.y + box.height / 2 };
  handle.setPointerCapture = () => {};
  const send = (type, x, y) => handle.dispatchEvent(new PointerEvent(type, { bubbles: true, pointerId: 1, button: 0, buttons: type === 'pointerup' ? 0 : 1, clientX: x, clientY: y }));
  const changed = () => new Promise((tell) => {
    const watch = new MutationObserver(() => { watch.disconnect(); tell(true); });
    watch.observe(document.querySelector(follower), { attributes: true, characterData: true, subtree: true, childList: true });
    setTimeout(() => { watch.disconnect(); tell(false); }, 400);
  });
  const painted = () => new Promise((r) => requestAnimationFrame(() => { const c = new MessageChannel(); c.port1.onmessage = r; c.port2.postMessage(0); }));
  const times = [];
  (async () => {
    send('pointerdown', at.x, at.y);
    for (let i = 1; i <= moves; i++) {
      // Browsers hand pointer movements over at the beginning of a frame.
      await new Promise(requestAnimationFrame);
      const followed = changed();
      const start = performance.now();
      send('pointermove', at.x, at.y + 30 * Math.sin(i / 6));
      // A movement within one line of the tape changes nothing, and is not counted.
      if (!(await followed)) continue;
      await painted();
      times.push(performance.now() - start);
    }
    send('pointerup', at.x, at.y);
    done(times);
  })();
`;

async function time(hands: Hands, what: string, held: string, follower: string): Promise<void> {
  await hands.find(held);
  await hands.find(follower);
  const times = await hands.driver.executeAsyncScript<number[]>(measure, MOVES, held, follower);
  console.log(`${what} to painted frame: ${sayTimes(times)} (${times.length} moves)`);
}

async function main(): Promise<void> {
  const server = await serve();
  const hands = await Hands.open(server.address);
  await hands.driver.manage().setTimeouts({ script: 120_000 });
  await hands.station(4, 'Panhard bar');
  await hands.driver.sleep(SETTLED);
  await time(hands, 'drag of a mount', '[data-mount="rear-axle"]', '.curve .line');
  await hands.go('copperline', 'roll');
  await hands.part('Sway bar');
  await time(hands, 'drag of a dip of the sway bar', '[data-bar=rear-dip-0]', '[data-readout=barRollRate]');
  await hands.close();
  server.stop();
}

void main();
