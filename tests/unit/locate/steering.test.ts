import fc from 'fast-check';
import type { Point } from '@/core/geometry/vector';
import type { Job } from '@/core/job/jobSchema';
import { withLayout } from '@/core/job/edits/members/layout';
import { withMounts } from '@/core/job/edits/mounts';
import { readJob, writeJob } from '@/core/job/file';
import { newJob } from '@/core/job/newJob';
import { removalOrder } from '@/core/place/order';
import { stationBasis, stationStripeKey } from '@/core/bench/stations';
import { stationStripe } from '@/core/bench/stripes';
import { drawStripe } from '@/ui/stripe/stripeEdits';
import { figuresOf } from '@/core/choose/figures';
import { drivenTravel } from '@/core/job/jobValues';
import { axleToChassis } from '@/core/kinematics/attitude';
import { heightsAnswer } from '@/core/locate/heights';
import { isSteered } from '@/core/locate/steering/steered';
import { bumpSteerParts } from '@/core/locate/steering/bumpSteerParts';
import { assemble } from '@/core/kinematics/mechanism';
import { isReached } from '@/core/kinematics/pose';
import { isLink } from '@/core/rig/members/members';
import { lateralBarOf } from '@/core/rig/roles';
import type { Rig } from '@/core/rig/schema';
import { snap, TAPES } from '@/core/units/tape';
import type { Finding } from '@/core/verdict/verdict';
import { patternRig } from '../../support/layouts';
import { located } from '../../support/locate';
import { carried } from '../../support/rigs/rigs';
import { assertUntil } from '../../support/until';

const about = (spread: number) => fc.double({ min: -spread, max: spread, noNaN: true });
const nudge = fc.tuple(about(20), about(20), about(50)) as fc.Arbitrary<Point>;
const moved = (p: Point, by: Point): Point => [p[0] + by[0], p[1] + by[1], p[2] + by[2]];

/** A front axle whose drag link is not quite its track bar’s fellow. */
const fronts: fc.Arbitrary<Job> = fc
  .record({
    layout: fc.constantFrom('front-four-link' as const, 'front-radius-arms' as const),
    tape: fc.constantFrom(...TAPES),
    pitman: nudge,
    knuckle: nudge,
    frame: about(70),
    axle: about(30),
  })
  .map(({ layout, tape, pitman, knuckle, frame, axle }) => {
    const job = withLayout(newJob('front', 'Front', tape), layout);
    const steering = job.rig.steering!;
    const bar = job.rig.members.filter(isLink).find((m) => m.id === 'panhard')!;
    return withMounts(
      {
        ...job,
        rig: {
          ...job.rig,
          steering: {
            ...steering,
            pitman: moved(steering.pitman, pitman),
            knuckle: moved(steering.knuckle, knuckle),
          },
        },
      },
      [
        { member: 'panhard', end: 'chassis', axis: 2, mm: bar.chassis[2] + frame },
        { member: 'panhard', end: 'axle', axis: 2, mm: bar.axle[2] + axle },
      ],
    );
  });

const RANK: Record<Finding, number> = { ok: 0, look: 1, stop: 2 };

test('an end put where the remedy says steers the wheels as little as it says, and spoils nothing that held across the car', () => {
  let offered = 0;
  assertUntil(
    fc.property(fronts, (job) => {
      const before = located(job);
      const { wheels } = before.result.links.steering!;
      const remedy = before.result.cures!.steering;
      if (!remedy) return;
      offered++;
      expect(isSteered(wheels)).toBe(true);
      expect(remedy.z).toBeCloseTo(snap(remedy.z, job.tape), 9);
      const { member, end, z } = remedy;
      const after = located(withMounts(job, [{ member, end, axis: 2, mm: z }]));
      const now = after.result.links.steering!.wheels!;
      expect(Math.abs(now.both - remedy.wheels.both)).toBeLessThan(0.05);
      expect(Math.abs(now.one - remedy.wheels.one)).toBeLessThan(0.005);
      if (wheels)
        expect(Math.max(now.both / 0.5, now.one)).toBeLessThan(Math.max(wheels.both / 0.5, wheels.one));
      const state = (of: typeof before, id: string) => RANK[of.said.find((v) => v.id === id)?.state ?? 'ok'];
      for (const id of ['sideways', 'travel'])
        expect(state(after, id)).toBeLessThanOrEqual(state(before, id));
      expect(state(after, 'bump-steer')).toBeLessThanOrEqual(state(before, 'bump-steer'));
    }),
    { numRuns: 150 },
    () => offered > 3,
  );
});

