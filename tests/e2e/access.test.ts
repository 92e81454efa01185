import { readFileSync } from 'node:fs';
import { Hands, serve } from '../support/browser';

const axe = readFileSync('node_modules/axe-core/axe.min.js', 'utf8');
const STATIONS = ['The job', 'Record', 'Hold the axle', 'Panhard bar', 'Roll', 'Cut', 'Hold', 'Centre'];

let server: Awaited<ReturnType<typeof serve>>;
beforeAll(async () => {
  server = await serve();
}, 60_000);
afterAll(() => server?.stop());

type Violation = { id: string; impact: string; nodes: { target: string[] }[] };

test.each([
  [1280, 800],
  [820, 1180],
])('no station has a serious fault of access or runs off the side at %d × %d', async (width, height) => {
  const hands = await Hands.open(server.address, width, height);
  try {
    for (const [i, title] of STATIONS.entries()) {
      await hands.station(i + 1, title);
      await expectNoFaults(hands, title);
    }
    // Roll shows most of itself only where something is fitted.
    await hands.go('copperline', 'roll');
    for (const part of ['Springs', 'Sway bar', 'Balance']) {
      await hands.part(part);
      await hands.find('.verdict');
      await expectNoFaults(hands, part);
    }
  } finally {
    await hands.close();
  }
});

async function expectNoFaults(hands: Hands, title: string): Promise<void> {
  await hands.driver.sleep(400);
  await hands.driver.executeScript(axe);
  const found = await hands.driver.executeAsyncScript<Violation[]>(
    'const done = arguments[0]; axe.run(document, { resultTypes: ["violations"] }).then((r) => done(r.violations))',
  );
  const serious = found
    .filter((v) => ['serious', 'critical'].includes(v.impact))
    .map(
      (v) =>
        `${title}: ${v.id} ${v.nodes
          .map((n) => n.target.join(' '))
          .slice(0, 4)
          .join(' | ')}`,
    );
  expect(serious).toEqual([]);
  const overflow = await hands.driver.executeScript<string[]>(
    'return [document.documentElement, document.querySelector(".bench-card")].filter((e) => e.scrollWidth > e.clientWidth + 1).map((e) => e.className || e.tagName)',
  );
  expect([title, overflow]).toEqual([title, []]);
}
