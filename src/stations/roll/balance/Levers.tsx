'use client';
import { withPlaced } from '@/core/job/placed';
import { Button, Slider } from 'antd';
import type { Leaning, Tuning } from '@/core/roll/analyse';
import type { Corner } from '@/core/balance/steadyCorner';
import { changedBy, type Lever, type LeverId, type WhatIf } from '@/core/roll/levers';
import { division, MM_PER_INCH, type Tape } from '@/core/units/tape';
import { edit, useJob } from '@/store/jobStore';
import { setRocker } from '@/store/rocker';
import { forget, think, useWhatIf } from '@/store/edits/rollEdits';
import { leverName, sayLever } from './leverWords';
import { rollInput } from '@/core/roll/input';

const percent = (share: number) => `${(100 * Math.abs(share)).toFixed(1)} %`;

const stepOf = (id: LeverId, tape: Tape): number =>
  ({
    panhard: division(tape) * (tape === 'mm' ? 5 : 4),
    springs: 0.05,
    bar: tape === 'mm' ? 1 : MM_PER_INCH / 16,
    hole: 1,
    other: 0.05,
    grip: 0.05,
  })[id];

type Props = { tuning: Tuning; without: Leaning | null; corner: Corner };

/** What each change would do: a rail to try it on, its effect a step, and how much of it is worth one per cent. */
export function Levers({ tuning, without, corner }: Props) {
  const job = useJob();
  const what = useWhatIf();
  const thinking = Object.values(what).some(Boolean);
  return (
    <section className="section">
      <h2>What would it do?</h2>
      {corner.lifted && (
        <p className="hint">
          At {corner.g} g the inside {corner.lifted} wheel is off the ground: stiffer or softer at that end
          changes nothing more. Try a gentler corner above.
        </p>
      )}
      {thinking && tuning.whatIf && (
        <div className="thinking" data-readout="whatIf">
          <p>
            With what the rails say it leans {tuning.whatIf.rollDeg.toFixed(1)}° and the front takes{' '}
            {(100 * tuning.whatIf.frontShare).toFixed(1)} %:{' '}
            {effect(tuning.whatIf.frontShare - corner.frontShare)}.
          </p>
          <div className="starts">
            <Button type="primary" onClick={() => make(what)}>
              Make it so
            </Button>
            <Button onClick={forget}>Forget it</Button>
          </div>
        </div>
      )}
      <ul className="levers">
        {tuning.levers.map((lever) => (
          <OneLever
            key={lever.id}
            id={lever.id}
            lever={lever}
            name={leverName(lever.id, job.rig.end)}
            tape={job.tape}
            value={what[lever.id] ?? 0}
          />
        ))}
      </ul>
      {without && (
        <p data-lever="none">
          Without the sway bar: {effect(without.frontShare - corner.frontShare)},{' '}
          {turn(without.rollDeg - corner.rollDeg)}.
        </p>
      )}
    </section>
  );
}

const effect = (share: number): string =>
  Math.abs(share) < 0.0005 ? 'no change of balance' : `${percent(share)} ${share > 0 ? 'tighter' : 'looser'}`;

const turn = (roll: number): string => `${Math.abs(roll).toFixed(2)}° ${roll > 0 ? 'more' : 'less'} lean`;

type OneProps = { id: LeverId; name: string; lever: Lever; tape: Tape; value: number };

function OneLever({ id, name, lever, tape, value }: OneProps) {
  const step = stepOf(id, tape);
  const [least, most] = lever.reach;
  const set = (v: number) => think({ [id]: Math.min(most, Math.max(least, v)) });
  return (
    <li className="lever" data-lever={id}>
      <div className="line">
        <b>{name}</b>
        <span data-effect={id}>
          {sayLever(id, lever.step, tape)} = {effect(lever.share)}
        </span>
      </div>
      <div className="lever-rail">
        <Button aria-label={`${name}: less`} onClick={() => set(value - step)}>
          −
        </Button>
        <Slider
          ariaLabelForHandle={name}
          min={least}
          max={most}
          step={step}
          value={value}
          tooltip={{ open: false }}
          onChange={set}
        />
        <Button aria-label={`${name}: more`} onClick={() => set(value + step)}>
          +
        </Button>
        <output>{value === 0 ? 'as it is' : sayLever(id, value, tape)}</output>
      </div>
      <p className="hint">
        {turn(lever.roll)} a step.{' '}
        {lever.forOne !== null &&
          lever.forOne >= least &&
          lever.forOne <= most &&
          `One per cent looser is about ${sayLever(id, lever.forOne, tape)}.`}
      </p>
    </li>
  );
}

/** What was thought about becomes the car: one step of undo. */
function make(what: WhatIf): void {
  setRocker(0, 0);
  edit((job) => {
    const { rig, springs, bar, cornerG } = changedBy(rollInput(job, { left: 0, right: 0 }), what);
    const moved = rig.members !== job.rig.members;
    return {
      ...(moved ? withPlaced(job, []) : job),
      rig,
      cornerG,
      roll: { ...job.roll, springs, bar },
    };
  });
  forget();
}
