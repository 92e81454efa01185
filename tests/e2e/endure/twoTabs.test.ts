import { Key } from 'selenium-webdriver';
import { address, hands, openBench } from '../../support/page/bench';
import { fillDisk, freeDisk, storedJob } from '../../support/page/storage';

/** By hand, `npm run endure` asks for 200 of each. */
const TIMES = Number(process.env.ENDURE ?? 12);
const TIMEOUT = 90_000 + TIMES * 2000;

openBench();

const JOB = '#/demo-copperline/job';
const tabs: string[] = [];
const inTab = (n: number) => hands.driver.switchTo().window(tabs[n]!);
const type = async (css: string, ...keys: string[]) => (await hands.find(css)).sendKeys(...keys);
const shown = async (css: string) => (await hands.find(css)).getAttribute('value');
const NOTES = '.text-field textarea';

beforeAll(async () => {
  await hands.go('copperline', 'job');
  tabs.push(await hands.driver.getWindowHandle());
  await hands.driver.switchTo().newWindow('tab');
  tabs.push(await hands.driver.getWindowHandle());
  await hands.driver.get(`${address}/${JOB}`);
  await hands.reads('.masthead-job', 'Copperline');
}, 60_000);

const atRest = async () => {
  for (const n of [0, 1]) {
    await inTab(n);
    await hands.until(async () =>
      /all saved|changed in another tab/.test(await hands.text('.masthead-save')),
    );
  }
};

test(
  `${TIMES} letters typed in each of two tabs: all of them in both, and undo in each is its own`,
  async () => {
    const alphabet = 'abcdefghijklmnopqrstuvwxyz';
    const letters = Array.from({ length: TIMES }, (_, i) => alphabet[i % alphabet.length]!);
    // A car's name has room for 200 letters.
    const [car, notes] = ['', 'notes '];
    await inTab(0);
    await type(NOTES, Key.chord(Key.CONTROL, 'a'), notes);
    await inTab(1);
    await type('#job-car', Key.chord(Key.CONTROL, 'a'), Key.BACK_SPACE);
    for (const [i, letter] of letters.entries()) {
      await inTab(0);
      await type(NOTES, letter);
      await inTab(1);
      await type('#job-car', letter);
      // Now and then both rest for long enough to hear of each other.
      if (i % 5 === 4) await new Promise((done) => setTimeout(done, 120));
    }
    const all = letters.join('');
    for (const n of [0, 1]) {
      await inTab(n);
      await hands.until(
        async () => (await shown(NOTES)) === notes + all && (await shown('#job-car')) === car + all,
      );
    }
    await atRest();
    expect((await storedJob('demo-copperline'))!.job).toMatchObject({ notes: notes + all, car: car + all });
    await inTab(0);
    await hands.undo();
    await hands.until(async () => (await shown(NOTES)) !== notes + all);
    expect(await shown('#job-car')).toBe(car + all);
    await inTab(1);
    await hands.until(async () => (await shown(NOTES)) !== notes + all);
    expect(await shown('#job-car')).toBe(car + all);
    console.log(`two tabs, ${TIMES} letters each: none lost`);
  },
  TIMEOUT,
);

test('the same value changed in both: both end alike, saving ends, and what gave way is offered', async () => {
  const names = ['of the one', 'of the other'];
  // Neither hears of the other while it is being typed: the disk is full.
  for (const n of [0, 1]) {
    await inTab(n);
    await fillDisk();
    await type('#job-name', Key.chord(Key.CONTROL, 'a'), names[n]!);
  }
  for (const n of [0, 1]) {
    await inTab(n);
    await freeDisk();
  }
  for (const n of [0, 1]) {
    await inTab(n);
    await hands.until(async () => (await shown('#job-name')) === names[1]);
  }
  await atRest();
  // The tab that brought them together says so; which one that is depends on when each is heard.
  let told = 0;
  await hands.until(async () => {
    told = 1 - told;
    await inTab(told);
    return (await hands.count('.ant-notification-notice')) > 0;
  });
  await hands.reads('.ant-notification', 'changed in two tabs');
  await hands.press('Take the other instead');
  for (const n of [0, 1]) {
    await inTab(n);
    await hands.until(async () => (await shown('#job-name')) === names[0]);
  }
});

test('nothing is drawn away under a hand that drags, and both changes are there when it lets go', async () => {
  await inTab(0);
  await hands.station(4, '');
  const mount = await hands.find('[data-mount^="rear"]');
  const place = () => mount.getAttribute('aria-label').then(() => mount.getRect());
  const before = await place();
  await hands.driver
    .actions()
    .move({ origin: mount })
    .press()
    .move({ origin: 'pointer' as never, x: 0, y: -20 })
    .perform();
  await inTab(1);
  await type(NOTES, '!');
  await atRestIn(1);
  await inTab(0);
  await hands.driver
    .actions()
    .move({ origin: 'pointer' as never, x: 0, y: -10 })
    .release()
    .perform();
  await hands.until(async () => (await place()).y < before.y - 10);
  await hands.until(async () => (await storedJob('demo-copperline'))!.job.notes.endsWith('!'));
  await hands.station(1, 'The job');
  await hands.until(async () => (await shown(NOTES))!.endsWith('!'));
});

const atRestIn = async (n: number) => {
  await inTab(n);
  await hands.until(async () => (await hands.text('.masthead-save')) === 'all saved');
};
