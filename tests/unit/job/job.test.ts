import { unsound } from '../../support/numbers';
import { jobAgreement } from '../../support/agreement';
import fc from 'fast-check';
import { advanceBracket, jobConditions } from '@/core/bench/holdPoint';
import { cutLoose, isVerified, jointState, release } from '@/core/weld/holdPoint';
import { stationStripe } from '@/core/bench/stripes';
import { makeBar, windTube, type BarSpec } from '@/core/fabricate/adjustableBar';
import { checkBar } from '@/core/cut/barChecks';
import { THREAD_NAMES } from '@/core/materials/threads';
import { describeBar } from '@/core/rig/lateralBar';
import { checkRecord } from '@/core/record/recordChecks';
import { measured } from '@/core/survey/readings';
import { approachOf } from '@/core/record/jobRecord';
import { demoJobs } from '@/store/demo';
import { drawStripe } from '@/ui/stripe/stripeEdits';
import type { Job } from '@/core/job/jobSchema';
import { workBar } from '@/core/job/jobValues';
import { specOf } from '@/core/job/made/parts';
import { located } from '../../support/locate';
import { newJob } from '@/core/job/newJob';
import { withMounts } from '@/core/job/edits/mounts';
import { applyReadings } from '@/core/job/applyReadings';
import { measuredKey, stripeKey } from '@/core/weld/conditions/condition';
import { settingOf, type BarTurn } from '@/core/ride/alignment';
import { turnsSoFar } from '@/core/ride/turns/turns';

const NOW = '2026-03-20T10:00:00.000Z';
const reading = (mm: number, struck?: boolean) => ({
  value: mm,
  typed: String(mm),
  at: NOW,
  ...(struck ? { struck } : {}),
});
const withGaps = (job: Job, left: number, right: number): Job => ({
  ...job,
  ride: { ...job.ride, gaps: { left, right } },
});
const recordChecks = (readings: Job['readings']) => checkRecord(readings, null, approachOf(fresh()), 'mm');
/** What was measured of a bar, as the job keeps it. */
const ofBar = <T>(bar: string, measured: Record<string, T>) =>
  Object.fromEntries(Object.entries(measured).map(([key, value]) => [measuredKey(bar, key), value]));
const fresh = () => newJob('check', 'Check', 'mm');
const verdictsOf = (job: Job) => located(job).verdicts.sideways;
const verdict = (job: Job, id: string) => verdictsOf(job).find((v) => v.id === id);

describe('record', () => {
  test('readings are averaged, struck ones are not, and the rig follows', () => {
    const job = applyReadings({
      ...fresh(),
      readings: {
        track: [reading(1400), reading(1404), reading(1600, true)],
        'tireRadius.left': [reading(320)],
        'tireRadius.right': [reading(330)],
      },
    });
    expect(measured(job.readings, 'track')).toMatchObject({ value: 1402, spread: 4, count: 2 });
    expect(job.rig.track).toBe(1402);
    expect(job.rig.tireRadius).toBe(325);
  });

  test('mounts follow the pattern until one is moved, then stay', () => {
    const wider = { ...fresh(), readings: { track: [reading(1700)] } };
    expect(workBar(applyReadings(wider))!.chassis[1]).toBeGreaterThan(workBar(fresh())!.chassis[1]);
    const moved = withMounts(fresh(), [{ member: 'panhard', end: 'axle', axis: 2, mm: 350 }]);
    expect(workBar(applyReadings({ ...moved, readings: { track: [reading(1700)] } }))!).toEqual(
      workBar(moved)!,
    );
  });

  test('spread, sides, squareness and offset are pointed out, each with its numbers', () => {
    const ids = (readings: Job['readings']) => recordChecks(readings).map((v) => v.id);
    expect(ids({ track: [reading(1400), reading(1401)] })).toEqual([]);
    expect(ids({ track: [reading(1400), reading(1401), reading(1410)] })).toEqual(['spread-track']);
    expect(
      recordChecks({ track: [reading(1400), reading(1401), reading(1410)] })[0]!.remedies[0]!.text,
    ).toContain('1410');
    expect(ids({ 'tireRadius.left': [reading(330)], 'tireRadius.right': [reading(322)] })).toEqual([
      'sides-tireRadius',
    ]);
    const square = recordChecks({
      track: [reading(1400)],
      'wheelbase.left': [reading(2800)],
      'wheelbase.right': [reading(2790)],
    });
    expect(square[0]!.title).toContain('0.41°'); // atan(10/1400)
    expect(
      recordChecks({ 'gapFrame.left': [reading(120)], 'gapFrame.right': [reading(110)] })[0]!.title,
    ).toContain('5 mm to the left');
  });

  test('travel to the stop beyond the room between tube and rail is caught, by the tighter side; what was not read is not judged', () => {
    const said = (bump: number | null, left: number | null, right: number | null) =>
      recordChecks({
        ...(bump !== null && { bump: [reading(bump)] }),
        ...(left !== null && { 'axleToFrame.left': [reading(left)] }),
        ...(right !== null && { 'axleToFrame.right': [reading(right)] }),
      }).find((v) => v.id === 'bump-room');
    expect(said(70, 90, 80)).toBeUndefined();
    expect(said(70, 70, 70)).toBeUndefined();
    for (const [left, right, side] of [
      [90, 58, 'right'],
      [58, 90, 'left'],
      [58, null, 'left'],
    ] as const) {
      const caught = said(70, left, right)!;
      expect(caught.state).toBe('stop');
      expect(caught.reason).toContain(`58 mm on the ${side}`);
      expect(caught.remedies[0]!.text).toContain('by 12 mm');
    }
    expect(said(70, 69.5, 90)!.state).toBe('look');
    expect(said(null, 58, 58)).toBeUndefined();
    expect(said(70, null, null)).toBeUndefined();
  });
});

