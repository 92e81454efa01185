'use client';
import { Button, Modal } from 'antd';
import { useLiveQuery } from 'dexie-react-hooks';
import { readJob } from '@/core/job/file';
import type { Job } from '@/core/job/jobSchema';
import { InputError, orRefusal } from '@/core/rig/read';
import { LAYOUT_NAMES } from '@/core/rig/names';
import { edit, useJobStore } from '@/store/jobStore';
import { say } from '@/store/notices';
import type { Occasion, SnapshotRow } from '@/store/storage/db';
import { putCopy } from '@/store/storage/shelf';
import { keepSnapshot, snapshotsOf } from '@/store/storage/snapshots';
import { sayMoment } from '@/ui/paper/dates';
import { saveText } from '@/ui/paper/saveFile';
import { goTo } from '@/ui/shell/route';

const OCCASIONS: Record<Occasion, string> = {
  visit: 'when it was opened',
  day: 'before the first change of a day',
  import: 'before a file was imported',
  upgrade: 'before it was brought up to this version',
  return: 'before going back',
};

/** The job as it was: each state that was kept, to look at as a copy, to go back to, to save as a file. */
export function Earlier({ jobId, open, onClose }: { jobId: string; open: boolean; onClose: () => void }) {
  const rows = useLiveQuery(() => snapshotsOf(jobId), [jobId]) ?? [];
  return (
    <Modal
      title="Earlier states of this job"
      open={open}
      onCancel={onClose}
      footer={null}
      width={680}
      className="kept"
    >
      <p className="hint">
        Kept by itself: when a job is opened, on each day it is worked on, before a file is imported. Going
        back is a step of undo.
      </p>
      {rows.length === 0 && <p>None is kept yet.</p>}
      <ul>
        {rows.map((row) => (
          <State key={row.id} row={row} onDone={onClose} />
        ))}
      </ul>
    </Modal>
  );
}

function State({ row, onDone }: { row: SnapshotRow; onDone: () => void }) {
  const onBench = useJobStore((s) => s.job?.id === row.jobId);
  const when = sayMoment(row.at);
  const then = orRefusal(() => readJob(row.text));
  return (
    <li>
      <p>
        <b>{when}</b>
        <span className="hint">
          {OCCASIONS[row.why]}
          {then instanceof InputError ? `. Cannot be opened: ${then.message}` : `; ${inShort(then)}`}
        </span>
      </p>
      {!(then instanceof InputError) && (
        <>
          {onBench && (
            <Button
              aria-label={`Go back to ${when}`}
              onClick={() => {
                void goBack(then);
                onDone();
              }}
            >
              go back
            </Button>
          )}
          <Button
            type="text"
            aria-label={`Open a copy of ${when}`}
            onClick={async () => {
              goTo(await putCopy(then, `, ${when}`), 'job');
              onDone();
            }}
          >
            open a copy
          </Button>
        </>
      )}
      <Button
        type="text"
        aria-label={`Save as of ${when}`}
        onClick={() => saveText(`${row.jobId}.pellik.json`, row.text)}
      >
        save
      </Button>
    </li>
  );
}

async function goBack(then: Job) {
  const { job } = useJobStore.getState();
  if (job) await keepSnapshot(job, 'return');
  edit((now) => ({ ...then, id: now.id }));
  say({ kind: 'success', title: 'The job is as it was then. Undo brings back what you had.' });
}

function inShort(job: Job): string {
  const readings = Object.values(job.readings).reduce((sum, list) => sum + (list?.length ?? 0), 0);
  return `${LAYOUT_NAMES[job.layout][0].toLowerCase()}, ${readings} reading${readings === 1 ? '' : 's'}`;
}
