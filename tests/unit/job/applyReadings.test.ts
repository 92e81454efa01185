import type { Rig } from '@/core/rig/schema';
import { NOSE } from '@/core/job/bodies/bodyNames';
import fc from 'fast-check';
import { readJob, writeJob } from '@/core/job/file';
import { applyReadings, USUAL_MASSES } from '@/core/job/applyReadings';
import { withReadingsAt, withMeasuredAgain } from '@/core/job/edits/readings';
import { withLayout } from '@/core/job/edits/members/layout';
import { withMounts } from '@/core/job/edits/mounts';
import { withRoll } from '@/core/job/edits/roll';
import type { Job } from '@/core/job/jobSchema';
import { newJob } from '@/core/job/newJob';
import { LAYOUT_IDS } from '@/core/rig/layouts';
import { InputError } from '@/core/rig/read';
import { usualBar, usualBladeBar, usualStripBar } from '@/core/swaybar/swayBarDesign';
import { usualSprings } from '@/core/springs/springDesign';
import { MOST_READINGS } from '@/core/survey/readings';
import { mergedReadings } from '@/core/survey/readingsCsv';
import { spotAt, SPOTS, type Spot } from '@/core/survey/quantities/quantities';
import { AT, read, readings } from '../../support/car';

const fresh = () => newJob('check', 'Check', 'in16');

/** A reading somewhere in the middle half of what its place takes, or near what a car usually has. */
const readingAt = (spot: Spot): fc.Arbitrary<number> => {
  const { least, most, standIn, unit } = spot.quantity;
  const near =
    unit === 'angle' ? fc.double({ min: least, max: most, noNaN: true }).map((deg) => deg + 0) : null;
  return (
    near ??
    fc.double({ min: 0.9, max: 1.1, noNaN: true }).map((k) => Math.min(most, Math.max(least, k * standIn)))
  );
};

/** Readings at some places, in the order they were taken. */
const taken = fc
  .uniqueArray(fc.constantFrom(...SPOTS), { minLength: 1, maxLength: 30, selector: (s) => s.key })
  .chain((spots) => fc.tuple(...spots.map((spot) => readingAt(spot).map((value) => ({ spot, value })))));

type Taken = { spot: Spot; value: number }[];
const asRead = (job: Job, list: Taken): Job =>
  list.reduce((j, { spot, value }) => withReadingsAt(j, spot, (old) => [...old, read(value)]), job);

const started = fc.record({
  layout: fc.constantFrom(...LAYOUT_IDS),
  laidOut: fc.boolean(),
  sprung: fc.boolean(),
});
function begun({
  layout,
  laidOut,
  sprung,
}: {
  layout: (typeof LAYOUT_IDS)[number];
  laidOut: boolean;
  sprung: boolean;
}): Job {
  const job = { ...withLayout(fresh(), layout), laidOut };
  return sprung ? withRoll(job, { springs: usualSprings(job.rig, 'coil'), bar: usualBar(job.rig) }) : job;
}