describe('locate', () => {
  test('a pattern bar on a new job holds in everything but what it was not given room for', () => {
    expect(verdictsOf(fresh()).filter((v) => v.state === 'stop')).toEqual([]);
  });

  test('taking the remedy mends what it was offered for', () => {
    const spoilt: [string, Parameters<typeof withMounts>[1]][] = [
      ['level', [{ member: 'panhard', end: 'chassis', axis: 2, mm: 420 }]],
      ['plan', [{ member: 'panhard', end: 'chassis', axis: 0, mm: -260 }]],
      ['crossed', [{ member: 'panhard', end: 'chassis', axis: 1, mm: -200 }]],
      ['tyre', [{ member: 'panhard', end: 'axle', axis: 1, mm: -640 }]],
      ['length', [{ member: 'panhard', end: 'chassis', axis: 1, mm: 30 }]],
      [
        'clearance',
        (['chassis', 'axle'] as const).map((end) => ({ member: 'panhard', end, axis: 0 as const, mm: -150 })),
      ],
    ];
    for (const [id, changes] of spoilt) {
      const job = { ...withMounts(fresh(), changes), locate: { ...fresh().locate, shiftLimit: 5 } };
      const found = verdict(job, id)!;
      expect([id, found.state]).not.toEqual([id, 'ok']);
      const remedy = found.remedies.find((r) => r.changes)!;
      expect([id, verdict(withMounts(job, remedy.changes!), id)?.state ?? 'ok']).toEqual([id, 'ok']);
    }
  });

  test('the remedy for a short bar is the shortest that holds', () => {
    const job = withMounts(fresh(), [{ member: 'panhard', end: 'chassis', axis: 1, mm: 30 }]);
    const loose = { ...job, locate: { ...job.locate, shiftLimit: 5 } };
    const changes = verdict(loose, 'length')!.remedies[0]!.changes!;
    const shorter = changes.map((c) => (c.axis === 1 ? { ...c, mm: c.mm - 8 } : c));
    expect(verdict(withMounts(loose, shorter), 'length')!.state).not.toBe('ok');
  });

  test('both ends on one point changes nothing', () => {
    const job = fresh();
    const [x, y, z] = workBar(job)!.axle;
    const onto = [x, y, z].map((mm, axis) => ({
      member: 'panhard',
      end: 'chassis' as const,
      axis: axis as 0 | 1 | 2,
      mm,
    }));
    expect(withMounts(job, onto)).toBe(job);
  });

  test('a bar out of reach stops, without a NaN anywhere', () => {
    let job = withMounts(fresh(), [
      { member: 'panhard', end: 'chassis', axis: 1, mm: 20 },
      { member: 'panhard', end: 'axle', axis: 1, mm: -20 },
    ]);
    job = applyReadings({ ...job, readings: { bump: [reading(120)] } });
    expect(verdict(job, 'reach')!.state).toBe('stop');
    expect(unsound(verdictsOf(job))).toEqual([]);
  });
});

