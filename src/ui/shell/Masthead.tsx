'use client';
import { switchInstruments, useInstruments } from '@/store/instruments';
import { redo, undo, useJobPart, useJobStore } from '@/store/jobStore';
import { LAYOUT_NAMES } from '@/core/rig/names';
import { useStore } from 'zustand';
import './masthead.css';

const SAVE_WORDS = { saving: 'saving', saved: 'all saved', followed: 'changed in another tab' };

const exportNow = async () => (await import('@/ui/paper/exportJob')).exportJob(true);

/** The car on the bench, whether it is saved, and the few commands that are always at hand. */
export function Masthead({ onFind, onHelp }: { onFind: () => void; onHelp: () => void }) {
  const { name, end, layout } = useJobPart((j) => ({ name: j.name, end: j.rig.end, layout: j.layout }));
  const saving = useJobStore((s) => s.saving);
  const gauges = useInstruments((s) => s.on);
  const past = useStore(useJobStore.temporal, (s) => s.pastStates.length);
  const future = useStore(useJobStore.temporal, (s) => s.futureStates.length);
  return (
    <header className="masthead no-print">
      <b>PELLIK</b>
      <span className="masthead-job">
        {name || 'Unnamed job'} · {end === 'rear' && !/rear/i.test(name) && 'rear axle · '}
        {LAYOUT_NAMES[layout][0].toLowerCase()}
      </span>
      <span className={`masthead-save ${saving.kind}`} role="status">
        {saving.kind === 'failed' ? saving.message : SAVE_WORDS[saving.kind]}
      </span>
      {saving.kind === 'failed' && (
        <button type="button" onClick={() => void exportNow()}>
          export now
        </button>
      )}
      <button type="button" onClick={undo} disabled={past === 0}>
        undo
      </button>
      <button type="button" onClick={redo} disabled={future === 0}>
        redo
      </button>
      <button
        type="button"
        aria-pressed={gauges}
        onClick={() => switchInstruments(!gauges)}
        title="Take readings from gauges (F2)"
      >
        gauges
      </button>
      <button type="button" onClick={onFind} title="Find any value or command (/)">
        / find
      </button>
      <button type="button" onClick={onHelp} aria-label="Help and keys" title="Help and keys (?)">
        ?
      </button>
    </header>
  );
}
