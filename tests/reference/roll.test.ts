import fc from 'fast-check';
import { assemble } from '@/core/kinematics/mechanism';
import { balanceOf, endsOf, type End } from '@/core/balance/loadTransfer';
import { centrelineOf } from '@/core/swaybar/centreline';
import { deflect } from '@/core/beam/beamFrame';
import { sectionOf, type Round as Section } from '@/core/beam/section';
import { coilRate } from '@/core/balance/otherEndBuild';
import { ELASTIC } from '@/core/materials/steels';
import { handbookRate } from '@/core/swaybar/handbookRate';
import { barTwisted, eyeTravels } from '@/core/swaybar/swayBarRate';
import { smallMotions } from '@/core/kinematics/smallMotions';
import type { Rig, SwayBar } from '@/core/rig/schema';
import { solveRig } from '@/core/bench/solveRig';
import { patternRig } from '../support/layouts';
import { ends, MASSES } from '../support/masses';
import { carried } from '../support/rigs/rigs';
import results from './calculix/results.json';
import type { Point } from '@/core/geometry/vector';

const STEEL = { E: 205_000, G: 79_300 };

/** Relative travel of the eyes for a newton, mm: the left eye's, with the right one held. */
function travel(points: Point[], section: Section, bushings: [Point, Point]): number {
  const line = centrelineOf(points, bushings);
  const [left, right] = line.bushings;
  return deflect(
    line.nodes,
    section,
    [
      { ...left!, alongToo: true },
      { ...right!, alongToo: false },
      { node: line.nodes.length - 1, vertical: true },
    ],
    [{ node: 0, force: [0, 0, 1] }],
  ).move(0)[2];
}

const squareBar = (arm: number, width: number): Point[] => [
  [-arm, width / 2, 300],
  [0, width / 2, 300],
  [0, -width / 2, 300],
  [-arm, -width / 2, 300],
];
const at = (y: number): [Point, Point] => [
  [0, y, 300],
  [0, -y, 300],
];

const sizes = fc.record({
  od: fc.integer({ min: 12, max: 40 }),
  hollow: fc.boolean(),
  arm: fc.integer({ min: 120, max: 400 }),
  width: fc.integer({ min: 500, max: 1100 }),
  inset: fc.integer({ min: 5, max: 150 }),
});
const sectionFrom = ({ od, hollow }: { od: number; hollow: boolean }): Section => ({
  od,
  wall: hollow ? od / 8 : null,
  ...STEEL,
});

