import { Key, type WebElement } from 'selenium-webdriver';
import { chance } from '../support/chance';
import { hands, openBench } from '../support/page/bench';

openBench();

const ACTS = 80;
/** What a hand misses, by the names that the driver gives it, and how much of it is no fault of the page. */
const OUT_OF_HAND =
  /StaleElementReference|ElementNotInteractable|ElementClickIntercepted|MoveTargetOutOfBounds/;
const MOST_MISSED = 16;
const TYPED = ['7', '12 1/2', '3/8', '41', '640mm', '18-3/4', '1.5', '', 'nine', '1/0'];
/** What leaves the job for another, hands out files, or asks the machine for something. */
const LEFT_ALONE = 'export|import|print|csv|svg|png|new job|copy|delete|photo|gauge|sheet|open ';
const GRIPS = '[data-mount], [data-bar], [data-thing]';
const PRESSED = [
  ...['button', 'input[type=radio]', 'input[type=checkbox]', 'select', '.ant-segmented-item'].map(
    (what) => `.bench-card ${what}`,
  ),
  '.ant-dropdown li[role=menuitem]',
].join(', ');

/** All jobs as they are kept, without what is half typed. */
async function kept(): Promise<unknown> {
  await hands.saved();
  const rows = await hands.driver.executeAsyncScript<string>(`
    const done = arguments[arguments.length - 1];
    const opening = indexedDB.open('pellik');
    opening.onsuccess = () => {
      const all = opening.result.transaction('jobs').objectStore('jobs').getAll();
      all.onsuccess = () => { opening.result.close(); done(JSON.stringify(all.result.map((row) => row.job))); };
    };`);
  return JSON.parse(rows);
}

/** Until the page has stood still for a moment: what there is to take hold of is then the same at every run. */
const settled = () =>
  hands.driver.executeAsyncScript(`
    const done = arguments[arguments.length - 1];
    let rest;
    const watch = new MutationObserver(wait);
    function wait() { clearTimeout(rest); rest = setTimeout(finish, 100); }
    function finish() { watch.disconnect(); clearTimeout(most); done(); }
    const most = setTimeout(finish, 2000);
    watch.observe(document.body, { attributes: true, characterData: true, childList: true, subtree: true });
    wait();`);

const seen = (css: string) =>
  hands.driver.executeScript<WebElement[]>(
    `return [...document.querySelectorAll(arguments[0])].filter((e) =>
       e.checkVisibility() && !e.disabled && !e.closest('.shelf') &&
       !new RegExp(arguments[1], 'i').test(e.getAttribute('aria-label') || e.textContent))`,
    css,
    LEFT_ALONE,
  );

const tap = async (element: WebElement) => {
  await hands.driver.executeScript('arguments[0].scrollIntoView({block:"center"})', element);
  await element.click();
};

/** One thing that somebody does who tries everything, and goes elsewhere in the middle of it. */
async function act(uniform: () => number): Promise<void> {
  const pick = <T>(list: readonly T[]): T | undefined => list[Math.floor(uniform() * list.length)];
  const kind = uniform();
  if (kind < 0.12) return hands.keys(String(1 + Math.floor(uniform() * 8)));
  if (kind < 0.2)
    return hands.keys(
      ...Array<string>(5).fill(pick([Key.ARROW_UP, Key.ARROW_LEFT, Key.ARROW_DOWN, Key.HOME])!),
    );
  if (kind < 0.3) {
    const grip = pick(await seen(GRIPS));
    const [x, y] = [Math.round(40 * (uniform() - 0.5)), Math.round(40 * (uniform() - 0.5))];
    if (!grip) return;
    return hands.driver
      .actions()
      .move({ origin: grip })
      .press()
      .move({ origin: 'pointer' as never, x, y, duration: 30 })
      .release()
      .perform();
  }
  if (kind < 0.6) {
    const field = pick(await seen('.bench-card input[id^=field-]'));
    if (!field) return;
    await tap(field);
    return field.sendKeys(Key.chord(Key.CONTROL, 'a'), pick(TYPED)!, pick([Key.ENTER, Key.TAB, Key.ESCAPE])!);
  }
  if (kind < 0.95) {
    const button = pick(await seen(PRESSED));
    if (button) await tap(button);
    return;
  }
  return hands.undo();
}

/** As often as there is something to undo or redo. */
async function all(way: 'undo' | 'redo'): Promise<void> {
  const button = await hands.button(way);
  for (let n = 0; n < 400 && (await button.isEnabled()); n++) await button.click();
  expect(await button.isEnabled()).toBe(false);
}

test.each([
  ['copperline', 'roll', 7],
  ['marigold', 'weld', 23],
  ['copperline', 'drive', 57],
  ['tinker', 'locate', 41],
])(
  '%s, from %s: whatever is done to it in whatever order, undo takes back and redo does again',
  async (car, station, seed) => {
    await hands.go(car, station);
    const before = await kept();
    const { uniform } = chance(seed);
    let missed = 0;
    for (let n = 0; n < ACTS; n++) {
      await settled();
      await act(uniform).catch((why: Error) => {
        // What is covered by a menu or drawn anew under the hand is let go; anything else is a fault.
        if (!OUT_OF_HAND.test(why.name)) throw why;
        missed++;
        return hands.driver.actions().sendKeys(Key.ESCAPE).perform();
      });
      if (n % 20 === 19) {
        expect([n, await hands.unfit()]).toEqual([n, []]);
        expect([n, await hands.complaints()]).toEqual([n, []]);
      }
    }
    expect(missed).toBeLessThan(MOST_MISSED);
    await hands.driver.actions().sendKeys(Key.ESCAPE).perform();
    await hands.dialogGone();
    await hands.reads('.masthead-job', new RegExp(car, 'i'));
    await all('redo');
    const after = await kept();
    expect(after).not.toEqual(before);
    await all('undo');
    expect(await kept()).toEqual(before);
    await all('redo');
    expect(await kept()).toEqual(after);
    await all('undo');
    expect(await kept()).toEqual(before);
  },
);
