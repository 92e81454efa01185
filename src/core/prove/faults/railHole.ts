import { railId } from '@/core/job/bodies/frameRails';
import type { Job } from '@/core/job/jobSchema';
import { holedRail, railHolesOf, sleeveOf } from '@/core/job/made/sway/sleeve';
import { bodyInputs } from '@/core/provenance/bodyInputs';
import type { InputId } from '@/core/provenance/inputs';
import { railHoleLeft } from '@/core/strength/railHole';
import { sayLength } from '@/core/units/length';
import type { Verdict } from '@/core/verdict/verdict';

const RAIL_HOLE = 'rail-hole';
export const isRailHole = ({ id }: Pick<Verdict, 'id'>): boolean => id === RAIL_HOLE;

/** What is said of a rail's hole hangs on: where the rail is and how large, and what is put into it. */
export const railHoleRestsOn = (job: Job, { where = '' }: Verdict): InputId[] => [
  ...bodyInputs(job.rig, where),
  'sleeve',
];

const percent = (share: number): string => `${Math.floor(100 * share)} %`;

/** What is said of the holes that a sway bar goes through the rails in: what they take of the rail, and what sleeve and collars give back. */
export function railHoleVerdicts(job: Job): Verdict[] {
  const sleeve = sleeveOf(job);
  if (!sleeve) return [];
  const say = (mm: number) => sayLength(mm, job.tape);
  const { rail, diameter, back } = holedRail(job, sleeve);
  return railHolesOf(job).map(({ side, up }): Verdict => {
    const of = { id: RAIL_HOLE, where: railId(side), remedies: [] };
    const [below, above] = [up - diameter / 2, rail.height - up - diameter / 2];
    if (Math.min(below, above) < rail.wall)
      return {
        ...of,
        state: 'stop',
        title: `The sway bar’s sleeve cuts through the ${below < above ? 'underside' : 'top'} of the ${side} rail.`,
        reason: `Its hole, ${say(diameter)}, has its middle ${say(up)} up a rail ${say(rail.height)} high. Move the bar, or take it under the rail.`,
      };
    if (sleeve.collar / 2 > Math.min(up, rail.height - up))
      return {
        ...of,
        state: 'look',
        title: `The collar on the ${side} rail is larger than the side it lies on.`,
        reason: `${say(sleeve.collar)} across, its middle ${say(up)} up a rail ${say(rail.height)} high: cut it flush, or make it smaller. What it gives back is not reckoned until it fits.`,
      };
    const { drilled, slotted, sleeved } = railHoleLeft(rail, { up, diameter }, back);
    const holds = sleeved >= 1;
    return {
      ...of,
      state: holds ? 'ok' : 'look',
      title: holds
        ? `Sleeve and collars give the ${side} rail back what its hole takes.`
        : `Sleeve and collars do not give the ${side} rail back all that its hole takes.`,
      reason: `Of its strength up and down the hole leaves ${percent(drilled)}; with the sleeve and its collars welded all round it has ${percent(sleeved)}. A slot open below leaves ${percent(slotted)} until it is closed: carry the car on both sides of it, with no weight on the rail.`,
    };
  });
}
