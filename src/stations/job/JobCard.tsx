'use client';
import { Input, TextArea } from '@/ui/fields/textInput';
import { LONGEST_NAME } from '@/core/job/names';
import { LIMITS } from '@/core/materials/limits';
import { LAYOUT_IDS, layoutEnd } from '@/core/rig/layouts';
import type { Tape } from '@/core/units/tape';
import { edit, useJobPart } from '@/store/jobStore';
import { CardHead, Caution } from '@/ui/cards/Card';
import { Choice } from '@/ui/cards/Choice';
import { Pills } from '@/ui/cards/Pills';
import { Layouts } from './Layouts';
import { Shelf } from './Shelf';
import './job.css';
import type { Use } from '@/core/materials/uses';
import type { Job } from '@/core/job/jobSchema';
import { withFront } from '@/core/job/edits/front';
import { withLayout } from '@/core/job/edits/members/layout';

const USES: Record<Use, [name: string, what: string]> = {
  street: ['Street', 'Quiet, long-lived joints; a car that feels the same both ways.'],
  autocross: ['Autocross or road course', 'Least sideways movement; noise is accepted.'],
  drag: ['Drag strip', 'Straight running; small travel.'],
  offroad: ['Off-road', 'Much travel; the axle may wander more in it.'],
  tow: ['Towing', 'Load changes the height; judge the bar loaded too.'],
};
const TAPES: { value: Tape; label: string }[] = [
  { value: 'in16', label: 'inches, 1/16' },
  { value: 'in32', label: 'inches, 1/32' },
  { value: 'mm', label: 'millimetres' },
];
const ENDS: { value: Job['rig']['end']; label: string }[] = [
  { value: 'rear', label: 'Rear axle' },
  { value: 'front', label: 'Front axle' },
];

/** What car, what for, by which tape, which end, which layout; and the shelf with every other job. */
export function JobCard() {
  const jobId = useJobPart((j) => j.id);
  return (
    <>
      <CardHead title="The job">What it is for settles which compromises are fine.</CardHead>
      <Shelf jobId={jobId} />
      <Name />
      <Car />
      <TapeUsed />
      <AxleEnd />
      <UsedFor />
      <Layouts />
      <FrontAxle />
      <Notes />
      <Caution>
        Stands on solid, level ground; the car never held by a jack alone; a wheel under the sill as a second
        catch. Before building anything new, look for what is already wrong: ovalled holes, cracked welds,
        loose steering, a bracket never welded.
      </Caution>
    </>
  );
}

// Each reads its own part of the job, so that a letter typed draws one field again and not the card.

function Name() {
  const name = useJobPart((j) => j.name);
  return (
    <label className="text-field section">
      Job
      <Input
        id="job-name"
        maxLength={LONGEST_NAME}
        value={name}
        onChange={(e) => edit((j) => ({ ...j, name: e.target.value }))}
      />
    </label>
  );
}

function Car() {
  const car = useJobPart((j) => j.car);
  return (
    <label className="text-field">
      Car
      <Input
        id="job-car"
        maxLength={200}
        value={car}
        placeholder="year, body, engine, tyres"
        onChange={(e) => edit((j) => ({ ...j, car: e.target.value }))}
      />
    </label>
  );
}

function Notes() {
  const notes = useJobPart((j) => j.notes);
  return (
    <label className="text-field section">
      Notes
      <TextArea
        rows={3}
        maxLength={20000}
        value={notes}
        onChange={(e) => edit((j) => ({ ...j, notes: e.target.value }))}
      />
    </label>
  );
}

function TapeUsed() {
  const tape = useJobPart((j) => j.tape);
  return (
    <Pills legend="Tape" options={TAPES} value={tape} onPick={(to) => edit((j) => ({ ...j, tape: to }))} />
  );
}

function AxleEnd() {
  const end = useJobPart((j) => j.rig.end);
  return (
    <Pills
      legend="Axle"
      options={ENDS}
      value={end}
      onPick={(to) =>
        edit((j) =>
          withLayout(
            j,
            LAYOUT_IDS.find((l) => layoutEnd(l) === to)!,
          ),
        )
      }
    />
  );
}

const DRIVEN: { value: 'no' | 'yes'; label: string }[] = [
  { value: 'no', label: 'not driven' },
  { value: 'yes', label: 'driven' },
];
const BOXES: { value: Job['front']['box']; label: string }[] = [
  { value: 'frame', label: 'on the frame' },
  { value: 'axle', label: 'on the axle: no drag link' },
];

/** What a front axle is beside its layout: whether it drives, and where it is steered from. */
function FrontAxle() {
  const end = useJobPart((j) => j.rig.end);
  const { driven, box } = useJobPart((j) => j.front);
  if (end === 'rear') return null;
  return (
    <>
      <Pills
        legend="Front axle"
        options={DRIVEN}
        value={driven ? 'yes' : 'no'}
        onPick={(to) => edit((j) => withFront(j, { driven: to === 'yes' }))}
      />
      <Pills
        legend="Steering box or rack"
        options={BOXES}
        value={box}
        onPick={(to) => edit((j) => withFront(j, { box: to }))}
      />
    </>
  );
}

function UsedFor() {
  const use = useJobPart((j) => j.use);
  return (
    <div className="section">
      <div className="choice-legend">Use</div>
      <Choice
        label="Use"
        name="use"
        options={(Object.keys(USES) as Use[]).map((value) => ({
          value,
          title: USES[value][0],
          hint: USES[value][1],
        }))}
        value={use}
        onPick={(to) => edit((j) => withUse(j, to))}
      />
    </div>
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
