import fc from 'fast-check';
import { withLayout } from '@/core/job/edits/members/layout';
import type { Job } from '@/core/job/jobSchema';
import { newJob } from '@/core/job/newJob';
import { compileLinkage } from '@/core/kinematics/solver/linkage';
import { PoseSolver } from '@/core/kinematics/solver/poseSolver';
import { asFound } from '@/core/record/asFound';
import { checkRecord } from '@/core/record/recordChecks';
import { approachOf } from '@/core/record/jobRecord';
import { alignmentBars, lengthen } from '@/core/ride/alignmentBars';
import { settingOf } from '@/core/ride/alignment';
import { asSet } from '@/core/ride/asSet';
import { gapsBelieved, onGround } from '@/core/ride/onGround';
import type { AxleEnd } from '@/core/rig/schema';
import { agreementOf } from '@/core/survey/agreement';
import { marksOf } from '@/core/survey/marks';
import { datumName, DATUM_NAMES, wayOf } from '@/core/survey/quantities/datums';
import { aheadByWheelbase, squareness } from '@/core/survey/readings';
import { oldCar, readings, trueReadings, type Truth } from '../../support/car';

const ENDS: AxleEnd[] = ['rear', 'front'];
const crooked = fc.array(fc.integer({ min: -12, max: 12 }), { minLength: 16, maxLength: 16 });

/** The same crooked car seen from its front axle: what stood ahead of the axle stands behind it. */
const turnedRound = (car: Truth): Truth => ({
  ...car,
  datums: Object.fromEntries(
    Object.entries(car.datums).map(([name, points]) => [
      name,
      points.map(([along, across]) => [-along, across]),
    ]),
  ) as Truth['datums'],
});

describe.each(ENDS)('the survey of a %s axle', (end) => {
  const seen = (off: number[]) => (end === 'rear' ? oldCar(off) : turnedRound(oldCar(off)));

  test('true readings agree, and each datum tells how the axle really stands', () => {
    fc.assert(
      fc.property(crooked, (off) => {
        const car = seen(off);
        const agreement = agreementOf({
          readings: readings(trueReadings(car, end)),
          method: 't-square',
          end,
        })!;
        expect(agreement.wrong).toEqual([]);
        expect(agreement.placements.map((p) => p.datum).sort()).toEqual(Object.keys(car.datums).sort());
        for (const placed of agreement.placements) {
          const [l, r] = car.datums[placed.datum]!;
          const line = Math.atan2(l[0] - r[0], l[1] - r[1]);
          const axle = Math.atan2(car.ahead[0] - car.ahead[1], car.rails[0] + car.rails[1]);
          expect(placed.square.value).toBeCloseTo(((axle - line) * 180) / Math.PI, 4);
          // Seen across the car by the datum's own two points, the axle's middle stands so far to the left.
          const middle = [(car.ahead[0] + car.ahead[1]) / 2, (car.rails[0] - car.rails[1]) / 2] as const;
          const origin = [(l[0] + r[0]) / 2, (l[1] + r[1]) / 2] as const;
          const left = (middle[1] - origin[1]) * Math.cos(line) + (middle[0] - origin[0]) * Math.sin(line);
          expect(placed.left.value).toBeCloseTo(left, 3);
        }
      }),
      { numRuns: 20 },
    );
  });

  test('a slip of half an inch in a mark of the tube is found at either end', () => {
    fc.assert(
      fc.property(
        crooked,
        fc.constantFrom('cab', 'holes'),
        fc.constantFrom('left', 'right'),
        (off, datum, side) => {
          const values = trueReadings(seen(off), end);
          const key = `${datum}.front.${side}`;
          const given = readings({ ...values, [key]: values[key]! + 12.7 });
          const { wrong } = agreementOf({ readings: given, method: 't-square', end })!;
          expect([wrong[0]!.residual.key, ...wrong[0]!.alike]).toContain(key);
        },
      ),
      { numRuns: 15 },
    );
  });

  test('the marks that a placement puts on a rail are where they were read', () => {
    for (const datum of DATUM_NAMES) {
      const { front, rear } = marksOf(900, 76, datum, end);
      // The front of the tube is nearer to what stands ahead of the axle, and farther from what stands behind it.
      expect(Math.sign(rear - front)).toBe(wayOf(datum, end));
      expect((front + rear) / 2).toBe(900);
      expect(Math.abs(rear - front)).toBe(76);
    }
  });
});

