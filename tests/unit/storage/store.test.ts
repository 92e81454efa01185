import 'fake-indexeddb/auto';
import { startAutosave } from '@/store/storage/autosave';
import { db, putJob } from '@/store/storage/db';
import { beginGesture, edit, putOnBench, redo, setDraft, undo, useJobStore } from '@/store/jobStore';
import { writeJob } from '@/core/job/file';
import { copyJob, listJobs, openJob, stockShelf } from '@/store/storage/shelf';
import { takeInFile } from '@/store/keeping/files';
import { binJob, takeBack } from '@/store/storage/bin';
import { newJob } from '@/core/job/newJob';

const job = () => useJobStore.getState().job!;
const rename = (name: string) => edit((j) => ({ ...j, name }));
const rest = () => new Promise((done) => setTimeout(done, 400));

beforeEach(async () => {
  await Promise.all(db.tables.map((table) => table.clear()));
  putOnBench(newJob('bench', 'First', 'in16'), {});
});

test('every edit is a step of undo, a whole drag is one, and opening a job starts afresh', () => {
  rename('a');
  const finish = beginGesture()!;
  for (const step of ['b', 'c', 'd']) rename(step);
  finish();
  undo();
  expect(job().name).toBe('a');
  redo();
  expect(job().name).toBe('d');
  undo();
  undo();
  expect(job().name).toBe('First');
  undo();
  expect(job().name).toBe('First');
  putOnBench(newJob('other', 'Other', 'mm'), {});
  undo();
  expect(job().name).toBe('Other');
});

test('what is typed and half typed is written without being asked, and comes back', async () => {
  const stop = startAutosave();
  await putJob({ id: 'bench', updatedAt: '', job: job(), drafts: {} });
  rename('Kept');
  setDraft('reading/track', '57 1/');
  await rest();
  stop();
  putOnBench(newJob('elsewhere', 'Elsewhere', 'mm'), {});
  expect(await openJob('bench')).toBe(true);
  expect(job().name).toBe('Kept');
  expect(useJobStore.getState().drafts).toEqual({ 'reading/track': '57 1/' });
  expect(await openJob('nowhere')).toBe(false);
});

test('storage that refuses is said plainly', async () => {
  const stop = startAutosave();
  const put = jest
    .spyOn(db.jobs, 'put')
    .mockRejectedValue(Object.assign(new Error('full'), { name: 'QuotaExceededError' }));
  rename('Too much');
  await rest();
  expect(useJobStore.getState().saving).toMatchObject({
    kind: 'failed',
    message: expect.stringContaining('full'),
  });
  put.mockRestore();
  rename('Room again');
  await rest();
  expect(useJobStore.getState().saving).toEqual({ kind: 'saved' });
  stop();
});

test('another tab’s changes come in beside one’s own, and neither is lost', async () => {
  await putJob({ id: 'bench', updatedAt: '', job: job(), drafts: {} });
  const stop = startAutosave();
  rename('Mine');
  await rest();
  const other = (change: object) =>
    db.transaction('rw', db.jobs, async () => {
      const row = (await db.jobs.get('bench'))!;
      await db.jobs.put({ ...row, by: 'another tab', job: { ...row.job, ...change } });
    });
  await other({ notes: 'Theirs' });
  await rest();
  expect(job()).toMatchObject({ name: 'Mine', notes: 'Theirs' });
  // Both at once: theirs is on the disk before this tab has heard of it.
  rename('Mine again');
  await other({ car: 'Theirs too' });
  await rest();
  await rest();
  expect(job()).toMatchObject({ name: 'Mine again', notes: 'Theirs', car: 'Theirs too' });
  expect((await db.jobs.get('bench'))!.job).toMatchObject({ name: 'Mine again', car: 'Theirs too' });
  stop();
});

test('a good file comes in under an id of its own; a damaged one changes nothing', async () => {
  await stockShelf();
  const before = await listJobs();
  const text = writeJob(useJobStore.getState().job!);
  await expect(takeInFile(new Blob([text.replace('"rear"', '"sideways"')]))).rejects.toThrow(/rig\.end/);
  expect(await listJobs()).toEqual(before);
  expect((await takeInFile(new Blob([text]))).ids).toEqual(['bench']);
  const second = (await takeInFile(new Blob([text]))).ids[0]!;
  expect(second).not.toBe('bench');
  expect((await db.shelf.get(second))!.name).toBe('First, imported');
  expect((await db.jobs.get('bench'))!.job).toEqual(JSON.parse(text));
});

test('the shelf is stocked once, copies stand alone, and what was removed can be put back', async () => {
  await stockShelf();
  const [demo] = await listJobs();
  await stockShelf();
  const stocked = (await listJobs()).map((r) => r.id);
  expect(stocked[0]).toBe('demo-marigold');
  const copy = (await copyJob(demo!.id))!;
  const before = (await db.jobs.get(demo!.id))!;
  const thrown = (await binJob(demo!.id))!;
  expect((await listJobs()).map((r) => r.id)).toEqual([copy, ...stocked.slice(1)]);
  expect(await takeBack(thrown)).toBe(demo!.id);
  expect(await db.jobs.get(demo!.id)).toEqual({ ...before, updatedAt: expect.any(String) as string });
});
