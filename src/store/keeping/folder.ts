import { fileStem } from '@/core/job/file';
import { db, type FolderRow } from '../storage/db';
import { jobFile, markExported } from './files';

type Picker = (options: { mode: 'readwrite' }) => Promise<FileSystemDirectoryHandle>;
type Asking = { queryPermission?: Ask; requestPermission?: Ask };
type Ask = (options: { mode: 'readwrite' }) => Promise<PermissionState>;

const picker = (): Picker | undefined =>
  (globalThis as { showDirectoryPicker?: Picker }).showDirectoryPicker?.bind(globalThis);

/** Whether this browser can save into a folder of the builder's choice. */
export const canSaveIntoFolder = (): boolean => picker() !== undefined;

export const chosenFolder = (): Promise<FolderRow | undefined> => db.folder.get(1);

/** Lets the builder choose a folder; jobs are saved into it from then on. @returns false where none was chosen */
export async function chooseFolder(): Promise<boolean> {
  try {
    const handle = await picker()!({ mode: 'readwrite' });
    await db.folder.put({ id: 1, handle });
    return true;
  } catch (error) {
    if ((error as Error).name === 'AbortError') return false;
    throw error;
  }
}

export const forgetFolder = (): Promise<void> => db.folder.delete(1);

/** Whether files may be written there now; a browser forgets its user's leave between visits. */
export async function mayWrite({ handle }: FolderRow): Promise<boolean> {
  return (await ask(handle, 'queryPermission')) === 'granted';
}

/** Asks for leave to write there, at a click of the builder's. */
export async function askLeave({ handle }: FolderRow): Promise<boolean> {
  return (await ask(handle, 'requestPermission')) === 'granted';
}

const ask = (handle: FileSystemDirectoryHandle, how: keyof Asking): Promise<PermissionState> =>
  (handle as Asking)[how]?.({ mode: 'readwrite' }) ?? Promise.resolve('granted');

/** Saves a job with its photos into the chosen folder, in place of its earlier file there. @returns whether it was */
export async function saveIntoFolder(jobId: string, name: string): Promise<boolean> {
  const folder = await chosenFolder();
  if (!folder || !(await mayWrite(folder))) return false;
  const { blob, name: called } = await jobFile(jobId, true);
  // Two jobs of one name are two files.
  const file = `${fileStem(name)}-${jobId.slice(-6)}${called.slice(called.indexOf('.pellik'))}`;
  const writable = await (await folder.handle.getFileHandle(file, { create: true })).createWritable();
  await writable.write(blob);
  await writable.close();
  await db.folder.update(1, { savedAt: new Date().toISOString() });
  await markExported({ id: jobId });
  return true;
}