test('what stands ahead of a rear axle stands behind a front one, and the rails end on the other side', () => {
  for (const datum of DATUM_NAMES) expect(wayOf(datum, 'front')).toBe(-wayOf(datum, 'rear'));
  expect(datumName('edge', 'rear')).toBe('Rear end of the frame rails');
  expect(datumName('edge', 'front')).toBe('Front end of the frame rails');
  expect(datumName('cab', 'front')).toBe(datumName('cab', 'rear'));
});

describe('two wheelbases', () => {
  const bases = { 'wheelbase.left': 2800, 'wheelbase.right': 2810, track: 1500 };

  test('the shorter one has its rear wheel ahead, its front wheel behind', () => {
    expect(squareness(readings(bases), 'rear')).toBeCloseTo((Math.atan(10 / 1500) * 180) / Math.PI, 9);
    expect(squareness(readings(bases), 'front')).toBeCloseTo(-(Math.atan(10 / 1500) * 180) / Math.PI, 9);
    expect(aheadByWheelbase(2800, 2810, 'rear')).toBe(10);
    expect(aheadByWheelbase(2800, 2810, 'front')).toBe(-10);
    expect(squareness(readings({ 'wheelbase.left': 2800 }), 'front')).toBeNull();
  });

  test('the car as found says it of the axle that is built, against the wheels that are not', () => {
    const line = (end: AxleEnd) =>
      asFound(readings(bases), null, 'cab', end).find((f) => f.id === 'squareWheels')!;
    expect(line('rear').label).toBe('Out of square to the front wheels');
    expect(line('front').label).toBe('Out of square to the rear wheels');
    expect(line('front').value).toBe(-line('rear').value);
    expect(line('rear').ways![line('rear').value > 0 ? 0 : 1]).toBe('left wheel ahead');
    expect(line('front').ways![line('front').value > 0 ? 0 : 1]).toBe('right wheel ahead');
  });

  test.each([
    [
      'three-link-panhard',
      /with its links, before the panhard bar/,
      /the finished bar brings it to the middle/,
    ],
    ['three-link-watts', /with its links\.$/, /links of unlike length/],
    ['ladder-bars-panhard', /the feet or the front joints of its arms, before/, /the finished bar brings it/],
    ['leaf-panhard', /on its springs, U-bolts slack/, /made to suit the axle as its springs hold it/],
    [
      'leaf-alone',
      /perches and shackles\.$/,
      /Find out why first: centre pins, perches, a bent hanger, bushings\.$/,
    ],
    ['front-four-link', /with its links, before the track bar/, /the finished bar brings it/],
    ['front-leaf', /on its springs, U-bolts slack/, /Find out why first/],
  ] as const)(
    '%s: an axle out of square or off the middle is put right by what holds it',
    (layout, square, middle) => {
      const job = {
        ...withLayout(newJob('a', 'A', 'mm'), layout),
        readings: readings({ ...bases, 'gapFrame.left': 130, 'gapFrame.right': 110 }),
      };
      const said = checkRecord(job.readings, null, approachOf(job), 'mm');
      const advice = (id: string) => said.find((v) => v.id === id)!.remedies[0]!.text;
      expect(advice('square')).toMatch(square);
      expect(advice('offset')).toMatch(middle);
    },
  );

  test('out of square is looked at the same at both ends', () => {
    for (const layout of ['three-link-panhard', 'front-four-link'] as const) {
      const job = { ...withLayout(newJob('a', 'A', 'mm'), layout), readings: readings(bases) };
      const said = checkRecord(job.readings, null, approachOf(job), 'mm').find((v) => v.id === 'square')!;
      expect(said).toMatchObject({ state: 'look', reason: expect.stringContaining('longer on the right') });
    }
  });
});

describe('heights by the axle that is built', () => {
  const heights = {
    'rideHeight.left': 440,
    'rideHeight.right': 430,
    'frontHeight.left': 400,
    'frontHeight.right': 400,
    'wheelbase.left': 2800,
    'wheelbase.right': 2800,
    frameWidth: 900,
  };
  const found = (end: AxleEnd, id: string) =>
    asFound(readings(heights), null, 'cab', end).find((f) => f.id === id)!;

  test('a frame higher here falls to the front of a rear axle, and rises to a front one', () => {
    expect(found('rear', 'rake').value).toBeCloseTo((Math.atan(35 / 2800) * 180) / Math.PI, 9);
    expect(found('front', 'rake').value).toBeCloseTo(-(Math.atan(35 / 2800) * 180) / Math.PI, 9);
    expect(found('rear', 'rake').ways![0]).toBe('down to the front');
  });

  test('twist is told of the rear against the front, whichever was read here', () => {
    expect(found('rear', 'twist').value).toBeGreaterThan(0);
    expect(found('front', 'twist').value).toBeCloseTo(-found('rear', 'twist').value, 9);
  });

  test('the words name the end', () => {
    for (const end of ENDS) {
      expect(found(end, 'rideHeight').label).toContain(end);
      expect(found(end, 'lean').label).toContain(end);
      expect(found(end, 'lean').value).toBe(10);
    }
  });
});

