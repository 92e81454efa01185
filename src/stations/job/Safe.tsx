'use client';
import { Button, Modal, QRCode } from 'antd';
import { useLiveQuery } from 'dexie-react-hooks';
import { useState, type ReactNode } from 'react';
import { useJobStore } from '@/store/jobStore';
import { backupFile } from '@/store/keeping/files';
import {
  askLeave,
  canSaveIntoFolder,
  chooseFolder,
  chosenFolder,
  forgetFolder,
  mayWrite,
  saveIntoFolder,
} from '@/store/keeping/folder';
import { putDown, type PutDown } from '@/store/keeping/handOver';
import { copyAsText, olderCopies, removeCopy } from '@/store/keeping/olderCopies';
import { askPromise, isPromised, type Promised } from '@/store/keeping/persistence';
import { say } from '@/store/notices';
import { db } from '@/store/storage/db';
import { FileButton } from '@/ui/paper/FileButton';
import { sayDay, sayMoment } from '@/ui/paper/dates';
import { saveBlob, saveText } from '@/ui/paper/saveFile';
import { exportJob } from '@/ui/paper/exportJob';
import { takeIn } from './takeIn';

/** How the jobs are kept safe: what the browser promises, files of one job and of all, a folder beside, copies of older databases. */
export function Safe({ open, onClose }: { open: boolean; onClose: () => void }) {
  return (
    <Modal title="Keeping it safe" open={open} onCancel={onClose} footer={null} width={680} className="kept">
      <ul>
        <BrowsersPromise />
        <ThisJob />
        <AnotherDevice />
        <WholeShelf onDone={onClose} />
        <Folder />
        <OlderCopies />
      </ul>
    </Modal>
  );
}

type LineProps = { title: string; hint: string; children?: ReactNode };

const Line = ({ title, hint, children }: LineProps) => (
  <li>
    <p>
      <b>{title}</b>
      <span className="hint">{hint}</span>
    </p>
    {children}
  </li>
);

const PROMISES: Record<Promised, string> = {
  yes: 'It has promised to keep the jobs until they are removed here.',
  no: 'It may clear the jobs when the disk runs full. Asked to keep them, it says yes or no; a file is safe in any case.',
  unknown: 'It does not say whether it keeps the jobs when the disk runs full. A file is safe in any case.',
};

function BrowsersPromise() {
  const [asked, setAsked] = useState(0);
  const promised = useLiveQuery(isPromised, [asked]) ?? 'unknown';
  return (
    <Line title="This browser" hint={PROMISES[promised]}>
      {promised === 'no' && (
        <Button
          onClick={async () => {
            const answer = await askPromise();
            if (answer !== 'yes')
              say({
                kind: 'info',
                key: 'promise',
                title: 'This browser would not promise it. Keep files, or use a folder.',
              });
            setAsked(asked + 1);
          }}
        >
          Ask it to keep them
        </Button>
      )}
    </Line>
  );
}

function ThisJob() {
  const id = useJobStore((s) => s.job?.id ?? '');
  const last = useLiveQuery(() => db.exports.get(id), [id]);
  const line = useLiveQuery(() => db.shelf.get(id), [id]);
  const photos = useLiveQuery(() => db.photos.where({ jobId: id }).count(), [id]) ?? 0;
  if (!line) return null;
  const since = last && last.updatedAt < line.updatedAt ? ', and changed since' : '';
  return (
    <Line
      title={line.name || 'Unnamed job'}
      hint={`${last ? `Last taken out as a file ${sayMoment(last.at)}${since}.` : 'Never taken out as a file.'} ${photos} photo${photos === 1 ? '' : 's'}.`}
    >
      <Button onClick={() => void exportJob(true)}>{photos > 0 ? 'Job and photos' : 'Job file'}</Button>
      {photos > 0 && <Button onClick={() => void exportJob(false)}>Without photos</Button>}
    </Line>
  );
}

