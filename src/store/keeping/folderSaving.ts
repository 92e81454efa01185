import { useJobStore } from '../jobStore';
import { chosenFolder, saveIntoFolder } from './folder';

/** How long nothing more is changed before the folder has it too, ms. */
const QUIET = 4000;

/** Saves the job on the bench into the chosen folder whenever it has been changed and then let be. @returns what ends it */
export function startFolderSaving(): () => void {
  let timer: ReturnType<typeof setTimeout>;
  const stop = useJobStore.subscribe((now, before) => {
    if (now.job === before.job || !now.job || now.job.id !== before.job?.id) return;
    clearTimeout(timer);
    timer = setTimeout(() => void save(), QUIET);
  });
  return () => {
    clearTimeout(timer);
    stop();
  };
}

async function save(): Promise<void> {
  const { job } = useJobStore.getState();
  if (!job || !(await chosenFolder())) return;
  try {
    await saveIntoFolder(job.id, job.name);
  } catch {
    // A folder that is gone, or a stick that was pulled: what is stored in the browser is as it was, and its page says when the folder last had it.
  }
}
