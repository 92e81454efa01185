import fc from 'fast-check';
import { clearances, hasClearances } from '@/core/clearance/clearance';
import { closestApproaches } from '@/core/clearance/closestOverTravel';
import { applyReadings, USUAL_MASSES } from '@/core/job/applyReadings';
import type { Job } from '@/core/job/jobSchema';
import { withLifted } from '@/core/job/edits/made';
import { newJob } from '@/core/job/newJob';
import { assemble } from '@/core/kinematics/mechanism';
import { resultUncertainty } from '@/core/locate/resultUncertainty';
import type { Obstacle } from '@/core/rig/schema';
import { floorOf, isSound, slopeAlong } from '@/core/survey/floor';
import type { Readings } from '@/core/survey/readings';
import { estimate, propagate, propagateAll } from '@/core/survey/uncertainty';
import { TOOL_NAMES, TOOLS } from '@/core/survey/quantities/tools';
import { patternRig } from '../../../support/layouts';
import { AT, read, readings } from '../../../support/car';

const [BASE, TRACK] = [2845, 1448];
const degrees = (rise: number, run: number) => (Math.atan2(rise, run) * 180) / Math.PI;

/** Levels read on a floor whose four tyres stand at these heights, mm: fronts and rears, left and right. */
const levelsOf = (h: { fl: number; fr: number; rl: number; rr: number }): Readings =>
  readings({
    'floorAlong.left': degrees(h.rl - h.fl, BASE),
    'floorAlong.right': degrees(h.rr - h.fr, BASE),
    floorAcrossRear: degrees(h.rl - h.rr, TRACK),
    floorAcrossFront: degrees(h.fl - h.fr, TRACK),
    'wheelbase.left': BASE,
    'wheelbase.right': BASE,
    track: TRACK,
  });

describe('a floor under four tyres', () => {
  const mm = (most: number) => fc.integer({ min: -most, max: most });

  test('plane floors are sound as long as they are not steep; their slope is what it is, down to the front positive', () => {
    fc.assert(
      fc.property(mm(48), mm(24), (along, across) => {
        const floor = floorOf(
          levelsOf({ fl: across / 2, fr: -across / 2, rl: along + across / 2, rr: along - across / 2 }),
        )!;
        expect(floor.twist).toBeLessThan(0.01);
        expect(floor.misclosure).toBeLessThan(0.01);
        expect(isSound(floor)).toBe(true);
        expect(floor.along).toBeCloseTo(degrees(along, BASE), 9);
        expect(floor.across).toBeCloseTo(degrees(across, TRACK), 9);
      }),
    );
  });

  test('one tyre off the plane of the others twists it, whichever; what is too much corrects nothing', () => {
    fc.assert(
      fc.property(
        fc.constantFrom('fl' as const, 'fr' as const, 'rl' as const, 'rr' as const),
        mm(40),
        mm(20),
        (corner, off, along) => {
          const heights = { fl: 0, fr: 0, rl: along, rr: along };
          heights[corner] += off;
          const levels = levelsOf(heights);
          const floor = floorOf(levels)!;
          expect(floor.twist).toBeCloseTo(Math.abs(off), 1);
          expect(floor.misclosure).toBeLessThan(0.1);
          if (Math.abs(off) > 6.6) {
            expect(isSound(floor)).toBe(false);
            expect(slopeAlong(levels)).toBe(0);
          } else if (Math.abs(off) < 6.2) expect(slopeAlong(levels)).toBe(floor.along);
        },
      ),
    );
  });

  test('levels that do not add up round the car are a slip, however small the slope', () => {
    fc.assert(
      fc.property(fc.integer({ min: 18, max: 60 }), fc.boolean(), (off, more) => {
        const levels = levelsOf({ fl: 0, fr: 0, rl: 0, rr: 0 });
        const slipped = { ...levels, floorAcrossRear: [read(degrees(more ? off : -off, TRACK))] };
        expect(floorOf(slipped)!.verdict).toBe('slip');
        expect(slopeAlong(slipped)).toBe(0);
      }),
    );
  });

  test('one level short, nothing is known of it', () => {
    const levels = levelsOf({ fl: 0, fr: 0, rl: 9, rr: 9 });
    for (const key of ['floorAlong.left', 'floorAlong.right', 'floorAcrossRear', 'floorAcrossFront'])
      expect([key, floorOf({ ...levels, [key]: [] })]).toEqual([key, null]);
  });
});

