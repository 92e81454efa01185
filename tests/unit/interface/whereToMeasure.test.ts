import { bayModel } from '@/bay/model/bayModel';
import { whereIs } from '@/bay/model/whereToMeasure';
import { withLayout } from '@/core/job/edits/members/layout';
import { newJob } from '@/core/job/newJob';
import { LAYOUT_IDS, layoutEnd } from '@/core/rig/layouts';
import { wayOf, type Datum } from '@/core/survey/quantities/datums';
import { spotAt, SPOTS } from '@/core/survey/quantities/quantities';
import { say, takeNotices, useNotices } from '@/store/notices';
import { applyReadings } from '@/core/job/applyReadings';
import { readings, usualValue } from '../../support/car';

const lengthOf = ({ from, to }: { from: number[]; to: number[] }) =>
  Math.hypot(...from.map((v, k) => v - to[k]!));

describe.each(['three-link-panhard', 'front-four-link'] as const)(
  'where each reading of %s is taken',
  (layout) => {
    const end = layoutEnd(layout);
    const job = applyReadings({
      ...withLayout(newJob('a', 'A', 'mm'), layout),
      readings: readings(Object.fromEntries(SPOTS.map((s) => [s.key, usualValue(s.key)]))),
    });
    const model = bayModel(job, null, null);
    const where = (key: string) => whereIs(spotAt(key)!, model, job.readings);

    test.each(SPOTS.map((s) => s.key))(
      '%s is drawn from one place to another, each of them a place',
      (key) => {
        const { from, to, beside = [] } = where(key);
        for (const p of [from, to, ...beside]) expect(p.every(Number.isFinite)).toBe(true);
        expect(lengthOf({ from, to })).toBeGreaterThan(1);
      },
    );

    test('the other axle is ahead of a rear one and behind a front one', () => {
      const way = end === 'rear' ? 1 : -1;
      for (const key of ['wheelbase.left', 'frontHeight.left', 'floorAlong.right', 'railAngle.left'])
        expect([key, Math.sign(where(key).from[0])]).toEqual([key, way]);
    });

    test('a datum is drawn on its own side of the axle, as far off as it was read', () => {
      for (const datum of ['cab', 'body', 'edge', 'holes'] as Datum[]) {
        const { from, to } = where(`${datum}.front.left`);
        expect([datum, Math.sign(from[0])]).toEqual([datum, wayOf(datum, end)]);
        expect(Math.abs(from[0] - to[0])).toBeCloseTo(usualValue(`${datum}.front.left`), 6);
      }
    });

    test('left is left, right is right', () => {
      for (const spot of SPOTS.filter((s) => s.side)) {
        const { view, from, to } = where(spot.key);
        if (view === 'side' || /diagonal|cross/.test(spot.key)) continue;
        expect([spot.key, Math.sign(from[1] + to[1])]).toEqual([spot.key, spot.side === 'left' ? 1 : -1]);
      }
    });
  },
);

test.each(LAYOUT_IDS)('%s: the bay draws every member, each mount once, at rest where it is', (layout) => {
  const job = withLayout(newJob('a', 'A', 'mm'), layout);
  const { now, ghosts, rollCentre } = bayModel(job, null, null);
  const drawn = new Set([...now.bars.map((b) => b.id), ...now.shapes.map((s) => s.id)]);
  for (const { id } of job.rig.members) expect([id, drawn.has(id)]).toEqual([id, true]);
  const keys = now.mounts.map((m) => `${m.member}/${m.key}`);
  expect(new Set(keys).size).toBe(keys.length);
  for (const mount of now.mounts) mount.now.forEach((v, k) => expect(v).toBeCloseTo(mount.point[k]!, 6));
  // Before the worker has answered, nothing is claimed of the travel.
  expect(Object.values(ghosts)).toEqual([null, null, null, null]);
  expect(rollCentre).toBeNull();
});

test('notices wait in the order they were said, and are taken once', () => {
  expect(takeNotices()).toEqual([]);
  say({ kind: 'info', title: 'One' });
  say({ kind: 'error', title: 'Two', stays: true });
  expect(useNotices.getState().waiting).toHaveLength(2);
  expect(takeNotices().map((n) => n.title)).toEqual(['One', 'Two']);
  expect(takeNotices()).toEqual([]);
});
