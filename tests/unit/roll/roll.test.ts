import fc from 'fast-check';
import { stationBasis } from '@/core/bench/stations';
import { readJob, writeJob } from '@/core/job/file';
import { railsInTheWay, railsOf } from '@/core/job/bodies/frameRails';
import { LAYOUT_IDS } from '@/core/rig/layouts';
import { measured } from '@/core/survey/readings';
import { InputError } from '@/core/rig/read';
import type { Obstacle } from '@/core/rig/schema';
import { analyseRoll, ROLL_PARTS, type RollPart } from '@/core/roll/analyse';
import {
  armInUse,
  swayBarOf,
  usualBar,
  usualBladeBar,
  usualStripBar,
  type BarDesign,
} from '@/core/swaybar/swayBarDesign';
import type { Bend } from '@/core/geometry/bends';
import { bendSheet } from '@/core/swaybar/bendSchedule';
import { rollVerdicts } from '@/core/roll/checks/checks';
import { changed, changedBy, curesFor, LEVERS, type LeverId } from '@/core/roll/levers';
import { turned } from '@/core/swaybar/armRotation';
import { springFor } from '@/core/springs/springTravel';
import { findBars } from '@/core/swaybar/stockSearch';
import { type RollInput, rollInput } from '@/core/roll/input';
import {
  rateOf,
  SPRING_KINDS,
  usualShock,
  usualSprings,
  usualStop,
  type Coil,
} from '@/core/springs/springDesign';
import { STEEL_NAMES, STEELS } from '@/core/materials/steels';
import { distance, plus, type Point } from '@/core/geometry/vector';
import type { Job } from '@/core/job/jobSchema';
import { LINK_JOINT_NAMES } from '@/core/materials/joints';
import { motionOf } from '@/core/kinematics/smallMotions';
import { withRoll } from '@/core/job/edits/roll';
import { newJob } from '@/core/job/newJob';
import { withLayout } from '@/core/job/edits/members/layout';
import { STOCK } from '@/core/materials/stockSizes';
import { AREA_GROWTH, FORCE, PRESSURE, ROLL_RATE, SPRING_RATE, VOLUME } from '@/core/units/unit';

const AT_RIDE = { left: 0, right: 0 };
const STOP = usualStop({ track: 1500 });
const MASSES = {
  total: 1450,
  frontFraction: 0.55,
  unsprungFront: 84,
  unsprungRear: 148,
  unsprungHeightFront: 330,
  unsprungHeightRear: 331,
};

/** A car with springs, a bar, its weight and its other end. */
function car(change: Partial<Job['roll']> = {}): Job {
  const job = newJob('check', 'Check', 'in16');
  const { rig } = job;
  const weighed = {
    ...job,
    rig: {
      ...rig,
      masses: MASSES,
      otherEnd: { rollCentreHeight: 60, rollRate: 1_000_000, track: 1450, tireRadius: 320 },
    },
  };
  return withRoll(weighed, { springs: usualSprings(rig, 'coil'), bar: usualBar(rig), ...change });
}
const withBar = (change: Partial<BarDesign>): Job => car({ bar: { ...usualBar(car().rig), ...change } });
const input = (job: Job, rocker = AT_RIDE): RollInput => rollInput(job, rocker);
const asked = (job: Job, part: RollPart, rocker = AT_RIDE) => analyseRoll(input(job, rocker), part);
const found = (job: Job, part: RollPart) => rollVerdicts(input(job), part, asked(job, part), 'in16');
const troubles = (job: Job, part: RollPart) =>
  found(job, part)
    .filter((v) => v.state !== 'ok')
    .map((v) => v.id);
const shaft = {
  od: 76,
  transmission: [1280, 0, 420] as Point,
  transmissionAngleDeg: -2.5,
  pinion: [290, 0, 356] as Point,
  pinionAngleDeg: -2.5,
};

/** Follows a bend sheet through space: along, turn about the bar, bend, and on. */
function walk(bends: Bend[], last: number): Point[] {
  let [at, way, normal]: [Point, Point, Point] = [
    [0, 0, 0],
    [1, 0, 0],
    [0, 0, 1],
  ];
  const points = [at];
  const go = (leg: number) => {
    at = plus(at, way.map((v) => v * leg) as Point);
    points.push(at);
  };
  for (const { leg, angle, turn } of bends) {
    go(leg);
    normal = turned(normal, way, [0, 0, 0], (turn * Math.PI) / 180);
    way = turned(way, normal, [0, 0, 0], (angle * Math.PI) / 180);
  }
  go(last);
  return points;
}

