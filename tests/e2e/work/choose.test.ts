import { readFileSync } from 'node:fs';
import { attachmentsIn } from '@/core/fabricate/paper/attachments';
import { Key } from 'selenium-webdriver';
import type { Driver } from 'selenium-webdriver/chrome';
import { hands, openBench } from '../../support/page/bench';
import { pdfPages } from '../../support/programs/printed';

openBench();

/** The list is longer than what is drawn of it: what is wanted is typed. */
const free = async (what: string) => {
  const list = await hands.find('input[aria-label="Something that may move"]');
  await list.sendKeys(what, Key.ENTER);
};
const answers = () => hands.count('[data-place]');
/** A share of the front is wanted of a car that has a sway bar. */
const wantShare = async () => {
  await hands.go('copperline', 'locate');
  await hands.part('Find');
  await hands.choose('Something wanted', 'Front’s share of what goes over');
  await hands.type('find/frontShare/near', '40');
};
const setIt = (place: string) =>
  hands.clickOn(`//article[@data-place="${place}"]//button[normalize-space()="Set it so"]`);

test('a level bar and a roll centre within a quarter inch: the second place is taken, the bay follows, compared with the first, undone', async () => {
  await hands.go('marigold', 'locate');
  await hands.part('Find');
  await hands.choose('Something wanted', 'Roll centre');
  await hands.type('find/rollCentre/least', '14');
  await hands.type('find/rollCentre/most', '14 1/2');
  await hands.choose('Something wanted', 'Bar rises');
  await hands.type('find/barRise/least', '-1/8');
  await hands.type('find/barRise/most', '1/8');
  await free('Panhard bar, frame end: height');
  await hands.reads('[data-free="panhard/chassis/2"]', 'In its 5 holes');
  await free('Panhard bar, axle end: height');
  await free('Panhard bar, frame end: sideways');
  await hands.press('Look for places');
  await hands.until(async () => (await answers()) > 1);
  await hands.reads('[data-part=answers]', 'clearly different places');
  await hands.reads('[data-place="Place 1"] [data-part=whole-car]', 'Nothing else of the car gets worse');
  const riseIn = async (place: string) =>
    (await hands.text(`[data-place="${place}"]`)).match(/Bar rises to the frame\s+(.*)/)![1];
  await riseIn('Place 1');
  await setIt('Place 2');
  await hands.reads('[data-place="Place 2"]', 'It stands so');
  await hands.part('Sideways');
  await hands.find('[data-verdict=level][data-state=ok]');
  const height = await hands.value('panhard/chassis/2');
  await hands.undo();
  await hands.until(async () => (await hands.value('panhard/chassis/2')) !== height);
  await hands.find('[data-verdict=level][data-state=look]');
});

test('two figures wanted: along the edge more of one is less of the other, walked by a slider', async () => {
  await hands.go('marigold', 'locate');
  await hands.part('Find');
  await hands.choose('Something wanted', 'Roll centre');
  await hands.type('find/rollCentre/near', '12');
  await hands.choose('Something wanted', 'Axle goes sideways');
  await hands.type('find/sideways/near', '0');
  await free('Panhard bar, axle end: height');
  await free('Panhard bar, frame end: height');
  await hands.press('Look for places');
  await hands.find('[data-part=edge]');
  const height = () => hands.text('[data-edge=rollCentre]');
  const before = await height();
  const rail = await hands.find('[data-part=edge] .edge-row:first-of-type [role=slider]');
  await rail.sendKeys(Key.END);
  await hands.until(async () => (await height()) !== before);
  // The search has not looked at the whole car with it: that is done where the slider rests.
  await hands.find('[data-place=Here] [data-part=whole-car]');
  await setIt('Here');
  await hands.reads('[data-place=Here]', 'It stands so');
  await hands.undo();
  await hands.part('Sideways');
});