describe('sway bar', () => {
  // Closed form of a square U-bar on inset bushings under F up at one eye and down at the other (beam and shaft formulas of
  // any handbook, Roark's, from memory). Each eye: arm bent F·a³/3EI; centre twisted F·a²B/2GJ; overhang o bent F·o³/3EI; the
  // span s between the bushings bent by the two end moments F·o, F·o²s/6EI. The eyes part by twice that.
  test('a square bar on inset bushings against its closed form', () => {
    fc.assert(
      fc.property(sizes, (size) => {
        const { arm: a, width: B, inset: o } = size;
        const section = sectionFrom(size);
        const { I, J } = sectionOf(section);
        const s = B - 2 * o;
        const [EI, GJ] = [section.E * I, section.G * J];
        const each =
          a ** 3 / (3 * EI) + (a ** 2 * B) / (2 * GJ) + o ** 3 / (3 * EI) + (o ** 2 * s) / (6 * EI);
        const found = travel(squareBar(a, B), section, at(s / 2));
        expect(Math.abs(found / (2 * each) - 1)).toBeLessThan(1e-6);
      }),
    );
  });

  // CalculiX (Debian's calculix-ccx), quadratic B32 beams of circular section, 16 to a straight piece: inputs beside this test,
  // made by scripts/calculix/swayBar.ts. Its beams are expanded to solids and shear; Euler–Bernoulli's are stiffer by a little.
  test.each(results)('$name bar against CalculiX', ({ od, E, nu, points, bushings, rate }) => {
    const line = points as Point[];
    const found =
      1 /
      travel(line, { od, wall: null, E, G: E / 2 / (1 + nu) }, [line[bushings[0]!]!, line[bushings[1]!]!]);
    expect(Math.abs(found / rate - 1)).toBeLessThan(0.03);
  });

  // Puhn, How to Make Your Car Handle (1976), from memory. Its constants are those of the closed form with supports at the
  // corners and G = 12e6, E = 30e6 lb/in²; overhang, dips and other steels it does not know.
  test('the handbook formula, within its own simplifications', () => {
    fc.assert(
      fc.property(sizes, ({ od, arm, width }) => {
        const psi = 4.4482216152605 / 25.4 ** 2;
        const section = { od, wall: null, E: 30e6 * psi, G: 12e6 * psi };
        const found = 1 / travel(squareBar(arm, width), section, at(width / 2));
        expect(Math.abs(found / handbookRate(od, arm, width, arm) - 1)).toBeLessThan(0.002);
      }),
    );
  });

  // Shigley, Mechanical Engineering Design, example 10-1, from memory: music wire of 0.037 in, 7/16 in outside, 10.5 turns that
  // move, G = 11.85 Mpsi: 4.13 lb/in.
  test('a coil by its wire, as a worked example has it', () => {
    const perInch = 4.4482216152605 / 25.4;
    const psi = 4.4482216152605 / 25.4 ** 2;
    const found = coilRate(0.037 * 25.4, 0.437 * 25.4, 10.5) * ((11.85e6 * psi) / ELASTIC.G);
    expect(Math.abs(found / (4.13 * perInch) - 1)).toBeLessThan(0.002);
  });

  test('stiffer by the fourth power of the diameter; in twist alone, softer by the square of the arm', () => {
    fc.assert(
      fc.property(sizes, ({ od, arm, width, inset }) => {
        const rate = (d: number, a: number, E = STEEL.E) =>
          1 / travel(squareBar(a, width), { od: d, wall: null, E, G: STEEL.G }, at(width / 2 - inset));
        expect(rate(1.2 * od, arm) / rate(od, arm)).toBeCloseTo(1.2 ** 4, 6);
        // So stiff in bending that only twist is left.
        expect(rate(od, arm, 1e12) / rate(od, 1.5 * arm, 1e12)).toBeCloseTo(1.5 ** 2, 3);
      }),
      { numRuns: 30 },
    );
  });

  test('where twist is all, all of the energy is twist', () => {
    const line = centrelineOf(squareBar(200, 800), at(400));
    const [left, right] = line.bushings;
    const supports = [
      { ...left!, alongToo: true },
      { ...right!, alongToo: false },
      { node: line.nodes.length - 1, vertical: true as const },
    ];
    const share = (E: number) =>
      deflect(line.nodes, { od: 22, wall: null, E, G: STEEL.G }, supports, [{ node: 0, force: [0, 0, 1] }])
        .torsionShare;
    expect(share(1e12)).toBeCloseTo(1, 4);
    expect(share(STEEL.E)).toBeLessThan(1);
    expect(share(STEEL.E)).toBeGreaterThan(0.5);
  });
});

/** A rig with springs, a bar on the frame and its car, which the solver can be asked about. */
function sprungRig(): Rig {
  const rig = patternRig('three-link-panhard');
  const z = rig.tireRadius;
  return {
    ...rig,
    cgHeight: 540,
    wheelbase: 2800,
    masses: MASSES,
    otherEnd: { rollCentreHeight: 60, rollRate: 420_000, track: 1480, tireRadius: 315 },
    springs: (['left', 'right'] as const).map((id, i) => ({
      id,
      chassis: [0, (i ? -1 : 1) * 450, z + 350],
      axle: [0, (i ? -1 : 1) * 450, z - 20],
      rate: 35,
    })),
    swayBars: [bar(z)],
  };
}

const bar = (z: number): SwayBar => ({
  id: 'rear',
  mountedOn: 'chassis',
  centreline: squareBar(250, 900).map(([x, y]) => [x - 100, y, z + 50]),
  od: 22,
  wall: null,
  bushings: [
    [-100, 380, z + 50],
    [-100, -380, z + 50],
  ],
  links: { left: [-350, 450, z - 100], right: [-350, -450, z - 100] },
  ...STEEL,
});

/** A bar with one arm longer than the other, its feet at unlike heights too. */
const unlike = fc.record({
  left: fc.integer({ min: 120, max: 380 }),
  right: fc.integer({ min: 120, max: 380 }),
  foot: fc.integer({ min: 90, max: 260 }),
  od: fc.integer({ min: 14, max: 32 }),
});
const mirrored = ([x, y, z]: Point): Point => [x, -y, z];

