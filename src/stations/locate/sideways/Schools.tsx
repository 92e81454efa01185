'use client';
import { lateralBarOf } from '@/core/rig/roles';
import { describeBar, wantedRise, type LevelSchool } from '@/core/rig/lateralBar';
import { formatDegrees, sayLength } from '@/core/units/length';
import { edit } from '@/store/jobStore';
import { Pick } from '@/ui/cards/Pick';
import { useLocate, useLocateResult } from '@/workers/locate';
import { toDegrees } from '@/core/geometry/angle';
import type { Job } from '@/core/job/jobSchema';
import { travelOf } from '@/core/job/jobValues';

/** A change of height to compare by, mm: one inch, as brackets are drilled; round in either unit. */
const HOLE = { inch: 25.4, mm: 25 };

/** Where shops disagree: what each way costs on this car, and which one is set. */
export function Schools() {
  const job = useLocate((s) => s.job);
  const result = useLocateResult();
  const member = job && lateralBarOf(job.rig);
  if (!member || !result?.schools) return null;
  const comparison = result.schools;
  const { bump, droop } = travelOf(job);
  const say = (mm: number) => (Number.isFinite(mm) ? sayLength(mm, job.tape) : 'more than it can reach');
  const step = job.tape === 'mm' ? HOLE.mm : HOLE.inch;
  const rise = wantedRise('middle', bump, droop);
  const middle =
    Math.abs(rise) < 1
      ? 'Bump and droop are equal here, so both ways are the same.'
      : `Frame end ${say(Math.abs(rise))} ${rise > 0 ? 'higher' : 'lower'} than the axle end at rest. In all, the axle wanders ${say(comparison.middle.range)} over the travel.`;
  const bar = describeBar(member);
  const [frame, axle] = [member.chassis[1], member.axle[1]];
  const share = axle / (axle - frame);
  const levels: Record<LevelSchool, [string, string]> = {
    ride: [
      'Level at ride height',
      `Feels the same left and right where you drive. In all, the axle wanders ${say(comparison.ride.range)} over the travel.`,
    ],
    middle: ['Level in the middle of the travel', middle],
  };
  const adjusters: Record<Job['locate']['adjuster'], [string, string]> = {
    frame: [
      'Adjust at the frame end only',
      `Simple. Each ${say(step)} up at the frame end also tilts the bar ${formatDegrees(toDegrees(Math.asin(Math.min(1, step / bar.eyeToEye))))}, and lifts the roll centre only ${say(step * share)}.`,
    ],
    both: [
      'Matched holes at both ends',
      `The bar stays level: ${say(step)} up at both ends lifts the roll centre ${say(step)}. One more bracket to make.`,
    ],
  };
  return (
    <>
      <Pick
        legend="Two schools: where is it level?"
        name="school"
        options={levels}
        value={job.locate.school}
        onPick={(school) => edit((j) => ({ ...j, locate: { ...j.locate, school } }))}
      />
      <Pick
        legend="Two schools: where is it adjusted?"
        name="adjuster"
        options={adjusters}
        value={job.locate.adjuster}
        onPick={(adjuster) => edit((j) => ({ ...j, locate: { ...j.locate, adjuster } }))}
      />
    </>
  );
}
