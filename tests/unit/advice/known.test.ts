import fc from 'fast-check';
import { guessesBehind, type Figure } from '@/core/bench/figures';
import { checkJob } from '@/core/advice/check';
import { lookAt, type Look } from '@/core/advice/look';
import { usualOtherEnd } from '@/core/balance/otherEnd';
import { applyReadings, USUAL_MASSES } from '@/core/job/applyReadings';
import { BODY_SIZES, sizeOf, type BodySize } from '@/core/job/bodies/bodySizes';
import { withBody } from '@/core/job/edits/bodies';
import { withFrameMoved } from '@/core/job/edits/frameHeight';
import { withLayout } from '@/core/job/edits/members/layout';
import { withJoints, withMounts } from '@/core/job/edits/mounts';
import { withRoll } from '@/core/job/edits/roll';
import { readJob, writeJob } from '@/core/job/file';
import type { Job } from '@/core/job/jobSchema';
import { isReached, type SweptPose } from '@/core/kinematics/pose';
import { analyseLocate } from '@/core/locate/analyse';
import { locateInput } from '@/core/locate/types';
import { newJob } from '@/core/job/newJob';
import { mountIds } from '@/core/job/placed';
import { isAcceptable, withAccepted } from '@/core/provenance/accept';
import { inputOf, isGuess } from '@/core/provenance/inputs';
import { LAYOUT_IDS } from '@/core/rig/layouts';
import type { MountKey } from '@/core/rig/members/kind';
import { mountsOf } from '@/core/rig/mounts';
import { orNone } from '@/core/rig/read';
import { analyseRoll } from '@/core/roll/analyse';
import { rollInput } from '@/core/roll/input';
import { usualShock, usualSprings } from '@/core/springs/springDesign';
import { usualBar } from '@/core/swaybar/swayBarDesign';
import { aboutOf, type Judged } from '@/core/verdict/verdict';
import { plausibleCar, readingsOf, type CarSizes } from '../../support/plausible';
import { read } from '../../support/car';
import { assertUntil } from '../../support/until';

const layouts = fc.constantFrom(...LAYOUT_IDS);

/** A car of which nothing is known, with springs and a bar on it. */
const guessed = (layout: (typeof LAYOUT_IDS)[number]): Job => {
  const fresh = withLayout(newJob('car', 'Car', 'mm'), layout);
  const rig = { ...fresh.rig, masses: USUAL_MASSES, otherEnd: usualOtherEnd(fresh.rig) };
  const springs = usualSprings(rig, 'coil');
  return withRoll({ ...fresh, rig }, { springs, shock: usualShock, bar: usualBar(rig) });
};

const verdicts = ({ said }: Look): Judged[] => said.map(({ verdict }) => verdict);
const wouldBe = (look: Look): Map<string, Judged> =>
  new Map(look.said.map(({ station, verdict }) => [`${station} ${aboutOf(verdict)}`, verdict]));

test.each(LAYOUT_IDS)('of a car that nobody has measured nothing holds and nothing stops: %s', (layout) => {
  const all = verdicts(lookAt(guessed(layout)));
  expect(all.length).toBeGreaterThan(8);
  for (const { id, state, guesses } of all) {
    // What a bar or spring is made like is the builder's own, and hangs on nothing else.
    if (guesses.length === 0) expect(id).toMatch(/^(bar|link|stow|adjust|thread)/);
    else expect(['unknown', 'look']).toContain(state);
  }
});

const SIZES: (keyof CarSizes)[] = [
  'track',
  'tireRadius',
  'tireWidth',
  'wheelbase',
  'cover',
  'bump',
  'droop',
  'gapFrame',
  'rideHeight',
  'tubeDiameter',
];

/** The car with one guessed input quite another. */
function otherwise(job: Job, id: string, by: number): Job {
  const [kind, of = ''] = id.split(/\.(.*)/);
  if (kind === 'read') {
    const was = inputValue(job, of as keyof CarSizes);
    return applyReadings({ ...job, readings: { ...job.readings, ...readingsOf({ [of]: was * by }) } });
  }
  if (kind === 'mount') {
    const [member, end] = of.split('/') as [string, MountKey];
    const { point } = mountsOf(job.rig, member).find((m) => m.key === end)!;
    return withMounts(job, [{ member, end, axis: 2, mm: point[2] + 60 * Math.sign(by - 1) }]);
  }
  if (kind === 'size') return withBody(job, of as BodySize, sizeOf(job, of as BodySize) * by);
  if (kind === 'joints') return withJoints(job, of, { chassis: by > 1 ? 'poly' : 'rod-end-spaced' }, false);
  if (kind === 'cgHeight') return { ...job, rig: { ...job.rig, cgHeight: job.rig.cgHeight! * by } };
  const masses = { ...job.rig.masses!, total: job.rig.masses!.total * by };
  if (kind === 'weights') return { ...job, rig: { ...job.rig, masses } };
  const otherEnd = { ...job.rig.otherEnd!, rollRate: job.rig.otherEnd!.rollRate * by };
  return { ...job, rig: { ...job.rig, otherEnd } };
}
const inputValue = ({ rig, readings }: Job, key: keyof CarSizes): number =>
  key === 'track'
    ? rig.track
    : key === 'tireRadius'
      ? rig.tireRadius
      : (readings[key]?.[0]?.value ??
        {
          tireWidth: 230,
          wheelbase: 2700,
          cover: 150,
          bump: 75,
          droop: 75,
          gapFrame: 110,
          rideHeight: 400,
          tubeDiameter: 76,
        }[key as 'tireWidth']);

