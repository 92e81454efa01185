'use client';
import { redo, undo, useJobPart, useJobStore } from '@/store/jobStore';
import { LAYOUT_NAMES } from '@/core/layouts/names';
import { useStore } from 'zustand';
import './masthead.css';

/** The car on the bench, whether it is saved, and the few commands that are always at hand. */
export function Masthead({ onFind, onHelp }: { onFind: () => void; onHelp: () => void }) {
  const { name, end, layout } = useJobPart((j) => ({ name: j.name, end: j.rig.end, layout: j.layout }));
  const saving = useJobStore((s) => s.saving);
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
        {saving.kind === 'failed' ? saving.message : saving.kind === 'saving' ? 'saving' : 'all saved'}
      </span>
      <button type="button" onClick={undo} disabled={past === 0}>
        undo
      </button>
      <button type="button" onClick={redo} disabled={future === 0}>
        redo
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