describe('the bar', () => {
  test('heave asks nothing of it, one wheel half of what both against each other do', () => {
    const force = (left: number, right: number) => asked(car(), 'bar', { left, right }).bar!.now!.force;
    const against = force(20, -20);
    expect(against).toBeGreaterThan(100);
    expect(force(20, 20)).toBeLessThan(0.02 * against);
    expect(force(20, 0) / against).toBeCloseTo(0.5, 1);
    expect(force(0, 0)).toBeCloseTo(0, 6);
  });

  test('its brackets carry the couple of its links, whatever it looks like', () => {
    const mm = (min: number, max: number) => fc.integer({ min, max });
    fc.assert(
      fc.property(mm(500, 1000), mm(500, 900), mm(250, 480), mm(18, 36), (eyes, middle, bushings, od) => {
        const job = withBar({ eyes, middle, bushings, od });
        const { carried, rows } = asked(job, 'bar').bar!;
        if (!carried) return;
        const built = swayBarOf(job.roll.bar!);
        const couple = carried.link * (built.centreline[0]![1] - built.centreline.at(-1)![1]);
        expect(carried.bushing * (built.bushings[0][1] - built.bushings[1][1])).toBeCloseTo(couple, 3);
        expect(carried.link).toBeCloseTo(Math.max(...rows.map((r) => r.force)), 9);
      }),
      { numRuns: 40 },
    );
  });

  test('what hits is caught where it happens, whatever it is, and a dip or another hole mends it', () => {
    const through = withBar({ ahead: 400, height: 380 });
    const crossed = { ...through, rig: { ...through.rig, driveshaft: shaft } };
    expect(found(crossed, 'bar').find((v) => v.id === 'barShaft')).toMatchObject({ state: 'stop' });
    // The remedy that is offered is one.
    const [remedy] = found(crossed, 'bar').find((v) => v.id === 'barShaft')!.remedies;
    const mended = withRoll(crossed, remedy!.roll!);
    expect(troubles(mended, 'bar')).not.toContain('barShaft');

    const ball: Obstacle = { id: 'tank', on: 'chassis', shape: 'sphere', centre: [300, 0, 0], radius: 40 };
    const gapTo = (z: number, dips: BarDesign['dips'] = []) => {
      const job = withBar({ dips });
      const obstacles = [{ ...ball, centre: [300, 0, z] as Point }];
      const { gaps } = asked({ ...job, rig: { ...job.rig, obstacles } }, 'bar').bar!;
      return gaps.find((g) => g.part === 'bar' && g.body === 'tank')!.distance;
    };
    const { height, od } = usualBar(car().rig);
    // Straight: half the bar and the ball between their middles. Dipped under a ball beside it, the dip is what is near.
    expect(gapTo(height + 100)).toBeCloseTo(100 - od / 2 - 40, 6);
    expect(gapTo(height, [{ at: 0, depth: 150, width: 300 }])).toBeCloseTo(150 - od / 2 - 40, -1);
  });

  test('frame rails stand where they were measured, and the bar hits them; a tube that is let into them does not', () => {
    const job = car();
    const rails = railsInTheWay(job);
    const [left, right] = rails as Extract<Obstacle, { shape: 'box' }>[];
    expect([left!.id, right!.id]).toEqual(['left frame rail', 'right frame rail']);
    const { rig, readings } = job;
    const wall = rig.track / 2 - measured(readings, 'tireWidth').value / 2;
    expect(wall - left!.max[1]).toBeCloseTo(measured(readings, 'gapFrame', 'left').value, 9);
    expect(wall + right!.min[1]).toBeCloseTo(measured(readings, 'gapFrame', 'right').value, 9);
    expect(left!.min[2]).toBe(measured(readings, 'rideHeight', 'left').value);

    const railed = (bar: BarDesign): Job => withRoll({ ...job, rig: { ...rig, obstacles: rails } }, { bar });
    const named = (bar: BarDesign) => troubles(railed(bar), 'bar').filter((id) => id.includes('frame rail'));
    const height = left!.min[2] + railsOf(job)[0]!.height / 2;
    const middle = 2 * left!.max[1] + 80;
    // Bent and held inboard of the rails it runs into them; a tube welded into both is where it belongs.
    expect(named({ ...usualBar(rig), height, middle, eyes: middle, bushings: 300 })).toEqual(
      expect.arrayContaining(['barRoom bar left frame rail', 'barRoom bar right frame rail']),
    );
    const tube = {
      ...usualStripBar(rig),
      ...{ height, middle, eyes: middle, bushings: 2 * left!.max[1] - railsOf(job)[0]!.width },
    };
    expect(named(tube)).toEqual([]);
  });

  test('a tyre is kept clear of by the bar and the links, seen from the axle', () => {
    const out = withBar({ eyes: 1300, middle: 900, bushings: 700 });
    expect(troubles(out, 'bar').some((id) => id.includes('tyre'))).toBe(true);
    expect(troubles(car(), 'bar').some((id) => id.includes('tyre'))).toBe(false);
  });

  test('what cannot be fitted is said: bushings on a bend or a dip, no arm left, worked too hard, soft steel', () => {
    const ids = (bar: Partial<BarDesign>) => troubles(withBar(bar), 'bar');
    expect(ids({ bushings: 1000 })).toContain('barBushings');
    expect(ids({ dips: [{ at: 330, depth: 60, width: 100 }] })).toContain('barBushings');
    expect(ids({ arm: 120, hole: 3 })).toContain('barArm');
    expect(ids({ bushings: 150 })).toContain('barOverhang');
    expect(ids({ height: 90 })).toContain('barLow');
    expect(ids({ od: 34, arm: 120 })).toContain('barStress');
    for (const steel of STEEL_NAMES) {
      const full = asked(car(), 'bar').bar!.maxStress * asked(car(), 'bar').mostRoll;
      expect(ids({ steel }).includes('barStress')).toBe(full > STEELS[steel].tires);
    }
  });

  test('a bar is told how far it is worked in the corner, as a wheel lifts and at the farthest, each more than the one before', () => {
    const input = rollInput(car(), AT_RIDE);
    const result = asked(car(), 'bar');
    const { reason } = rollVerdicts(input, 'bar', result, 'mm').find(({ id }) => id === 'barStress')!;
    expect(reason).toMatch(/leaning \d+\.\d° in the corner at [\d.]+ g/);
    const worked = [...reason.matchAll(/([\d,]+) N\/mm²/g)].map(([, mpa]) => Number(mpa!.replace(',', '')));
    expect(Math.abs(worked[0]! - result.bar!.maxStress * result.corner!.rollDeg)).toBeLessThan(5);
    expect(Math.abs(worked.at(-2)! - result.bar!.maxStress * result.mostRoll)).toBeLessThan(5);
    const without = { ...result, corner: null };
    const bare = rollVerdicts(input, 'bar', without, 'mm').find(({ id }) => id === 'barStress')!;
    expect(bare.reason).not.toContain('corner');
  });

  test('links: over centre, out of reach, cocked, one way only', () => {
    const ids = (bar: Partial<BarDesign>) => troubles(withBar(bar), 'bar');
    expect(ids({})).not.toContain('linkSquare');
    expect(ids({ arm: 90 })).toContain('linkSquare');
    expect(ids({ link: 60, arm: 70 })).toContain('linkLost');
    const clevis = (bar: 'across' | 'along', foot: 'across' | 'along') => ({
      ends: {
        bar: { joint: 'clevis', bolt: bar },
        foot: { joint: 'clevis', bolt: foot },
      } as BarDesign['ends'],
    });
    expect(ids(clevis('across', 'across'))).toContain('linkOneWay');
    expect(ids(clevis('across', 'along'))).not.toContain('linkOneWay');
    // A pin along the car at the bar is turned by the arm: the link is forced out of its fork.
    expect(ids(clevis('along', 'across'))).toContain('linkCocked bar');
    expect(ids({ foot: { out: 90, ahead: 0 } })).toContain('linkCocked bar');
    expect(ids({ foot: { out: 135, ahead: 0 } })).toContain('linkLeans');
  });

  test('the links keep their length and the arms theirs, wherever the axle is', () => {
    const travel = fc.integer({ min: -50, max: 50 });
    fc.assert(
      fc.property(
        travel,
        travel,
        fc.constantFrom('chassis' as const, 'axle' as const),
        (left, right, mountedOn) => {
          const { rows, links, now } = asked(withBar({ mountedOn }), 'bar', { left, right }).bar!;
          expect(links!.lost).toEqual([]);
          expect(now!.force).toBeGreaterThanOrEqual(0);
          // Level there is nothing; to either side it grows.
          const level = rows.findIndex((row) => Math.abs(row.rollDeg) < 1e-9);
          expect(rows[level]!.force).toBeCloseTo(0, 6);
          for (let i = level + 1; i < rows.length; i++)
            expect(rows[i]!.force).toBeGreaterThan(rows[i - 1]!.force);
        },
      ),
      { numRuns: 20 },
    );
  });

  test('arms clocked apart: how much, what it pulls with, which link or tooth mends it', () => {
    const clocked = (left: number, right: number, more: Partial<BarDesign> = {}) =>
      found(withBar({ measured: { left, right }, ...more }), 'bar').find((v) => v.id === 'barClocked')!;
    expect(clocked(300, 301).state).toBe('ok');
    expect(clocked(312, 300)).toMatchObject({ state: 'stop', title: expect.stringContaining('left arm') });
    expect(clocked(300, 312).title).toContain('right arm');
    const { rate } = asked(car(), 'bar').bar!;
    expect(clocked(312, 300).reason).toContain(FORCE.say(12 * rate, 'in16'));
    const toothed = { made: 'arms' as const, arms: { height: 40, thickness: 10, turned: 0, teeth: 36 } };
    expect(clocked(330, 300, toothed).remedies[0]!.text).toContain('1 tooth');
  });

  test('off by its pins it does nothing; stowed it must reach and clear', () => {
    const stow = { out: 450, ahead: 190, height: 480 };
    const off = withBar({ stow, hooked: false });
    expect(troubles(off, 'bar')).toContain('barOff');
    const bare = asked(car({ bar: null }), 'balance').corner!;
    expect(asked(off, 'balance').corner!.rollDeg).toBeCloseTo(bare.rollDeg, 12);
    // Told beforehand, while it is on.
    expect(asked(withBar({ stow }), 'bar').without!.rollDeg).toBeCloseTo(bare.rollDeg, 12);
    expect(troubles(off, 'bar')).not.toContain('stowReach');
    expect(troubles(withBar({ stow: { ...stow, height: 1200 } }), 'bar')).toContain('stowReach');
    const low = withBar({ stow: { out: 450, ahead: 100, height: 250 } });
    expect(troubles(low, 'bar')).toContain('stowRoom');
  });

  test('flat arms: stiffest on edge, softer the flatter they are turned; soft bushings soften it', () => {
    const blade = usualBladeBar(car().rig);
    const rate = (change: Partial<BarDesign>) =>
      asked(car({ bar: { ...blade, ...change } }), 'bar').bar!.rate;
    const turns = [0, 20, 45, 70, 90].map((turned) => rate({ arms: { ...blade.arms, turned } }));
    for (let i = 1; i < turns.length; i++) expect(turns[i]!).toBeLessThan(turns[i - 1]!);
    expect(rate({ bushingRate: 1200 })).toBeLessThan(rate({ bushingRate: 4000 }));
    expect(rate({ bushingRate: 1e9 })).toBeCloseTo(rate({ bushingRate: null }), 3);
  });

  test('the bend sheet, walked from the left eye, ends at the right one; a square bar is two right angles', () => {
    const square = bendSheet({ ...usualBar(car().rig), eyes: 800, middle: 800, arm: 200, bendRadius: 50 });
    expect(square.bends.map((b) => [b.leg, b.angle])).toEqual([
      [200, expect.closeTo(90, 9)],
      [800, expect.closeTo(90, 9)],
    ]);
    // A quarter turn saves 2R − Rπ/2 of each corner.
    expect(square.blank).toBeCloseTo(1200 - 2 * (100 - 25 * Math.PI), 9);
    const shapes = fc.record({
      rise: fc.integer({ min: -150, max: 150 }),
      eyes: fc.integer({ min: 700, max: 1000 }),
      dips: fc.tuple(
        fc.record({ at: fc.constant(120), depth: fc.integer({ min: 20, max: 80 }), width: fc.constant(60) }),
        fc.record({
          at: fc.constant(-150),
          depth: fc.integer({ min: -80, max: -20 }),
          width: fc.constant(60),
        }),
      ),
    });
    fc.assert(
      fc.property(shapes, (shape) => {
        const bar: BarDesign = { ...usualBar(car().rig), middle: 840, ...shape };
        const { bends, last } = bendSheet(bar);
        const line = swayBarOf(bar).centreline as Point[];
        const walked = walk(bends, last);
        const across = (points: Point[]) => distance(points[0]!, points.at(-1)!);
        expect(across(walked)).toBeCloseTo(across(line), 6);
        expect(distance(walked[1]!, walked.at(-2)!)).toBeCloseTo(distance(line[1]!, line.at(-2)!), 6);
        expect(distance(walked[0]!, walked[4]!)).toBeCloseTo(distance(line[0]!, line[4]!), 6);
      }),
    );
  });

  test('any bar that can be typed is answered or refused in words', () => {
    const mm = (min: number, max: number) => fc.integer({ min, max });
    const end = fc.record({
      joint: fc.constantFrom(...LINK_JOINT_NAMES),
      bolt: fc.constantFrom('across' as const, 'along' as const),
    });
    const change: fc.Arbitrary<Partial<BarDesign>> = fc.record({
      mountedOn: fc.constantFrom('chassis' as const, 'axle' as const),
      made: fc.constantFrom('one-piece' as const, 'arms' as const),
      steel: fc.constantFrom(...STEEL_NAMES),
      eyes: mm(200, 1600),
      middle: mm(150, 1600),
      arm: mm(60, 500),
      rise: mm(-200, 200),
      hole: mm(0, 6),
      pitch: mm(5, 60),
      pointing: fc.constantFrom('ahead' as const, 'back' as const),
      ahead: mm(-600, 600),
      height: mm(100, 700),
      bushings: mm(100, 1600),
      bushingRate: fc.option(mm(50, 100_000)),
      link: mm(30, 300),
      foot: fc.record({ out: mm(-200, 200), ahead: mm(-200, 200) }),
      ends: fc.record({ bar: end, foot: end }),
      dips: fc.array(fc.record({ at: mm(-400, 400), depth: mm(-200, 200), width: mm(40, 500) }), {
        maxLength: 3,
      }),
      stow: fc.option(fc.record({ out: mm(0, 900), ahead: mm(-600, 600), height: mm(50, 900) })),
      hooked: fc.boolean(),
    });
    fc.assert(
      fc.property(change, fc.constantFrom(...STOCK), fc.constantFrom(...ROLL_PARTS), (bar, stock, part) => {
        const job = withBar({ ...bar, ...stock });
        try {
          for (const v of found(job, part))
            expect(`${v.title}${v.reason}`).not.toMatch(/NaN|Infinity|undefined/);
          const made = asked(job, 'bar').bar!;
          for (const v of [made.rate, made.rollRate, made.maxStress, made.torsionShare])
            expect(Number.isFinite(v)).toBe(true);
          expect(made.rate).toBeGreaterThan(0);
        } catch (error) {
          expect(error).toBeInstanceOf(InputError);
        }
      }),
      { numRuns: 150 },
    );
  });

  test('the search gives bars of stock size that do what is wanted, last and clear; and says what it left out', () => {
    const dips = [{ at: 0, depth: 200, width: 240 }];
    const wanted = {
      rollRate: asked(withBar({ od: 19.05, arm: 240, dips }), 'bar').bar!.rollRate,
      least: 150,
      most: 350,
    };
    const job = withBar({ dips });
    const { candidates, ...left } = findBars(
      { ...input(job), bar: job.roll.bar! },
      wanted,
      motionOf(job.rig),
    );
    expect(candidates.length).toBeGreaterThan(1);
    expect(candidates.length + left.outOfReach + left.overworked + left.inTheWay).toBe(STOCK.length);
    for (const { design, rollRate, mass } of candidates) {
      expect(rollRate / wanted.rollRate).toBeCloseTo(1, 4);
      expect(design.arm).toBeGreaterThanOrEqual(wanted.least);
      expect(design.arm).toBeLessThanOrEqual(wanted.most);
      expect(mass).toBeGreaterThan(1);
      // Taken, it is what was promised.
      const taken = withRoll(job, { bar: design });
      expect(asked(taken, 'bar').bar!.rollRate).toBeCloseTo(rollRate, 3);
      expect(troubles(taken, 'bar').filter((id) => /barRoom|barShaft|barStress/.test(id))).toEqual([]);
    }
    const impossible = { ...wanted, rollRate: 1e9 };
    expect(findBars({ ...input(job), bar: job.roll.bar! }, impossible, motionOf(job.rig)).outOfReach).toBe(
      STOCK.length,
    );
  });
});