/** Everything that may be guessed of a car. */
const inputsOf = (job: Job): string[] => [
  ...SIZES.map((key) => `read.${key}`),
  ...mountIds(job.rig).map((id) => `mount.${id}`),
  ...(Object.keys(BODY_SIZES) as BodySize[])
    .filter((size) => BODY_SIZES[size].has(job.rig) && sizeOf(job, size) > 0)
    .map((size) => `size.${size}`),
  ...job.rig.members.filter((m) => m.type === 'link').map((m) => `joints.${m.id}`),
  'cgHeight',
  'weights',
  'otherEnd',
];
const RUNS = Number(process.env.KNOWN_RUNS ?? 60);
const guessedInputs = fc.tuple(layouts, fc.nat(), fc.constantFrom(0.7, 1.4)).map(([layout, n, by]) => {
  const job = guessed(layout);
  const inputs = inputsOf(job);
  return { job, id: inputs[n % inputs.length]!, by };
});

test('what turns a verdict when it is otherwise is among what the verdict hangs on', () => {
  let turned = 0;
  assertUntil(
    fc.property(guessedInputs, ({ job, id, by }) => {
      const before = wouldBe(lookAt(job));
      // Some cars cannot be held like that; nothing is said of them.
      const after = orNone(() => wouldBe(lookAt(otherwise(job, id, by))));
      if (!after) return;
      for (const [about, { would, guesses }] of before) {
        const then = after.get(about);
        // Which pair is the tightest turns with anything; what is said of a pair hangs on the pair.
        if (!then || then.would === would || about.includes('clearance')) continue;
        turned++;
        expect([about, id, guesses.map((g) => g.id)]).toEqual([about, id, expect.arrayContaining([id])]);
      }
    }),
    { numRuns: RUNS, endOnFailure: true },
    () => turned > 0,
  );
});

/** The figures of a car that follow from what may be guessed, as Locate and Roll show them. */
function figuresOf(job: Job): Partial<Record<Figure, number | null>> {
  const { bar, ride, links, ghosts } = analyseLocate(locateInput(job, AT_RIDE));
  const roll = analyseRoll(rollInput(job, AT_RIDE), 'balance');
  const y = (pose: SweptPose) => (isReached(pose) ? pose.y : null);
  return {
    rollCentre: ride.rollCentreHeight,
    rollCentreAtBar: bar?.crossesAt ?? null,
    eyeToEye: bar?.eyeToEye ?? null,
    tilt: bar?.tiltDeg ?? null,
    'shift-bump': y(ghosts.bump),
    'shift-droop': y(ghosts.droop),
    antiSquat: links.antiSquat,
    rollSteer: links.rollSteer,
    bumpSteer: links.steering?.wheels?.both ?? null,
    pinion: links.pinion,
    instantCentre: links.instantCentre?.[0] ?? null,
    joints: links.shaft?.rear ?? null,
    jointMost: links.shaft?.most ?? null,
    plunge: links.shaft?.in ?? null,
    rollAngle: roll.corner?.rollDeg ?? null,
    frontShare: roll.corner?.frontShare ?? null,
    frequency: roll.ride?.frequency ?? null,
    wheelRate: roll.ride?.wheelRate ?? null,
    standing: roll.ride?.standing ?? null,
    barRollRate: roll.bar?.rollRate ?? null,
    barRate: roll.bar?.rate ?? null,
    barStress: roll.bar?.maxStress ?? null,
  };
}
const AT_RIDE = { left: 0, right: 0 };

