'use client';
import { Button, Modal } from 'antd';
import { useState } from 'react';
import { applyReadings } from '@/core/job/applyReadings';
import { fileStem } from '@/core/job/file';
import { mergedReadings, readingsToCsv, type CsvReadings } from '@/core/survey/readingsCsv';
import { InputError, LARGEST_FILE } from '@/core/rig/read';
import { say } from '@/store/notices';
import { edit, useJobStore } from '@/store/jobStore';
import { readTable } from '@/workers/choosing/search';
import { FileButton } from '@/ui/paper/FileButton';
import { saveText } from '@/ui/paper/saveFile';

/** The job with readings brought in; throws where they make a car that cannot be, or more than a place can hold. */
const bringIn = ({ readings }: CsvReadings) =>
  edit((job) => applyReadings({ ...job, readings: mergedReadings(job.readings, readings) }));

/** Readings out to a table and in again. A file with bad rows is shown first: its good rows come in when that is wished. */
export function Csv() {
  const [doubtful, setDoubtful] = useState<CsvReadings | null>(null);

  async function open(file: File) {
    if (file.size > LARGEST_FILE) {
      say({ kind: 'error', title: 'Larger than 32 MB, the most that is read.' });
      return;
    }
    const outcome = await readTable(await file.text());
    if (!outcome.ok)
      say({ kind: 'error', title: 'Nothing was brought in.', description: `${outcome.message}.` });
    else if (outcome.result.bad.length) setDoubtful(outcome.result);
    else take(outcome.result);
  }

  function take(read: CsvReadings) {
    setDoubtful(null);
    try {
      bringIn(read);
    } catch (error) {
      if (!(error instanceof InputError)) throw error;
      say({ kind: 'error', title: 'Nothing was brought in.', description: `${error.expected}.` });
      return;
    }
    say({
      kind: 'success',
      title: `${read.count} readings brought in.`,
      description: 'Undo takes them out again.',
    });
  }

  function save() {
    const job = useJobStore.getState().job!;
    saveText(`${fileStem(job.name)}-readings.csv`, readingsToCsv(job.readings), 'text/csv');
  }

  return (
    <>
      <Button onClick={save}>Readings to CSV</Button>
      <FileButton name="csv" accept=".csv,text/csv" onFile={(file) => void open(file)}>
        From CSV
      </FileButton>
      <Modal
        open={doubtful !== null}
        title="Some rows cannot be read"
        onCancel={() => setDoubtful(null)}
        okText={`Bring in the ${doubtful?.count ?? 0} good ones`}
        okButtonProps={{ disabled: !doubtful?.count }}
        cancelText="Bring in nothing"
        onOk={() => doubtful && take(doubtful)}
      >
        <ul className="bad-rows">
          {doubtful?.bad.slice(0, 30).map((b, i) => (
            <li key={i}>
              Line {b.line}
              {b.column && `, ${b.column}`}: {b.message}.
            </li>
          ))}
        </ul>
        {(doubtful?.bad.length ?? 0) > 30 && <p>and {doubtful!.bad.length - 30} more.</p>}
      </Modal>
    </>
  );
}