describe('cut', () => {
  const length = (least: number, most: number) => fc.double({ min: least, max: most, noNaN: true });
  const end = fc.record({
    toShoulder: length(30, 80),
    showing: length(0, 30),
    shank: length(40, 80),
    bung: length(30, 70),
  });
  const spec: fc.Arbitrary<BarSpec> = fc.record({
    thread: fc.constantFrom(...THREAD_NAMES),
    ends: fc.record({ frame: end, axle: end }),
    engagementRule: length(0, 40),
    tube: fc.constant({ od: 32, wall: 3 }),
  });

  test('tube and ends add up; winding to either limit lands exactly on it', () => {
    fc.assert(
      fc.property(spec, length(700, 1200), (s, eyeToEye) => {
        const bar = makeBar(eyeToEye, s);
        const total = (x: BarSpec) =>
          bar.tubeLength +
          x.ends.frame.toShoulder +
          x.ends.frame.showing +
          x.ends.axle.toShoulder +
          x.ends.axle.showing;
        expect(total(s)).toBeCloseTo(eyeToEye, 9);
        const home = windTube(s, -bar.shorten.turns);
        expect(Math.min(home.ends.frame.showing, home.ends.axle.showing)).toBeCloseTo(0, 9);
        expect(total(home)).toBeCloseTo(eyeToEye - bar.shorten.mm, 9);
        if (bar.lengthen.turns > 0) {
          const out = makeBar(eyeToEye + bar.lengthen.mm, windTube(s, bar.lengthen.turns));
          expect(Math.min(out.ends.frame.engagement, out.ends.axle.engagement)).toBeCloseTo(bar.limit, 9);
        }
      }),
    );
  });

  test('too little thread stops; too little adjustment wants a look', () => {
    const job = fresh();
    const thin = {
      ...specOf(job, 'panhard'),
      ends: { ...specOf(job, 'panhard').ends, axle: { toShoulder: 50, showing: 30, shank: 55, bung: 50 } },
    };
    const states = Object.fromEntries(checkBar(thin, makeBar(900, thin), 'mm').map((v) => [v.id, v.state]));
    expect(states).toMatchObject({ 'thread-frame': 'ok', 'thread-axle': 'stop', adjustment: 'look' });
    expect(checkBar(thin, makeBar(100, thin), 'mm').find((v) => v.id === 'tube')?.state).toBe('stop');
  });
});

describe('weld', () => {
  /** Everything measured as designed and striped. */
  function allChecked(job: Job): Job {
    const bar = workBar(job)!;
    const level = { frame: bar.chassis[2], axle: bar.axle[2] };
    const measuredAll: Record<string, number | boolean> = {
      onWheels: true,
      fit: true,
      cycled: true,
      partsOut: true,
      'level.frame': level.frame,
      'level.axle': level.axle,
      'levelAgain.frame': level.frame,
      'levelAgain.axle': level.axle,
      eyeToEye: describeBar(bar).eyeToEye,
      clearance: 15,
      'thread.frame': job.cut.ends.frame.showing,
      'thread.axle': job.cut.ends.axle.showing,
      'centred.left': 120,
      'centred.right': 121,
      'centredAgain.left': 120,
      'centredAgain.right': 120,
    };
    const done = { ...job, weld: { ...job.weld, measured: ofBar(bar.id, measuredAll) } };
    return jobConditions(done, jobAgreement(done), []).reduce(
      (j, c) => drawStripe(j, stripeKey(bar.id, c.id), c.basis),
      done,
    );
  }

  test('nothing is released until every condition holds and is striped', () => {
    expect(release(jobConditions(fresh(), jobAgreement(fresh()), []), 'tack').released).toBe(false);
    expect(advanceBracket(fresh(), jobAgreement(fresh()), [], { bracket: 'frame' }, NOW).ok).toBe(false);
    const job = allChecked(fresh());
    expect(
      jobConditions(job, jobAgreement(job), [])
        .filter((c) => !isVerified(c))
        .map((c) => [c.id, c.problem]),
    ).toEqual([]);
    const tacked = advanceBracket(job, jobAgreement(job), [], { bracket: 'frame' }, NOW);
    expect(tacked.ok && tacked.job.weld.joints).toEqual({ 'panhard/frame': 'tacked' });
  });

  test('moving a mount after the check breaks the stripes that rest on it, and says what moved', () => {
    const job = allChecked(fresh());
    const moved = withMounts(job, [
      { member: 'panhard', end: 'chassis', axis: 2, mm: workBar(job)!.chassis[2] + 10 },
    ]);
    const broken = jobConditions(moved, jobAgreement(moved), [])
      .filter((c) => c.stripe.kind === 'broken')
      .map((c) => c.id);
    expect(broken).toEqual(expect.arrayContaining(['level', 'eyeToEye', 'clearance', 'levelAgain']));
    expect(broken).not.toContain('centred');
    const level = jobConditions(moved, jobAgreement(moved), []).find((c) => c.id === 'level')!.stripe;
    expect(level.kind === 'broken' && level.changes.join()).toMatch(/frame end, off the floor was .* is now/);
    expect(release(jobConditions(moved, jobAgreement(moved), []), 'tack').released).toBe(false);
    // Back where it was, the stripe is whole again: it is the value that counts.
    const back = withMounts(moved, [
      { member: 'panhard', end: 'chassis', axis: 2, mm: workBar(job)!.chassis[2] },
    ]);
    expect(release(jobConditions(back, jobAgreement(back), []), 'tack').released).toBe(true);
  });

  test('an override needs its reason, and both stay in the record with what was open', () => {
    expect(advanceBracket(fresh(), jobAgreement(fresh()), [], { bracket: 'axle' }, NOW, '   ').ok).toBe(
      false,
    );
    const gone = advanceBracket(
      fresh(),
      jobAgreement(fresh()),
      [],
      { bracket: 'axle' },
      NOW,
      'Mock-up only, comes off again',
    );
    if (!gone.ok) throw new Error('held');
    expect(jointState(gone.job, { member: 'panhard', bracket: 'axle' })).toBe('tacked');
    expect(gone.job.weld.log[0]).toMatchObject({
      member: 'panhard',
      bracket: 'axle',
      to: 'tacked',
      reason: 'Mock-up only, comes off again',
    });
    expect(gone.job.weld.log[0]!.open).toHaveLength(7);
    const loose = cutLoose(gone.job, { member: 'panhard', bracket: 'axle' }, NOW, 'Moved');
    expect(jointState(loose, { member: 'panhard', bracket: 'axle' })).toBe('scribed');
    expect(loose.weld.log).toHaveLength(2);
  });

  test('a measurement that is off holds nothing and says by how much', () => {
    const job = fresh();
    const off = {
      ...job,
      weld: {
        ...job.weld,
        measured: ofBar('panhard', {
          'level.frame': 380,
          'level.axle': 360,
          'centred.left': 130,
          'centred.right': 120,
          clearance: 8,
        }),
      },
    };
    const by = Object.fromEntries(jobConditions(off, jobAgreement(off), []).map((c) => [c.id, c]));
    expect(by.level).toMatchObject({ holds: false, problem: expect.stringContaining('20 mm too high') });
    expect(by.centred).toMatchObject({ holds: false, problem: expect.stringContaining('5 mm to the left') });
    expect(by.clearance).toMatchObject({ holds: false, problem: expect.stringContaining('4.7 mm short') });
    expect(by.eyeToEye!.holds).toBeNull();
  });
});

