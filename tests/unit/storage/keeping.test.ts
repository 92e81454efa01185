import 'fake-indexeddb/auto';
import fc from 'fast-check';
import { BlobWriter, TextReader, ZipWriter } from '@zip.js/zip.js';
import { writeJob } from '@/core/job/file';
import { newJob } from '@/core/job/newJob';
import { InputError } from '@/core/rig/read';
import { putOnBench, useJobStore } from '@/store/jobStore';
import { packed, unpacked } from '@/store/keeping/bundle';
import { backupFile, jobFile, markExported, takeInFile } from '@/store/keeping/files';
import { chosenFolder, forgetFolder, saveIntoFolder } from '@/store/keeping/folder';
import { copyAsText, olderCopies, removeCopy } from '@/store/keeping/olderCopies';
import { askPromise, isPromised } from '@/store/keeping/persistence';
import { db, putJob } from '@/store/storage/db';
import { copyName } from '@/store/storage/opening';
import { checkedPicture, MOST_PIXELS } from '@/store/storage/pictures';
import Dexie from 'dexie';
import { listJobs } from '@/store/storage/shelf';
import { standInStorage } from '../../support/localStorage';

/** The beginning of a picture that says it is so large; what would follow does not matter to who reads its size. */
function picture(width: number, height: number): Blob {
  const bytes = new Uint8Array(33);
  bytes.set([0x89, 0x50, 0x4e, 0x47, 0x0d, 0x0a, 0x1a, 0x0a, 0, 0, 0, 13, 0x49, 0x48, 0x44, 0x52]);
  const view = new DataView(bytes.buffer);
  view.setUint32(16, width);
  view.setUint32(20, height);
  return new Blob([bytes], { type: 'image/jpeg' });
}
const bytesOf = async (blob: Blob) => new Uint8Array(await blob.arrayBuffer());
const place = (id: string, name = id) =>
  putJob({ id, updatedAt: new Date().toISOString(), job: newJob(id, name, 'mm'), drafts: {} });
const withPhoto = (jobId: string, item: string, width: number) =>
  db.photos.add({ jobId, item, at: '2026-01-01T00:00:00.000Z', image: picture(width, 10) });
const photos = async (jobId: string) =>
  Promise.all(
    (await db.photos.where({ jobId }).toArray()).map(async ({ item, at, image }) => [
      item,
      at,
      await bytesOf(image),
    ]),
  );
const all = async () => ({
  shelf: await listJobs(),
  jobs: await db.jobs.toArray(),
  photos: await db.photos.count(),
});
const clear = () => Promise.all(db.tables.map((table) => table.clear()));

beforeEach(async () => {
  standInStorage();
  await clear();
  useJobStore.setState({ job: null });
});

test('a job goes out with its photos and comes in with them, and beside itself under a name of its own', async () => {
  await place('a', 'Old Pewter');
  await withPhoto('a', 'welds', 30);
  await withPhoto('a', 'holes', 40);
  const [was, shots] = [(await db.jobs.get('a'))!.job, await photos('a')];
  const { name, blob, photos: count } = await jobFile('a', true);
  expect([name, count]).toEqual(['old-pewter.pellik.zip', 2]);
  expect((await takeInFile(blob)).ids).not.toContain('a');
  await clear();
  expect(await takeInFile(blob)).toEqual({ ids: ['a'], already: 0 });
  expect((await db.jobs.get('a'))!.job).toEqual(was);
  expect(await photos('a')).toEqual(shots);
  const plain = await jobFile('a', false);
  expect([plain.name, plain.photos]).toEqual(['old-pewter.pellik.json', 0]);
  expect(await plain.blob.text()).toBe(writeJob(was));
});

test('the job on the bench goes out as it stands there', async () => {
  await place('a', 'stored');
  putOnBench({ ...newJob('a', 'on the bench', 'mm') }, {});
  expect((await jobFile('a', true)).name).toBe('on-the-bench.pellik.json');
});