describe('a bar with unlike arms', () => {
  const unlikeBar = (
    z: number,
    { left, right, foot, od }: { left: number; right: number; foot: number; od: number },
  ) => ({
    ...bar(z),
    od,
    centreline: [
      [-100 - left, 450, z + 50],
      [-100, 450, z + 50],
      [-100, -450, z + 50],
      [-100 - right, -450, z + 50],
    ] as Point[],
    links: {
      left: [-100 - left, 450, z + 50 - foot] as Point,
      right: [-100 - right, -450, z - 100] as Point,
    },
  });

  // Maxwell and Betti, from memory: held at either eye the bar is one spring seen through either arm, so that the two
  // stiffnesses are as the squares of the arms; energy for eyes moved u and −u follows from either.
  test('has one rate from whichever eye it is held at, and each is by energy', () => {
    fc.assert(
      fc.property(unlike, (sizes) => {
        const one = unlikeBar(330, sizes);
        const held = travel(one.centreline, { od: one.od, wall: null, ...STEEL }, one.bushings);
        const other = travel(
          // Turned about, its right eye is the left one.
          one.centreline.map(mirrored),
          { od: one.od, wall: null, ...STEEL },
          one.bushings.map(mirrored) as [Point, Point],
        );
        const lever = Math.sqrt(held / other);
        expect(lever / (sizes.left / sizes.right)).toBeCloseTo(1, 6);
        // Left eye moved u, right eye −u: what the bar stores is that of the left eye moved u(1 + lever) with the right one held.
        const u = 3;
        const energy = (u * (1 + lever)) ** 2 / (2 * held);
        expect(barTwisted(one, 'bar').rate / ((2 * energy) / (2 * u) ** 2)).toBeCloseTo(1, 6);
      }),
      { numRuns: 40 },
    );
  });

  test('in a car turned about gives what it gave', () => {
    fc.assert(
      fc.property(unlike, fc.boolean(), (sizes, onAxle) => {
        const rig = sprungRig();
        const one = unlikeBar(rig.tireRadius, sizes);
        const mountedOn = onAxle ? ('axle' as const) : ('chassis' as const);
        const there: Rig = { ...rig, swayBars: [{ ...one, mountedOn }] };
        const turned = carried(there, mirrored);
        const [about] = turned.swayBars!;
        const back: Rig = {
          ...turned,
          swayBars: [
            {
              ...about!,
              centreline: [...about!.centreline].reverse(),
              links: { left: about!.links.right, right: about!.links.left },
              bushings: [...about!.bushings].reverse() as [Point, Point],
            },
          ],
        };
        const [a, b] = [there, back].map((r) => solveRig(r).swayBars![0]!);
        for (const key of ['rate', 'rollRate', 'maxStress'] as const)
          expect(b![key] / a![key]).toBeCloseTo(1, 5);
      }),
      { numRuns: 20 },
    );
  });
});

