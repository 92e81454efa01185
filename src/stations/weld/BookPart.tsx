'use client';
import { Button } from 'antd';
import { useState } from 'react';
import { fileStem } from '@/core/job/file';
import { progressOf } from '@/core/plan/standing';
import { torqueSheet } from '@/core/weld/torqueSheet';
import { forBook } from '@/store/keeping/files';
import { say } from '@/store/notices';
import { useJob } from '@/store/jobStore';
import { CardHead } from '@/ui/cards/Card';
import { sayDay } from '@/ui/paper/dates';
import { saveBlob } from '@/ui/paper/saveFile';
import { askBook } from '@/workers/choosing/search';
import { usePlan } from './plan/usePlan';

/** The build book: everything that was found, designed, made, tightened and driven, in one document that opens again. */
export function BookPart() {
  const job = useJob();
  const plan = usePlan();
  const [making, setMaking] = useState(false);
  const done = plan.ok ? progressOf(plan.steps) : null;
  const sheet = torqueSheet(job);
  const overrides = job.weld.log.filter(({ reason }) => reason).length;

  async function make() {
    setMaking(true);
    const { photos, file } = await forBook(job.id).catch(() => ({ photos: [], file: null }));
    const attached = file && {
      name: file.name,
      type: file.blob.type || 'application/zip',
      about: 'The job itself, with its photographs: open this document in Pellik to go on.',
      bytes: new Uint8Array(await file.blob.arrayBuffer()),
    };
    const book = attached && (await askBook(job, photos, attached, sayDay(new Date())));
    setMaking(false);
    if (!book) {
      say({
        kind: 'error',
        key: 'book',
        title: 'The book was not made.',
        description:
          'This browser’s storage gave out no photographs, or the work took too long. Try it again.',
      });
      return;
    }
    const name = `${fileStem(job.name)}-book.pdf`;
    saveBlob(name, new Blob([new Uint8Array(book)], { type: 'application/pdf' }));
    say({
      kind: 'success',
      key: 'book',
      title: `${name}: ${photos.length ? `with ${photos.length} photographs, ` : ''}and the job itself in it.`,
    });
  }

  return (
    <>
      <CardHead title="The build book">
        As found, as designed and as built, on paper; and the job itself in it, to be opened again at Job.
      </CardHead>
      <ul className="book-holds">
        {done && (
          <li>
            The work in its order: {done.done} of {done.of} steps done
          </li>
        )}
        <li>
          Brackets and their states: {job.weld.log.length} entries
          {overrides > 0 && `, ${overrides} of them past a hold, with the reason`}
        </li>
        <li>
          Torque: {sheet.filter(({ applied }) => applied).length} of {sheet.length} fasteners
        </li>
        <li>Drives: {job.drive.outings.length}</li>
        <li>Drawings, readings, inspection, what stands open, the cautions given, every photograph</li>
      </ul>
      <Button type="primary" block className="make-book" loading={making} onClick={() => void make()}>
        Save the build book
      </Button>
      <p className="hint">
        It is an aid to judgement and a record, not a certificate. An inspector reads it; he does not have to
        believe it.
      </p>
    </>
  );
}
