import { boltFor } from '@/core/fabricate/boltStack';
import { bracketId } from '@/core/job/bodies/bodyNames';
import { told, without } from '@/core/job/edits/omit';
import type { Job } from '@/core/job/jobSchema';
import { bracketOf, stackOf } from '@/core/job/made/bracketParts';
import { BAR_ENDS, barOf, LINK_ENDS, threadedEnds } from '@/core/job/made/parts';
import { mountId } from '@/core/job/placed';
import type { HoldPoint } from '@/core/job/slices/fields';
import type { Friction } from '@/core/job/slices/work/weld';
import { sayBolt, sayBoltBy } from '@/core/materials/boltSize';
import { BOLT_GRADES } from '@/core/materials/metals';
import { JOINTS, jointsOf } from '@/core/materials/joints';
import { coarsePitch } from '@/core/materials/threads';
import type { LinkMember } from '@/core/rig/members/link';
import { linksOf } from '@/core/rig/members/members';
import { capital, memberName } from '@/core/rig/names';
import { armsAndCranksOf, leavesOf } from '@/core/rig/roles';
import { preload, tighteningTorque } from '@/core/strength/preload';
import { endLinkOf, LINK_PINS } from '@/core/job/made/sway/endLink';
import { strapOf } from '@/core/job/made/sway/strap';
import { heldName, heldPoints } from './held';

/** Nut factor by how the threads are, none (common practice, no published source; locking nuts ask for their own turning torque on top). */
export const NUT_FACTORS: Record<Friction, number> = { dry: 0.2, oiled: 0.15, 'anti-seize': 0.13 };

/** How far a good wrench is off, of its reading (ISO 6789, from memory). */
const WRENCH = 0.04;

/** How what was applied stands to what is wanted. */
export type TorqueState = 'open' | 'unknown' | 'within' | 'short' | 'over';

/**
 * A line of the torque sheet: the fastener, its size in words, what it is of; the pull that its torque brings it to, N, and that torque,
 * N·mm, by its grade; null where its grade is not told. `wanted` is the maker's value where it was typed.
 */
export type TorqueLine = {
  id: string;
  what: string;
  size: string;
  grade: string | null;
  pull: number | null;
  usual: number | null;
  maker: number | null;
  wanted: number | null;
  applied: { value: number; at: string } | null;
  state: TorqueState;
  /** since it was last tightened: when its locker went on, when its paint line was drawn */
  locked: string | null;
  striped: string | null;
  /** where it is not simply tightened: hanging or on its weight, with two wrenches */
  how: string | null;
};

/** Every fastener of a job that a wrench goes on, in the order of its bars. */
export function torqueSheet(job: Job): TorqueLine[] {
  return [
    ...linksOf(job.rig).flatMap((link) => [...boltLines(job, link), ...jamLines(job, link)]),
    ...armsAndCranksOf(job.rig).flatMap(({ id }) =>
      heldPoints(job, id).map(({ bracket, at }) =>
        boughtLine(
          job,
          id,
          bracket,
          at
            ? 'A soft bushing on the car’s weight, never hanging.'
            : 'Crosswise, a little each; again after the first drive.',
        ),
      ),
    ),
    ...leavesOf(job.rig).flatMap(({ id }) => [
      lineOf(job, {
        id: `${id}/uBolts`,
        what: `${capital(memberName(id, job.rig.end))}: U-bolts`,
        size: 'as they came',
        how: 'Crosswise, a little each, on the car’s weight; again after the first drive.',
      }),
      ...EYES.map((bracket) =>
        boughtLine(job, id, bracket, 'On the car’s weight, never hanging: a bushing that is wound up tears.'),
      ),
    ]),
    ...swayBarLines(job),
  ];
}

/** Where a leaf spring is bolted beside its U-bolts. */
const EYES = ['front', 'rear'] as const;

/** Bolts that came with what they hold: their size is not drawn. */
const boughtLine = (job: Job, id: string, bracket: HoldPoint, how: string): TorqueLine =>
  lineOf(job, {
    id: `${id}/${bracket}`,
    what: `${capital(heldName(job, id, bracket))}: bolts`,
    size: 'as they came',
    how,
  });

type Fastener = Pick<TorqueLine, 'id' | 'what' | 'size' | 'how'> & {
  bolt?: { diameter: number; grade: keyof typeof BOLT_GRADES };
};

function lineOf({ weld }: Job, { bolt, ...fastener }: Fastener): TorqueLine {
  const { maker = null, applied = null, locked = null, striped = null } = weld.torque?.[fastener.id] ?? {};
  const tightened = bolt && byGrade(bolt, weld.friction ?? 'dry');
  const wanted = maker ?? tightened?.torque ?? null;
  return {
    ...fastener,
    grade: bolt ? BOLT_GRADES[bolt.grade].name : null,
    pull: tightened?.pull ?? null,
    usual: tightened?.torque ?? null,
    maker,
    wanted,
    applied,
    locked,
    striped,
    state: stateOf(applied?.value ?? null, wanted),
  };
}

