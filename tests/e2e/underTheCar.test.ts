import { hands, openBench } from '../support/page/bench';

openBench();

const verdict = (id: string, state: string) => `[data-verdict="${id}"][data-state="${state}"]`;

test('a car lowered two inches: what that changes is shown first, is then done, and is put right', async () => {
  await hands.go('marigold', 'locate');
  await hands.part('Heights');
  await hands.reads('[data-readout=drawnHeight]', '16');
  await hands.type('place/rideHeight', '14 13/16');
  await hands.reads('.move-frame', 'drawn 2 in higher than the car is to stand');
  await hands.reads('.move-frame', 'puts the panhard bar back as it leans now');
  await hands.reads('.move-frame', 'For the axle to stay where it is');
  await hands.press('Move what is on the frame 2 in down');
  await hands.until(async () => (await hands.count('.move-frame')) === 0);
  await hands.part('Sideways');
  await hands.holds('panhard/chassis/2', '12 7/8');
  await hands.holds('panhard/axle/2', '13 7/8');
  await hands.reads(verdict('level', 'look'), '1 in high at the axle end');
  await hands.press('Raise the frame end to hole 4 of 5, from below (1 in)');
  await hands.find(verdict('level', 'ok'));
  // And up again: it is offered as it was the first time.
  await hands.part('Heights');
  await hands.type('place/rideHeight', '16 13/16');
  await hands.press('Move what is on the frame 2 in up');
  await hands.until(async () => (await hands.count('.move-frame')) === 0);
  await hands.part('Sideways');
  await hands.holds('panhard/chassis/2', '15 7/8');
});

test('a leaf car with its bar and without: what the springs alone give is said, and the bar comes back', async () => {
  await hands.go('pewter', 'locate');
  await hands.part('Forces');
  if (await hands.count('.bench-card .ant-btn-primary')) await hands.press('Start from usual weights');
  await hands.part('Sideways');
  await hands.reads(verdict('leaf-give', 'unknown'), 'with the bar');
  await hands.press('Take the panhard bar off');
  await hands.reads('.bench-card h1', 'Held sideways');
  await hands.reads('[data-verdict="leaf-give"]', 'The leaves alone let the axle go');
  await hands.reads('[data-verdict="leaf-give"]', 'A level panhard bar would leave');
  await hands.station(7, 'Cut');
  await hands.reads('.bench-card', 'No bar holds this axle');
  await hands.station(8, '');
  await hands.part('Hold');
  await hands.reads('.bench-card', 'Perch on the axle');
  await hands.station(4, 'Held sideways');
  await hands.undo();
  await hands.reads('.bench-card h1', 'Panhard bar');
});

test('an exhaust drawn through the shaft is caught, and named from both sides', async () => {
  await hands.go('marigold', 'locate');
  await hands.part('Room');
  await hands.press('Add something in the way');
  await hands.clickOn('//li[contains(@class, "ant-dropdown-menu-item")][contains(., "exhaust")]');
  for (const end of ['from', 'to']) {
    await hands.type(`obstacle/exhaust/${end}/1`, end === 'from' ? '6 left' : '6 right');
    await hands.type(`obstacle/exhaust/${end}/2`, '15 3/4');
    await hands.type(`obstacle/exhaust/${end}/0`, '24 ahead');
  }
  await hands.until(async () => (await hands.text('.verdicts')).includes('The driveshaft hits the exhaust'));
  // A thinner shaft does not help; a pipe under it does.
  await hands.type('bodies/driveshaft', '2');
  await hands.until(async () => (await hands.text('.verdicts')).includes('The driveshaft hits the exhaust'));
  for (const end of ['from', 'to']) await hands.type(`obstacle/exhaust/${end}/2`, '8');
  await hands.until(async () => !(await hands.text('.verdicts')).includes('driveshaft hits'));
});

test('a bar too tight at bump is told until where it clears; with the stop there, it does', async () => {
  await hands.go('marigold', 'locate');
  await hands.part('Room');
  await hands.reads('.verdicts', 'from axle tube to tailpipe at full bump');
  await hands.reads('.verdicts', 'set the bump stops at 2 9/16 in up');
  await hands.station(2, 'Record');
  await hands.part('Measure');
  if (await hands.count('[data-step]')) await hands.press('Whole sheet');
  // Beside the 2 3/4 that was read before, this makes a mean of 2 9/16.
  await hands.type('reading/bump', '2 3/8');
  await hands.station(4, 'Shaft and room');
  await hands.reads(verdict('clearance', 'ok'), 'Closest: axle tube to tailpipe');
});

test('what still comes out is told of every part, and what shuts one in', async () => {
  await hands.go('marigold', 'locate');
  await hands.part('Room');
  await hands.reads('[data-out="panhard"]', 'straight down');
  await hands.reads('[data-out="differential cover"]', 'the panhard bar is in the way');
});
