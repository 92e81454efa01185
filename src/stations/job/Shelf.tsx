'use client';
import { Button } from 'antd';
import { liveQuery } from 'dexie';
import { useEffect, useState } from 'react';
import { fileName } from '@/core/job/file';
import { InputError } from '@/core/rig/read';
import type { JobRow } from '@/store/db';
import { useJob } from '@/store/jobStore';
import { say } from '@/store/notices';
import { copyJob, exportText, importJob, listJobs, removeJob, restoreJob, startJob } from '@/store/shelf';
import { FileButton } from '@/ui/paper/FileButton';
import { saveText } from '@/ui/paper/saveFile';
import { goTo } from '@/ui/shell/route';

/** Every job in this browser: open, start, copy, take off the shelf; and the way in and out as a file. */
export function Shelf() {
  const job = useJob();
  const rows = useShelf();

  async function takeIn(file: File) {
    try {
      goTo(await importJob(file), 'job');
      say({ kind: 'success', title: `${file.name} is on the bench.` });
    } catch (error) {
      if (!(error instanceof InputError)) throw error;
      say({
        kind: 'error',
        key: 'import',
        stays: true,
        title: `${file.name} was not taken in`,
        description: `${error.message}. The job on the bench is as it was. Export the job again where it came from, or mend the file at that place.`,
      });
    }
  }

  async function remove(row: JobRow) {
    const stored = await removeJob(row.id);
    if (row.id === job.id) window.location.hash = '';
    if (!stored) return;
    say({
      kind: 'info',
      key: row.id,
      title: `“${row.name}” is off the shelf.`,
      action: { label: 'Put it back', act: () => void restoreJob(stored) },
    });
  }

  return (
    <section className="section shelf" aria-label="Jobs in this browser">
      <h2>The shelf</h2>
      <div className="shelf-buttons">
        <Button type="primary" onClick={async () => goTo(await startJob('New job', job.tape), 'job')}>
          New job
        </Button>
        <FileButton name="job" accept=".json,application/json" onFile={(file) => void takeIn(file)}>
          Import a job file
        </FileButton>
        <Button onClick={() => saveText(fileName(job), exportText())}>Export this job</Button>
      </div>
      <ul>
        {rows.map((row) => (
          <li key={row.id} aria-current={row.id === job.id || undefined}>
            <button type="button" className="shelf-open" onClick={() => goTo(row.id, 'job')}>
              <b>{row.name || 'Unnamed job'}</b>
              <span className="hint">{row.id === job.id ? 'on the bench' : row.car}</span>
            </button>
            <Button
              type="text"
              aria-label={`Copy ${row.name}`}
              onClick={async () => {
                const id = await copyJob(row.id);
                if (id) goTo(id, 'job');
              }}
            >
              copy
            </Button>
            <Button
              type="text"
              aria-label={`Remove ${row.name}`}
              disabled={rows.length === 1}
              onClick={() => void remove(row)}
            >
              remove
            </Button>
          </li>
        ))}
      </ul>
      <p className="hint">
        Jobs live in this browser on this device. Export a job to keep a copy, or to move it.
      </p>
    </section>
  );
}

function useShelf(): JobRow[] {
  const [rows, setRows] = useState<JobRow[]>([]);
  useEffect(() => {
    const subscription = liveQuery(listJobs).subscribe({ next: setRows });
    return () => subscription.unsubscribe();
  }, []);
  return rows;
}
