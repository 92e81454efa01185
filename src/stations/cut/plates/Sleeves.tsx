'use client';
import { collarDrawing } from '@/core/fabricate/plates/collar';
import { barTubeOf, railHolesOf, sleeveOf, type RailHole } from '@/core/job/made/sway/sleeve';
import { sayLength } from '@/core/units/length';
import type { Job } from '@/core/job/jobSchema';
import type { Tape } from '@/core/units/tape';
import { useJob } from '@/store/jobStore';
import { AlikePart, type SizeField } from './AlikePart';

const FIELDS: SizeField<'sleeve'>[] = [
  ['od', 'Sleeve, outside', 10, 150],
  ['tube', 'Sleeve, its wall', 1, 20],
  ['collar', 'Collars, outside', 15, 250],
  ['plate', 'Collars, thickness', 1, 15],
  ['wall', 'Wall of the rails', 1, 15],
];

/** Where the middle of a hole is, from marks that can be found under the car. */
const sayHole = ({ side, up, ahead }: RailHole, tape: Tape): string =>
  `${side} rail, ${sayLength(up, tape)} up from its underside and ${sayLength(Math.abs(ahead), tape)} ${ahead < 0 ? 'behind' : 'ahead of'} the axle’s centre`;

/** The tube that the sway bar turns in, where it goes past the rails. */
function BarTube({ job }: { job: Job }) {
  const of = barTubeOf(job);
  if (!of) return null;
  const { od, wall, length } = of;
  const say = (mm: number) => sayLength(mm, job.tape);
  return (
    <AlikePart
      part="sleeve"
      title="Tube that the sway bar turns in"
      shows="The end of the tube"
      drawing={collarDrawing(od, od - 2 * wall)}
      sizes={{ tube: wall }}
      fields={[['tube', 'Its wall', 1, 20]]}
    >
      <p className="hint" data-bar-tube>
        {say(od)} outside, as told at Roll; {say(length)} long, from the middle of one bushing to the middle
        of the other: longer or shorter by how those sit in it. Bushings and bar are out of it while it is
        welded.
      </p>
    </AlikePart>
  );
}

/** The sleeves and collars that the sway bar passes the rails in, and where the holes for them go; or the tube that it turns in. */
export function Sleeves() {
  const job = useJob();
  const of = sleeveOf(job);
  if (!of) return <BarTube job={job} />;
  const say = (mm: number) => sayLength(mm, job.tape);
  const { fits, inside, ...sizes } = of;
  const isTube = barTubeOf(job) !== null;
  const what = isTube ? 'tube' : 'sleeve';
  return (
    <AlikePart
      part="sleeve"
      title="Sleeves through the rails"
      shows="A collar, four of them: one on each side of each rail"
      drawing={collarDrawing(of.collar, of.od)}
      sizes={sizes}
      // The outside of a tube that the bar turns in is told at Roll.
      fields={isTube ? FIELDS.filter(([key]) => key !== 'od') : FIELDS}
    >
      {inside < (fits ?? 0) && (
        <p className="field-problem" role="alert">
          The bar does not pass: it wants {say(fits!)} inside, this {what} has {say(inside)}. Take a larger
          one, or a thinner wall.
        </p>
      )}
      {fits === null && (
        <p className="hint">
          Two of the bar’s bends lie nearer to each other than the {what} is long:{' '}
          {isTube
            ? 'a tube of two halves, bolted together round the middle.'
            : 'try the bend in a piece of it before anything is drilled.'}
        </p>
      )}
      <p className="hint" data-sleeve>
        Centre the hole saw, {say(of.od)}:{' '}
        {railHolesOf(job)
          .map((hole) => sayHole(hole, job.tape))
          .join('; ')}
        . Punch both sides of a rail from the same marks, drill from both. Sleeve and collars are welded all
        round, before anything rests on the rail again.
      </p>
    </AlikePart>
  );
}
