import { Key } from 'selenium-webdriver';
import { hands, openBench } from '../../support/page/bench';

openBench(820, 1180);

/** Where there are fields, and on which cars there are most of them. */
const SHEETS: [car: string, station: string, part: string | null][] = [
  ['marigold', 'record', 'Measure'],
  ['marigold', 'place', null],
  ['marigold', 'locate', 'Sideways'],
  ['copperline', 'locate', 'Lengthwise'],
  ['copperline', 'locate', 'Room'],
  ['nightjar', 'locate', 'Forces'],
  ['copperline', 'roll', 'Springs'],
  ['cinder', 'roll', 'Sway bar'],
  ['tinker', 'roll', 'Sway bar'],
  ['tinker', 'roll', 'Balance'],
  ['marigold', 'prove', null],
  ['marigold', 'cut', null],
  ['marigold', 'weld', 'Hold'],
  ['marigold', 'weld', 'Torque'],
  ['copperline', 'drive', 'Outings'],
  ['copperline', 'drive', 'Re-check'],
  ['marigold', 'ride', null],
];
const NONSENSE = ['about a foot', '1/0', '99999999'];

const fields = () =>
  hands.driver.executeScript<string[]>(
    'return [...document.querySelectorAll(".bench-card input[id^=field-]")].filter((f) => f.checkVisibility()).map((f) => f.id.slice(6))',
  );

/** What is said of a field that cannot take its text; null where nothing is. */
const problemOf = async (id: string) => {
  const field = await hands.field(id);
  const told = await field.getAttribute('aria-describedby');
  return told ? (await hands.find(`[id="${told}"]`)).getText() : null;
};

test.each(SHEETS)(
  '%s, %s, %s: no field takes nonsense, each says what is wrong with it and keeps what was typed; nothing has changed',
  async (car, station, part) => {
    await hands.go(car, station);
    if (part) await hands.part(part);
    if (station === 'record') await hands.press('Whole sheet');
    await hands.driver.executeScript('document.querySelectorAll("details").forEach((d) => (d.open = true))');
    const ids = await fields();
    expect(ids.length).toBeGreaterThan(0);
    for (const [i, id] of ids.entries()) {
      const before = await hands.value(id);
      const nonsense = NONSENSE[i % NONSENSE.length]!;
      await hands.type(id, nonsense);
      await hands.until(async () => (await problemOf(id)) !== null);
      const said = await problemOf(id);
      expect([id, said]).toEqual([id, expect.stringMatching(/\w+ \w+ \w+/)]);
      expect([id, said]).toEqual([id, expect.not.stringMatching(/NaN|undefined|null|\d{6}\.\d/)]);
      await hands.holds(id, nonsense);
      await (await hands.field(id)).sendKeys(Key.ESCAPE);
      await hands.until(async () => (await hands.value(id)) === before);
      expect(await problemOf(id)).toBeNull();
    }
    expect(await (await hands.button('undo')).isEnabled()).toBe(false);
    expect(await hands.complaints()).toEqual([]);
  },
);
