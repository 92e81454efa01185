'use client';
import { Button } from 'antd';
import { useState } from 'react';
import { CASTER, PINION } from '@/core/ride/asSet';
import { stepOf, turnsFor } from '@/core/ride/turns/adjusters';
import { capital } from '@/core/rig/names';
import { gapsBelieved } from '@/core/ride/onGround';
import { armWork, type ArmWork } from '@/core/ride/armWork';
import { preloadOf, pullOnLeaves } from '@/core/ride/preload';
import { formatDecimal, formatDegrees, formatLength, sayLength } from '@/core/units/length';
import { sayTurns } from '@/core/units/turns';
import type { Tape } from '@/core/units/tape';
import { edit, useJob, useJobPart } from '@/store/jobStore';
import { MOST_ROUNDS, MOST_TURNS } from '@/core/job/slices/work/ride';
import { Full } from '@/ui/cards/Full';
import { Readout, Readouts } from '@/ui/cards/Readouts';
import { Frac } from '@/ui/figures/Frac';
import type { Job } from '@/core/job/jobSchema';
import { workBar } from '@/core/job/jobValues';
import { FORCE } from '@/core/units/unit';
import type { Task } from '@/core/ride/alignmentBars';
import type { BarTurn, Setting, SettingStep, Standing } from '@/core/ride/alignment';

const taskWords = (task: Task, { rig }: Job): string =>
  ({
    square: 'Square the axle',
    pinion: rig.end === 'front' ? 'Set the caster' : 'Set the pinion',
    centre: 'Centre the axle',
  })[task];

/** What to turn, in order, how far and which way; what each step leaves; and the round closed with what was really turned. */
export function Advice({ found }: { found: Setting }) {
  const job = useJob();
  const { tape } = job;
  const { steps, thread, centred, square, pinionSet, wedge, tiltAfter } = found;
  const done = centred && square && pinionSet;
  const todo = done ? [] : steps;
  const several = todo.length > 1;
  const bars = steps.flatMap((s) => s.bars);
  const centring = steps.find((s) => s.task === 'centre')?.bars ?? [];
  return (
    <div className={`advice-box ${done ? 'centred' : ''}`} data-centred={done} aria-live="polite">
      {done && (
        <>
          <h2>{found.now.offset === null ? 'As wanted.' : 'Centred.'}</h2>
          <p>
            {found.now.offset !== null && (
              <>
                The axle is within <Frac mm={Math.abs(found.now.offset)} tape={tape} unit /> of the middle;
                you allow {sayLength(job.ride.tolerance, tape)}.{' '}
              </>
            )}
            Lock the jam nuts and stripe it.
          </p>
          <PreloadNote />
        </>
      )}
      {several && <p className="hint">Solved together: in this order each step leaves the next as said.</p>}
      {todo.map((step, i) => (
        <Step key={step.task} step={step} number={several ? i + 1 : null} found={found} />
      ))}
      {wedge !== null && (
        <p>
          <b>Pinion:</b> no bar sets it here. Wedges under the spring seats, or clocking the housing in its
          brackets: <b>{formatDegrees(Math.abs(wedge))}</b> nose {wedge > 0 ? 'down' : 'up'}.
        </p>
      )}
      {!done && bars.length > 0 && <HowToTurn job={job} bars={bars} />}
      <Readouts>
        {found.centring.map((bar) => (
          <Readout
            key={bar.id}
            name={`${found.centring.length > 1 ? capital(bar.name) : 'Bar'} now, eye to eye`}
            of="lengthNow"
          >
            <Frac mm={bar.length} tape={tape} unit />
          </Readout>
        ))}
        {!done &&
          centring.map((bar) => (
            <Readout
              key={bar.id}
              name={`${centring.length > 1 ? capital(bar.name) : 'Bar'} should be`}
              of="lengthWanted"
            >
              <Frac mm={bar.lengthWanted} tape={tape} unit />
            </Readout>
          ))}
        {tiltAfter !== null && (
          <Readout name="Tilt of the bar then" of="tiltAfter">
            {Math.abs(tiltAfter) < 0.05
              ? 'level'
              : `${formatDegrees(Math.abs(tiltAfter))} up to the ${tiltAfter > 0 ? 'frame' : 'axle'}`}
          </Readout>
        )}
        {thread && (
          <Readout name="Thread in the tube then, frame · axle" of="threadAfter">
            <Frac mm={thread.engagement.frame} tape={tape} /> ·{' '}
            <Frac mm={thread.engagement.axle} tape={tape} unit />
          </Readout>
        )}
      </Readouts>
      {todo.length > 0 && unseenThreads(todo, job).length > 0 && (
        <p className="hint" data-part="unseen-threads">
          How much thread is left in the {unseenThreads(todo, job).join(' and the ')} is not known here: look
          before it is wound out, and keep one and a half thread diameters in.
        </p>
      )}
      {thread && !thread.holds && (
        <p className="field-problem" role="alert">
          {(bars.find((b) => b.id === (job.cut.member ?? centring[0]?.id))?.mm ?? 0) > 0
            ? `Do not: that leaves less than ${formatLength(thread.limit, tape)} of thread in the tube. Make a longer tube, or move a bracket.`
            : 'The ends are wound home before that. Make a shorter tube, or move a bracket.'}
        </p>
      )}
      {!done && steps.length > 0 && (
        <TurnedForm key={`${job.ride.rounds.length}:${bars.map((b) => advised(b)).join()}`} steps={steps} />
      )}
    </div>
  );
}

