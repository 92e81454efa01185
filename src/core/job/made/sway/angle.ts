import type { Angle } from '@/core/fabricate/plates/angle';
import { strapSizes } from '@/core/fabricate/plates/strap';
import { MM_PER_INCH } from '@/core/units/tape';
import type { Job } from '@/core/job/jobSchema';
import { strapOf } from './strap';

/** As thick as frame brackets commonly are, folded as tight as that allows (common practice, no published source), mm. */
const USUAL = {
  thickness: (3 / 16) * MM_PER_INCH,
  bend: (3 / 16) * MM_PER_INCH,
  edge: (3 / 4) * MM_PER_INCH,
  against: 2 * MM_PER_INCH,
};

/** The angle that each strap of the sway bar stands on, as was said of it, else wide enough for its strap; null where straps stand on what they hold to. */
export function angleOf(job: Job): Angle | null {
  const strap = strapOf(job);
  const said = job.parts.angle;
  if (!strap || !said) return null;
  const made = { ...USUAL, ...said };
  return {
    under: strap.width + made.thickness + made.bend,
    ...made,
    apart: strapSizes(strap).apart,
    bolt: strap.bolt,
    strap: strap.width,
  };
}
