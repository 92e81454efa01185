import { loadCases, type StandardLoads } from '@/core/balance/standardLoads';
import type { Mechanism } from '@/core/kinematics/mechanism';
import { cornerPoses, type Corner } from '@/core/kinematics/travelCorners';
import type { Point } from '@/core/geometry/vector';
import { linksOf } from '@/core/rig/members/members';
import { solveLoad, type LoadCase } from '@/core/statics/equilibrium';

/** What a case asks of every member: its axial force by id, N, tension positive. */
export type CaseForces = { name: string; members: Record<string, number> };

/** Less bind than this is none, N. */
const NO_BIND = 1;

/**
 * The forces of every case in the members, at ride height: the standard ones with left and right changed over, the builder's own, and
 * what over-held members put on each other at the ends of the travel.
 */
export function caseForces(
  mechanism: Mechanism,
  of: StandardLoads,
  travel: { bump: number; droop: number },
): CaseForces[] {
  const own = mechanism.rig.loads ?? [];
  const loads = loadCases(mechanism, of).flatMap((load) =>
    own.includes(load) ? [load] : [load, ...mirroredCase(load)],
  );
  return [
    ...loads.flatMap((load): CaseForces[] => {
      const answer = solveLoad(mechanism, load);
      return answer ? [{ name: load.name, members: answer.members }] : [];
    }),
    ...bindCases(mechanism, travel),
  ];
}

/** Cases that follow each other all day, by the beginnings of their names, and what both are called: one turn and the other, power and brakes. */
const FOLLOWING = [
  ['Left turn', 'Right turn', 'Left and right turns'],
  ['Hard launch', 'Hard braking', 'Hard launch and braking'],
] as const;

/** What comes and goes in every member from one case to another, N: the difference of the two. */
export const rangesOf = (cases: CaseForces[], times: number): CaseForces[] =>
  FOLLOWING.flatMap(([first, second, both]): CaseForces[] => {
    const [a, b] = [first, second].map((name) => cases.find((one) => one.name.startsWith(name)));
    if (!a || !b) return [];
    const ids = [...new Set([...Object.keys(a.members), ...Object.keys(b.members)])];
    return [
      {
        name: `${both}${a.name.slice(first.length)}, ${times.toLocaleString('en-US')} times`,
        members: Object.fromEntries(ids.map((id) => [id, (a.members[id] ?? 0) - (b.members[id] ?? 0)])),
      },
    ];
  });

const ASIDE = [
  ['Left turn', 'Right turn'],
  ['left wheel', 'right wheel'],
] as const;

/** A standard case the other way round, where it is one that has a side. */
function mirroredCase(load: LoadCase): LoadCase[] {
  const words = ASIDE.find(([left]) => load.name.includes(left));
  if (!words) return [];
  const other = ([x, y, z]: Point): Point => [x, -y, z];
  return [
    {
      ...load,
      name: load.name.replace(words[0], words[1]),
      wheel: { left: other(load.wheel.right), right: other(load.wheel.left) },
      ...(load.inertia && { inertia: other(load.inertia) }),
      shaftTorque: -load.shaftTorque,
    },
  ];
}

const PLACES: Partial<Record<Corner, string>> = {
  bump: 'Both wheels up',
  droop: 'Both wheels down',
  leftUpRightDown: 'Left wheel up, right down',
  rightUpLeftDown: 'Right wheel up, left down',
};

/** What members that are too many for the axle's motions put on each other, at the ends of the travel. */
function bindCases(mechanism: Mechanism, { bump, droop }: { bump: number; droop: number }): CaseForces[] {
  const links = linksOf(mechanism.rig).map(({ id }) => id);
  return cornerPoses(mechanism, bump, droop).flatMap(({ pose, corner }): CaseForces[] => {
    const place = PLACES[corner];
    const members = Object.fromEntries(links.map((id) => [id, pose.bind[id] ?? 0]));
    const binds = Object.values(members).some((force) => Math.abs(force) > NO_BIND);
    return place && binds ? [{ name: `${place}: bind`, members }] : [];
  });
}
