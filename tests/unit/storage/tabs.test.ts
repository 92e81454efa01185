import 'fake-indexeddb/auto';
import fc from 'fast-check';
import { withLayout } from '@/core/job/edits/members/layout';
import { withMounts } from '@/core/job/edits/mounts';
import { jobFault, readJob, writeJob } from '@/core/job/file';
import type { Job } from '@/core/job/jobSchema';
import { newJob } from '@/core/job/newJob';
import { sayPlace } from '@/core/job/places';
import { InputError, orRefusal } from '@/core/rig/read';
import { demoJobs } from '@/store/demo';
import {
  actsDone,
  beginGesture,
  edit,
  endAct,
  inOneAct,
  putOnBench,
  redo,
  undo,
  useJobStore,
} from '@/store/jobStore';
import { takeNotices } from '@/store/notices';
import { settle, startAutosave } from '@/store/storage/autosave';
import { db, putJob } from '@/store/storage/db';
import { SEAT } from '@/store/storage/ids';
import { merged, mergedJob, mergedWork, sameStored, type Version } from '@/store/merging/merge';
import { partings } from '@/store/merging/partings';
import { openJob } from '@/store/storage/shelf';
import { act } from '../../support/acts';
import { standInStorage } from '../../support/localStorage';

const cars = demoJobs();
const job = () => useJobStore.getState().job!;
const sleep = (ms: number) => new Promise((done) => setTimeout(done, ms));
const at = (job: Job, at: string, by: string): Version => ({ job, drafts: {}, at, by });
const mergedOf = (base: Job, early: Job, late: Job): Job =>
  mergedWork({ job: base, drafts: {} }, at(early, '1', 'a'), at(late, '2', 'b')).work.job;

/** A job that acts have been done to; one that cannot be done in words is left out. */
const after = (start: Job, acts: ((j: Job) => Job)[]): Job =>
  acts.reduce((now, change) => {
    const next = orRefusal(() => change(now));
    return next instanceof InputError || jobFault(next) ? now : next;
  }, start);

const acts = fc.array(act, { maxLength: 4 });
const car = fc.constantFrom(...cars);