describe('the springs', () => {
  test.each(SPRING_KINDS)(
    '%s: the load over the travel has the rate as its slope, and is the car’s at ride height',
    (kind) => {
      const { ride } = asked(car({ springs: usualSprings(car().rig, kind), stop: STOP }), 'springs');
      const { rows, standing, wheelRate, frequency } = ride!;
      for (let i = 1; i + 1 < rows.length; i++) {
        const slope = (rows[i + 1]!.load - rows[i - 1]!.load) / (rows[i + 1]!.lift - rows[i - 1]!.lift);
        // Where the stop is first touched the slope has a corner.
        if (Math.abs(rows[i]!.lift - STOP.gap) > 8) expect(slope / rows[i]!.rate).toBeCloseTo(1, 0);
      }
      const between = rows.findIndex((row) => row.lift >= 0);
      const [a, b] = [rows[between - 1]!, rows[between]!];
      expect(a.load + ((b.load - a.load) * -a.lift) / (b.lift - a.lift)).toBeCloseTo(standing, -1);
      expect(frequency).toBeCloseTo(Math.sqrt((wheelRate * 1000 * 9.80665) / standing) / (2 * Math.PI), 9);
    },
  );

  test('a coil of the free length that is wanted stands right; a longer one high by its own share', () => {
    const coil = usualSprings(car().rig, 'coil') as Coil;
    const wanted = asked(car(), 'springs').ride!.wanted.free!;
    const high = (free: number) => asked(car({ springs: { ...coil, free } }), 'springs').ride!.standsHigh!;
    expect(high(wanted)).toBeCloseTo(0, 6);
    expect(high(wanted + 10)).toBeCloseTo(10, -1);
    expect(troubles(car({ springs: { ...coil, free: wanted + 30 } }), 'springs')).toContain('stands');
  });

  test('the spring that is found bounces as often as was wanted, and stands at ride height', () => {
    const coil = usualSprings(car().rig, 'coil') as Coil;
    for (const hertz of [1, 1.5, 2.2]) {
      const springs = { ...coil, ...springFor(coil, asked(car(), 'springs').ride!, hertz) };
      const { frequency, standsHigh } = asked(car({ springs }), 'springs').ride!;
      expect(frequency).toBeCloseTo(hertz, 6);
      expect(standsHigh).toBeCloseTo(0, 6);
    }
  });

  test('what bottoms, binds, hangs or comes loose is said', () => {
    const coil = usualSprings(car().rig, 'coil') as Coil;
    const ids = (roll: Partial<Job['roll']>) => troubles(car({ springs: coil, ...roll }), 'springs');
    expect(ids({ springs: { ...coil, solid: 330 } })).toContain('coilBind');
    expect(ids({ springs: { ...coil, rate: 60 } })).toContain('springLoose');
    expect(ids({ shock: { closed: 340, open: 480, apart: null, od: 56 } })).toContain('shockBottoms');
    expect(ids({ shock: { closed: 200, open: 380, apart: null, od: 56 } })).toContain('shockTops');
    expect(ids({ shock: { closed: 250, open: 600, apart: null, od: 56 } })).not.toContain('shockTops');
    expect(ids({ stop: { ...STOP, gap: 200 } })).toContain('stopNever');
    expect(ids({ springs: { ...coil, rate: 4 } })).toEqual(expect.arrayContaining(['hardBump', 'frequency']));
    expect(ids({ shock: usualShock })).not.toContain('frequency');
    const air = usualSprings(car().rig, 'air');
    expect(ids({ springs: { ...air, area: 2000 } as typeof air })).toContain('airPressure');
  });

  test('a stop that the lean reaches makes its end harder, from there on; one out of reach changes nothing', () => {
    const cornering = (stop: Job['roll']['stop'], cornerG = 1) =>
      asked({ ...car({ stop }), cornerG }, 'springs');
    const [free, far] = [cornering(null), cornering({ ...STOP, gap: 140 })];
    expect(far.corner).toEqual(free.corner);
    expect(far.offStops).toBeNull();
    const on = cornering({ ...STOP, gap: 10 });
    expect(on.corner!.rollDeg).toBeLessThan(free.corner!.rollDeg);
    expect(on.corner!.frontShare).toBeLessThan(free.corner!.frontShare);
    expect(on.offStops!.frontShare).toBeCloseTo(free.corner!.frontShare, 9);
    const { touches } = on.offStops!;
    expect(cornering({ ...STOP, gap: 10 }, touches - 1e-6).corner!.stop).toBe(0);
    expect(cornering({ ...STOP, gap: 10 }, touches + 1e-6).corner!.stop).toBeGreaterThan(0);
    // A stop right at the axle is one more spring from the start.
    expect(cornering({ ...STOP, gap: 0 }).offStops!.touches).toBeLessThan(1e-6);
    const said = found(car({ stop: { ...STOP, gap: 10, rate: 400 } }), 'springs').find(
      (v) => v.id === 'cornerTravel',
    )!;
    expect(said.state).toBe('look');
    expect(said.reason).toContain('the tail steps out');
  });

  test('any springs that can be typed are answered in words', () => {
    const mm = (min: number, max: number) => fc.integer({ min, max });
    const stand = fc.record({ out: mm(50, 1000), ahead: mm(-1000, 1000), height: mm(30, 1600) });
    const stands = { frame: stand, axle: stand };
    const springs = fc.oneof(
      fc.record({
        kind: fc.constant('coil' as const),
        ...stands,
        od: mm(20, 300),
        rate: mm(1, 3000),
        free: fc.option(mm(30, 1500)),
        solid: fc.option(mm(20, 1000)),
      }),
      fc.record({
        kind: fc.constant('leaf' as const),
        ...{ out: mm(100, 900), front: mm(150, 1200), rear: mm(150, 1200), width: mm(20, 150) },
        ...{ thickness: mm(2, 30), count: mm(1, 20), full: mm(0, 20), measured: fc.option(mm(1, 3000)) },
      }),
      fc.record({
        kind: fc.constant('air' as const),
        ...stands,
        od: mm(20, 400),
        pressure: mm(1, 200).map((n) => n / 100),
        area: mm(600, 200_000),
        growth: mm(-500, 1000),
        volume: mm(80_000, 5e7),
      }),
    );
    const shock = fc.option(
      fc.record({
        closed: mm(50, 1500),
        open: mm(50, 1500),
        od: mm(10, 200),
        apart: fc.option(fc.record(stands)),
      }),
    );
    const stop = fc.option(
      fc.record({ out: mm(50, 1500), gap: mm(0, 400), rate: mm(1, 3000), height: mm(5, 300) }),
    );
    fc.assert(
      fc.property(springs, shock, stop, fc.constantFrom(...ROLL_PARTS), (made, shocks, stops, part) => {
        const job = car({ springs: made, shock: shocks, stop: stops });
        for (const v of found(job, part))
          expect(`${v.title}${v.reason}`).not.toMatch(/NaN|Infinity|undefined/);
        expect(readJob(writeJob(job)).roll).toEqual(job.roll);
      }),
      { numRuns: 300 },
    );
  });

  test('air let up and down by its valve: another height, the same load, softer higher up', () => {
    const { heights, standing, ratio } = asked(
      car({ springs: usualSprings(car().rig, 'air') }),
      'springs',
    ).ride!;
    expect(heights.length).toBe(5);
    // At ride height by the leverage there; elsewhere by its own, which is another.
    expect(heights[2]!.force).toBeCloseTo(standing / ratio, 6);
    expect(new Set(heights.map((h) => h.force.toFixed(1))).size).toBe(5);
    for (let i = 1; i < heights.length; i++) expect(heights[i]!.rate).toBeGreaterThan(heights[i - 1]!.rate);
  });
});

