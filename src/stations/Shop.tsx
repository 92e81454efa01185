'use client';
import { ConfigProvider } from 'antd';
import { lazy, Suspense, useEffect, useState } from 'react';
import { InputError } from '@/core/rig/read';
import { useJobStore } from '@/store/jobStore';
import { say, useNotices } from '@/store/notices';
import { abandon, settle, startAutosave } from '@/store/storage/autosave';
import { openStorage, problemOf, StorageError, type StorageProblem } from '@/store/storage/opening';
import { listJobs, openJob, stockShelf, tidyUp } from '@/store/storage/shelf';
import { Opened } from '@/ui/Opened';
import { codeToTake, goTo, parseRoute, useRoute } from '@/ui/shell/route';
import { useTheme } from '@/ui/shell/theme';
import { Bench } from './Bench';

/** Opens the shop: the shelf stocked, the job of the address (or the last one touched) on the bench, autosave running. */
export function Shop() {
  return (
    <ConfigProvider theme={useTheme()}>
      <Welcome />
      <Corner />
    </ConfigProvider>
  );
}

const Notices = lazy(async () => ({ default: (await import('@/ui/shell/Notices')).Notices }));
const NoStorage = lazy(async () => ({ default: (await import('./NoStorage')).NoStorage }));
const NoJob = lazy(async () => ({ default: (await import('./NoJob')).NoJob }));

/** Where notices are shown, from the first one on. */
function Corner() {
  const said = useNotices((s) => s.waiting.length > 0);
  return (
    <Opened open={said}>
      <Notices />
    </Opened>
  );
}

/** What keeps a job from coming to the bench: the storage itself, or that the job cannot be read, or that none can. */
type Obstacle = { storage: StorageProblem } | { fault: string | null };

function Welcome() {
  const { jobId } = useRoute();
  const onBench = useJobStore((s) => s.job?.id ?? null);
  const [obstacle, setObstacle] = useState<Obstacle | null>(null);
  const [tries, setTries] = useState(0);

  useEffect(() => startAutosave(), []);
  useEffect(startAfterFirstView, []);

  useEffect(() => {
    if (jobId !== null && jobId === useJobStore.getState().job?.id) return;
    let left = false;
    void bring(jobId, () => left).then((found) => {
      if (!left) setObstacle(found);
    });
    return () => {
      left = true;
    };
  }, [jobId, tries]);

  if (obstacle && 'storage' in obstacle)
    return (
      <Suspense>
        <NoStorage
          problem={obstacle.storage}
          onTry={() => setTries(tries + 1)}
          onGoOn={() => setObstacle(null)}
        />
      </Suspense>
    );
  if (obstacle && jobId !== onBench)
    return (
      <Suspense>
        <NoJob jobId={jobId} fault={obstacle.fault} />
      </Suspense>
    );
  if (!onBench) return <p className="door">Opening the shop…</p>;
  return <Bench key={onBench} />;
}

/** Once the first view has long been drawn, ms. */
const AFTER_FIRST_VIEW = 3000;

/** What need not be there at first sight: the shelf tidied, and the folder that jobs are saved into as well. */
function startAfterFirstView(): () => void {
  let end = () => {};
  const timer = setTimeout(() => {
    // Storage that failed is said where it is opened.
    void openStorage().then(tidyUp, () => {});
    void import('@/offline/followUpdates').then(({ followUpdates }) => followUpdates());
    void import('@/store/keeping/folderSaving').then(({ startFolderSaving }) => (end = startFolderSaving()));
  }, AFTER_FIRST_VIEW);
  return () => {
    clearTimeout(timer);
    end();
  };
}

/** Brings a job to the bench: the one that is asked for, or else the last touched that can be opened. @returns what is in the way */
async function bring(jobId: string | null, left: () => boolean): Promise<Obstacle | null> {
  try {
    if (!(await mayLeave(jobId))) return null;
    await openStorage();
    await stockShelf();
    const code = codeToTake();
    // It comes to the bench by its own address.
    if (code !== null) void import('./job/takeIn').then(({ takeHandedOver }) => takeHandedOver(code));
    if (jobId !== null && (await openJob(jobId))) return null;
    return left() ? null : await bringLast();
  } catch (error) {
    if (error instanceof InputError) return { fault: error.message };
    return { storage: error instanceof StorageError ? error.problem : problemOf(error) };
  }
}

async function bringLast(): Promise<Obstacle | null> {
  for (const { id, fault } of await listJobs()) {
    if (fault !== undefined) continue;
    try {
      if (await openJob(id)) {
        goTo(id, parseRoute(window.location.hash).station);
        return null;
      }
    } catch (error) {
      // The shelf knows it now; the next one may be sound.
      if (!(error instanceof InputError)) throw error;
    }
  }
  return { fault: null };
}

/** A job that is not stored is not left behind unless the builder says so. */
async function mayLeave(to: string | null): Promise<boolean> {
  const { job } = useJobStore.getState();
  if (!job || (await settle())) return true;
  goTo(job.id, parseRoute(window.location.hash).station);
  say({
    kind: 'error',
    key: 'unstored',
    stays: true,
    title: `“${job.name || 'This job'}” is not stored yet, so it stays on the bench.`,
    description: useJobStore.getState().saving.message,
    action: {
      label: 'Save it as a file and go on',
      act: async () => {
        const { exportJob } = await import('@/ui/paper/exportJob');
        await exportJob(true);
        abandon();
        window.location.hash = to === null ? '' : `/${encodeURIComponent(to)}`;
      },
    },
  });
  return false;
}
