import fc from 'fast-check';
import { adviseOn, type Advice } from '@/core/advice/advise';
import { afterRemedy, checkJob } from '@/core/advice/check';
import { curesFor } from '@/core/advice/cures';
import { sayTrade } from '@/core/advice/words';
import { gravities, lookAt, type Look } from '@/core/advice/look';
import { readJob, writeJob } from '@/core/job/file';
import { withLayout } from '@/core/job/edits/members/layout';
import { newJob } from '@/core/job/newJob';
import type { Job } from '@/core/job/jobSchema';
import { assemble } from '@/core/kinematics/mechanism';
import { LIMITS } from '@/core/materials/limits';
import { withRemedy } from '@/core/verdict/remedy';
import { mountsOf, type MountChange } from '@/core/rig/mounts';
import { InputError, orNone } from '@/core/rig/read';
import { demoJobs } from '@/store/demo';
import { plausibleCar } from '../../support/plausible';
import { assertUntil } from '../../support/until';

const RUNS = Number(process.env.ADVICE_RUNS ?? 20);

/** The gravest of each kind of thing that is said, whatever it is said of; the strength of parts that nobody told the sizes of only beside others like it. */
function gravest({ said }: Look, about: string): Map<string, number> {
  const rank = { ok: 0, look: 1, stop: 2 };
  const worst = new Map<string, number>();
  for (const { station, verdict } of said) {
    if (verdict.id === 'first-to-go') continue;
    if (station === 'prove' && verdict.state === 'unknown' && about !== 'prove') continue;
    const key = `${station} ${verdict.id.split(' ')[0]!}`;
    worst.set(key, Math.max(rank[verdict.would], worst.get(key) ?? 0));
  }
  return worst;
}

/** How far anti-squat, roll steer and sideways movement are out of what suits a car, each by what is felt of it. */
const outOf = ({ numbers: { antiSquat, rollSteer, sideways } }: Look, { use, locate }: Job): number[] =>
  [
    { value: antiSquat, range: LIMITS.antiSquat[use], felt: 5 },
    { value: rollSteer, range: LIMITS.rollSteer, felt: 0.01 },
    { value: sideways, range: [-Infinity, locate.shiftLimit], felt: 0.4 },
  ].map(({ value, range, felt }) =>
    value === null ? 0 : Math.max(0, range[0]! - value, value - range[1]!) / felt,
  );

/** Some cars cannot be held at all: nothing is advised about them. */
const looked = (job: Job): Look | null => orNone(() => lookAt(job));

test('every remedy with a button betters its verdict and worsens none; what does at a price says so; none works against another', () => {
  const seen = { offered: 0, priced: 0 };
  fc.assert(
    fc.property(plausibleCar, (job) => {
      const before = looked(job);
      if (!before) return;
      const advice = adviseOn(job, before);
      for (const { station, about, offered, priced } of advice) {
        for (const { remedy } of offered) {
          seen.offered++;
          // What is taken is kept in a file, and looked at by whoever opens that.
          const after = lookAt(readJob(writeJob(withRemedy(job, remedy))));
          const was = gravest(before, station);
          for (const [key, rank] of gravest(after, station))
            expect([remedy.text, key, rank <= (was.get(key) ?? 0)]).toEqual([remedy.text, key, true]);
          // A stop is cured even where a number that wants a look goes farther out.
          const strength = station === 'prove';
          const stopped = gravities(before, strength).get(`${station} ${about}`) === 2;
          const wasOut = outOf(before, job);
          outOf(after, job).forEach((out, k) =>
            expect([remedy.text, stopped || wasOut[k] === 0 || out <= wasOut[k]! + 1]).toEqual([
              remedy.text,
              true,
            ]),
          );
          const key = `${station} ${about}`;
          expect(gravities(after, strength).get(key) ?? 0).toBeLessThan(
            gravities(before, strength).get(key)!,
          );
        }
        for (const { remedy, spoils, helps } of priced) {
          seen.priced++;
          expect(helps).toBe(false);
          expect(spoils.length).toBeGreaterThan(0);
          expect(offered.map((o) => o.remedy.text)).not.toContain(remedy.text);
        }
      }
      expectNoneAgainst(job, advice);
    }),
    { numRuns: RUNS, endOnFailure: true },
  );
  expect(seen.offered).toBeGreaterThan(1);
  expect(seen.priced).toBeGreaterThan(0);
});

/** No way that is offered moves a mount against a way that is offered about something else. */
function expectNoneAgainst(job: Job, advice: Advice[]): void {
  const now = ({ member, end, axis }: MountChange) =>
    mountsOf(job.rig, member).find(({ key }) => key === end)!.point[axis];
  const against = (p: MountChange, q: MountChange) =>
    p.member === q.member && p.end === q.end && p.axis === q.axis && (p.mm - now(p)) * (q.mm - now(q)) < 0;
  const moves = advice
    .map(({ offered }) => offered.map(({ remedy }) => remedy.changes ?? []))
    .filter((ways) => ways.length > 0);
  moves.forEach((one, i) =>
    moves.slice(i + 1).forEach((other) => {
      const opposite = one.some((a) => other.some((b) => a.some((p) => b.some((q) => against(p, q)))));
      expect(opposite).toBe(false);
    }),
  );
}

