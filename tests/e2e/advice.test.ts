import { mkdtempSync, writeFileSync } from 'node:fs';
import { tmpdir } from 'node:os';
import { join } from 'node:path';
import { Key } from 'selenium-webdriver';
import { USUAL_CG_HEIGHT, USUAL_MASSES } from '@/core/job/applyReadings';
import { writeJob } from '@/core/job/file';
import type { Job } from '@/core/job/jobSchema';
import { usualOtherEnd } from '@/core/balance/otherEnd';
import { demoJobs } from '@/store/demo';
import { hands, openBench } from '../support/page/bench';

openBench();

/** Takes a job in from a file, and to the bench. */
async function bringIn(job: Job): Promise<void> {
  await hands.station(1, 'The job');
  const file = join(mkdtempSync(join(tmpdir(), 'pellik-job-')), 'job.pellik.json');
  writeFileSync(file, writeJob(job));
  await (await hands.find('input[type=file]')).sendKeys(file);
  await hands.reads('.masthead-job', job.name);
}

/** A car whose weights, centre of gravity and other end nobody has measured. */
function withUsualWeights(): Job {
  const car = demoJobs().find(({ id }) => id === 'demo-tinker')!;
  const { total, frontFraction } = USUAL_MASSES;
  const guessed = (path: string) => /^masses\/(total|front)|^other\/|^cgHeight/.test(path);
  return {
    ...car,
    id: 'three-guesses',
    name: 'Three guesses',
    typed: Object.fromEntries(Object.entries(car.typed).filter(([path]) => !guessed(path))),
    readings: Object.fromEntries(Object.entries(car.readings).filter(([key]) => !key.startsWith('weight'))),
    rig: {
      ...car.rig,
      masses: { ...car.rig.masses!, total, frontFraction },
      cgHeight: USUAL_CG_HEIGHT,
      otherEnd: usualOtherEnd(car.rig),
    },
    roll: { ...car.roll, otherBar: 0 },
  };
}

const verdict = (id: string) => `[data-verdict="${id}"]`;

test('a kit of fixed lengths: what the axle does with it is said, its eyes give way, and another hole is looked up', async () => {
  await hands.go('marigold', 'locate');
  await hands.part('Lengthwise');
  await hands.type('made/lower-left', '23 3/8');
  await hands.reads(verdict('made'), 'the axle stands');
  await hands.reads(verdict('made'), /lower links are .* longer than drawn/);
  await hands.reads(`${verdict('made')} button.remedy`, 'Let the frame eyes give way');
  await hands.press(await hands.text(`${verdict('made')} button.remedy`));
  await hands.reads(verdict('made'), 'The bars you have put the axle where it is drawn.');
  await hands.undo();
  await hands.reads(verdict('made'), 'the axle stands');

  // The same bars, wound in, with thread enough: they are wound out until the axle stands where it is drawn.
  await hands.type('made/lower-left', '22 3/4');
  await hands.reads(verdict('made'), /lower links are .* shorter than drawn/);
  await hands.type('opens/lower-left', '23 3/4');
  await hands.reads(verdict('made'), 'The bars you have put the axle where it is drawn.');
  await hands.reads(
    verdict('made'),
    /Wind out the lower links .* in, .* in to spare; wound in, the axle stands/,
  );
  await hands.type('opens/lower-left', '22 1/2');
  await hands.reads('.field-problem', /22 3\/4/);

  await hands.clickOn(
    '(//div[@aria-label="Mounts of the upper link"]//button[normalize-space()="bracket with holes"])[1]',
  );
  await hands.clickOn('//button[starts-with(normalize-space(), "Work through all")]');
  await hands.find('.hole-choices tr.now');
  const use = await hands.find('.hole-choices tr:not(.now) button');
  const before = await hands.readout('antiSquat');
  await hands.click(use);
  await hands.until(async () => (await hands.readout('antiSquat')) !== before);
  // The table follows the car.
  await hands.reads('.hole-choices tr.now', 'now');
});

test('what cures one thing and spoils another is told as a trade, step by step, with no button', async () => {
  await hands.go('nightjar', 'locate');
  await hands.part('Lengthwise');
  await hands.reads(verdict('anti-squat'), 'would cure it, but then: The axle steers as the car rolls');
  await hands.reads(verdict('anti-squat'), /Each 1\/2 in up: .*anti-squat \+\d+ %, roll steer −0\.0\d/);
  expect(await hands.count(`${verdict('anti-squat')} button.remedy`)).toBe(0);
});

