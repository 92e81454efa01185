import fc from 'fast-check';
import { buildBook } from '@/core/book/book';
import { viewsOf } from '@/core/book/views';
import { attachmentsIn } from '@/core/fabricate/paper/attachments';
import { Document } from '@/core/fabricate/paper/document';
import { PAPERS } from '@/core/fabricate/paper/text';
import { readJob, writeJob } from '@/core/job/file';
import type { Job } from '@/core/job/jobSchema';
import { withDone } from '@/core/plan/edits';
import { tasksOf } from '@/core/plan/plan';
import { advanced } from '@/core/weld/holdPoint';
import { withApplied } from '@/core/weld/torqueSheet';
import { demoJobs } from '@/store/demo';
import { pdfPages } from '../../support/programs/printed';

const NOW = '2026-03-01T10:00:00.000Z';
const attachedOf = (job: Job) => ({
  name: 'job.pellik.json',
  type: 'application/json',
  about: 'the job',
  bytes: new TextEncoder().encode(writeJob(job)),
});

/** The words of a document, page by page. */
const wordsIn = (bytes: Uint8Array): string[] => pdfPages(bytes).map(({ words }) => words.join(' '));

/** A job that something was done to: a step, a bracket past its hold, a torque. */
function worked(): Job {
  const job = demoJobs()[4]!;
  const photos = tasksOf(job).find(({ id }) => id === 'apart/photos')!;
  const noted = withDone(job, photos, NOW, { note: 'Blue album' });
  const open = [
    { id: 'level', label: 'Bar level', step: 'tack', holds: null, stripe: { kind: 'none' } },
  ] as never;
  const past = advanced(
    noted,
    { member: 'panhard', bracket: 'frame' },
    open,
    NOW,
    'Mock-up, comes off again',
  );
  if (!past.ok) throw new Error('held');
  return withApplied(past.job, 'panhard/chassis', 100_000, NOW);
}

test('a book tells what was found, designed, done, passed over, tightened and driven; and its job comes out of it as it went in', async () => {
  const job = worked();
  const bytes = await buildBook(job, [], attachedOf(job), '1 March 2026');
  const pages = wordsIn(bytes);
  const all = pages.join(' ').replace(/\s+/g, ' ');
  for (const words of [
    job.name,
    'As found',
    'As designed',
    'As built',
    'What stood open',
    'Photograph everything as it is',
    'Blue album',
    'Mock-up, comes off again',
    'Open: Bar level',
    'Gravel pit lot',
    'Torque',
    '100 N·m',
    'Cautions that were given',
    'not certification',
  ])
    expect(all).toContain(words);
  expect(all).not.toMatch(/undefined|NaN|null|\[object/);
  pages.forEach((page, i) => expect(page).toContain(`page ${i + 1} of ${pages.length}`));
  const [found, ...others] = await attachmentsIn(bytes);
  expect(others).toEqual([]);
  expect(found!.name).toBe('job.pellik.json');
  expect(readJob(new TextDecoder().decode(found!.bytes))).toEqual(job);
});

test.each(demoJobs().map((job) => [job.name, job] as const))('of %s a book can be made', async (_, job) => {
  const bytes = await buildBook(job, [], attachedOf(job), '1 March 2026');
  expect(wordsIn(bytes).join(' ')).not.toMatch(/undefined|NaN|null|\[object/);
});

test('any attachment comes out as it went in, whatever is in it; a document without one has none, and what is no document says so', async () => {
  await fc.assert(
    fc.asyncProperty(
      fc.uint8Array({ maxLength: 4000 }),
      fc.stringMatching(/^[a-z0-9 ]{1,20}\.pellik\.zip$/),
      async (bytes, name) => {
        const doc = await Document.begin('A', 'a', 'letter');
        doc.text('words');
        await doc.attach({ name, type: 'application/zip', about: 'it', bytes });
        const [found] = await attachmentsIn(await doc.end());
        expect(found!.name).toBe(name);
        expect(Buffer.from(found!.bytes).equals(Buffer.from(bytes))).toBe(true);
      },
    ),
    { numRuns: 25 },
  );
  const plain = await Document.begin('A', 'a', 'a4');
  expect(await attachmentsIn(await plain.end())).toEqual([]);
  await expect(attachmentsIn(new TextEncoder().encode('%PDF-1.7 and no more'))).rejects.toThrow();
});

test('words of any length stay on the page, and none is lost', async () => {
  await fc.assert(
    fc.asyncProperty(
      fc.array(fc.stringMatching(/^[a-zA-Z]{1,120}$/), { minLength: 1, maxLength: 60 }),
      async (words) => {
        const doc = await Document.begin('A', 'a', 'letter');
        doc.text(words.join(' '));
        doc.table(['head', 'other'], [[words.join(' '), words[0]!]], [0.7, 0.3]);
        const bytes = await doc.end();
        const pages = pdfPages(bytes);
        for (const { ends, width } of pages)
          for (const end of ends) expect(end).toBeLessThanOrEqual(width - 10);
        const letters = pages.flatMap((page) => page.words).join('');
        const wanted = words.join('');
        expect(letters.replace(/ /g, '')).toContain(wanted.slice(0, 40));
        const count = (text: string) => [...text].filter((c) => /[a-zA-Z]/.test(c)).length;
        expect(count(letters)).toBeGreaterThanOrEqual(2 * wanted.length);
      },
    ),
    { numRuns: 8 },
  );
});

test('a photograph that is none is told in its place; the rest of the book stands', async () => {
  const job = demoJobs()[0]!;
  const bytes = await buildBook(
    job,
    [{ item: 'plan/apart/photos', at: NOW, jpeg: new Uint8Array([1, 2, 3]) }],
    attachedOf(job),
    '1 March 2026',
  );
  expect(wordsIn(bytes).join(' ')).toContain(
    'Photograph everything as it is, 2026-03-01: a photograph that cannot be read',
  );
});

test('the views are the car: as wide as its track and tyres from behind, turned round with it', () => {
  for (const job of demoJobs()) {
    const [behind, left, above] = viewsOf(job);
    const across = (view: typeof behind, k: 0 | 1) => {
      const all = view!.lines.flatMap(({ points }) => points.map((p) => p[k]));
      return [Math.min(...all), Math.max(...all)] as const;
    };
    const [least, most] = across(behind, 0);
    expect(most - least).toBeGreaterThan(job.rig.track);
    // The same heights from behind and from the side; the same widths from behind and from above.
    expect(across(left, 1)[0]).toBeCloseTo(across(behind, 1)[0], 6);
    expect(across(above, 0)).toEqual(across(behind, 0));
  }
});

test.each(['letter', 'a4'] as const)('a document on %s paper is as large as that', async (paper) => {
  const doc = await Document.begin('A', 'a', paper);
  doc.heading('One');
  const [page] = pdfPages(await doc.end());
  expect(page!.width).toBeCloseTo(PAPERS[paper][0], 3);
  expect(page!.height).toBeCloseTo(PAPERS[paper][1], 3);
});