describe('the balance', () => {
  test('each lever does what a builder knows it does, and the rails keep what they promise', () => {
    const { tuning, corner, without } = asked(car(), 'balance');
    const lever = (id: string) => tuning!.levers.find((l) => l.id === id)!;
    expect(tuning!.levers.map((l) => l.id)).toEqual([...LEVERS]);
    // Stiffer behind: looser and less lean; stiffer in front: tighter and less lean.
    for (const id of ['panhard', 'springs', 'bar', 'hole'])
      expect([id, lever(id).share < 0, lever(id).roll < 0]).toEqual([id, true, true]);
    expect([lever('other').share > 0, lever('other').roll < 0]).toEqual([true, true]);
    expect(without!.frontShare).toBeGreaterThan(corner!.frontShare);
    expect(without!.rollDeg).toBeGreaterThan(corner!.rollDeg);
    for (const { id, step, share, forOne } of tuning!.levers) {
      const made = analyseRoll(changed(input(car()), id, step)!, 'balance');
      expect(made.corner!.frontShare - corner!.frontShare).toBeCloseTo(share, 12);
      const thought = analyseRoll(input(car()), 'balance', { [id]: step }).tuning!.whatIf!;
      expect(thought.frontShare).toBeCloseTo(made.corner!.frontShare, 12);
      // One per cent through any of them is about one per cent.
      // (Links hang in whole holes.)
      if (forOne === null || Math.abs(forOne) > 2 * Math.abs(step) || id === 'hole') continue;
      const one = analyseRoll(changed(input(car()), id, forOne)!, 'balance').corner!;
      expect(one.frontShare - corner!.frontShare).toBeCloseTo(-0.01, 2);
    }
  });

  test('after the laps: every cure that is offered goes the right way by about what was asked, the easiest first', () => {
    const { tuning, corner } = asked(car(), 'balance');
    const { levers } = tuning!;
    expect(curesFor(levers, 0.02).map((c) => c.id)).toEqual(['hole', 'panhard', 'bar', 'springs', 'other']);
    for (const looser of [0.01, 0.02, -0.02])
      for (const { id, by } of curesFor(levers, looser)) {
        const then = analyseRoll(changed(input(car()), id, by)!, 'balance').corner!;
        const made = corner!.frontShare - then.frontShare;
        // Whole holes and large steps are coarse.
        expect(made / looser).toBeGreaterThan(0.4);
        expect(made / looser).toBeLessThan(2.5);
      }
    expect(curesFor(levers, 5)).toEqual([]);
    // In the last hole there is no way out.
    expect(curesFor(levers, -0.02).map((c) => c.id)).not.toContain('hole');
  });

  test('whatever the rails are pushed to is a car that can be made and kept', () => {
    const far = { panhard: 100, springs: 0.5, bar: 12, hole: 3, other: 0.5, grip: 0.6 };
    const whats = fc.record(
      Object.fromEntries(
        Object.entries(far).map(([id, most]) => [id, fc.double({ min: -most, max: most, noNaN: true })]),
      ) as Record<LeverId, fc.Arbitrary<number>>,
      { requiredKeys: [] },
    );
    fc.assert(
      fc.property(
        whats,
        fc.constantFrom(...SPRING_KINDS),
        fc.integer({ min: 0, max: 3 }),
        (what, kind, hole) => {
          const job = car({
            springs: usualSprings(car().rig, kind),
            bar: { ...usualBar(car().rig), hole, od: 14 },
          });
          const { rig, springs, bar, cornerG } = changedBy(input(job), what);
          const made = { ...job, cornerG, rig, roll: { ...job.roll, springs, bar } };
          expect(readJob(writeJob(made)).roll).toEqual(made.roll);
          const { whatIf } = analyseRoll(input(job), 'balance', what).tuning!;
          if (whatIf) expect(whatIf.frontShare).toBeCloseTo(asked(made, 'balance').corner!.frontShare, 12);
          if (what.springs && springs && kind !== 'coil')
            expect(rateOf(springs) / rateOf(job.roll.springs!)).toBeCloseTo(1 + what.springs, 6);
        },
      ),
      { numRuns: 60 },
    );
    // At the innermost hole there is only the way out.
    const innermost = asked(withBar({ hole: 3, arm: 230 }), 'balance').tuning!.levers.find(
      (l) => l.id === 'hole',
    )!;
    expect([innermost.step, innermost.share > 0]).toEqual([-1, true]);
  });

  test('up to the lift of an inside wheel all grows alike; past it that end takes no more and the share moves', () => {
    const at = (g: number) => asked({ ...car(), cornerG: g }, 'balance');
    const { wheelLiftG: lifts } = at(0.5);
    const first = lifts!.front < lifts!.rear ? 'front' : 'rear';
    expect(at(0.3).corner!.rollDeg / at(0.6).corner!.rollDeg).toBeCloseTo(0.5, 9);
    const past = at(lifts![first] * 1.1).corner;
    expect(past?.lifted ?? first).toBe(first);
    if (past) expect(past.wheels[first].inside).toBeCloseTo(0, 6);
    expect(troubles({ ...car(), cornerG: lifts![first] * 1.05 }, 'balance')).toContain('inside');
    expect(troubles({ ...car(), cornerG: 3 }, 'balance')).toContain('goesOver');
  });

  test('the indicator is tight with a soft rear, loose with a stiff one, and says nothing without the weights', () => {
    const title = (rate: number) => {
      const job = car({ springs: { ...usualSprings(car().rig, 'coil'), rate } as Coil, bar: null });
      return found(job, 'balance').find((v) => v.id === 'balance')!.title;
    };
    expect(title(8)).toContain('tight');
    expect(title(120)).toContain('loose');
    const limp = car({ springs: { ...usualSprings(car().rig, 'coil'), rate: 1 } as Coil, bar: null });
    limp.rig.otherEnd!.rollRate = 1000;
    expect(troubles(limp, 'balance')).toEqual(['cannotHold']);
    const unweighed = { ...car(), rig: { ...car().rig, masses: undefined } };
    expect(found(unweighed, 'balance')).toEqual([]);
  });

  test('a rear bar that spoils the balance is called wrong, and the remedy takes it off', () => {
    const loose = withBar({ od: 28.6 });
    const wrong = found(loose, 'bar').find((v) => v.id === 'barWrong')!;
    expect(wrong).toMatchObject({ state: 'stop' });
    const mended = withRoll(loose, wrong.remedies[0]!.roll!);
    expect(mended.roll.bar).toBeNull();
    expect(found(mended, 'balance').find((v) => v.id === 'balance')!.title).toBe('Neither tight nor loose.');
    expect(troubles(withBar({ od: 12 }), 'bar')).not.toContain('barWrong');
  });

  test('whether a bar is wanted at all, how stiff, and that such a bar makes the car even', () => {
    const title = (rate: number) => {
      const job = car({ springs: { ...usualSprings(car().rig, 'coil'), rate } as Coil, bar: null });
      return found(job, 'bar').find((v) => v.id === 'barNeeded')!.title;
    };
    expect(title(8)).toMatch(/A bar behind of about \d+ lb·ft\/° would make it even/);
    expect(title(200)).toBe('A bar behind would make it worse.');
    const bare = car({ springs: { ...usualSprings(car().rig, 'coil'), rate: 8 } as Coil });
    const { neutralRollRate: even, bar } = asked(bare, 'bar');
    const { candidates } = findBars(
      { ...input(bare), bar: { ...bare.roll.bar!, dips: [{ at: 0, depth: 200, width: 240 }] } },
      { rollRate: bar!.rollRate + even!, least: 100, most: 500 },
      motionOf(bare.rig),
    );
    for (const { design } of candidates) {
      const fitted = withRoll(bare, { bar: design });
      expect(asked(fitted, 'bar').neutralRollRate! / bar!.rollRate).toBeCloseTo(0, 3);
      expect(found(fitted, 'balance').find((v) => v.id === 'balance')!.title).toBe(
        'Neither tight nor loose.',
      );
    }
    expect(candidates.length).toBeGreaterThan(0);
  });

  test('where no stiffness at this end evens it out, no size is named and none is called worse', () => {
    const tight = car({ springs: { ...usualSprings(car().rig, 'coil'), rate: 8 } as Coil, bar: null });
    const said = (part: RollPart, neutralRollRate: number | null) =>
      rollVerdicts(input(tight), part, { ...asked(tight, part), neutralRollRate }, 'mm').find((v) =>
        ['barNeeded', 'balance'].includes(v.id),
      )!;
    expect(said('bar', Infinity)).toMatchObject({
      state: 'look',
      title: 'No bar behind is stiff enough to make it even.',
    });
    for (const part of ['bar', 'balance'] as const)
      expect(said(part, Infinity).remedies[0]!.text).toContain('be it ever so hard: less stiffness in front');
    expect(said('bar', null).title).toBe('What a bar behind would do is not known.');
    expect(said('balance', 1000).remedies[0]!.text).toContain('More roll stiffness behind');
  });

  test('links that bind hold the car against roll by themselves, and that is said', () => {
    const bound = withLayout(car(), 'ladder-bars-panhard');
    const job = { ...bound, rig: { ...bound.rig, masses: MASSES, otherEnd: car().rig.otherEnd } };
    expect(troubles(job, 'balance')).toContain('bindRoll');
    expect(troubles(car(), 'balance')).not.toContain('bindRoll');
  });

  test('the schools: soft springs lean no more; no bar is tighter; the strip’s evens the launch', () => {
    const { schools } = asked(car(), 'balance').tuning!;
    const of = (id: string) => schools.find((s) => s.id === id)!.numbers!;
    expect(of('soft').rollDeg).toBeCloseTo(of('now').rollDeg, 3);
    expect(of('soft').oneWheel).toBeLessThan(of('now').oneWheel);
    expect(of('none').frontShare).toBeGreaterThan(of('now').frontShare);
    expect(of('strip').launch!).toBeLessThan(0.5 * of('none').launch!);
    // Where the front is what is built, behind alone is no choice.
    const front = withLayout(car(), 'front-four-link');
    const frontCar = { ...front, rig: { ...front.rig, masses: MASSES, otherEnd: car().rig.otherEnd } };
    expect(asked(frontCar, 'balance').tuning!.schools.map((s) => s.id)).toEqual(['now', 'soft', 'none']);
    // The other end's bar comes off with it.
    const barred = asked(car({ otherBar: 300_000 }), 'balance').tuning!.schools.find(
      (s) => s.id === 'strip',
    )!;
    expect(barred.change!.otherRate).toBe(700_000);
  });

  test('on the strip the launch is judged, and preload told', () => {
    const strip = { ...car(), use: 'drag' as const };
    const launch = found(strip, 'balance').find((v) => v.id === 'launch')!;
    expect(launch.state).toBe('look');
    expect(launch.remedies.some((r) => r.text.includes('preload'))).toBe(true);
    const stiff = withRoll(strip, { bar: { ...usualStripBar(strip.rig), wall: null } });
    expect(asked(stiff, 'balance').tuning!.launch!.difference).toBeLessThan(
      asked(strip, 'balance').tuning!.launch!.difference,
    );
  });
});