describe('ride', () => {
  test('turning as advised centres the axle, whatever the bar and whichever side its frame end is', () => {
    fc.assert(
      fc.property(
        fc.integer({ min: -120, max: 120 }).map((n) => n / 10),
        fc.boolean(),
        fc.constantFrom(...THREAD_NAMES),
        (offset, right, thread) => {
          let job: Job = { ...fresh(), cut: { ...fresh().cut, thread } };
          if (right) {
            job = withMounts(
              job,
              (['chassis', 'axle'] as const).map((end) => ({
                member: 'panhard',
                end,
                axis: 1,
                mm: -workBar(job)![end][1],
              })),
            );
          }
          const first = settingOf(withGaps(job, 120 + offset, 120 - offset))!;
          expect(first.now.offset).toBeCloseTo(offset, 9);
          // What is good enough is not ordered.
          expect(first.centred).toBe(Math.abs(offset) <= job.ride.tolerance);
          expect(first.steps).toHaveLength(first.centred ? 0 : 1);
          if (first.centred) return;
          const [bar] = first.steps[0]!.bars as [BarTurn];
          const turned = {
            ...job,
            ride: {
              ...job.ride,
              rounds: [{ at: NOW, left: 120 + offset, right: 120 - offset, turned: bar.turns! }],
            },
          };
          const second = settingOf(withGaps(turned, 120, 120))!;
          expect(second.centred).toBe(true);
          expect(second.steps).toEqual([]);
          expect(second.centring[0]!.length).toBeCloseTo(bar.lengthWanted, 9);
          expect(Math.sign(bar.turns!) === Math.sign(offset)).toBe(!right);
        },
      ),
      { numRuns: 40 },
    );
  });

  test('turns that would leave too little thread are refused', () => {
    expect(settingOf(withGaps(fresh(), 170, 120))!.thread!.holds).toBe(false);
    expect(settingOf(withGaps(fresh(), 125, 120))!.thread!.holds).toBe(true);
    expect(turnsSoFar(fresh())).toBe(0);
  });
});

test('a station’s stripe breaks with what it rests on', () => {
  const [job] = demoJobs() as [Job];
  const basis = { 'frame end, off the floor': 1 };
  expect(stationStripe(job, 'locate').kind).toBe('none');
  expect(stationStripe(drawStripe(job, 'station.locate', basis), 'locate').kind).toBe('broken');
});
