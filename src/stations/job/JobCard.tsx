'use client';
import { Input, TextArea } from '@/ui/fields/textInput';
import { LIMITS } from '@/core/materials/limits';
import { LAYOUT_IDS, layoutEnd } from '@/core/rig/layouts';
import type { Tape } from '@/core/units/tape';
import { edit, useJob } from '@/store/jobStore';
import { CardHead, Caution } from '@/ui/cards/Card';
import { Layouts } from './Layouts';
import { Shelf } from './Shelf';
import './job.css';
import type { Use } from '@/core/materials/uses';
import type { Job } from '@/core/job/jobSchema';
import { withLayout } from '@/core/job/edits/layout';

const USES: Record<Use, [name: string, what: string]> = {
  street: ['Street', 'Quiet, long-lived joints; a car that feels the same both ways.'],
  autocross: ['Autocross or road course', 'Least sideways movement; noise is accepted.'],
  drag: ['Drag strip', 'Straight running; small travel.'],
  offroad: ['Off-road', 'Much travel; the axle may wander more in it.'],
  tow: ['Towing', 'Load changes the height; judge the bar loaded too.'],
};
const TAPES: Record<Tape, string> = { in16: 'inches, 1/16', in32: 'inches, 1/32', mm: 'millimetres' };
const ENDS: Record<Job['rig']['end'], string> = { rear: 'Rear axle', front: 'Front axle' };

/** What car, what for, by which tape, which end, which layout; and the shelf with every other job. */
export function JobCard() {
  const job = useJob();
  return (
    <>
      <CardHead title="The job">What it is for settles which compromises are fine.</CardHead>
      <Shelf />
      <label className="text-field section">
        Job
        <Input
          id="job-name"
          maxLength={120}
          value={job.name}
          onChange={(e) => edit((j) => ({ ...j, name: e.target.value }))}
        />
      </label>
      <label className="text-field">
        Car
        <Input
          id="job-car"
          maxLength={200}
          value={job.car}
          placeholder="year, body, engine, tyres"
          onChange={(e) => edit((j) => ({ ...j, car: e.target.value }))}
        />
      </label>

      <Choice
        legend="Tape"
        options={TAPES}
        value={job.tape}
        onPick={(tape) => edit((j) => ({ ...j, tape }))}
      />
      <Choice
        legend="Axle"
        options={ENDS}
        value={job.rig.end}
        onPick={(end) =>
          edit((j) =>
            withLayout(
              j,
              LAYOUT_IDS.find((l) => layoutEnd(l) === end)!,
            ),
          )
        }
      />

      <fieldset className="section choice">
        <legend>Use</legend>
        {(Object.keys(USES) as Use[]).map((use) => (
          <label key={use}>
            <input
              type="radio"
              name="use"
              checked={job.use === use}
              onChange={() => edit((j) => withUse(j, use))}
            />
            <span>
              <b>{USES[use][0]}</b>
              <span className="hint">{USES[use][1]}</span>
            </span>
          </label>
        ))}
      </fieldset>

      <Layouts />

      <label className="text-field section">
        Notes
        <TextArea
          rows={3}
          maxLength={20000}
          value={job.notes}
          onChange={(e) => edit((j) => ({ ...j, notes: e.target.value }))}
        />
      </label>
      <Caution>
        Stands on solid, level ground; the car never held by a jack alone; a wheel under the sill as a second
        catch. Before building anything new, look for what is already wrong: ovalled holes, cracked welds,
        loose steering, a bracket never welded.
      </Caution>
    </>
  );
}

/** A new use brings its own starting limit, unless the builder has set one. */
function withUse(job: Job, use: Use): Job {
  const untouched = job.locate.shiftLimit === LIMITS.sideways[job.use];
  return {
    ...job,
    use,
    locate: untouched ? { ...job.locate, shiftLimit: LIMITS.sideways[use] } : job.locate,
  };
}

function Choice<T extends string>({
  legend,
  options,
  value,
  onPick,
}: {
  legend: string;
  options: Record<T, string>;
  value: T;
  onPick: (v: T) => void;
}) {
  return (
    <fieldset className="pills">
      <legend>{legend}</legend>
      {(Object.entries(options) as [T, string][]).map(([key, name]) => (
        <label key={key}>
          <input type="radio" name={legend} checked={value === key} onChange={() => onPick(key)} />
          <span>{name}</span>
        </label>
      ))}
    </fieldset>
  );
}
