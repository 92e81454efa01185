'use client';
import { Button } from 'antd';
import { useEffect, useState } from 'react';
import { choicesOf, type HoleChoice, holeRows, type HoleTable } from '@/core/locate/made/holeTable';
import { asides } from '@/core/locate/verdicts/madeVerdict';
import { withMounts } from '@/core/job/edits/mounts';
import type { Job } from '@/core/job/jobSchema';
import { LIMITS } from '@/core/materials/limits';
import { capital, groupName } from '@/core/rig/names';
import { formatDegrees } from '@/core/units/length';
import { edit, useAtRest, useJob } from '@/store/jobStore';
import { setRocker } from '@/store/rocker';
import { askHoles } from '@/workers/choosing/search';

/** Every choice of the holes of links and arms, each solved: what it does, and where the axle goes if the bars are left alone. */
export function HoleChoices() {
  const job = useJob();
  const [answer, setAnswer] = useState<{ job: Job; table: HoleTable | null; problem?: string } | null>(null);
  const rows = holeRows(job);
  const many = choicesOf(rows);
  const ask = () =>
    void askHoles(job).then((found) =>
      setAnswer(found.ok ? { job, table: found.result } : { job, table: null, problem: found.message }),
    );
  const shown = answer?.job === job ? answer : null;
  // Once asked for it follows the car, whenever the hand rests.
  const asked = answer !== null;
  const atRest = useAtRest(job);
  useEffect(() => {
    if (asked) ask();
    // eslint-disable-next-line react-hooks/exhaustive-deps -- for another car alone
  }, [atRest]);
  if (rows.length === 0) return null;
  return (
    <section className="section hole-choices">
      <h2>Which holes?</h2>
      {!asked && (
        <Button onClick={ask}>
          Work through all {many} {many === 1 ? 'choice' : 'choices'} of holes
        </Button>
      )}
      {shown?.table && <Choices job={job} table={shown.table} />}
      {shown && !shown.table && (
        <p className="hint">
          {shown.problem
            ? `${capital(shown.problem)}.`
            : `${many} choices are too many to list: leave out a bracket’s holes.`}
        </p>
      )}
    </section>
  );
}

const ENDS: Record<string, string> = {
  chassis: 'frame',
  axle: 'axle',
  frontEye: 'front eye',
  rearEye: 'rear eye',
};

function Choices({ job, table: { rows, choices } }: { job: Job; table: HoleTable }) {
  const rear = job.rig.end === 'rear';
  const named = rows.map(({ mounts }) => {
    const parts = mounts.map(({ id }) => id.split('/'));
    const name = groupName(
      parts.map(([member]) => member!),
      job.rig.end,
    );
    return `${capital(name ?? parts[0]![0]!)}, ${ENDS[parts[0]![1]!] ?? parts[0]![1]}`;
  });
  return (
    <>
      <p className="hint">
        Holes are counted from below. The figures are with the axle set back to its place; the last column is
        where it goes if the bars are left as they are.
      </p>
      <table>
        <thead>
          <tr>
            {named.map((name) => (
              <th key={name} scope="col">
                {name}
              </th>
            ))}
            {rear && <th scope="col">anti-squat</th>}
            <th scope="col">steers in roll</th>
            <th scope="col">bars left alone</th>
            <th scope="col">
              <span className="unseen">Take it</span>
            </th>
          </tr>
        </thead>
        <tbody>
          {choices.map((choice) => (
            <Row key={choice.holes.join()} {...{ job, choice, rear }} />
          ))}
        </tbody>
      </table>
    </>
  );
}

function Row({ job, choice, rear }: { job: Job; choice: HoleChoice; rear: boolean }) {
  const { holes, isNow, antiSquat, rollSteer, stand, changes } = choice;
  const suits = (v: number | null, [least, most]: readonly [number, number]) =>
    v !== null && v >= least && v <= most;
  const alone =
    stand === undefined
      ? 'not reckoned'
      : stand === null
        ? 'cannot be bolted up'
        : asides(stand, job.rig, job.tape).join(', ') || 'stays';
  return (
    <tr className={isNow ? 'now' : ''} data-holes={holes.map((n) => n + 1).join('-')}>
      {holes.map((n, i) => (
        <td key={i}>{n + 1}</td>
      ))}
      {rear && (
        <td className={suits(antiSquat, LIMITS.antiSquat[job.use]) ? 'suits' : ''}>
          {antiSquat === null ? '–' : `${Math.round(antiSquat)} %`}
        </td>
      )}
      <td className={suits(rollSteer, LIMITS.rollSteer) ? 'suits' : ''}>
        {rollSteer === null ? '–' : formatDegrees(rollSteer, 2)}
      </td>
      <td>{alone}</td>
      <td>
        {isNow ? (
          'now'
        ) : (
          <Button
            size="small"
            aria-label={`Use holes ${holes.map((n) => n + 1).join(', ')}`}
            onClick={() => {
              setRocker(0, 0);
              edit((j) => withMounts(j, changes));
            }}
          >
            use
          </Button>
        )}
      </td>
    </tr>
  );
}
