import fc from 'fast-check';
import { apart } from '@/bay/parts/labelsApart';
import { bayModel, bodyParts } from '@/bay/model/bayModel';
import { fit, type Extent } from '@/bay/views/projection';
import { LAYOUT_IDS } from '@/core/rig/layouts';
import { analyseLocate } from '@/core/locate/analyse';
import { FITTED, fit as fitView, useViewport, zoomAbout, type ViewName } from '@/store/viewport';
import type { Point } from '@/core/geometry/vector';
import type { Job } from '@/core/job/jobSchema';
import { locateInput } from '@/core/locate/types';
import { newJob } from '@/core/job/newJob';
import { withLayout } from '@/core/job/edits/members/layout';
import { withMounts } from '@/core/job/edits/mounts';
import { workBar } from '@/core/job/jobValues';

const bare = newJob('check', 'Check', 'mm');
const drawn = (job: Job, left = 0, right = 0, load: string | null = null) =>
  bayModel(job, analyseLocate(locateInput(job, { left, right })), load);

const views: ViewName[] = ['rear', 'side', 'plan'];
const BOX = { x: 40, y: 30, width: 700, height: 420 };
const EXTENT: Extent = { left: -900, right: 800, top: -700, bottom: 90 };
const number = (least: number, most: number) => fc.double({ min: least, max: most, noNaN: true });
const point = fc.tuple(number(-800, 800), number(-800, 800), number(0, 800)) as fc.Arbitrary<Point>;

describe('a sheet', () => {
  test('is true to scale: equal lengths are drawn equal, whichever way they lie', () => {
    fc.assert(
      fc.property(fc.constantFrom(...views), point, number(-300, 300), (view, p, mm) => {
        const sheet = fit(view, BOX, EXTENT, FITTED);
        const axes = { rear: [1, 2], side: [0, 2], plan: [1, 0] }[view];
        const [a, b] = axes.map((axis) => {
          const moved = p.map((v, k) => (k === axis ? v + mm : v)) as Point;
          const [from, to] = [sheet.at(p), sheet.at(moved)];
          return Math.hypot(to[0] - from[0], to[1] - from[1]);
        }) as [number, number];
        expect(a).toBeCloseTo(b, 6);
        expect(sheet.toMm(a)).toBeCloseTo(Math.abs(mm), 6);
      }),
    );
  });

  test('holds its whole extent inside its box while it is fitted', () => {
    const sheet = fit('rear', BOX, EXTENT, FITTED);
    for (const [y, z] of [
      [900, 700],
      [-800, -90],
    ] as const) {
      const [px, py] = sheet.at([0, y, z]);
      expect(px).toBeGreaterThanOrEqual(BOX.x - 1e-9);
      expect(px).toBeLessThanOrEqual(BOX.x + BOX.width + 1e-9);
      expect(py).toBeGreaterThanOrEqual(BOX.y - 1e-9);
      expect(py).toBeLessThanOrEqual(BOX.y + BOX.height + 1e-9);
    }
  });

  test('zoomed about a point, keeps that point where it is, and says by its key that it changed', () => {
    fc.assert(
      fc.property(point, number(0.6, 3), (p, by) => {
        fitView('plan');
        const before = fit('plan', BOX, EXTENT, useViewport.getState().zoom.plan);
        const [x, y] = before.at(p);
        zoomAbout('plan', by, x - BOX.x - BOX.width / 2, y - BOX.y - BOX.height / 2);
        const after = fit('plan', BOX, EXTENT, useViewport.getState().zoom.plan);
        expect(after.at(p)[0]).toBeCloseTo(x, 6);
        expect(after.at(p)[1]).toBeCloseTo(y, 6);
        expect(after.k / before.k).toBeCloseTo(by, 9);
        expect(after.key === before.key).toBe(by === 1);
      }),
    );
    zoomAbout('plan', 1000, 0, 0);
    expect(useViewport.getState().zoom.plan.k).toBeLessThan(50);
    fitView('plan');
  });
});

describe('what the bay draws', () => {
  test.each(LAYOUT_IDS)('%s: eyes stand where they are typed, and axle ends go with the axle', (layout) => {
    const job = withLayout(bare, layout);
    const ride = drawn(job);
    for (const { now, point } of ride.now.mounts) now.forEach((v, k) => expect(v).toBeCloseTo(point[k]!, 6));
    const lifted = drawn(job, 50, 50);
    for (const mount of lifted.now.mounts) {
      if (mount.on === 'chassis') expect(mount.now).toEqual(mount.point);
      else expect(mount.now[2] - mount.point[2]).toBeGreaterThan(20);
    }
    for (const bar of lifted.now.bars) {
      expect(bar.path[0]).toEqual(bar.chassis);
      expect(bar.path.at(-1)).toEqual(bar.axle);
    }
    expect(Object.values(lifted.ghosts).every((figure) => figure !== null)).toBe(true);
  });

  test('wheels and axle are drawn alike while a mount moves at ride height, and anew when the rocker does', () => {
    const moved = withMounts(bare, [
      { member: 'panhard', end: 'chassis', axis: 2, mm: workBar(bare)!.chassis[2] + 12 },
    ]);
    expect(bodyParts(drawn(moved))).toEqual(bodyParts(drawn({ ...bare, laidOut: true })));
    expect(bodyParts(drawn(bare, 30, 0))).not.toEqual(bodyParts(drawn(bare)));
  });

  test('forces are shown for the case that is looked at, and for no other', () => {
    const masses = {
      total: 1400,
      frontFraction: 0.5,
      unsprungFront: 80,
      unsprungRear: 140,
      unsprungHeightFront: 300,
      unsprungHeightRear: 320,
    };
    const job = { ...bare, rig: { ...bare.rig, masses } };
    const shown = (load: string | null) => drawn(job, 0, 0, load).now.bars.map((b) => b.force);
    expect(shown('Hard launch').every((f) => typeof f === 'number')).toBe(true);
    expect(shown('Hard launch')).not.toEqual(shown('Hard braking'));
    expect(shown(null).every((f) => f === null)).toBe(true);
  });
});

describe('names in the drawing', () => {
  const label = fc.record({ x: number(0, 300), y: number(0, 200), width: number(5, 120) });

  test('are never written over each other, never moved up, and left alone where they are clear', () => {
    fc.assert(
      fc.property(fc.array(label, { maxLength: 12 }), (labels) => {
        const ys = apart(labels);
        const over = (i: number, j: number, y: number[]) =>
          Math.abs(labels[i]!.x - labels[j]!.x) < (labels[i]!.width + labels[j]!.width) / 2 &&
          Math.abs(y[i]! - y[j]!) < 15 - 1e-6;
        const before = labels.map(({ y }) => y);
        labels.forEach((_, i) => {
          expect(ys[i]).toBeGreaterThanOrEqual(before[i]!);
          labels.slice(0, i).forEach((_, j) => expect(over(i, j, ys)).toBe(false));
        });
        if (labels.every((_, i) => labels.every((_, j) => i === j || !over(i, j, before))))
          expect(ys).toEqual(before);
      }),
    );
  });
});