test('a mirrored car steers as much, and is mended by the same height', () => {
  fc.assert(
    fc.property(fronts, (job) => {
      const mirrored = { ...job, rig: carried(job.rig, ([x, y, z]) => [x, -y, z]) };
      const [a, b] = [located(job).result, located(mirrored).result];
      const [one, other] = [a.links.steering!, b.links.steering!];
      const [cure, mirroredCure] = [a.cures!.steering, b.cures!.steering];
      expect(other.wheels?.both ?? null).toEqual(one.wheels && expect.closeTo(one.wheels.both, 6));
      expect(other.wheels?.one ?? null).toEqual(one.wheels && expect.closeTo(one.wheels.one, 6));
      expect(other.axle.one).toBeCloseTo(one.axle.one, 6);
      expect(mirroredCure?.end).toBe(cure?.end);
      expect(mirroredCure?.z ?? null).toEqual(cure && expect.closeTo(cure.z, 6));
    }),
    { numRuns: 60 },
  );
});

test('what the road wheels do is what the axle turns and what its knuckles turn against it, together', () => {
  fc.assert(
    fc.property(fronts, (job) => {
      const { links, ghosts } = located(job).result;
      const turns = [ghosts.leftUp, ghosts.rightUp].map((pose) => {
        if ('unreachable' in pose) throw new Error('out of reach');
        return { axle: Math.abs(pose.steerDeg), wheels: Math.abs(pose.steerDeg + pose.bumpSteerDeg!) };
      });
      const { wheels, axle } = links.steering!;
      expect(wheels!.one).toBeCloseTo(Math.max(...turns.map((t) => t.wheels)), 9);
      expect(axle.one).toBeCloseTo(Math.max(...turns.map((t) => t.axle)), 9);
    }),
    { numRuns: 30 },
  );
});

test('of bumps that steer no more than they may it is said how much, and only of none at all that they do not', () => {
  fc.assert(
    fc.property(fronts, (job) => {
      const { result, verdicts } = located(job);
      const { wheels } = result.links.steering!;
      const title = verdicts.lengthwise.find(({ id }) => id === 'bump-steer')!.title;
      const most = wheels ? Math.max(wheels.both, wheels.one) : Infinity;
      if (title === 'Bumps do not steer it.') expect(most).toBeLessThan(0.1);
      if (title.startsWith('Bumps steer it little')) {
        expect(isSteered(wheels)).toBe(false);
        expect(title).toContain(`${most.toFixed(1)}° at most`);
      }
    }),
    { numRuns: 40 },
  );
});

test('of a front axle nothing is said of squatting, and its turn is told by its caster', () => {
  fc.assert(
    fc.property(fronts, fc.integer({ min: 5, max: 40 }), (job, settled) => {
      const bare = { ...job, rig: { ...job.rig, wheelbase: 2600, cgHeight: 550 } };
      expect(assemble(bare.rig).ride.antiSquatPct).toEqual(expect.any(Number));
      expect(figuresOf(bare.rig, drivenTravel(bare))!.antiSquat).toBeNull();
      const asked = { settled, load: { mass: 0, ahead: 0, height: 0 }, move: 0 };
      const heights = heightsAnswer(bare, asked);
      expect([heights.drawn.antiSquat, heights.settled.values!.antiSquat]).toEqual([null, null]);
      // Nose down, the kingpin's top goes forward: the caster that is left is less by as much.
      const pose = assemble(bare.rig).at({ left: settled, right: settled });
      if (!isReached(pose)) throw new Error('not reached');
      const kingpin = (up: number): Point => axleToChassis(pose, bare.rig.tireRadius)([0, 600, up]);
      const [top, foot] = [kingpin(bare.rig.tireRadius + 100), kingpin(bare.rig.tireRadius - 100)];
      const back = (Math.atan2(foot[0] - top[0], top[2] - foot[2]) * 180) / Math.PI;
      expect(-heights.settled.values!.pinion).toBeCloseTo(back, 3);
    }),
    { numRuns: 20 },
  );
});

