import { Key } from 'selenium-webdriver';
import { hands, openBench } from '../../support/page/bench';

openBench();

/** Fields that need not hold anything, where they stand, and something to put in: then what they read when emptied. */
const OPTIONAL: [
  car: string,
  station: string,
  part: string | null,
  field: string,
  text: string,
  emptied: RegExp,
][] = [
  ['marigold', 'place', null, 'place/held.left', '20', /^$/],
  ['marigold', 'place', null, 'place/held.right', '21', /^$/],
  ['marigold', 'place', null, 'place/tireDiameter', '27', /^$/],
  ['marigold', 'place', null, 'place/rideHeight', '18', /^\d/],
  ['marigold', 'locate', 'Room', 'shaft/in', '1 1/2', /^$/],
  ['marigold', 'locate', 'Room', 'shaft/out', '1 1/2', /^$/],
  ['marigold', 'weld', 'Hold', 'weld/panhard/eyeToEye', '36 1/2', /^$/],
  ['marigold', 'weld', 'Torque', 'torque/panhard/axle/maker', '95', /^$/],
  ['marigold', 'weld', 'Torque', 'torque/panhard/axle/applied', '94', /^$/],
  ['copperline', 'drive', 'Outings', 'outing/two/distance', '40', /^$/],
  ['marigold', 'weld', 'Hold', 'weld/panhard/clearance', '3/4', /^$/],
  ['marigold', 'ride', null, 'ride/left', '5 1/2', /^$/],
  ['marigold', 'ride', null, 'ride/fender.right', '1 1/2', /^$/],
  ['marigold', 'ride', null, 'ride/ahead.left', '112', /^$/],
  ['marigold', 'ride', null, 'ride/height.right', '17', /^$/],
  ['marigold', 'ride', null, 'ride/pinion', '2.5', /^$/],
  ['tinker', 'ride', null, 'ride/toe.front', '57', /^$/],
  ['tinker', 'ride', null, 'ride/toeWanted', '1/4', /^$/],
  ['copperline', 'roll', 'Springs', 'roll/free', '400', /^$/],
  ['copperline', 'roll', 'Springs', 'roll/solid', '150', /^$/],
  ['copperline', 'roll', 'Sway bar', 'roll/measured/left', '18', /^$/],
  ['copperline', 'roll', 'Sway bar', 'roll/bushingRate', '4000', /^$/],
];

const openAll = () =>
  hands.driver.executeScript('document.querySelectorAll("details").forEach((d) => (d.open = true))');

async function at(car: string, station: string, part: string | null): Promise<void> {
  await hands.go(car, station);
  if (part) await hands.part(part);
  await openAll();
}

test.each(OPTIONAL)(
  '%s, %s, %s: %s is typed, emptied again, and undone',
  async (car, station, part, field, text, emptied) => {
    await at(car, station, part);
    // What a station shows of a car is there once it has been worked out.
    await hands.field(field);
    const before = await hands.value(field);
    await hands.type(field, text);
    const typed = await hands.value(field);
    expect(typed).toBe(text);
    await hands.type(field, Key.BACK_SPACE);
    await hands.until(async () => emptied.test(await hands.value(field)));
    expect(await hands.value(field)).not.toBe(text);
    // What is emptied is taken back like anything else, and so is what was typed.
    await hands.undo();
    await openAll();
    await hands.until(async () => (await hands.value(field)) === text);
    await hands.undo();
    await openAll();
    await hands.until(async () => (await hands.value(field)) === before);
  },
);

test('a figure typed over a measured one gives way to it when it is emptied', async () => {
  await at('marigold', 'record', 'Measure');
  await at('marigold', 'locate', 'Room');
  const field = 'driveshaft/pinionAngleDeg';
  await hands.type(field, '4.25');
  expect(await hands.value(field)).toBe('4.25');
  await hands.type(field, Key.BACK_SPACE);
  await hands.until(async () => (await hands.value(field)) !== '4.25');
  expect(await hands.value(field)).toMatch(/^\d+(\.\d+)?$/);
});

test('units beside ways: “3/4 in” is three quarters of an inch; hexadecimal, exponents and fractions of a hole are refused', async () => {
  await at('marigold', 'locate', 'Sideways');
  const field = 'panhard/axle/0';
  const way = () => hands.text(`[id="field-${field}"] ~ .way, .length-row:has([id="field-${field}"]) .way`);
  const before = await way();
  await hands.type(field, '7 3/4 in');
  await hands.until(async () => /^7 3\/4/.test(await hands.value(field)));
  expect(await way()).toBe(before);
  await at('copperline', 'roll', 'Sway bar');
  for (const [text, said] of [
    ['0x20', /Type a number/],
    ['1e3', /Type a number/],
    ['3.5', /whole number/],
  ] as const) {
    await hands.type('roll/holes', text);
    await hands.until(async () => said.test(await hands.text('.bench-card')));
    expect(await hands.value('roll/holes')).toBe(text);
    await (await hands.field('roll/holes')).sendKeys(Key.ESCAPE);
  }
});

test('a box corner typed past its opposite is refused, and stays as it was typed', async () => {
  await at('marigold', 'locate', 'Room');
  const boxes = await hands.driver.executeScript<string[]>(
    "return [...document.querySelectorAll(\"[id^='field-obstacle/'][id*='/min/']\")].map((f) => f.id.slice(6))",
  );
  expect(boxes.length).toBeGreaterThan(0);
  const low = boxes.find((id) => id.endsWith('/2'))!;
  const high = low.replace('/min/', '/max/');
  const before = await hands.value(high);
  await hands.type(low, '58');
  await hands.until(async () => /Should be between/.test(await hands.text('.bench-card')));
  expect(await hands.value(low)).toBe('58');
  expect(await hands.value(high)).toBe(before);
  await (await hands.field(low)).sendKeys(Key.ESCAPE);
});

test('another bar on the saw has brackets of its own', async () => {
  await at('marigold', 'weld', 'Hold');
  const state = () =>
    hands.driver.executeScript<string>('return document.querySelector("[data-bracket=frame]").dataset.state');
  expect(await state()).toBe('scribed');
  await hands.clickOn('//*[@data-bracket="frame"]//button[contains(., "held")]');
  await (await hands.find('.ant-modal textarea')).sendKeys('Mock-up');
  await hands.press('Go on, and keep this on record');
  await hands.until(async () => (await state()) === 'tacked');
  await hands.go('marigold', 'cut');
  await hands.driver.executeScript('document.activeElement?.blur?.()');
  await hands.clickOn('//*[contains(@class, "ant-select")][.//input[@aria-label="Which bar"]]');
  await hands.clickOn('//*[contains(@class, "ant-select-item-option")][contains(., "lower")]');
  await hands.go('marigold', 'weld');
  expect(await state()).toBe('scribed');
  expect(await hands.text('.weld-log')).toContain('Panhard bar, frame bracket tacked');
});
