import { hands, openBench } from '../../support/page/bench';

openBench();

const verdict = (id: string) => `[data-verdict="${id}"]`;
const check = (id: string) => `[data-check="${id}"]`;

/** Opens a part by its name. */
const part = (name: string): Promise<void> => hands.choose('Which part', name);

test('new plates go over an old bracket: the part in hand stays in sight, what does not fit is told with what does', async () => {
  await hands.go('marigold', 'prove');
  // The weakest part stands first; once it is stronger, it is still the one that is worked on.
  const name = await hands.text('.which-part');
  expect(name).toMatch(/^Panhard bar’s axle bracket/);
  await hands.part('what is left of an old bracket');
  await hands.type('parts/panhard/axle/over/high', '2');
  await hands.type('parts/panhard/axle/over/wide', '1 1/2');
  await hands.reads('.which-part', /^Panhard bar’s axle bracket/);
  await hands.reads(
    verdict('over-not-fitting'),
    'With spacers of 5/16 in on each side of the joint they fit.',
  );
  await hands.type('parts/panhard/axle/spacer', '5/16');
  await hands.until(async () => (await hands.count(verdict('over-not-fitting'))) === 0);
  await hands.reads('.unproved', 'What is left of the old bracket under the panhard bar’s axle bracket');
  await hands.type('parts/panhard/axle/over/lap', '3');
  await hands.reads(verdict('laps-too-far'), 'They lap 3 in, and 2 in of it is left.');
  await hands.type('parts/panhard/axle/over/lap', '1 1/2');
  await hands.until(async () => (await hands.count(verdict('laps-too-far'))) === 0);
  // Six entries, taken back.
  for (let n = 0; n < 6; n++) await hands.undo();
  await hands.reads(verdict('strength'), 'Every bar and bracket holds as often as is wanted.');
});

test('a tab too thin is found, mended by the button that was tried, and undone; its stripe breaks where a mount moves', async () => {
  await hands.go('marigold', 'prove');
  await hands.reads(verdict('strength'), 'Every bar and bracket holds as often as is wanted.');
  await part('Panhard bar’s axle bracket');
  await hands.type('parts/panhard/axle/plate', '1/16');
  await hands.reads(
    verdict('tall-fillet'),
    'Panhard bar’s axle bracket: the fillet is taller than its plate is thick.',
  );
  await hands.type('parts/panhard/axle/leg', '1/16');
  await hands.reads(verdict('strength'), /Panhard bar’s axle bracket: the (root of the plates|weld)/);
  await hands.reads(`${verdict('strength')} button.remedy`, /→/);
  await hands.press(await hands.text(`${verdict('strength')} button.remedy`));
  await hands.undo();
  await hands.reads('[data-check=root-bending]', /short/);
  await hands.type('parts/panhard/axle/plate', '3/16');
  await hands.type('parts/panhard/axle/leg', '3/16');
  await hands.reads(verdict('strength'), 'Every bar and bracket holds as often as is wanted.');

  await hands.click(await hands.find('.stripe-row .stripe-button'));
  await hands.find('.stripe-row .stripe-button[aria-pressed=true]');
  await hands.go('marigold', 'locate');
  await hands.part('Sideways');
  await hands.type('panhard/chassis/2', '12');
  await hands.go('marigold', 'prove');
  await hands.reads('.changed', 'Since checked: ');
});

test('a hole through the edge is told at once; sizes nobody told leave it unknown, and are settled here', async () => {
  await hands.go('copperline', 'prove');
  await hands.reads(verdict('strength'), 'Guessed, not read or said');
  await part('Panhard bar’s axle bracket');
  await hands.type('parts/panhard/axle/edge', '6mm');
  await hands.type('parts/panhard/axle/hole', '18mm');
  await hands.reads(verdict('hole-at-edge'), 'the hole runs out of the edge');
  expect(await hands.text(`${verdict('hole-at-edge')} .stamp`)).toMatch(/stop/);
  await hands.undo();
});

