import { useJobStore } from '@/store/jobStore';
import { jobFile, markExported } from '@/store/keeping/files';
import { say } from '@/store/notices';
import { saveBlob } from './saveFile';

/** Hands the job on the bench out as a file, with its photos or without, and says which. */
export async function exportJob(withPhotos: boolean): Promise<void> {
  const { job } = useJobStore.getState();
  if (!job) return;
  // The job is on the bench; its photos are in a storage that may have failed.
  const whole = await jobFile(job.id, withPhotos).catch(() => null);
  const { name, blob, photos } = whole ?? (await jobFile(job.id, false));
  saveBlob(name, blob);
  await markExported(job).catch(() => {});
  if (photos > 0)
    say({
      kind: 'success',
      key: 'export',
      title: `${name}: the job and its ${photos === 1 ? 'photo' : `${photos} photos`}.`,
    });
  else if (!withPhotos) say({ kind: 'info', key: 'export', title: `${name}: the job without its photos.` });
  else if (!whole)
    say({
      kind: 'error',
      key: 'export',
      title: `${name}: the job without photos.`,
      description: 'This browser’s storage would not give out any photos of it. The job itself is whole.',
    });
}
