import { heldInputs } from '@/core/provenance/bodyInputs';
import { mountInputs, partInput, type InputId } from '@/core/provenance/inputs';
import type { Job } from '@/core/job/jobSchema';
import { fastenedTo } from '@/core/job/bracketParts';
import { linksOf } from '@/core/rig/members/members';

/** What the forces in the members hang on. */
const forces = ({ rig }: Job): InputId[] => [
  ...heldInputs(rig),
  ...['read.track', 'read.tireRadius', 'read.wheelbase', 'weights', 'unsprung', 'cgHeight'],
];

/** Where a frame rail is, and how big. */
const RAIL: InputId[] = ['read.rideHeight', 'read.gapFrame', 'size.railWidth', 'size.railHeight'];

/** What the proof of a part hangs on: of a bar by its member, of a bracket by its mount. */
export function proveRestsOn(job: Job, part: string): InputId[] {
  const [member = '', end] = part.split('/');
  const own = end === undefined ? [...mountInputs(job.rig, [member]), 'barEnds'] : [];
  const link = linksOf(job.rig).find(({ id }) => id === member);
  const root =
    end === 'axle'
      ? ['read.tubeDiameter']
      : end === 'chassis' && link && fastenedTo(job, link, 'chassis') === 'rail'
        ? RAIL
        : [];
  return [...forces(job), ...own, ...root, partInput(job, part), ...(end ? [`joints.${member}`] : [])];
}
