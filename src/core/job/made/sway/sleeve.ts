import type { BoxRail, GivenBack } from '@/core/strength/railHole';
import { runsThrough, sleeveFor } from '@/core/swaybar/throughFrame';
import type { Side } from '@/core/geometry/side';
import { MM_PER_INCH, upToLine } from '@/core/units/tape';
import { sizeOf } from '@/core/job/bodies/bodySizes';
import { railsOf } from '@/core/job/bodies/frameRails';
import type { Job } from '@/core/job/jobSchema';

/** The sleeves that a sway bar passes its rails in, mm: outside diameter and wall, the collars round them and their thickness, the rails' wall. */
export type Sleeve = { od: number; tube: number; collar: number; plate: number; wall: number };

/** The hole of a rail, mm: its middle up from the rail's underside, and ahead of the axle's centre. */
export type RailHole = { side: Side; up: number; ahead: number };

const inch = (n: number) => n * MM_PER_INCH;

/** Common practice, no published source, mm: what a bar wants round it, and how much wider than its sleeve a collar is. */
const USUAL = {
  room: inch(1 / 8),
  tube: inch(1 / 8),
  round: inch(1),
  plate: inch(3 / 16),
  wall: inch(1 / 8),
};

/** The tube that a sway bar turns in from the middle of one bushing to the middle of the other, mm; null of any other car. */
export function barTubeOf({
  roll: { bar },
  parts,
}: Job): { od: number; wall: number; length: number } | null {
  if (!bar || bar.housing === null) return null;
  return { od: bar.housing, wall: parts.sleeve?.tube ?? USUAL.tube, length: bar.bushings };
}

/**
 * The sleeves of a sway bar that runs through the frame, as they were said, else as are usual; null of any other car. A tube that the bar
 * turns in is the sleeve in both rails.
 */
export function sleeveOf(job: Job): (Sleeve & { inside: number; fits: number | null }) | null {
  const { bar } = job.roll;
  const rails = railsOf(job);
  if (!bar || !runsThrough(bar, rails)) return null;
  const said = job.parts.sleeve ?? {};
  const throughTube = barTubeOf(job);
  const length = throughTube?.length ?? Math.max(...rails.map(({ width }) => width));
  // With arms of its own the bar is straight where it goes through.
  const fits = bar.made === 'arms' ? bar.od : sleeveFor(bar, length);
  const tube = said.tube ?? USUAL.tube;
  const od = throughTube?.od ?? said.od ?? upToLine((fits ?? bar.od) + USUAL.room, job.tape) + 2 * tube;
  return {
    od,
    tube,
    collar: said.collar ?? od + 2 * USUAL.round,
    plate: said.plate ?? USUAL.plate,
    wall: said.wall ?? USUAL.wall,
    inside: od - 2 * tube,
    fits,
  };
}

/** Where the middle of the hole is in each rail. */
export function railHolesOf(job: Job): RailHole[] {
  const { bar } = job.roll;
  return bar && sleeveOf(job)
    ? railsOf(job).map(({ side, underside }) => ({ side, up: bar.height - underside, ahead: bar.ahead }))
    : [];
}

/** A rail, and what its sleeve and collars are, as its section is reckoned. */
export function holedRail(
  job: Job,
  { od, tube, collar, plate, wall }: Sleeve,
): { rail: BoxRail; diameter: number; back: GivenBack } {
  const [width, height] = [sizeOf(job, 'railWidth'), sizeOf(job, 'railHeight')];
  const rail: BoxRail = { width, height, wall };
  const back: GivenBack = { sleeve: tube, collar: { od: collar, thickness: plate } };
  return { rail, diameter: od, back };
}
