'use client';
import { useMemo } from 'react';
import { METALS } from '@/core/materials/metals';
import { sameBar } from '@/core/prove/sameBar';
import { travelKept, type TravelKept } from '@/core/prove/travelKept';
import { sayLength } from '@/core/units/length';
import type { Check } from '@/core/prove/types';
import type { LinkMember } from '@/core/rig/members/link';
import { MM_PER_INCH, type Tape } from '@/core/units/tape';
import { FORCE, MASS } from '@/core/units/unit';
import { useJob } from '@/store/jobStore';
import { JointTable } from './JointTable';
import { sayGive } from './sayGive';

/** Less travel than this is none, mm: a sixteenth of an inch. */
const LEAST_TRAVEL = MM_PER_INCH / 16;

/** What the bends of a bar buy of travel, and what that travel would cost otherwise. */
function sayTravel({ bent, straight, bump, higherShare }: TravelKept, tape: Tape): string {
  const say = (mm: number) => sayLength(mm, tape);
  const lost = bent - straight;
  const now =
    bent < bump
      ? `Bent as it is, it touches something ${bent > 0 ? `${say(bent)} up, of ${say(bump)}` : 'as the car stands, or farther down'}.`
      : `Bent as it is, it clears all ${say(bump)} of the way up.`;
  if (lost < -LEAST_TRAVEL)
    return `${now} Straight, it would clear ${say(straight)}, so the bend costs ${say(-lost)} of travel.`;
  if (lost < LEAST_TRAVEL) return `${now} Straight, it would clear as much: the bend buys no travel.`;
  if (straight === 0) return `${now} Straight, it would touch something as the car stands, or farther down.`;
  const share =
    higherShare === null
      ? ''
      : ` and its centre of gravity ${(100 * higherShare).toFixed(1)} % higher, and as much more goes over to the outer tyres in a corner`;
  return `${now} Straight, it would touch ${say(straight)} up: ${say(lost)} of travel less, or the car ${say(lost)} higher all round${share}.`;
}

/** The same bar of other metals and other sections: what each carries, and what it weighs. */
export function Metals({ link, checks }: { link: LinkMember; checks: Check[] }) {
  const job = useJob();
  const asked = Math.max(0, ...checks.map(({ unit, demand }) => (unit === 'N' ? demand : 0)));
  const rows = sameBar(job, link);
  const kept = useMemo(() => travelKept(job, link), [job, link]);
  return (
    <>
      <details className="metals">
        <summary>The same bar otherwise</summary>
        <table>
          <thead>
            <tr>
              <th scope="col">This bar as</th>
              <th scope="col">pulled</th>
              <th scope="col">pushed</th>
              <th scope="col">gives</th>
              <th scope="col">weighs</th>
            </tr>
          </thead>
          <tbody>
            {rows.map(({ name, pulled, pushed, rate, mass, now }) => (
              <tr key={name} data-now={now}>
                <th scope="row">{name}</th>
                <td>{FORCE.say(pulled, job.tape)}</td>
                <td>{FORCE.say(pushed, job.tape)}</td>
                <td>{sayGive(asked / rate, job.tape)}</td>
                <td>
                  {MASS.shown(mass, job.tape).toFixed(1)} {MASS.sign(job.tape)}
                </td>
              </tr>
            ))}
          </tbody>
        </table>
        {kept && <p data-travel-kept>{sayTravel(kept, job.tape)}</p>}
        <p className="hint">
          {asked > 0 &&
            `The car asks ${FORCE.say(asked, job.tape)} of it: so much it carries at least, and gives so far along itself under that. `}
          {METALS.chromoly.name.split(',')[0]} carries more for its size; it is no lighter and no stiffer,
          wants the right wire and slow cooling, and cracks where its welding was wrong; DOM bends first and
          shows it. A long thin bar buckles at the same load in any steel.
        </p>
      </details>
      <JointTable member={link.id} asked={asked} />
    </>
  );
}
