'use client';
import { Button } from 'antd';
import { useState } from 'react';
import { newJob } from '@/core/job/newJob';
import { InputError } from '@/core/rig/read';
import { putOnBench } from '@/store/jobStore';
import { say } from '@/store/notices';
import type { StorageProblem } from '@/store/storage/opening';
import { FileButton } from '@/ui/paper/FileButton';
import './job/shelf.css';

const WORDS: Record<StorageProblem, [what: string, cure: string]> = {
  newer: [
    'The jobs in this browser were last opened by a newer Pellik than this one.',
    'Nothing has been changed. Close every tab of Pellik and reload, so that the newer one comes; or take it from where it was installed.',
  ],
  held: [
    'Another tab holds the jobs open for an older Pellik.',
    'Close or reload the other tabs of Pellik, then try again.',
  ],
  silent: [
    'This browser’s storage does not answer.',
    'Close the other tabs of Pellik and try again; if it stays silent, restart the browser. The jobs are untouched.',
  ],
  refused: [
    'This browser would not open its storage, which Pellik keeps jobs in.',
    'A private window often forbids it, and so do settings that block site data: use a normal window, or allow it for this address.',
  ],
  full: [
    'This browser’s storage is full.',
    'Free some space on the disk, or remove what other sites have stored, then try again. The jobs are untouched.',
  ],
};

type Props = { problem: StorageProblem; onTry: () => void; onGoOn: () => void };

/** Said in place of the bench where the browser's storage cannot be worked in, with the ways on from there. */
export function NoStorage({ problem, onTry, onGoOn }: Props) {
  const [wrong, setWrong] = useState<string | null>(null);
  const [what, cure] = WORDS[problem];
  async function openFile(file: File) {
    try {
      const { jobsIn } = await import('@/store/keeping/files');
      const [first, ...others] = await jobsIn(file);
      if (!first) throw new InputError('', 'there is no job in it');
      putOnBench(first.job, {});
      onGoOn();
      const left = [
        first.photos.length > 0 && 'its photos, which need a storage',
        others.length > 0 && `${others.length} more ${others.length === 1 ? 'job' : 'jobs'} of the file`,
      ].filter((what) => what !== false);
      if (left.length > 0)
        say({
          kind: 'info',
          key: 'left',
          stays: true,
          title: `“${first.job.name || 'This job'}” is on the bench, without ${left.join(' and ')}.`,
          description: `They are still in ${file.name}.`,
        });
    } catch (error) {
      if (!(error instanceof InputError)) throw error;
      setWrong(`${file.name} was not taken in: ${error.message}.`);
    }
  }
  return (
    <main className="door" data-door={problem}>
      <h1>{what}</h1>
      <p>{cure}</p>
      <div className="shelf-buttons">
        <Button type="primary" onClick={onTry}>
          Try again
        </Button>
        <FileButton
          name="unstored-job"
          accept=".json,.zip,application/json,application/zip"
          onFile={(file) => void openFile(file)}
        >
          Work on a job file
        </FileButton>
        <Button
          onClick={() => {
            putOnBench(newJob('unstored', 'New job', 'in16'), {});
            onGoOn();
          }}
        >
          Start a job that is not stored
        </Button>
      </div>
      {wrong && <p role="alert">{wrong}</p>}
      <p className="hint">What is worked on without storage is gone with the page: export it to a file.</p>
    </main>
  );
}