test('on a steered axle nobody says panhard: not in a verdict, the order of removal, nor what a stripe rests on', () => {
  fc.assert(
    fc.property(fronts, (job) => {
      const words = [
        ...located(job).said.flatMap((v) => [v.title, v.reason, ...v.remedies.map((r) => r.text)]),
        ...removalOrder(job.rig).map((r) => r.name),
        JSON.stringify(stationBasis(job, 'cut')),
        ...Object.keys(stationBasis(job, 'locate')!),
      ];
      expect(words.filter((text) => /panhard/i.test(text))).toEqual([]);
    }),
    { numRuns: 30 },
  );
  const rear = newJob('rear', 'Rear', 'mm');
  expect(removalOrder(rear.rig).map((r) => r.name)).toContain('panhard bar');
});

test('a stripe that was drawn when a track bar was called a panhard is not broken by its right name', () => {
  const job = withLayout(newJob('front', 'Front', 'mm'), 'front-four-link');
  const drawn = drawStripe(job, stationStripeKey('cut'), {
    ...stationBasis(job, 'cut')!,
    bar: 'panhard bar',
  });
  expect(stationStripe(drawn, 'cut').kind).toBe('broken');
  expect(stationStripe(readJob(writeJob(drawn)), 'cut').kind).toBe('whole');
});

test('a bar beside a drag link is held against it, not against level; put as it leans, it leans alike', () => {
  fc.assert(
    fc.property(fronts, (job) => {
      const { result, verdicts } = located(job);
      const level = verdicts.sideways.find((v) => v.id === 'level');
      const { match } = result.links.steering!;
      if (!level || !match?.sameSide) return;
      for (const { changes } of level.remedies) {
        const mended = located(withMounts(job, changes!));
        expect(mended.result.links.steering!.match!.angle).toBeLessThan(0.01);
        expect(mended.verdicts.sideways.find((v) => v.id === 'level')!.state).toBe('ok');
      }
      // Level is no merit here: a bar as steep as its drag link holds, however steep.
      if (match.angle < 0.1) expect(level.state).toBe('ok');
    }),
    { numRuns: 60 },
  );
});

describe('what of the drag link steers', () => {
  const pattern = patternRig('front-four-link');
  const at = (rig: Rig) => {
    const pose = assemble(rig).at({ left: 60, right: 60 });
    if (!isReached(pose)) throw new Error('out of reach');
    return { pose, parts: bumpSteerParts(rig, pose)! };
  };
  const withLink = (change: (steering: NonNullable<Rig['steering']>) => Point): Rig => ({
    ...pattern,
    steering: { ...pattern.steering!, pitman: change(pattern.steering!) },
  });

  test('is in parts that add up, whatever the link', () => {
    const off = fc.double({ min: -90, max: 90, noNaN: true });
    fc.assert(
      fc.property(fc.tuple(off, off, off), fc.boolean(), ([x, y, z], crossed) => {
        const rig = withLink(({ pitman: p, knuckle: k }) => [
          p[0] + x,
          crossed ? 2 * k[1] - p[1] + y : p[1] + y,
          p[2] + z,
        ]);
        const { pose, parts } = at(rig);
        expect(parts.axle + parts.side + parts.length + parts.angle).toBeCloseTo(pose.bumpSteerDeg!, 9);
      }),
    );
  });

  test('is its length, its angle or its side where that alone is unlike', () => {
    const bar = lateralBarOf(pattern)!;
    const twin = (of: Point) => (steering: NonNullable<Rig['steering']>) =>
      of.map((v, k) => steering.knuckle[k]! + v) as Point;
    const reach = bar.chassis.map((v, k) => v - bar.axle[k]!) as Point;
    const biggest = (rig: Rig) => {
      const { side, length, angle } = at(rig).parts;
      return Object.entries({ side, length, angle }).sort(([, p], [, q]) => Math.abs(q) - Math.abs(p))[0]![0];
    };
    expect(biggest(withLink(twin(reach.map((v) => 0.6 * v) as Point)))).toBe('length');
    const leaning: Point = [reach[0], Math.sqrt(reach[1] ** 2 - 120 ** 2), reach[2] + 120];
    expect(biggest(withLink(twin(leaning)))).toBe('angle');
    expect(biggest(withLink(twin([reach[0], -reach[1], reach[2]])))).toBe('side');
  });
});