/** A car of the demo that has something to mend. */
const tinker = demoJobs().find(({ name }) => name.startsWith('Tinker'))!;

test('the command’s answer takes a remedy by its id, and refuses one that is not there', () => {
  let taken = 0;
  assertUntil(
    fc.property(plausibleCar, (job) => {
      if (!looked(job)) return;
      const { stations } = checkJob(job);
      const remedy = [...stations.locate!, ...stations.roll!].flatMap((v) => v.remedies).find((r) => r.id);
      if (!remedy) return;
      taken++;
      const after = afterRemedy(job, remedy.id!);
      for (const { member, end, axis, mm } of remedy.changes ?? []) {
        const moved = after.rig.members.find((m) => m.id === member) as unknown as Record<string, number[]>;
        expect(moved[end]![axis]).toBeCloseTo(mm, 9);
      }
      expect(() => afterRemedy(job, 'locate/nothing/0')).toThrow(InputError);
    }),
    { numRuns: 6, endOnFailure: true, examples: [[tinker]] },
    () => taken > 0,
  );
});

test('what is searched for cures the number that it is searched for, by the solver, at either end of the car', () => {
  let cured = 0;
  assertUntil(
    fc.property(plausibleCar, fc.constantFrom('anti-squat', 'roll-steer'), (job, id) => {
      const { cures } = curesFor(job, id);
      for (const remedy of cures.slice(0, 3)) {
        cured++;
        const { use, rig } = withRemedy(job, remedy);
        const { antiSquatPct, rollSteer } = assemble(rig).ride;
        const [least, most] = id === 'anti-squat' ? LIMITS.antiSquat[use] : LIMITS.rollSteer;
        const value = id === 'anti-squat' ? antiSquatPct! : rollSteer!;
        expect(value).toBeGreaterThanOrEqual(least);
        expect(value).toBeLessThanOrEqual(most);
      }
    }),
    { numRuns: 30, endOnFailure: true },
    () => cured > 5,
  );
});

test('what each step is worth is what one step does, solved, and is told the way that it goes', () => {
  let told = 0;
  for (const job of demoJobs()) {
    const before = lookAt(job);
    for (const { priced } of adviseOn(job, before))
      for (const { remedy, trade } of priced) {
        if (!trade || trade.effects.length === 0) continue;
        told++;
        const axis = ['ahead', 'to the left', 'up'].indexOf(trade.way);
        const stepped = remedy.changes!.map((change) => {
          const mount = mountsOf(job.rig, change.member).find(({ key }) => key === change.end)!;
          expect(change.axis).toBe(axis);
          return { ...change, mm: mount.point[axis]! + trade.step };
        });
        const { numbers } = lookAt(withRemedy(job, { text: '', changes: stepped }));
        for (const { what, from, to } of trade.effects) {
          expect(from).toBe(before.numbers[what]);
          expect(to).toBeCloseTo(numbers[what]!, 9);
        }
        expect(sayTrade(trade, job.tape)).toMatch(
          /^Each (1\/2 in|10 mm|hole) (up|ahead|to the left): .* [+−]\d/,
        );
      }
  }
  expect(told).toBeGreaterThan(3);
});

test('a bracket with holes is weighed by the hole', () => {
  const job = demoJobs().find(({ id }) => id === 'demo-nightjar')!;
  const front = (id: string) => mountsOf(job.rig, id).find(({ key }) => key === 'chassis')!.point[2];
  const arms = ['ladder-left', 'ladder-right'];
  const holed: Job = {
    ...job,
    holes: Object.fromEntries(
      arms.map((id) => [`${id}/chassis`, { lowest: front(id) - 2 * 19.05, pitch: 19.05, count: 5 }]),
    ),
  };
  const { priced } = adviseOn(holed).find(({ about }) => about.startsWith('anti-squat'))!;
  expect(priced[0]!.remedy.text).toMatch(/holes? \(/);
  expect(priced[0]!.trade).toMatchObject({ step: 19.05, byHole: true, way: 'up' });
  expect(sayTrade(priced[0]!.trade!, 'in16')).toMatch(/^Each hole up: .*anti-squat \+/);
});

test('towards a transmission whose angle nobody has read no pinion is turned; towards one that was read, it is', () => {
  const car = withLayout(newJob('car', 'Car', 'mm'), 'three-link-panhard');
  const { driveshaft } = car.rig;
  const steep = { ...car, rig: { ...car.rig, driveshaft: { ...driveshaft!, pinionAngleDeg: 6 } } };
  expect(curesFor(steep, 'shaft-angles').cures).toEqual([]);
  const told = { ...steep, typed: { ...steep.typed, 'driveshaft/transmissionAngleDeg': '2' } };
  expect(curesFor(told, 'shaft-angles').cures.length).toBeGreaterThan(0);
});
