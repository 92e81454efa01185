import Dexie from 'dexie';
import { DATABASE, DATABASE_VERSION, db } from './db';

/** Longest that a database is waited for, ms: one that is merely slow has answered by then. */
const PATIENCE = 10_000;

/** Dexie counts versions in tenths. */
const TENTHS = 10;

/** Why the browser's storage cannot be worked in. */
export type StorageProblem = 'newer' | 'held' | 'silent' | 'refused' | 'full';

export class StorageError extends Error {
  constructor(readonly problem: StorageProblem) {
    super(problem);
    this.name = 'StorageError';
  }
}

let opening: Promise<void> | null = null;

/** whether another tab keeps an older database from being brought up to date */
let held = false;
db.on('blocked', () => {
  held = true;
});

/**
 * Opens the browser's storage, once; a copy of an older database is kept before it is brought up to today's shape.
 *
 * @throws StorageError where it cannot be worked in; asked again, it tries again
 */
export function openStorage(): Promise<void> {
  opening ??= opened().catch((error: unknown) => {
    opening = null;
    throw error instanceof StorageError ? error : new StorageError(problemOf(error));
  });
  return opening;
}

async function opened(): Promise<void> {
  held = false;
  let patience: ReturnType<typeof setTimeout>;
  const waited = new Promise<never>((_, fail) => {
    patience = setTimeout(() => fail(new StorageError(held ? 'held' : 'silent')), PATIENCE);
  });
  await Promise.race([waited, careful()]).finally(() => clearTimeout(patience));
}

async function careful(): Promise<void> {
  const version = await installedVersion();
  if (version > DATABASE_VERSION) throw new StorageError('newer');
  if (version > 0 && version < DATABASE_VERSION) await keepCopy(version);
  await db.open();
}

/** 0 where there is none yet, or the browser does not say. */
async function installedVersion(): Promise<number> {
  const all = (await indexedDB.databases?.()) ?? [];
  return (all.find(({ name }) => name === DATABASE)?.version ?? 0) / TENTHS;
}

/** The name of the copy of a database of an older version. */
export const copyName = (version: number): string => `${DATABASE}-version-${version}`;

/** Every row of an older database, as it is, in a database beside it. */
async function keepCopy(version: number): Promise<void> {
  const old = new Dexie(DATABASE);
  const copy = new Dexie(copyName(version));
  try {
    await old.open();
    copy.version(1).stores(Object.fromEntries(old.tables.map(({ name }) => [name, ''])));
    for (const table of old.tables) {
      const keys = await table.toCollection().primaryKeys();
      for (const key of keys) await copy.table(table.name).put(await table.get(key), key);
    }
  } catch {
    // Half a copy is none; that there is no room for one must not keep the jobs themselves locked away.
    await copy.delete();
  } finally {
    old.close();
    copy.close();
  }
}

/** What a failing of the database comes to. */
export function problemOf(error: unknown): StorageProblem {
  const { name = '', message = '', inner } = error as { name?: string; message?: string; inner?: Error };
  const words = `${name} ${message} ${inner?.name ?? ''} ${inner?.message ?? ''}`;
  if (/quota/i.test(words)) return 'full';
  return /VersionError/i.test(words) ? 'newer' : 'refused';
}
