import { Key } from 'selenium-webdriver';
import { hands, openBench } from '../../support/page/bench';

/** A tablet, held upright, in a hand. */
openBench(820, 1180);
beforeAll(() => hands.byFinger());

/** The stations and their parts with fields that are typed in. */
const PLACES: [station: string, part?: string][] = [
  ['place'],
  ['locate', 'Sideways'],
  ['locate', 'Lengthwise'],
  ['locate', 'Room'],
  ['locate', 'Forces'],
  ['locate', 'Heights'],
  ['roll', 'Springs'],
  ['roll', 'Sway bar'],
  ['roll', 'Balance'],
  ['prove'],
  ['cut'],
  ['weld', 'Hold'],
  ['weld', 'Torque'],
  ['ride'],
  ['drive', 'Outings'],
  ['drive', 'Re-check'],
];

type Seen = { id: string; wrong: string };

/** Takes every field of the card in turn: its pad must come up, leave it in sight, and type into it. */
const EVERY_FIELD = `
  const done = arguments[arguments.length - 1];
  const frame = () => new Promise((go) => requestAnimationFrame(() => setTimeout(go)));
  // What the workers say comes in above the fields: they are taken once nothing moves any more.
  const still = async () => {
    const card = document.querySelector('.bench-card');
    for (let tall = -1, quiet = 0; quiet < 20; quiet = card.scrollHeight === tall ? quiet + 1 : 0) {
      tall = card.scrollHeight;
      await frame();
    }
  };
  (async () => {
    await still();
    const seen = [];
    const ids = [...document.querySelectorAll('.bench-card input.figure')]
      .filter((input) => input.checkVisibility())
      .map((input) => input.id);
    for (const id of ids) {
      const input = document.getElementById(id);
      if (!input) continue;
      input.focus();
      await frame();
      await frame();
      const dock = document.querySelector('.pad-dock');
      const key = (word) => [...(dock?.querySelectorAll('button') ?? [])].find((b) => (b.ariaLabel ?? '').endsWith(word));
      const box = input.getBoundingClientRect();
      const before = input.value;
      let wrong = '';
      if (!dock || !key(' more')) wrong = 'no pad';
      else if (box.bottom > dock.getBoundingClientRect().top || box.top < 0) wrong = 'hidden by the pad';
      else if ([...dock.querySelectorAll('button')].some((b) => b.getBoundingClientRect().height < 44)) wrong = 'a key too small';
      else if (input.inputMode !== 'none') wrong = 'the device brings up its own keys';
      else if (input.scrollWidth > input.clientWidth + 1) wrong = 'clipped: ' + input.value;
      else {
        key(' more').click();
        await frame();
        if (input.value === before) wrong = 'more does nothing to ' + before;
        key(' less').click();
        await frame();
        if (document.activeElement !== input) wrong = 'lost the focus';
      }
      seen.push({ id, wrong });
      input.dispatchEvent(new KeyboardEvent('keydown', { key: 'Escape', bubbles: true }));
      await frame();
      input.blur();
      await frame();
    }
    done(seen);
  })();
`;

test.each(['copperline', 'tinker'])(
  '%s: every field of every station is typed with the pad, in sight above it',
  async (car) => {
    const all: Seen[] = [];
    for (const [station, part] of PLACES) {
      await hands.go(car, station);
      if (part) await hands.part(part);
      const seen = await hands.driver.executeAsyncScript<Seen[]>(EVERY_FIELD);
      all.push(...seen.map(({ id, wrong }) => ({ id: `${station} ${part ?? ''} ${id}`, wrong })));
    }
    expect(all.filter(({ wrong }) => wrong)).toEqual([]);
    expect(all.length).toBeGreaterThan(60);
  },
);

test('a height is typed with the pad and kept; with the keyboard of the device, once that is asked for', async () => {
  await hands.go('marigold', 'locate');
  await hands.part('Sideways');
  const id = 'panhard/chassis/2';
  await hands.click(await hands.field(id));
  const key = (name: string) =>
    hands.clickOn(`//*[contains(@class,"pad-dock")]//button[@aria-label="${name}"]`);
  for (const name of [
    'Take off the last',
    'Take off the last',
    'Take off the last',
    '1',
    '4',
    '3/4',
    '1/16 more',
  ])
    await key(name);
  await hands.holds(id, '14 13/16');
  await key('Keep this reading');
  await hands.until(async () => (await hands.count('.pad-dock')) === 0);
  await hands.holds(id, '14 13/16');
  await hands.undo();
  await hands.holds(id, '14 7/8');

  await hands.click(await hands.field(id));
  await hands.press('use the keyboard');
  await hands.until(async () => (await hands.count('.pad-dock')) === 0);
  await (await hands.field(id)).sendKeys(Key.ESCAPE);
  await hands.click(await hands.field(id));
  await hands.press('pad');
  await hands.find('.pad-dock');
});

test('a flag in the drawing shows its verdict, and the number of a verdict its flag, in whichever view that stands', async () => {
  await hands.go('nightjar', 'locate');
  await hands.part('Lengthwise');
  const number = (id: string) =>
    hands.click(hands.driver.findElement({ css: `[data-verdict=${id}] .flag-number` }));
  await hands.find('[data-verdict=pinion] .flag-number');
  await number('pinion');
  await hands.find('.flag.picked[data-flag=pinion]');
  await number('roll-steer');
  await hands.find('.flag.picked[data-flag=roll-steer]');
  expect(await hands.count('.flag.picked')).toBe(1);
  await hands.click(await hands.find('[data-flag=anti-squat]'));
  await hands.find('.verdict.picked[data-verdict=anti-squat]');
  const inSight = await hands.driver.executeScript<boolean>(
    'const b = document.querySelector(".verdict.picked").getBoundingClientRect(); return b.top >= 0 && b.top < innerHeight',
  );
  expect(inSight).toBe(true);
  // The number on the flag is that of its verdict.
  const said = await hands.text('.verdict.picked .flag-number');
  expect(await hands.text('.flag[data-flag=anti-squat] text')).toBe(said);
});
