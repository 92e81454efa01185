import { distance } from '@/core/geometry/vector';
import { holesKey } from '@/core/job/made/bracketHoles';
import type { Job } from '@/core/job/jobSchema';
import type { Holes } from '@/core/job/slices/locate';
import { assemble } from '@/core/kinematics/mechanism';
import { antiSquatOf } from '@/core/kinematics/pose';
import { toDegrees } from '@/core/geometry/angle';
import { kindOf, linksOf } from '@/core/rig/members/members';
import { coordinateNow, mountsOf, withMount, type MountChange } from '@/core/rig/mounts';
import { armsOf, lateralBarOf, lengthwiseLinks, partnerOf } from '@/core/rig/roles';
import { orNone } from '@/core/rig/read';
import type { Rig } from '@/core/rig/schema';
import { nearestTo, standWith, type AxleStand } from './standWith';

/** Brackets with as many holes that are used alike, left and right: the mounts, and the row of holes of each. */
export type HoleRow = { count: number; mounts: { id: string; row: Holes }[] };

/**
 * A choice of holes, one of each row counted from below: what it does with the axle set back to its place, and where the axle goes
 * where the bars are left as they are. Anti-squat in per cent, null where it cannot be told; degrees of steer for a degree of roll.
 */
export type HoleChoice = {
  holes: number[];
  isNow: boolean;
  antiSquat: number | null;
  rollSteer: number | null;
  /** null where the bars as they are cannot be bolted up so; undefined where that is not reckoned, as with leaves */
  stand?: AxleStand | null;
  changes: MountChange[];
};

export type HoleTable = { rows: HoleRow[]; choices: HoleChoice[] };

/** So many choices are worked through; more would be no table that anybody reads. */
const MOST = 1500;

/** The rows of holes of a car, but those of the bar across it; a pair with holes alike is one row. */
export function holeRows({ rig, holes }: Pick<Job, 'rig' | 'holes'>): HoleRow[] {
  const across = lateralBarOf(rig)?.id;
  const rows: HoleRow[] = [];
  for (const member of rig.members)
    for (const { key } of mountsOf(rig, member.id)) {
      const id = holesKey(member.id, key);
      const row = holes[id];
      if (!row || member.id === across) continue;
      const partner = holesKey(partnerOf(member.id) ?? '', key);
      const alike = rows.find(({ count, mounts }) => mounts[0]!.id === partner && count === row.count);
      if (alike) alike.mounts.push({ id, row });
      else rows.push({ count: row.count, mounts: [{ id, row }] });
    }
  return rows;
}

/** How many ways of choosing there are. */
export const choicesOf = (rows: HoleRow[]): number =>
  rows.reduce((product, { count }) => product * count, rows.length ? 1 : 0);

/**
 * Every choice of holes of a car, each solved twice: with the axle set back to its place, and with the bars as long as they are.
 *
 * @throws InputError where the car as it is cannot be assembled
 */
export function holeTable(job: Job): HoleTable | null {
  const rows = holeRows(job);
  if (rows.length === 0 || choicesOf(rows) > MOST) return null;
  const { rig } = job;
  const { made = {}, opens = {} } = job.locate;
  const lengths = Object.fromEntries(
    linksOf(rig).map(({ id, chassis, axle }) => {
      const drawn = distance(chassis, axle);
      return [id, made[id] === undefined ? drawn : nearestTo({ made, opens }, id, drawn)];
    }),
  );
  const all = rows.reduce<number[][]>(
    (sofar, { count }) =>
      sofar.flatMap((chosen) => Array.from({ length: count }, (_, hole) => [...chosen, hole])),
    [[]],
  );
  return { rows, choices: all.map((holes) => chosen(rig, rows, holes, lengths)) };
}

function chosen(rig: Rig, rows: HoleRow[], holes: number[], lengths: Record<string, number>): HoleChoice {
  const moves = rows.flatMap(({ mounts }, i) =>
    mounts.map(({ id, row: { lowest, pitch } }): MountChange => {
      const [member, end] = id.split('/');
      return { member: member!, end: end as MountChange['end'], axis: 2, mm: lowest + holes[i]! * pitch };
    }),
  );
  const changes = moves.filter((move) => Math.abs(coordinateNow(rig, move)! - move.mm) > 1e-6);
  const there = changes.reduce(withMount, rig);
  const ride = orNone(() => assemble(there))?.ride;
  return {
    holes,
    isNow: changes.length === 0,
    antiSquat: ride ? antiSquatOf(rig, ride) : null,
    rollSteer: ride?.rollSteer ?? null,
    stand: leftAlone(rig, there, changes, lengths),
    changes,
  };
}

/** Where the axle goes with its links and arms as they are, in other holes. */
function leftAlone(
  rig: Rig,
  there: Rig,
  changes: MountChange[],
  lengths: Record<string, number>,
): AxleStand | null | undefined {
  const arms = armsOf(rig).map(({ id }) => id);
  if (changes.every(({ member }) => lengths[member] !== undefined)) return standWith(there, lengths);
  const armsAlone = lengthwiseLinks(rig).length === 0 && changes.length === arms.length;
  if (!armsAlone || !changes.every(({ member }) => arms.includes(member))) return undefined;
  const stands = changes.map((change) => armStand(rig, change));
  const alike = stands.every((one) => one && Math.abs(one.turnedDeg - stands[0]!.turnedDeg) < 0.02);
  return stands.includes(null) ? null : alike ? stands[0] : undefined;
}

/**
 * An axle with an arm rigid to it, whose front joint is bolted at another height: it turns about its own length and rolls along until
 * the joint is there, its wheels on the ground; mm and degrees. From the triangle of hub and joint, seen from the side.
 */
function armStand({ members, tireRadius }: Rig, { member, mm }: MountChange): AxleStand | null {
  const arm = members.find(({ id }) => id === member)!;
  const joint = kindOf(arm).pin!(arm);
  const reach = Math.hypot(joint[0], joint[2] - tireRadius);
  if (Math.abs(mm - tireRadius) >= reach) return null;
  const was = Math.atan2(joint[2] - tireRadius, joint[0]);
  const up = Math.asin((mm - tireRadius) / reach);
  const is = joint[0] > 0 ? up : Math.PI - up;
  const turned = Math.atan2(Math.sin(was - is), Math.cos(was - is));
  return { ahead: joint[0] - reach * Math.cos(is), left: 0, leftAhead: 0, turnedDeg: toDegrees(turned) };
}
