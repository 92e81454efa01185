import { compileLinkage } from '@/core/kinematics/linkage';
import { PoseSolver } from '@/core/kinematics/solver';
import type { Rig } from '@/core/rig/schema';
import { withMember } from './lateralBar';

/** Where in its travel the bar is set level: at ride height, or in the middle of the travel. */
export const SCHOOLS = ['ride', 'middle'] as const;
export type School = (typeof SCHOOLS)[number];

/** What each school costs on this car: most sideways movement of the axle (mm) over its travel, and from side to side. */
export type SchoolComparison = Record<School, { most: number; range: number }>;

/** How far the frame end stands above the axle end, mm, for the bar to be level where the school wants it. */
export function wantedRise(school: School, bump: number, droop: number): number {
  return school === 'ride' ? 0 : (bump - droop) / 2;
}

export function compareSchools(
  input: { rig: Rig; bump: number; droop: number },
  barId: string,
): SchoolComparison {
  const cost = (school: School) => {
    const rise = wantedRise(school, input.bump, input.droop);
    const rig = withMember(input.rig, barId, (bar) => ({
      ...bar,
      chassis: [bar.chassis[0], bar.chassis[1], bar.axle[2] + rise],
    }));
    return sidewaysOverTravel(rig, input.bump, input.droop);
  };
  return { ride: cost('ride'), middle: cost('middle') };
}

const STEPS = 8;

/**
 * Sideways movement of the axle from its place at ride height over heave travel, mm; infinite where it cannot follow. Asked
 * for many geometries in a row, so it stays with the bare solver.
 */
export function sidewaysOverTravel(rig: Rig, bump: number, droop: number): { most: number; range: number } {
  const solver = new PoseSolver(compileLinkage(rig));
  const sideways = (lift: number): number => (solver.solve(lift, lift) ? solver.q[1]! : Infinity);
  const home = sideways(0);
  const shifts = Array.from(
    { length: STEPS + 1 },
    (_, i) => sideways(-droop + ((bump + droop) * i) / STEPS) - home,
  );
  return { most: Math.max(...shifts.map(Math.abs)), range: Math.max(...shifts) - Math.min(...shifts) };
}
