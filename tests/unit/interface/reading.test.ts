import 'fake-indexeddb/auto';
import fc from 'fast-check';
import { STATIONS } from '@/core/bench/stationIds';
import { builtJob, BUILT_AXES, eyesMeasured, withBuilt } from '@/core/built/builtEyes';
import type { Job } from '@/core/job/jobSchema';
import { LINK_ENDS } from '@/core/job/made/parts';
import { newJob } from '@/core/job/newJob';
import { linksOf } from '@/core/rig/members/members';
import { takeNotices } from '@/store/notices';
import { beginGesture, edit, jobOnBench, putOnBench, undo, useJobStore } from '@/store/jobStore';
import { isReadAsBuilt, jobRead, useReading } from '@/store/reading';

const eye = fc.record({
  link: fc.nat(20),
  end: fc.constantFrom(...LINK_ENDS),
  axis: fc.constantFrom(...BUILT_AXES),
  off: fc.integer({ min: -9, max: 9 }),
});
type Eye = typeof eye extends fc.Arbitrary<infer T> ? T : never;

const drawn = newJob('read', 'Read', 'in16');
const linkOf = (job: Job, { link }: Eye) => linksOf(job.rig)[link % linksOf(job.rig).length]!;
const measured = (eyes: Eye[]): Job =>
  eyes.reduce((job, at) => {
    const link = linkOf(drawn, at);
    return withBuilt(job, link.id, at.end, at.axis, link[at.end][BUILT_AXES.indexOf(at.axis)]! + at.off);
  }, drawn);
const kept = () => useJobStore.getState().job!;
const rename = (job: Job): Job => ({ ...job, name: 'Changed' });

afterEach(() => {
  useReading.setState({ asBuilt: false, station: null });
  takeNotices();
});

test('read as built, every eye stands where it was last measured and the others where they are drawn; what is kept is the drawing', () => {
  fc.assert(
    fc.property(fc.array(eye, { maxLength: 6 }), (eyes) => {
      const job = measured(eyes);
      putOnBench(job, {});
      useReading.setState({ asBuilt: true, station: 'locate' });
      const read = jobOnBench()!;
      expect(kept()).toBe(job);
      expect(read).toBe(builtJob(job) ?? job);
      expect(eyesMeasured(job)).toBe(new Set(eyes.map((at) => linkOf(job, at).id + at.end)).size);
      for (const link of linksOf(job.rig))
        for (const end of LINK_ENDS)
          BUILT_AXES.forEach((axis, k) => {
            const last = eyes
              .filter((at) => linkOf(job, at).id === link.id && at.end === end && at.axis === axis)
              .at(-1);
            const now = linksOf(read.rig).find(({ id }) => id === link.id)!;
            expect(now[end][k]).toBeCloseTo(link[end][k]! + (last?.off ?? 0), 9);
          });
    }),
  );
});

test('nothing is changed, nor taken in hand, while the car is read as built, and that is said; a step back is the drawing’s', () => {
  putOnBench(measured([{ link: 0, end: 'axle', axis: 'up', off: 4 }]), {});
  edit(rename);
  const before = kept();
  useReading.setState({ asBuilt: true, station: 'roll' });
  edit((job) => ({ ...job, name: 'Again' }));
  expect(kept()).toBe(before);
  expect(beginGesture()).toBeNull();
  expect(takeNotices().map(({ title }) => title)).toEqual(['Not changed: the car is read as it was built.']);
  undo();
  expect(kept().name).toBe('Read');
  useReading.setState({ asBuilt: false });
  edit(rename);
  expect(kept().name).toBe('Changed');
});

test('where work is done on the car itself, it is the drawing that is read', () => {
  const read = STATIONS.filter((station) =>
    isReadAsBuilt({ ...useReading.getState(), asBuilt: true, station }),
  );
  expect(read).toEqual(['locate', 'roll', 'prove', 'cut']);
  // Where nothing was measured there is nothing else to read.
  expect(jobRead(drawn, true)).toBe(drawn);
});
