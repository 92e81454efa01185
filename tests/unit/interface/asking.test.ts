import { analyseLocate } from '@/core/locate/analyse';
import { assemble } from '@/core/kinematics/mechanism';
import { locateInput, type LocateInput } from '@/core/locate/types';
import type { Rig, Travel } from '@/core/rig/schema';
import { analyseRoll } from '@/core/roll/analyse';
import { withMounts } from '@/core/job/edits/mounts';
import { withRoll } from '@/core/job/edits/roll';
import { newJob } from '@/core/job/newJob';
import { usualBar } from '@/core/swaybar/swayBarDesign';
import { answerHoldsFor, askLocate, useLocate } from '@/workers/locate';
import { askRoll, useRoll } from '@/workers/roll';

const asked = { locate: 0, pose: 0, roll: 0 };
const api = {
  locate: async (input: LocateInput) => {
    asked.locate++;
    return { ok: true, result: analyseLocate(input) };
  },
  pose: async (rig: Rig, rocker: Travel) => {
    asked.pose++;
    return { ok: true, result: assemble(rig).at(rocker) };
  },
  roll: async (...of: Parameters<typeof analyseRoll>) => {
    asked.roll++;
    return { ok: true, result: analyseRoll(...of) };
  },
};
jest.mock('@/workers/physicsWorker', () => ({
  askPhysics: (work: (of: typeof api) => Promise<unknown>) => work(api),
}));

const AT_RIDE = { left: 0, right: 0 };
const plain = newJob('check', 'Check', 'in16');
const job = withRoll(plain, { bar: usualBar(plain.rig) });
const stiffer = withRoll(job, { bar: { ...job.roll.bar!, od: job.roll.bar!.od + 3 } });
const raised = withMounts(job, [{ member: 'panhard', end: 'axle', axis: 2, mm: 350 }]);

test('a sway bar that moves does not have Locate asked again, a mount that moves does', async () => {
  await askLocate({ job, rocker: AT_RIDE });
  expect([answerHoldsFor(job), answerHoldsFor(stiffer), answerHoldsFor(raised)]).toEqual([true, true, false]);
  await askLocate({ job: stiffer, rocker: AT_RIDE });
  expect([asked.locate, useLocate.getState().job]).toEqual([1, stiffer]);
  await askLocate({ job: raised, rocker: AT_RIDE });
  expect([asked.locate, answerHoldsFor(job), answerHoldsFor(raised)]).toEqual([2, false, true]);
});

test('where only the rocker moves the pose alone is asked, and all is as if it had been worked out there', async () => {
  await askLocate({ job, rocker: AT_RIDE });
  const before = asked.locate;
  for (const rocker of [
    { left: 10, right: 0 },
    { left: -25, right: 30 },
  ]) {
    await askLocate({ job, rocker });
    expect(useLocate.getState().result).toEqual(analyseLocate(locateInput(job, rocker)));
    expect(answerHoldsFor(job)).toBe(true);
  }
  expect([asked.locate - before, asked.pose]).toEqual([0, 2]);
  await askLocate({ job: raised, rocker: { left: -25, right: 30 } });
  await askLocate({ job: raised, rocker: AT_RIDE });
  expect([asked.locate - before, asked.pose]).toEqual([1, 3]);
  expect(useLocate.getState().result).toEqual(analyseLocate(locateInput(raised, AT_RIDE)));
});

test('Roll is asked once for one question, and again for another car, place of the axle or part', async () => {
  const whatIf = {};
  const once = { job, rocker: AT_RIDE, part: 'bar' as const, whatIf };
  await askRoll(once);
  const { result } = useRoll.getState();
  await askRoll({ ...once });
  expect([asked.roll, useRoll.getState().result]).toEqual([1, result]);
  for (const other of [{ job: stiffer }, { rocker: { left: 10, right: -10 } }, { part: 'springs' as const }])
    await askRoll({ ...once, ...other });
  expect(asked.roll).toBe(4);
  await askRoll(once);
  expect(useRoll.getState().result!.bar!.rollRate).toBeCloseTo(result!.bar!.rollRate, 9);
});
