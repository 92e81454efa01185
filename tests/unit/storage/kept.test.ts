import 'fake-indexeddb/auto';
import fc from 'fast-check';
import { readJob, writeJob } from '@/core/job/file';
import { newJob } from '@/core/job/newJob';
import { takeInFile } from '@/store/keeping/files';
import { edit, putOnBench, setDraft, undo, useJobStore } from '@/store/jobStore';
import { abandon, settle, startAutosave } from '@/store/storage/autosave';
import { BIN_DAYS, binJob, binned, binPhoto, sweepBin, takeBack, throwOut } from '@/store/storage/bin';
import { db, putJob } from '@/store/storage/db';
import { copyJob, listJobs, openJob, putCopy, stockShelf } from '@/store/storage/shelf';
import { keepSnapshot, snapshotsOf } from '@/store/storage/snapshots';
import { standInStorage } from '../../support/localStorage';

const DAY = 24 * 60 * 60 * 1000;
const job = () => useJobStore.getState().job!;
const rename = (name: string) => edit((j) => ({ ...j, name }));
const sleep = (ms: number) => new Promise((done) => setTimeout(done, ms));
const place = (id: string, name = id) =>
  putJob({ id, updatedAt: new Date().toISOString(), job: newJob(id, name, 'mm'), drafts: {} });
const photo = (jobId: string, item = 'welds') =>
  db.photos.add({ jobId, item, at: 'then', image: `picture of ${jobId}` as never });
const photosOf = async (jobId: string) => (await db.photos.where({ jobId }).toArray()).map((p) => p.image);
const full = () => Object.assign(new Error('full'), { name: 'QuotaExceededError' });

/** A job on the bench, with what is done to it being stored. */
async function begin() {
  await place('a', 'start');
  await openJob('a');
  stop = startAutosave();
}

let kept: Record<string, string>;
let stop = () => {};
beforeEach(async () => {
  kept = standInStorage();
  await Promise.all(db.tables.map((table) => table.clear()));
});
afterEach(() => stop());

describe('the bin', () => {
  test('a job that was removed and put back has its photos and its earlier states', async () => {
    await place('a');
    await photo('a');
    await openJob('a');
    const thrown = (await binJob('a'))!;
    await place('b');
    await stockShelf();
    expect((await listJobs()).map((l) => l.id)).toEqual(['b']);
    expect(await takeBack(thrown)).toBe('a');
    expect(await photosOf('a')).toEqual(['picture of a']);
    expect(await snapshotsOf('a')).toHaveLength(1);
    expect(await binned()).toEqual([]);
    expect(await openJob('a')).toBe(true);
  });

  test('a job whose place was taken meanwhile comes back beside it, with the photos of both', async () => {
    await place('a', 'first');
    await photo('a');
    const thrown = (await binJob('a'))!;
    await place('a', 'second');
    const back = (await takeBack(thrown))!;
    expect(back).not.toBe('a');
    expect((await listJobs()).map((l) => l.name).sort()).toEqual(['first', 'second']);
    expect(await photosOf(back)).toEqual(['picture of a']);
    expect(await photosOf('a')).toEqual(['picture of a']);
    expect(await openJob(back)).toBe(true);
  });

  test('a photo comes back to where it was', async () => {
    await place('a');
    const id = await photo('a');
    const thrown = (await binPhoto(id))!;
    expect(await photosOf('a')).toEqual([]);
    expect(await takeBack(thrown)).toBe('a');
    expect(await photosOf('a')).toEqual(['picture of a']);
  });

  test('nothing is swept before its date; after it, a job goes with all that was its alone', async () => {
    const now = Date.now();
    for (const id of ['old', 'young', 'here']) {
      await place(id);
      await photo(id);
      await keepSnapshot(newJob(id, id, 'mm'), 'visit');
    }
    await binJob('old', now - (BIN_DAYS + 1) * DAY);
    await binJob('young', now - (BIN_DAYS - 1) * DAY);
    const lone = await photo('here', 'holes');
    await binPhoto(lone, now - (BIN_DAYS + 1) * DAY);
    await sweepBin(now);
    expect((await binned()).map((r) => r.jobId)).toEqual(['young']);
    expect(await photosOf('old')).toEqual([]);
    expect(await snapshotsOf('old')).toEqual([]);
    for (const id of ['young', 'here']) {
      expect(await photosOf(id)).toEqual([`picture of ${id}`]);
      expect(await snapshotsOf(id)).toHaveLength(1);
    }
  });

  test('thrown out of the bin, a job leaves alone the photos of one that has its place now', async () => {
    await place('a');
    await photo('a');
    await binJob('a');
    await place('a');
    await throwOut((await binned())[0]!);
    expect(await photosOf('a')).toEqual(['picture of a']);
  });

  test('photos go along with a copy', async () => {
    await place('a');
    await photo('a');
    expect(await photosOf((await copyJob('a'))!)).toEqual(['picture of a']);
    expect(await photosOf('a')).toEqual(['picture of a']);
  });
});

