'use client';
import { Button, Progress } from 'antd';
import { useState } from 'react';
import { MOST_CLEAR, readBrief, type Free, type Target } from '@/core/choose/brief';
import type { FoundMounts } from '@/core/choose/findMounts';
import { useJob } from '@/store/jobStore';
import { CardHead } from '@/ui/cards/Card';
import { QuantityField } from '@/ui/fields/QuantityField';
import { capital } from '@/core/rig/names';
import { startFind } from '@/workers/choosing/choose';
import { useRun } from '@/workers/choosing/useRun';
import { Answers, type Asked } from './Answers';
import { FreeList } from './FreeList';
import { TargetList } from './TargetList';
import './find.css';

/** Where the mounts go: what is wanted, what may move, and the places that meet it. */
export function FindPart() {
  const job = useJob();
  const [targets, setTargets] = useState<Target[]>([]);
  const [free, setFree] = useState<Free[]>([]);
  const [clear, setClear] = useState<number | null>(null);
  const [said, setSaid] = useState<{ asked: Asked; found: FoundMounts | string } | null>(null);
  const { share, run, stop } = useRun<FoundMounts>();
  const asked = targets.filter(({ least, most, near }) => [least, most, near].some((v) => v !== undefined));

  async function find() {
    setSaid(null);
    const brief = readBrief(
      JSON.stringify({
        format: 'pellik.brief',
        version: 1,
        targets: asked,
        free,
        seed: 1,
        ...(clear !== null && { clear }),
      }),
    );
    const outcome = await run((told) => startFind(job, brief, told));
    if (outcome)
      setSaid({
        asked: { targets: asked, clear: clear ?? 0 },
        found: outcome.ok ? outcome.result : outcome.message,
      });
  }

  return (
    <>
      <CardHead title="Find where the mounts go">
        Say what is wanted and what may move. Only places that can be built are looked at: holes, and lines of
        your tape.
      </CardHead>
      <TargetList targets={targets} onChange={setTargets} />
      <section className="section">
        <h2>Room to keep</h2>
        <p className="hint">
          Between all that is drawn, over the whole travel: places that leave less are passed over. Without a
          figure, only those that hit.
        </p>
        <QuantityField
          field="find/clear"
          label="At least"
          showLabel
          unit="length"
          least={0}
          most={MOST_CLEAR}
          value={clear}
          placeholder="–"
          onEnter={setClear}
          onClear={() => setClear(null)}
        />
      </section>
      <FreeList free={free} onChange={setFree} />
      {share === null ? (
        <Button
          type="primary"
          block
          className="find-go"
          disabled={asked.length === 0 || free.length === 0}
          onClick={() => void find()}
        >
          Look for places
        </Button>
      ) : (
        <div className="find-running" role="status">
          <Progress percent={Math.round(100 * share)} aria-label="Looked through" />
          <Button onClick={stop}>Stop</Button>
        </div>
      )}
      {said &&
        (typeof said.found === 'string' ? (
          <p className="field-problem" role="alert">
            {capital(said.found)}.
          </p>
        ) : (
          <Answers asked={said.asked} found={said.found} />
        ))}
    </>
  );
}
