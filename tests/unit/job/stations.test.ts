import { STATIONS, type StationId } from '@/core/bench/stationIds';
import { stationBasis, stationStripeKey } from '@/core/bench/stations';
import { stationStripe } from '@/core/bench/stripes';
import { withReadingsAt } from '@/core/job/edits/readings';
import { withMounts } from '@/core/job/edits/mounts';
import { withParts } from '@/core/job/edits/parts/parts';
import { withRoll } from '@/core/job/edits/roll';
import type { Job } from '@/core/job/jobSchema';
import { workBar } from '@/core/job/jobValues';
import { spotAt } from '@/core/survey/quantities/quantities';
import { demoJobs } from '@/store/demo';
import { drawStripe, wipeStripe } from '@/ui/stripe/stripeEdits';
import { read } from '../../support/car';
import { unsound } from '../../support/numbers';

const striped = STATIONS.filter((s) => s !== 'weld' && s !== 'job' && s !== 'drive');
type Striped = (typeof striped)[number];

/** A change of what each station vouches for, and a word by which it must be told. */
const CHANGES: Record<Striped, [change: (job: Job) => Job, told: RegExp]> = {
  record: [(job) => withReadingsAt(job, spotAt('cover')!, () => [read(188)]), /Differential/],
  place: [(job) => ({ ...job, place: { ...job.place, rideHeight: 611 } }), /ride height/],
  locate: [
    (job) => {
      const { id, chassis } = workBar(job)!;
      return withMounts(job, [{ member: id, end: 'chassis', axis: 2, mm: chassis[2] + 31 }]);
    },
    /off the floor/,
  ],
  roll: [(job) => withRoll(job, { stop: { out: 333, gap: 44, rate: 55, height: 66 } }), /stop/],
  prove: [
    (job) => withParts(job, { brackets: { [`${workBar(job)!.id}/axle`]: { plate: 9 } } }),
    /axle bracket, plate/,
  ],
  cut: [(job) => ({ ...job, cut: { ...job.cut, tube: { ...job.cut.tube, od: 47 } } }), /tube/],
  ride: [(job) => ({ ...job, ride: { ...job.ride, gaps: { left: 171, right: 133 } } }), /gap left/],
};

describe.each(demoJobs().map((job) => [job.name, job] as const))(
  'stripes across the stations of %s',
  (_, job) => {
    const drawn = (station: StationId) =>
      drawStripe(job, stationStripeKey(station), stationBasis(job, station)!);

    test.each(striped)(
      '%s: whole as drawn, broken by a change of what it rests on and told by name, whole when that is undone',
      (station) => {
        expect(stationStripe(job, station).kind).toBe('none');
        const whole = drawn(station);
        expect(stationStripe(whole, station).kind).toBe('whole');
        const [change, told] = CHANGES[station];
        const broken = stationStripe(change(whole), station);
        expect(broken.kind).toBe('broken');
        expect(broken.kind === 'broken' && broken.changes.join('; ')).toMatch(told);
        expect(unsound(broken)).toEqual([]);
        // It is the value that counts: with the old ones back, nothing happened.
        const back: Job = { ...whole, stripes: change(whole).stripes };
        expect(stationStripe(back, station).kind).toBe('whole');
        expect(stationStripe(wipeStripe(whole, stationStripeKey(station)), station).kind).toBe('none');
      },
    );

    test('a stripe of one station is no other’s', () => {
      for (const station of striped)
        for (const other of striped)
          if (other !== station)
            expect([station, other, stationStripe(drawn(station), other).kind]).toEqual([
              station,
              other,
              'none',
            ]);
    });

    test('what each rests on is said in words, and holds no number that is none', () => {
      for (const station of striped) {
        const basis = stationBasis(job, station)!;
        expect(unsound(basis)).toEqual([]);
        for (const words of Object.keys(basis)) expect(words).toMatch(/^[A-Za-z]/);
      }
      expect(stationBasis(job, 'job')).toBeNull();
      expect(stationBasis(job, 'weld')).toBeNull();
    });
  },
);
