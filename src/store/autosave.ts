import { db } from './db';
import { useJobStore } from './jobStore';

/** Long enough to keep the disk out of a drag, short enough that a pulled plug costs nothing. */
const REST_MS = 250;

/**
 * Writes the job on the bench to the browser's database whenever it or a half-typed field changes.
 *
 * The first change is written at once; while more keep coming, at most one write runs at a time, and the last always gets
 * written. @returns a function that stops it
 */
export function startAutosave(): () => void {
  let writing = false;
  let dirty = false;

  async function write(): Promise<void> {
    if (writing) {
      dirty = true;
      return;
    }
    writing = true;
    useJobStore.setState({ saving: { kind: 'saving' } });
    do {
      dirty = false;
      const { job, drafts } = useJobStore.getState();
      if (job) await put(job, drafts);
      await new Promise((rest) => setTimeout(rest, REST_MS));
    } while (dirty);
    writing = false;
  }

  async function put(
    job: NonNullable<ReturnType<typeof useJobStore.getState>['job']>,
    drafts: Record<string, string>,
  ) {
    try {
      await db.jobs.put({
        id: job.id,
        name: job.name,
        car: job.car,
        updatedAt: new Date().toISOString(),
        job,
        drafts,
      });
      useJobStore.setState({ saving: { kind: 'saved' } });
    } catch (error) {
      useJobStore.setState({ saving: { kind: 'failed', message: explain(error) } });
    }
  }

  return useJobStore.subscribe((now, before) => {
    const sameJob = now.job?.id === before.job?.id && before.job !== null;
    if (sameJob && (now.job !== before.job || now.drafts !== before.drafts)) void write();
  });
}

function explain(error: unknown): string {
  const name = error instanceof Error ? error.name : '';
  if (/quota/i.test(name))
    return 'This browser’s storage is full. Export the job to a file now, then free some space.';
  return 'This browser would not store the job. Export it to a file now, so that nothing is lost.';
}
