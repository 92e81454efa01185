import fc from 'fast-check';
import { assemble } from '@/core/kinematics/mechanism';
import type { SwayBar } from '@/core/rig/schema';
import { airAt, airFilled, type AirBag } from '@/core/springs/airSpring';
import { cornerOf, wheelLiftG } from '@/core/balance/steadyCorner';
import { deflect } from '@/core/beam/beamFrame';
import { launchOf, preloadFor } from '@/core/balance/launch';
import { leafRate, type LeafPack } from '@/core/springs/leafPack';
import { lineAt, turningBar, turnsTo } from '@/core/swaybar/armRotation';
import { rideOf } from '@/core/springs/springTravel';
import { stopForce, stopInLean } from '@/core/springs/bumpStop';
import { plateOf, sectionOf, type Plate } from '@/core/beam/section';
import type { Air, Coil } from '@/core/springs/springDesign';
import { axleToChassis } from '@/core/kinematics/attitude';
import { isReached } from '@/core/kinematics/pose';
import { barTwisted } from '@/core/swaybar/swayBarRate';
import { solveRig } from '@/core/bench/solveRig';
import { distance, type Point } from '@/core/geometry/vector';
import { patternRig } from '../support/layouts';
import { ends, MASSES } from '../support/masses';

const STEEL = { E: 205_000, G: 79_300 };
const G = 9.80665;

const packs: fc.Arbitrary<LeafPack> = fc.record({
  front: fc.integer({ min: 400, max: 800 }),
  rear: fc.integer({ min: 400, max: 800 }),
  width: fc.integer({ min: 45, max: 90 }),
  thickness: fc.integer({ min: 5, max: 12 }),
  count: fc.integer({ min: 1, max: 7 }),
  full: fc.integer({ min: 0, max: 3 }),
});

describe('leaf packs', () => {
  // SAE Spring Design Manual and Shigley's Mechanical Engineering Design, from memory: a pack is the leaves laid side by side,
  // the graded ones a triangle from the seat to the eyes, the full ones a beam of one width. Castigliano's second theorem,
  // integrated by Simpson's rule, knows nothing of the formula.
  test('the rate against the strain energy of the pack laid side by side', () => {
    fc.assert(
      fc.property(packs, (pack) => {
        const { front: a, rear: c, width, thickness, count } = pack;
        const full = Math.min(pack.full, count);
        const I = (leaves: number) => (leaves * width * thickness ** 3) / 12;
        const give = (inertia: (share: number) => number) =>
          [
            [a, c / (a + c)],
            [c, a / (a + c)],
          ].reduce(
            (sum, [length, reaction]) =>
              sum + simpson((s) => (reaction! * s * length!) ** 2 / (STEEL.E * inertia(s)), 400) * length!,
            0,
          );
        // A hair of width at the eyes keeps the triangle's end from being nothing divided by nothing.
        const graded = count - full > 0 ? 1 / give((s) => I(count - full) * Math.max(s, 1e-9)) : 0;
        const whole = full > 0 ? 1 / give(() => I(full)) : 0;
        expect(leafRate(pack) / (graded + whole)).toBeCloseTo(1, 6);
      }),
    );
  });

  test('one full leaf against the frame model of a flat plate on two eyes', () => {
    const pack = { front: 610, rear: 710, width: 63.5, thickness: 7, count: 1, full: 1 };
    const plate: Plate = { height: 7, thickness: 63.5, up: [0, 0, 1], ...STEEL };
    const nodes: Point[] = [
      [610, 0, 0],
      [0, 0, 0],
      [-710, 0, 0],
    ];
    const { move } = deflect(
      nodes,
      plate,
      [
        // Eyes turn about their bolts; the first also keeps the leaf from running off or rolling over.
        { node: 0, axis: [0, 1, 0], alongToo: true },
        { node: 2, axis: [1, 0, 0], alongToo: false },
        { node: 1, axis: [0, 0, 1], alongToo: false, rate: 1e-3 },
      ],
      [{ node: 1, force: [0, 0, 1] }],
    );
    expect(1 / move(1)[2] / leafRate(pack)).toBeCloseTo(1, 4);
  });
});

