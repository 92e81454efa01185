import { jobAgreement } from '../../support/agreement';
import fc from 'fast-check';
import { release } from '@/core/weld/holdPoint';
import { readJob } from '@/core/job/file';
import { jobConditions } from '@/core/bench/holdPoint';
import { applyReadings } from '@/core/job/applyReadings';
import { approachOf } from '@/core/record/jobRecord';
import { asFound } from '@/core/record/asFound';
import { mergedReadings, readingsFromCsv, readingsToCsv } from '@/core/survey/readingsCsv';
import type { Datum } from '@/core/survey/quantities/datums';
import { floorOf } from '@/core/survey/floor';
import { inspectionChecks } from '@/core/record/inspection';
import { agreementOf, type Agreement } from '@/core/survey/agreement';
import { partsChecks, usualParts } from '@/core/record/partsList';
import { planOf, stillNeeded, type Approach } from '@/core/record/plan';
import { READING_KEYS, spotAt } from '@/core/survey/quantities/quantities';
import { found, type Readings } from '@/core/survey/readings';
import { checkRecord } from '@/core/record/recordChecks';
import { TOOL_NAMES } from '@/core/survey/quantities/tools';
import type { AxleEnd } from '@/core/rig/schema';
import { demoJobs } from '@/store/demo';
import { AT, oldCar, read, readings, trueReadings, usualValue } from '../../support/car';
import type { KitPart } from '@/core/job/slices/record';
import { newJob } from '@/core/job/newJob';
import { workBar } from '@/core/job/jobValues';
import { withReadingsAt } from '@/core/job/edits/readings';

const crooked = fc.array(fc.integer({ min: -12, max: 12 }), { minLength: 16, maxLength: 16 });
const fresh = () => newJob('check', 'Check', 'in16');
const fit = (given: Readings, method: Approach['method'] = 't-square', end: AxleEnd = 'rear') =>
  agreementOf({ readings: given, method, end });
const placedBy = (agreement: Agreement | null, datum: Datum) =>
  agreement!.placements.find((p) => p.datum === datum)!;
const whole: Approach = {
  method: 't-square',
  measuring: ['cab', 'holes'],
  datum: 'cab',
  scales: true,
  brief: false,
  driven: true,
  heldBy: 'links',
  bar: true,
  end: 'rear',
};

describe('the measuring plan', () => {
  const keys = (change: Partial<Approach>) => planOf({ ...whole, ...change }).map((s) => s.key);

  test('walks round the car once: floor, left, right, behind, underneath one side at a time, scales', () => {
    const plan = planOf(whole);
    expect(new Set(plan.map((s) => s.key)).size).toBe(plan.length);
    const at = (key: string) => plan.findIndex((s) => s.key === key);
    const order = [
      'floorAlong.left',
      'tireRadius.left',
      'gapFrame.left',
      'tireRadius.right',
      'track',
      'cover',
    ];
    expect(order.map(at)).toEqual([...order.map(at)].sort((a, b) => a - b));
    expect(at('cab.rear.left')).toBeLessThan(at('axleToFrame.right'));
    expect(at('weightRear.right')).toBe(plan.length - 1);
  });

  test('asks for what the job can use, and all that the model needs whatever is chosen', () => {
    expect(keys({ measuring: [] }).some((k) => /cab|holes|marks/.test(k))).toBe(false);
    expect(keys({ measuring: ['cab'] }).some((k) => /\.tie|\.cross/.test(k))).toBe(false);
    expect(keys({ driven: false }).some((k) => /pinion|floor/.test(k))).toBe(false);
    expect(keys({ driven: false, method: 'plumb-bob' })).toContain('floorAcrossRear');
    expect(keys({ scales: false }).some((k) => k.startsWith('weight'))).toBe(false);
    const needed = new Set<string>(stillNeeded({}));
    const brief = planOf({ ...whole, brief: true }).map((s) => s.quantity.key);
    expect(new Set<string>(brief)).toEqual(needed);
    for (const key of needed) expect(planOf(whole).some((s) => s.quantity.key === key)).toBe(true);
  });

  test('a dropped line has its own tool and manner', () => {
    const step = planOf({ ...whole, method: 'plumb-bob' }).find((s) => s.key === 'cab.front.left')!;
    expect(step.tool).toBe('plumb-bob');
    expect(step.how).toContain('dropped');
  });
});

