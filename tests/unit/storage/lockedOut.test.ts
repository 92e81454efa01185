import 'fake-indexeddb/auto';
import Dexie from 'dexie';
import fc from 'fast-check';
import { readJob, writeJob } from '@/core/job/file';
import type { Job } from '@/core/job/jobSchema';
import { LONGEST_NAME, nameWith } from '@/core/job/names';
import { newJob } from '@/core/job/newJob';
import { InputError } from '@/core/rig/read';
import { beginGesture, edit, enter, putOnBench, useJobStore } from '@/store/jobStore';
import { takeNotices } from '@/store/notices';
import { DATABASE, DATABASE_VERSION, db, putJob } from '@/store/storage/db';
import { copyName, openStorage } from '@/store/storage/opening';
import { copyJob, listJobs, openJob, rawText } from '@/store/storage/shelf';
import { takeInFile } from '@/store/keeping/files';
import { parseRoute } from '@/ui/shell/route';

const job = () => useJobStore.getState().job!;
const row = (j: Job, drafts = {}) => ({ id: j.id, updatedAt: '2026-01-01T00:00:00.000Z', job: j, drafts });

beforeEach(async () => {
  await db.open();
  await Promise.all(db.tables.map((table) => table.clear()));
  putOnBench(newJob('bench', 'First', 'in16'), {});
  takeNotices();
});

describe('what can be written can be read', () => {
  const tooMuch: [string, (j: Job) => Job][] = [
    ['a name that is too long', (j) => ({ ...j, name: 'x'.repeat(121) })],
    [
      'a 201st part',
      (j) => ({
        ...j,
        record: {
          ...j.record,
          parts: Array.from({ length: 201 }, (_, i) => ({ id: `p${i}`, name: 'bolt', wanted: 1 })),
        },
      }),
    ],
    [
      'a 501st event of welding',
      (j) => ({
        ...j,
        weld: {
          ...j.weld,
          log: Array.from({ length: 501 }, () => ({
            at: '2026-01-01T00:00:00.000Z',
            member: 'panhard',
            bracket: 'frame' as const,
            to: 'tacked' as const,
          })),
        },
      }),
    ],
    [
      'more than a hundred turns',
      (j) => ({
        ...j,
        ride: { ...j.ride, rounds: [{ at: '2026-01-01T00:00:00.000Z', others: { panhard: 101 } } as never] },
      }),
    ],
    ['a figure that is none', (j) => ({ ...j, cornerG: NaN })],
  ];

  test.each(tooMuch)('%s is not taken, and it is said where and why', (_, change) => {
    const before = job();
    edit(change);
    expect(job()).toBe(before);
    enter('anything', '1', change);
    expect(job()).toBe(before);
    const said = takeNotices();
    expect(said).toHaveLength(2);
    expect(said[0]!.description).toMatch(/^[\w.[\]]+: .+\. The job is as it was\.$/);
    expect(readJob(writeJob(job()))).toEqual(job());
  });

  test('nor at the end of a drag, which may pass through it', () => {
    const before = job();
    const finish = beginGesture()!;
    edit((j) => ({ ...j, cornerG: 99 }));
    finish();
    expect(job()).toBe(before);
    expect(takeNotices()).toHaveLength(1);
    const again = beginGesture()!;
    edit((j) => ({ ...j, cornerG: 99 }));
    edit((j) => ({ ...j, cornerG: 1.2 }));
    again();
    expect(job().cornerG).toBe(1.2);
    expect(takeNotices()).toHaveLength(0);
  });

  const anyName = fc.string({ unit: fc.constantFrom('a', 'ß', '漢', '🚗', '👩‍🔧', ' '), maxLength: 120 });

  test('a name with something after it fits, ends with it, and is cut between two letters', () => {
    fc.assert(
      fc.property(anyName, fc.constantFrom('', ', copy', ', imported'), (name, after) => {
        const made = nameWith(name, after);
        expect(made.length).toBeLessThanOrEqual(LONGEST_NAME);
        expect(made.endsWith(after)).toBe(true);
        const kept = made.slice(0, made.length - after.length);
        expect(name.startsWith(kept)).toBe(true);
        expect(() => encodeURIComponent(made)).not.toThrow();
        // Only what has to go is gone: one more letter would be too many.
        if (kept !== name) {
          const [next] = name.slice(kept.length);
          expect(kept.length + next!.length * 2 + after.length).toBeGreaterThan(LONGEST_NAME - 1);
        }
      }),
    );
  });

  test('a job with the longest of names is copied and imported, again and again, and opens each time', async () => {
    const long = { ...newJob('long', '🚗'.repeat(60), 'mm') };
    await putJob(row(long));
    let id = 'long';
    for (let i = 0; i < 3; i++) {
      id = (await copyJob(id))!;
      expect(await openJob(id)).toBe(true);
      id = (await takeInFile(new Blob([writeJob(job())]))).ids[0]!;
      expect(await openJob(id)).toBe(true);
    }
    expect(job().name).toMatch(/, imported$/);
  });
});

