import { readFileSync } from 'node:fs';
import { Key } from 'selenium-webdriver';
import type { Driver } from 'selenium-webdriver/chrome';
import { Hands, serve } from '../support/page/browser';

const axe = readFileSync('node_modules/axe-core/axe.min.js', 'utf8');
const STATIONS = [
  'The job',
  'Record',
  'Hold the axle',
  'Panhard bar',
  'Roll',
  'Prove',
  'Cut',
  'The order of work',
  'Centre',
  'What it did',
];
/** Smallest side of what a finger is to hit, px. */
const FINGER = 44;

let server: Awaited<ReturnType<typeof serve>>;
beforeAll(async () => {
  server = await serve();
}, 60_000);
afterAll(() => server?.stop());

type Violation = { id: string; nodes: { target: string[] }[] };

/** Opens the bench, does something at it, and closes it. */
async function atBench(width: number, height: number, work: (hands: Hands) => Promise<void>): Promise<void> {
  const hands = await Hands.open(server.address, width, height);
  try {
    await work(hands);
  } finally {
    await hands.close();
  }
}

async function everywhere(hands: Hands, look: (place: string) => Promise<void>): Promise<void> {
  for (const [i, title] of STATIONS.entries()) {
    await hands.station(i + 1, title);
    await look(title);
  }
  // Some stations show most of themselves only where something is fitted, or in another of their parts.
  await hands.go('copperline', 'roll');
  for (const part of ['Springs', 'Sway bar', 'Balance']) {
    await hands.part(part);
    await hands.find('.verdict');
    await look(part);
  }
  await hands.go('marigold', 'weld');
  for (const part of ['Hold', 'Close?', 'Torque', 'Book', 'Plan']) {
    await hands.part(part);
    await look(part);
  }
  await hands.go('copperline', 'drive');
  for (const part of ['Tune', 'Find a fault', 'Re-check', 'Outings']) {
    await hands.part(part);
    await look(part);
  }
  await hands.go('copperline', 'locate');
  for (const part of ['Lengthwise', 'Room', 'Forces', 'Find', 'Ways']) {
    await hands.part(part);
    await look(part);
  }
}

test.each([
  ['at 1280 × 800', 1280, 800, []],
  ['on a tablet', 820, 1180, []],
  ['in a hand', 390, 844, []],
  ['at 200 % of 1280 × 800', 640, 400, []],
  ['in a dim shop', 1280, 800, [{ name: 'prefers-color-scheme', value: 'dark' }]],
  ['with more contrast', 1280, 800, [{ name: 'prefers-contrast', value: 'more' }]],
] as const)(
  '%s no station has any fault of access, and none runs off the side',
  async (_, width, height, features) => {
    await atBench(width, height, async (hands) => {
      await (hands.driver as Driver).sendDevToolsCommand('Emulation.setEmulatedMedia', { features });
      const faults: string[] = [];
      await everywhere(hands, async (place) => void faults.push(...(await faultsOf(hands, place))));
      expect(faults).toEqual([]);
    });
  },
);

async function faultsOf(hands: Hands, place: string): Promise<string[]> {
  await hands.driver.sleep(400);
  await hands.driver.executeScript(axe);
  const found = await hands.driver.executeAsyncScript<Violation[]>(
    'const done = arguments[0]; axe.run(document, { resultTypes: ["violations"] }).then((r) => done(r.violations))',
  );
  const faults = found.map(
    (v) =>
      `${place}: ${v.id} ${v.nodes
        .map((n) => n.target.join(' '))
        .slice(0, 4)
        .join(' | ')}`,
  );
  const overflow = await hands.driver.executeScript<string[]>(
    `const off = [document.documentElement, document.querySelector('.bench-card')].some((e) => e.scrollWidth > e.clientWidth + 1);
     const widest = [...document.querySelectorAll('body *')].filter((e) => e.getBoundingClientRect().right > innerWidth).pop();
     return off ? [(widest?.tagName ?? '') + ' ' + widest?.textContent.slice(0, 30)] : [];`,
  );
  return [...faults, ...overflow.map((e) => `${place}: ${e} runs off the side`)];
}