describe('agreement', () => {
  test('true readings of any crooked car agree, and every datum tells the same axle', () => {
    fc.assert(
      fc.property(crooked, (off) => {
        const car = oldCar(off);
        const agreement = fit(readings(trueReadings(car)))!;
        expect(agreement.wrong).toEqual([]);
        for (const datum of ['cab', 'holes', 'edge'] as Datum[]) {
          const placed = placedBy(agreement, datum);
          const [l, r] = car.datums[datum]!;
          // The axle's turn against the line between the datum's two points.
          const line = Math.atan2(l[0] - r[0], l[1] - r[1]);
          const axle = Math.atan2(car.ahead[0] - car.ahead[1], car.rails[0] + car.rails[1]);
          expect(placed.square.value).toBeCloseTo(((axle - line) * 180) / Math.PI, 4);
          const straight = Math.hypot(l[0] - car.ahead[0], l[1] - car.rails[0]);
          expect(placed.middle.left.value).toBeCloseTo(straight, 3);
        }
      }),
      { numRuns: 25 },
    );
  });

  test('half an inch of slip in any one reading is found, and what it should have been', () => {
    fc.assert(
      fc.property(
        crooked,
        fc.nat(1000),
        fc.boolean(),
        fc.array(fc.float({ min: -1, max: 1, noNaN: true }), { minLength: 80, maxLength: 80 }),
        (off, pick, more, noise) => {
          const values = trueReadings(oldCar(off));
          const keys = Object.keys(values);
          const rough = Object.fromEntries(keys.map((key, i) => [key, values[key]! + 0.4 * noise[i]!]));
          const key = keys[pick % keys.length]!;
          rough[key]! += more ? 12.7 : -12.7;
          const { wrong } = fit(readings(rough))!;
          expect(wrong.length).toBeGreaterThan(0);
          const suspects = [wrong[0]!.residual.key, ...wrong[0]!.alike];
          expect(suspects).toContain(key);
          if (wrong[0]!.alike.length === 0) {
            const { value, u } = wrong[0]!.residual.others!;
            expect(Math.abs(value - values[key]!)).toBeLessThan(4 * u + 0.5);
          }
        },
      ),
      { numRuns: 30 },
    );
  });

  test('the wrong reading of a car is told with what it should be, and what kind of slip it looks like', () => {
    const values = trueReadings(oldCar(Array<number>(16).fill(3)));
    for (const [slip, words] of [
      [25.4, 'A whole inch'],
      [12.7, 'Half an inch'],
      [-6.35, 'A quarter inch'],
      [31, null],
    ] as const) {
      const wrong = { ...values, 'cab.diagonal.right': values['cab.diagonal.right']! + slip };
      const job = { ...newJob('a', 'A', 'in16'), readings: readings(wrong) };
      const said = checkRecord(job.readings, jobAgreement(job), approachOf(job), job.tape).find((v) =>
        v.id.startsWith('wrong-'),
      )!;
      expect(said.state).toBe('stop');
      const told = `${said.title} ${said.reason} ${said.remedies.map((r) => r.text).join(' ')}`;
      if (said.id === 'wrong-cab.diagonal.right') expect(said.title).toContain(slip > 0 ? 'more' : 'less');
      else expect(told.toLowerCase()).toContain('diagonal');
      if (words) expect(said.reason).toContain(words);
      else expect(said.reason).not.toMatch(/inch:/);
    }
  });

  test('nothing redundant: nothing to say', () => {
    expect(fit({})).toBeNull();
    expect(fit(readings({ track: 1450, 'tireRadius.left': 330 }))).toBeNull();
  });

  test('lines dropped to a sloping floor are brought upright again', () => {
    const car = oldCar([0, 0, 3, -2]);
    const values = trueReadings(car);
    const slope = 0.8;
    const lean =
      (values['rideHeight.left']! / 2 + values['rideHeight.right']! / 2 - 330.5) *
      Math.tan((slope * Math.PI) / 180);
    for (const key of Object.keys(values)) {
      const [datum, part] = key.split('.');
      if (part === 'front' || part === 'rear') values[key]! += datum === 'edge' ? -lean : lean;
    }
    const floor = {
      'floorAlong.left': slope,
      'floorAlong.right': slope,
      floorAcrossRear: 0,
      floorAcrossFront: 0,
    };
    const given = readings({ ...values, ...floor });
    const upright = placedBy(fit(given, 'plumb-bob'), 'cab');
    expect(upright.middle.left.value).toBeCloseTo(Math.hypot(1040 + 0 - 3, 480 - 475), 1);
    expect(Math.abs(lean)).toBeGreaterThan(1);
  });
});

