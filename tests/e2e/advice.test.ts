import { hands, openBench } from '../support/page/bench';

openBench();

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

  await hands.clickOn(
    '(//div[@aria-label="Mounts of the upper link"]//button[normalize-space()="bracket with holes"])[1]',
  );
  await hands.clickOn('//button[starts-with(normalize-space(), "Work through all")]');
  await hands.find('.hole-choices tr.now');
  const use = await hands.find('.hole-choices tr:not(.now) button');
  const before = await hands.readout('antiSquat');
  await hands.click(use);
  await hands.until(async () => (await hands.readout('antiSquat')) !== before);
});

test('what cures one thing and spoils another is told as a trade, step by step, with no button', async () => {
  await hands.go('nightjar', 'locate');
  await hands.part('Lengthwise');
  await hands.reads(verdict('anti-squat'), 'would cure it, but then: The axle steers as the car rolls');
  await hands.reads(verdict('anti-squat'), /Each 1\/2 in up: .*anti-squat \+\d+ %, roll steer −0\.0\d/);
  expect(await hands.count(`${verdict('anti-squat')} button.remedy`)).toBe(0);
});
