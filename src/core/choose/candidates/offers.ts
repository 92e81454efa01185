import { withBodies } from '@/core/job/bodies/bodies';
import { candidatesOf, designOf, isOnBench } from '@/core/job/edits/candidates';
import { withLayout } from '@/core/job/edits/members/layout';
import { withoutMembers } from '@/core/job/edits/members/kits';
import { withBends, withMounts } from '@/core/job/edits/mounts';
import { withRoll } from '@/core/job/edits/roll';
import { holesKey } from '@/core/job/made/bracketHoles';
import type { Job } from '@/core/job/jobSchema';
import { withPlaced } from '@/core/job/placed';
import type { Design } from '@/core/job/slices/choose';
import { LAYOUT_IDS, layoutEnd } from '@/core/rig/layouts';
import { capital, groupName, LAYOUT_NAMES, memberName } from '@/core/rig/names';
import type { LinkMember } from '@/core/rig/members/link';
import { mountsOf } from '@/core/rig/mounts';
import { lateralBarOf, leavesOf, pairOf, withLink } from '@/core/rig/roles';
import { orNone } from '@/core/rig/read';
import { usualBar } from '@/core/swaybar/swayBarDesign';
import type { Point } from '@/core/geometry/vector';
import { sayLength } from '@/core/units/length';
import { bentClear } from '../bentClear';

/** Another way that a car could be built, by a name for it, and what is then drawn. */
export type Offer = { id: string; name: string; design: Design };

type Drawn = { id: string; name: string; change: (job: Job) => Job };

/** A bar that rises less than this over its length is level, mm. */
const LEVEL = 1;

/**
 * Other ways that the car on the bench could be built, each drawn from it by one change: another layout; the bar across levelled, the other
 * way round, before or behind the axle, bent clear of what it comes too near to, straight where it is bent, or left out where leaves hold
 * the axle too; another hole; a sway bar or none. Those that cannot be drawn, or that are kept already, are left out.
 */
export function offersFor(job: Job): Offer[] {
  const kept = candidatesOf(job);
  return [
    ...otherLayouts(job),
    ...barAcross(job),
    ...bentOrStraight(job),
    ...otherHoles(job),
    ...swayBar(job),
  ].flatMap(({ id, name, change }) => {
    const changed = orNone(() => change(job));
    if (!changed) return [];
    const design = designOf(changed);
    return isOnBench(job, { design }) || kept.some((one) => isOnBench(changed, one))
      ? []
      : [{ id, name, design }];
  });
}

/** Layouts for this end of the car; its own parts, as far as the layout has them, stay as they are made. */
const otherLayouts = ({ layout: now, rig }: Job): Drawn[] =>
  LAYOUT_IDS.filter((id) => id !== now && layoutEnd(id) === rig.end).map((id) => ({
    id,
    name: LAYOUT_NAMES[id][0],
    change: (job) => withLayout(job, id),
  }));

function barAcross(job: Job): Drawn[] {
  const bar = lateralBarOf(job.rig);
  if (!bar) return [];
  const { end } = job.rig;
  const moved = (to: (p: Point) => Point) => (of: Job) => {
    const link = (one: LinkMember): LinkMember => ({
      ...one,
      chassis: to(one.chassis),
      axle: to(one.axle),
      ...(one.path && {
        path: { ...one.path, ...(one.path.chassis && { chassis: one.path.chassis.map(to) }) },
      }),
    });
    return withBodies({ ...withPlaced(of, []), rig: withLink(of.rig, bar.id, link) });
  };
  const name = capital(memberName(bar.id, end));
  const isAhead = bar.axle[0] > 0;
  return [
    // A bracket with holes has its own heights.
    ...(Math.abs(bar.chassis[2] - bar.axle[2]) > LEVEL && !job.holes[holesKey(bar.id, 'chassis')]
      ? [
          {
            id: 'level',
            name: `${name} level, at the height of its axle end`,
            change: (of: Job) =>
              withMounts(of, [{ member: bar.id, end: 'chassis', axis: 2, mm: bar.axle[2] }]),
          },
        ]
      : []),
    {
      id: 'other-side',
      name: `${name}, frame end on the ${bar.chassis[1] > 0 ? 'right' : 'left'}`,
      change: moved(([x, y, z]) => [x, -y, z]),
    },
    {
      id: 'other-end',
      name: `${name} ${isAhead ? 'behind' : 'ahead of'} the axle`,
      change: moved(([x, y, z]) => [-x, y, z]),
    },
    ...(leavesOf(job.rig).length > 0
      ? [
          {
            id: 'no-bar',
            name: `Without the ${memberName(bar.id, end)}`,
            change: (of: Job) => withoutMembers(of, [bar.id]),
          },
        ]
      : []),
  ];
}

