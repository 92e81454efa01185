'use client';
import { Button } from 'antd';
import { FIGURES } from '@/core/choose/figures';
import type { Target } from '@/core/choose/brief';
import type { Answer, FoundMounts } from '@/core/choose/findMounts';
import { withMounts } from '@/core/job/edits/mounts';
import { coordinateNow } from '@/core/rig/mounts';
import { memberName } from '@/core/rig/names';
import { sayLength } from '@/core/units/length';
import { edit, useJob } from '@/store/jobStore';
import { figureWord, sayFigure } from '@/ui/choose/figureWords';
import { nameOf } from './FreeList';

/** The places that were found, side by side; or what stands in the way, and what giving up is cheapest. */
export function Answers({ targets, found }: { targets: Target[]; found: FoundMounts }) {
  const { answers, nearest, exhaustive, tried } = found;
  return (
    <section className="section" data-part="answers">
      <h2>
        {answers.length === 0
          ? 'Nothing meets all of it'
          : `${answers.length} clearly different ${answers.length === 1 ? 'place' : 'places'}`}
      </h2>
      <p className="hint">
        {exhaustive
          ? `All ${tried} choices were looked at.`
          : `${tried} choices were looked at, from many starts: others may be there.`}{' '}
        Each was looked at for what it meets over the travel; what it carries was not: Prove says it once a
        place is set.
      </p>
      {found.blocked && (
        <Blocked blocked={found.blocked} all={answers.every(({ hits }) => hits.length > 0)} />
      )}
      {answers.length === 0 && <InTheWay targets={targets} found={found} />}
      {answers.map((answer, i) => (
        <Place key={i} name={`Place ${i + 1}`} answer={answer} targets={targets} />
      ))}
      {nearest && <Place name="The nearest to it" answer={nearest} targets={targets} />}
    </section>
  );
}

/** What was passed over for what it hits; or that all of it hits something. */
function Blocked({
  blocked: { count, by },
  all,
}: {
  blocked: NonNullable<FoundMounts['blocked']>;
  all: boolean;
}) {
  const { tape, rig } = useJob();
  const what = `the ${memberName(by.a, rig.end)} meets the ${memberName(by.b, rig.end)}${by.distance < 0 ? `, by ${sayLength(-by.distance, tape)}` : ''}`;
  return (
    <p className="changed" data-part="blocked">
      {all
        ? `Every place that was found hits something: in the first, ${what}. Move that, or let other mounts move.`
        : `${count} more ${count === 1 ? 'meets' : 'meet'} all of it and ${count === 1 ? 'hits' : 'hit'} something: in the first, ${what}.`}
    </p>
  );
}

function InTheWay({ targets, found: { inTheWay } }: { targets: Target[]; found: FoundMounts }) {
  const { tape, rig } = useJob();
  const cheapest = inTheWay.filter(({ metWithout }) => metWithout);
  const said = (of: typeof inTheWay) =>
    of.map(({ target, missedBy }) => {
      const { figure } = targets[target]!;
      return `${figureWord(figure, rig.end)} by ${sayFigure(figure, missedBy, tape)}`;
    });
  return cheapest.length > 0 ? (
    <p className="changed" data-part="in-the-way">
      The rest can be had where one of these is given up: {said(cheapest).join('; ')}.
    </p>
  ) : (
    <p className="changed" data-part="in-the-way">
      No one target alone stands in the way. At best each by itself is missed by:{' '}
      {said(inTheWay.filter(({ missedBy }) => missedBy > 0)).join('; ') ||
        'nothing; together they are not to be had'}
      . Let more of it move, or ask for less.
    </p>
  );
}

function Place({ name, answer, targets }: { name: string; answer: Answer; targets: Target[] }) {
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