/** Bars that are to be made longer and are not the one on the saw, whose thread is all that the job knows of. */
function unseenThreads(steps: SettingStep[], job: Job): string[] {
  const seen = workBar(job)?.id;
  const longer = steps.flatMap((s) => s.bars).filter((b) => b.id !== seen && b.turns !== null && b.turns > 0);
  return [...new Set(longer.map((b) => b.name))];
}

function Step({ step, number, found }: { step: SettingStep; number: number | null; found: Setting }) {
  const job = useJob();
  const { tape } = job;
  return (
    <section className="ride-step" data-task={step.task}>
      {number !== null && (
        <h3>
          {number}. {taskWords(step.task, job)}
        </h3>
      )}
      <h2 data-readout={step.task === 'centre' ? 'turns' : `turns-${step.task}`}>
        {step.bars.map((bar) => (
          <span key={bar.id} className="turn-line">
            {step.bars.length > 1 || step.task !== 'centre' ? `${bar.name}: ` : ''}
            {sayWork(bar, job, step.bars.length === 1 && step.task === 'centre')}
          </span>
        ))}
      </h2>
      {step.task === 'centre' && found.now.offset !== null && (
        <p>
          The axle sits <b>{sayLength(Math.abs(found.now.offset), tape)}</b> too far{' '}
          {found.now.offset > 0 ? 'left' : 'right'}; it must move to the{' '}
          {found.now.offset > 0 ? 'right' : 'left'}.
        </p>
      )}
      {step.task === 'centre' && <SpringsFirst mm={found.now.offset ?? 0} />}
      <p className="hint">After it: {sayStanding(step.after, job)}.</p>
    </section>
  );
}

/** What is done to one bar, in the words of its kind. */
function sayWork(bar: BarTurn, job: Job, capitals: boolean): string {
  const { tape } = job;
  const arm = armWork(job, bar);
  if (arm) return sayArm(arm, tape);
  const [longer, shorter] = bar.by === 'foot' ? ['forward', 'back'] : ['lengthen', 'shorten'];
  const word = bar.mm > 0 ? longer! : shorter!;
  const verb = capitals ? capital(word) : word;
  if (bar.turns !== null) return `${verb}: ${sayTurns(bar.turns)}`;
  const by = sayLength(Math.abs(bar.mm), tape);
  if (bar.by === 'foot') return `move its front bracket ${by} ${word}`;
  return `${verb} by ${by}: ${bar.mm > 0 ? 'piece in a longer tube' : 'cut that out of the tube'}, or move its bracket that far ${bar.mm > 0 ? 'away from' : 'towards'} the other end`;
}

/** What is done at a torque arm, by the way its pinion is set. */
function sayArm({ by, mm, turns }: ArmWork, tape: Tape): string {
  const much = sayLength(Math.abs(mm), tape);
  switch (by) {
    case 'shims':
      return `${mm > 0 ? 'raise' : 'lower'} it ${much}, by shims`;
    case 'fixed':
      return `${mm > 0 ? 'raise' : 'lower'} its mount ${much}: nothing else turns this pinion`;
    case 'tubes':
      if (Number.isNaN(mm)) return 'measure how far apart its two tubes are at the housing, below';
      return `its upper tube ${turns === null ? much : sayTurns(Math.abs(turns))} ${mm > 0 ? 'longer' : 'shorter'}, the lower as it is`;
    case 'plate':
      if (Number.isNaN(mm)) return 'measure how far apart its two bolts are at the plate, below';
      return `slide the upper bolt of its plate ${much} ${mm > 0 ? 'away from' : 'towards'} the front mount`;
  }
}

/** Less than half a sixteenth is nothing, mm. */
const UNSEEN = 0.8;

function sayStanding({ offset, ahead, pinion }: Standing, { tape, rig }: Job): string {
  const { label, sign, ways } = rig.end === 'front' ? CASTER : PINION;
  const parts = [
    offset === null
      ? null
      : Math.abs(offset) < UNSEEN
        ? 'in the middle'
        : `${sayLength(Math.abs(offset), tape)} ${offset > 0 ? 'left' : 'right'} of the middle`,
    ahead === null
      ? null
      : Math.abs(ahead) < UNSEEN
        ? 'square'
        : `${sayLength(Math.abs(ahead), tape)} ${ahead > 0 ? 'left' : 'right'} ahead`,
    pinion === null
      ? null
      : `${label.toLowerCase()} ${formatDegrees(Math.abs(pinion))} ${ways[sign * pinion >= 0 ? 0 : 1]}`,
  ];
  return parts.filter(Boolean).join(', ');
}

