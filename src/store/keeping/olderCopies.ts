import Dexie from 'dexie';
import { DATABASE } from '../storage/db';
import { copyName } from '../storage/opening';

const PREFIX = copyName(0).slice(0, -1);

/** Copies of the database that were kept before it was brought up to a newer version, by name. */
export const olderCopies = async (): Promise<string[]> =>
  (await Dexie.getDatabaseNames()).filter((name) => name.startsWith(PREFIX) && name !== DATABASE);

/** All that is in such a copy but the pictures, as text. */
export async function copyAsText(name: string): Promise<string> {
  const copy = await new Dexie(name).open();
  try {
    const tables: Record<string, unknown[]> = {};
    for (const table of copy.tables) tables[table.name] = await table.toArray();
    return `${JSON.stringify(tables, (_, value: unknown) => (value instanceof Blob ? `picture, ${value.size} bytes` : value), 2)}\n`;
  } finally {
    copy.close();
  }
}

export const removeCopy = (name: string): Promise<void> => Dexie.delete(name);