test('a balance that hangs on three guesses is made known: on four scales, by lifting one end, and by tape at the other end', async () => {
  await bringIn(withUsualWeights());
  await hands.station(5, 'Roll');
  await hands.part('Balance');
  const lean = verdict('rollAngle');
  await hands.reads(`${lean} .stamp`, 'not known');
  await hands.reads(`${lean} .guesses`, 'What the car weighs, front and rear');

  await hands.clickOn(
    `//*[@data-verdict="rollAngle"]//button[starts-with(normalize-space(), "What the car weighs")]`,
  );
  for (const [spot, weight] of [
    ['weightFront.left', '840'],
    ['weightFront.right', '835'],
    ['weightRear.left', '690'],
    ['weightRear.right', '700'],
  ] as const) {
    await hands.find(`[data-step="${spot}"]`);
    await hands.type(`reading/${spot}`, weight);
    if (spot !== 'weightRear.right') await hands.press('Next');
  }

  await hands.station(5, 'Roll');
  await hands.part('Balance');
  await hands.until(async () => !(await hands.text(`${lean} .guesses`)).includes('What the car weighs'));
  await hands.clickOn(
    `//*[@data-verdict="rollAngle"]//button[starts-with(normalize-space(), "Height of the centre")]`,
  );
  await hands.clickOn('//summary[starts-with(., "Weigh it")]');
  await hands.type('lifted/level', '1675');
  await hands.type('lifted/lifted', '1735');
  await hands.type('lifted/by', '18');
  await hands.clickOn('//button[starts-with(normalize-space(), "Take") and contains(., "off the floor")]');

  await hands.station(5, 'Roll');
  await hands.part('Balance');
  await hands.until(async () => !(await hands.text(`${lean} .guesses`)).includes('Height of the centre'));
  await hands.clickOn('//summary[starts-with(., "Work it out from what can be measured")]');
  await hands.type('otherBuild/wire', '0.6');
  await hands.type('otherBuild/coilOd', '5 1/4');
  await hands.type('otherBuild/turns', '7');
  await hands.clickOn('//label[contains(., "both by one axle")]');
  await hands.type('otherBuild/apart', '38 1/2');
  await hands.reads('[data-readout=otherBuild]', 'the rear end is that now');
  await hands.until(async () => (await hands.text(`${lean} .stamp`)).startsWith('holds'));
  expect(await hands.count(`${lean} .guesses`)).toBe(0);
});

test('a bent sway bar through the frame: an order that can be done, the sleeve it passes through, and that it stays', async () => {
  await hands.go('pewter', 'roll');
  await hands.part('Sway bar');
  await hands.press('Fit a bar');
  await hands.find('[id="field-roll/middle"]');
  expect(await hands.count(verdict('barFrame'))).toBe(0);
  await hands.type('roll/height', '24');
  await hands.type('roll/middle', '44');
  await hands.reads(verdict('barFrame'), 'it goes through one closed rail, not through two');
  await hands.reads(verdict('barFrame'), /passes a sleeve 2 in long.* of 1 \d+\/\d+ in inside or more/);
  await hands.reads(verdict('barFrame'), '1. Drill one rail right through');
  await hands.reads(verdict('barFrame'), '5. Weld the sleeves');
  await hands.reads(verdict('barFrame'), 'never comes out again');
  // A straight one with arms of its own does.
  await hands.clickOn('//label[contains(., "flat arms")]');
  await hands.reads(verdict('barFrame'), 'comes out again');
});

