import { heldInputs } from '@/core/provenance/bodyInputs';
import { inputOf, mountInputs, partInput, type InputId } from '@/core/provenance/inputs';
import type { Job } from '@/core/job/jobSchema';
import { fastenedTo } from '@/core/job/made/bracketRoot';
import { crossmemberIn } from '@/core/job/made/crossmember';
import { isOfSwayBar } from '@/core/job/made/sway/parts';
import { linksOf } from '@/core/rig/members/members';

/** What the forces in the members hang on. */
const forces = (job: Job): InputId[] => [
  ...heldInputs(job.rig),
  ...patternSizes(job),
  ...['read.track', 'read.tireRadius', 'read.wheelbase', 'weights', 'unsprung', 'cgHeight'],
];

/** What a pattern is laid out by beside track and tyres, where a mount still stands as its pattern put it. */
function patternSizes(job: Job): InputId[] {
  const mounts = mountInputs(
    job.rig,
    job.rig.members.map(({ id }) => id),
  );
  return mounts.some((id) => inputOf(job, id).from === 'pattern') ? ['read.cover', 'tube'] : [];
}

/** Where a frame rail is, and how big. */
const RAIL: InputId[] = ['read.rideHeight', 'read.gapFrame', 'size.railWidth', 'size.railHeight'];

/** What a frame bracket hangs on follows from where the rails are. */
const ON_FRAME = { rail: RAIL, crossmember: RAIL, tube: [], undrawn: [] };

/** How far the axle rolls, which the sway bar is twisted by. */
const ROLLED: InputId[] = ['read.bump', 'read.droop', 'read.track', 'read.tireRadius'];

/** What the proof of a part hangs on: of a bar by its member, of a bracket by its mount. */
export function proveRestsOn(job: Job, part: string): InputId[] {
  if (isOfSwayBar(part)) return [...heldInputs(job.rig), ...ROLLED, partInput(job, part)];
  if (crossmemberIn(part)) return [...forces(job), ...RAIL, partInput(job, part)];
  const [member = '', end] = part.split('/');
  const own = end === undefined ? [...mountInputs(job.rig, [member]), 'barEnds'] : [];
  const link = linksOf(job.rig).find(({ id }) => id === member);
  const root =
    end === 'axle'
      ? ['read.tubeDiameter']
      : end === 'chassis' && link
        ? ON_FRAME[fastenedTo(job, link, 'chassis')]
        : [];
  return [...forces(job), ...own, ...root, partInput(job, part), ...(end ? [`joints.${member}`] : [])];
}
