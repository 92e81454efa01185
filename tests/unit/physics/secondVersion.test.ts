import fc from 'fast-check';
import { solveRig } from '@/core/bench/solveRig';
import { clearances } from '@/core/clearance/clearance';
import { assemble } from '@/core/kinematics/mechanism';
import { isReached } from '@/core/kinematics/pose';
import { axleToChassis } from '@/core/kinematics/attitude';
import { cross, dot, type Point } from '@/core/geometry/vector';
import { readRig } from '@/core/rig/read';
import type { Obstacle, Rig } from '@/core/rig/schema';
import { solveLoad } from '@/core/statics/equilibrium';
import { everyLayout, patternRig } from '../../support/layouts';
import { randomTravel, threeLink } from '../../support/rigs/rigs';

const read = (rig: object) => readRig(JSON.stringify(rig));
const ladder = patternRig('ladder-bars-panhard');
const withArms = (rate: unknown, rest: object = {}): Rig =>
  ({
    ...ladder,
    ...rest,
    members: ladder.members.map((m) => (m.type === 'rigid-arm' ? { ...m, rate } : m)),
  }) as Rig;

describe('a version 1 file', () => {
  const first = { ...threeLink(), version: 1 as const };
  test.each<[string, object]>([
    ['axleTorsion', { axleTorsion: 1e8 }],
    ['tires', { tires: { width: 200 } }],
    ['shocks', { shocks: [] }],
    ['brakes', { brakes: { rearShare: 0.4 } }],
    ['joined', { joined: [] }],
    ['steering.od', { steering: { pitman: [0, 1, 2], knuckle: [3, 4, 5], kingpin: [6, 7, 8], od: 25 } }],
    ['springs[0].od', { springs: [{ id: 's', chassis: [0, 0, 9], axle: [0, 0, 1], rate: 3, od: 90 }] }],
    [
      'obstacles[0].shape',
      { obstacles: [{ id: 'c', on: 'axle', shape: 'cylinder', from: [0, 0, 0], to: [1, 0, 0], radius: 5 }] },
    ],
    [
      'members[0].rate',
      { members: [{ type: 'rigid-arm', id: 'a', chassis: [800, 0, 300], rate: [1, 2, 3] }] },
    ],
    ['members[0].od', { members: [{ type: 'rigid-arm', id: 'a', chassis: [800, 0, 300], od: 40 }] }],
    [
      'members[0].path',
      { members: [{ type: 'slider-arm', id: 'a', chassis: [800, 0, 300], path: { axle: [[1, 2, 3]] } }] },
    ],
  ])('does not know %s, and says so there', (path, keys) => {
    expect(() => read({ ...first, ...keys })).toThrow(
      new RegExp(`^${path.replace(/[[\].]/g, '\\$&')}: unknown key in version 1`),
    );
    const second = { ...first, version: 2, ...keys };
    expect(() => read(second)).not.toThrow();
  });

  test('is answered as it was: every bar against every other, by the old names', () => {
    const members = first.members.map((m) => ({ ...m, od: 30 }));
    const { ride } = solveRig(read({ ...first, members }));
    const pairs = ride.clearance!.map((c) => ('member' in c ? [c.member, c.obstacle] : []));
    expect(pairs).toHaveLength(6);
    expect(pairs).toContainEqual(['lower-left', 'lower-right']);
  });

  test.each([3, 0, '2'])('no version %p', (version) =>
    expect(() => read({ ...threeLink(), version })).toThrow(/^version: expected 1 or 2/),
  );
  test('arms give one way or three', () =>
    expect(() => read(withArms([1, 2]))).toThrow(/members\[0\]\.rate.*three/));
});