test('a figure that is another when an input is otherwise is drawn as hanging on it', () => {
  const changed = new Set<string>();
  assertUntil(
    fc.property(guessedInputs, ({ job: fresh, id, by }) => {
      // Mounts that nobody placed go with what is read of the car, and are guessed themselves.
      const placed = id.startsWith('read.') ? mountIds(fresh.rig).map((mount) => `mount.${mount}`) : [];
      const job = withAccepted(fresh, placed);
      const after = orNone(() => figuresOf(otherwise(job, id, by)));
      if (!after) return;
      for (const [figure, was] of Object.entries(figuresOf(job)) as [Figure, number | null][]) {
        const is = after[figure] ?? null;
        if (was === null || is === null || Math.abs(is - was) < 1e-3 * Math.abs(was) + 1e-3) continue;
        changed.add(figure);
        const behind = guessesBehind(job, figure).map((g) => g.id);
        expect([figure, id, behind]).toEqual([figure, id, expect.arrayContaining([id])]);
      }
    }),
    { numRuns: RUNS, endOnFailure: true },
    () => changed.size > 10,
  );
});

test('of a car that is read, placed and said to be right no figure of where it is held is drawn as guessed', () => {
  fc.assert(
    fc.property(plausibleCar, (car) => {
      const held = ['rollCentre', 'eyeToEye', 'tilt', 'shift-bump', 'antiSquat', 'instantCentre'] as const;
      const open = held.flatMap((figure) => guessesBehind(car, figure));
      const accepted = withAccepted(
        car,
        open.filter(isAcceptable).map((g) => g.id),
      );
      expect(held.flatMap((figure) => guessesBehind(accepted, figure))).toEqual([]);
    }),
    { numRuns: 30, endOnFailure: true },
  );
});

test('what is read, typed, placed or said to be right is guessed no more, and stays so in a file', () => {
  fc.assert(
    fc.property(plausibleCar, (car) => {
      const ids = mountIds(car.rig).map((id) => `mount.${id}`);
      for (const id of [...ids, 'weights', 'cgHeight', ...SIZES.map((key) => `read.${key}`)])
        expect([id, isGuess(inputOf(readJob(writeJob(car)), id))]).toEqual([id, false]);
      const open = verdicts(lookAt(car)).flatMap((v) => v.guesses);
      const accepted = withAccepted(
        car,
        open.filter(isAcceptable).map((g) => g.id),
      );
      const left = verdicts(lookAt(readJob(writeJob(accepted)))).flatMap((v) => v.guesses);
      expect(left.filter(isAcceptable)).toEqual([]);
      // Accepting says what is known, and changes nothing of what is said of it.
      const what = (job: Job) => lookAt(job).said.map(({ verdict }) => [aboutOf(verdict), verdict.would]);
      expect(what(accepted).sort()).toEqual(what(car).sort());
    }),
    { numRuns: 15, endOnFailure: true },
  );
});

test('a guessed centre of gravity that went down with the frame is guessed still', () => {
  fc.assert(
    fc.property(layouts, fc.double({ min: -90, max: 90, noNaN: true }), (layout, by) => {
      const moved = withFrameMoved(guessed(layout), by);
      expect(isGuess(inputOf(moved, 'cgHeight'))).toBe(true);
      expect(isGuess(inputOf({ ...moved, typed: { ...moved.typed, cgHeight: '500' } }, 'cgHeight'))).toBe(
        false,
      );
    }),
    { numRuns: 30, endOnFailure: true },
  );
});

test('the same facts in another order, after reload and in other units come to the same', () => {
  fc.assert(
    fc.property(plausibleCar, (car) => {
      const said = ({ stations, orders }: ReturnType<typeof checkJob>) => [
        Object.entries(stations).map(([station, list]) => [
          station,
          list.map(({ id, state, restsOn }) => [id.split(' ')[0], state, restsOn]).sort(),
        ]),
        orders.length,
      ];
      const here = checkJob(car);
      expect(checkJob(readJob(writeJob(car)))).toEqual(here);
      const backwards = Object.fromEntries(Object.entries(car.readings).reverse());
      expect(checkJob(applyReadings({ ...car, readings: backwards }))).toEqual(here);
      const tape = car.tape === 'mm' ? 'in32' : 'mm';
      expect(said(checkJob({ ...car, tape }))[0]).toEqual(said(here)[0]);
    }),
    { numRuns: 6, endOnFailure: true },
  );
});

test('a guess made known by reading it makes its verdict known', () => {
  const job = guessed('three-link-panhard');
  const tyre = (of: Job) => verdicts(lookAt(of)).find((v) => v.id === 'plan')!;
  expect(tyre(job).state).toBe('unknown');
  const placed = withAccepted(job, ['mount.panhard/chassis', 'mount.panhard/axle']);
  expect(tyre(placed).state).toBe('ok');
  expect(read(1).value).toBe(1);
});