function simpson(f: (x: number) => number, n: number): number {
  const at = (i: number) => f(i / n);
  let sum = at(0) + at(n);
  for (let i = 1; i < n; i++) sum += (i % 2 ? 4 : 2) * at(i);
  return sum / (3 * n);
}

describe('air springs', () => {
  const bags: fc.Arbitrary<AirBag> = fc.record({
    pressure: fc.integer({ min: 15, max: 80 }).map((n) => n / 100),
    area: fc.integer({ min: 5000, max: 25_000 }),
    growth: fc.integer({ min: -20, max: 120 }),
    volume: fc.integer({ min: 15, max: 60 }).map((n) => n * 1e5),
  });

  // Ideal gas, polytropic with n = 1.38 (makers' handbooks, from memory): p·Vⁿ stays, and the rate is the slope of the force.
  test('the rate is the slope of the force, and p·Vⁿ stays', () => {
    fc.assert(
      fc.property(bags, fc.integer({ min: -40, max: 40 }), (bag, squeezed) => {
        // Pulled out so far that no area is left, there is no bag to speak of.
        fc.pre(bag.area + bag.growth * squeezed > 0.3 * bag.area);
        const at = (s: number) => airAt(bag, s);
        const slope = (at(squeezed + 0.01).force - at(squeezed - 0.01).force) / 0.02;
        expect(at(squeezed).rate / slope).toBeCloseTo(1, 5);
        const volume = (s: number) => bag.volume - bag.area * s - (bag.growth * s ** 2) / 2;
        const kept = (s: number) => (at(s).pressure + 0.101325) * volume(s) ** 1.38;
        expect(kept(squeezed) / kept(0)).toBeCloseTo(1, 9);
        // Filled there to the pressure that it has there, it is the same bag.
        expect(airFilled(bag, squeezed, airAt(bag, squeezed).pressure)).toEqual(airAt(bag, squeezed));
      }),
    );
  });
});

describe('flat arms', () => {
  // Cantilevers of any handbook (Roark's, from memory): a plate turned by an angle gives as a³/3E·(cos²/I_high + sin²/I_flat)
  // where its end is free sideways; the middle twists by F·a²B/2GJ at each eye. Bushings at the corners: nothing else gives.
  test('a straight bar with plate arms, on edge, flat and between', () => {
    const sizes = fc.record({
      od: fc.integer({ min: 20, max: 45 }),
      height: fc.integer({ min: 20, max: 60 }),
      thickness: fc.integer({ min: 5, max: 15 }),
      arm: fc.integer({ min: 150, max: 350 }),
      width: fc.integer({ min: 500, max: 1000 }),
      turned: fc.integer({ min: 0, max: 90 }),
    });
    fc.assert(
      fc.property(sizes, ({ od, height, thickness, arm: a, width: B, turned }) => {
        const lean = (turned * Math.PI) / 180;
        const bar: SwayBar = {
          id: 'bar',
          mountedOn: 'chassis',
          od,
          wall: null,
          centreline: [
            [-a, B / 2, 300],
            [0, B / 2, 300],
            [0, -B / 2, 300],
            [-a, -B / 2, 300],
          ],
          bushings: [
            [0, B / 2, 300],
            [0, -B / 2, 300],
          ],
          links: { left: [-a, B / 2, 150], right: [-a, -B / 2, 150] },
          ...STEEL,
        };
        const { high, flat } = plateOf({ height, thickness });
        const { J } = sectionOf({ od, wall: null });
        const arms = (a ** 3 / (3 * STEEL.E)) * (Math.cos(lean) ** 2 / high + Math.sin(lean) ** 2 / flat);
        const middle = (a ** 2 * B) / (2 * STEEL.G * J);
        const { rate } = barTwisted(
          { ...bar, arms: { height, thickness, turnedDeg: (lean * 180) / Math.PI } },
          '',
        );
        expect(Math.abs(1 / rate / (2 * (arms + middle)) - 1)).toBeLessThan(1e-6);
      }),
    );
  });
});