/** A car whose square bars are out by so much, and what a tape would read on it. */
function outOfSquare(job: Job, mm: number): Job {
  const linkage = compileLinkage(job.rig);
  lengthen(linkage, alignmentBars(job.rig).square, mm);
  const solver = new PoseSolver(linkage);
  if (!solver.solve(0, 0)) throw new Error('out of reach');
  const y = solver.q[1]!;
  const ahead = -job.rig.track * Math.tan(solver.q[3]!);
  // The left wheel stands ahead by so much: nearer to the other axle at the rear, farther from it at the front.
  const shorter = job.rig.end === 'rear' ? ahead : -ahead;
  const read = { 'ahead.left': 2800 - shorter / 2, 'ahead.right': 2800 + shorter / 2 };
  return { ...job, ride: { ...job.ride, gaps: { left: 120 + y, right: 120 - y }, read } };
}

describe.each([
  'three-link-panhard',
  'parallel-four-link-panhard',
  'front-four-link',
  'front-radius-arms',
] as const)('squaring %s on the ground', (layout) => {
  const fresh = withLayout(newJob('a', 'A', 'mm'), layout);

  test('what is read tells how far the left wheel stands ahead, and the turns take it back', () => {
    fc.assert(
      fc.property(fc.integer({ min: -60, max: 60 }), (tenths) => {
        const out = tenths / 10;
        if (Math.abs(out) < 0.5) return;
        const job = outOfSquare(fresh, out);
        const { value } = onGround(job).ahead!;
        const set = settingOf(job)!;
        const step = set.steps.find((s) => s.task === 'square')!;
        // What is within tolerance is left as it is.
        if (set.square) return expect(step).toBeUndefined();
        expect(step).toBeDefined();
        // As much as the bars were out, back: not once more the same way.
        const [bar] = alignmentBars(job.rig).square;
        const share = (step.bars[0]!.mm * bar!.sign) / -out;
        expect(share).toBeCloseTo(1, 1);
        expect(Math.abs(step.after.ahead!)).toBeLessThan(Math.max(1, 0.3 * Math.abs(value)));
      }),
      { numRuns: 20 },
    );
  });

  test('as set and as found say the same of the same wheelbases', () => {
    const job = outOfSquare(fresh, 4);
    const { read } = job.ride;
    const recorded = {
      ...job,
      readings: readings({ 'wheelbase.left': read['ahead.left']!, 'wheelbase.right': read['ahead.right']! }),
    };
    const line = asSet(recorded).find((l) => l.id === 'ahead')!;
    expect(line.found).toBeCloseTo(line.value, 9);
  });
});

describe('gaps to the fender', () => {
  const job = newJob('a', 'A', 'mm');
  const ride = (change: Partial<Job['ride']>): Job => ({ ...job, ride: { ...job.ride, ...change } });

  test('are never logged as gaps to the frame', () => {
    const [frame, fender] = [
      { left: 120, right: 130 },
      { left: 40, right: 50 },
    ];
    expect(gapsBelieved(ride({ gaps: frame }))).toEqual(frame);
    expect(gapsBelieved(ride({ gaps: frame, fender }))).toEqual(frame);
    expect(gapsBelieved(ride({ gaps: frame, fender, believe: 'fender' }))).toEqual({
      ...fender,
      by: 'fender',
    });
    expect(gapsBelieved(ride({ fender }))).toEqual({ ...fender, by: 'fender' });
    expect(gapsBelieved(ride({ gaps: { left: 120 }, fender: { left: 40 } }))).toEqual({ left: 120 });
    expect(gapsBelieved(ride({}))).toEqual({});
  });

  test('what is believed is what the axle is centred by', () => {
    const gap = fc.integer({ min: 20, max: 160 });
    const both = fc.record({ left: gap, right: gap });
    fc.assert(
      fc.property(
        both,
        both,
        fc.constantFrom('frame' as const, 'fender' as const),
        (gaps, fender, believe) => {
          const of = ride({ gaps, fender, believe });
          const { left, right, by } = gapsBelieved(of);
          const offset = by === 'fender' ? (right! - left!) / 2 : (left! - right!) / 2;
          expect(onGround(of).offset!.value).toBeCloseTo(offset, 9);
        },
      ),
    );
  });
});