test('every check opens to its formula with this part’s values; a bar of 4130 carries more, and weighs the same', async () => {
  await hands.go('marigold', 'prove');
  await part('Panhard bar ·');
  await hands.clickOn('//li[@data-check="column"]//summary');
  await hands.reads(check('column'), /A · S_y · \(1 −|A · π² · E/);
  await hands.reads(check('column'), 'Shigley, from memory');
  await hands.clickOn('//summary[text()="The same bar otherwise"]');
  const rows = await hands.text('.metals table');
  expect(rows).toMatch(/4130 tube, normalised/);
  expect(rows).toMatch(/Solid, as heavy/);
  await hands.choose('Metal', '4130 tube, normalised');
  await hands.reads('.metals [data-now=true]', '4130');
  await hands.undo();
});

test('what a sway bar pulls at: a strap too thin is found and mended, a link that comes off by a clip has its pin, and both are cut by', async () => {
  await hands.go('tinker', 'prove');
  await part('Sway bar’s straps');
  await hands.type('parts/strap/thickness', '1/16');
  await hands.reads(check('strap-feet'), /short/);
  await hands.reads(verdict('strength'), 'Sway bar’s straps: a foot of the strap does not hold.');
  await hands.press(await hands.text(`${verdict('strength')} button.remedy`));
  await hands.until(async () => !(await hands.text(check('strap-feet'))).includes('short'));

  await part('Sway bar’s end links');
  await hands.type('parts/endLink/end/toShoulder', '5 1/2');
  await hands.reads(verdict('sway-not-made'), 'Its two ends alone are longer than it is');
  await hands.reads('.field-problem', 'Its two ends alone are longer than it is');
  await hands.reads('.which-part', 'not proved');
  await hands.undo();
  await hands.until(async () => (await hands.count(verdict('sway-not-made'))) === 0);
  await hands.clickOn('//*[@data-pin="bar"]//*[text()="held by a clip, to come off by hand"]');
  await hands.reads('[data-pin=bar]', /A stud, .*a threaded tail of/);

  await hands.go('tinker', 'cut');
  // Those at the foot come off by a clip already, as was said at Roll.
  for (const at of ['bar', 'foot'])
    await hands.reads('main', `Stud at the ${at} of the sway bar’s end links`);
  await hands.reads('main', 'Sway bar’s end link');
});

test('a bracket with no rail near it is hung on a crossmember that is drawn, proved, mended and cut', async () => {
  await hands.go('marigold', 'prove');
  await part('Upper link’s frame bracket');
  await hands.reads('[data-carrier]', 'nothing that it could hang on is drawn');
  await hands.press('Hang it on a new crossmember');
  await hands.reads('.which-part', /^Crossmember/);
  await hands.find('[data-crossmember="rear-crossmember"]');
  await hands.part('straight');
  await hands.reads(verdict('crossmember-not-made'), 'Its ends miss a rail');
  await hands.type('parts/crossmembers/crossmember/low', '1 1/2 above');
  await hands.until(async () => (await hands.count(verdict('crossmember-not-made'))) === 0);
  // The eye is nearer to it now than its plates go round the bolt.
  await hands.reads(verdict('crossmember-at-eye'), 'Upper link’s frame bracket: its eye lies');
  await hands.type('parts/crossmembers/crossmember/ahead', '24');
  await hands.until(async () => (await hands.count(verdict('crossmember-at-eye'))) === 0);
  await hands.reads(check('cross-bending'), /short/);
  await hands.press(await hands.text(`${verdict('strength')} button.remedy`));
  await hands.until(async () => !(await hands.text(check('cross-weld'))).includes('short'));
  await hands.go('marigold', 'cut');
  await hands.reads('main', /Crossmember/);
  await hands.reads('main', 'rectangular tube');
  await hands.go('marigold', 'prove');
  await hands.press('Take the crossmember out');
  await part('Upper link’s frame bracket');
  await hands.reads('[data-carrier]', 'nothing that it could hang on is drawn');
});
