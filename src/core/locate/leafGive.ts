import { distance } from '@/core/geometry/vector';
import { DEFAULT_RATE } from '@/core/kinematics/solver/linkage';
import { kindOf } from '@/core/rig/members/members';
import { lateralBarOf, leavesOf } from '@/core/rig/roles';
import { sprungWeight } from '@/core/rig/sprungWeight';
import type { LeafGive, LocateInput } from './types';

/**
 * What leaf springs give sideways, as two springs, and three with a bar: F/Σk.
 *
 * @returns null without leaf springs, or without the car's masses
 */
export function leafGive({ rig, loads }: LocateInput): LeafGive | null {
  const leaves = leavesOf(rig);
  const weight = sprungWeight(rig);
  if (leaves.length === 0 || weight === null) return null;
  const force = weight * loads.cornerG;
  const across = leaves.reduce((sum, m) => sum + kindOf(m).spring!(m).lateralRate, 0);
  const bar = lateralBarOf(rig);
  const barAcross = bar
    ? (bar.rate ?? DEFAULT_RATE) * ((bar.chassis[1] - bar.axle[1]) / distance(bar.chassis, bar.axle)) ** 2
    : DEFAULT_RATE;
  return { force, alone: force / across, withBar: force / (across + barAcross), hasBar: bar !== null };
}
