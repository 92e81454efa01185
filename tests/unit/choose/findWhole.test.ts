import { dequal } from 'dequal';
import { lookAt } from '@/core/advice/look';
import type { Brief } from '@/core/choose/brief';
import { stopsIn, withAnswer } from '@/core/choose/answer';
import { findMounts, type FoundMounts } from '@/core/choose/findMounts';
import { graverAt } from '@/core/choose/whole';
import { assemble } from '@/core/kinematics/mechanism';
import type { Pose } from '@/core/kinematics/pose';
import type { Job } from '@/core/job/jobSchema';
import type { Point } from '@/core/geometry/vector';
import { linksOf } from '@/core/rig/members/members';
import { swayBarPartAt, swayBarPlaces } from '@/core/locate/travel/swayBarPlaces';
import type { Obstacle } from '@/core/rig/schema';
import { feetIn, turningBar } from '@/core/swaybar/armRotation';
import { swayBarOf } from '@/core/swaybar/swayBarDesign';
import { asClause } from '@/core/verdict/verdict';
import { demoJobs } from '@/store/demo';

const looked = (job: Job) => lookAt(job, { cures: false });
const cars = demoJobs().filter((job) => job.roll.bar?.hooked && looked(job).numbers.frontShare !== null);

/** The brief that has the feet where they are, or so much farther out. */
const farther = (job: Job, by: number): Brief => {
  const { out } = job.roll.bar!.foot;
  return {
    ...{ format: 'pellik.brief', version: 1 },
    free: [
      {
        swayBar: 'feet',
        axis: 1,
        from: Math.min(out, out + by),
        to: Math.max(out, out + by),
        step: Math.abs(by),
      },
    ],
    targets: [{ figure: 'frontShare', least: 0, most: 1 }],
  };
};

/** A place near the foot of the left link at ride height, in the axes of what carries the bar, with its foot so much farther out. */
function nearFoot(job: Job, by: number): Point {
  const { bar } = job.roll;
  const arms = turningBar(swayBarOf({ ...bar!, foot: { ...bar!.foot, out: bar!.foot.out + by } }))!;
  const pose = assemble(job.rig).at({ left: 0, right: 0 }) as Pose;
  const foot = feetIn(arms, pose, job.rig.tireRadius).left;
  const eye = arms.bar.centreline[0]!;
  return foot.map((v, k) => 0.9 * v + 0.1 * eye[k]!) as Point;
}

/** The car with a knob on the body that carries the bar, where the left link would run. */
function withKnob(job: Job, by: number): Job {
  const knob: Obstacle = {
    ...{ id: 'knob', on: job.roll.bar!.mountedOn, shape: 'sphere' },
    ...{ centre: nearFoot(job, by), radius: 4 },
  };
  return { ...job, rig: { ...job.rig, obstacles: [...(job.rig.obstacles ?? []), knob] } };
}

const placeAt = ({ answers }: FoundMounts, job: Job, by: number) =>
  answers.find(({ feet }) => Math.abs((feet?.out ?? Infinity) - job.roll.bar!.foot.out - by) < 1e-9);

describe('the whole car at a place that was found', () => {
  // How far the feet of each can go without meeting anything, where a knob there is in nothing’s way now.
  const meetsKnob = (job: Job) => looked(job).said.some(({ verdict }) => verdict.title.includes('knob'));
  const roomy = cars.flatMap((car) => {
    const by = [60, -60, 50, -50, 40, -40].find(
      (mm) => findMounts(car, farther(car, mm)).blocked === null && !meetsKnob(withKnob(car, mm)),
    );
    return by === undefined ? [] : [[car.name, car, by] as const];
  });

  test.each(roomy)(
    'of %s: feet whose link would run into something are passed over, and told where there is nothing else',
    (_, car, by) => {
      const job = withKnob(car, by);
      const found = findMounts(job, farther(job, by));
      expect(placeAt(found, job, 0)!.graver).toEqual([]);
      expect(placeAt(found, job, by)).toBeUndefined();
      expect(found.blocked).toMatchObject({ count: 1, by: { a: 'end link', b: 'knob' } });
      const { out } = job.roll.bar!.foot;
      const there: Brief = {
        ...farther(job, by),
        free: [{ swayBar: 'feet', axis: 1, from: out + by, to: out + by, step: 1 }],
      };
      const alone = findMounts(job, there);
      expect(stopsIn(placeAt(alone, job, by)!)).toEqual(found.blocked!.by);
      expect(alone.blocked).toEqual(found.blocked);
    },
  );

  test('a sway bar keeps the room that is asked for, as all else does; what hits is said once', () => {
    const [car, by] = roomy.map(([, car, by]) => [car, by] as const)[0]!;
    const job = withKnob(car, by);
    const { out } = job.roll.bar!.foot;
    const there: Brief = {
      ...farther(job, by),
      free: [{ swayBar: 'feet', axis: 1, from: out + by, to: out + by, step: 1 }],
    };
    const [hitting] = findMounts(job, there).answers;
    expect(hitting!.hits.filter(({ b }) => b === 'knob').map(({ a }) => a)).toEqual(['end link']);
    expect(hitting!.graver!.some(({ said }) => said.includes('knob'))).toBe(false);
    const nearest = (of: Job) =>
      Math.min(...swayBarPlaces(of, assemble(of.rig)).map(({ distance }) => distance));
    const now = nearest(withAnswer(car, findMounts(car, { ...there, clear: 0 }).answers[0]!));
    expect(now).toBeGreaterThan(0);
    for (const [clear, hits] of [
      [now - 1, false],
      [now + 1, true],
    ] as const) {
      const [answer] = findMounts(car, { ...there, clear: Math.max(0, clear) }).answers;
      expect(answer!.hits.some((gap) => swayBarPartAt(gap) !== null)).toBe(hits);
    }
  });

  test('what is graver at a place is what is said of that car and not, or not so gravely, of the car as it stands', () => {
    const job = demoJobs().find(({ layout }) => layout === 'three-link-panhard')!;
    const upper = linksOf(job.rig).find(({ id }) => id.startsWith('upper'))!;
    const brief: Brief = {
      ...{ format: 'pellik.brief', version: 1 },
      free: [
        ...[
          {
            member: upper.id,
            end: 'axle',
            axis: 2,
            from: upper.axle[2] - 60,
            to: upper.axle[2],
            step: 20,
            alike: true,
          } as const,
        ],
      ],
      targets: [
        { figure: 'antiSquat', near: 100 },
        { figure: 'rollSteer', near: 0 },
      ],
    };
    const bare = { ...job, holes: {} };
    const { answers, edge } = findMounts(bare, brief);
    expect(answers.length).toBeGreaterThan(0);
    const titles = (of: Job) =>
      new Map(looked(of).said.map(({ verdict }) => [asClause(verdict.title), verdict.would]));
    for (const answer of answers) {
      const after = titles(withAnswer(bare, answer));
      for (const { said, stops } of answer.graver!.filter(({ said }) => !said.includes('comes too near')))
        expect(after.get(said)).toBe(stops ? 'stop' : 'look');
    }
    for (const answer of edge) {
      expect(answer.graver).toBeNull();
      expect(graverAt(bare, answer)).toEqual(
        answers.find((a) => dequal(a.changes, answer.changes))?.graver ?? expect.anything(),
      );
    }
  });
});
