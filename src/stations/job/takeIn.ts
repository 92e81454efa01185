import { InputError } from '@/core/rig/read';
import { say } from '@/store/notices';
import { takeInFile } from '@/store/keeping/files';
import { fetchPutDown } from '@/store/keeping/handOver';
import { problemOf } from '@/store/storage/opening';
import { goTo } from '@/ui/shell/route';

/** Takes in a job file, or a zip of jobs and photos, and says what came of it. */
export async function takeIn(file: Blob, called: string): Promise<void> {
  try {
    const { ids, already } = await takeInFile(file);
    if (ids.length > 0) goTo(ids.at(-1)!, 'job');
    say({ kind: 'success', title: inWords(called, ids.length, already) });
  } catch (error) {
    say({
      kind: 'error',
      key: 'import',
      stays: true,
      title: `${called} was not taken in`,
      description: why(error),
    });
  }
}

/** Takes in what another device has put down for this one, where the page was opened for that. */
export async function takeHandedOver(code: string): Promise<void> {
  const file = await fetchPutDown(code);
  if (file) await takeIn(file, 'The job that was handed over');
  else
    say({
      kind: 'error',
      key: 'import',
      stays: true,
      title: 'There is nothing to fetch at this address, or no longer.',
      description: 'What is handed over waits for a quarter of an hour. Hand it over once more.',
    });
}

function inWords(called: string, taken: number, already: number): string {
  if (taken + already === 1) return `${called} is on the bench.`;
  const here = already > 0 ? ` ${already} were here already, just as they are.` : '';
  return `${called}: ${taken} jobs taken in.${here}`;
}

function why(error: unknown): string {
  if (error instanceof InputError)
    return `${error.message}. Nothing here was changed. Export it again where it came from, or mend the file at that place.`;
  if (problemOf(error) === 'full')
    return 'This browser’s storage is full. Nothing here was changed. Free some space, then try again.';
  throw error;
}