test('on a tablet everything that is touched is as broad as a finger', async () => {
  await atBench(820, 1180, async (hands) => {
    const all: string[] = [];
    await everywhere(hands, async (place) => {
      const small = await hands.driver.executeScript<string[]>(
        `const least = arguments[0] - 0.5;
         // What is touched may be larger than what is drawn: its label, or what is laid around a word or a handle.
         const touched = (e) => e.closest('label, .ant-select') ?? e.querySelector('.halo') ?? e;
         const reach = (e) => {
           const box = touched(e).getBoundingClientRect();
           if (!e.matches('.term, .ant-slider-handle')) return [box.width, box.height];
           const more = getComputedStyle(e, e.matches('.term') ? '::after' : '::before');
           const wide = box.width - parseFloat(more.left) - parseFloat(more.right);
           return [Math.max(wide, parseFloat(more.minWidth) || 0), box.height - parseFloat(more.top) - parseFloat(more.bottom)];
         };
         return [...document.querySelectorAll('button, a[href], input, select, textarea, summary, [role=button], [role=slider], [role=tab], [role=combobox]')]
           .filter((e) => !e.hidden && e.checkVisibility() && touched(e).getBoundingClientRect().width > 0)
           .filter((e) => !e.closest('.thing'))
           .filter((e) => reach(e).some((side) => side < least))
           .map((e) => (e.getAttribute('aria-label') || e.textContent || e.id || e.className).slice(0, 40) + ' ' + reach(e).map(Math.round).join('×'));`,
        FINGER,
      );
      all.push(...small.map((one) => `${place}: ${one}`));
    });
    expect(all).toEqual([]);
  });
});

test.each([
  ['in a hand', 390, 844],
  ['at 200 %', 640, 400],
])(
  '%s the card is reached and worked with: a value typed, a station chosen, a bar dragged',
  async (_, width, height) => {
    await atBench(width, height, async (hands) => {
      await hands.click(await hands.find('[data-station=locate]'));
      await hands.reads('.bench-card h1', 'Panhard bar');
      // What was asked for is in sight.
      await hands.until(() =>
        hands.driver.executeScript<boolean>(
          'const { top } = document.querySelector(".bench-card").getBoundingClientRect(); return top < innerHeight / 2;',
        ),
      );
      await hands.type('panhard/chassis/2', '13 1/2');
      await hands.holds('panhard/chassis/2', '13 1/2');
      const mount = await hands.find('[data-mount="rear-chassis"]');
      await hands.driver.executeScript('arguments[0].scrollIntoView({ block: "center" })', mount);
      await hands.drag('[data-mount="rear-chassis"]', 0, -16);
      await hands.until(async () => (await hands.value('panhard/chassis/2')) !== '13 1/2');
      await hands.press('plan');
      await hands.find('[data-mount="plan-chassis"]');
    });
  },
);

test('a handle says where it stands; a reader hears which verdicts have turned, and of no others', async () => {
  await atBench(1280, 800, async (hands) => {
    await hands.station(4, 'Panhard bar');
    const label = async () => (await hands.find('[data-mount="rear-chassis"]')).getAttribute('aria-label');
    const before = await label();
    expect(before).toMatch(/\d.* (left|right) of the middle, .*\d.* off the floor/);
    await hands.find('.verdict');
    await hands.driver.sleep(1000);
    const states = () =>
      hands.driver.executeScript<Record<string, string>>(
        'return Object.fromEntries([...document.querySelectorAll(".verdict")].map((v) => [v.querySelector("h2").textContent, v.dataset.state]))',
      );
    const were = await states();
    await hands.type('panhard/chassis/2', '22');
    await hands.until(async () => (await label()) !== before);
    await hands.until(async () => JSON.stringify(await states()) !== JSON.stringify(were));
    const said = () =>
      hands.driver.executeScript<string>(
        'return [...document.querySelectorAll(".verdicts + [role=status]")].map((e) => e.textContent).join(" ")',
      );
    await hands.until(async () => (await said()) !== '');
    const are = await states();
    const turned = Object.keys(are).filter((title) => are[title] !== were[title]);
    const heard = await said();
    for (const title of Object.keys(are))
      expect([title, heard.includes(`${title}:`)]).toEqual([title, turned.includes(title)]);
  });
});

test('single keys can be put on Alt or switched off; a dialog gives the focus back', async () => {
  await atBench(1280, 800, async (hands) => {
    const at = () => hands.text('.bench-card h1');
    const choose = async (keys: string) => {
      await hands.press('?');
      await hands.clickOn(`//fieldset[legend="Single keys"]//label[normalize-space()="${keys}"]`);
      await hands.closeDialog();
      expect(await hands.driver.executeScript('return document.activeElement.textContent')).toBe('?');
    };
    await hands.station(1, 'The job');
    await choose('off');
    await hands.keys('4');
    await hands.keys('/');
    await hands.driver.sleep(300);
    expect(await at()).toBe('The job');
    expect(await hands.count('[aria-label="What to find"]')).toBe(0);
    await choose('with Alt');
    await hands.keys('4');
    await hands.driver.sleep(300);
    expect(await at()).toBe('The job');
    await hands.driver.actions().keyDown(Key.ALT).sendKeys('4').keyUp(Key.ALT).perform();
    await hands.reads('.bench-card h1', 'Panhard bar');
    await choose('as they are');
    await hands.station(1, 'The job');
  });
});
