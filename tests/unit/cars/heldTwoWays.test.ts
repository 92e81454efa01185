import fc from 'fast-check';
import { applyReadings } from '@/core/job/applyReadings';
import { jobConditions } from '@/core/bench/holdPoint';
import { stationBasis } from '@/core/bench/stations';
import { withLayout } from '@/core/job/edits/members/layout';
import type { Job } from '@/core/job/jobSchema';
import { workBar } from '@/core/job/jobValues';
import { newJob } from '@/core/job/newJob';
import { axleToChassis } from '@/core/kinematics/attitude';
import { assemble } from '@/core/kinematics/mechanism';
import { isReached } from '@/core/kinematics/pose';
import { raisedNow, restsOf } from '@/core/place/heights';
import { outOfPlace, placeChecks, placeKey } from '@/core/place/placeChecks';
import { measuredKey } from '@/core/weld/conditions/condition';
import { located } from '../../support/locate';

const at = '2026-01-01T00:00:00.000Z';
const reading = (value: number) => [{ value, typed: String(value), at }];

/** A car of 430 mm ride height on tyres of 330, with so much travel. */
const car = (
  place: Partial<Job['place']>,
  travel: { bump: number; droop: number } = { bump: 90, droop: 80 },
) => {
  const job = withLayout(newJob('held', 'Held', 'mm'), 'parallel-four-link-panhard');
  return applyReadings({
    ...job,
    readings: {
      'rideHeight.left': reading(430),
      'rideHeight.right': reading(430),
      'tireRadius.left': reading(330),
      'tireRadius.right': reading(330),
      bump: reading(travel.bump),
      droop: reading(travel.droop),
    },
    place: { ...job.place, ...place },
  });
};

describe('held on its own weight', () => {
  test('the frame is to stand at its height on these tyres, and no rest is asked for', () => {
    const stands = (mm: number, more: Partial<Job['place']> = {}) =>
      placeChecks(car({ holding: 'weight', held: { left: mm, right: mm }, ...more })).map((v) => v.state);
    expect(stands(430)).toEqual(['ok', 'ok']);
    expect(stands(433)).toEqual(['ok', 'ok']);
    expect(stands(418)).toEqual(['stop', 'stop']);
    // Built for taller tyres: until they are on, the frame stands lower by as much.
    expect(stands(430 - 30, { tireDiameter: 720 })).toEqual(['ok', 'ok']);
    expect(outOfPlace(car({ holding: 'weight', held: { left: 450, right: 430 } }))).toEqual([
      'Left side stands 20 mm too high.',
    ]);
  });
});

describe('held on rests at the parked height', () => {
  const parked: Partial<Job['place']> = {
    holding: 'rests',
    heldAt: 'parked',
    parkedDrop: 70,
    held: { left: 600, right: 600 },
  };

  test('the rests that bring axle and frame together as parked are right', () => {
    const job = car(parked);
    const { top } = restsOf(job, 70).left!;
    expect(top).toBeCloseTo(restsOf(job, 0).left!.top + 70, 9);
    const placed = (mm: number) => ({
      ...job,
      place: {
        ...job.place,
        measured: { [placeKey('rest', 'left')]: mm, [placeKey('rest', 'right')]: mm },
      },
    });
    expect(outOfPlace(placed(top))).toEqual([]);
    expect(outOfPlace(placed(top - 70))).toHaveLength(2);
    expect(outOfPlace({ ...placed(top), place: { ...placed(top).place, heldAt: 'driving' } })).toHaveLength(
      2,
    );
  });

  test('the hold point asks for the bar as it stands there, and for the axle where its bar has swung it', () => {
    const job = car(parked);
    const bar = workBar(job)!;
    const pose = assemble(job.rig).at({ left: 70, right: 70 });
    if (!isReached(pose)) throw new Error('out of reach');
    const eye = axleToChassis(pose, job.rig.tireRadius)(bar.axle);
    const seen = (rise: number, offset: number): Job => ({
      ...job,
      weld: {
        ...job.weld,
        measured: {
          [measuredKey(bar.id, 'level.frame')]: 500 + rise,
          [measuredKey(bar.id, 'level.axle')]: 500,
          [measuredKey(bar.id, 'centred.left')]: 100 + offset,
          [measuredKey(bar.id, 'centred.right')]: 100 - offset,
        },
      },
    });
    const holds = (of: Job, id: string) => jobConditions(of, null, []).find((c) => c.id === id)!.holds;
    const right = seen(bar.chassis[2] - eye[2], pose.y);
    expect([holds(right, 'level'), holds(right, 'centred')]).toEqual([true, true]);
    expect(Math.abs(pose.y)).toBeGreaterThan(job.ride.tolerance);
    const level = seen(0, 0);
    expect([holds(level, 'level'), holds(level, 'centred')]).toEqual([false, false]);
    const ids = jobConditions(job, null, []).map((c) => c.id);
    expect(ids).toContain('onRestsParked');
    expect(ids).not.toContain('onWheels');
  });
});

