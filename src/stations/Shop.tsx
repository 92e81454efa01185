'use client';
import { ConfigProvider } from 'antd';
import { lazy, useEffect, useState } from 'react';
import { InputError } from '@/core/rig/read';
import { startAutosave } from '@/store/autosave';
import { useJobStore } from '@/store/jobStore';
import { useNotices } from '@/store/notices';
import { listJobs, openJob, stockShelf } from '@/store/shelf';
import { goTo, parseRoute, useRoute } from '@/ui/shell/route';
import { theme } from '@/ui/shell/theme';
import { Opened } from '@/ui/Opened';
import { Bench } from './Bench';

/** Opens the shop: the shelf stocked, the job of the address (or the last one touched) on the bench, autosave running. */
export function Shop() {
  return (
    <ConfigProvider theme={theme}>
      <Welcome />
      <Corner />
    </ConfigProvider>
  );
}

const Notices = lazy(async () => ({ default: (await import('@/ui/shell/Notices')).Notices }));

/** Where notices are shown, from the first one on. */
function Corner() {
  const said = useNotices((s) => s.waiting.length > 0);
  return (
    <Opened open={said}>
      <Notices />
    </Opened>
  );
}

function Welcome() {
  const { jobId } = useRoute();
  const onBench = useJobStore((s) => s.job?.id ?? null);
  const [problem, setProblem] = useState<string | null>(null);

  useEffect(() => startAutosave(), []);

  useEffect(() => {
    if (jobId !== null && jobId === useJobStore.getState().job?.id) return;
    let left = false;
    void (async () => {
      try {
        await stockShelf();
        if (jobId !== null && (await openJob(jobId))) return;
        const [last] = await listJobs();
        if (!left && last) goTo(last.id, parseRoute(window.location.hash).station);
      } catch (error) {
        setProblem(explain(error));
      }
    })();
    return () => {
      left = true;
    };
  }, [jobId]);

  if (problem) return <p className="door">{problem}</p>;
  if (!onBench) return <p className="door">Opening the shop…</p>;
  return <Bench key={onBench} />;
}

function explain(error: unknown): string {
  if (error instanceof InputError)
    return `This job is damaged in storage (${error.message}). Import it again from its last exported file.`;
  return 'This browser would not open its storage, which Pellik keeps jobs in. A private window often forbids it: use a normal one.';
}