test.each(LAYOUT_IDS)('%s has springs and a bar that work', (layout) => {
  const job = withLayout(newJob('check', 'Check', 'mm'), layout);
  const roll = { ...job.roll, springs: usualSprings(job.rig, 'coil'), bar: usualBar(job.rig) };
  const { bar, springs, balance } = asked({ ...job, roll }, 'bar');
  expect(bar!.rollRate).toBeGreaterThan(1e5);
  expect(springs.every((s) => s.rollRate > 1e5)).toBe(true);
  expect(balance).toBeNull();
});

test('the design survives the file, and so does one of the version before; the stripe names what changed', () => {
  const job = car({ shock: usualShock, stop: STOP, springs: usualSprings(car().rig, 'air') });
  expect(readJob(writeJob(job)).roll).toEqual(job.roll);
  expect(stationBasis(car(), 'roll')).toMatchObject({ 'sway bar, diameter': 19.05 });
  expect(stationBasis({ ...job, roll: newJob('a', 'A', 'mm').roll }, 'roll')).toEqual({});
  expect(armInUse({ ...usualBar(job.rig), hole: 2 })).toBeCloseTo(200 - 50.8, 9);
  expect(swayBarOf({ ...usualBar(job.rig), mountedOn: 'axle' }).links.left[2]).toBeGreaterThan(
    usualBar(job.rig).height,
  );
  const old = {
    ...JSON.parse(writeJob(job)),
    version: 2,
    roll: {
      springs: { rate: 30, out: 480, top: 660, bottom: 290, ahead: -60 },
      bar: {
        ...{
          mountedOn: 'chassis',
          od: 25.4,
          wall: null,
          eyes: 900,
          middle: 840,
          arm: 230,
          hole: 1,
          pitch: 25,
        },
        ...{
          pointing: 'back',
          ahead: 260,
          height: 390,
          bushings: 700,
          link: 130,
          dip: { depth: 60, width: 200 },
        },
      },
    },
  };
  const { springs, bar } = readJob(JSON.stringify(old)).roll;
  expect(springs).toMatchObject({ kind: 'coil', rate: 30, axle: { out: 480, height: 290, ahead: -60 } });
  expect(bar).toMatchObject({ od: 25.4, hole: 1, dips: [{ at: 0, depth: 60, width: 200 }], hooked: true });
});