test('how the axle is held is asked by what was picked at Place; before that, neither way is taken for granted', () => {
  const job = car({});
  const bar = workBar(job)!;
  const asked = (place: Partial<Job['place']>, measured: Job['weld']['measured'] = {}) => {
    const of = { ...job, place: { ...job.place, ...place }, weld: { ...job.weld, measured } };
    return jobConditions(of, null, [])
      .map(({ id }) => id)
      .filter((id) => ['held', 'onWheels', 'onRests', 'onRestsParked'].includes(id));
  };
  expect(asked({ holding: undefined })).toEqual(['held']);
  expect(asked({ holding: 'weight' })).toEqual(['onWheels']);
  expect(asked({ holding: 'rests' })).toEqual(['onRests']);
  // What was said of its tyres before the two ways were asked for still stands.
  const said = { [measuredKey(bar.id, 'onWheels')]: true };
  expect(asked({ holding: undefined }, said)).toEqual(['onWheels']);
  expect(asked({ holding: 'rests' }, said)).toEqual(['onRests']);
  // What was said while neither was picked says nothing of either.
  const neither = { [measuredKey(bar.id, 'held')]: true };
  expect(asked({ holding: 'weight' }, neither)).toEqual(['onWheels']);
});

test('the stripe across Place rests on how the axle is held, and at which height', () => {
  const basis = (place: Partial<Job['place']>) =>
    stationBasis(car({ parkedDrop: 40, held: { left: 600, right: 600 }, ...place }), 'place');
  const rests = basis({ holding: 'rests' });
  expect(basis({ holding: 'rests', heldAt: 'parked' })).not.toEqual(rests);
  expect(basis({ holding: 'weight' })).not.toEqual(rests);
  expect(basis({ holding: 'weight' })).toEqual(basis({ holding: 'weight', heldAt: 'parked' }));
  expect(basis({ holding: 'weight', held: { left: 601, right: 600 } })).not.toEqual(
    basis({ holding: 'weight' }),
  );
  // Nothing was said of it in jobs from before: their stripes hold.
  expect(basis({})).not.toHaveProperty('held');
});

test('heights may be read with the frame on stands: as much higher as each body is held', () => {
  fc.assert(
    fc.property(fc.integer({ min: 450, max: 800 }), fc.integer({ min: 300, max: 420 }), (held, radius) => {
      const job = car({ holding: 'rests', held: { left: held, right: held + 6 }, tireDiameter: 2 * radius });
      expect(raisedNow(job, 'chassis', 'left')).toBeCloseTo(held - 430, 9);
      expect(raisedNow(job, 'chassis', 'right')).toBeCloseTo(held + 6 - 430, 9);
      expect(raisedNow(job, 'axle', 'left')).toBeCloseTo(radius + held - 430 - 330, 9);
      expect(raisedNow({ ...job, place: { ...job.place, holding: 'weight' } }, 'axle', 'left')).toBeNull();
    }),
  );
});

test('travel that is only for parking is not judged as driving, but must still be reached and clear', () => {
  const long = { bump: 140, droop: 60 };
  const all = located(car({ parkedDrop: 130 }, long));
  const driven = located(car({ parkedDrop: 130, drivenBump: 50 }, long));
  const short = located(car({ parkedDrop: 130 }, { bump: 50, droop: 60 }));
  const said = ({ verdicts }: typeof all, id: string) => verdicts.sideways.find((v) => v.id === id);
  expect(said(all, 'length')!.state).not.toBe('ok');
  expect(said(driven, 'length')!.title).toBe(said(short, 'length')!.title);
  expect(said(driven, 'parked')!.reason).toMatch('90 mm');
  expect(said(all, 'parked')).toBeUndefined();
  expect(driven.result.links.pinion).toBeCloseTo(short.result.links.pinion, 9);
  expect(driven.result.gaps).toEqual(all.result.gaps);
  expect(driven.result.links.joint).toEqual(all.result.links.joint);
});
