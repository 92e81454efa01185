'use client';
import { Button } from 'antd';
import { dequal } from 'dequal';
import type { Target } from '@/core/choose/brief';
import { WANTED } from '@/core/choose/wanted';
import { withAnswer, type Answer } from '@/core/choose/answer';
import { guessesBehind } from '@/core/bench/figures';
import type { Gap } from '@/core/locate/types';
import { linksOf } from '@/core/rig/members/members';
import { coordinateNow } from '@/core/rig/mounts';
import { capital, memberName } from '@/core/rig/names';
import { sayHole, type EndLink } from '@/core/swaybar/swayBarDesign';
import type { Tape } from '@/core/units/tape';
import { sayLength } from '@/core/units/length';
import { edit, useJob } from '@/store/jobStore';
import { figureWord, sayFigure, TOLD_BY } from '@/ui/choose/figureWords';
import { nameOf } from './FreeList';
import { WholeCar } from './WholeCar';

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
  const { bar } = job.roll;
  const isHung = answer.hole === null || answer.hole === bar?.hole;
  if (!isHung && bar) said.set('Sway bar', sayHole({ ...bar, hole: answer.hole! }));
  for (const { member, by, way } of answer.bent)
    said.set(capital(memberName(member, rig.end)), `bent ${sayLength(by, tape)} ${way}, between its eyes`);
  const isFooted = answer.feet === null || dequal(answer.feet, bar?.foot);
  if (!isFooted && bar) said.set('Feet of the sway bar’s links', sayFeet(bar.foot, answer.feet!, tape));
  const isBent = answer.bent.every(({ member, bends }) =>
    linksOf(rig).some(({ id, path }) => id === member && dequal(path?.chassis, bends)),
  );
  const here = isHung && isFooted && isBent && moves.every(({ by }) => Math.abs(by) < 0.05);
  const asked = new Set(targets.map(({ figure }) => figure));
  const guessed = new Set(
    WANTED.filter((figure) => TOLD_BY[figure] && guessesBehind(job, TOLD_BY[figure]).length > 0),
  );
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
          {WANTED.filter((figure) => answer.figures[figure] !== null).map((figure) => (
            <tr key={figure} data-asked={asked.has(figure)}>
              <th>{figureWord(figure, rig.end)}</th>
              <td>
                <span className={guessed.has(figure) ? 'guessed-figure' : undefined}>
                  {sayFigure(figure, answer.figures[figure]!, tape)}
                </span>
              </td>
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
      <Near gaps={answer.hits.filter(({ distance }) => distance <= 0)} says="Hits" />
      <Near gaps={answer.hits.filter(({ distance }) => distance > 0)} says="Too near" />
      {!here && <WholeCar answer={answer} />}
      <Button disabled={here} onClick={() => edit((j) => withAnswer(j, answer))}>
        {here ? 'It stands so' : 'Set it so'}
      </Button>
    </article>
  );
}

/** How far feet go, outboard or in, ahead or back. */
function sayFeet(now: EndLink['foot'], to: EndLink['foot'], tape: Tape): string {
  const [out, ahead] = [to.out - now.out, to.ahead - now.ahead];
  return [
    ...(Math.abs(out) >= 0.05
      ? [`${sayLength(Math.abs(out), tape)} ${out > 0 ? 'outboard' : 'inboard'}`]
      : []),
    ...(Math.abs(ahead) >= 0.05
      ? [`${sayLength(Math.abs(ahead), tape)} ${ahead > 0 ? 'ahead' : 'back'}`]
      : []),
  ].join(', ');
}

/** Pairs of bodies that meet, or come nearer than was asked for. */
function Near({ gaps, says }: { gaps: Gap[]; says: string }) {
  const { tape, rig } = useJob();
  if (gaps.length === 0) return null;
  const said = gaps.map(
    ({ a, b, distance }) =>
      `${memberName(a, rig.end)} and ${memberName(b, rig.end)}${distance > 0 ? `, ${sayLength(distance, tape)}` : ''}`,
  );
  return (
    <p className="changed">
      {says}: {said.join('; ')}.
    </p>
  );
}

const WAYS = [
  ['ahead', 'back'],
  ['to the left', 'to the right'],
  ['up', 'down'],
] as const;