describe('wheel rate and frequency', () => {
  const rig = {
    ...patternRig('three-link-panhard'),
    masses: MASSES,
  };
  const coil = (lean: number): Coil => ({
    kind: 'coil',
    rate: 30,
    od: 124,
    frame: { out: 450 - 300 * Math.tan(lean), ahead: 0, height: rig.tireRadius + 300 },
    axle: { out: 450, ahead: 0, height: rig.tireRadius },
    free: null,
    solid: null,
  });

  // Milliken and Milliken ch. 16, from memory: wheel rate = rate × motion ratio²; a spring that leans by an angle moves by
  // its cosine.
  test('a leaning spring by the square of the cosine', () => {
    for (const degrees of [0, 10, 20, 30]) {
      const lean = (degrees * Math.PI) / 180;
      const { frame, axle, rate } = coil(lean);
      const point = (s: typeof frame, side: number): Point => [s.ahead, side * s.out, s.height];
      const springs = [1, -1].map((side) => ({
        id: String(side),
        rate,
        chassis: point(frame, side),
        axle: point(axle, side),
      }));
      const [answer] = solveRig({ ...rig, springs }).springs!;
      // The three links pitch the axle a little as it rises.
      expect(answer!.motionRatio / Math.cos(lean)).toBeCloseTo(1, 2);
      expect(answer!.wheelRate / (rate * answer!.motionRatio ** 2)).toBeCloseTo(1, 9);
    }
  });

  // Of any handbook (Machinery's, from memory): bounces a minute = 187.8/√(static deflection in inches).
  test('the frequency of an upright spring from its static deflection', () => {
    const found = rideOf(
      { rig, springs: coil(0), shock: null, stop: null, bump: 60, droop: 60 },
      assemble(rig),
    )!;
    const deflection = found.standing / found.wheelRate / 25.4;
    expect(Math.abs((found.frequency * 60) / (187.8 / Math.sqrt(deflection)) - 1)).toBeLessThan(0.002);
    expect(found.standing * 2).toBeCloseTo((1500 * 0.46 - 150) * G, 6);
  });

  // By work alone: what the air stores as it is squeezed, ∫p dV of p·Vⁿ less the atmosphere's part, is a potential of the lift;
  // its slope carries the car and its second slope is the rate at the tyre. It knows neither leverage nor the rate of a bag.
  test('an air spring let to other heights bounces by the work that it stores', () => {
    const n = 1.38;
    const outside = 0.101325;
    const air: Air = {
      kind: 'air',
      frame: { out: 380, ahead: 40, height: rig.tireRadius + 220 },
      axle: { out: 520, ahead: -20, height: rig.tireRadius + 30 },
      od: 150,
      pressure: 0.4,
      area: 12_000,
      growth: 25,
      volume: 2.4e6,
    };
    const mechanism = assemble(rig);
    const found = rideOf({ rig, springs: air, shock: null, stop: null, bump: 70, droop: 70 }, mechanism)!;
    const length = (lift: number, side: number) => {
      const pose = mechanism.at({ left: lift, right: lift });
      if (!isReached(pose)) throw new Error('out of reach');
      const { frame, axle } = air;
      const end = axleToChassis(pose, rig.tireRadius)([axle.ahead, side * axle.out, axle.height]);
      return Math.hypot(frame.ahead - end[0], side * frame.out - end[1], frame.height - end[2]);
    };
    const volume = (lift: number, side: number) => {
      const squeezed = length(0, side) - length(lift, side);
      return air.volume - air.area * squeezed - (air.growth * squeezed ** 2) / 2;
    };
    expect(found.heights).toHaveLength(5);
    for (const { lift, frequency, pressure } of found.heights) {
      const storedIn = (at: number, side: number) => {
        const filled = (pressure + outside) * volume(lift, side) ** n;
        return (filled * volume(at, side) ** (1 - n)) / (n - 1) + outside * volume(at, side);
      };
      // Both bags are on one line; a wheel carries half of what they do together.
      const stored = (at: number) => (storedIn(at, 1) + storedIn(at, -1)) / 2;
      const h = 0.5;
      const [down, here, up] = [stored(lift - h), stored(lift), stored(lift + h)];
      expect((up - down) / (2 * h) / found.standing).toBeCloseTo(1, 3);
      const rate = (up + down - 2 * here) / h ** 2;
      const mass = found.standing / G;
      expect(frequency / (Math.sqrt((rate * 1000) / mass) / (2 * Math.PI))).toBeCloseTo(1, 3);
    }
  });

  test('a stop starts at its rate and is twice as hard half squeezed', () => {
    const stop = { out: 450, gap: 40, rate: 60, height: 50 };
    expect(stopForce(stop, 40)).toBe(0);
    expect(stopForce(stop, 40.001) / 0.001).toBeCloseTo(60, 2);
    expect(stopForce(stop, 65) / (60 * 25)).toBeCloseTo(2, 9);
  });

  // Statics: what the outside stop pushes with the springs hold down, and the body rises by just that much.
  test('a stop leaned on lets itself out by lifting the body', () => {
    fc.assert(
      fc.property(ends, fc.integer({ min: 1, max: 200 }), ({ stops }, mrad) => {
        if (!stops) return;
        const { moment, squeezed } = stopInLean(stops, -mrad / 1000);
        const alone = Math.max(0, (mrad / 1000) * stops.out - stops.gap);
        const force = -moment / stops.out;
        expect(force).toBeCloseTo(
          squeezed < 0.95 * stops.height ? stopForce(stops, stops.gap + squeezed) : force,
          6,
        );
        expect(squeezed + force / stops.holding).toBeCloseTo(alone, 6);
      }),
    );
  });
});

