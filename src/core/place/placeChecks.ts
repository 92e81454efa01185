import { LIMITS } from '@/core/materials/limits';
import { measured } from '@/core/survey/readings';
import { formatDegrees, sayLength } from '@/core/units/length';
import type { Verdict } from '@/core/verdict/verdict';
import { heightsOf, layoutRadius, restsOf } from './heights';
import { toDegrees } from '@/core/geometry/angle';
import { SIDES, type Side } from '@/core/geometry/side';
import type { Job } from '@/core/job/jobSchema';
import { drivingHeight, heldLift, onItsWeight } from '@/core/job/jobValues';

type PlaceKey = 'rest' | 'datum' | 'diagonal';
export const placeKey = (what: PlaceKey, side: Side): string => `${what}.${side}`;

/** What was measured of the axle on its rests, held against where it should be. */
export function placeChecks(job: Job): Verdict[] {
  const standing = onItsWeight(job) ? weightCheck(job) : [...frameCheck(job), ...heightCheck(job)];
  return [...standing, ...squareCheck(job), ...parkedCheck(job)];
}

const both = (job: Job, what: PlaceKey): [number, number] | null => {
  const [left, right] = SIDES.map((side) => job.place.measured[placeKey(what, side)]);
  return left === undefined || right === undefined ? null : [left, right];
};

/** On its tyres the axle stands to the frame as it will once the frame is at its height, less what the tyre to come differs. */
function weightCheck(job: Job): Verdict[] {
  const say = (mm: number) => sayLength(mm, job.tape);
  return SIDES.flatMap((side): Verdict[] => {
    const stands = job.place.held[side];
    if (stands === undefined) return [];
    const wanted = drivingHeight(job) - layoutRadius(job) + job.rig.tireRadius;
    const off = stands - wanted;
    const holds = Math.abs(off) <= LIMITS.onGround.height + 1e-6;
    const name = side === 'left' ? 'Left' : 'Right';
    return [
      {
        id: `stands-${side}`,
        state: holds ? 'ok' : 'stop',
        title: holds
          ? `${name} side stands at its height.`
          : `${name} side stands ${say(Math.abs(off))} too ${off > 0 ? 'high' : 'low'}.`,
        reason: `Floor to frame on these tyres: ${say(wanted)} wanted, ${say(stands)} measured. Brackets set now are set for the height it stands at.`,
        remedies: holds
          ? []
          : [
              {
                text:
                  off > 0
                    ? 'Settle it, or load it with what the car will carry; or hold the axle on rests.'
                    : 'Take weight off, or set its springs; or hold the axle on rests.',
              },
            ],
      },
    ];
  });
}

function frameCheck(job: Job): Verdict[] {
  const { left, right } = job.place.held;
  if (left === undefined || right === undefined) return [];
  const apart = left - right;
  const level = Math.abs(apart) <= LIMITS.rests.frameLevel;
  const say = (mm: number) => sayLength(mm, job.tape);
  return [
    {
      id: 'frameLevel',
      state: level ? 'ok' : 'look',
      title: level
        ? 'The frame stands level across.'
        : `The frame stands ${say(Math.abs(apart))} higher on the ${apart > 0 ? 'left' : 'right'}.`,
      reason: level
        ? 'Left and right agree, so the axle goes level too.'
        : 'Each end of the axle is given its own height below, so that the two stay parallel.',
      remedies: level
        ? []
        : [{ text: 'Better: shim the low stand until both read alike, then the axle is simply level.' }],
    },
  ];
}