describe('readings on their way to the model', () => {
  test('applied again, they change nothing', () => {
    fc.assert(
      fc.property(started, taken, (start, list) => {
        const once = asRead(begun(start), list as Taken);
        expect(applyReadings(once)).toEqual(once);
      }),
      { numRuns: 60 },
    );
  });

  test('whatever order they are taken in, the rig comes out the same', () => {
    fc.assert(
      fc.property(started, taken, fc.infiniteStream(fc.nat()), (start, list, order) => {
        const shuffled = [...(list as Taken)]
          .map((item) => ({ item, at: order.next().value as number }))
          .sort((a, b) => a.at - b.at)
          .map(({ item }) => item);
        expect(asRead(begun(start), shuffled).rig).toEqual(asRead(begun(start), list as Taken).rig);
      }),
      { numRuns: 60 },
    );
  });

  test('a job saved and opened again is the same job', () => {
    fc.assert(
      fc.property(started, taken, (start, list) => {
        const job = asRead(begun(start), list as Taken);
        expect(readJob(writeJob(job))).toEqual(job);
      }),
      { numRuns: 40 },
    );
  });

  // While a bar is dragged, what stands where is not worked out again.
  test('a sway bar of any make, or none, leaves nothing to work out anew', () => {
    const makes = fc.constantFrom(usualBar, usualBladeBar, usualStripBar, () => null);
    fc.assert(
      fc.property(started, taken, makes, fc.boolean(), (start, list, make, isHooked) => {
        const job = asRead(begun(start), list as Taken);
        const bar = make(job.rig);
        const barred = withRoll(job, { bar: bar && { ...bar, hooked: isHooked } });
        expect(barred.roll.bar?.hooked).toBe(bar ? isHooked : undefined);
        expect(applyReadings(barred)).toEqual(barred);
        expect(readJob(writeJob(barred))).toEqual(barred);
      }),
      { numRuns: 40 },
    );
  });

  test('struck, a reading counts for nothing', () => {
    fc.assert(
      fc.property(started, taken, (start, list) => {
        const job = begun(start);
        const struck = (list as Taken).reduce(
          (j, { spot }) => withReadingsAt(j, spot, (old) => old.map((r) => ({ ...r, struck: true }))),
          asRead(job, list as Taken),
        );
        const { masses, driveshaft, ...rest } = struck.rig;
        const { masses: none, driveshaft: drawn, ...before } = applyReadings(job).rig;
        // The pinion's nose points where the pinion does.
        const butNose = (rig: Partial<Rig>) => ({
          ...rig,
          obstacles: rig.obstacles!.filter((o) => o.id !== NOSE),
        });
        expect(butNose(rest)).toEqual(butNose(before));
        expect(none).toBeUndefined();
        // What was weighed and gauged stays as the last that is known of it.
        expect(Object.keys(driveshaft ?? {})).toEqual(Object.keys(drawn ?? {}));
        if (masses) expect(masses.total).toBeGreaterThan(0);
      }),
      { numRuns: 30 },
    );
  });
});