function HowToTurn({ job, bars }: { job: Job; bars: BarTurn[] }) {
  const styles = new Set(bars.filter((b) => b.turns !== null).map((b) => b.adjuster.style));
  const rightHandEnd = job.cut.leftHandEnd === 'frame' ? 'axle' : 'frame';
  const one = bars.length === 1;
  const longer = bars[0]!.mm > 0;
  return (
    <>
      {styles.has('tube') && (
        <p>
          Loosen both jam nuts. Stand at the {rightHandEnd} end, which has the right-hand thread, look along
          the bar, and turn the tube{' '}
          {one ? (longer ? 'clockwise' : 'anticlockwise') : 'clockwise to lengthen, anticlockwise to shorten'}
          .
        </p>
      )}
      {styles.has('end') && (
        <p>
          A bar with one threaded end: take that end off its bolt, wind it out to lengthen, in to shorten, by
          half turns, so that its hole comes back square.
        </p>
      )}
    </>
  );
}

/** A bar that pulls leaf springs over is loaded before the car has moved: the springs are centred first. */
function SpringsFirst({ mm }: { mm: number }) {
  const job = useJob();
  const pull = pullOnLeaves(job, mm);
  if (!pull) return null;
  return (
    <p className="hint" data-part="springs-first">
      The springs come first: bar off at one end, U-bolts slack, push the axle to the middle, both sides
      measured, U-bolts tight; then wind the bar until its bolt slides in by hand. Pulled over by the bar
      alone, the leaves load it with about {FORCE.say(pull.force, job.tape)} at rest
      {pull.turn !== null && <>, {FORCE.say(pull.turn, job.tape)} for every turn</>}: it knocks, or works its
      bracket loose.
    </p>
  );
}

function PreloadNote() {
  const job = useJob();
  const preload = preloadOf(job);
  if (!preload) return null;
  return (
    <p>
      The leaves hold the axle sideways too, so a bar that carries nothing at rest knocks. Give it{' '}
      {sayTurns(preload.turns)} shorter, so that it pulls: that draws the axle{' '}
      {formatDecimal(preload.mm, job.tape)} {job.tape === 'mm' ? 'mm' : 'in'} and loads the bar with about{' '}
      {FORCE.say(preload.force, job.tape)}. No more than twice that, or it fights them.
    </p>
  );
}

/** Turns to the step that the bar can be set in. */
const advised = ({ mm, adjuster }: BarTurn): number => turnsFor(adjuster, mm) ?? 0;

/** Closes the round with what was really turned, which need not be what was advised. */
function TurnedForm({ steps }: { steps: SettingStep[] }) {
  const full = useJobPart((j) => j.ride.rounds.length >= MOST_ROUNDS);
  const centring = steps.find((s) => s.task === 'centre')?.bars ?? [];
  const first = centring[0];
  // A pair that centres is turned alike; every other bar is its own.
  const own = steps.filter((s) => s.task !== 'centre').flatMap((s) => s.bars);
  const lines = [...(first ? [first] : []), ...own].filter((b) => b.turns !== null);
  const [turned, setTurned] = useState<Record<string, number>>(() =>
    Object.fromEntries(lines.map((b) => [keyOf(b), advised(b)])),
  );
  function keyOf(b: BarTurn) {
    return b === first ? 'first' : b.id;
  }
  function close() {
    edit((j) => {
      const { first: main = 0, ...others } = turned;
      const round = {
        at: new Date().toISOString(),
        ...gapsBelieved(j),
        turned: main,
        ...(Object.values(others).some((n) => n !== 0) && { others }),
      };
      return {
        ...j,
        ride: { ...j.ride, gaps: {}, fender: {}, read: {}, rounds: [...j.ride.rounds, round] },
      };
    });
  }
  return (
    <div className="turned-lines">
      {lines.map((bar) => {
        const key = keyOf(bar);
        const turns = turned[key] ?? 0;
        const step = stepOf(bar.adjuster);
        const by = (n: number) =>
          setTurned({ ...turned, [key]: Math.min(MOST_TURNS, Math.max(-MOST_TURNS, turns + n)) });
        return (
          <div className="turned" key={key}>
            <span>{lines.length > 1 ? `${capital(bar.name)}: I turned it` : 'I turned it'}</span>
            <Button
              aria-label={step === 0.5 ? 'Half a turn less' : 'An eighth of a turn less'}
              onClick={() => by(-step)}
            >
              −
            </Button>
            <b aria-live="polite">{turnsLabel(turns)}</b>
            <Button
              aria-label={step === 0.5 ? 'Half a turn more' : 'An eighth of a turn more'}
              onClick={() => by(step)}
            >
              +
            </Button>
          </div>
        );
      })}
      <Button type="primary" disabled={full} onClick={close}>
        Done: roll it, measure again
      </Button>
      {full && <Full most={MOST_ROUNDS} of="rounds" />}
    </div>
  );
}

function turnsLabel(turns: number): string {
  if (turns === 0) return 'not at all';
  return `${sayTurns(turns)} ${turns > 0 ? 'longer' : 'shorter'}`;
}
