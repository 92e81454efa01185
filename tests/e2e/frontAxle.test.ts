import { hands, openBench } from '../support/page/bench';

openBench();

const unfold = async (text: string) => hands.clickOn(`//summary[contains(., "${text}")]`);
/** Picks one of a row of short names. */
const pill = async (legend: string, name: string) =>
  hands.clickOn(`//fieldset[contains(., "${legend}")]//label[normalize-space(.)="${name}"]`);

test('a front axle is measured, squared, centred, and its toe set; its stripe waits for the toe', async () => {
  await hands.go('tinker', 'record');
  await hands.part('Measure');
  if (await hands.count('[data-step]')) await hands.press('Whole sheet');
  // Beside what was read before: the left wheel stands farther ahead than the right.
  await hands.type('reading/wheelbase.left', '110');
  await hands.type('reading/wheelbase.right', '109');
  await hands.station(9, 'Centre the axle');
  await hands.type('ride/left', '6 1/2');
  await hands.type('ride/right', '6 1/4');
  await unfold('More to read');
  // From the rear axle: the longer side is the one that stands ahead.
  await hands.type('ride/ahead.left', '110 1/4');
  await hands.type('ride/ahead.right', '110');
  await hands.reads('[data-as-set=ahead]', 'left ahead');
  await hands.reads('[data-task=square]', /left lower link: shorten/i);
  await hands.reads('[data-task=centre]', 'too far left');
  await hands.type('ride/left', '6 3/8');
  await hands.type('ride/right', '6 3/8');
  await hands.type('ride/ahead.right', '110 1/4');
  await hands.until(
    async () => (await (await hands.find('.advice-box')).getAttribute('data-centred')) === 'true',
  );
  const stripe = () => hands.find('.stripe-row .stripe-button');
  expect(await (await stripe()).isEnabled()).toBe(false);

  await hands.type('ride/toe.front', '60 5/8');
  await hands.type('ride/toe.rear', '60 3/8');
  await hands.reads('[data-readout=toe]', 'toe-out');
  await hands.reads('[data-part=toe]', 'Toe-out on a live axle wanders');
  // No toe is ordered that nobody has asked for.
  await hands.reads('[data-part=toe] .proposal', /1\/8 in of toe-in is common/);
  await hands.click(await hands.find('[data-part=toe] .proposal button'));
  await hands.reads('[data-part=toe]', 'Measure how far ahead of the kingpins');
  await hands.type('bodies/tieRodAhead', '5 1/2 behind');
  // 3/8 of toe over a tyre of 34 1/8, by arms of 5 1/2: about a sixteenth.
  await hands.reads('[data-readout=turns-tie-rod]', 'Tie rod: 1/16 in longer');
  await unfold('How the tie rod is adjusted');
  await hands.choose('How the tie rod is adjusted', 'tube between two hands of thread');
  await hands.reads('[data-readout=turns-tie-rod]', /turn longer/);
  expect(await (await stripe()).isEnabled()).toBe(false);
  await hands.type('ride/toe.front', '60 3/8');
  await hands.type('ride/toe.rear', '60 1/2');
  await hands.until(async () => (await hands.count('[data-readout=turns-tie-rod]')) === 0);

  await hands.type('ride/straight.left.front', '3');
  await hands.type('ride/straight.left.rear', '4');
  await hands.type('ride/straight.right.front', '4');
  await hands.type('ride/straight.right.rear', '3');
  await hands.reads('[data-readout=pointing]', 'to the left');
  await hands.reads('[data-readout=turns-drag-link]', /Drag link: .* (longer|shorter)/);

  await hands.click(await stripe());
  await hands.find('[data-station=ride] .stripe-mark.whole');
  await hands.reads('[data-as-set=toe]', 'toe-in');
});

test('what the longest bar could do is worked out of this car, and what may be wanted is what it has', async () => {
  await hands.go('tinker', 'locate');
  await hands.part('Sideways');
  await hands.reads('[data-part=best-bar]', /longest bar that fits between these tyres, .* moves the axle/);
  await hands.part('Heights');
  await hands.reads('[data-readout=states]', 'Caster grows by');
  await hands.part('Find');
  await hands.click(await hands.find('input[aria-label="Something wanted"]'));
  await hands.reads('.ant-select-dropdown', 'Caster turns');
  expect(await hands.text('.ant-select-dropdown')).not.toContain('Anti-squat');
  await hands.clickOn('//h1');
});

test('a front axle gets a shaft and loses its drag link, and back, as it is said on the job', async () => {
  await hands.go('tinker', 'job');
  await pill('Front axle', 'driven');
  await pill('Steering box or rack', 'on the axle: no drag link');
  await hands.station(4, '');
  await hands.part('Lengthwise');
  await hands.reads('[data-verdict="bump-steer"]', 'The steering box is on the axle');
  await hands.part('Room');
  await hands.reads('.bench-card', 'Transfer case output points');
  await hands.station(1, 'The job');
  await pill('Front axle', 'not driven');
  await pill('Steering box or rack', 'on the frame');
  await hands.station(4, '');
  await hands.part('Lengthwise');
  await hands.reads('.bench-card', 'Drag link');
  await hands.part('Room');
  expect(await hands.text('.bench-card')).not.toContain('Transfer case');
});

test('held on rests as parked: the rests, and what the hold point asks, are those of that height', async () => {
  await hands.go('copperline', 'place');
  await hands.clickOn('//label[contains(., "On its own weight")]');
  await hands.reads('.bench-card', 'As it stands on its tyres');
  await hands.clickOn('//label[contains(., "On rests, frame on stands")]');
  await hands.type('place/held.left', '20');
  await hands.type('place/held.right', '20');
  const rest = async () => (await hands.find('[data-rest="top.left"]')).getText();
  const driving = await rest();
  await hands.type('place/parkedDrop', '1 1/2');
  await pill('Rests', 'at its parked height');
  await hands.until(async () => (await rest()) !== driving);
  await hands.reads('.rests', 'frame parked');
  await hands.type('place/drivenBump', '3/4');
  await hands.station(4, '');
  await hands.part('Sideways');
  await hands.reads('[data-verdict="parked"]', 'is for parking');
  await hands.station(8, '');
  await hands.part('Hold');
  await hands.reads('.bench-card', 'Axle on its rests at the parked height');
});