describe('the floor', () => {
  const floor = (l: number, r: number, rear: number, front: number) =>
    floorOf(
      readings({
        'floorAlong.left': l,
        'floorAlong.right': r,
        floorAcrossRear: rear,
        floorAcrossFront: front,
        track: 1500,
        'wheelbase.left': 3000,
      }),
    );

  test('level, sloping, steep, twisted, or misread', () => {
    expect(floor(0, 0.05, 0, 0)!.verdict).toBe('true');
    expect(floor(0.5, 0.5, -0.3, -0.3)!.verdict).toBe('corrected');
    expect(floor(1.4, 1.4, 0, 0)!.verdict).toBe('steep');
    // One corner 10 mm off the plane: 10 mm over 3 m along one side, 10 mm over 1.5 m across one end.
    const deg = (rise: number, run: number) => (Math.atan(rise / run) * 180) / Math.PI;
    expect(floor(deg(-10, 3000), 0, 0, deg(10, 1500))!).toMatchObject({ verdict: 'twisted' });
    expect(floor(deg(-10, 3000), 0, 0, deg(10, 1500))!.twist).toBeCloseTo(10, 3);
    expect(floor(0.6, 0, 0, 0)!.verdict).toBe('slip');
    expect(floorOf({})).toBeNull();
  });

  test('a plumb bob without a floor check stops; a T-square does not ask', () => {
    const states = (method: Approach['method']) =>
      checkRecord({}, null, { ...whole, method }, 'in16').map((v) => [v.id, v.state]);
    expect(states('plumb-bob')).toEqual([['floor', 'stop']]);
    expect(states('t-square')).toEqual([]);
  });
});

describe('what the car is found to be', () => {
  const value = (given: Record<string, number>, id: string) =>
    asFound(readings(given), null, 'cab', 'rear').find((f) => f.id === id)?.value;

  test('a wider gap to the frame and a narrower one to the fender are the same side', () => {
    expect(value({ 'gapFrame.left': 130, 'gapFrame.right': 120 }, 'offset')).toBe(5);
    expect(value({ 'gapFender.left': 45, 'gapFender.right': 55 }, 'offsetBody')).toBe(5);
    const both = { 'gapFrame.left': 130, 'gapFrame.right': 120, 'gapFender.left': 45, 'gapFender.right': 55 };
    expect(value(both, 'bodyOnFrame')).toBe(0);
  });

  test('angles are given against the floor', () => {
    const given = {
      pinionAngle: -2,
      'floorAlong.left': 0.5,
      'floorAlong.right': 0.5,
      floorAcrossRear: 0,
      floorAcrossFront: 0,
    };
    expect(value(given, 'pinionAngle')).toBeCloseTo(-2.5, 9);
  });

  test('angles and weights that are read go into the model; what was drawn stays where nothing was', () => {
    const job = { ...demoJobs()[0]!, typed: {} };
    const spot = spotAt('pinionAngle')!;
    const turned = withReadingsAt({ ...job, readings: {} }, spot, () => [read(-4)]);
    expect(turned.rig.driveshaft!.pinionAngleDeg).toBe(-4);
    expect(turned.rig.driveshaft!.transmissionAngleDeg).toBe(job.rig.driveshaft!.transmissionAngleDeg);
    const weighed = applyReadings({
      ...job,
      readings: readings({
        'weightFront.left': 400,
        'weightFront.right': 380,
        'weightRear.left': 310,
        'weightRear.right': 310,
      }),
    });
    expect(weighed.rig.masses).toMatchObject({ total: 1400, frontFraction: 780 / 1400 });
  });
});