test('a lean is asked for where it can be told, and room is kept: what leaves less is said', async () => {
  await hands.go('marigold', 'locate');
  await hands.part('Find');
  await hands.choose('Something wanted', 'Lean in the corner');
  await hands.reads('[data-target=lean]', 'Not known yet: it takes springs and the other end');
  await hands.go('copperline', 'locate');
  await hands.part('Find');
  await hands.choose('Something wanted', 'Lean in the corner');
  await hands.reads('[data-target=lean]', /In a corner of [0-9.]+ g, as at Roll/);
  await hands.type('find/lean/most', '4');
  await hands.type('find/clear', '40');
  await free('Panhard bar, frame end: height');
  await hands.press('Look for places');
  await hands.find('[data-part=answers]');
  await hands.reads('[data-part=blocked]', /less than 40 mm somewhere/);
  await hands.reads('[data-place="Place 1"]', /Too near: .* mm/);
  await hands.type('find/clear', '0');
  await hands.press('Look for places');
  await hands.reads('[data-place="Place 1"]', /Lean in the corner\s+[0-3]\.[0-9]°/);
});

test('what cannot be had is explained by what stands in its way; a search under way is stopped, and leaves nothing hanging', async () => {
  await hands.part('Find');
  await hands.choose('Something wanted', 'Anti-squat');
  await hands.type('find/antiSquat/least', '400');
  await free('Panhard bar, axle end: height');
  await hands.press('Look for places');
  await hands.reads('[data-part=in-the-way]', 'Anti-squat by');
  await hands.reads('[data-part=answers]', 'The nearest to it');
  for (const what of [
    'Lower links, frame end: height',
    'Lower links, axle end: height',
    'Upper link, frame end: height',
    'Upper link, axle end: height',
  ])
    await free(what);
  await hands.press('Look for places');
  await hands.driver.executeScript(
    '[...document.querySelectorAll(".find-running button")].forEach((button) => button.click())',
  );
  await hands.button('Look for places');
  expect(await hands.count('.find-running')).toBe(0);
});

test('built five thousand times: what the roll centre hangs on most is named, and the same comes of it again', async () => {
  await hands.go('marigold', 'weld');
  await hands.part('Close?');
  await hands.press('Build it 5,000 times');
  await hands.reads('[data-spread=rollCentre]', 'how far the springs settle');
  // Drawn about the roll centre too, while it is looked at.
  await hands.find('[data-spread-drawn]');
  const first = await hands.text('[data-spread=rollCentre]');
  await hands.press('Build it 5,000 times');
  await hands.find('[data-spread=rollCentre]');
  expect(await hands.text('[data-spread=rollCentre]')).toBe(first);
  await hands.type('close/settle', '0');
  await hands.press('Build it 5,000 times');
  await hands.until(async () => !/springs settle/.test(await hands.text('[data-spread=rollCentre]')));
  await hands.reads('[data-spread=rollCentre]', 'frame end: height');
  // Set in a jig, that place does not count any more.
  const place = await hands.find('input[aria-label="A place that is set better or worse"]');
  await place.sendKeys('Panhard bar, frame end: height', Key.ENTER);
  await hands.type('close/only/panhard/chassis/2', '0');
  await hands.press('Build it 5,000 times');
  await hands.until(
    async () => !/panhard bar, frame end: height/.test(await hands.text('[data-spread=rollCentre]')),
  );
});