function AnotherDevice() {
  const id = useJobStore((s) => s.job?.id ?? '');
  const [put, setPut] = useState<PutDown | null>(null);
  if (!id) return null;
  const hint = 'The job with its photos, fetched by a tablet of the house network that reads a code.';
  return (
    <Line title="Another device" hint={put && 'problem' in put ? put.problem : hint}>
      <Button onClick={async () => setPut(await putDown(id))}>Hand over</Button>
      {put && 'address' in put && (
        <figure className="hand-over">
          <QRCode type="svg" value={put.address} color="#000" bgColor="#fff" bordered={false} size={200} />
          <figcaption>
            Point the tablet’s camera at it, or type <b>{put.address}</b>. It waits for a quarter of an hour.
          </figcaption>
        </figure>
      )}
    </Line>
  );
}

function WholeShelf({ onDone }: { onDone: () => void }) {
  const [working, setWorking] = useState(false);
  async function backUp() {
    setWorking(true);
    try {
      const { name, blob, jobs, unread } = await backupFile();
      saveBlob(name, blob);
      const without = unread.length ? ` Not in it, since they cannot be read: ${unread.join(', ')}.` : '';
      say({
        kind: unread.length ? 'info' : 'success',
        key: 'backup',
        title: `${name}: ${jobs} jobs and their photos.${without}`,
      });
    } finally {
      setWorking(false);
    }
  }
  return (
    <Line
      title="The whole shelf"
      hint="Every job with its photos in one file. Taken in again, here or elsewhere, it brings back what is missing and leaves the rest alone."
    >
      <Button loading={working} onClick={() => void backUp()}>
        Back up
      </Button>
      <FileButton
        name="backup"
        accept=".zip,application/zip"
        onFile={(file) => {
          void takeIn(file, file.name);
          onDone();
        }}
      >
        Take in a backup
      </FileButton>
    </Line>
  );
}

function Folder() {
  const folder = useLiveQuery(chosenFolder);
  const [asked, setAsked] = useState(0);
  const allowed = useLiveQuery(async () => (folder ? mayWrite(folder) : false), [folder, asked]);
  if (!canSaveIntoFolder()) return null;
  const save = async () => {
    const { job } = useJobStore.getState();
    if (job) await saveIntoFolder(job.id, job.name);
    setAsked(asked + 1);
  };
  if (!folder)
    return (
      <Line
        title="A folder as well"
        hint="A job that is changed is saved there too, a few seconds later: on another disk, or one that is backed up."
      >
        <Button onClick={async () => (await chooseFolder()) && save()}>Choose a folder</Button>
      </Line>
    );
  return (
    <Line
      title={`Folder “${folder.handle.name}”`}
      hint={
        allowed === false
          ? 'This browser wants to be asked again before anything is saved there.'
          : `Jobs that are changed are saved there too${folder.savedAt ? `; last ${sayMoment(folder.savedAt)}` : ''}.`
      }
    >
      {allowed === false && (
        <Button onClick={async () => (await askLeave(folder)) && save()}>Allow it</Button>
      )}
      <Button type="text" onClick={() => void forgetFolder()}>
        no longer
      </Button>
    </Line>
  );
}

function OlderCopies() {
  const [removed, setRemoved] = useState(0);
  const copies = useLiveQuery(olderCopies, [removed]) ?? [];
  return copies.map((name) => (
    <Line
      key={name}
      title="Before an upgrade"
      hint={`All that was stored before Pellik’s storage was brought up to date (${name}).`}
    >
      <Button
        onClick={async () =>
          saveText(`${name}-${sayDay(new Date()).replaceAll(' ', '-')}.json`, await copyAsText(name))
        }
      >
        Save it
      </Button>
      <Button
        type="text"
        onClick={async () => {
          await removeCopy(name);
          setRemoved(removed + 1);
        }}
      >
        remove
      </Button>
    </Line>
  ));
}
