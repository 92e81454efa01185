import { compileLinkage } from '@/core/kinematics/solver/linkage';
import { PoseSolver } from '@/core/kinematics/solver/poseSolver';
import type { Rig } from '@/core/rig/schema';
import { wantedRise, type LevelSchool } from '@/core/rig/lateralBar';
import { withLink } from '@/core/rig/roles';

/** What each school costs on this car: most sideways movement of the axle (mm) over its travel, and from side to side. */
export type SchoolComparison = Record<LevelSchool, { most: number; range: number }>;

export function compareSchools(
  input: { rig: Rig; bump: number; droop: number },
  barId: string,
): SchoolComparison {
  const cost = (school: LevelSchool) => {
    const rise = wantedRise(school, input.bump, input.droop);
    const rig = withLink(input.rig, barId, (bar) => ({
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