describe('earlier states', () => {
  test('are kept at each visit that finds something changed, before an import and before an upgrade', async () => {
    await place('a', 'one');
    await openJob('a');
    await openJob('a');
    stop = startAutosave();
    rename('two');
    await settle();
    await openJob('a');
    await takeInFile(new Blob([writeJob(newJob('z', 'z', 'mm'))]));
    rename('three');
    await takeInFile(new Blob([writeJob(newJob('y', 'y', 'mm'))]));
    const states = (await snapshotsOf('a')).reverse();
    expect(states.map((s) => [s.why, readJob(s.text).name])).toEqual([
      ['visit', 'one'],
      ['visit', 'two'],
      ['import', 'three'],
    ]);
  });

  test('of an older version are kept as they were, and can still be read', async () => {
    const { version, ...rest } = newJob('a', 'old', 'mm');
    expect(version).toBe(5);
    const old = { ...rest, version: 3 } as never;
    await place('a');
    await db.jobs.update('a', { job: old });
    expect(await openJob('a')).toBe(true);
    const [state] = await snapshotsOf('a');
    expect(state!.why).toBe('upgrade');
    expect((JSON.parse(state!.text) as { version: number }).version).toBe(3);
    expect(readJob(state!.text).name).toBe('old');
  });

  test('are gone back to as a step of undo, and opened as a copy beside', async () => {
    await place('a', 'one');
    await openJob('a');
    rename('two');
    const [state] = await snapshotsOf('a');
    edit((now) => ({ ...readJob(state!.text), id: now.id }));
    expect(job().name).toBe('one');
    undo();
    expect(job().name).toBe('two');
    const copy = await putCopy(readJob(state!.text), ', as of then');
    expect(await openJob(copy)).toBe(true);
    expect(job().name).toBe('one, as of then');
  });

  test('are kept in number, the latest of them', async () => {
    for (let i = 0; i < 70; i++) await keepSnapshot(newJob('a', `state ${i}`, 'mm'), 'visit');
    const names = (await snapshotsOf('a')).map((s) => readJob(s.text).name);
    expect(new Set(names).size).toBe(60);
    expect(names).toContain('state 69');
    expect(names).not.toContain('state 9');
  });
});

