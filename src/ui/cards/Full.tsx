/** Said where a list holds as much as a job can. */
export const Full = ({ most, of }: { most: number; of: string }) => (
  <p className="hint" role="status">
    {most} {of}: more than that no job holds. Keep this one as a file, and go on in a new job.
  </p>
);
