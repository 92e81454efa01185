'use client';
import { METALS } from '@/core/materials/metals';
import { sameBar } from '@/core/prove/sameBar';
import type { Check } from '@/core/prove/types';
import type { LinkMember } from '@/core/rig/members/link';
import { MM_PER_INCH, type Tape } from '@/core/units/tape';
import { FORCE, MASS } from '@/core/units/unit';
import { useJob } from '@/store/jobStore';

/** How far a bar gives, in thousandths of an inch or hundredths of a millimetre. */
const sayGive = (mm: number, tape: Tape): string =>
  tape === 'mm' ? `${mm.toFixed(2)} mm` : `${(mm / MM_PER_INCH).toFixed(3)} in`;

/** The same bar of other metals and other sections: what each carries, and what it weighs. */
export function Metals({ link, checks }: { link: LinkMember; checks: Check[] }) {
  const job = useJob();
  const asked = Math.max(0, ...checks.map(({ unit, demand }) => (unit === 'N' ? demand : 0)));
  const rows = sameBar(job, link);
  return (
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
      <p className="hint">
        {asked > 0 &&
          `The car asks ${FORCE.say(asked, job.tape)} of it: so much it carries at least, and gives so far along itself under that. `}
        {METALS.chromoly.name.split(',')[0]} carries more for its size; it is no lighter and no stiffer, wants
        the right wire and slow cooling, and cracks where its welding was wrong; DOM bends first and shows it.
        A long thin bar buckles at the same load in any steel.
      </p>
    </details>
  );
}