describe('at the limit', () => {
  // Least energy (any text on statics): springs, stop and the leaning weight, sought in heave and roll by themselves.
  test('a car on its bump stop stands where its energy is least', () => {
    fc.assert(
      fc.property(
        ends,
        ends,
        fc.integer({ min: 450, max: 650 }),
        fc.integer({ min: 20, max: 80 }),
        (front, rear, height, hundredths) => {
          const stops = rear.stops;
          const g = hundredths / 100;
          const car = { front: { ...front, stops: undefined }, rear, height };
          const found = cornerOf(car, g);
          if (!stops || !found || found.lifted || found.stop === 0) return;
          const sprung = front.sprung + rear.sprung;
          const arm = height - (front.rollCentre * front.sprung + rear.rollCentre * rear.sprung) / sprung;
          const inStop = (s: number) =>
            s <= 0 ? 0 : stops.rate * stops.height * (-s - stops.height * Math.log(1 - s / stops.height));
          const energy = (roll: number, rise: number) =>
            ((front.rollStiffness + rear.rollStiffness) * roll ** 2) / 2 +
            (stops.holding * rise ** 2) / 2 +
            inStop(Math.min(0.999 * stops.height, roll * stops.out - rise - stops.gap)) -
            sprung * arm * (g * roll + roll ** 2 / 2);
          const roll = (found.rollDeg * Math.PI) / 180;
          const rise = roll * stops.out - stops.gap - found.stop;
          const here = energy(roll, rise);
          for (const [turn, lift] of [
            [1e-4, 0],
            [-1e-4, 0],
            [0, 0.05],
            [0, -0.05],
            [1e-4, 0.05],
            [-1e-4, -0.05],
          ] as const)
            expect(energy(roll + turn, rise + lift)).toBeGreaterThan(here);
        },
      ),
      { numRuns: 400 },
    );
  });

  // Milliken and Milliken ch. 18, from memory: moments about the ground hold in every corner, a wheel in the air or not.
  test('all transfers are the moment of the car, on its stops or off them, before and after an inside wheel lifts; nothing jumps as it does', () => {
    fc.assert(
      fc.property(
        ends,
        ends,
        fc.integer({ min: 450, max: 800 }),
        fc.integer({ min: 1, max: 160 }),
        (front, rear, height, tenths) => {
          const car = { front, rear, height };
          const g = tenths / 100;
          const found = cornerOf(car, g);
          if (!found) return;
          const over = (end: 'front' | 'rear') => (found.wheels[end].outside - found.wheels[end].inside) / 2;
          const sprung = front.sprung + rear.sprung;
          const axis = (front.rollCentre * front.sprung + rear.rollCentre * rear.sprung) / sprung;
          const roll = (found.rollDeg * Math.PI) / 180;
          const moment =
            g *
              (sprung * height +
                front.unsprung * front.unsprungHeight +
                rear.unsprung * rear.unsprungHeight) +
            sprung * roll * (height - axis);
          expect((over('front') * front.track + over('rear') * rear.track) / moment).toBeCloseTo(1, 8);
          for (const end of ['front', 'rear'] as const)
            expect(found.wheels[end].inside).toBeGreaterThan(-1e-6);
          const lifts = wheelLiftG(car);
          const first = Math.min(lifts.front, lifts.rear);
          const before = cornerOf(car, first * (1 - 1e-9));
          const after = cornerOf(car, first * (1 + 1e-9));
          if (before && after) expect(after.rollDeg).toBeCloseTo(before.rollDeg, 5);
        },
      ),
    );
  });

  // Gillespie, Fundamentals of Vehicle Dynamics (1992) ch. 2, from memory: ΔW between a live axle's tyres at a launch is
  // 2·T/t · K_φf/(K_φf + K_φr), the leaning mass left out.
  test('the launch by the other end’s share of the stiffness; a preload of the same torque carries it', () => {
    fc.assert(
      fc.property(ends, ends, fc.integer({ min: 1e5, max: 2e6 }), (driven, other, torque) => {
        const { difference } = launchOf(driven, other, torque, 0)!;
        const share = other.rollStiffness / (driven.rollStiffness + other.rollStiffness);
        expect(difference / ((2 * torque * share) / driven.track)).toBeCloseTo(1, 9);
        const { longer, pull } = preloadFor(torque, 120, 900);
        expect(120 * longer).toBeCloseTo(pull, 9);
        expect(pull * 900).toBeCloseTo(torque, 6);
      }),
    );
  });
});