describe('what holds the welding', () => {
  const open = (job: ReturnType<typeof fresh>) =>
    release(jobConditions(job, jobAgreement(job), []), 'tack').open.map((c) => c.id);

  test('what must be mended, a reading that contradicts the rest, and an axle out of its place, until they are put right', () => {
    const job = fresh();
    expect(open(job)).not.toContain('sound');
    const found = { finding: 'mend' as const, note: 'Tacked only', at: AT };
    const cracked = { ...job, record: { ...job.record, inspection: { brackets: found } } };
    expect(open(cracked)).toContain('sound');
    expect(inspectionChecks(cracked.record.inspection)[0]).toMatchObject({
      state: 'stop',
      reason: 'Tacked only',
    });
    const mended = {
      ...cracked,
      record: { ...job.record, inspection: { brackets: { ...found, finding: 'mended' as const } } },
    };
    expect(open(mended)).not.toContain('sound');

    const [, pewter] = demoJobs();
    const [wrong] = jobAgreement(pewter!)!.wrong;
    expect(wrong!.residual.key).toBe('cab.diagonal.right');
    expect(wrong!.alike).toEqual([]);
    expect(open(pewter!)).toContain('agree');
    const struck = withReadingsAt(pewter!, spotAt('cab.diagonal.right')!, (list) =>
      list.map((r) => ({ ...r, struck: true })),
    );
    expect(open(struck)).not.toContain('agree');
    const place = { ...job.place, held: { left: 800, right: 800 }, measured: { 'rest.left': 400 } };
    expect(open({ ...job, place })).toContain('placed');
  });

  test('gaps read at Ride count for the second look', () => {
    const job = { ...fresh(), ride: { ...fresh().ride, gaps: { left: 120, right: 121 } } };
    expect(jobConditions(job, jobAgreement(job), []).find((c) => c.id === 'centredAgain')!.holds).toBe(true);
  });
});

test('parts: missing, of the wrong hand, short, and all in', () => {
  const bar = workBar(fresh())!;
  const list = usualParts([{ id: bar.id, name: 'bar', tube: 900 }]);
  const at = (id: string) => list.findIndex((p) => p.id === id);
  expect(partsChecks(list, 'mm')).toEqual([]);
  const came = list.map((p): KitPart => ({ ...p, got: p.wanted, handSeen: p.hand, lengthSeen: p.length }));
  came[at('rod-lh')]!.handSeen = 'right';
  came[at('spacer')]!.got = 2;
  came[at(`tube-${bar.id}`)]!.lengthSeen = 880;
  expect(partsChecks(came, 'mm').map((v) => [v.id, v.state])).toEqual([
    ['part-rod-lh-hand', 'stop'],
    ['part-spacer-missing', 'look'],
    [`part-tube-${bar.id}-short`, 'stop'],
  ]);
});

