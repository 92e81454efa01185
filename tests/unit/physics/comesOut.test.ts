import { comesOut, WAYS } from '@/core/clearance/comesOut';
import { withBodies } from '@/core/job/bodies/bodies';
import { COVER } from '@/core/job/bodies/bodyNames';
import { withLayout } from '@/core/job/edits/members/layout';
import type { Job } from '@/core/job/jobSchema';
import { ownObstacles } from '@/core/job/jobValues';
import { newJob } from '@/core/job/newJob';
import { LAYOUT_IDS } from '@/core/rig/layouts';
import type { Obstacle } from '@/core/rig/schema';
import type { Point } from '@/core/geometry/vector';

const car = withLayout(newJob('out', 'Out', 'mm'), 'three-link-panhard');
const out = (job: Job) =>
  Object.fromEntries(
    comesOut(job.rig, { drawn: ownObstacles(job.rig).map((o) => o.id), cover: COVER }).map((p) => [
      p.part,
      p,
    ]),
  );
const withThings = (...things: Obstacle[]): Job =>
  withBodies({ ...car, rig: { ...car.rig, obstacles: [...car.rig.obstacles!, ...things] } });
const box = (id: string, min: Point, max: Point): Obstacle => ({ id, on: 'chassis', shape: 'box', min, max });

describe('what still comes out', () => {
  test.each(LAYOUT_IDS)('%s: every bar of the pattern, straight down before any other way', (layout) => {
    for (const { part, way } of Object.values(out(withLayout(car, layout)))) {
      expect([part, way !== null]).toEqual([part, true]);
    }
    expect(WAYS[0]).toEqual([0, 0, -1]);
    expect(WAYS).toHaveLength(26);
  });

  test('a bar over a crossmember does not come down, and one boxed in all round does not come out at all', () => {
    const [x, , z] = car.rig.members.flatMap((m) =>
      m.type === 'link' && m.id === 'panhard' ? [m.chassis] : [],
    )[0]!;
    const under = box('crossmember', [x - 40, -300, z - 150], [x + 40, 300, z - 90]);
    const over = out(withThings(under)).panhard!;
    expect(over.way).not.toBeNull();
    expect(over.way).not.toEqual([0, 0, -1]);
    const r = 120;
    const shut = withThings(
      box('floor', [x - r, -700, z - r - 10], [x + r, 700, z - r]),
      box('roof', [x - r, -700, z + r], [x + r, 700, z + r + 10]),
      box('behind', [x - r - 10, -700, z - r], [x - r, 700, z + r]),
    );
    const { way, inTheWay } = out(shut).panhard!;
    expect(way).toBeNull();
    expect(inTheWay.find((stop) => stop.way[2] === -1)!.by).toBe('floor');
    expect(inTheWay.find((stop) => stop.way[2] === 1)!.by).toBe('roof');
    expect(inTheWay.find((stop) => stop.way[0] === -1)!.by).toBe('behind');
  });

  test('a cover needs the length of its bolts behind it; a pan under the shaft comes down', () => {
    const depth = 165.1;
    const tank = (gap: number) => box('tank', [-500, -200, 150], [-depth - gap, 200, 500]);
    expect(out(withThings(tank(24)))[COVER]!.way).toEqual([0, 0, -1]);
    expect(out(withThings(tank(16)))[COVER]).toEqual(
      expect.objectContaining({ way: null, inTheWay: [{ way: [-1, 0, 0], by: 'tank' }] }),
    );
    const pan = out(withThings(box('pan', [700, -150, 200], [1000, 150, 300]))).pan!;
    expect(pan.way).toEqual([0, 0, -1]);
  });
});