describe('how far a reading can be trusted', () => {
  test('read again and again it comes nearer, down to what its tool is out', () => {
    fc.assert(
      fc.property(fc.constantFrom(...TOOL_NAMES), fc.integer({ min: 2, max: 30 }), (tool, n) => {
        const one = estimate([100], tool).u;
        const many = estimate(Array<number>(n).fill(100), tool).u;
        expect(many).toBeLessThan(one);
        expect(many).toBeGreaterThanOrEqual(TOOLS[tool].limit / Math.sqrt(3) - 1e-12);
      }),
    );
  });

  test('readings that scatter are trusted less than readings that agree', () => {
    fc.assert(
      fc.property(
        fc.constantFrom(...TOOL_NAMES),
        fc.double({ min: 2, max: 50, noNaN: true }),
        (tool, spread) => {
          const wide = spread * (TOOLS[tool].repeat + 0.01);
          expect(estimate([100 - wide, 100 + wide], tool).u).toBeGreaterThan(estimate([100, 100], tool).u);
        },
      ),
    );
  });

  test('carried through a sum and a multiple, as the law of propagation has it', () => {
    const u = fc.double({ min: 0, max: 5, noNaN: true });
    fc.assert(
      fc.property(u, u, fc.integer({ min: -9, max: 9 }), fc.integer({ min: -9, max: 9 }), (a, b, k, m) => {
        const found = propagate(
          [
            { value: 3, u: a },
            { value: 7, u: b },
          ],
          ([x, y]) => k * x! + m * y!,
        )!;
        expect(found.value).toBe(3 * k + 7 * m);
        expect(found.u).toBeCloseTo(Math.hypot(k * a, m * b), 8);
      }),
    );
  });

  test('a result that is lost near by has no uncertainty; the others keep theirs', () => {
    const [whole, lost] = propagateAll([{ value: 0, u: 1 }], ([x]) => [2 * x!, x! > 0.5 ? null : x!]);
    expect(whole).toEqual({ value: 0, u: 2 });
    expect(lost).toBeNull();
  });
});

describe('how far the results of a job can be trusted', () => {
  const fresh = () => newJob('a', 'A', 'mm');
  const measured = (times: number): Job =>
    applyReadings({
      ...fresh(),
      readings: Object.fromEntries(
        [
          ['tireRadius.left', 330],
          ['tireRadius.right', 330],
          ['track', 1450],
          ['wheelbase.left', 2840],
          ['wheelbase.right', 2840],
        ].map(([key, mm]) => [key, Array.from({ length: times }, () => read(mm as number, AT))]),
      ),
    });

  test('what was not read adds nothing; read once it adds, read often it adds less', () => {
    const none = resultUncertainty(fresh());
    const once = resultUncertainty(measured(1));
    const often = resultUncertainty(measured(20));
    for (const key of ['rollCentre', 'antiSquat'] as const) {
      expect([key, none[key]! > 0]).toEqual([key, true]);
      expect([key, once[key]! >= 0.98 * none[key]!]).toEqual([key, true]);
      expect([key, often[key]! <= once[key]! + 1e-9]).toEqual([key, true]);
    }
    // The length of a bar is between its own ends: no tyre comes into it.
    expect(once.eyeToEye).toBeCloseTo(none.eyeToEye!, 9);
  });

  test('anti-squat is trusted no farther than the height it counts against: guessed, typed, weighed', () => {
    const read = measured(1);
    const guessed = { ...read, rig: { ...read.rig, masses: USUAL_MASSES } };
    const typed = { ...guessed, typed: { ...guessed.typed, cgHeight: '20' } };
    // What two weighings of a car of that height would read.
    const { cgHeight, tireRadius, wheelbase } = guessed.rig;
    const share = 500 / wheelbase!;
    const tan = share / Math.sqrt(1 - share ** 2);
    const moved = ((cgHeight! - tireRadius) * USUAL_MASSES.total * tan) / wheelbase!;
    const weighed = withLifted(typed, { level: 700, lifted: 700 + moved, by: 500 });
    const [asGuessed, asTyped, asWeighed] = [guessed, typed, weighed].map(
      (job) => resultUncertainty(job).antiSquat!,
    );
    expect(asGuessed).toBeGreaterThan(1.3 * asTyped!);
    expect(asTyped).toBeGreaterThan(asWeighed!);
    expect(resultUncertainty(weighed).rollCentre).toBeCloseTo(resultUncertainty(guessed).rollCentre!, 6);
    // Two weighings of another height say nothing of the one that stands there.
    expect(resultUncertainty(withLifted(weighed, { lifted: 800 + moved })).antiSquat).toBeCloseTo(
      asTyped!,
      6,
    );
  });

  test('a level bar’s length is trusted as its two ends are, set by one tape each', () => {
    const tape = estimate([0], 'tape').u;
    expect(resultUncertainty(fresh()).eyeToEye).toBeCloseTo(Math.SQRT2 * tape, 3);
    // Where it crosses a centreline in its middle, each end counts by half.
    expect(resultUncertainty(fresh()).crossesAt!).toBeLessThan(tape);
    expect(resultUncertainty(fresh()).crossesAt!).toBeGreaterThan(0.6 * tape);
  });

  test('it is numbers and nothing else: it crosses from a worker', () => {
    const found = resultUncertainty(measured(2));
    expect(structuredClone(found)).toEqual(found);
    for (const u of Object.values(found)) expect(u === null || (Number.isFinite(u) && u >= 0)).toBe(true);
  });
});

