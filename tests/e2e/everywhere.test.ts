import { Key } from 'selenium-webdriver';
import { LAYOUT_NAMES } from '@/core/rig/names';
import { LAYOUT_IDS, layoutEnd } from '@/core/rig/layouts';
import { demoJobs } from '@/store/demo';
import { hands, openBench } from '../support/page/bench';

openBench();

/** The stations, and the parts that the fuller ones are divided into. */
const PLACES: [station: string, parts: string[]][] = [
  ['job', []],
  ['record', ['Measure', 'Agree?', 'As found', 'Inspect', 'Parts']],
  ['place', []],
  ['locate', ['Sideways', 'Lengthwise', 'Room', 'Forces', 'Heights', 'Find', 'Ways']],
  ['roll', ['Springs', 'Sway bar', 'Balance']],
  ['prove', []],
  ['cut', []],
  ['weld', ['Plan', 'Hold', 'Close?', 'Torque', 'Book']],
  ['ride', []],
  ['drive', ['Outings', 'Tune', 'Find a fault', 'Re-check']],
];

/** As many as take the axle from one end of its travel to the other. */
const steps = (key: string) => Array<string>(24).fill(key);

async function expectFit(where: string): Promise<void> {
  expect([where, await hands.unfit()]).toEqual([where, []]);
  expect([where, await hands.complaints()]).toEqual([where, []]);
  const heads = await hands.driver.executeScript<number>(
    'return [...document.querySelectorAll(".bench-card h1")].filter((h) => h.checkVisibility()).length',
  );
  expect([where, heads]).toEqual([where, 1]);
}

test.each(demoJobs().map((job) => job.id.replace('demo-', '')))(
  '%s: every part of every station stands, with the axle at ride height and thrown to its corners',
  async (car) => {
    for (const [station, parts] of PLACES) {
      await hands.go(car, station);
      for (const part of parts.length ? parts : [null]) {
        if (part) await hands.part(part);
        await expectFit(`${car}, ${station}, ${part}`);
        await hands.keys(...steps(Key.ARROW_UP), ...steps(Key.ARROW_LEFT));
        await expectFit(`${car}, ${station}, ${part}, thrown`);
        await hands.keys(Key.HOME);
      }
    }
  },
);

test.each(LAYOUT_IDS)(
  '%s is laid out on a new car, thrown about, looked at from every part, and undone',
  async (id) => {
    const car = layoutEnd(id) === 'front' ? 'tinker' : 'nightjar';
    await hands.go(car, 'job');
    const before = await hands.text('.masthead-job');
    await hands.clickOn(`//label[contains(@class,"layout-tile")][.//b[text()="${LAYOUT_NAMES[id][0]}"]]`);
    for (const [station, parts] of PLACES.filter(([name]) => name === 'locate' || name === 'roll')) {
      await hands.go(car, station);
      for (const part of parts) {
        await hands.part(part);
        await hands.keys(
          ...Array<string>(30).fill(Key.ARROW_DOWN),
          ...Array<string>(30).fill(Key.ARROW_RIGHT),
        );
        await expectFit(`${id}, ${station}, ${part}`);
      }
    }
    await hands.keys(Key.HOME);
    if ((await hands.text('.masthead-job')) !== before) await hands.undo();
    await hands.reads('.masthead-job', before);
  },
);