describe('arms and end links', () => {
  test('arms stay on their circles and links keep their length, or it is said that they cannot', () => {
    const foot = fc.tuple(
      fc.integer({ min: -80, max: 80 }),
      fc.integer({ min: -60, max: 60 }),
      fc.integer({ min: -90, max: 90 }),
    );
    const bar: SwayBar = {
      id: 'bar',
      mountedOn: 'chassis',
      od: 22,
      wall: null,
      centreline: [
        [-220, 450, 400],
        [0, 420, 400],
        [0, -420, 400],
        [-220, -450, 400],
      ],
      bushings: [
        [0, 350, 400],
        [0, -350, 400],
      ],
      links: { left: [-220, 455, 260], right: [-215, -455, 260] },
      ...STEEL,
    };
    const turning = turningBar(bar)!;
    const reach = { left: distance([-220, 450, 400], [-220, 455, 260]), right: Math.hypot(5, 5, 140) };
    expect(turnsTo(turning, bar.links)).toEqual({
      left: expect.closeTo(0, 9),
      right: expect.closeTo(0, 9),
    });
    fc.assert(
      fc.property(foot, foot, (l, r) => {
        const feet = {
          left: bar.links.left.map((v, k) => v + l[k]!) as Point,
          right: bar.links.right.map((v, k) => v + r[k]!) as Point,
        };
        const turns = turnsTo(turning, feet);
        if (turns.left === null || turns.right === null) return;
        const line = lineAt(turning, { left: turns.left, right: turns.right });
        expect(distance(line[0]!, feet.left)).toBeCloseTo(reach.left, 6);
        expect(distance(line.at(-1)!, feet.right)).toBeCloseTo(reach.right, 6);
        for (const eye of [line[0]!, line.at(-1)!])
          expect(Math.hypot(eye[0], eye[2] - 400)).toBeCloseTo(220, 6);
      }),
    );
    // So far down that the link pulls straight and does not reach.
    const far = { left: [-220, 455, -200] as Point, right: bar.links.right };
    expect(turnsTo(turning, far).left).toBeNull();
  });
});
