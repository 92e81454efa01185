'use client';
import { Button } from 'antd';
import { liveQuery } from 'dexie';
import { lazy, memo, useEffect, useState } from 'react';
import { useJobStore } from '@/store/jobStore';
import { askPromise } from '@/store/keeping/persistence';
import { say } from '@/store/notices';
import { binJob, takeBack } from '@/store/storage/bin';
import { db, type ShelfRow } from '@/store/storage/db';
import { copyJob, listJobs, rawText, startJob } from '@/store/storage/shelf';
import { Opened } from '@/ui/Opened';
import { FileButton } from '@/ui/paper/FileButton';
import { saveText } from '@/ui/paper/saveFile';
import { goTo } from '@/ui/shell/route';
import './shelf.css';

const Safe = lazy(async () => ({ default: (await import('./Safe')).Safe }));
const Bin = lazy(async () => ({ default: (await import('./Bin')).Bin }));
const Earlier = lazy(async () => ({ default: (await import('./Earlier')).Earlier }));

/** Lines shown until more are asked for: a letter typed in the job's name changes one of them. */
const AT_FIRST = 40;

type Props = {
  /** the job that the shelf is looked at from: its way out as a file and its earlier states are at hand */
  jobId: string | null;
};

/** Every job in this browser: open, start, copy, take off the shelf; the way in and out as a file; what was, and what was thrown away. */
export const Shelf = memo(function Shelf({ jobId }: Props) {
  const onBench = useJobStore((s) => (s.job?.id === jobId ? jobId : null));
  const tape = useJobStore((s) => s.job?.tape ?? 'in16');
  const [open, setOpen] = useState<'bin' | 'earlier' | 'safe' | null>(null);
  const [most, setMost] = useState(AT_FIRST);
  const { rows, more } = useShelf(most);
  const alone = rows.filter((r) => r.fault === undefined).length <= 1;
  return (
    <section className="section shelf" aria-label="Jobs in this browser">
      <h2>The shelf</h2>
      <div className="shelf-buttons">
        <Button
          type="primary"
          onClick={async () => {
            goTo(await startJob('New job', tape), 'job');
            // The first job of the builder’s own is what there is to lose.
            void askPromise();
          }}
        >
          New job
        </Button>
        <FileButton
          name="job"
          accept=".json,.zip,.pdf,application/json,application/zip,application/pdf"
          onFile={(file) => void import('./takeIn').then(({ takeIn }) => takeIn(file, file.name))}
        >
          Import a job file
        </FileButton>
        {onBench !== null && (
          <Button
            onClick={() => void import('@/ui/paper/exportJob').then(({ exportJob }) => exportJob(true))}
          >
            Export this job
          </Button>
        )}
      </div>
      <ul>
        {rows.map(({ id, name, car, fault }) => (
          <Line
            key={id}
            {...{ id, name, car, fault }}
            current={id === onBench}
            last={alone && fault === undefined}
          />
        ))}
      </ul>
      {more > 0 && (
        <Button type="link" onClick={() => setMost(Infinity)}>
          {more} more, touched longer ago
        </Button>
      )}
      <div className="shelf-buttons">
        {jobId !== null && <Button onClick={() => setOpen('earlier')}>Earlier states</Button>}
        <Button onClick={() => setOpen('bin')}>Bin</Button>
        <Button onClick={() => setOpen('safe')}>Keep it safe</Button>
      </div>
      <p className="hint">
        Jobs live in this browser on this device. {onBench !== null && <LastExport id={onBench} />}
      </p>
      <Opened open={open === 'safe'}>
        <Safe open={open === 'safe'} onClose={() => setOpen(null)} />
      </Opened>
      <Opened open={open === 'bin'}>
        <Bin open={open === 'bin'} onClose={() => setOpen(null)} />
      </Opened>
      <Opened open={open === 'earlier'}>
        <Earlier jobId={jobId!} open={open === 'earlier'} onClose={() => setOpen(null)} />
      </Opened>
    </section>
  );
});

const DAY = 24 * 60 * 60 * 1000;

const NEVER = 'This one was never exported: a file is a copy that nothing here can lose.';

/** How long ago a job was last taken out as a file. */
function LastExport({ id }: { id: string }) {
  const [said, setSaid] = useState('');
  useEffect(() => {
    const subscription = liveQuery(() => db.exports.get(id)).subscribe({
      next: (last) => setSaid(last ? `This one was last exported ${sayAgo(last.at)}.` : NEVER),
      error: () => setSaid(''),
    });
    return () => subscription.unsubscribe();
  }, [id]);
  return said;
}

function sayAgo(at: string): string {
  const days = Math.floor((Date.now() - Date.parse(at)) / DAY);
  return days <= 0 ? 'today' : days === 1 ? 'yesterday' : `${days} days ago`;
}

type LineProps = Omit<ShelfRow, 'updatedAt'> & {
  current: boolean;
  /** the only one that can be opened */
  last: boolean;
};

const Line = memo(function Line({ id, name, car, fault, current, last }: LineProps) {
  const called = name || 'Unnamed job';
  return (
    <li aria-current={current || undefined} data-fault={fault !== undefined || undefined}>
      {fault === undefined ? (
        <button type="button" className="shelf-open" onClick={() => goTo(id, 'job')}>
          <b>{called}</b>
          <span className="hint">{current ? 'on the bench' : car}</span>
        </button>
      ) : (
        <p className="shelf-open">
          <b>{called}</b>
          <span className="hint">Cannot be opened: {fault}.</span>
        </p>
      )}
      {fault === undefined ? (
        <Button
          type="text"
          aria-label={`Copy ${called}`}
          onClick={async () => {
            const copy = await copyJob(id);
            if (copy) goTo(copy, 'job');
          }}
        >
          copy
        </Button>
      ) : (
        <Button
          type="text"
          aria-label={`Save ${called} as it lies in storage`}
          onClick={async () => saveText(`${id}.pellik.json`, await rawText(id))}
        >
          save as it is
        </Button>
      )}
      <Button
        type="text"
        aria-label={`Remove ${called}`}
        disabled={last}
        onClick={() => void remove(id, called)}
      >
        remove
      </Button>
    </li>
  );
});

async function remove(id: string, called: string) {
  const thrown = await binJob(id);
  if (id === useJobStore.getState().job?.id) window.location.hash = '';
  if (thrown === undefined) return;
  say({
    kind: 'info',
    key: id,
    title: `“${called}” is in the bin.`,
    action: { label: 'Put it back', act: () => void takeBack(thrown) },
  });
}

type Shelved = { rows: ShelfRow[]; more: number };

function useShelf(most: number): Shelved {
  const [shelved, setShelved] = useState<Shelved>({ rows: [], more: 0 });
  useEffect(() => {
    const look = async () => {
      const rows = await listJobs(most);
      return { rows, more: (await db.shelf.count()) - rows.length };
    };
    const subscription = liveQuery(look).subscribe({
      next: setShelved,
      // Storage that failed is said where it is opened; there is nothing to list then.
      error: () => setShelved({ rows: [], more: 0 }),
    });
    return () => subscription.unsubscribe();
  }, [most]);
  return shelved;
}
