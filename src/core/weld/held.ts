import type { Point } from '@/core/geometry/vector';
import { bodyAt } from '@/core/job/made/parts';
import type { Job } from '@/core/job/jobSchema';
import { BRACKETS, type HoldPoint } from '@/core/job/slices/fields';
import type { Body, MountKey } from '@/core/rig/members/kind';
import { isLink, linksOf, type Member } from '@/core/rig/members/members';
import { mountsOf } from '@/core/rig/mounts';
import { memberName } from '@/core/rig/names';
import { swayBarOf, type BarDesign } from '@/core/swaybar/swayBarDesign';
import { barHeldIn } from '@/core/job/made/sway/barHeld';
import type { BarHeld } from '@/core/swaybar/throughFrame';

/** By which the sway bar has hold points, as a member has by its id. */
export const SWAY_BAR = 'sway-bar';

/**
 * Something that is fastened and held until it is checked: by which name, where it is designed to be, mm at ride height, and on what; null where the design does
 * not say. `mount`: of a member, the mount it is; `bolted`: whether it is bolted on, however the rest is made.
 */
export type HeldPoint = {
  bracket: HoldPoint;
  name: string;
  at: Point | null;
  on: Body;
  mount?: MountKey;
  bolted?: boolean;
};

/** Whatever of a car has hold points, by its id: bars first, then arms, cranks and springs, the sway bar last. */
export const heldIds = ({ rig, roll }: Pick<Job, 'rig' | 'roll'>): string[] => [
  ...linksOf(rig).map(({ id }) => id),
  ...rig.members.filter((m) => !isLink(m)).map(({ id }) => id),
  ...(roll.bar ? [SWAY_BAR] : []),
];

/** The mounts of a member that are brackets of their own, by what each is called at its hold. */
const POINTS: Partial<Record<Member['type'], [bracket: HoldPoint, mount: MountKey, name: string][]>> = {
  watts: [
    ['pivot', 'pivot', 'Pivot'],
    ['top', 'ends.top', 'Upper rod’s bracket'],
    ['bottom', 'ends.bottom', 'Lower rod’s bracket'],
  ],
  leaf: [
    ['front', 'frontEye', 'Fixed eye’s hanger'],
    ['seat', 'seat', 'Perch on the axle'],
    ['rear', 'rearEye', 'Shackle’s hanger'],
  ],
};

/** What of a member, or of the sway bar, is held until it is checked; nothing of what the car has not. */
export function heldPoints(job: Job, id: string): HeldPoint[] {
  const { rig, roll } = job;
  if (id === SWAY_BAR) return roll.bar ? ofSwayBar(job, roll.bar) : [];
  const member = rig.members.find((m) => m.id === id);
  if (!member) return [];
  const mounts = mountsOf(rig, id);
  if (isLink(member))
    return BRACKETS.map((bracket) => {
      const on = bodyAt(bracket);
      return {
        bracket,
        name: bracket === 'frame' ? 'Frame bracket' : 'Axle bracket',
        at: member[on],
        on,
        mount: on,
      };
    });
  const named = POINTS[member.type];
  if (named)
    return named.flatMap(([bracket, key, name]) => {
      const mount = mounts.find((one) => one.key === key);
      // A perch is welded, whatever comes in a kit.
      const own = bracket === 'seat' ? { bolted: false } : {};
      return mount ? [{ bracket, name, at: mount.point, on: mount.on, mount: key, ...own }] : [];
    });
  // An arm is fixed to the axle all along; where, the design does not say.
  return [
    ...mounts.map(({ key, point, on }): HeldPoint => ({
      bracket: 'frame',
      name: 'Frame bracket',
      at: point,
      on,
      mount: key,
    })),
    { bracket: 'axle', name: 'Its clamp on the axle', at: null, on: 'axle' },
  ];
}

const HELD_BY: Record<BarHeld, string> = { straps: 'mount', sleeves: 'sleeve', tube: 'end of its tube' };

function ofSwayBar(job: Job, bar: BarDesign): HeldPoint[] {
  const { bushings, links } = swayBarOf(bar);
  const [on, other] =
    bar.mountedOn === 'chassis' ? (['chassis', 'axle'] as const) : (['axle', 'chassis'] as const);
  const held = barHeldIn(job) ?? 'straps';
  const bolted = held === 'straps';
  return [
    { bracket: 'left', name: `Left ${HELD_BY[held]}`, at: bushings[0], on, bolted },
    { bracket: 'right', name: `Right ${HELD_BY[held]}`, at: bushings[1], on, bolted },
    { bracket: 'footLeft', name: 'Left link’s foot', at: links.left, on: other },
    { bracket: 'footRight', name: 'Right link’s foot', at: links.right, on: other },
  ];
}

/** A hold point by the words of the trade: `panhard bar, frame bracket`. */
export function heldName(job: Job, member: string, bracket: HoldPoint): string {
  const point = heldPoints(job, member).find((one) => one.bracket === bracket);
  const what = (point?.name ?? `${bracket} bracket`).toLowerCase();
  return `${memberName(member, job.rig.end)}, ${what}`;
}
