import { Hands, serve } from '../support/browser';

let server: Awaited<ReturnType<typeof serve>>;
let hands: Hands;

beforeAll(async () => {
  server = await serve();
  hands = await Hands.open(server.address);
}, 90_000);

afterAll(async () => {
  await hands?.close();
  server?.stop();
});

const share = async () => Number.parseFloat(await hands.text('[data-readout=frontShare]'));

test('a bar is fitted, caught hitting the driveshaft, mended with a dip; a hole changes the balance as it said; undo', async () => {
  await hands.station(5, 'Roll');
  await hands.press('Fit a bar');
  await hands.press('Start from a usual pair');
  await hands.press('Start from a usual front end');
  await hands.until(async () =>
    (await hands.text('[data-verdict=barShaft]')).includes('hits the driveshaft'),
  );
  await hands.type('roll/dip', '8');
  await hands.until(
    async () =>
      (await hands.driver.executeScript<number>(
        'return document.querySelectorAll("[data-verdict=barShaft]").length',
      )) === 0,
  );
  const before = await share();
  const promised = Number.parseFloat(await hands.text('[data-lever=hole] td'));
  expect(await hands.text('[data-lever=hole]')).toContain('looser');
  await hands.press('One hole nearer to the middle');
  await hands.until(async () => (await share()) !== before);
  expect(before - (await share())).toBeCloseTo(promised, 0);
  await hands.undo();
  await hands.until(async () => (await share()) === before);
});

test('the rocker shows it: both wheels nothing, one wheel something', async () => {
  const pull = async () =>
    Number.parseInt((await hands.text('[data-readout=barNow]')).split('·')[1]!.replace(',', ''));
  await hands.keys('\uE013');
  await hands.keys('\uE013');
  expect(await pull()).toBeLessThan(20);
  await hands.keys('\uE012');
  await hands.until(async () => (await pull()) > 50);
});