/** A straight bar that comes too near to something bent clear of it; a bent one straight. */
function bentOrStraight(job: Job): Drawn[] {
  const bar = lateralBarOf(job.rig);
  if (!bar) return [];
  const name = capital(memberName(bar.id, job.rig.end));
  if (bar.path?.chassis?.length)
    return [{ id: 'straight', name: `${name} straight`, change: (of) => withBends(of, bar.id, []) }];
  const bent = orNone(() => bentClear(job, bar));
  if (!bent) return [];
  return [
    {
      id: 'bent',
      name: `${name} bent ${sayLength(bent.by, job.tape)} ${bent.way}, clear of what it meets`,
      change: () => bent.job,
    },
  ];
}

/** Every bracket with holes one hole up and one down, both sides of a pair together. */
function otherHoles({ rig, holes }: Job): Drawn[] {
  return Object.entries(holes).flatMap(([path, { lowest, pitch, count }]) => {
    const [member = '', end] = path.split('/');
    const mount = mountsOf(rig, member).find(({ key }) => key === end);
    if (!mount || pairOf(member)[0] !== member) return [];
    const at = Math.round((mount.point[2] - lowest) / pitch);
    return ([1, -1] as const)
      .filter((step) => at + step >= 0 && at + step < count)
      .map((step): Drawn => {
        const pair = pairOf(member).filter((id) => holes[holesKey(id, mount.key)]);
        return {
          id: `${step > 0 ? 'up' : 'down'}-${path.replace(/[/.]/g, '-')}`,
          name: `${capital(groupName(pair, rig.end) ?? memberName(member, rig.end))}, ${mount.name.toLowerCase()} one hole ${step > 0 ? 'up' : 'down'}`,
          change: (of) =>
            withMounts(
              of,
              pair.map((id) => {
                const row = of.holes[holesKey(id, mount.key)]!;
                const now = mountsOf(of.rig, id).find(({ key }) => key === end)!.point[2];
                const hole = Math.round((now - row.lowest) / row.pitch) + step;
                return {
                  member: id,
                  end: mount.key,
                  axis: 2 as const,
                  mm: row.lowest + Math.min(row.count - 1, Math.max(0, hole)) * row.pitch,
                };
              }),
            ),
        };
      });
  });
}

function swayBar({ roll: { bar }, rig }: Job): Drawn[] {
  if (!bar)
    return [
      {
        id: 'sway-bar',
        name: 'With a sway bar of the usual size',
        change: (of) => withRoll(of, { bar: usualBar(rig) }),
      },
    ];
  const at = (hole: number) => (of: Job) => withRoll(of, { bar: { ...bar, hole } });
  return [
    { id: 'no-sway-bar', name: 'Without the sway bar', change: (of) => withRoll(of, { bar: null }) },
    ...(bar.hole + 1 < bar.holes
      ? [{ id: 'sway-bar-stiffer', name: 'Sway bar one hole stiffer', change: at(bar.hole + 1) }]
      : []),
    ...(bar.hole > 0
      ? [{ id: 'sway-bar-softer', name: 'Sway bar one hole softer', change: at(bar.hole - 1) }]
      : []),
  ];
}
