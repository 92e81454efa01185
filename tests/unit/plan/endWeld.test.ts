import fc from 'fast-check';
import { newJob } from '@/core/job/newJob';
import type { Job } from '@/core/job/jobSchema';
import { bungWelds } from '@/core/weld/endWeld';

const inch = 25.4;
const end = (bung: number) => ({ toShoulder: 30, showing: 6, shank: 40, bung });
const barWith = (od: number, frame: number, axle: number): Job => {
  const job = newJob('weld', 'Weld', 'in16');
  const bar = {
    section: { shape: 'tube' as const, od, wall: 3 },
    ends: { frame: end(frame), axle: end(axle) },
  };
  return { ...job, parts: { ...job.parts, bars: { panhard: bar } } };
};
const sizes = {
  od: fc.double({ min: 12, max: 80, noNaN: true }),
  bung: fc.double({ min: 0, max: 90, noNaN: true }),
};

test('a plug has bung under all of its hole, and tube all round it; a bung too short for one has none', () => {
  fc.assert(
    fc.property(sizes.od, sizes.bung, sizes.bung, (od, frame, axle) => {
      const welds = bungWelds(barWith(od, frame, axle), 'panhard');
      expect(welds.flatMap(({ ends }) => ends).sort()).toEqual([
        ...(axle > 0 ? ['axle'] : []),
        ...(frame > 0 ? ['frame'] : []),
      ]);
      for (const { bung, seam, plugs } of welds) {
        expect(seam / od).toBeCloseTo(Math.PI, 9);
        if (!plugs) {
          expect(bung).toBeLessThan(0.75 * inch);
          continue;
        }
        expect(plugs.fromFace + plugs.hole / 2).toBeLessThanOrEqual(bung + 1e-9);
        expect(plugs.fromFace - plugs.hole / 2).toBeGreaterThanOrEqual(plugs.hole / 2 - 1e-9);
        expect(plugs.hole).toBeLessThanOrEqual(Math.min(inch / 2, od / 2));
      }
    }),
  );
});

test('ends that are alike are told as one; a barrel or a solid bar has no bung', () => {
  expect(bungWelds(barWith(31.75, 50, 50), 'panhard')).toEqual([
    {
      ends: ['frame', 'axle'],
      od: 31.75,
      bung: 50,
      seam: Math.PI * 31.75,
      plugs: { hole: 12.7, fromFace: 25, count: 2 },
    },
  ]);
  const job = barWith(31.75, 50, 50);
  const bar = job.parts.bars.panhard!;
  const as = (change: Partial<typeof bar>): Job => ({
    ...job,
    parts: { ...job.parts, bars: { panhard: { ...bar, ...change } } },
  });
  expect(bungWelds(as({ barrels: { frame: { od: 45 } } }), 'panhard').map(({ ends }) => ends)).toEqual([
    ['axle'],
  ]);
  expect(bungWelds(as({ section: { shape: 'solid', od: 25 } }), 'panhard')).toEqual([]);
});