describe('readings as a table', () => {
  const reading = fc.record(
    {
      value: fc.double({ min: 0.9, max: 1.1, noNaN: true }),
      at: fc
        .date({ min: new Date('2020-01-01'), max: new Date('2030-01-01'), noInvalidDate: true })
        .map((d) => d.toISOString()),
      struck: fc.constant(true),
      by: fc.constantFrom(...TOOL_NAMES),
    },
    { requiredKeys: ['value', 'at'] },
  );
  const car = fc.dictionary(
    fc.constantFrom(...READING_KEYS),
    fc.array(reading, { minLength: 1, maxLength: 4 }),
  );

  const asTyped = (value: number, key: string) => {
    const { unit } = spotAt(key)!.quantity;
    return { value, typed: `${value}${{ length: 'mm', angle: '', weight: ' kg' }[unit]}` };
  };

  test('what was typed goes with its value, or the value is said instead; nothing is handed to a spreadsheet to run', () => {
    const said = (value: number, typed: string) =>
      readingsFromCsv(readingsToCsv({ track: [{ value, typed, at: AT }] }), AT).readings.track?.[0]?.typed;
    for (const typed of ['57 1/8', '57 1/8 R', '1451 mm', '1451,2', '-57 1/8'])
      expect(said(1451, typed)).toBe(typed);
    for (const typed of ['58 1/8', '=SUM(A1)', 'a "quoted", one', '57\n1/4'])
      expect(said(1451, typed)).toBe('1451 mm');
    for (const typed of ['=1+1', '+A1', '-A1', '@x'])
      expect(readingsToCsv({ track: [{ value: 1, typed, at: AT }] })).toContain(`,"'${typed}",`);
    expect(readingsToCsv({ pinionAngle: [{ value: -2.5, typed: '-2.5', at: AT }] })).toContain(
      ',-2.5,deg,-2.5,',
    );
  });

  test('out and in again is the same to the last digit', () => {
    fc.assert(
      fc.property(car, (drawn) => {
        const given: Readings = Object.fromEntries(
          Object.entries(drawn).map(([key, list]) => [
            key,
            list.map((r) => ({ ...r, ...asTyped(r.value * usualValue(key), key) })),
          ]),
        );
        const back = readingsFromCsv(readingsToCsv(given), AT);
        expect(back.bad).toEqual([]);
        expect(back.readings).toEqual(given);
      }),
      { numRuns: 60 },
    );
  });

  test('bad rows are named by line and column, the good ones are read', () => {
    const text = [
      'key,what,value,unit,typed,tool,struck,at',
      'track,Track,1450.5,mm,57 1/8,,,2026-03-14T09:05:47.000Z',
      'trak,Track,1450,mm,57,,,2026-03-14T09:05:47.000Z',
      'track,Track,wide,mm,57,,,2026-03-14T09:05:47.000Z',
      'track,Track,14500,mm,57,,,2026-03-14T09:05:47.000Z',
      'track,"Track,\nagain",1450,deg,57,,,2026-03-14T09:05:47.000Z',
      'pinionAngle,,-2.5,,,angle-gauge,,',
      'cover,,165,mm,6 1/2,thumb,,2026-03-14T09:05:47.000Z',
    ].join('\n');
    const { readings: good, bad, count } = readingsFromCsv(text, AT);
    expect(count).toBe(2);
    expect(good.track![0]!.value).toBe(1450.5);
    expect(good.pinionAngle).toEqual([{ value: -2.5, typed: '-2.5', at: AT, by: 'angle-gauge' }]);
    expect(bad.map((b) => [b.line, b.column])).toEqual([
      [3, 'key'],
      [4, 'value'],
      [5, 'value'],
      [6, 'unit'],
      [9, 'tool'],
    ]);
    expect(readingsFromCsv('a,b\n1,2', AT).bad[0]).toMatchObject({ line: 1, column: 'key' });
    expect(() => readingsFromCsv('\u0000"""\n,,,=cmd', AT)).not.toThrow();
  });

  test('a table without end is read as far as anybody could mean it, and says so', () => {
    const head = 'key,what,value,unit,typed,tool,struck,at';
    const row = (key: string) => `${key},,1450,mm,57,,,2026-03-14T09:05:47.000Z`;
    const crowd = readingsFromCsv([head, ...Array<string>(53).fill(row('track'))].join('\n'), AT);
    expect(crowd.count).toBe(50);
    expect(crowd.bad.map((b) => b.line)).toEqual([52, 53, 54]);
    const keys = READING_KEYS.filter((key) => usualValue(key) === usualValue('track'));
    const long = readingsFromCsv(
      [head, ...Array.from({ length: 20_003 }, (_, i) => row(keys[i % keys.length]!))].join('\n'),
      AT,
    );
    expect(long.count).toBeLessThanOrEqual(20_000);
    expect(long.bad.at(-1)!.message).toContain('more than 20000 rows');
  });

  test('what is brought in stands beside what is there, once', () => {
    const old = readings({ track: 1450, cover: 160 });
    const brought = { track: [read(1450), read(1452, '2026-06-01T00:00:00.000Z')] };
    const both = mergedReadings(old, brought);
    expect(both.track!.map((r) => r.value)).toEqual([1450, 1452]);
    expect(mergedReadings(both, brought)).toEqual(both);
    expect(both.cover).toBe(old.cover);
  });
});

test('a job of the first version opens as one of today', () => {
  const { record, place, ...rest } = demoJobs()[0]!;
  const { tolerance, rounds } = rest.ride;
  const old = {
    ...rest,
    version: 1,
    ride: { tolerance, gaps: { left: 120 }, rounds },
    readings: { track: [{ mm: 1450, typed: '1450mm', at: AT }] },
  };
  const job = readJob(JSON.stringify(old));
  expect(found(job.readings, 'track')!.value).toBe(1450);
  expect(job.ride.gaps).toEqual({ left: 120 });
  expect(job.ride.adjusters).toEqual({});
  expect([record.method, place.school]).toEqual([job.record.method, job.place.school]);
  expect(approachOf(job).driven).toBe(true);
  expect(() => readJob(JSON.stringify({ ...old, version: 9 }))).toThrow(/newer Pellik/);
});
