import { jobAgreement } from '../../support/agreement';
import { readFileSync } from 'node:fs';
import fc from 'fast-check';
import { advanceBracket, jobConditions, weldStripe } from '@/core/bench/holdPoint';
import { readJob, writeJob } from '@/core/job/file';
import { withoutMembers } from '@/core/job/edits/members/kits';
import type { Job } from '@/core/job/jobSchema';
import { workBar } from '@/core/job/jobValues';
import { newJob } from '@/core/job/newJob';
import { BRACKETS } from '@/core/job/slices/fields';
import { linksOf } from '@/core/rig/members/members';
import { drawStripe } from '@/ui/stripe/stripeEdits';
import { cutLoose, jointState, nextState, release, STATES } from '@/core/weld/holdPoint';
import { measuredKey, stripeKey } from '@/core/weld/conditions/condition';

const NOW = '2026-03-20T10:00:00.000Z';
const WHY = 'Mock-up, comes off again';
const fresh = () => newJob('check', 'Check', 'in16');
const onTheSaw = (job: Job, member: string): Job => ({ ...job, cut: { ...job.cut, member } });
const tacked = (job: Job, bracket: (typeof BRACKETS)[number]): Job => {
  const outcome = advanceBracket(job, jobAgreement(job), [], { bracket }, NOW, WHY);
  if (!outcome.ok) throw new Error('held in spite of its reason');
  return outcome.job;
};

describe('what is welded belongs to a bracket of a member', () => {
  test('another bar on the saw has brackets of its own, and the first keeps its state', () => {
    const job = tacked(tacked(fresh(), 'frame'), 'frame');
    expect(jointState(job, { member: 'panhard', bracket: 'frame' })).toBe('welded');
    const other = onTheSaw(job, 'upper');
    expect(workBar(other)!.id).toBe('upper');
    for (const bracket of BRACKETS) expect(jointState(other, { member: 'upper', bracket })).toBe('scribed');
    const both = tacked(other, 'axle');
    expect(jointState(both, { member: 'upper', bracket: 'axle' })).toBe('tacked');
    expect(jointState(both, { member: 'panhard', bracket: 'frame' })).toBe('welded');
    expect(jointState(both, { member: 'panhard', bracket: 'axle' })).toBe('scribed');
  });

  test('the record tells which member each step was taken on, the reason, and what was open', () => {
    const job = tacked(onTheSaw(tacked(fresh(), 'frame'), 'lower-left'), 'axle');
    expect(job.weld.log.map(({ member, bracket, to, reason }) => [member, bracket, to, reason])).toEqual([
      ['panhard', 'frame', 'tacked', WHY],
      ['lower-left', 'axle', 'tacked', WHY],
    ]);
    for (const { open } of job.weld.log) expect(open!.length).toBeGreaterThan(3);
  });

  test('what was measured and striped for one bar says nothing of another', () => {
    const measured = {
      [measuredKey('panhard', 'eyeToEye')]: 930,
      [measuredKey('panhard', 'onWheels')]: true,
    };
    const job = { ...fresh(), weld: { ...fresh().weld, measured } };
    const striped = jobConditions(job, jobAgreement(job), []).reduce(
      (j, c) => drawStripe(j, stripeKey('panhard', c.id), c.basis),
      job,
    );
    const of = (j: Job, id: string) => jobConditions(j, jobAgreement(j), []).find((c) => c.id === id)!;
    expect(of(striped, 'onWheels')).toMatchObject({ holds: true, stripe: { kind: 'whole' } });
    expect(of(striped, 'eyeToEye').holds).not.toBeNull();
    const other = onTheSaw(striped, 'upper');
    for (const c of jobConditions(other, jobAgreement(other), [])) {
      expect([c.id, c.stripe.kind]).toEqual([c.id, 'none']);
      expect([c.id, c.holds]).toEqual([c.id, null]);
    }
    expect(release(jobConditions(other, jobAgreement(other), []), 'tack').released).toBe(false);
  });

  test('only the bar across the car is asked to be level', () => {
    const ids = (member: string) => jobConditions(onTheSaw(fresh(), member), null).map((c) => c.id);
    expect(ids('panhard')).toEqual(expect.arrayContaining(['level', 'levelAgain']));
    expect(ids('upper')).not.toContain('level');
    expect(ids('upper')).toEqual(expect.arrayContaining(['eyeToEye', 'clearance', 'centred']));
  });

  test('any order of steps on any brackets: each one goes its own way, one state at a time, and all is logged', () => {
    const links = linksOf(fresh().rig).map((m) => m.id);
    const act = fc.record({
      member: fc.constantFrom(...links),
      bracket: fc.constantFrom(...BRACKETS),
      loose: fc.boolean(),
    });
    fc.assert(
      fc.property(fc.array(act, { maxLength: 25 }), (acts) => {
        const states = new Map<string, string>();
        let logged = 0;
        const job = acts.reduce((j, { member, bracket, loose }) => {
          const key = `${member}/${bracket}`;
          const now = jointState(j, { member, bracket });
          expect(now).toBe(states.get(key) ?? 'scribed');
          const next = loose ? 'scribed' : (nextState(j, { member, bracket })?.to ?? null);
          if (next !== null) {
            states.set(key, next);
            logged++;
          }
          return loose ? cutLoose(j, { member, bracket }, NOW, WHY) : tacked(onTheSaw(j, member), bracket);
        }, fresh());
        expect(job.weld.log).toHaveLength(logged);
        for (const [key, state] of states) {
          const [member, bracket] = key.split('/') as [string, 'frame'];
          expect(jointState(job, { member, bracket })).toBe(state);
        }
        expect(readJob(writeJob(job))).toEqual(job);
      }),
      { numRuns: 40 },
    );
  });

  test('the stripe across Weld is whole when every member begun is finished', () => {
    let job = fresh();
    expect(weldStripe(job).kind).toBe('none');
    for (const bracket of BRACKETS) for (let n = 1; n < STATES.welded.length; n++) job = tacked(job, bracket);
    expect(weldStripe(job).kind).toBe('whole');
    expect(weldStripe(tacked(onTheSaw(job, 'upper'), 'frame')).kind).not.toBe('whole');
  });

  test('a member that is taken off takes its brackets along; the log stays', () => {
    const job = tacked(onTheSaw(tacked(fresh(), 'frame'), 'upper'), 'axle');
    const less = withoutMembers(job, ['upper']);
    expect(Object.keys(less.weld.joints)).toEqual(['panhard/frame']);
    expect(less.weld.log).toEqual(job.weld.log);
  });
});