describe('what was measured stays measured', () => {
  const at = (key: string) => spotAt(key)!;

  test('the pinion that was gauged is not put back by the next length that is read', () => {
    const gauged = withReadingsAt(fresh(), at('pinionAngle'), () => [read(-4)]);
    expect(gauged.rig.driveshaft!.pinionAngleDeg).toBe(-4);
    const taped = withReadingsAt(gauged, at('track'), () => [read(1500)]);
    expect(taped.rig.driveshaft!.pinionAngleDeg).toBe(-4);
    expect(withLayout(taped, 'torque-arm-panhard').rig.driveshaft!.pinionAngleDeg).toBe(-4);
  });

  test('four scales read before anything is known of the weight give the weight', () => {
    const weights = {
      'weightFront.left': 400,
      'weightFront.right': 380,
      'weightRear.left': 310,
      'weightRear.right': 330,
    };
    let job = fresh();
    expect(job.rig.masses).toBeUndefined();
    for (const [key, kg] of Object.entries(weights)) {
      expect(job.rig.masses).toBeUndefined();
      job = withReadingsAt(job, at(key), () => [read(kg)]);
    }
    expect(job.rig.masses).toEqual({ ...USUAL_MASSES, total: 1420, frontFraction: 780 / 1420 });
  });

  test('a figure typed over a measured one stands, and emptied it gives way to it again', () => {
    const gauged = withReadingsAt(fresh(), at('pinionAngle'), () => [read(-4)]);
    const typed: Job = {
      ...gauged,
      laidOut: true,
      typed: { 'driveshaft/pinionAngleDeg': '1 1/2' },
      rig: { ...gauged.rig, driveshaft: { ...gauged.rig.driveshaft!, pinionAngleDeg: 1.5 } },
    };
    expect(withReadingsAt(typed, at('track'), () => [read(1500)]).rig.driveshaft!.pinionAngleDeg).toBe(1.5);
    expect(
      withReadingsAt(typed, at('pinionAngle'), (l) => [...l, read(-5)]).rig.driveshaft!.pinionAngleDeg,
    ).toBe(1.5);
    const emptied = withMeasuredAgain(typed, 'driveshaft/pinionAngleDeg');
    expect(emptied.rig.driveshaft!.pinionAngleDeg).toBe(-4);
    expect(emptied.typed).toEqual({});
  });

  test('mounts that were moved stay while sizes follow', () => {
    const moved = withMounts(fresh(), [{ member: 'panhard', end: 'axle', axis: 2, mm: 333 }]);
    const taped = withReadingsAt(moved, at('track'), () => [read(1600)]);
    expect(taped.rig.members).toEqual(moved.rig.members);
    expect(taped.rig.track).toBe(1600);
  });

  test('a floor that is twisted, too steep or misread corrects nothing; a sound one does', () => {
    const gauged = (left: number, right: number, rear: number, front: number) =>
      applyReadings({
        ...fresh(),
        readings: readings({
          pinionAngle: -2,
          'floorAlong.left': left,
          'floorAlong.right': right,
          floorAcrossRear: rear,
          floorAcrossFront: front,
        }),
      }).rig.driveshaft!.pinionAngleDeg;
    expect(gauged(0.5, 0.5, 0, 0)).toBeCloseTo(-2.5, 9);
    expect(gauged(1.4, 1.4, 0, 0)).toBe(-2);
    expect(gauged(0.6, 0, 0, 0)).toBe(-2);
    // Too little to be told from level still counts for what it is.
    expect(gauged(0.05, 0.05, 0, 0)).toBeCloseTo(-2.05, 9);
  });
});

describe('readings that no car can have', () => {
  test('do not come in with a file, and the place is named', () => {
    const job = JSON.parse(writeJob(fresh())) as Record<string, unknown>;
    for (const [key, value] of [
      ['tubeDiameter', -76],
      ['track', 0],
      ['tireRadius.left', 20_000],
      ['weightFront.left', -1],
    ] as const) {
      const text = JSON.stringify({ ...job, readings: { [key]: [read(value)] } });
      expect(() => readJob(text)).toThrow(new RegExp(`readings.*${key.split('.')[0]}`));
    }
  });

  test('every reading that its place takes makes a rig that can be opened again', () => {
    fc.assert(
      fc.property(fc.constantFrom(...SPOTS), fc.boolean(), (spot, low) => {
        const { least, most } = spot.quantity;
        let job: Job;
        try {
          job = withReadingsAt(fresh(), spot, () => [read(low ? least : most)]);
        } catch (error) {
          // Refused where it is typed, with a sentence.
          if (!(error instanceof InputError)) throw error;
          expect(error.expected).toMatch(/\w+ \w+/);
          return;
        }
        expect(readJob(writeJob(job))).toEqual(job);
      }),
      { numRuns: 200 },
    );
  });

  test('more than a place can hold is said, not dropped', () => {
    const full = Array.from({ length: MOST_READINGS }, (_, i) => read(1450 + i / 100));
    const job = withReadingsAt(fresh(), spotAt('track')!, () => full);
    expect(job.readings.track).toHaveLength(MOST_READINGS);
    expect(() => withReadingsAt(job, spotAt('track')!, (l) => [...l, read(1451)])).toThrow(
      /Track has 50 readings/,
    );
    const brought = { track: [read(1452, '2026-06-01T00:00:00.000Z')] };
    expect(() => mergedReadings(job.readings, brought)).toThrow(/would have 51 readings/);
    // The same ones again are none more.
    expect(mergedReadings(job.readings, { track: [read(1450, AT)] }).track).toHaveLength(MOST_READINGS);
  });
});
