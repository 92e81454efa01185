import fc from 'fast-check';
import makerjs from 'makerjs';
import type { Drawing } from '@/core/fabricate/drawing';
import { isFootClear, tabDrawing } from '@/core/fabricate/plates/plates';
import type { Point } from '@/core/geometry/vector';
import { bracketAxes } from '@/core/job/made/bracketRoot';
import { besideSeat, bracketOf, footOf, tabOf } from '@/core/job/made/bracketParts';
import { bracketBody, plateOutlines } from '@/core/job/made/bracketShape';
import { withParts } from '@/core/job/edits/parts/parts';
import { readJob, writeJob } from '@/core/job/file';
import type { Job } from '@/core/job/jobSchema';
import { LINK_ENDS } from '@/core/job/made/parts';
import { partFaults } from '@/core/prove/faults/faults';
import { proveJob } from '@/core/prove/prove';
import { linksOf } from '@/core/rig/members/members';
import { orNone } from '@/core/rig/read';
import { demoJobs } from '@/store/demo';
import { plausibleCar } from '../../support/plausible';
import { assertUntil } from '../../support/until';

const marigold = demoJobs().find(({ name }) => name.startsWith('Marigold'))!;
const linkOf = (job: Job, id: string) => linksOf(job.rig).find((link) => link.id === id)!;
const axlePart = (job: Job, id: string, change: object) =>
  withParts(job, { brackets: { [`${id}/axle`]: change } });

test('plates on a tube stand on it from end to end, inside face by inside face', () => {
  let stood = 0;
  assertUntil(
    fc.property(plausibleCar, fc.double({ min: 20, max: 140, noNaN: true }), (job, depth) => {
      for (const link of linksOf(job.rig)) {
        const made = axlePart(job, link.id, { depth });
        const bracket = bracketOf(made, link, 'axle');
        const foot = footOf(made, link, 'axle');
        if (!foot) continue;
        const { along, out, bolt } = bracketAxes(made, link, 'axle');
        const [radius, beside] = [bracket.seat!.od / 2, bracket.middle / 2 + bracket.spacer];
        // The way from the tube's middle to the eye is where the root is.
        const [x, z] = [link.axle[0], link.axle[2] - job.rig.tireRadius];
        const far = Math.hypot(x, z);
        const root: Point = [(x / far) * radius, link.axle[1], job.rig.tireRadius + (z / far) * radius];
        for (const [u, v] of foot) {
          const p = root.map((o, k) => o + along[k]! * u + out[k]! * v + bolt[k]! * beside) as Point;
          const away = Math.hypot(p[0], p[2] - job.rig.tireRadius);
          // What reaches past the tube's side ends level with its middle.
          expect(away).toBeGreaterThan(radius - 1e-6);
          if (Math.abs(u) < radius / 2 && beside < radius / 2) {
            expect(away).toBeCloseTo(radius, 6);
            stood++;
          }
        }
        expect(besideSeat(made, link, 'axle')).toBeGreaterThan(-1e-9);
      }
    }),
    { numRuns: 60, endOnFailure: true },
    () => stood > 500,
  );
});

test('square across the tube, the foot is the tube’s own circle; along it, straight, and farther down the farther apart', () => {
  const upper = axlePart(marigold, 'upper', { depth: 60 });
  const radius = bracketOf(upper, linkOf(upper, 'upper'), 'axle').seat!.od / 2;
  for (const [u, v] of footOf(upper, linkOf(upper, 'upper'), 'axle')!)
    expect(Math.hypot(u, v + radius)).toBeCloseTo(radius, 6);
  const drop = (middle: number) => {
    const made = axlePart(marigold, 'panhard', { middle, spacer: 0 });
    return besideSeat(made, linkOf(made, 'panhard'), 'axle');
  };
  expect(drop(40)).toBeCloseTo(radius - Math.sqrt(radius ** 2 - 20 ** 2), 1);
  expect(drop(60)).toBeGreaterThan(drop(40));
});

test('on a flat face the foot is straight; on a tube of its own it is that tube’s', () => {
  const flat = axlePart(marigold, 'upper', { seat: { on: 'flat' } });
  expect(bracketOf(flat, linkOf(flat, 'upper'), 'axle').seat).toBeNull();
  expect(footOf(flat, linkOf(flat, 'upper'), 'axle')!.every(([, v]) => v === 0)).toBe(true);
  const own = withParts(marigold, { brackets: { 'upper/chassis': { seat: { on: 'round', od: 48 } } } });
  expect(readJob(writeJob(own)).parts).toEqual(own.parts);
  expect(bracketOf(own, linkOf(own, 'upper'), 'chassis').seat).toEqual({ od: 48 });
  expect(bracketOf(marigold, linkOf(marigold, 'upper'), 'chassis').seat).toBeNull();
});