test('an eighth that came out low: what it changes is told; taken as it is, every result is read so', async () => {
  await hands.part('Hold');
  await hands.type('built/panhard/chassis/up', '14 3/4');
  await hands.reads('[data-part=matters]', 'Frame end 1/8 in low');
  // Beside where it is drawn, in each of the three views.
  await hands.until(async () => (await hands.count('[data-built="panhard/chassis"]')) === 3);
  await hands.reads('[data-part=matters]', 'roll centre 14 3/4 in → 14 11/16 in');
  // Every result can be read for either; what is built cannot be changed by drawing, and nothing typed is lost.
  await hands.go('marigold', 'locate');
  await hands.part('Sideways');
  await hands.reads('[data-readout=rollCentre]', '14 3/4 in');
  await hands.click(await hands.find('.stripe-row .stripe-button'));
  await hands.find('[data-station=locate] .stripe-mark.whole');
  await hands.part('As built');
  await hands.reads('.built-reading', 'Read with one eye where it was measured');
  await hands.reads('[data-readout=rollCentre]', '14 11/16 in');
  // What was checked is the drawing, which nothing has changed.
  await hands.find('[data-station=locate] .stripe-mark.whole');
  await hands.holds('panhard/chassis/2', '14 3/4');
  await hands.type('panhard/chassis/2', '15');
  await hands.reads('.ant-notification', 'Not changed: the car is read as it was built');
  await hands.holds('panhard/chassis/2', '15');
  await hands.go('marigold', 'roll');
  await hands.reads('.built-reading', 'Read with one eye');
  // The bar can be cut to what is between its brackets as they came out.
  await hands.go('marigold', 'cut');
  await hands.reads('.bench-card', 'Eye to eye, as built');
  expect(await hands.count('[data-cut=plates]')).toBe(0);
  await hands.part('As drawn');
  await hands.reads('.bench-card', 'Eye to eye, from Locate');
  await hands.find('[data-cut=plates]');
  await hands.part('As built');
  await hands.go('marigold', 'locate');
  await hands.part('As drawn');
  await hands.reads('[data-readout=rollCentre]', '14 3/4 in');
  await (await hands.field('panhard/chassis/2')).sendKeys(Key.ESCAPE);
  await hands.holds('panhard/chassis/2', '14 7/8');
  await hands.go('marigold', 'weld');
  await hands.part('Hold');
  await hands.press('Take it as it is: read every result so');
  await hands.go('marigold', 'locate');
  await hands.part('Sideways');
  await hands.holds('panhard/chassis/2', '14 3/4');
  await hands.undo();
  await hands.holds('panhard/chassis/2', '14 7/8');
});

test('a share of the front is looked for in the holes of the sway bar, set so, and undone', async () => {
  await wantShare();
  await free('Sway bar: hole');
  await hands.reads('[data-free="swayBar/hole"]', 'In its 3 holes.');
  await hands.press('Look for places');
  await hands.reads('[data-place="Place 1"]', 'Sway bar hole 3 of 3 from the tip');
  await setIt('Place 1');
  await hands.reads('[data-place="Place 1"]', 'It stands so');
  await hands.go('copperline', 'roll');
  await hands.part('Sway bar');
  await hands.reads('[data-readout=hole]', 'hole 3 of 3');
  await hands.undo();
  await hands.reads('[data-readout=hole]', 'last hole of 3');
});

test('the feet of a sway bar’s links are let go across the car, set where the share is nearest, and undone', async () => {
  await wantShare();
  await free('Sway bar, feet of its links: outboard');
  await hands.field('find/swayBar/feet/1/from');
  await hands.press('Look for places');
  await hands.reads('[data-place="Place 1"]', /Feet of the sway bar’s links.*(outboard|inboard)/s);
  await setIt('Place 1');
  await hands.reads('[data-place="Place 1"]', 'It stands so');
  await hands.undo();
  await hands.reads('[data-place="Place 1"]', 'Set it so');
});

test('a bar that may be bent goes round what it comes too near to, is set so, and is straight again once undone', async () => {
  await hands.go('nightjar', 'locate');
  await hands.part('Find');
  await hands.choose('Something wanted', 'Axle goes sideways');
  await hands.type('find/sideways/near', '0');
  await hands.type('find/clear', '1/2');
  await free('Panhard bar: bent clear');
  await hands.reads('[data-free="bend/panhard"]', 'Its eyes stay.');
  await hands.press('Look for places');
  await hands.reads('[data-place="Place 1"]', 'Panhard bar bent 1 in back, between its eyes');
  await setIt('Place 1');
  await hands.reads('[data-place="Place 1"]', 'It stands so');
  await hands.go('nightjar', 'cut');
  await hands.reads('.bench-card', 'To have it bent');
  await hands.undo();
  await hands.until(async () => !(await hands.text('.bench-card')).includes('To have it bent'));
});

