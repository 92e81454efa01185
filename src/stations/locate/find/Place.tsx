'use client';
import { Button } from 'antd';
import type { Target } from '@/core/choose/brief';
import { FIGURES } from '@/core/choose/figures';
import type { Answer } from '@/core/choose/findMounts';
import { withMounts } from '@/core/job/edits/mounts';
import { coordinateNow } from '@/core/rig/mounts';
import { memberName } from '@/core/rig/names';
import { sayLength } from '@/core/units/length';
import { edit, useJob } from '@/store/jobStore';
import { figureWord, sayFigure } from '@/ui/choose/figureWords';
import { nameOf } from './FreeList';

/** A place that was found: what moves and how far, what it comes to, and the button that sets it so. */
export function Place({ name, answer, targets }: { name: string; answer: Answer; targets: Target[] }) {
  const job = useJob();
  const { tape, rig } = job;
  const moves = answer.changes.map((change) => {
    const now = coordinateNow(rig, change);
    return { change, by: now === undefined ? 0 : change.mm - now };
  });
  // A pair moves as one.
  const said = new Map(
    moves
      .filter(({ by }) => Math.abs(by) >= 0.05)
      .map(({ change, by }) => [
        nameOf(job, change),
        `${sayLength(Math.abs(by), tape)} ${WAYS[change.axis][by > 0 ? 0 : 1]}`,
      ]),
  );
  const here = moves.every(({ by }) => Math.abs(by) < 0.05);
  const asked = new Set(targets.map(({ figure }) => figure));
  return (
    <article className="find-place" data-place={name}>
      <h3>{name}</h3>
      <ul>
        {[...said].map(([what, how]) => (
          <li key={what}>
            {what} <b>{how}</b>
          </li>
        ))}
      </ul>
      <table className="fits">
        <tbody>
          {FIGURES.filter((figure) => answer.figures[figure] !== null).map((figure) => (
            <tr key={figure} data-asked={asked.has(figure)}>
              <th>{figureWord(figure, rig.end)}</th>
              <td>{sayFigure(figure, answer.figures[figure]!, tape)}</td>
            </tr>
          ))}
          {answer.tightest && (
            <tr data-tightest>
              <th>Tightest place</th>
              <td>
                {answer.tightest.distance > 0 ? sayLength(answer.tightest.distance, tape) : 'hits'}:{' '}
                {memberName(answer.tightest.a, rig.end)}, {memberName(answer.tightest.b, rig.end)}
              </td>
            </tr>
          )}
        </tbody>
      </table>
      {answer.hits.length > 0 && (
        <p className="changed">
          Hits:{' '}
          {answer.hits
            .map(({ a, b }) => `${memberName(a, rig.end)} and ${memberName(b, rig.end)}`)
            .join('; ')}
          .
        </p>
      )}
      <Button disabled={here} onClick={() => edit((j) => withMounts(j, answer.changes))}>
        {here ? 'It stands so' : 'Set it so'}
      </Button>
    </article>
  );
}

const WAYS = [
  ['ahead', 'back'],
  ['to the left', 'to the right'],
  ['up', 'down'],
] as const;
