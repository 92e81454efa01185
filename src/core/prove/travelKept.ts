import { clearBump } from '@/core/clearance/closestOverTravel';
import type { Job } from '@/core/job/jobSchema';
import { travelOf } from '@/core/job/jobValues';
import { assemble } from '@/core/kinematics/mechanism';
import type { LinkMember } from '@/core/rig/members/link';
import type { Rig } from '@/core/rig/schema';

/**
 * What the bends of a bar buy, mm: how far up the wheels go before it touches anything, bent as it is and straight, out of the whole
 * `bump`; `higherShare`, how much farther up the car's centre of gravity would be, as a share of its height, were the car raised by what
 * the straight bar lacks; null where its height or the weights are not known.
 */
export type TravelKept = { bent: number; straight: number; bump: number; higherShare: number | null };

/** What the bends of a bar buy; null of a straight bar. */
export function travelKept(job: Job, link: LinkMember): TravelKept | null {
  if (!link.path?.chassis.length) return null;
  const travel = travelOf(job);
  const kept = (rig: Rig) => clearBump(rig, assemble(rig), link.id, travel);
  const straightened = { ...link };
  delete straightened.path;
  const members = job.rig.members.map((m) => (m.id === link.id ? straightened : m));
  const [bent, straight] = [kept(job.rig), kept({ ...job.rig, members })];
  return { bent, straight, bump: travel.bump, higherShare: higherBy(job.rig, bent - straight) };
}

/** How much farther up the centre of gravity is when what the springs carry is raised, as a share of its height; null where that is not known. */
function higherBy({ masses, cgHeight }: Rig, mm: number): number | null {
  if (!masses || !cgHeight) return null;
  const { total, unsprungFront, unsprungRear } = masses;
  return (mm * (1 - (unsprungFront + unsprungRear) / total)) / cgHeight;
}
