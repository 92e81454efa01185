'use client';
import type { Target } from '@/core/choose/brief';
import { stopsIn } from '@/core/choose/answer';
import type { FoundMounts } from '@/core/choose/findMounts';
import type { Gap } from '@/core/locate/types';
import type { AxleEnd } from '@/core/rig/schema';
import type { Tape } from '@/core/units/tape';
import { memberName } from '@/core/rig/names';
import { sayLength } from '@/core/units/length';
import { useJob } from '@/store/jobStore';
import { figureWord, sayFigure } from '@/ui/choose/figureWords';
import { Edge } from './Edge';
import { Place } from './Place';

/** What was asked for: figures, and the room that is to be left, mm. */
export type Asked = { targets: Target[]; clear: number };

/** The places that were found, side by side; or what stands in the way, and what giving up is cheapest. */
export function Answers({ asked: { targets, clear }, found }: { asked: Asked; found: FoundMounts }) {
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
          ? tried === 1
            ? 'The mounts stay where they are.'
            : `All ${tried} choices were looked at.`
          : `${tried} choices were looked at, from many starts: others may be there.`}{' '}
        Each was looked at for what it meets over the travel, and the whole car with it: what gets worse is
        said with it.
      </p>
      {found.blocked && <Blocked blocked={found.blocked} clear={clear} all={answers.every(stopsIn)} />}
      {answers.length === 0 && <InTheWay targets={targets} found={found} />}
      {answers.map((answer, i) => (
        <Place key={i} name={`Place ${i + 1}`} answer={answer} targets={targets} />
      ))}
      <Edge targets={targets} edge={found.edge} />
      {nearest && <Place name="The nearest to it" answer={nearest} targets={targets} />}
    </section>
  );
}

/** What was passed over for what it hits, for the room it leaves, or for what else it stops; or that all of it does. */
function Blocked({
  blocked: { count, by },
  clear,
  all,
}: {
  blocked: NonNullable<FoundMounts['blocked']>;
  clear: number;
  all: boolean;
}) {
  const { tape, rig } = useJob();
  const what = typeof by === 'string' ? by : sayNear(by, rig.end, tape);
  const fault = clear > 0 ? `less than ${sayLength(clear, tape)} somewhere` : null;
  const it = `${fault ? `leaves ${fault}` : 'hits something'}, or brings something else that stops the work`;
  const they = `${fault ? `leave ${fault}` : 'hit something'}, or bring something else that stops the work`;
  return (
    <p className="changed" data-part="blocked">
      {all
        ? `Every place that was found ${it}: in the first, ${what}. Mend that, or let other mounts move.`
        : `${count} more ${count === 1 ? 'meets' : 'meet'} all of it and ${count === 1 ? it : they}: in the first, ${what}.`}
    </p>
  );
}

/** How near two bodies come to each other. */
function sayNear({ a, b, distance }: Gap, end: AxleEnd, tape: Tape): string {
  const [one, other] = [memberName(a, end), memberName(b, end)];
  return distance > 0
    ? `only ${sayLength(distance, tape)} from the ${one} to the ${other}`
    : `the ${one} meets the ${other}${distance < 0 ? `, by ${sayLength(-distance, tape)}` : ''}`;
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