test('rates, pressures and volumes read back as they are shown', () => {
  fc.assert(
    fc.property(
      fc.integer({ min: 1, max: 5000 }),
      fc.constantFrom('in16' as const, 'mm' as const),
      (n, tape) => {
        expect(SPRING_RATE.read(SPRING_RATE.shown(n, tape), tape)).toBeCloseTo(n, 8);
        expect(ROLL_RATE.read(ROLL_RATE.shown(n * 1000, tape), tape)).toBeCloseTo(n * 1000, 5);
        expect(PRESSURE.read(PRESSURE.shown(n / 1e4, tape), tape)).toBeCloseTo(n / 1e4, 9);
        expect(VOLUME.read(VOLUME.shown(n * 1000, tape), tape)).toBeCloseTo(n * 1000, 4);
        expect(AREA_GROWTH.read(AREA_GROWTH.shown(n, tape), tape)).toBeCloseTo(n, 8);
      },
    ),
  );
  // A pound to the inch is 0.1751 N/mm; a pound-foot 1355.8 N·mm; 100 psi 0.6895 N/mm².
  expect(SPRING_RATE.read(1, 'in16')).toBeCloseTo(0.17513, 5);
  expect(ROLL_RATE.read(1, 'in16')).toBeCloseTo(1355.82, 1);
  expect(PRESSURE.read(100, 'in16')).toBeCloseTo(0.68948, 5);
});
