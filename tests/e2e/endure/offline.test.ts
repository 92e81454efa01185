import { STATIONS } from '@/core/bench/stationIds';
import { Hands } from '../../support/page/browser';
import { serveInFront, type Front } from '../../support/page/front';

let server: Front;
let hands: Hands;
beforeAll(async () => {
  server = await serveInFront();
  hands = await Hands.open(server.address);
}, 60_000);
afterAll(async () => {
  await hands?.close();
  server?.stop();
});

const inPage = <T>(body: string) =>
  hands.driver.executeAsyncScript<T>(
    `const done = arguments[arguments.length - 1]; (async () => { ${body} })().then(done, (e) => done(String(e)));`,
  );
const kept = () =>
  inPage<boolean>(
    'return !!navigator.serviceWorker.controller && (await navigator.serviceWorker.ready).active?.state === "activated";',
  );

test('after one visit the whole of it works with the server gone: every station, its workers, its letters', async () => {
  await hands.go('copperline', 'job');
  await hands.until(kept);
  server.down = true;
  await hands.reload();
  for (const station of STATIONS) {
    await hands.go('copperline', station);
    await hands.find('.bench-card h1, .bench-card h2');
  }
  await hands.go('copperline', 'locate');
  await hands.until(async () => /\d/.test(await hands.readout('rollCentre')));
  expect(await hands.count('.from-before:not(:empty)')).toBe(0);
  await hands.go('copperline', 'roll');
  await hands.find('.bench-card [data-readout]');
  expect(
    await inPage<number>(
      'await document.fonts.ready; return [...document.fonts].filter((f) => f.status === "error").length;',
    ),
  ).toBe(0);
  // What is typed is stored, and there after another reload.
  await hands.go('copperline', 'job');
  await (await hands.find('#job-name')).sendKeys(' offline');
  await hands.saved();
  await hands.reload();
  await hands.reads('.masthead-job', 'Copperline, rear axle offline');
});

test('it can be installed: the manifest and its pictures are there', async () => {
  server.down = false;
  const manifest = (await (await fetch(`${server.address}/manifest.webmanifest`)).json()) as {
    display: string;
    icons: { src: string; sizes: string }[];
  };
  expect(manifest.display).toBe('standalone');
  for (const { src } of manifest.icons) expect((await fetch(server.address + src)).status).toBe(200);
  expect(manifest.icons.map((i) => i.sizes)).toEqual(expect.arrayContaining(['192x192', '512x512']));
  expect(
    await hands.driver.executeScript('return document.querySelector("link[rel=manifest]").href'),
  ).toContain('/manifest.webmanifest');
});

test('a newer one is announced, waits until it is taken, and then is there', async () => {
  await hands.driver.executeScript('window.old = true');
  server.newer = '// a later one';
  await inPage('await (await navigator.serviceWorker.ready).update();');
  await hands.reads('.ant-notification', 'A newer Pellik is ready');
  await hands.driver.sleep(1000);
  expect(await hands.driver.executeScript('return window.old')).toBe(true);
  await (await hands.find('#job-name')).sendKeys('!');
  await hands.press('Take it now');
  await hands.until(() => hands.driver.executeScript<boolean>('return !window.old'));
  await hands.reads('.masthead-job', 'offline!');
  expect(await inPage<boolean>('return (await navigator.serviceWorker.ready).waiting === null;')).toBe(true);
});
