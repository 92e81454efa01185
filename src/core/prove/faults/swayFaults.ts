import { angleFault } from '@/core/fabricate/plates/angle';
import { earFault } from '@/core/fabricate/plates/springPlate';
import { strapFault } from '@/core/fabricate/plates/strap';
import type { Job } from '@/core/job/jobSchema';
import { springPlateOf } from '@/core/job/made/springPlate';
import { angleOf } from '@/core/job/made/sway/angle';
import { endLinkFault, endLinkOf } from '@/core/job/made/sway/endLink';
import { SWAY_PARTS, type SwayPart } from '@/core/job/made/sway/parts';
import { strapOf } from '@/core/job/made/sway/strap';
import { partInput, type InputId } from '@/core/provenance/inputs';
import { capital } from '@/core/rig/names';
import type { Verdict } from '@/core/verdict/verdict';

/** Why something that a sway bar pulls at cannot be made, and what cures it. */
export const SWAY_FAULTS = {
  strap: {
    foot: 'The feet end within their bends: make them longer.',
    side: 'The bends take more than its sides are high: bend it tighter, or give it less round a top.',
  },
  angle: {
    under: 'The strap does not lie flat on it: make the leg under it wider.',
    against: 'The other leg has no room for its bolts: make it wider.',
    edge: 'Its bolts stand too near its ends: leave more past them.',
  },
  ear: {
    'at-u-bolt': 'Its hole leaves too little steel beside a U-bolt: move it.',
    'under-spring': 'Its hole lies under the spring: nothing stands there. Move it.',
  },
  link: {
    'too-short':
      'Its two ends alone are longer than it is: shorter ends, less thread showing, or a longer link at Roll.',
    'thick-wall': 'Its wall is thicker than half of the tube.',
    'thread-in-tube': 'The thread is as thick as the tube: a larger tube, or a smaller thread.',
  },
} as const;

const NOT_MADE = 'sway-not-made';
export const isSwayFault = ({ id }: Pick<Verdict, 'id'>): boolean => id === NOT_MADE;
export const swayFaultRestsOn = (job: Job, { where = '' }: Verdict): InputId[] => [partInput(job, where)];

/** Why each thing that a job's sway bar pulls at cannot be made as it was said; nothing of what can. */
export function swayFaultsOf(job: Job): Partial<Record<SwayPart, string>> {
  const [strap, angle, plate, link] = [strapOf(job), angleOf(job), springPlateOf(job), endLinkOf(job)];
  const why = {
    'sway-bar/strap': strap && SWAY_FAULTS.strap[strapFault(strap)!],
    'sway-bar/angle': angle && SWAY_FAULTS.angle[angleFault(angle)!],
    'sway-bar/ear': plate && SWAY_FAULTS.ear[earFault(plate)!],
    'sway-bar/link': link && SWAY_FAULTS.link[endLinkFault(link)!],
  };
  return Object.fromEntries(Object.entries(why).filter(([, said]) => said));
}

/** What is said of what a sway bar pulls at and cannot be made. */
export const swayFaults = (job: Job): Verdict[] =>
  Object.entries(swayFaultsOf(job)).map(([part, reason]) => ({
    id: NOT_MADE,
    where: part,
    state: 'stop',
    title: `${capital(SWAY_PARTS[part as SwayPart])}: cannot be made so.`,
    reason,
    remedies: [],
  }));
