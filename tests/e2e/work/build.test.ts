import { readFileSync } from 'node:fs';
import { attachmentsIn } from '@/core/fabricate/paper/attachments';
import { readJob } from '@/core/job/file';
import { progressOf, planNow } from '@/core/plan/standing';
import { STATES } from '@/core/weld/holdPoint';
import { hands, openBench } from '../../support/page/bench';

openBench();

type Next = { id: string; marked: 'here' | 'hold' | 'station' } | null;

/** The states that a step of the plan asks for at least, of what is bolted on and of what is welded. */
function reachedBy(id: string): string[] {
  const [bolted, welded] = (
    id.endsWith('/drill')
      ? ['drilled', 'tacked']
      : id.endsWith('/torque')
        ? ['torqued', 'torqued']
        : id.endsWith('/stripe')
          ? ['striped', 'striped']
          : id.endsWith('/tack') || id.endsWith('/loose')
            ? ['loose', 'tacked']
            : ['snug', 'welded']
  ) as [(typeof STATES.bolted)[number], (typeof STATES.welded)[number]];
  return [
    ...STATES.bolted.slice(STATES.bolted.indexOf(bolted)),
    ...STATES.welded.slice(STATES.welded.indexOf(welded)),
  ];
}

/** The step that is next, and where it is marked. */
const next = () =>
  hands.driver.executeScript<Next>(`
    const section = document.querySelector('.plan-next[data-next]');
    if (!section) return null;
    const text = section.innerText;
    return { id: section.dataset.next,
      marked: text.includes('To its hold point') ? 'hold' : text.includes('its stripe marks it here') ? 'station' : 'here' };
  `);
const pressNext = (name: string) =>
  hands.clickOn(
    `//section[contains(@class, "plan-next")]//button[normalize-space()="${name}" or starts-with(normalize-space(), "${name}: ")]`,
  );
const progress = () => hands.text('.card-head');

/** Takes every point of what is held as far as a state, writing why wherever it is held. */
async function throughHolds(to: readonly string[]): Promise<void> {
  const brackets = await hands.driver.executeScript<string[]>(
    `return [...document.querySelectorAll('[data-bracket]')].map((e) => e.dataset.bracket)`,
  );
  for (const bracket of brackets)
    for (let n = 0; n < 8; n++) {
      const state = async () =>
        (await (await hands.find(`[data-bracket="${bracket}"]`)).getAttribute('data-state')) ?? '';
      const before = await state();
      if (to.includes(before)) break;
      const deed = await hands.find(`[data-bracket="${bracket}"] .deed`);
      const held = (await deed.getAttribute('class'))!.includes('held');
      await hands.click(deed);
      if (held) {
        const why = await hands.find('.ant-modal-wrap:not([style*="display: none"]) textarea');
        await why.sendKeys('Mock-up on the bench');
        await hands.clickOn(
          '//*[contains(@class, "ant-modal-wrap") and not(contains(@style, "display: none"))]//button[contains(., "Go on")]',
        );
        await hands.dialogGone();
      }
      await hands.until(async () => (await state()) !== before);
    }
}

test('an arm is held at where it stands: off by half an inch it is not let go, and which way is said; put right, it is', async () => {
  await hands.go('nightjar', 'weld');
  await hands.part('Hold');
  await hands.choose('Which bar', 'Left ladder bar');
  await hands.reads('[data-condition="place.frame"]', '31 1/2 in ahead');
  await hands.type('weld/ladder-left/place.frame.out', '15 9/16');
  await hands.type('weld/ladder-left/place.frame.along', '32');
  await hands.type('weld/ladder-left/place.frame.up', '12');
  await hands.reads('[data-condition="place.frame"]', '1/2 in too far away');
  await hands.find('[data-condition="place.frame"][data-holds=false]');
  await hands.type('weld/ladder-left/place.frame.along', '31 1/2');
  const up = (await hands.text('[data-condition="place.frame"] .designed')).match(
    /designed\s+(.*?) in up/,
  )![1]!;
  await hands.type('weld/ladder-left/place.frame.up', up);
  await hands.find('[data-condition="place.frame"][data-holds=true]');
});

test.each([
  ['a bolted kit on a bare frame', 'nightjar', 'a kit', 'bare already', 'nightjar-strip-car'],
  [
    'links of one’s own, another suspension out first',
    'marigold',
    'my own parts',
    'another suspension',
    'marigold-rear-axle',
  ],
])(
  '%s, to its book: every step in its order, and opened again it is all there',
  async (_, car, make, under, file) => {
    await hands.go(car, 'weld');
    await hands.part('Plan');
    await hands.driver.executeScript('document.querySelector(".bench-card details").open = true');
    const pick = (legend: string, word: string) =>
      hands.clickOn(`//fieldset[legend="${legend}"]//label[contains(., "${word}")]`);
    await pick('What goes on', make);
    await pick('What is under the car now', under);
    await hands.until(async () => !(await progress()).startsWith('0 of 0'));
    const seen: string[] = [];
    for (let step = await next(); step !== null; step = await next()) {
      if (seen.filter((id) => id === step!.id).length > 1) throw new Error(`${step.id} does not get done`);
      seen.push(step.id);
      if (step.marked === 'hold') {
        await pressNext('To its hold point');
        await hands.reads('.bench-card h1', 'Hold before welding');
        await throughHolds(reachedBy(step.id));
        await hands.part('Plan');
        await hands.until(async () => (await next())?.id !== step!.id);
        continue;
      }
      // A station's stripe wants an afternoon of readings.
      await pressNext(step.marked === 'station' ? 'Leave it out' : 'Done');
      if (await hands.count('.plan-next .plan-permanent[role=alert]')) await hands.press('Yes, it is done');
      await hands.until(async () => (await next())?.id !== step!.id);
    }
    expect(seen.length).toBeGreaterThan(30);
    await hands.reads('p.plan-next', 'Nothing is left to do.');
    const said = await progress();
    const [, done, of] = /(\d+) of (\d+) steps done/.exec(said)!;
    expect(done).toBe(of);
    await hands.part('Book');
    await hands.press('Save the build book');
    const [found] = await attachmentsIn(readFileSync(await hands.downloaded(`${file}-book.pdf`)));
    const job = readJob(new TextDecoder().decode(found!.bytes));
    const plan = planNow(job);
    expect(plan.ok && progressOf(plan.steps)).toMatchObject({ done: Number(done), of: Number(of) });
    expect(job.weld.log.filter(({ reason }) => reason === 'Mock-up on the bench').length).toBeGreaterThan(4);
  },
);