test('a pinion, from the proposal to its being set: nothing is ordered before it is asked for, nothing once it is there', async () => {
  const pinionStep = '[data-task=pinion]';
  await hands.go('cinder', 'ride');
  await hands.type('ride/left', '5 1/4');
  await hands.type('ride/right', '5 1/4');
  await hands.clickOn('//summary[contains(., "More to read")]');
  await hands.type('ride/pinion', '6');
  await hands.reads('.advice-box', /./);
  expect(await hands.count(pinionStep)).toBe(0);
  await hands.press('Read it');
  await hands.find('[data-step=transmissionAngle]');
  await hands.type('reading/transmissionAngle', '3 tail down');
  await hands.go('cinder', 'ride');
  await hands.reads('[data-part=proposal]', /Proposed: parallel to the transmission, 3.0° tail down/);
  expect(await hands.count(pinionStep)).toBe(0);
  await hands.clickOn('//*[@data-part="proposal"]//button[starts-with(., "Ask for")]');
  const wanted = await hands.value('ride/pinionWanted');
  await hands.reads('[data-readout=turns-pinion]', /(lengthen|shorten).*turn/i);
  await hands.press('Done: roll it, measure again');
  await hands.type('ride/left', '5 1/4');
  await hands.type('ride/right', '5 1/4');
  await hands.clickOn('//summary[contains(., "More to read")]').catch(() => {});
  await hands.type('ride/pinion', wanted);
  await hands.until(async () => (await hands.count(pinionStep)) === 0);
  await hands.until(
    async () => (await (await hands.find('.advice-box')).getAttribute('data-centred')) === 'true',
  );
});

test('the rear’s share of the braking brings the anti-lift beside the anti-squat, and takes it away again', async () => {
  await hands.go('marigold', 'locate');
  await hands.part('Lengthwise');
  const squat = Number.parseFloat(await hands.readout('antiSquat'));
  expect(await hands.count('[data-readout=antiLift]')).toBe(0);
  await hands.type('rearShare', '35');
  await hands.find('[data-readout=antiLift]');
  expect(Math.abs(Number.parseFloat(await hands.readout('antiLift')) - 0.35 * squat)).toBeLessThan(1);
  await hands.type('rearShare', Key.BACK_SPACE);
  await hands.until(async () => (await hands.count('[data-readout=antiLift]')) === 0);
});

test('a figure that hangs on a guess is dashed, in the bay too, until what it hangs on is said to be right', async () => {
  await hands.go('cinder', 'locate');
  await hands.part('Sideways');
  const dashed = '[data-readout=eyeToEye].guessed-figure';
  expect(await (await hands.find(dashed)).getAttribute('title')).toContain('Mounts of the panhard bar');
  await hands.find('.roll-centre .dim-text .guessed');
  await hands.reads('.what-dashed-means', 'hangs on what is guessed');
  await hands.clickOn('//*[@data-verdict="plan"]//button[normalize-space()="It is right as it stands"]');
  await hands.until(async () => (await hands.count(dashed)) === 0);
  await hands.find('[data-readout=eyeToEye]');
  // The roll centre hangs on the links, too.
  await hands.find('[data-readout=rollCentre].guessed-figure');
});

test('what one turn of each bar does stands beside how it is adjusted, and follows its thread', async () => {
  await hands.go('cinder', 'ride');
  await hands.driver.executeScript('document.querySelectorAll("details").forEach((d) => (d.open = true))');
  await hands.reads('[data-turn=panhard]', /0\.125 right/);
  await hands.reads('[data-turn=upper-left]', /nose|up/);
  expect(await hands.count('[data-turn]')).toBe(5);
  await hands.clickOn(
    '//*[@data-adjuster="panhard"]//*[contains(@class,"ant-select-selector") or contains(@class,"ant-select-content")]',
  );
  await hands.clickOn(
    '//*[contains(@class,"ant-select-item-option-content")][normalize-space()="no thread: fixed length"]',
  );
  await hands.until(async () => (await hands.count('[data-turn]')) === 4);
});

test('a right end link that stands otherwise is asked for by itself, dragged by itself and taken back', async () => {
  await hands.go('copperline', 'roll');
  await hands.part('Sway bar');
  expect(await hands.count('[data-bar=rear-foot-right]')).toBe(0);
  const rate = await hands.readout('barRollRate');
  await hands.clickOn('//label[normalize-space()="The right link stands otherwise"]');
  await hands.find('[data-bar=rear-foot-right]');
  expect(await hands.readout('barRollRate')).toBe(rate);
  await hands.type('roll/right/foot/out', '40');
  await hands.until(async () => (await hands.readout('barRollRate')) !== rate);
  expect(await hands.value('roll/foot/out')).toBe('0');
  await hands.clickOn('//label[normalize-space()="The right link stands otherwise"]');
  await hands.until(async () => (await hands.readout('barRollRate')) === rate);
  expect(await hands.count('[data-bar=rear-foot-right]')).toBe(0);
});
