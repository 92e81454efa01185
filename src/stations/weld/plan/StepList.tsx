'use client';
import { useState } from 'react';
import { TRACKS } from '@/core/job/slices/work/plan';
import type { Planned } from '@/core/plan/standing';
import { ZONES } from '@/core/plan/task';
import { useJobPart } from '@/store/jobStore';
import { usePreferences } from '@/store/preferences';
import { StripeMark } from '@/ui/stripe/Stripe';
import { Step } from './Step';
import { STANDING_WORDS, TRACK_WORDS, zoneWord } from './words';

const MARK = { waits: 'none', ready: 'none', done: 'whole', notHere: 'none', doubt: 'broken' } as const;

type Group = { title: string; steps: Planned[] };

/** Every step in working order; or what is left to do, by where the builder lies. */
export function StepList({ steps, shown }: { steps: Planned[]; shown: string | null }) {
  const byPlace = usePreferences((s) => s.byPlace);
  const end = useJobPart((j) => j.rig.end);
  const [open, setOpen] = useState<string | null>(null);
  const left = steps.filter(({ standing }) => standing.kind !== 'done' && standing.kind !== 'notHere');
  const groups: Group[] = byPlace
    ? ZONES.map((zone) => ({
        title: zoneWord(zone, end),
        steps: left.filter(({ task }) => task.zone === zone),
      }))
    : TRACKS.map((track) => ({
        title: TRACK_WORDS[track],
        steps: steps.filter(({ task }) => task.track === track),
      }));
  const numbers = new Map(steps.map(({ task }, i) => [task.id, i + 1]));
  return groups
    .filter((group) => group.steps.length > 0)
    .map((group) => (
      <section key={group.title} className="section plan-track" aria-label={group.title}>
        <h2>
          {group.title} <span className="hint">{countOf(group.steps)}</span>
        </h2>
        <ol className="plan-steps">
          {group.steps.map((planned) => {
            const { task, standing } = planned;
            const isOpen = open === task.id;
            return (
              <li key={task.id} data-task={task.id} data-standing={standing.kind}>
                <button
                  type="button"
                  className="plan-row"
                  aria-expanded={isOpen}
                  onClick={() => setOpen(isOpen ? null : task.id)}
                >
                  <span className="plan-number">{numbers.get(task.id)}</span>
                  <span>
                    {task.title}
                    {task.id !== shown && (
                      <span className="hint plan-state">
                        {STANDING_WORDS[standing.kind]}
                        {standing.kind === 'done' && standing.note && `: ${standing.note}`}
                      </span>
                    )}
                    {task.id === shown && <span className="hint plan-state">next</span>}
                  </span>
                  <StripeMark kind={MARK[standing.kind]} width={44} />
                </button>
                {isOpen && <Step planned={planned} onDone={() => setOpen(null)} />}
              </li>
            );
          })}
        </ol>
      </section>
    ));
}

function countOf(steps: Planned[]): string {
  const done = steps.filter(({ standing }) => standing.kind === 'done' || standing.kind === 'notHere').length;
  return done === 0 ? `${steps.length}` : `${done} of ${steps.length} done`;
}