describe('two states of one job', () => {
  test('come to one that can be read, the same in either tab, and either alone stands as it is', () => {
    fc.assert(
      fc.property(car, acts, acts, fc.boolean(), (base, inOne, inOther, sameTime) => {
        const [one, other] = [after(base, inOne), after(base, inOther)];
        const from = { job: base, drafts: {} };
        const [a, b] = [at(one, '1', 'a'), at(other, sameTime ? '1' : '2', 'b')];
        const here = mergedWork(from, a, b);
        const there = mergedWork(from, b, a);
        expect(there).toEqual(here);
        expect(readJob(writeJob(here.work.job))).toEqual(JSON.parse(writeJob(here.work.job)));
        expect(mergedWork(from, at(base, '3', 'a'), b).work.job).toEqual(other);
        // Brought together once more, nothing changes: neither tab goes on saving.
        expect(sameStored(mergedWork(b, b, at(here.work.job, '2', 'a')).work.job, here.work.job)).toBe(true);
      }),
      { numRuns: 150 },
    );
  }, 60_000);

  const reading = (value: number, when: string) => ({
    value,
    typed: `${value}`,
    at: `2026-01-01T00:00:0${when}Z`,
  });
  const part = (id: string, name = id) => ({ id, name, wanted: 1 });
  const withParts = (j: Job, ...parts: ReturnType<typeof part>[]): Job => ({
    ...j,
    record: { ...j.record, parts },
  });
  const withTrack = (j: Job, ...track: ReturnType<typeof reading>[]): Job => ({ ...j, readings: { track } });
  const bare = newJob('a', 'a', 'mm');

  test('each one’s additions to a list, each one’s change of an entry, and each one’s removal', () => {
    const base = withParts(bare, part('a'), part('b'), part('c'));
    const one = withParts(base, part('a', 'A'), part('b'), part('c'), part('d'));
    const other = withParts(base, part('a'), part('b', 'B'), part('e'));
    const both = mergedOf(base, one, other).record.parts;
    expect(both.map((p) => p.id).sort()).toEqual(['a', 'b', 'd', 'e']);
    expect(both.map((p) => p.name)).toEqual(expect.arrayContaining(['A', 'B']));
  });

  test('readings of one place taken in both are all there, in the order of their taking', () => {
    const base = withTrack(bare, reading(1400, '1'));
    const one = withTrack(base, reading(1400, '1'), reading(1401, '2'));
    const other = withTrack(base, reading(1400, '1'), reading(1402, '3'));
    expect(mergedOf(base, one, other).readings.track!.map((r) => r.value)).toEqual([1400, 1401, 1402]);
    // Struck in one, while another was read in the other.
    const struck = withTrack(base, { ...reading(1400, '1'), struck: true } as never);
    expect(mergedOf(base, struck, other).readings.track).toEqual([
      { ...reading(1400, '1'), struck: true },
      reading(1402, '3'),
    ]);
  });

  test('what was changed in one is not taken out by the other', () => {
    const base = withParts(bare, part('a'));
    expect(mergedOf(base, withParts(base), withParts(base, part('a', 'A'))).record.parts).toEqual([
      part('a', 'A'),
    ]);
    expect(mergedOf(base, withParts(base, part('a', 'A')), withParts(base)).record.parts).toEqual([
      part('a', 'A'),
    ]);
  });

  test('the later stands where both changed one value; the other can be had instead', () => {
    const from = { job: bare, drafts: {} };
    const [one, other] = [
      at({ ...bare, car: 'one' }, '2', 'a'),
      at({ ...bare, car: 'other', notes: 'n' }, '1', 'b'),
    ];
    const { work, otherWay } = mergedWork(from, one, other);
    expect(work.job).toMatchObject({ car: 'one', notes: 'n' });
    expect(otherWay!.job).toMatchObject({ car: 'other', notes: 'n' });
    expect(partings(work.job, otherWay!.job).map(sayPlace)).toEqual(['Car']);
  });

  test('a mount moved up in one and out in the other is moved both ways; in a coil and a leaf there are no halves', () => {
    const base = cars[0]!;
    const move = (axis: 0 | 1 | 2, mm: number) =>
      withMounts(base, [{ member: 'panhard', end: 'chassis', axis, mm }]);
    const both = mergedOf(base, move(2, 333), move(1, 444)).rig.members.find((m) => m.id === 'panhard')!;
    expect((both as { chassis: number[] }).chassis.slice(1)).toEqual([444, 333]);
    expect(
      merged<unknown>({ kind: 'coil', rate: 1 }, { kind: 'leaf', count: 3 }, { kind: 'coil', rate: 2 }).value,
    ).toEqual({
      kind: 'coil',
      rate: 2,
    });
  });

  test('a layout comes with its own members, whatever the other tab did to those before', () => {
    const base = cars.find((c) => c.rig.end === 'rear')!;
    const relaid = withLayout(
      base,
      base.layout === 'three-link-watts' ? 'three-link-panhard' : 'three-link-watts',
    );
    const moved = withMounts(base, [{ member: base.rig.members[0]!.id, end: 'chassis', axis: 2, mm: 400 }]);
    for (const [early, late] of [
      [relaid, moved],
      [moved, relaid],
    ] as const) {
      const both = mergedJob(base, early, late);
      expect(both.clash).toBe(true);
      expect(both.value).toMatchObject({ layout: late.layout, rig: { members: late.rig.members } });
    }
    const noted = { ...base, notes: 'unhurt' };
    expect(mergedJob(base, relaid, noted).value).toMatchObject({ layout: relaid.layout, notes: 'unhurt' });
  });

  test('what fits in neither’s file together gives way to the later, and is said', () => {
    const many = (letter: string) => Array.from({ length: 150 }, (_, i) => part(`${letter}${i}`));
    const [one, other] = [withParts(bare, ...many('a')), withParts(bare, ...many('b'))];
    const { work, otherWay } = mergedWork({ job: bare, drafts: {} }, at(one, '1', 'a'), at(other, '2', 'b'));
    expect(work.job.record.parts).toEqual(many('b'));
    expect(otherWay!.job.record.parts).toEqual(many('a'));
  });
});

