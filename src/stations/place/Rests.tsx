'use client';
import { measured } from '@/core/survey/readings';
import { layoutRadius, restsOf, restTrust } from '@/core/place/heights';
import { finer } from '@/core/units/tape';
import { useJob } from '@/store/jobStore';
import { Frac } from '@/ui/figures/Frac';
import { Within } from '@/ui/figures/Within';
import { StandsDrawing } from './StandsDrawing';
import { SIDES } from '@/core/geometry/side';
import { heldLift } from '@/core/job/jobValues';

/** The arithmetic of the rests, drawn, for each end. */
export function Rests() {
  const job = useJob();
  const lift = heldLift(job);
  const rests = restsOf(job, lift);
  const tube = measured(job.readings, 'tubeDiameter').value;
  const tape = finer(job.tape);
  const left = rests.left!;
  const u = restTrust(job);
  return (
    <section className="section rests">
      <StandsDrawing
        frame={job.place.held.left!}
        centre={left.centre}
        top={left.top}
        tube={tube}
        radius={layoutRadius(job)}
        tape={tape}
      />
      <table className="fits">
        <thead>
          <tr>
            <th scope="col">off the floor</th>
            <th scope="col">left</th>
            <th scope="col">right</th>
          </tr>
        </thead>
        <tbody>
          {(
            [
              ['middle of the axle', 'centre'],
              ['top of the rest, under the tube', 'top'],
            ] as const
          ).map(([label, key]) => (
            <tr key={key}>
              <th scope="row">{label}</th>
              {SIDES.map((side) => (
                <td key={side} data-rest={`${key}.${side}`}>
                  <Within value={rests[side]![key]} u={u} unit="length" tape={job.tape} />
                </td>
              ))}
            </tr>
          ))}
          <tr>
            <th scope="row">between the strips, one tube’s diameter</th>
            <td colSpan={2}>
              <Frac mm={tube} tape={tape} unit />
            </td>
          </tr>
        </tbody>
      </table>
      <p className="hint">
        Middle = tyre radius + frame now − frame {lift > 0 ? 'parked' : 'driving'}. Rest = middle − half of
        the tube.
      </p>
    </section>
  );
}
