import { LIMITS } from '@/core/materials/limits';
import { capital, memberName } from '@/core/rig/names';
import type { Finding } from '@/core/survey/finding';
import { aheadByWheelbase, bothSides, found } from '@/core/survey/readings';
import type { Estimate } from '@/core/survey/uncertainty';
import { distance } from '@/core/geometry/vector';
import { adjusterOf, perTurn } from './turns/adjusters';
import { turnsOf } from './turns/turns';
import { settingBars } from './alignmentBars';
import { onGround } from './onGround';
import { wantedPinion, wantedToe } from './targets';
import { SIDES } from '@/core/geometry/side';
import { linksOf } from '@/core/rig/members/members';
import type { Job } from '@/core/job/jobSchema';
import { drivingHeight } from '@/core/job/jobValues';

/** One line of the record of the car as it was set: what was read, with its uncertainty, beside what was designed; null where nothing was asked for. */
export type AsSet = Omit<Finding, 'by'> & {
  designed: number | null;
  /** the same before anything was taken apart; null where it was not read */
  found: number | null;
  /** within what is good enough; null where nothing is laid down */
  holds: boolean | null;
};

/** The same turn of the axle about its tube: at the rear the pinion's, at the front the caster, which counts the other way. */
export const PINION = { label: 'Pinion', sign: 1, ways: ['nose down', 'nose up'] } as const;
export const CASTER = { label: 'Caster', sign: -1, ways: ['back at the top', 'forward at the top'] } as const;

const OFF = { label: 'Axle off the middle', unit: 'length', ways: ['to the left', 'to the right'] } as const;
const AHEAD = {
  label: 'Out of square, at the tyre',
  unit: 'length',
  ways: ['left ahead', 'right ahead'],
} as const;
const TOE = { label: 'Toe', unit: 'length', ways: ['toe-in', 'toe-out'] } as const;

type Line = Pick<AsSet, 'id' | 'label' | 'unit' | 'ways' | 'designed'> & {
  read: Estimate | null;
  found: number | null;
  within: number;
};

/** The car as set on the ground, against its design and as it was found. Only what was read appears, and every bar that has been wound. */
export function asSet(job: Job): AsSet[] {
  const ground = onGround(job);
  const { gapFrame, wheelbase, rideHeight } = foundBefore(job);
  const lines: Line[] = [
    {
      id: 'offset',
      ...OFF,
      designed: 0,
      read: ground.offset,
      found: half(gapFrame),
      within: job.ride.tolerance,
    },
    {
      id: 'ahead',
      ...AHEAD,
      designed: 0,
      read: ground.ahead,
      found: wheelbase && aheadByWheelbase(wheelbase.left.value, wheelbase.right.value, job.rig.end),
      within: LIMITS.onGround.square,
    },
    ...pitchLine(job, ground.pinion),
    {
      id: 'toe',
      ...TOE,
      designed: wantedToe(job),
      read: ground.toe,
      found: null,
      within: LIMITS.onGround.toe,
    },
    ...SIDES.map((side): Line => ({
      id: `height.${side}`,
      label: `Ride height, ${side}`,
      unit: 'length',
      designed: drivingHeight(job),
      read: ground.height[side],
      found: rideHeight && rideHeight[side].value,
      within: LIMITS.onGround.height,
    })),
  ];
  return [...lines.flatMap(judged), ...barLines(job)];
}

function judged({ read, within, ...line }: Line): AsSet[] {
  if (!read) return [];
  const { designed } = line;
  return [
    { ...line, ...read, holds: designed === null ? null : Math.abs(read.value - designed) <= within + 1e-6 },
  ];
}

function pitchLine(job: Job, read: Estimate | null): Line[] {
  const wanted = wantedPinion(job);
  const { label, sign, ways } = job.rig.end === 'front' ? CASTER : PINION;
  const before = found(job.readings, 'pinionAngle');
  return [
    {
      id: 'pinion',
      label,
      unit: 'angle',
      ways,
      designed: wanted === null ? null : sign * wanted,
      read: read && { ...read, value: sign * read.value },
      found: before && sign * before.value,
      within: LIMITS.onGround.pinion,
    },
  ];
}

const foundBefore = ({ readings }: Job) => ({
  gapFrame: bothSides(readings, 'gapFrame'),
  wheelbase: bothSides(readings, 'wheelbase'),
  rideHeight: bothSides(readings, 'rideHeight'),
});

const half = (both: ReturnType<typeof bothSides>): number | null =>
  both && (both.left.value - both.right.value) / 2;

/** A bar's length as set is its design and the turns made: no tape comes into it. */
function barLines(job: Job): AsSet[] {
  const bars = new Map(settingBars(job.rig).map((bar) => [bar.id, bar]));
  return linksOf(job.rig).flatMap((link): AsSet[] => {
    const bar = bars.get(link.id);
    const each = bar && perTurn(adjusterOf(job, bar));
    const turns = turnsOf(job, link.id);
    if (!each || turns === 0) return [];
    const designed = link.length ?? distance(link.chassis, link.axle);
    return [
      {
        id: `length.${link.id}`,
        label: `${capital(memberName(link.id, job.rig.end))}, eye to eye`,
        value: designed + turns * each,
        u: 0,
        unit: 'length',
        designed,
        found: null,
        holds: null,
      },
    ];
  });
}