test('plates that miss their tube, or whose round cuts through their flanks, are a fault until that is mended', () => {
  const faults = (change: object) =>
    partFaults(axlePart(marigold, 'upper', change))
      .filter(({ where }) => where === 'upper/axle')
      .map(({ id, state }) => [id, state]);
  const panhard = (change: object) =>
    partFaults(axlePart(marigold, 'panhard', change))
      .filter(({ where }) => where === 'panhard/axle')
      .map(({ id }) => id);
  expect(faults({})).toEqual([]);
  expect(panhard({ middle: 80 })).toEqual(['off-its-tube']);
  expect(panhard({ middle: 80, seat: { on: 'flat' } })).toEqual([]);
  const lower = (change: object) =>
    partFaults(axlePart(marigold, 'lower-left', change)).filter(({ where }) => where?.startsWith('lower'));
  expect(lower({ depth: 76.2 }).map(({ id }) => id)).toEqual(['foot-in-flank']);
  expect(lower({ depth: 76.2, width: 70, edge: 35 })).toEqual([]);
});

/** Where pieces of an outline meet otherwise than end to end. */
function crossings({ paths }: Drawing): makerjs.IPoint[] {
  const cut = paths.filter(({ layer }) => layer === 'CUT');
  const ends = cut.flatMap((path) => makerjs.point.fromPathEnds(path) ?? []);
  return cut.flatMap((a, i) =>
    cut
      .slice(i + 1)
      .flatMap((b) => makerjs.path.intersection(a, b)?.intersectionPoints ?? [])
      .filter((p) => !ends.some((end) => makerjs.measure.pointDistance(p, end) < 1e-4)),
  );
}

test('a round that leaves steel gives an outline that never crosses itself, and a longer arm never makes the root stronger', () => {
  fc.assert(
    fc.property(plausibleCar, fc.double({ min: 25, max: 75, noNaN: true }), (job, depth) => {
      for (const link of linksOf(job.rig)) {
        const made = axlePart(job, link.id, { depth });
        const tab = tabOf(made, link, 'axle');
        if (isFootClear(tab)) expect(crossings(tabDrawing(tab))).toEqual([]);
        const flat = axlePart(made, link.id, { seat: { on: 'flat' } });
        const root = (of: Job) =>
          orNone(() => proveJob(of))?.checks.find(
            ({ part, check }) => part === `${link.id}/axle` && check === 'root-bending',
          )?.factor ?? Infinity;
        expect(root(made)).toBeLessThanOrEqual(root(flat) * (1 + 1e-9));
      }
    }),
    { numRuns: 10, endOnFailure: true },
  );
});

test('a bracket’s body holds the eye and its plates where it is square to the car, and no more than a plate beyond them', () => {
  let boxes = 0;
  fc.assert(
    fc.property(plausibleCar, (job) => {
      for (const link of linksOf(job.rig))
        for (const end of LINK_ENDS) {
          const body = bracketBody(job, link, end, 'bracket');
          expect(body.on).toBe(end);
          if (body.shape !== 'box') {
            expect(body).toMatchObject({ shape: 'capsule', from: link[end] });
            continue;
          }
          boxes++;
          const { min, max } = body;
          link[end].forEach((v, k) => {
            expect(v).toBeGreaterThan(min[k]!);
            expect(v).toBeLessThan(max[k]!);
          });
          // Past the eye it ends where its plates do, within what ten degrees of turning add.
          const { out } = bracketAxes(job, link, end);
          const k = [0, 1, 2].find((i) => Math.abs(out[i]!) > 0.9)!;
          const tips = plateOutlines(job, link, end).flat();
          const far = Math.max(...tips.map((p) => Math.sign(out[k]!) * p[k]!));
          const ends = Math.sign(out[k]!) > 0 ? max[k]! : -min[k]!;
          expect(ends).toBeGreaterThanOrEqual(far - 1e-6);
          expect(ends - far).toBeLessThan(0.2 * bracketOf(job, link, end).width);
        }
    }),
    { numRuns: 60, endOnFailure: true },
  );
  expect(boxes).toBeGreaterThan(100);
});

test('plates stand as far apart as what is between them, their eye on the bolt', () => {
  for (const link of linksOf(marigold.rig))
    for (const end of LINK_ENDS) {
      const { middle, spacer, plate } = bracketOf(marigold, link, end);
      const [a, b] = plateOutlines(marigold, link, end);
      const { bolt } = bracketAxes(marigold, link, end);
      const apart = a!.map((p, i) => p.reduce((sum, v, k) => sum + (b![i]![k]! - v) * bolt[k]!, 0));
      for (const mm of apart) expect(mm).toBeCloseTo(middle + 2 * spacer + 2 * plate, 6);
    }
});