test('a whole shelf comes back; what is there already just as it is stays alone', async () => {
  for (const id of ['a', 'b', 'c']) await place(id);
  await withPhoto('b', 'welds', 30);
  await db.shelf.update('c', { fault: 'rust' });
  const { blob, jobs, unread } = await backupFile();
  expect([jobs, unread]).toEqual([2, ['c']]);
  expect((await db.exports.toArray()).map((e) => e.jobId)).toEqual(['a', 'b']);
  expect(await takeInFile(blob)).toEqual({ ids: [], already: 2 });
  await db.jobs.delete('b');
  await db.shelf.delete('b');
  await db.photos.clear();
  await db.jobs.update('a', { 'job.notes': 'changed since' });
  const { ids, already } = await takeInFile(blob);
  expect([ids.length, ids.includes('b'), already]).toEqual([2, true, 0]);
  expect((await db.jobs.get('a'))!.job.notes).toBe('changed since');
  expect(await photos('b')).toHaveLength(1);
});

describe('a zip that is not what it should be', () => {
  const refused = async (file: Blob, why: RegExp) => {
    const before = await all();
    const error = await takeInFile(file).then(
      () => null,
      (e: unknown) => e,
    );
    expect(error).toBeInstanceOf(InputError);
    expect((error as Error).message).toMatch(why);
    expect(await all()).toEqual(before);
  };
  const zipOf = async (files: Record<string, string>) => {
    const zip = new ZipWriter(new BlobWriter());
    for (const [name, text] of Object.entries(files)) await zip.add(name, new TextReader(text));
    return zip.close();
  };
  const contents = (jobs: object[], rest = {}) =>
    JSON.stringify({ format: 'pellik.bundle', version: 1, at: '2026-01-01T00:00:00.000Z', jobs, ...rest });
  const job = writeJob(newJob('a', 'a', 'mm'));

  test.each([
    ['of something else', { 'letter.txt': 'Dear sir' }, /no list of contents/],
    [
      'of a later Pellik',
      { 'pellik.json': contents([{ job: 'j', photos: [] }], { version: 2 }), j: job },
      /version/,
    ],
    ['without what it lists', { 'pellik.json': contents([{ job: 'j', photos: [] }]) }, /^j: .*not whole/],
    [
      'with a damaged job',
      { 'pellik.json': contents([{ job: 'j', photos: [] }]), j: job.replace('"rear"', '"up"') },
      /^j: rig\.end/,
    ],
    [
      'that climbs out of its folder',
      { 'pellik.json': contents([{ job: '../../j', photos: [] }]) },
      /jobs\[0\]\.job/,
    ],
    [
      'with a photo that is none',
      {
        'pellik.json': contents([{ job: 'j', photos: [{ file: 'p', item: 'welds', at: '' }] }]),
        j: job,
        p: '<script>',
      },
      /welds: .*picture/,
    ],
    ['that swells to far more', { 'pellik.json': ' '.repeat(40 * 2 ** 20) }, /pellik\.json: more than 32 MB/],
  ])('one %s', async (_, files, why) => {
    await refused(await zipOf(files), why);
  });

  test('one that lies about how much it holds is given up in the middle of it', async () => {
    const bytes = await bytesOf(await zipOf({ 'pellik.json': ' '.repeat(40 * 2 ** 20) }));
    const view = new DataView(bytes.buffer);
    // The size stands in the entry of the list at the end.
    for (let at = 0; at < bytes.length - 46; at++)
      if (view.getUint32(at, true) === 0x02014b50) view.setUint32(at + 24, 100, true);
    await refused(new Blob([bytes]), /./);
  });

  test('one cut off anywhere is refused; with a byte changed anywhere it is refused or still the same', async () => {
    await place('a');
    await withPhoto('a', 'welds', 30);
    const { blob } = await jobFile('a', true);
    const whole = await bytesOf(blob);
    const same = JSON.stringify(
      await Promise.all(
        (await unpacked(blob)).map(async (one) => [one.job, await bytesOf(one.photos[0]!.image)]),
      ),
    );
    await fc.assert(
      fc.asyncProperty(fc.nat(whole.length - 1), async (length) => {
        await refused(new Blob([whole.slice(0, length)]), /./);
      }),
      { numRuns: 30 },
    );
    await fc.assert(
      fc.asyncProperty(fc.nat(whole.length - 1), fc.integer({ min: 1, max: 255 }), async (at, by) => {
        const other = whole.slice();
        other[at]! ^= by;
        if (at < 2) return;
        const got = await unpacked(new Blob([other])).catch((error: unknown) => {
          if (!(error instanceof InputError)) throw error;
          return null;
        });
        if (!got) return;
        const now = await Promise.all(got.map(async (one) => [one.job, await bytesOf(one.photos[0]!.image)]));
        expect(JSON.stringify(now)).toBe(same);
      }),
      { numRuns: 150 },
    );
  });

  test('a shelf of many jobs is packed and unpacked as it is', async () => {
    const many = Array.from({ length: 30 }, (_, i) => ({
      job: newJob(`j${i}`, `車 ${i}`, 'mm'),
      photos: [],
    }));
    expect((await unpacked(await packed(many))).map((one) => one.job)).toEqual(many.map((one) => one.job));
  });
});