describe('a page that is closed in the middle of it', () => {
  /** Another page: the first one is gone, with all that it had only in its head. */
  async function reload(id: string) {
    stop();
    putOnBench(newJob('blank', 'Blank', 'mm'), {});
    expect(await openJob(id)).toBe(true);
    stop = startAutosave();
  }

  test('loses nothing that was on the screen, however soon', async () => {
    await begin();
    await fc.assert(
      fc.asyncProperty(
        fc.array(fc.tuple(fc.string({ maxLength: 20 }), fc.nat(40)), { minLength: 1, maxLength: 6 }),
        async (typed) => {
          for (const [text, ms] of typed) {
            rename(text);
            setDraft('reading/track', text);
            if (ms > 20) await sleep(ms);
          }
          const [[last]] = typed.slice(-1) as [[string, number]];
          await reload('a');
          expect(job().name).toBe(last);
          expect(useJobStore.getState().drafts['reading/track'] ?? null).toBe(last);
        },
      ),
      { numRuns: 40 },
    );
  });

  test('what it noted is brought in beside what another tab stored since, and then forgotten', async () => {
    await begin();
    jest.spyOn(db.jobs, 'put').mockRejectedValueOnce(full());
    edit((j) => ({ ...j, notes: 'mine' }));
    await sleep(60);
    stop();
    const stored = (await db.jobs.get('a'))!;
    expect(stored.job.notes).toBe('');
    await putJob({ ...stored, by: 'tab-other', job: { ...stored.job, car: 'theirs' } });
    await reload('a');
    expect(job()).toMatchObject({ notes: 'mine', car: 'theirs' });
    await sleep(60);
    expect(Object.keys(kept).filter((key) => key.includes('/a/'))).toEqual([]);
    expect((await db.jobs.get('a'))!.job).toMatchObject({ notes: 'mine', car: 'theirs' });
  });

  test('two pages that were closed one after the other: what the later one noted stands', async () => {
    await place('a', 'start');
    await openJob('a');
    const start = { job: job(), drafts: {} };
    const named = (name: string) => ({ job: { ...start.job, name }, drafts: { 'reading/track': name } });
    const noted = (tab: string, later: number, base: object, mine: object) => {
      const at = new Date(Date.now() + later).toISOString();
      kept[`pellik-unstored/a/${tab}`] = JSON.stringify({ at, base, mine });
    };
    // The browser lists what it keeps in no order that tells their age.
    noted('tab-2', 2000, named('first'), named('second'));
    noted('tab-1', 1000, start, named('first'));
    expect(await openJob('a')).toBe(true);
    expect(job().name).toBe('second');
    expect(useJobStore.getState().drafts).toEqual({ 'reading/track': 'second' });
  });

  test.each(['{', 'null', '{"base":{},"mine":{}}', '{"base":{"job":{}},"mine":{"job":{"id":"a"}}}'])(
    'a note that is %s is no note',
    async (text) => {
      await place('a', 'start');
      kept['pellik-unstored/a/tab-1'] = text;
      expect(await openJob('a')).toBe(true);
      expect(job().name).toBe('start');
    },
  );
});

describe('a save that fails', () => {
  test('is tried again, keeps the text, holds the job on the bench, and lets go when it is told to', async () => {
    await begin();
    const put = jest.spyOn(db.jobs, 'put').mockRejectedValue(full());
    rename('Too much');
    await sleep(50);
    expect(useJobStore.getState().saving).toMatchObject({
      kind: 'failed',
      message: expect.stringMatching(/full/) as string,
    });
    expect(await settle()).toBe(false);
    expect(job().name).toBe('Too much');
    put.mockRestore();
    expect(await settle()).toBe(true);
    expect((await db.jobs.get('a'))!.job.name).toBe('Too much');
    expect(useJobStore.getState().saving).toEqual({ kind: 'saved' });

    const again = jest.spyOn(db.jobs, 'put').mockRejectedValue(full());
    rename('Too much again');
    expect(await settle()).toBe(false);
    abandon();
    expect(await settle()).toBe(true);
    again.mockRestore();
  });

  test('needs no new letter to be tried again', async () => {
    await begin();
    const put = jest.spyOn(db.jobs, 'put').mockRejectedValueOnce(full());
    rename('Once too much');
    await sleep(1400);
    put.mockRestore();
    expect(useJobStore.getState().saving).toEqual({ kind: 'saved' });
    expect((await db.jobs.get('a'))!.job.name).toBe('Once too much');
  });

  test('a full `localStorage` does not keep the database from it', async () => {
    standInStorage(10);
    await begin();
    rename('Written');
    expect(await settle()).toBe(true);
    expect((await db.jobs.get('a'))!.job.name).toBe('Written');
  });

  test('a job removed in another tab is not brought back untold', async () => {
    await begin();
    rename('Seen');
    await settle();
    const thrown = (await binJob('a'))!;
    rename('On my own');
    expect(await settle()).toBe(false);
    expect(await db.jobs.get('a')).toBeUndefined();
    expect(useJobStore.getState().saving.message).toMatch(/bin/);
    await takeBack(thrown);
    expect(await settle()).toBe(true);
    expect((await db.jobs.get('a'))!.job.name).toBe('On my own');
  });
});
