'use client';
import { Shelf } from './job/Shelf';

/** Said in place of the bench where the job asked for cannot be read, or none can; the shelf is open beside it. */
export function NoJob({ jobId, fault }: { jobId: string | null; fault: string | null }) {
  return (
    <main className="door" data-door="job">
      <h1>{fault === null ? 'No job on the shelf can be opened.' : 'This job cannot be opened.'}</h1>
      <p>
        {fault !== null && `What is wrong with it: ${fault}. `}
        {fault === null
          ? 'Start a new one, import a job file, or take one back out of the bin. What cannot be opened can be saved as it is.'
          : 'Open a copy of an earlier state of it, or import its last exported file; as it lies in storage, it can be saved.'}
      </p>
      <Shelf jobId={fault === null ? null : jobId} />
    </main>
  );
}
