'use client';
import { TRACKS } from '@/core/job/slices/work/plan';
import type { Planned } from '@/core/plan/standing';
import { useJobPart } from '@/store/jobStore';
import { PaperSheet } from '@/ui/paper/PaperSheet';
import { TRACK_WORDS, zoneWord } from './words';

/** The plan on paper: to be ticked off with dirty hands. */
export function PlanSheet({ steps }: { steps: Planned[] }) {
  const end = useJobPart((j) => j.rig.end);
  const cautions = [...new Set(steps.flatMap(({ task }) => task.caution ?? []))];
  return (
    <PaperSheet label="Plan" title="The order of work" caution={cautions.join(' ')}>
      {TRACKS.map((track) => {
        const of = steps.filter(({ task }) => task.track === track);
        return of.length === 0 ? null : (
          <section key={track}>
            <h2>{TRACK_WORDS[track]}</h2>
            <table className="plan-table">
              <tbody>
                {of.map(({ task, standing }) => (
                  <tr key={task.id}>
                    <td>{steps.findIndex((s) => s.task.id === task.id) + 1}</td>
                    <td>
                      <b>{task.title}</b>
                      <br />
                      {[task.expect, task.permanent].filter(Boolean).join(' ')}
                    </td>
                    <td>{zoneWord(task.zone, end)}</td>
                    <td className="box">
                      {
                        { done: 'done', notHere: 'not here', doubt: 'in doubt', waits: '', ready: '' }[
                          standing.kind
                        ]
                      }
                    </td>
                  </tr>
                ))}
              </tbody>
            </table>
          </section>
        );
      })}
    </PaperSheet>
  );
}
