/**
 * Types a job's name letter by letter in headless Chromium, with few and with many jobs on the shelf, and prints how long the
 * page works on each letter and how soon it is on the disk: `npx tsx scripts/measure/letter-lag.ts`, after a build.
 */
import { Key } from 'selenium-webdriver';
import { Hands, serve } from '../../tests/support/page/browser';
import { SETTLED, sayTimes } from './times';

const JOBS = 500;
const LETTERS = 60;
/** About as fast as anybody types, ms. */
const BETWEEN = 120;
/** Runs in the page: puts as many more jobs on the shelf, all like its first. */
const fillShelf = `
  const [many, done] = arguments;
  const opening = indexedDB.open('pellik');
  opening.onsuccess = () => {
    const db = opening.result;
    const writing = db.transaction(['jobs', 'shelf'], 'readwrite');
    const [jobs, shelf] = [writing.objectStore('jobs'), writing.objectStore('shelf')];
    jobs.getAll().onsuccess = ({ target: { result: [row] } }) => {
      for (let i = 0; i < many; i++) {
        const [id, name] = ['copy-' + i, 'Copy ' + i];
        const updatedAt = new Date(Date.parse(row.updatedAt) - 60000 * (i + 1)).toISOString();
        jobs.put({ ...row, id, updatedAt, job: { ...row.job, id, name } });
        shelf.put({ id, name, car: row.job.car, updatedAt });
      }
    };
    writing.oncomplete = () => { db.close(); done(); };
  };
`;

/** Runs in the page: from now on, keeps how long each letter is worked on, and when it is on the disk. */
const watch = `
  window.worked = []; window.stored = [];
  let pressed = 0;
  addEventListener('keydown', (e) => (pressed = e.timeStamp), true);
  new PerformanceObserver((seen) => {
    for (const e of seen.getEntries()) if (e.name === 'input') window.worked.push(e.processingEnd - e.processingStart);
  }).observe({ type: 'event', durationThreshold: 16 });
  const put = IDBObjectStore.prototype.put;
  IDBObjectStore.prototype.put = function (...row) {
    if (this.name === 'jobs') {
      const from = pressed;
      this.transaction.addEventListener('complete', () => window.stored.push(performance.now() - from));
    }
    return put.apply(this, row);
  };
`;

async function main(): Promise<void> {
  const server = await serve();
  const hands = await Hands.open(server.address);
  await hands.driver.manage().setTimeouts({ script: 120_000 });
  for (const more of [0, JOBS]) {
    await hands.driver.executeAsyncScript(fillShelf, more);
    await hands.driver.navigate().refresh();
    await hands.station(1, 'The job');
    await hands.driver.sleep(SETTLED);
    await hands.driver.executeScript(watch);
    const field = await hands.find('#job-name');
    await field.sendKeys(Key.chord(Key.CONTROL, 'a'), Key.BACK_SPACE);
    for (let i = 0; i < LETTERS; i++) {
      await field.sendKeys(String.fromCharCode(97 + (i % 26)));
      await hands.driver.sleep(BETWEEN);
    }
    await hands.saved();
    const { worked, stored } =
      await hands.driver.executeScript<Record<'worked' | 'stored', number[]>>('return { worked, stored }');
    console.log(`a letter with ${more} more jobs on the shelf: worked on for ${sayTimes(worked)}`);
    console.log(`a letter with ${more} more jobs on the shelf: on the disk after ${sayTimes(stored)}`);
  }
  await hands.close();
  server.stop();
}

void main();
