import { readingsThatHelp } from '@/core/advice/helps';
import { lookAt } from '@/core/advice/look';
import { USUAL_CG_HEIGHT } from '@/core/job/applyReadings';
import { usualOtherEnd } from '@/core/balance/otherEnd';
import { withPlaced } from '@/core/job/placed';
import type { Job } from '@/core/job/jobSchema';
import { isGuess, inputOf } from '@/core/provenance/inputs';
import { demoJobs } from '@/store/demo';

const demo = (name: string): Job => demoJobs().find(({ id }) => id === `demo-${name}`)!;
const untyped = (job: Job, path: string): Job => ({
  ...job,
  typed: Object.fromEntries(Object.entries(job.typed).filter(([key]) => key !== path)),
});

test('where nothing is guessed nothing would help', () => {
  expect(readingsThatHelp(demo('tinker'))).toEqual({});
});

test('what is named is guessed, and among what its verdict hangs on', () => {
  const car = demo('cinder');
  const helps = readingsThatHelp(car);
  expect(Object.keys(helps)).toEqual(
    expect.arrayContaining(['level', 'length', 'anti-squat', 'roll-steer', 'rollAngle']),
  );
  for (const id of Object.values(helps)) expect(isGuess(inputOf(car, id))).toBe(true);
  for (const { verdict } of lookAt(car).said) {
    const most = helps[verdict.id];
    if (most)
      expect([verdict.id, verdict.guesses.map(({ id }) => id)]).toEqual([
        verdict.id,
        expect.arrayContaining([most]),
      ]);
  }
  // A level bar is off level by its own two ends.
  expect(helps.level).toMatch(/^mount\.panhard/);
  expect(helps['anti-squat']).toMatch(/^mount\.(lower|upper)/);
});

test('once the mounts stand, anti-squat hangs on the height of the centre of gravity, the lean on that or the other end', () => {
  const tinker = demo('marigold');
  const guessed = untyped({ ...tinker, rig: { ...tinker.rig, cgHeight: USUAL_CG_HEIGHT } }, 'cgHeight');
  expect(readingsThatHelp(guessed)['anti-squat']).toBe('cgHeight');
  const front = demo('tinker');
  const other = { ...front, rig: { ...front.rig, otherEnd: usualOtherEnd(front.rig) } };
  expect(readingsThatHelp(other)).toMatchObject({ balance: 'otherEnd', rollAngle: 'otherEnd' });
});

test('a mount that is said to go there counts no more', () => {
  const car = demo('cinder');
  const { level } = readingsThatHelp(car);
  const then = readingsThatHelp(withPlaced(car, [level!.replace('mount.', '')]));
  expect(then.level).toMatch(/^mount\.panhard/);
  expect(then.level).not.toBe(level);
});
