'use client';
import { heldLift } from '@/core/job/jobValues';
import { heightsOf, restsOf } from '@/core/place/heights';
import { finer } from '@/core/units/tape';
import { useJob } from '@/store/jobStore';
import { Frac } from '@/ui/figures/Frac';

/** What frame, rests and wheel do at the four heights that matter. */
export function Heights() {
  const job = useJob();
  const tape = finer(job.tape);
  const rests = Object.fromEntries(heightsOf(job).map((h) => [h.id, restsOf(job, h.lift)]));
  return (
    <section className="section">
      <h2>The four heights</h2>
      <table className="fits heights">
        <thead>
          <tr>
            <td />
            <th scope="col">frame off the floor</th>
            <th scope="col">rest, left end</th>
            <th scope="col">wheel in its opening</th>
          </tr>
        </thead>
        <tbody>
          {heightsOf(job).map((h) => (
            <tr
              key={h.id}
              data-height={h.id}
              className={h.id === (heldLift(job) > 0 ? 'parked' : 'driving') ? 'built' : ''}
            >
              <th scope="row">{h.label}</th>
              <td>
                <Frac mm={h.frame} tape={tape} />
              </td>
              <td>{rests[h.id]!.left ? <Frac mm={rests[h.id]!.left!.top} tape={tape} /> : '–'}</td>
              <td>
                {h.inOpening === null ? (
                  'out of reach'
                ) : Math.abs(h.inOpening) < 0.4 ? (
                  'middle'
                ) : (
                  <>
                    <Frac mm={Math.abs(h.inOpening)} tape={tape} /> {h.inOpening > 0 ? 'ahead' : 'behind'}
                  </>
                )}
              </td>
            </tr>
          ))}
        </tbody>
      </table>
      <p className="hint">
        Brackets are set at the {heldLift(job) > 0 ? 'parked' : 'driving'} height. The rests of the others
        show, without a spring in it, what the axle comes near at its stops.
      </p>
    </section>
  );
}
