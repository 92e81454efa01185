'use client';

/** The last resort: the job is in the browser’s storage, so a reload loses nothing. */
export default function Broken({ error, reset }: { error: Error; reset: () => void }) {
  return (
    <main className="broken">
      <h1>Something in Pellik broke.</h1>
      <p>
        What you typed is saved. Try again; if it breaks at the same place, export the job from the Job
        station and note what you did last.
      </p>
      <p className="broken-detail">{error.message}</p>
      <button type="button" onClick={reset}>
        Try again
      </button>
    </main>
  );
}
