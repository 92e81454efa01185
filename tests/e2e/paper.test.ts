import type { Driver } from 'selenium-webdriver/chrome';
import { hands, openBench } from '../support/page/bench';

openBench();

/** What is printed from where, what must be read on it, and how many pages it may take. */
const SHEETS: [car: string, station: string, part: string | null, words: string[], pages: number][] = [
  ['marigold', 'record', 'Measure', ['Measuring plan', 'Loaded tyre radius', '______'], 4],
  ['pewter', 'record', 'As found', ['Axle off the middle of the frame', '±'], 2],
  ['marigold', 'place', null, ['The four heights', 'Full droop'], 1],
  ['marigold', 'locate', 'Sideways', ['Where the mounts stand', '17 1/4 in left', 'Eye to eye'], 1],
  [
    'pewter',
    'locate',
    'Ways',
    ['Ways to build it', 'Chosen on 9 May 2026', 'Links would want a new floor'],
    2,
  ],
  ['tinker', 'locate', 'Room', ['Drag link, kingpin, middle', 'Rubber at both ends'], 1],
  ['copperline', 'roll', 'Springs', ['26 N/mm, 427 mm long unloaded', 'Runs'], 1],
  ['cinder', 'roll', 'Balance', ['What a step does', 'hole 1 of 3 from the tip', 'looser'], 1],
  ['copperline', 'roll', 'Sway bar', ['Bends, radius', 'end hole to end hole along it'], 2],
  ['marigold', 'prove', null, ['Will it hold', 'Hard launch', 'Not proved'], 2],
  ['marigold', 'cut', null, ['Cut list: panhard bar', 'left-hand'], 1],
  ['cinder', 'cut', null, ['Guessed, not read or said: Mounts of the panhard bar'], 1],
  ['cinder', 'locate', 'Lengthwise', ['* Guessed: it stands where the pattern'], 1],
  ['marigold', 'weld', 'Hold', ['Hold before welding', 'Eye to eye', 'Frame bracket'], 2],
  ['marigold', 'weld', 'Plan', ['The order of work', 'Take apart', 'First drive, short and slow'], 5],
  ['tinker', 'weld', 'Torque', ['Torque sheet', 'Grade 8', 'jam nut'], 2],
  ['copperline', 'drive', 'Outings', ['What it did on the road', 'Gravel pit lot'], 1],
  ['marigold', 'ride', null, ['Centre the axle on the ground', 'Tyre to frame, left'], 1],
];
/** What is for the screen alone. */
const SCREEN = /all saved|Print |Touch it|Try it|\/ find/;
/** A letter page within its margins, in the pixels of a screen. */
const PAPER_WIDTH = 710;

test.each(SHEETS)(
  '%s, %s, %s: goes on plain paper whole, with its name and its date',
  async (car, station, part, words, most) => {
    const driver = hands.driver as unknown as Driver;
    await hands.go(car, station);
    if (part) await hands.part(part);
    await hands.driver.sleep(300);
    const { data } = (await driver.sendAndGetDevToolsCommand('Page.printToPDF', {
      preferCSSPageSize: true,
    })) as unknown as { data: string };
    const pages = Buffer.from(data, 'base64')
      .toString('latin1')
      .match(/\/Type\s*\/Page\b/g);
    expect(pages!.length).toBeLessThanOrEqual(most);

    await driver.sendDevToolsCommand('Emulation.setDeviceMetricsOverride', {
      width: PAPER_WIDTH,
      height: 920,
      deviceScaleFactor: 1,
      mobile: false,
    });
    await driver.sendDevToolsCommand('Emulation.setEmulatedMedia', { media: 'print' });
    await driver.executeScript('window.dispatchEvent(new Event("beforeprint"))');
    try {
      const text = await driver.executeScript<string>('return document.body.innerText');
      for (const word of words) expect(text).toContain(word);
      expect(text).toMatch(/· printed \d+ \w+ 20\d\d/);
      expect(text.toLowerCase()).toContain(car);
      expect(text).not.toMatch(SCREEN);
      expect(await hands.unfit()).toEqual([]);
      const beyond = await driver.executeScript<string[]>(
        `return [...document.querySelectorAll('body *')].filter((e) => e.checkVisibility() && e.textContent.trim() &&
         e.getBoundingClientRect().right > arguments[0] + 1).map((e) => e.textContent.slice(0, 60))`,
        PAPER_WIDTH,
      );
      expect(beyond).toEqual([]);
    } finally {
      await driver.executeScript('window.dispatchEvent(new Event("afterprint"))');
      await driver.sendDevToolsCommand('Emulation.setEmulatedMedia', { media: '' });
      await driver.sendDevToolsCommand('Emulation.setDeviceMetricsOverride', {
        width: 1280,
        height: 800,
        deviceScaleFactor: 1,
        mobile: false,
      });
    }
  },
);
