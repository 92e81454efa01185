/**
 * Fills the browser with all that a shop may gather (500 jobs; of one of them 200 photos, 2 000 readings, 1 000 outings and 500 entries of
 * its welding) and prints how soon that job stands open again, and how evenly its longest lists scroll: `npx tsx
 * scripts/measure/full-shelf.ts`, after a build.
 */
import { SPOTS, readingKey } from '@/core/survey/quantities/quantities';
import { Hands, serve } from '../../tests/support/page/browser';
import { SETTLED, sayTimes } from './times';

const [JOBS, PHOTOS, READINGS, OUTINGS, EVENTS] = [500, 200, 2000, 1000, 500];
const VISITS = 5;

/** Runs in the page: fills the shelf, and the job on the bench with readings, outings, welds and photos. */
const fill = `
  const [jobId, keys, [JOBS, PHOTOS, READINGS, OUTINGS, EVENTS], done] = arguments;
  const at = (i) => new Date(Date.parse('2026-01-01') + 60000 * i).toISOString();
  const canvas = Object.assign(document.createElement('canvas'), { width: 800, height: 600 });
  const pen = canvas.getContext('2d');
  for (let i = 0; i < 400; i++) {
    pen.fillStyle = 'hsl(' + (i * 47) % 360 + ' 40% 50%)';
    pen.fillRect((i * 131) % 800, (i * 71) % 600, 90, 60);
  }
  canvas.toBlob((image) => {
    const opening = indexedDB.open('pellik');
    opening.onsuccess = () => {
      const db = opening.result;
      const writing = db.transaction(['jobs', 'shelf', 'photos'], 'readwrite');
      const [jobs, shelf, photos] = ['jobs', 'shelf', 'photos'].map((name) => writing.objectStore(name));
      jobs.get(jobId).onsuccess = ({ target: { result: row } }) => {
        const { job } = row;
        const readings = { ...job.readings };
        for (const key of keys) {
          const [first] = job.readings[key] ?? [];
          if (!first) continue;
          readings[key] = Array.from({ length: Math.ceil(READINGS / keys.length) }, (_, i) => ({ ...first, at: at(i) }));
        }
        const [outing] = job.drive.outings;
        const outings = Array.from({ length: OUTINGS }, (_, i) => ({ ...outing, id: 'o' + i, at: at(1440 * i) }));
        const log = Array.from({ length: EVENTS }, (_, i) => ({
          at: at(i), member: 'panhard', bracket: i % 2 ? 'axle' : 'frame', to: i % 4 < 2 ? 'tacked' : 'scribed', reason: 'Mock-up',
        }));
        const full = { ...job, readings, drive: { ...job.drive, outings }, weld: { ...job.weld, log } };
        jobs.put({ ...row, job: full, updatedAt: new Date().toISOString() });
        for (let i = 0; i < JOBS; i++) {
          const [id, name, updatedAt] = ['copy-' + i, 'Copy ' + i, at(i)];
          jobs.put({ ...row, id, updatedAt, job: { ...job, id, name } });
          shelf.put({ id, name, car: job.car, updatedAt });
        }
        for (let i = 0; i < PHOTOS; i++) photos.put({ jobId, item: 'plan/apart/photos', at: at(i), image });
      };
      writing.oncomplete = () => { db.close(); done(); };
    };
  }, 'image/jpeg');
`;

/** Runs in the page: opens a job at a station, and tells how long it is until its card and its bay stand, ms. */
const open = `
  const [where, name, css, done] = arguments;
  const start = performance.now();
  const stands = () => document.querySelector('.masthead-job')?.textContent.startsWith(name) &&
    document.querySelector(css) && document.querySelector('.bay-side svg path');
  const look = () => requestAnimationFrame(() => (stands() ? done(performance.now() - start) : look()));
  location.hash = where;
  look();
`;

/** Runs in the page: times from frame to frame while a card is scrolled to its end, ms. */
const scroll = `
  const [done] = arguments;
  const card = document.querySelector('.bench-card');
  const times = [];
  let last = performance.now();
  const step = (now) => {
    times.push(now - last);
    last = now;
    card.scrollTop += 60;
    if (times.length < 150) requestAnimationFrame(step);
    else done(times.slice(2));
  };
  requestAnimationFrame(step);
`;

const JOB = ['demo-copperline', 'Copperline'] as const;
const OTHER = ['demo-marigold', 'Marigold'] as const;
const CARDS: [station: string, css: string, what: string][] = [
  ['drive', '.outings', 'Drive, with its outings'],
  ['record', '[data-step]', 'Record, with its readings'],
  ['job', '#job-name', 'Job, with the shelf'],
  ['weld', '.plan-next', 'Weld, with its plan'],
];

async function main(): Promise<void> {
  const server = await serve();
  const hands = await Hands.open(server.address);
  const { driver } = hands;
  await driver.manage().setTimeouts({ script: 120_000 });
  await hands.go('copperline', 'drive');
  await driver.sleep(SETTLED);
  await opened(hands, 'as it came');
  const keys = SPOTS.map((spot) => readingKey(spot.quantity.key, spot.side));
  await driver.executeAsyncScript(fill, JOB[0], keys, [JOBS, PHOTOS, READINGS, OUTINGS, EVENTS]);
  await driver.navigate().refresh();
  await driver.sleep(SETTLED);
  await opened(hands, 'full');
  await hands.close();
  server.stop();
}

/** Opens the job at each station again and again, from another job there, and scrolls there. */
async function opened({ driver }: Hands, how: string): Promise<void> {
  for (const [station, css, what] of CARDS) {
    const to = (job: string, name: string) =>
      driver.executeAsyncScript<number>(open, `#/${job}/${station}`, name, css);
    const times: number[] = [];
    for (let visit = 0; visit < VISITS; visit++) {
      await to(...OTHER);
      times.push(await to(...JOB));
    }
    console.log(`${what}, ${how}: open after ${sayTimes(times)}`);
    await driver.sleep(1500);
    const frames = await driver.executeAsyncScript<number[]>(scroll);
    console.log(`${what}, ${how}: scrolled, from frame to frame ${sayTimes(frames)}`);
  }
}

void main();