describe('jobs of earlier versions', () => {
  const old = JSON.parse(readFileSync('tests/fixtures/version-3.pellik.json', 'utf8')) as Job & {
    weld: Record<string, unknown>;
  };
  const opened = (change: object) => readJob(JSON.stringify({ ...old, ...change }));

  test('brackets, what was measured, stripes and log go to the bar that was on the saw', () => {
    const stripe = { at: NOW, basis: { answer: true } };
    const weld = {
      joints: { frame: 'welded', axle: 'scribed' },
      measured: { onWheels: true, eyeToEye: 930 },
      log: [{ at: NOW, bracket: 'frame', to: 'welded', reason: WHY, open: ['Bar level'] }],
    };
    const stripes = { 'weld.onWheels': stripe, record: stripe };
    for (const [cut, member] of [
      [old.cut, 'panhard'],
      [{ ...old.cut, member: 'lower-left' }, 'lower-left'],
      [{ ...old.cut, member: 'long gone' }, 'panhard'],
    ] as const) {
      const job = opened({ cut, weld, stripes });
      expect(job.weld.joints).toEqual({ [`${member}/frame`]: 'welded' });
      expect(job.weld.measured).toEqual({ [`${member}/onWheels`]: true, [`${member}/eyeToEye`]: 930 });
      expect(job.weld.log[0]).toEqual({ ...weld.log[0], member });
      expect(Object.keys(job.stripes).sort()).toEqual(['record', `weld.${member}/onWheels`]);
      expect(job.version).toBe(5);
    }
  });

  test('opened, saved and opened again it is one and the same; its geometry is as it was', () => {
    const job = opened({});
    expect(readJob(writeJob(job))).toEqual(job);
    expect(job.rig.members).toEqual(old.rig.members);
    expect(job.rig.track).toBe(old.rig.track);
    expect(job.rig.driveshaft).toEqual({ ...old.rig.driveshaft, od: 76 });
    expect(job.rig.masses).toEqual(old.rig.masses);
    expect(job.readings).toEqual(old.readings);
  });

  test('springs and bar that were designed beside the rig are in it', () => {
    const { springs, bar } = old.roll;
    const job = opened({ rig: { ...old.rig, springs: undefined, swayBars: undefined } });
    expect(job.rig.springs?.length ?? 0).toBe(springs ? 2 : 0);
    expect(job.rig.swayBars?.length ?? 0).toBe(bar?.hooked ? 1 : 0);
  });

  test('what was drawn over a measured figure then is a typed figure now', () => {
    const angles = { transmissionAngleDeg: -1, pinionAngleDeg: 3.25 };
    const rig = { ...old.rig, driveshaft: { ...old.rig.driveshaft!, ...angles } };
    const readings = { ...old.readings, pinionAngle: [{ value: -2, typed: '-2', at: NOW }] };
    const job = opened({ rig, readings, laidOut: true });
    expect(job.rig.driveshaft!.pinionAngleDeg).toBe(3.25);
    expect(job.typed['driveshaft/pinionAngleDeg']).toBe('3.25');
  });
});