function byGrade({ diameter, grade }: NonNullable<Fastener['bolt']>, friction: Friction) {
  const pull = preload({ diameter, pitch: coarsePitch(diameter) }, BOLT_GRADES[grade].proof);
  return { pull, torque: tighteningTorque(NUT_FACTORS[friction], diameter, pull) };
}

function stateOf(applied: number | null, wanted: number | null): TorqueState {
  if (applied === null) return 'open';
  if (wanted === null) return 'unknown';
  if (Math.abs(applied - wanted) <= WRENCH * wanted + 1e-6) return 'within';
  return applied < wanted ? 'short' : 'over';
}

const boltLines = (job: Job, link: LinkMember): TorqueLine[] =>
  LINK_ENDS.map((end) => {
    const { bolt: diameter, grade } = bracketOf(job, link, end);
    const { length } = boltFor(stackOf(job, link, end));
    const soft = JOINTS[jointsOf(job.joints, link.id)[end]].soft;
    return lineOf(job, {
      id: mountId(link.id, end),
      what: `${capital(memberName(bracketId(link.id, end), job.rig.end))}: bolt`,
      size: sayBoltBy(diameter, length),
      how: soft ? 'Soft bushing: on the car’s weight, never hanging.' : null,
      bolt: { diameter, grade },
    });
  });

const jamLines = (job: Job, link: LinkMember): TorqueLine[] => {
  const bar = barOf(job, link.id);
  const ends = threadedEnds(bar);
  return BAR_ENDS.filter((end) => ends.includes(end)).map((end) =>
    lineOf(job, {
      id: `${link.id}/jam.${end}`,
      what: `${capital(memberName(link.id, job.rig.end))}: jam nut, ${end} end`,
      size: bar.thread,
      how: 'Ball in the middle of its swing as it closes; two wrenches; locker only once the setting is final.',
    }),
  );
};

function swayBarLines(job: Job): TorqueLine[] {
  const strap = strapOf(job);
  return [
    ...(strap
      ? [
          lineOf(job, {
            id: 'swayBar/straps',
            what: 'Sway bar: bolts of its straps',
            size: sayBolt(strap.bolt),
            how: 'Snug, not crushed: the bar still turns in them.',
          }),
        ]
      : []),
    ...endLinkBoltLines(job),
  ];
}

const AT = { bar: 'links', foot: 'feet' } as const;

/** The bolts that the sway bar's end links turn on; a pin with a clip is not tightened. */
function endLinkBoltLines(job: Job): TorqueLine[] {
  const of = endLinkOf(job);
  if (!of) return [];
  return LINK_PINS.filter((at) => !of.pins[at].clip).map((at) => {
    const { grade, ...stack } = of.pins[at];
    return lineOf(job, {
      id: `swayBar/${AT[at]}`,
      what: `Sway bar: bolts of its end links, ${at === 'bar' ? 'at the bar' : 'at their feet'}`,
      size: sayBoltBy(stack.bolt, boltFor(stack).length),
      how: 'Each joint in the middle of its swing, soft ones on the car’s weight.',
      bolt: { diameter: stack.bolt, grade },
    });
  });
}

/** The job with what a fastener's maker asks for, N·mm; null takes it back. */
export const withMakersTorque = (job: Job, id: string, maker: number | null): Job =>
  withTorque(job, id, { maker: maker ?? undefined });

/** The job with what a wrench came to, N·mm, and when; null takes it back. What was locked and lined before is so no more. */
export const withApplied = (job: Job, id: string, value: number | null, at: string): Job =>
  withTorque(job, id, {
    applied: value === null ? undefined : { value, at },
    locked: undefined,
    striped: undefined,
  });

/** What is done to a fastener once it is tight. */
export type Secured = 'locked' | 'striped';

/** The job with a fastener locked or lined at a time; null takes it back. */
export const withSecured = (job: Job, id: string, how: Secured, at: string | null): Job =>
  withTorque(job, id, { [how]: at ?? undefined });

type Kept = NonNullable<Job['weld']['torque']>[string];

function withTorque(job: Job, id: string, change: Kept): Job {
  const { torque = {} } = job.weld;
  const said = told(torque[id], change);
  return { ...job, weld: { ...job.weld, torque: said ? { ...torque, [id]: said } : without(torque, id) } };
}

export const withFriction = (job: Job, friction: Friction): Job => ({
  ...job,
  weld: { ...job.weld, friction },
});
