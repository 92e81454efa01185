import { withMounts } from '@/core/job/edits/mounts';
import type { Job } from '@/core/job/jobSchema';
import { pairedSide } from '@/core/rig/roles';

/** All points of a thing on the other side of the car. */
function across<T>(value: T): T {
  if (!Array.isArray(value)) {
    if (typeof value !== 'object' || value === null) return value;
    return Object.fromEntries(Object.entries(value).map(([key, v]) => [key, across(v)])) as T;
  }
  const isPoint = value.length === 3 && value.every((v) => typeof v === 'number');
  return (isPoint ? [value[0], 0 - value[1], value[2]] : value.map(across)) as T;
}

/** The same car with all that it has but once on the other side; pairs are alike left and right. */
export function mirrored(job: Job): Job {
  const { rig } = job;
  const members = rig.members.map((m) => (pairedSide(m.id) === null ? across(m) : m));
  const lone = {
    ...(rig.steering && { steering: across(rig.steering) }),
    ...(rig.driveshaft && { driveshaft: across(rig.driveshaft) }),
  };
  return withMounts({ ...job, rig: { ...rig, members, ...lone } }, []);
}