describe('a picture', () => {
  const verdict = (file: Blob) =>
    checkedPicture(file, 'x').then(
      () => 'fine',
      (error: InputError) => error.message,
    );
  test('is measured before it is decoded', async () => {
    expect(await verdict(picture(4000, 3000))).toBe('fine');
    expect(await verdict(picture(MOST_PIXELS / 1000, 1000))).toBe('fine');
    expect(await verdict(picture(16_000, 16_000))).toMatch(/at most 100 megapixels \(this one has 256\)/);
    expect(await verdict(new Blob(['not a picture']))).toMatch(/read as a picture/);
    expect(await verdict(new Blob([]))).toMatch(/read as a picture/);
  });
});

test('a chosen folder has each job in a file of its own, with its photos', async () => {
  const written: Record<string, Blob> = {};
  const handle = {
    name: 'Backups',
    getFileHandle: async (name: string) => ({
      createWritable: async () => ({
        write: async (blob: Blob) => void (written[name] = blob),
        close: async () => {},
      }),
    }),
  };
  await place('job-aaaaaa', 'Car');
  await place('job-bbbbbb', 'Car');
  expect(await saveIntoFolder('job-aaaaaa', 'Car')).toBe(false);
  // What a page is handed cannot be kept by a stand-in of the database.
  jest.spyOn(db.folder, 'get').mockResolvedValue({ id: 1, handle: handle as never });
  await withPhoto('job-bbbbbb', 'welds', 30);
  expect(await saveIntoFolder('job-aaaaaa', 'Car')).toBe(true);
  expect(await saveIntoFolder('job-bbbbbb', 'Car')).toBe(true);
  expect(Object.keys(written)).toEqual(['car-aaaaaa.pellik.json', 'car-bbbbbb.pellik.zip']);
  expect((await unpacked(written['car-bbbbbb.pellik.zip']!))[0]!.photos).toHaveLength(1);
  // A browser that wants to be asked again is not written for.
  Object.assign(handle, { queryPermission: async () => 'prompt' });
  expect(await saveIntoFolder('job-aaaaaa', 'Car')).toBe(false);
  jest.restoreAllMocks();
  await forgetFolder();
  expect(await chosenFolder()).toBeUndefined();
});

test('when a job last went out is known, and what it was changed then', async () => {
  await place('a');
  await markExported({ id: 'a' });
  const { updatedAt } = (await db.shelf.get('a'))!;
  expect(await db.exports.get('a')).toMatchObject({ updatedAt });
});

test('the copy of an older database can be looked at and removed', async () => {
  const copy = new Dexie(copyName(2));
  copy.version(1).stores({ jobs: '' });
  await copy.open();
  await copy.table('jobs').put({ id: 'a', name: 'then' }, 'a');
  copy.close();
  expect(await olderCopies()).toEqual([copyName(2)]);
  expect(JSON.parse(await copyAsText(copyName(2)))).toEqual({ jobs: [{ id: 'a', name: 'then' }] });
  await removeCopy(copyName(2));
  expect(await olderCopies()).toEqual([]);
});

test.each([
  [undefined, 'unknown', 'unknown'],
  [{ persisted: async () => true, persist: async () => true }, 'yes', 'yes'],
  [{ persisted: async () => false, persist: async () => false }, 'no', 'no'],
  [
    {
      persisted: async () => Promise.reject(new Error('no')),
      persist: async () => Promise.reject(new Error('no')),
    },
    'unknown',
    'unknown',
  ],
])('what the browser promises is told as it is (%#)', async (storage, before, asked) => {
  Object.defineProperty(globalThis, 'navigator', { value: { storage }, configurable: true });
  expect([await isPromised(), await askPromise()]).toEqual([before, asked]);
});