describe('what is compared', () => {
  const pairs = (rig: Rig) => {
    const ride = assemble(rig).ride;
    return clearances(rig, ride).map(({ a, b }) => `${a}/${b}`);
  };
  const bar: Obstacle = {
    id: 'pipe',
    on: 'chassis',
    shape: 'capsule',
    from: [0, 0, 700],
    to: [9, 0, 700],
    radius: 9,
  };
  const rig: Rig = {
    ...threeLink({ version: 2 }),
    driveshaft: {
      transmission: [1280, 0, 420],
      transmissionAngleDeg: 0,
      pinion: [290, 0, 356],
      pinionAngleDeg: 0,
      od: 76,
    },
    springs: [{ id: 'spring', chassis: [-60, 480, 660], axle: [-60, 480, 290], rate: 30, od: 120 }],
    shocks: [
      { id: 'coil-over', chassis: [-60, 480, 660], axle: [-120, 300, 290], od: 50 },
      { id: 'shock', chassis: [-100, 480, 660], axle: [-120, 380, 290], od: 50 },
    ],
    tires: { width: 200 },
    obstacles: [bar, { ...bar, id: 'lug', on: 'axle' }],
  };

  test('all but what one body carries and what shares a mount', () => {
    const found = pairs(rig);
    expect(found).toContain('driveshaft/pipe');
    expect(found).toContain('driveshaft/tire-left');
    expect(found).toContain('lug/pipe');
    expect(found).toContain('spring/shock');
    // One upper mount for both, within a millimetre.
    expect(found).not.toContain('spring/coil-over');
    // Both on the axle.
    expect(found.filter((p) => p.includes('tire-left') && p.includes('lug'))).toEqual([]);
    expect(found).not.toContain('tire-left/tire-right');
    // Bars without a diameter are no bodies.
    expect(found.some((p) => p.includes('upper'))).toBe(false);
    expect(new Set(found).size).toBe(found.length);
  });

  test('nor what is joined, whichever is named first', () => {
    for (const joined of [[['pipe', 'driveshaft']], [['driveshaft', 'pipe']]] as [string, string][][])
      expect(pairs({ ...rig, joined })).toEqual(pairs(rig).filter((p) => p !== 'driveshaft/pipe'));
  });

  test('a pair joined to nothing is told, and changes nothing', () => {
    const joined: [string, string][] = [['pipe', 'drivshaft']];
    expect(pairs({ ...rig, joined })).toEqual(pairs(rig));
    const { warnings } = solveRig({ ...rig, joined });
    expect(warnings.filter((w) => w.code === 'joined')).toEqual([
      { code: 'joined', where: 'joined[0][1]', message: expect.stringContaining('drivshaft') },
    ]);
    expect(solveRig({ ...rig, joined: [['pipe', 'driveshaft']] }).warnings.map((w) => w.code)).not.toContain(
      'joined',
    );
  });

  test('an arm’s body runs from the axle’s middle abreast of its joint, or along its path', () => {
    const at = (members: Rig['members'], centre: Point) => {
      const ball = { id: 'ball', on: 'chassis', shape: 'sphere', centre, radius: 10 } as const;
      const one: Rig = { ...ladder, members, obstacles: [ball] };
      return clearances(one, assemble(one).ride).find((c) => c.b === 'ball')!.distance;
    };
    const thick = ladder.members.map((m) => (m.type === 'rigid-arm' ? { ...m, od: 40 } : m));
    const [x, y, z] = ladder.members.flatMap((m) =>
      m.id === 'ladder-left' && 'chassis' in m ? [m.chassis] : [],
    )[0]!;
    expect(at(thick, [x / 2, y + 100, (z + ladder.tireRadius) / 2])).toBeCloseTo(100 - 30, 6);
    const over = thick.map((m) =>
      m.type === 'rigid-arm' ? { ...m, path: { axle: [[0, m.chassis[1], 500]] as Point[] } } : m,
    );
    expect(at(over, [0, y, 600])).toBeCloseTo(100 - 30, 6);
  });
});

