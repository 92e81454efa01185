import { comparingCandidates, compareCandidates } from '@/core/choose/candidates/compare';
import { readBrief } from '@/core/choose/brief';
import { findingMounts, findMounts } from '@/core/choose/findMounts';
import { USUAL_CLOSENESS } from '@/core/choose/builds';
import { spreading, spreadOf } from '@/core/choose/spread';
import { withFound } from '@/core/job/edits/candidates';
import { atOnce, type Steps } from '@/core/numerics/steps';
import { demoJobs } from '@/store/demo';

const [job] = demoJobs();
const brief = readBrief(
  JSON.stringify({
    format: 'pellik.brief',
    version: 1,
    targets: [{ figure: 'rollCentre', near: 300 }],
    free: [
      { member: 'panhard', end: 'axle', axis: 2, from: 250, to: 450, step: 2 },
      { member: 'panhard', end: 'chassis', axis: 2, from: 250, to: 450, step: 2 },
    ],
  }),
);

/** What is told on the way, and the answer. */
function taken<T>(steps: Steps<T>): { shares: number[]; answer: T } {
  const shares: number[] = [];
  for (;;) {
    const { done, value } = steps.next();
    if (done) return { shares, answer: value };
    shares.push(value);
  }
}

describe('a long calculation taken step by step', () => {
  test.each<[string, () => Steps<unknown>, () => unknown, number]>([
    ['places of mounts', () => findingMounts(job!, brief), () => findMounts(job!, brief), 24],
    [
      'builds by chance',
      () => spreading(job!, USUAL_CLOSENESS, { builds: 1000, seed: 3 }),
      () => spreadOf(job!, USUAL_CLOSENESS, { builds: 1000, seed: 3 }),
      10,
    ],
    [
      'ways of building',
      () => comparingCandidates(withFound(job!)),
      () => compareCandidates(withFound(job!)),
      1,
    ],
  ])('%s: tells how far it is, never less than before, and comes to the same', (_, steps, whole, least) => {
    const { shares, answer } = taken(steps());
    expect(shares.length).toBeGreaterThanOrEqual(least);
    expect(shares.every((share, i) => share >= (shares[i - 1] ?? 0) && share <= 1)).toBe(true);
    expect(answer).toEqual(whole());
  });

  test('what is wrong is thrown on the way', () => {
    const nowhere = { ...brief, free: [{ member: 'nothing', end: 'axle', axis: 2, from: 1, to: 2 }] };
    expect(() => atOnce(findingMounts(job!, nowhere as never))).toThrow('a mount that this car has');
  });
});
