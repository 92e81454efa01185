import { bayModel } from '@/bay/model/bayModel';
import { flagPlace } from '@/bay/model/flagPlaces';
import { judgeLocate } from '@/core/bench/judge/locate';
import { lookAt } from '@/core/advice/look';
import { analyseLocate } from '@/core/locate/analyse';
import { locateInput } from '@/core/locate/types';
import { mountsOf } from '@/core/rig/mounts';
import { placeOf, whereAt } from '@/core/verdict/verdict';
import { demoJobs } from '@/store/demo';

const AT_RIDE = { left: 0, right: 0 };
const cars = demoJobs().map((job) => [job.id, job] as const);

/** The car as the bay draws it, and all that is said of it. */
function drawn(job: (typeof cars)[number][1]) {
  const input = locateInput(job, AT_RIDE);
  const result = analyseLocate(input);
  return { model: bayModel(job, result, null), verdicts: judgeLocate(job, input, result), result };
}

test.each(cars)('%s: everything that is said of what is laid out has a place in the car', (_, job) => {
  const { model } = drawn(job);
  for (const { verdict } of lookAt(job).said) {
    const place = flagPlace(model, verdict);
    expect([verdict.id, place === null]).toEqual([verdict.id, false]);
    // Within the car, or as far ahead as its shaft and links reach.
    const [x, y, z] = place!.point;
    expect([verdict.id, Math.abs(y) <= job.rig.track, z > -50 && z < 2000, Math.abs(x) < 2500]).toEqual([
      verdict.id,
      true,
      true,
      true,
    ]);
  }
});

test.each(cars)('%s: what is said of a joint stands at its eye, of two bodies between them', (_, job) => {
  const { model, verdicts, result } = drawn(job);
  const joint = verdicts.lengthwise.find(({ id }) => id === 'joints');
  if (joint) {
    const [member, end] = placeOf(joint).split('/');
    const eye = mountsOf(job.rig, member!).find(({ key }) => key === end)!;
    const [x, y, z] = flagPlace(model, joint)!.point;
    expect(Math.hypot(x - eye.point[0], y - eye.point[1], z - eye.point[2])).toBeLessThan(0.01);
  }
  for (const { a, b } of result.gaps.slice(0, 8)) {
    const of = (id: string) => flagPlace(model, { id: 'clearance', where: `${id} / ${id}` });
    const between = flagPlace(model, { id: 'clearance', where: whereAt(`${a} / ${b}`, 'at ride height') });
    expect([a, b, between === null]).toEqual([a, b, false]);
    // It does not matter which of the two is named first.
    const other = flagPlace(model, { id: 'clearance', where: `${b} / ${a}` })!;
    between!.point.forEach((v, k) => expect(v).toBeCloseTo(other.point[k]!, 6));
    expect(of(a) === null && of(b) === null).toBe(false);
  }
});

test('what is not of the car has no flag', () => {
  const { model } = drawn(demoJobs()[0]!);
  expect(flagPlace(model, { id: 'wrong-track' })).toBeNull();
  expect(flagPlace(model, { id: 'clearance', where: 'nothing / nobody' })).toBeNull();
});