describe('arms that give three ways, a tube that twists', () => {
  test('three alike are one', () => {
    const [one, three] = [withArms(900), withArms([900, 900, 900])].map((rig) =>
      assemble(rig).at({ left: 50, right: -40 }),
    );
    expect(three).toEqual(one);
  });

  // A tube that hardly twists is the rigid axle; one that hardly holds lets the arms be, but for what twist cannot give.
  test('the stiffer the tube, the nearer to a rigid axle; the softer, the less is bound', () => {
    const energy = (axleTorsion?: number) => {
      const pose = assemble(withArms([2700, 200, 740], { axleTorsion })).at({ left: 50, right: -50 });
      if (!isReached(pose)) throw new Error('out of reach');
      return pose.energy;
    };
    const rigid = energy();
    const by = [1e5, 1e6, 1e7, 1e8, 1e9, 1e13].map(energy);
    for (let i = 1; i < by.length; i++) expect(by[i]!).toBeGreaterThan(by[i - 1]!);
    expect(by.at(-1)! / rigid).toBeCloseTo(1, 3);
    expect(by[0]! / rigid).toBeLessThan(0.1);
  });

  test('where nothing is over-held the tube does not twist, and nothing else changes', () => {
    fc.assert(
      fc.property(randomTravel, (travel) => {
        const [stiff, soft] = [threeLink({ version: 2 }), threeLink({ version: 2, axleTorsion: 1e6 })].map(
          (rig) => assemble(rig).at(travel),
        );
        if (!isReached(stiff!) || !isReached(soft!)) throw new Error('out of reach');
        expect(soft.twistDeg).toBeCloseTo(0, 9);
        for (const key of ['x', 'y', 'pitchDeg', 'steerDeg', 'rollCentreHeight', 'antiSquatPct'] as const)
          expect(soft[key]).toBeCloseTo(stiff[key]!, 7);
        expect(soft.energy).toBe(0);
      }),
      { numRuns: 30 },
    );
  });

  // Virtual work (of any textbook): in equilibrium no small movement of the axle, nor a twist of its tube, gains anything.
  test('loads are in equilibrium in every motion, the twist of the tube among them', () => {
    const rig: Rig = { ...patternRig('parallel-four-link-panhard'), axleTorsion: 4e7 };
    const load = {
      name: 'one-sided',
      wheel: { left: [900, 400, 4000] as Point, right: [-300, 500, 2500] as Point },
      springs: { left: [-40, 500, 280] as Point, right: [-60, -480, 260] as Point },
      shaftTorque: 200_000,
    };
    const found = solveLoad(assemble(rig), load)!;
    const stiff = solveLoad(assemble({ ...rig, axleTorsion: undefined }), load)!;
    const { track, tireRadius } = rig;
    /** Velocity of an axle-fixed point as the tube twists, left nose down. */
    const twist = ([x, y, z]: Point): Point => [((z - tireRadius) * y) / track, 0, (-x * y) / track];
    const motions: ((p: Point) => Point)[] = [
      () => [1, 0, 0],
      () => [0, 1, 0],
      () => [0, 0, 1],
      ...(
        [
          [1, 0, 0],
          [0, 1, 0],
          [0, 0, 1],
        ] as Point[]
      ).map(
        (w) =>
          ([x, y, z]: Point): Point =>
            cross(w, [x, y, z - tireRadius]),
      ),
    ];
    const work = (answer: typeof found, motion: (p: Point) => Point, torque: number): number => {
      let sum = torque * load.shaftTorque;
      for (const m of rig.members) {
        if (m.type !== 'link') continue;
        const d = m.chassis.map((v, k) => v - m.axle[k]!) as Point;
        const pull = answer.members[m.id]! / Math.hypot(...d);
        sum += pull * dot(d, motion(m.axle));
      }
      sum -= answer.springLeft * motion(load.springs.left)[2];
      sum -= answer.springRight * motion(load.springs.right)[2];
      sum +=
        dot(load.wheel.left, motion([0, track / 2, 0])) + dot(load.wheel.right, motion([0, -track / 2, 0]));
      return sum;
    };
    motions.forEach((motion, i) => {
      expect(work(found, motion, i === 3 ? 1 : 0)).toBeCloseTo(0, 3);
      expect(work(stiff, motion, i === 3 ? 1 : 0)).toBeCloseTo(0, 3);
    });
    // What twists the tube is held by the tube; in a rigid one by nothing that moves.
    const held = work(found, twist, 0);
    expect(Math.abs(held)).toBeGreaterThan(1);
    expect(Math.abs(held)).toBeLessThan(Math.abs(work(stiff, twist, 0)));
  });
});

describe('what version 2 answers', () => {
  test('road wheels of a front axle: what axle and knuckle turn together; of version 1 they are not told', () => {
    for (const [id, rig] of everyLayout.filter(([, r]) => r.steering)) {
      const sweep = [{ left: 40, right: -30 }];
      const [pose] = solveRig({ ...rig, sweep }).sweep;
      if (!isReached(pose!)) throw new Error(id);
      expect(pose.wheelSteerDeg).toBeCloseTo(pose.steerDeg + pose.bumpSteerDeg!, 12);
      expect(solveRig({ ...rig, version: 1, sweep }).sweep[0]).not.toHaveProperty('wheelSteerDeg');
    }
  });

  test('anti-lift is the rear’s share of anti-squat; a front axle has none', () => {
    const brakes = { rearShare: 0.35 };
    const { ride } = solveRig({ ...patternRig('three-link-panhard'), brakes });
    expect(ride.antiLiftPct).toBeCloseTo(0.35 * ride.antiSquatPct!, 12);
    expect(solveRig({ ...patternRig('front-four-link'), brakes }).ride).not.toHaveProperty('antiLiftPct');
  });

  test('tyres stand on the axle’s ends, as wide and as large as they are said to be', () => {
    const rig: Rig = {
      ...patternRig('three-link-panhard'),
      tires: { width: 220 },
      obstacles: [{ id: 'arch', on: 'chassis', shape: 'sphere', centre: [0, 735, 900], radius: 40 }],
    };
    const gap = (of: Rig, lift: number) => {
      const pose = assemble(of).at({ left: lift, right: lift });
      if (!isReached(pose)) throw new Error('out of reach');
      return clearances(of, pose).find((c) => c.a === 'tire-left' && c.b === 'arch')!.distance;
    };
    expect(gap(rig, 0)).toBeCloseTo(900 - 660 - 40, 4);
    expect(gap({ ...rig, tires: { width: 220, radius: 350 } }, 0)).toBeCloseTo(900 - 680 - 40, 4);
    const place = axleToChassis(assemble(rig).at({ left: 60, right: 60 }) as never, 330);
    expect(place([0, 735, 330])[2]).toBeCloseTo(390, 6);
    expect(Math.abs(gap(rig, 60) - (900 - 720 - 40))).toBeLessThan(0.5);
  });
});
