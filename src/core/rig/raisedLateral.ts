import { raised } from '@/core/geometry/vector';
import { kindOf } from './members/members';
import { cranksOf, lateralBarOf, withLink } from './roles';
import type { Rig } from './schema';

/** The rig with what holds the axle sideways moved up at both of its ends, mm; null where that is not a part of its own. */
export function withRaisedLateral(rig: Rig, mm: number): Rig | null {
  const bar = lateralBarOf(rig);
  if (bar)
    return withLink(rig, bar.id, (m) => ({ ...m, chassis: raised(m.chassis, mm), axle: raised(m.axle, mm) }));
  if (cranksOf(rig).length === 0) return null;
  return {
    ...rig,
    members: rig.members.map((m) => kindOf(m).acrossTheCar?.raised(m, mm) ?? m),
  };
}