describe('an act and its undoing', () => {
  let stop = () => {};
  /** What another tab writes, at once; how long ago it says it was changed, ms. */
  const put = (change: object | ((stored: Job) => object), ago = 0) =>
    db.transaction('rw', db.jobs, db.shelf, async () => {
      const row = (await db.jobs.get('a'))!;
      const updatedAt = new Date(Date.now() - ago).toISOString();
      const changed = typeof change === 'function' ? change(row.job as Job) : change;
      await putJob({ ...row, job: { ...(row.job as Job), ...changed }, by: 'another', updatedAt });
    });
  beforeEach(async () => {
    standInStorage();
    takeNotices();
    await Promise.all(db.tables.map((table) => table.clear()));
    await putJob({ id: 'a', updatedAt: '', job: newJob('a', 'start', 'mm'), drafts: {} });
    await openJob('a');
    stop = startAutosave();
  });
  afterEach(async () => {
    await settle();
    stop();
  });

  test('typing in one field is one act, until the field is left', () => {
    for (const name of ['n', 'na', 'nam']) inOneAct('name', () => edit((j) => ({ ...j, name })));
    inOneAct('car', () => edit((j) => ({ ...j, car: 'c' })));
    inOneAct('name', () => edit((j) => ({ ...j, name: 'name' })));
    endAct();
    inOneAct('name', () => edit((j) => ({ ...j, name: 'names' })));
    const seen = [];
    for (let i = 0; i < 4; i++) {
      undo();
      seen.push([job().name, job().car]);
    }
    expect(seen).toEqual([
      ['name', 'c'],
      ['nam', 'c'],
      ['nam', ''],
      ['start', ''],
    ]);
    for (let i = 0; i < 4; i++) redo();
    expect(job().name).toBe('names');
  });

  test('what comes in from another tab is no step of undo, and undo leaves it alone', async () => {
    edit((j) => ({ ...j, name: 'mine' }));
    await settle();
    await sleep(200);
    await put({ notes: 'theirs' });
    await sleep(200);
    expect(job()).toMatchObject({ name: 'mine', notes: 'theirs' });
    expect(actsDone().past).toHaveLength(1);
    undo();
    expect(job()).toMatchObject({ name: 'start', notes: 'theirs' });
    redo();
    expect(job()).toMatchObject({ name: 'mine', notes: 'theirs' });
    expect(await settle()).toBe(true);
    expect((await db.jobs.get('a'))!.job).toMatchObject({ name: 'mine', notes: 'theirs' });
  });

  test('undo and redo are there after a reload, with what another tab has done since', async () => {
    for (const name of ['one', 'two', 'three']) edit((j) => ({ ...j, name }));
    undo();
    await settle();
    await sleep(100);
    stop();
    await put({ notes: 'since' });
    putOnBench(newJob('b', 'else', 'mm'), {});
    await openJob('a');
    expect(job()).toMatchObject({ name: 'two', notes: 'since' });
    redo();
    expect(job()).toMatchObject({ name: 'three', notes: 'since' });
    for (let i = 0; i < 3; i++) undo();
    expect(job()).toMatchObject({ name: 'start', notes: 'since' });
  });

  test('a page that went before it had kept its last acts leaves them as one; a state among those kept is found there', async () => {
    for (const name of ['one', 'two']) edit((j) => ({ ...j, name }));
    await settle();
    const kept = (await db.acts.get(['a', SEAT]))!;
    for (const name of ['three', 'four']) edit((j) => ({ ...j, name }));
    await settle();
    stop();
    await db.acts.put(kept);
    putOnBench(newJob('b', 'else', 'mm'), {});
    await openJob('a');
    expect(job().name).toBe('four');
    undo();
    expect(job().name).toBe('two');
    undo();
    expect(job().name).toBe('one');

    // Undone, stored, and gone before that was kept.
    await db.jobs.update('a', { job: kept.past[1]! });
    await db.acts.put(kept);
    putOnBench(newJob('b', 'else', 'mm'), {});
    await openJob('a');
    expect(job().name).toBe('one');
    redo();
    expect(job().name).toBe('two');
    undo();
    undo();
    expect(job().name).toBe('start');
  });

  test('300 acts are kept, and on the disk they share what is alike in them', async () => {
    for (let i = 0; i < 310; i++) edit((j) => ({ ...j, name: `${i}` }));
    await settle();
    await sleep(100);
    putOnBench(newJob('b', 'else', 'mm'), {});
    await openJob('a');
    const { past } = actsDone();
    expect(past).toHaveLength(300);
    expect(new Set(past.map((j) => j.rig)).size).toBe(1);
    for (let i = 0; i < 300; i++) undo();
    expect(job().name).toBe('9');
  });

  test('nothing comes in during a drag; what was dragged and what came in are both there after it', async () => {
    const drop = beginGesture()!;
    await put({ notes: 'theirs' });
    await sleep(200);
    expect(job().notes).toBe('');
    edit((j) => ({ ...j, name: 'dragged' }));
    drop();
    await sleep(500);
    expect(job()).toMatchObject({ name: 'dragged', notes: 'theirs' });
    expect((await db.jobs.get('a'))!.job).toMatchObject({ name: 'dragged', notes: 'theirs' });
    undo();
    expect(job()).toMatchObject({ name: 'start', notes: 'theirs' });
  });

  test.each([
    ['mine', 60_000],
    ['theirs', -60_000],
  ])(
    'of one value changed in both the later stands (%s), the loss is said and can be taken back',
    async (stands, ago) => {
      await settle();
      edit((j) => ({ ...j, car: 'first' }));
      await settle();
      await sleep(200);
      // Theirs is on the disk before this tab has heard of it.
      const heard = put({ car: 'theirs' }, ago);
      edit((j) => ({ ...j, car: 'mine' }));
      await heard;
      await settle();
      await sleep(500);
      expect((await db.jobs.get('a'))!.job.car).toBe(stands);
      expect(job().car).toBe(stands);
      const told = takeNotices().find(({ key }) => key === 'clash')!;
      expect(told.description).toMatch(/^Car/);
      told.action!.act();
      expect(job().car).toBe(stands === 'mine' ? 'theirs' : 'mine');
    },
  );

  test('letters typed while both are being brought together stand, whatever the other tab types later elsewhere', async () => {
    const name = (name: string) => edit((j) => ({ ...j, name }));
    const theirs = put({ notes: 'n' });
    name('c');
    await theirs;
    while ((await db.jobs.get('a'))!.job.name !== 'c') await sleep(1);
    name('car');
    await put({ notes: 'no' }, -1000);
    await settle();
    await sleep(300);
    expect(job()).toMatchObject({ name: 'car', notes: 'no' });
    expect((await db.jobs.get('a'))!.job).toMatchObject({ name: 'car', notes: 'no' });
    expect(takeNotices()).toEqual([]);
  });

  test('two hands at once, at whatever pace: no letter of either is lost', async () => {
    const paces = fc.array(fc.tuple(fc.nat(70), fc.nat(70)), { minLength: 6, maxLength: 12 });
    await fc.assert(
      fc.asyncProperty(paces, async (pauses) => {
        edit((j) => ({ ...j, name: 'mine ' }));
        await put({ notes: 'theirs ' });
        const hand = async (which: 0 | 1, type: () => unknown) => {
          for (const pause of pauses) {
            await sleep(pause[which]);
            await type();
          }
        };
        await Promise.all([
          hand(0, () => edit((j) => ({ ...j, name: `${j.name}m` }))),
          hand(1, () => put((stored: Job) => ({ notes: `${stored.notes}t` }))),
        ]);
        await settle();
        await sleep(150);
        await settle();
        const all = {
          name: `mine ${'m'.repeat(pauses.length)}`,
          notes: `theirs ${'t'.repeat(pauses.length)}`,
        };
        expect(job()).toMatchObject(all);
        expect((await db.jobs.get('a'))!.job).toMatchObject(all);
      }),
      { numRuns: 15, endOnFailure: true },
    );
  }, 90_000);

  test('a way back that no longer goes is said, and the job stays as it is', () => {
    putOnBench(
      newJob('a', 'now', 'mm'),
      {},
      { past: [{ ...newJob('a', 'x', 'mm'), cornerG: 99 }], future: [] },
    );
    undo();
    expect(job().name).toBe('now');
    expect(takeNotices().map((n) => n.key)).toEqual(['unfit']);
  });
});