describe('one job that cannot be read', () => {
  const broken = { ...newJob('broken', 'Broken', 'mm'), cornerG: 99 };

  test('keeps only itself from the bench, and the shelf knows why', async () => {
    await putJob(row(broken));
    await putJob(row(newJob('sound', 'Sound', 'mm')));
    await expect(openJob('broken')).rejects.toThrow(InputError);
    expect(job().id).toBe('bench');
    const lines = await listJobs();
    expect(lines.find((l) => l.id === 'broken')!.fault).toMatch(/^cornerG: /);
    expect(lines.find((l) => l.id === 'sound')!.fault).toBeUndefined();
    expect(JSON.parse(await rawText('broken'))).toEqual(broken);
    expect(await openJob('sound')).toBe(true);
  });

  test('nor does one that is not even a job', async () => {
    for (const [id, thing] of Object.entries({ text: 'rust', none: null, list: [1, 2] })) {
      await putJob(row({ ...newJob(id, '', 'mm') }));
      await db.jobs.update(id, { job: thing as never });
      await expect(openJob(id)).rejects.toThrow(InputError);
      expect(JSON.parse(await rawText(id))).toEqual(thing);
    }
    expect((await listJobs()).every((line) => line.fault)).toBe(true);
  });
});

describe('a database of another age', () => {
  const older = async (jobs: object[]) => {
    db.close();
    await Dexie.delete(DATABASE);
    const old = new Dexie(DATABASE);
    old.version(2).stores({ jobs: 'id, updatedAt', photos: '++id, [jobId+item], jobId' });
    await old.table('jobs').bulkPut(jobs);
    await old.table('photos').add({ jobId: 'one', item: 'welds', at: 'then', image: 'picture' });
    old.close();
  };

  test('is brought up to today’s, a copy of it is kept, and what cannot be read is known', async () => {
    const one = { ...row(newJob('one', 'One', 'mm')), name: 'One', car: '' };
    const two = { ...row({ ...newJob('two', 'Two', 'mm'), cornerG: -1 }), name: 'Two', car: '' };
    await older([one, two]);
    await openStorage();
    const lines = Object.fromEntries((await listJobs()).map((line) => [line.id, line]));
    expect(lines.one).toEqual({ id: 'one', name: 'One', car: '', updatedAt: one.updatedAt });
    expect(lines.two!.fault).toMatch(/^cornerG: /);
    expect(await db.photos.count()).toBe(1);

    const copy = await new Dexie(copyName(2)).open();
    expect(await copy.table('jobs').get('one')).toEqual(one);
    expect(await copy.table('photos').toArray()).toEqual([
      { id: 1, jobId: 'one', item: 'welds', at: 'then', image: 'picture' },
    ]);
    copy.close();
  });

  test('of a newer Pellik is left alone', async () => {
    db.close();
    await Dexie.delete(DATABASE);
    const newer = new Dexie(DATABASE);
    newer.version(DATABASE_VERSION + 1).stores({ jobs: 'id', other: 'id' });
    await newer.table('jobs').put({ id: 'one' });
    newer.close();
    // A fresh page: what was opened once stays open in this one.
    await jest.isolateModulesAsync(async () => {
      const opening = await import('@/store/storage/opening');
      await expect(opening.openStorage()).rejects.toMatchObject({ problem: 'newer' });
    });
    const still = await new Dexie(DATABASE).open();
    expect(still.verno).toBe(DATABASE_VERSION + 1);
    expect(await still.table('jobs').count()).toBe(1);
    still.close();
    await Dexie.delete(DATABASE);
  });
});

test('an address that somebody mistyped is an address', () => {
  expect(parseRoute('#/%')).toEqual({ jobId: '%', station: 'job' });
  expect(parseRoute('#/a%20b/roll')).toEqual({ jobId: 'a b', station: 'roll' });
  expect(parseRoute('')).toEqual({ jobId: null, station: 'job' });
});
