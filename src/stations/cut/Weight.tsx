'use client';
import { withBarTakenOff, withOtherTakenOff } from '@/core/job/edits/parts/parts';
import { isSpoken } from '@/core/cut/flatParts';
import type { JobCut } from '@/core/cut/jobCut';
import { againstTakenOff, cutMass, madeMass, takenOff } from '@/core/cut/weight';
import type { Job } from '@/core/job/jobSchema';
import { capital, memberName } from '@/core/rig/names';
import { partName } from '@/core/provenance/inputs';
import { MASS } from '@/core/units/unit';
import { enter, useJob } from '@/store/jobStore';
import { NumberField } from '@/ui/fields/NumberField';

/** The lightest and the heaviest that can be typed, kg. */
const LEAST = 0.01;
const MOST = 500;

/** What all of it weighs, and against what came off. */
export function Weight({ cut }: { cut: JobCut }) {
  const job = useJob();
  const { tape } = job;
  const say = (kg: number) => `${MASS.shown(kg, tape).toFixed(1)} ${MASS.sign(tape)}`;
  const against = againstTakenOff(job, cut);
  return (
    <section className="section" data-part="weight">
      <h2>Weight</h2>
      <p className="hint">
        Tubes and plates weigh {say(cutMass(cut))} in all; rod ends, bolts and weld come on top. What comes
        off goes on a scale before it goes in the bin: about half of a bar’s weight rides with the axle.
      </p>
      <table className="cut-table" data-cut="weight">
        <thead>
          <tr>
            <th scope="col">Bar, with its ends</th>
            <th scope="col">new</th>
            <th scope="col">the old one</th>
          </tr>
        </thead>
        <tbody>
          {cut.bars
            .filter(({ id }) => isSpoken(job, id))
            .map((bar) => (
              <tr key={bar.id}>
                <th scope="row">{capital(partName(job, bar.id))}</th>
                <td>{say(madeMass(job, cut, bar))}</td>
                <td>
                  <Scale
                    field={`${bar.id}/takenOff`}
                    label={`The old ${memberName(bar.id, job.rig.end)} weighs`}
                    kg={takenOff(job, bar.id)}
                    put={(j, kg) => withBarTakenOff(j, bar.id, kg)}
                  />
                </td>
              </tr>
            ))}
          <tr>
            <th scope="row">All else that came off</th>
            <td />
            <td>
              <Scale
                field="cut/otherTakenOff"
                label="All else that came off weighs"
                kg={job.cut.takenOff?.other ?? null}
                put={withOtherTakenOff}
              />
            </td>
          </tr>
        </tbody>
      </table>
      {against && (
        <p data-part="against">
          What is new, about {say(against.made)}; what came off, {say(against.off)}:{' '}
          {difference(against, say)}
          {against.unweighed.length > 0 &&
            ` Not weighed, and so left out: ${against.unweighed.map((id) => memberName(id, job.rig.end)).join(', ')}.`}
        </p>
      )}
    </section>
  );
}

function difference({ made, off }: { made: number; off: number }, say: (kg: number) => string): string {
  if (say(made) === say(off)) return 'alike.';
  return `${say(Math.abs(made - off))} ${made > off ? 'more' : 'less'}.`;
}

type ScaleProps = {
  field: string;
  label: string;
  kg: number | null;
  put: (job: Job, kg: number | null) => Job;
};

/** What the scale says, in the builder's unit. */
function Scale({ field, label, kg, put }: ScaleProps) {
  const { tape } = useJob();
  return (
    <NumberField
      field={field}
      label={label}
      value={kg === null ? null : MASS.shown(kg, tape)}
      least={Number(MASS.shown(LEAST, tape).toPrecision(2))}
      most={Math.floor(MASS.shown(MOST, tape))}
      unit={MASS.sign(tape)}
      decimals={2}
      placeholder="not weighed"
      onEnter={(value, typed) => enter(field, typed, (j) => put(j, MASS.read(value, tape)))}
      onClear={() => enter(field, null, (j) => put(j, null))}
    />
  );
}
