import { USUAL_CASES } from '@/core/statics/standardCases';
import type { Tape } from '@/core/units/tape';
import { applyReadings } from './applyReadings';
import { JOB_VERSION, type Job } from './jobSchema';
import { startingCut } from './slices/cut';
import { startingParts } from './slices/parts';
import { startingDrive } from './slices/work/drive';
import { startingFront } from './slices/front';
import { startingLocate } from './slices/locate';
import { startingPlace } from './slices/place';
import { startingPlan } from './slices/work/plan';
import { startingRecord } from './slices/record';
import { startingRide } from './slices/work/ride';
import { startingRoll } from './slices/roll';
import { startingWeld } from './slices/work/weld';

/** A job with nothing measured yet: drawn from stand-in figures until the tape says better. */
export function newJob(id: string, name: string, tape: Tape): Job {
  return applyReadings({
    format: 'pellik.job',
    version: JOB_VERSION,
    id,
    name,
    car: '',
    use: 'street',
    layout: 'three-link-panhard',
    tape,
    notes: '',
    rig: { format: 'pellik.rig', version: 2, end: 'rear', tireRadius: 1, track: 1, members: [] },
    laidOut: false,
    typed: {},
    readings: {},
    record: startingRecord(),
    place: startingPlace(),
    front: startingFront(),
    bodies: {},
    lines: [],
    joints: {},
    holes: {},
    shaft: { room: {}, ratio: USUAL_CASES.axleRatio },
    cornerG: USUAL_CASES.cornerG,
    locate: startingLocate(),
    roll: startingRoll(),
    parts: startingParts(),
    cut: startingCut(),
    plan: startingPlan(),
    weld: startingWeld(),
    ride: startingRide(),
    drive: startingDrive(),
    stripes: {},
  });
}