test('another way is drawn and tried on, chosen with its reason, and printed; undone, the car is as it was', async () => {
  await hands.go('marigold', 'locate');
  await hands.part('Ways');
  await hands.press('Keep the car as it stands: that is how it was found');
  await hands.choose('Another way', 'Panhard bar, frame end on the right');
  await hands.choose('Another way', 'Three links + crank');
  await hands.reads('[data-way=as-found]', 'Nothing to make.');
  await hands.reads('[data-way=other-side]', 'To make or buy: 2 brackets.');
  await hands.reads('[data-way=three-link-watts]', 'The axle moves straight up and down.');
  await hands.reads('[data-way=three-link-watts]', 'mounts stand where the pattern of the layout puts them');
  await hands.reads('[data-gives=sideways]', 'Axle goes sideways: 3/16 in (Three links + crank: 0 in)');
  await hands.press('See them side by side');
  await hands.reads('[data-row=sideways] [data-of=as-found]', '3/16 in');
  await hands.find('[data-row=sideways] [data-of=three-link-watts] .guessed-figure');
  await hands.closeDialog();
  const put = (way: string) =>
    hands.clickOn(`//article[@data-way="${way}"]//button[normalize-space()="Put it on the bench"]`);
  await put('three-link-watts');
  await hands.reads('.masthead-job', 'three links + crank');
  await put('other-side');
  await hands.reads('.masthead-job', 'three links + panhard');
  await hands.undo();
  await hands.undo();
  await hands.clickOn('//article[@data-way="other-side"]//button[normalize-space()="Choose it"]');
  await (await hands.find('#why-other-side')).sendKeys('The exhaust runs on the left');
  await hands.press('Choose it, and put it on the bench');
  await hands.reads(
    '[data-part=chosen]',
    'Panhard bar, frame end on the right. The exhaust runs on the left',
  );
  await hands.reads('[data-way=other-side] .way-marks', 'on the bench · chosen');
  await hands.until(async () => (await hands.count('.ways-running')) === 0);
  const { data } = (await (hands.driver as unknown as Driver).sendAndGetDevToolsCommand('Page.printToPDF', {
    preferCSSPageSize: true,
  })) as unknown as { data: string };
  const pages = pdfPages(Buffer.from(data, 'base64'));
  expect(pages.length).toBeLessThanOrEqual(2);
  const words = pages.flatMap((page) => page.words).join(' ');
  expect(words).toContain('The exhaust runs on the left');
  expect(words).toContain('Parts that no longer come out');
  await hands.reload();
  await hands.reads('[data-part=chosen]', 'The exhaust runs on the left');
  await hands.part('Sideways');
  await hands.holds('panhard/chassis/2', '14 7/8');
});

test('a build book is saved, and opened again it is the job', async () => {
  await hands.go('copperline', 'weld');
  await hands.part('Book');
  await hands.press('Save the build book');
  const file = await hands.downloaded('copperline-rear-axle-book.pdf');
  const [found] = await attachmentsIn(readFileSync(file));
  expect(found!.name).toBe('copperline-rear-axle.pellik.json');
  await hands.station(1, 'The job');
  const jobs = await hands.count('[data-shelf-job]');
  const input = await hands.driver.findElements({ css: 'input[type=file][data-input]' });
  for (const one of input) {
    const accept = (await one.getAttribute('accept')) ?? '';
    if (accept.includes('.pdf')) {
      await one.sendKeys(file);
      break;
    }
  }
  await hands.reads('.masthead-job', 'Copperline, rear axle, imported');
  expect(await hands.count('[data-shelf-job]')).toBeGreaterThanOrEqual(jobs);
});
