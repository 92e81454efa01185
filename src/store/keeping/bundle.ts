import * as z from 'zod/mini';
import {
  BlobReader,
  BlobWriter,
  configure,
  TextReader,
  ZipReader,
  ZipWriter,
  type FileEntry,
} from '@zip.js/zip.js';
import { fileStem, readJob, writeJob } from '@/core/job/file';
import type { Job } from '@/core/job/jobSchema';
import { InputError, LARGEST_FILE, parseJson, validate } from '@/core/rig/read';
import type { PhotoRow } from '../storage/db';

// The browser's own inflating; nothing is started or compiled for it.
configure({ useWebWorkers: false, useCompressionStream: true });

/** The most that is read: of one zip, of what comes out of it, and of one photo, bytes; and how many files. */
export const MOST = { zip: 2 ** 30, unpacked: 2 ** 30, photo: 20 * 2 ** 20, files: 20_000 };

const CONTENTS = 'pellik.json';

const name = z.string().check(z.regex(/^[\w-]+(\/[\w.-]+)*$/, 'a plain path'), z.maxLength(200));
const bundleSchema = z.strictObject({
  format: z.literal('pellik.bundle'),
  version: z.literal(1),
  at: z.iso.datetime(),
  jobs: z
    .array(
      z.strictObject({
        job: name,
        photos: z
          .array(
            z.strictObject({
              file: name,
              item: z.string().check(z.maxLength(160)),
              at: z.string().check(z.maxLength(40)),
            }),
          )
          .check(z.maxLength(5000)),
      }),
    )
    .check(z.minLength(1), z.maxLength(5000)),
});
type Contents = z.infer<typeof bundleSchema>;

export type Photo = Pick<PhotoRow, 'item' | 'at' | 'image'>;
export type Packed = { job: Job; photos: Photo[] };

/** Jobs with their photos as one zip: each in a folder of its own, and a list of what is where. `docs/file-formats.md` describes it. */
export async function packed(all: Packed[]): Promise<Blob> {
  const zip = new ZipWriter(new BlobWriter('application/zip'));
  const contents: Contents = { format: 'pellik.bundle', version: 1, at: new Date().toISOString(), jobs: [] };
  for (const [i, { job, photos }] of all.entries()) {
    const folder = `${i + 1}-${fileStem(job.name).replace(/[^a-z0-9-]/g, '') || 'job'}`;
    const named = photos.map(({ item, at, image }, n) => ({
      file: `${folder}/photo-${n + 1}.jpg`,
      item,
      at,
      image,
    }));
    await zip.add(`${folder}/job.pellik.json`, new TextReader(writeJob(job)));
    // A picture is as small as it gets.
    for (const { file, image } of named) await zip.add(file, new BlobReader(image), { level: 0 });
    contents.jobs.push({
      job: `${folder}/job.pellik.json`,
      photos: named.map(({ file, item, at }) => ({ file, item, at })),
    });
  }
  await zip.add(CONTENTS, new TextReader(JSON.stringify(contents, null, 2)));
  return zip.close();
}

/**
 * Jobs and photos of a zip. Nothing is written out of it, and no more is read than it may hold.
 *
 * @throws InputError where it is cut off, damaged, not of Pellik, or holds too much
 */
export async function unpacked(file: Blob): Promise<Packed[]> {
  if (file.size > MOST.zip) throw new InputError('', 'larger than 1 GB, the most that is read');
  const zip = new ZipReader(new BlobReader(file));
  try {
    const entries = await listed(zip);
    let left = MOST.unpacked;
    const read = async (path: string, most: number): Promise<Blob> => {
      const entry = entries.get(path);
      if (!entry)
        throw new InputError(
          path,
          'named in the list of contents, but not in the zip: it is cut off or not whole',
        );
      const blob = await inflated(entry, Math.min(most, left));
      left -= blob.size;
      return blob;
    };
    const { jobs } = validate(bundleSchema, parseJson(await (await read(CONTENTS, LARGEST_FILE)).text()));
    const out: Packed[] = [];
    for (const { job, photos } of jobs) {
      const text = await (await read(job, LARGEST_FILE)).text();
      const pictures: Photo[] = [];
      for (const { file: path, item, at } of photos)
        pictures.push({ item, at, image: await read(path, MOST.photo) });
      out.push({ job: withPlace(job, () => readJob(text)), photos: pictures });
    }
    return out;
  } catch (error) {
    if (error instanceof InputError) throw error;
    throw new InputError('', `a zip that cannot be read: cut off or damaged (${(error as Error).message})`);
  } finally {
    await zip.close();
  }
}

async function listed(zip: ZipReader<Blob>): Promise<Map<string, FileEntry>> {
  const entries = new Map<string, FileEntry>();
  for await (const entry of zip.getEntriesGenerator()) {
    if (entry.directory) continue;
    entries.set(entry.filename, entry);
    if (entries.size > MOST.files) throw new InputError('', `holds more than ${MOST.files} files`);
  }
  if (!entries.has(CONTENTS))
    throw new InputError(CONTENTS, 'a zip that Pellik has made: this one has no list of contents');
  return entries;
}

/** What is in an entry, given up as soon as it is more than may come: the size that it says itself may be a lie. */
async function inflated(entry: FileEntry, most: number): Promise<Blob> {
  const tooLarge = () =>
    new InputError(
      entry.filename,
      `more than ${Math.floor(most / 2 ** 20)} MB once unpacked, the most that is read`,
    );
  if (entry.encrypted) throw new InputError(entry.filename, 'a file without a password');
  if (entry.uncompressedSize > most) throw tooLarge();
  const pieces: Uint8Array<ArrayBuffer>[] = [];
  let bytes = 0;
  await entry.getData(
    new WritableStream<Uint8Array<ArrayBuffer>>({
      write(piece) {
        bytes += piece.byteLength;
        if (bytes > most) throw tooLarge();
        pieces.push(piece);
      },
    }),
    { checkSignature: true },
  );
  return new Blob(pieces, { type: /\.jpe?g$/.test(entry.filename) ? 'image/jpeg' : '' });
}

function withPlace<T>(place: string, work: () => T): T {
  try {
    return work();
  } catch (error) {
    if (!(error instanceof InputError)) throw error;
    throw new InputError([place, error.path].filter(Boolean).join(': '), error.expected);
  }
}
