import fc from 'fast-check';
import { readBrief, type Brief } from '@/core/choose/brief';
import { withAnswer } from '@/core/choose/answer';
import { findMounts } from '@/core/choose/findMounts';
import { withRoll } from '@/core/job/edits/roll';
import type { Job } from '@/core/job/jobSchema';
import { analyseRoll } from '@/core/roll/analyse';
import { rollInput } from '@/core/roll/input';
import { apartAtFeet, type BarDesign } from '@/core/swaybar/swayBarDesign';
import { demoJobs } from '@/store/demo';
import { assertUntil } from '../../support/until';

const corner = (of: Job) => analyseRoll(rollInput(of, { left: 0, right: 0 }), 'balance').corner;
const cars = demoJobs().filter((job) => job.roll.bar?.hooked && corner(job) !== null);

/** The car with a right link of its own, that stands so much farther out than the left one. */
function withOwnRight(job: Job, by: number): Job {
  const bar = job.roll.bar!;
  const right = { link: bar.link, foot: { ...bar.foot, out: bar.foot.out + by } };
  return withRoll(job, { bar: { ...bar, right } });
}

const brief = (near: number, free: Brief['free']): Brief => ({
  ...{ format: 'pellik.brief', version: 1, free },
  targets: [{ figure: 'frontShare', near }],
});

describe('the feet of a sway bar’s links among what may move', () => {
  test('the place nearest to a share is that of all choices of feet and hole, but for what is passed over, and Roll works it out so once it is set', () => {
    let allTold = 0;
    assertUntil(
      fc.property(
        fc.constantFrom(...cars),
        fc.constantFrom(0 as const, 1 as const),
        fc.option(fc.integer({ min: -15, max: 15 })),
        fc.integer({ min: -30, max: 30 }),
        (car, axis, own, by) => {
          const job = own === null ? car : withOwnRight(car, own);
          const bar = job.roll.bar!;
          const key = axis === 0 ? 'ahead' : 'out';
          const from = bar.foot[key] - 10;
          const near = corner(job)!.frontShare + by / 1000;
          const feet = { swayBar: 'feet', axis, from, to: from + 30, step: 15 } as const;
          const { answers, tried, blocked } = findMounts(job, brief(near, [feet, { swayBar: 'hole' }]));
          expect(tried).toBe(3 * bar.holes);
          const placed = (move: number, hole: number): BarDesign => {
            const moved = (foot: BarDesign['foot']) => ({ ...foot, [key]: foot[key] + move });
            const right = bar.right && { ...bar.right, foot: moved(bar.right.foot) };
            return { ...bar, hole, foot: moved(bar.foot), ...(right && { right }) };
          };
          const shares = [-10, 5, 20].flatMap((move) =>
            Array.from({ length: bar.holes }, (_, hole) =>
              corner(withRoll(job, { bar: placed(move, hole) })),
            ),
          );
          const off = shares.flatMap((of) => (of ? [Math.abs(of.frontShare - near)] : []));
          const nearest = Math.min(...answers.map(({ figures }) => Math.abs(figures.frontShare! - near)));
          expect(nearest).toBeGreaterThan(Math.min(...off) - 1e-9);
          if (!blocked) {
            allTold++;
            expect(nearest).toBeCloseTo(Math.min(...off), 9);
          }
          for (const answer of answers) {
            const set = withAnswer(job, answer);
            expect(set.roll.bar).toEqual(placed(answer.feet![key] - bar.foot[key], answer.hole!));
            expect(corner(set)!.frontShare).toBeCloseTo(answer.figures.frontShare!, 8);
            const apart = axis === 1 ? 2 * (answer.feet!.out - bar.foot.out) : 0;
            expect(apartAtFeet(set.roll.bar!) - apartAtFeet(bar)).toBeCloseTo(apart, 9);
          }
        },
      ),
      { numRuns: 15 },
      () => allTold > 0,
    );
  });

  test('a brief says from where to where, of a bar that is on', () => {
    const text = (free: object) =>
      JSON.stringify({
        ...{ format: 'pellik.brief', version: 1, free: [free] },
        targets: [{ figure: 'rollCentre', near: 300 }],
      });
    expect(() => readBrief(text({ swayBar: 'feet', axis: 1, from: 0 }))).toThrow(/free/);
    expect(() => readBrief(text({ swayBar: 'feet', axis: 2, from: 0, to: 5 }))).toThrow(/free/);
    const [car] = cars;
    const off = withRoll(car!, { bar: { ...car!.roll.bar!, hooked: false } });
    const asked = readBrief(text({ swayBar: 'feet', axis: 1, from: 0, to: 5 }));
    expect(() => findMounts(off, asked)).toThrow(/free\[0\].*hooked up/);
  });
});