function heightCheck(job: Job): Verdict[] {
  const rests = restsOf(job, heldLift(job));
  const lowest = Math.min(...SIDES.map((side) => rests[side]?.top ?? Infinity));
  if (lowest < LIMITS.rests.least)
    return [
      {
        id: 'restRoom',
        state: 'stop',
        title: 'There is no room for a rest under the axle.',
        reason: `With the frame this low, the tube would be ${sayLength(Math.max(0, lowest), job.tape)} off the floor.`,
        remedies: [
          { text: `Raise the frame by at least ${sayLength(LIMITS.rests.least - lowest, job.tape)}.` },
        ],
      },
    ];
  return SIDES.flatMap((side): Verdict[] => {
    const wanted = rests[side];
    const seen = job.place.measured[placeKey('rest', side)];
    if (!wanted || seen === undefined) return [];
    const off = seen - wanted.top;
    const holds = Math.abs(off) <= LIMITS.rests.height + 1e-6;
    const say = (mm: number) => sayLength(mm, job.tape);
    return [
      {
        id: `rest-${side}`,
        state: holds ? 'ok' : 'stop',
        title: holds
          ? `${side === 'left' ? 'Left' : 'Right'} end sits at its height.`
          : `${side === 'left' ? 'Left' : 'Right'} end sits ${say(Math.abs(off))} too ${off > 0 ? 'high' : 'low'}.`,
        reason: `Underside of the tube: ${say(wanted.top)} wanted, ${say(seen)} measured.`,
        remedies: holds ? [] : [{ text: off > 0 ? 'Take shim out under it.' : 'Shim it up.' }],
      },
    ];
  });
}

function squareCheck(job: Job): Verdict[] {
  const verdicts: Verdict[] = [];
  const say = (mm: number) => sayLength(mm, job.tape);
  const track = measured(job.readings, 'track').value;
  const datum = both(job, 'datum');
  if (datum) {
    const apart = datum[0] - datum[1];
    const holds = Math.abs(apart) <= LIMITS.rests.foreAft + 1e-6;
    const width = measured(job.readings, 'marksAcross').value;
    verdicts.push({
      id: 'placedSquare',
      state: holds ? 'ok' : 'stop',
      title: holds
        ? 'Datum to axle agrees left and right.'
        : `Datum to axle differs by ${say(Math.abs(apart))}.`,
      reason: holds
        ? `Within ${say(LIMITS.rests.foreAft)}: square to the frame.`
        : `That is ${formatDegrees(toDegrees(Math.atan(Math.abs(apart) / width)), 2)}, or ${say((Math.abs(apart) * track) / width)} at the tyres.`,
      remedies: holds ? [] : [{ text: 'Slide the end that is off along its strips, and read both again.' }],
    });
  }
  const diagonal = both(job, 'diagonal');
  if (diagonal) {
    const apart = diagonal[0] - diagonal[1];
    const holds = Math.abs(apart) <= LIMITS.rests.foreAft + 1e-6;
    verdicts.push({
      id: 'placedDiagonals',
      state: holds ? 'ok' : 'stop',
      title: holds ? 'The diagonals agree.' : `The diagonals differ by ${say(Math.abs(apart))}.`,
      reason: holds
        ? 'A rectangle with equal diagonals is square.'
        : 'With the sides alike and the diagonals not, the axle has slipped sideways, or the datum is off.',
      remedies: holds ? [] : [{ text: 'Push it over until they agree, then clamp it.' }],
    });
  }
  return verdicts;
}

function parkedCheck(job: Job): Verdict[] {
  if (job.place.parkedDrop === 0) return [];
  const parked = heightsOf(job).find((h) => h.id === 'parked')!;
  const bump = measured(job.readings, 'bump').value;
  if (parked.lift <= bump + 1e-6) return [];
  return [
    {
      id: 'parkedBeyondBump',
      state: 'stop',
      title: `Parked ${sayLength(parked.lift, job.tape)} lower is past the bump stop.`,
      reason: `From driving height the axle has ${sayLength(bump, job.tape)} to the stop; at ${sayLength(drivingHeight(job) - bump, job.tape)} of frame height it rests on it.`,
      remedies: [{ text: 'Park it higher, drive it higher, or make room above the axle.' }],
    },
  ];
}

/** What of it would be built into the car if the brackets were welded now. */
export const outOfPlace = (job: Job): string[] =>
  placeChecks(job)
    .filter((v) => v.state === 'stop')
    .map((v) => v.title);
