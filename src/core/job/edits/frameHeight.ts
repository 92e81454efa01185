import { raised, type Point } from '@/core/geometry/vector';
import type { LinkMember } from '@/core/rig/members/link';
import { isLink } from '@/core/rig/members/members';
import { mountOwners, mountsOf, withMount } from '@/core/rig/mounts';
import type { Obstacle, Rig } from '@/core/rig/schema';
import type { Stands } from '@/core/springs/springDesign';
import { linkHeight, type BarDesign, type EndLink } from '@/core/swaybar/swayBarDesign';
import { withBodies } from '@/core/job/bodies/bodies';
import type { Job } from '../jobSchema';
import { withPlaced } from '../placed';
import { drawnHeight, drivingHeight } from '../jobValues';
import type { RollDesign } from '../slices/roll';
import { redesigned } from './roll';

/** How far the frame is to be moved for the mounts to stand at the height that is built for, mm; up positive. */
export const frameToMove = (job: Job): number => drivingHeight(job) - drawnHeight(job);

/**
 * The job with everything on the frame moved up with it, or down, mm: mounts, bends, brackets' holes, shaft and steering, springs,
 * shocks, sway bar, what is in the way, and the sprung part of the centre of gravity. What the axle carries stays. Moved back by as
 * much, it is as it was.
 */
export function withFrameMoved(job: Job, by: number): Job {
  const { rig, roll, place } = job;
  const moved: Rig = {
    ...withFrameMounts(rig, by),
    obstacles: (rig.obstacles ?? []).map((o) => (o.on === 'chassis' ? obstacleRaised(o, by) : o)),
    ...(rig.cgHeight !== undefined && { cgHeight: rig.cgHeight + by * sprungShare(rig) }),
  };
  const design = redesigned({ ...roll, rig: moved }, rollMoved(roll, by));
  const { springs, shock, bar } = design;
  return withBodies({
    ...withPlaced(job, []),
    rig: design.rig,
    roll: { ...roll, springs, shock, bar },
    holes: holesMoved(job, by),
    place: { ...place, drawnAt: drawnHeight(job) + by },
  });
}

function withFrameMounts(rig: Rig, by: number): Rig {
  const changes = mountOwners(rig).flatMap((member) =>
    mountsOf(rig, member)
      .filter((mount) => mount.on === 'chassis')
      .map(({ key, point }) => ({ member, end: key, axis: 2 as const, mm: point[2] + by })),
  );
  const moved = changes.reduce(withMount, rig);
  return { ...moved, members: moved.members.map((m) => (isLink(m) ? withBendsMoved(m, rig, by) : m)) };
}

/** A bend goes with the frame end by its share of the way from the axle end. */
function withBendsMoved(bar: LinkMember, before: Rig, by: number): LinkMember {
  const was = before.members.find((m) => m.id === bar.id);
  if (!bar.path || !was || !isLink(was)) return bar;
  const bends = bar.path.chassis.map((p) => raised(p, by * shareFromAxle(p, was)));
  return { ...bar, path: { chassis: bends } };
}

/** How far along a bar seen from above a bend lies: 0 at its axle end, 1 at its frame end. Moving the frame does not change it. */
function shareFromAxle(p: Point, { chassis, axle }: LinkMember): number {
  const [dx, dy] = [chassis[0] - axle[0], chassis[1] - axle[1]];
  const plan = dx * dx + dy * dy;
  // A bar that stands upright has no plan to speak of: its bends go half way.
  if (plan < 1) return 0.5;
  return Math.min(1, Math.max(0, ((p[0] - axle[0]) * dx + (p[1] - axle[1]) * dy) / plan));
}

function obstacleRaised(o: Obstacle, by: number): Obstacle {
  switch (o.shape) {
    case 'box':
      return { ...o, min: raised(o.min, by), max: raised(o.max, by) };
    case 'sphere':
      return { ...o, centre: raised(o.centre, by) };
    default:
      return { ...o, from: raised(o.from, by), to: raised(o.to, by) };
  }
}

export const sprungShare = ({ masses }: Rig): number =>
  masses ? 1 - (masses.unsprungFront + masses.unsprungRear) / masses.total : 1;

const frameRaised = <T extends Stands>(stands: T, by: number): T => ({
  ...stands,
  frame: { ...stands.frame, height: stands.frame.height + by },
});

function rollMoved({ springs, shock, bar }: Job['roll'], by: number): Partial<RollDesign> {
  return {
    springs: springs && springs.kind !== 'leaf' ? frameRaised(springs, by) : springs,
    shock: shock?.apart ? { ...shock, apart: frameRaised(shock.apart, by) } : shock,
    bar: bar && barMoved(bar, by),
  };
}

/** A bar keeps its arms where they are; its end links take up what the frame moves. */
function barMoved(bar: BarDesign, by: number): BarDesign {
  const links = { ...longer(bar, by), ...(bar.right && { right: longer(bar.right, by) }) };
  if (bar.mountedOn === 'axle') return { ...bar, ...links };
  const stow = bar.stow && { ...bar.stow, height: bar.stow.height + by };
  return { ...bar, height: bar.height + by, ...links, stow };
}

/** An end link whose foot stays under its eye as it did, so much farther off. */
function longer({ link, foot }: EndLink, by: number): EndLink {
  return { link: Math.hypot(linkHeight({ link, foot }) + by, foot.out, foot.ahead), foot };
}

function holesMoved({ rig, holes }: Job, by: number): Job['holes'] {
  return Object.fromEntries(
    Object.entries(holes).map(([path, row]) => {
      const [member, key] = path.split('/');
      const mount = mountsOf(rig, member!).find((m) => m.key === key);
      return [path, mount?.on === 'chassis' ? { ...row, lowest: row.lowest + by } : row];
    }),
  );
}
