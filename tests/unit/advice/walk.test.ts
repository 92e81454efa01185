import { checkJob } from '@/core/advice/check';
import { withJoints, withMounts } from '@/core/job/edits/mounts';
import { withParts } from '@/core/job/edits/parts/parts';
import { withRoll } from '@/core/job/edits/roll';
import { applyReadings } from '@/core/job/applyReadings';
import type { Job } from '@/core/job/jobSchema';
import { newJob } from '@/core/job/newJob';
import { withLayout } from '@/core/job/edits/members/layout';
import { withAccepted } from '@/core/provenance/accept';
import { mountIds } from '@/core/job/placed';
import { lateralBarOf } from '@/core/rig/roles';
import type { LayoutId } from '@/core/rig/layouts';
import { usualBar } from '@/core/swaybar/swayBarDesign';
import { oldCar, readings, trueReadings } from '../../support/car';
import { readingsOf } from '../../support/plausible';

// Common practice, no published source: each mistake of the trade is made on purpose, and something must say so.

const SIZES = { track: 1450, tireRadius: 320, tireWidth: 205, wheelbase: 2750, bump: 75, droop: 75 };
const MORE = { cover: 160, gapFrame: 110, rideHeight: 400, tubeDiameter: 76 };

/** A car that was measured and laid out with care. */
function car(layout: LayoutId = 'three-link-panhard'): Job {
  const fresh = withLayout(newJob('walk', 'Walk', 'in16'), layout);
  const measured = applyReadings({ ...fresh, readings: readingsOf({ ...SIZES, ...MORE }) });
  return withAccepted(
    measured,
    mountIds(measured.rig).map((id) => `mount.${id}`),
  );
}

type Said = { id: string; state: string; title: string; reason: string };
const said = (job: Job): Said[] => Object.values(checkJob(job).stations).flat();
const states = (job: Job, id: string) =>
  said(job)
    .filter((v) => v.id === id)
    .map((v) => v.state);
const end = (job: Job, member: string, at: 'chassis' | 'axle', axis: 0 | 1 | 2, by: number): Job => {
  const link = job.rig.members.find((m) => m.id === member) as unknown as Record<string, number[]>;
  return withMounts(job, [{ member, end: at, axis, mm: link[at]![axis]! + by }]);
};
const bar = (job: Job) => lateralBarOf(job.rig)!.id;

test('the car done with care is not stopped anywhere but where nothing was done yet', () => {
  const stops = said(car()).filter(({ state }) => state === 'stop');
  expect(stops.map(({ id }) => id)).toEqual([]);
});

const MISTAKES: [mistake: string, made: () => Job, caught: string, state: RegExp][] = [
  [
    'a hole drilled oversize',
    () => withParts(car(), { brackets: { 'panhard/axle': { bolt: 15.9, hole: 19 } } }),
    'loose-hole',
    /stop/,
  ],
  [
    'bar set level with the axle hanging in droop',
    () => end(car(), 'panhard', 'axle', 2, 75),
    'level',
    /stop|look/,
  ],
  ['axle centred, brackets welded, off its ride height: asked for before any tack', car, 'held', /unknown/],
  [
    'bar cut to a guess',
    () => applyReadings(withLayout(newJob('g', 'G', 'in16'), 'three-link-panhard')),
    'thread-frame',
    /unknown/,
  ],
  [
    'too little thread in one end',
    () => ({
      ...car(),
      cut: { ...car().cut, ends: { ...car().cut.ends, axle: { ...car().cut.ends.axle, showing: 40 } } },
    }),
    'thread-axle',
    /stop|unknown/,
  ],
  [
    'both ends soft on an adjustable bar',
    () => withJoints(car(), 'panhard', { chassis: 'poly', axle: 'poly' }, false),
    'soft-ends',
    /stop/,
  ],
  [
    'clears at rest and hits at bump',
    () => {
      const job = car();
      const [x, , z] = lateralBarOf(job.rig)!.axle;
      const pipe = {
        id: 'pipe',
        on: 'chassis' as const,
        shape: 'sphere' as const,
        centre: [x, 0, z + 75] as [number, number, number],
        radius: 25,
      };
      return { ...job, rig: { ...job.rig, obstacles: [...job.rig.obstacles!, pipe] } };
    },
    'clearance',
    /stop|unknown/,
  ],
  [
    'measured from a hole that is off',
    () => {
      const values = trueReadings(oldCar([0]));
      return applyReadings({
        ...car(),
        readings: readings({ ...values, 'holes.diagonal.left': values['holes.diagonal.left']! + 12 }),
      });
    },
    'agree',
    /stop/,
  ],
  [
    'left and right not alike',
    () => {
      const list = readingsOf({ ...SIZES, ...MORE });
      return applyReadings({ ...car(), readings: { ...list, ...readings({ 'tireRadius.left': 330 }) } });
    },
    'sides-tireRadius',
    /look|stop/,
  ],
  [
    'arms of the sway bar clocked differently',
    () => {
      const job = car();
      const design = usualBar(job.rig);
      return withRoll(job, { bar: { ...design, measured: { left: 400, right: 420 } } });
    },
    'barClocked',
    /look|stop/,
  ],
  [
    'end link over-angled',
    () => {
      const job = car();
      return withRoll(job, { bar: { ...usualBar(job.rig), foot: { out: 90, ahead: 60 } } });
    },
    'linkCocked',
    /stop|look/,
  ],
  [
    'track bar and drag link at different angles',
    () => end(car('front-four-link'), bar(car('front-four-link')), 'chassis', 2, 60),
    'level',
    /stop|look/,
  ],
  [
    'joint cocked at rest',
    () =>
      withJoints(
        end(car(), 'upper', 'chassis', 1, 260),
        'upper',
        { brackets: 'square', chassis: 'poly', axle: 'poly' },
        false,
      ),
    'cocked',
    /stop|look/,
  ],
  [
    'real bushings welded in, bungs soaked with heat: asked for before the finish weld',
    car,
    'partsOut',
    /unknown/,
  ],
  ['parts painted before welding: asked for before any tack', car, 'fit', /unknown/],
  [
    'a bar long enough only because its threads are nearly out: asked for before any tack',
    car,
    'thread',
    /unknown/,
  ],
  ['a slider without room', () => car('torque-arm-panhard'), 'slider', /look|stop/],
];

test.each(MISTAKES)('%s', (_, made, caught, state) => {
  const found = said(made()).filter(({ id }) => id === caught || id.startsWith(`${caught} `));
  expect(found.length).toBeGreaterThan(0);
  expect(found.some((v) => state.test(v.state))).toBe(true);
});

test('a bracket that nobody welded leaves the stripe of Weld undone', () => {
  expect(states(car(), 'held')).toEqual(['unknown']);
});
