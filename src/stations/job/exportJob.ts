import { useJobStore } from '@/store/jobStore';
import { jobFile, markExported } from '@/store/keeping/files';
import { say } from '@/store/notices';
import { saveBlob } from '@/ui/paper/saveFile';

/** Hands the job on the bench out as a file, with its photos or without, and says which. */
export async function exportJob(withPhotos: boolean): Promise<void> {
  const { job } = useJobStore.getState();
  if (!job) return;
  const { name, blob, photos } = await jobFile(job.id, withPhotos);
  saveBlob(name, blob);
  await markExported(job);
  if (photos > 0)
    say({
      kind: 'success',
      key: 'export',
      title: `${name}: the job and its ${photos === 1 ? 'photo' : `${photos} photos`}.`,
    });
  else if (!withPhotos) say({ kind: 'info', key: 'export', title: `${name}: the job without its photos.` });
}
