import { writeFileSync } from 'node:fs';
import { join } from 'node:path';
import { demoJobs } from '@/store/demo';
import { writeJob } from '@/core/job/file';
import type { Job } from '@/core/job/jobSchema';
import { hands, openBench } from '../../support/page/bench';

openBench();

const marigold = demoJobs().find((j) => j.id === 'demo-marigold')!;
const AT = '2026-03-14T09:05:47.000Z';
const bring = async (file: string, text: string, input = 'job') => {
  const path = join(hands.downloads, file);
  writeFileSync(path, text);
  await (await hands.find(`[data-input=${input}]`)).sendKeys(path);
};
const bringJob = async (job: Job) => {
  await hands.station(1, 'The job');
  await bring(`${job.id}.pellik.json`, writeJob(job));
  await hands.reads('.masthead-job', job.name);
};
const disabled = async (xpath: string) => (await (await hands.at(xpath)).getAttribute('disabled')) !== null;

test('a list that is full says so where it is filled, and what is there stays', async () => {
  await bringJob({
    ...marigold,
    id: 'full',
    name: 'Full to the brim',
    record: {
      ...marigold.record,
      parts: Array.from({ length: 199 }, (_, i) => ({ id: `p${i}`, name: `Part ${i}`, wanted: 1 })),
    },
    weld: {
      ...marigold.weld,
      log: Array.from({ length: 500 }, () => ({
        at: AT,
        member: 'panhard',
        bracket: 'frame' as const,
        to: 'tacked' as const,
      })),
    },
    ride: {
      ...marigold.ride,
      gaps: { left: 50, right: 60 },
      rounds: Array.from({ length: 200 }, (_, i) => ({
        at: new Date(Date.parse(AT) + i).toISOString(),
        turned: 0,
      })),
    },
  });
  await hands.station(2, 'Record');
  await hands.part('Parts');
  await hands.press('Add a line');
  await hands.reads('.tools', '200 lines in this list');
  expect(await disabled('//button[normalize-space()="Add a line"]')).toBe(true);
  await hands.station(8, '');
  await hands.part('Hold');
  await hands.reads('[data-bracket=frame]', '500 entries in the record');
  expect(await disabled('//*[@data-bracket="frame"]//button[contains(@class, "deed")]')).toBe(true);
  await hands.station(9, 'Centre');
  await hands.reads('.turned-lines', '200 rounds');
});

test('a table of 4 MB is read without the page standing still', async () => {
  await hands.go('marigold', 'record');
  await hands.part('Measure');
  await hands.driver.executeScript(`
    window.longest = 0;
    let last = performance.now();
    const tick = (now) => { window.longest = Math.max(window.longest, now - last); last = now; requestAnimationFrame(tick); };
    requestAnimationFrame(tick);`);
  const row = `track,Track,1450,mm,57 1/8,,,${AT}`;
  await bring(
    'large.csv',
    `key,what,value,unit,typed,tool,struck,at\n${`${row}\n`.repeat(Math.ceil((4 * 2 ** 20) / row.length))}`,
    'csv',
  );
  await hands.reads('[role=dialog]', 'Some rows cannot be read');
  expect(await hands.driver.executeScript<number>('return window.longest')).toBeLessThan(500);
  await hands.press('Bring in nothing');
  await hands.dialogGone();
});

test('with 500 jobs on the shelf a letter is not held up', async () => {
  await hands.driver.executeAsyncScript(`
    const done = arguments[0];
    const opening = indexedDB.open('pellik');
    opening.onsuccess = () => {
      const db = opening.result;
      const tx = db.transaction(['jobs', 'shelf'], 'readwrite');
      const get = tx.objectStore('jobs').get('demo-marigold');
      get.onsuccess = () => {
        for (let i = 0; i < 500; i++) {
          const id = 'many-' + i;
          tx.objectStore('jobs').put({ ...get.result, id, job: { ...get.result.job, id, name: id } });
          tx.objectStore('shelf').put({ id, name: id, car: '', updatedAt: '2020-01-01T00:00:00.000Z' });
        }
      };
      tx.oncomplete = () => { db.close(); done(); };
    };`);
  await hands.reload();
  await hands.go('marigold', 'job');
  await hands.reads('.shelf', /4\d\d more, touched longer ago/);
  const name = await hands.find('#job-name');
  await hands.driver.executeScript(`
    window.spent = [];
    document.querySelector('#job-name').focus();
    new PerformanceObserver((list) => window.spent.push(...list.getEntries().map((e) => e.processingEnd - e.processingStart)))
      .observe({ type: 'event', durationThreshold: 16 });
    window.long = [];
    new PerformanceObserver((list) => window.long.push(...list.getEntries().map((e) => e.duration))).observe({ type: 'longtask' });`);
  await name.sendKeys(' and twenty letters more');
  await hands.saved();
  const handled = await hands.driver.executeScript<number[]>('return window.spent');
  const long = await hands.driver.executeScript<number[]>('return window.long');
  console.log(
    `500 jobs, 24 letters: longest handled in ${Math.max(0, ...handled).toFixed(0)} ms; tasks over 50 ms: ${long.length}`,
  );
  await hands.reads('.masthead-job', 'and twenty letters more');
});