describe('the car in roll', () => {
  test('upright springs and links: roll rates by their half width, k·y²·2 and K·(2y)²', () => {
    const { springs, swayBars } = solveRig(sprungRig());
    const radian = 180 / Math.PI;
    expect((springs![0]!.rollRate + springs![1]!.rollRate) * radian).toBeCloseTo(2 * 35 * 450 ** 2, -4);
    expect(springs![0]!.motionRatio).toBeCloseTo(1, 3);
    const [{ rate, rollRate, maxStress }] = swayBars as [NonNullable<typeof swayBars>[number]];
    expect((rollRate * radian) / (rate * 900 ** 2)).toBeCloseTo(1, 2);
    // A degree of roll parts the eyes by 900·π/180 mm; the arms' moment bends, the centre's twists: the greater is at a corner.
    const force = rate * 900 * (Math.PI / 180);
    const bending = (force * 250 * 32) / (Math.PI * 22 ** 3);
    expect(maxStress).toBeGreaterThan(0.98 * bending);
    expect(maxStress).toBeLessThan(1.2 * bending);
  });

  test('both wheels together move the eyes alike: the bar does nothing', () => {
    const rig = sprungRig();
    const moving = assemble(rig);
    const rolls = smallMotions(moving);
    const line = rig.swayBars![0]!.centreline as Point[];
    const [left, right] = eyeTravels(rig, rig.swayBars![0]!, [line[0]!, line.at(-1)!], rolls.up, '');
    expect(left).toBeCloseTo(right, 6);
    expect(left).toBeGreaterThan(0.4);
  });

  test('a bar carried by the axle with its links to the frame does the same in roll', () => {
    const rig = sprungRig();
    const onAxle = { ...bar(rig.tireRadius), mountedOn: 'axle' as const };
    const [a] = solveRig(rig).swayBars!;
    const [b] = solveRig({ ...rig, swayBars: [onAxle] }).swayBars!;
    expect(b!.rollRate / a!.rollRate).toBeCloseTo(1, 1);
    expect(b!.rate).toBeCloseTo(a!.rate, 9);
  });

  // Milliken and Milliken, Race Car Vehicle Dynamics, ch. 18; Gillespie, Fundamentals of Vehicle Dynamics, ch. 6; from memory.
  // Moments about the ground: what goes over, times its track, is m·a·h and what the leaning sprung mass adds, W_s·φ·H.
  test('all transfers together are the moment of the car, its roll included', () => {
    fc.assert(
      fc.property(ends, ends, fc.integer({ min: 450, max: 800 }), (front, rear, height) => {
        const found = balanceOf(front, rear, height)!;
        const sprung = front.sprung + rear.sprung;
        const axis = (front.rollCentre * front.sprung + rear.rollCentre * rear.sprung) / sprung;
        const roll = (found.rollGradientDegPerG * Math.PI) / 180;
        const moment =
          sprung * height +
          front.unsprung * front.unsprungHeight +
          rear.unsprung * rear.unsprungHeight +
          sprung * roll * (height - axis);
        const transfers = found.transferFront * front.track + found.transferRear * rear.track;
        expect(transfers / moment).toBeCloseTo(1, 9);
        expect(found.frontShare).toBeCloseTo(
          found.transferFront / (found.transferFront + found.transferRear),
          12,
        );
        // Stiffer in front: more of it goes over in front.
        const stiffer = balanceOf({ ...front, rollStiffness: 1.1 * front.rollStiffness }, rear, height)!;
        expect(stiffer.frontShare).toBeGreaterThan(found.frontShare);
      }),
    );
    const soft: End = {
      rollStiffness: 1e5,
      rollCentre: 0,
      track: 1500,
      sprung: 6000,
      unsprung: 800,
      unsprungHeight: 300,
    };
    expect(balanceOf(soft, soft, 600)).toBeNull();
  });

  test('the rig’s car by hand', () => {
    const rig = sprungRig();
    const { balance, springs, swayBars, ride } = solveRig(rig);
    const g = 9.80665;
    const sprungHeight = (1500 * 540 - 90 * 315 - 150 * 330) / 1260;
    const rear = [...springs!, ...swayBars!].reduce((sum, s) => sum + s.rollRate, 0) * (180 / Math.PI);
    const front = 420_000 * (180 / Math.PI);
    const [wf, wr] = [(1500 * 0.54 - 90) * g, (1500 * 0.46 - 150) * g];
    const H = sprungHeight - (60 + (ride.rollCentreHeight! - 60) * (wr / (wf + wr)));
    const roll = ((wf + wr) * H) / (front + rear - (wf + wr) * H);
    expect(balance!.rollGradientDegPerG).toBeCloseTo((roll * 180) / Math.PI, 9);
    expect(balance!.transferFront).toBeCloseTo((front * roll + wf * 60 + 90 * g * 315) / 1480, 6);
    expect(balance!.transferRear).toBeCloseTo(
      (rear * roll + wr * ride.rollCentreHeight! + 150 * g * 330) / rig.track,
      6,
    );
    expect(endsOf({ ...rig, masses: undefined }, { rollStiffness: 1, rollCentre: 1 })).toBeNull();
    expect(solveRig({ ...rig, otherEnd: undefined }).balance).toBeUndefined();
  });

  test('a bar that cannot be held or moved is refused with its place', () => {
    const rig = sprungRig();
    const z = rig.tireRadius;
    const wrong = (change: Partial<SwayBar>) => () =>
      solveRig({ ...rig, swayBars: [{ ...bar(z), ...change }] });
    expect(
      wrong({
        bushings: [
          [-100, 380, z + 50],
          [-100, 380, z + 50],
        ],
      }),
    ).toThrow(/swayBars\[0\]\.bushings/);
    expect(wrong({ links: { left: [-500, 450, z + 50], right: [-350, -450, z - 100] } })).toThrow(
      /links\.left: the end link lies flat/,
    );
    expect(
      wrong({
        centreline: [
          [-100, 450, z + 50],
          [-100, -450, z + 50],
        ],
      }),
    ).toThrow(/swayBars\[0\]/);
  });
});
