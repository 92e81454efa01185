import fc from 'fast-check';
import { STATIONS, type StationId } from '@/core/bench/stationIds';
import { stationBasis, stationStripeKey } from '@/core/bench/stations';
import { stationStripe } from '@/core/bench/stripes';
import { spotAt } from '@/core/survey/quantities/quantities';
import { usualBladeBar, usualStripBar } from '@/core/swaybar/swayBarDesign';
import { usualSprings } from '@/core/springs/springDesign';
import { demoJobs } from '@/store/demo';
import { drawStripe } from '@/ui/stripe/stripeEdits';
import type { Job } from '@/core/job/jobSchema';
import { withReadingsAt } from '@/core/job/edits/readings';
import { withParts } from '@/core/job/edits/parts/parts';
import { withMounts } from '@/core/job/edits/mounts';

const cars = demoJobs();
/** The stations that are vouched for by one stripe of their own. */
const striped = STATIONS.filter((id) => stationBasis(cars[0]!, id) !== null);
const vouched = (job: Job): Job =>
  striped.reduce((j, id) => drawStripe(j, stationStripeKey(id), stationBasis(j, id)!), job);
const broken = (job: Job): StationId[] => striped.filter((id) => stationStripe(job, id).kind === 'broken');
const changesOf = (job: Job, id: StationId): string[] => {
  const stripe = stationStripe(job, id);
  return stripe.kind === 'broken' ? stripe.changes : [];
};

describe('stripes across the stations', () => {
  test.each(cars.map((car) => [car.name, car] as const))('%s: all whole as they are drawn', (_, car) => {
    expect(striped).toEqual(['record', 'place', 'locate', 'roll', 'prove', 'cut', 'ride']);
    expect(broken(vouched(car))).toEqual([]);
  });

  test('every change breaks the stripes of what rests on it, and no other', () => {
    const job = vouched(cars.find((car) => car.id === 'demo-copperline')!);
    const bar = job.roll.bar!;
    const stands = job.rig.members.find((m) => m.id === 'panhard' && m.type === 'link')!;
    if (stands.type !== 'link') throw new Error('the bar across this car is a link');
    const changes: [what: string, then: Job, breaks: StationId[]][] = [
      ['notes', { ...job, notes: 'the left shock weeps' }, []],
      ['how hard it corners', { ...job, cornerG: 0.4 }, []],
      [
        'a frame end moved',
        withMounts(job, [{ member: 'panhard', end: 'chassis', axis: 2, mm: stands.chassis[2] + 12 }]),
        ['locate', 'prove', 'cut'],
      ],
      ['another tube', { ...job, cut: { ...job.cut, tube: { od: 38, wall: 4 } } }, ['prove', 'cut']],
      ['a thinner plate', withParts(job, { brackets: { 'panhard/axle': { plate: 3 } } }), ['prove']],
      ['a thicker bar', { ...job, roll: { ...job.roll, bar: { ...bar, od: bar.od + 2 } } }, ['roll']],
      ['links undone', { ...job, roll: { ...job.roll, bar: { ...bar, hooked: !bar.hooked } } }, ['roll']],
      ['a softer stop', { ...job, roll: { ...job.roll, stop: { ...job.roll.stop!, rate: 20 } } }, ['roll']],
      ['no shocks', { ...job, roll: { ...job.roll, shock: null } }, ['roll']],
      [
        'a gap read on the ground',
        { ...job, ride: { ...job.ride, gaps: { left: 131, right: 133 } } },
        ['ride'],
      ],
      ['a stand measured', { ...job, place: { ...job.place, held: { left: 820, right: 820 } } }, ['place']],
    ];
    for (const [what, then, breaks] of changes) expect([what, broken(then)]).toEqual([what, breaks]);
    // Put back, nothing is broken.
    expect(broken({ ...job, roll: { ...job.roll, bar: { ...bar, od: bar.od + 1e-4 } } })).toEqual([]);
  });

  test('a reading more breaks what follows from it', () => {
    const job = vouched(cars[0]!);
    const then = withReadingsAt(job, spotAt('track')!, (list) => [
      ...list,
      { value: job.rig.track + 40, typed: '59', at: '2026-05-02T10:00:00.000Z' },
    ]);
    expect(broken(then)).toEqual(expect.arrayContaining(['record']));
    expect(changesOf(then, 'record').join()).toMatch(/^Track was .* is now/);
  });

  test('whatever number of springs, stops and bar is changed, it breaks, and is told in a builder’s words', () => {
    for (const car of [...cars, ...others]) {
      const job = vouched(car);
      // How thick a spring or a shock is changes nothing that it does.
      const thick = ([part, key]: Path) => key === 'od' && part !== 'bar';
      const paths = numbersIn({ ...job.roll, otherBar: undefined }).filter((path) => !thick(path));
      if (!paths.length) continue;
      fc.assert(
        fc.property(fc.constantFrom(...paths), fc.double({ min: 0.01, max: 50, noNaN: true }), (path, by) => {
          const then = { ...job, roll: nudged(job.roll, path, by) as Job['roll'] };
          const changes = changesOf(then, 'roll');
          expect([path, broken(then)]).toEqual([path, ['roll']]);
          expect(changes).toHaveLength(1);
          expect(changes[0]).toMatch(/^(springs|shock|stop|sway bar),? .* was .*, is now /);
          expect(changes[0]).not.toMatch(/[a-z][A-Z]|undefined|NaN|\[object/);
        }),
        { numRuns: 60 },
      );
    }
  });
});

type Path = (string | number)[];

const [first] = cars as [Job];
const withRoll = (roll: Partial<Job['roll']>): Job => ({ ...first, roll: { ...first.roll, ...roll } });
/** What no demo car has. */
const others: Job[] = [
  withRoll({ springs: usualSprings(first.rig, 'leaf'), bar: usualBladeBar(first.rig) }),
  withRoll({ springs: usualSprings(first.rig, 'air'), bar: usualStripBar(first.rig) }),
];

/** The way to every number inside something. */
function numbersIn(value: unknown, path: Path = []): Path[] {
  if (typeof value === 'number') return [path];
  if (typeof value !== 'object' || value === null) return [];
  return Object.entries(value).flatMap(([key, part]) => numbersIn(part, [...path, key]));
}

/** The same with one number changed. */
function nudged(value: unknown, [key, ...rest]: Path, by: number): unknown {
  if (key === undefined) return (value as number) + by;
  const copy = structuredClone(value) as Record<string, unknown>;
  copy[key] = nudged(copy[key], rest, by);
  return copy;
}