describe('gaps', () => {
  const rig = patternRig('three-link-panhard');
  const ball = (x: number, y: number, z: number, radius: number): Obstacle => ({
    id: 'ball',
    on: 'chassis',
    shape: 'sphere',
    centre: [x, y, z],
    radius,
  });
  const place = fc.record({
    x: fc.integer({ min: -500, max: 500 }),
    y: fc.integer({ min: -600, max: 600 }),
    z: fc.integer({ min: 100, max: 700 }),
  });
  const gapsWith = (thing: Obstacle) =>
    clearances({ ...rig, obstacles: [thing] }, assemble(rig).ride).filter((c) => c.b === 'ball');

  test('a thing larger by so much is nearer by so much, to everything', () => {
    fc.assert(
      fc.property(place, fc.integer({ min: 1, max: 60 }), ({ x, y, z }, more) => {
        const [small, large] = [gapsWith(ball(x, y, z, 20)), gapsWith(ball(x, y, z, 20 + more))];
        small.forEach((gap, i) => expect(large[i]!.distance).toBeCloseTo(gap.distance - more, 9));
      }),
    );
  });

  test('moved by so much, no gap changes by more', () => {
    fc.assert(
      fc.property(place, fc.integer({ min: -40, max: 40 }), ({ x, y, z }, by) => {
        const [here, there] = [gapsWith(ball(x, y, z, 20)), gapsWith(ball(x + by, y, z, 20))];
        here.forEach((gap, i) =>
          expect(Math.abs(there[i]!.distance - gap.distance)).toBeLessThanOrEqual(Math.abs(by) + 1e-9),
        );
      }),
    );
  });

  test('over a travel the tightest is the least of all its places, and where that was is told', () => {
    const { at } = assemble({ ...rig, obstacles: [ball(-200, 0, 500, 30)] });
    const poses = [-60, -30, 0, 30, 60].map((lift) => at({ left: lift, right: lift }));
    const over = closestApproaches({ ...rig, obstacles: [ball(-200, 0, 500, 30)] }, poses);
    expect(over.map((g) => g.distance)).toEqual([...over.map((g) => g.distance)].sort((a, b) => a - b));
    for (const gap of over) {
      const again = closestApproaches({ ...rig, obstacles: [ball(-200, 0, 500, 30)] }, [at(gap.at)]);
      const same = again.find((g) => g.a === gap.a && g.b === gap.b)!;
      expect(same.distance).toBeCloseTo(gap.distance, 6);
    }
  });

  test('only what states a size is measured', () => {
    expect(hasClearances({ ...rig, obstacles: [ball(0, 0, 0, 1)] })).toBe(true);
    const bare = {
      ...rig,
      obstacles: undefined,
      members: rig.members.map((m) => (m.type === 'link' ? { ...m, od: undefined } : m)),
    };
    expect(hasClearances(bare)).toBe(false);
    expect(clearances(bare, assemble(rig).ride)).toEqual([]);
  });
});
