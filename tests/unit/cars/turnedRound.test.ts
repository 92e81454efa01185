import fc from 'fast-check';
import { gapsOf } from '@/core/clearance/clearance';
import { otherSide, SIDES } from '@/core/geometry/side';
import { distance, type Point } from '@/core/geometry/vector';
import { applyReadings } from '@/core/job/applyReadings';
import { withFront } from '@/core/job/edits/front';
import { withLayout } from '@/core/job/edits/members/layout';
import { withRoll } from '@/core/job/edits/roll';
import type { Job } from '@/core/job/jobSchema';
import { newJob } from '@/core/job/newJob';
import { assemble } from '@/core/kinematics/mechanism';
import { isReached, type Pose } from '@/core/kinematics/pose';
import { LAYOUT_IDS, layoutEnd, type LayoutId } from '@/core/rig/layouts';
import { partnerOf } from '@/core/rig/roles';
import type { Obstacle, Rig } from '@/core/rig/schema';
import type { Member } from '@/core/rig/members/members';
import { usualShock, usualSprings } from '@/core/springs/springDesign';
import { located } from '../../support/locate';
import { carried } from '../../support/rigs/rigs';

const at = '2026-01-01T00:00:00.000Z';
const reading = (value: number) => [{ value, typed: String(value), at }];
const off = (spread: number) => fc.double({ min: -spread, max: spread, noNaN: true });
const nudge = fc.tuple(off(25), off(25), off(25)) as fc.Arbitrary<Point>;

/** Ids of the two sides exchanged, of brackets too. */
const swapped = (id: string): string =>
  id.replace(
    /(-)(left|right)\b/g,
    (_, dash: string, side: string) => `${dash}${side === 'left' ? 'right' : 'left'}`,
  );

/** Something drawn in the way, and its image. */
const things = fc.array(
  fc.record({
    on: fc.constantFrom('chassis' as const, 'axle' as const),
    at: fc.tuple(off(500), off(500), fc.double({ min: 150, max: 600, noNaN: true })),
    size: fc.tuple(...[0, 1, 2].map(() => fc.double({ min: 20, max: 150, noNaN: true }))),
    shape: fc.constantFrom('box' as const, 'capsule' as const, 'cylinder' as const, 'sphere' as const),
  }),
  { maxLength: 3 },
);
type Thing = typeof things extends fc.Arbitrary<(infer T)[]> ? T : never;

function drawn({ on, at: p, size, shape }: Thing, id: string, to: (p: Point) => Point): Obstacle {
  const far = p.map((v, k) => v + size[k]!) as Point;
  const [a, b] = [to(p as Point), to(far)];
  switch (shape) {
    case 'box': {
      const pick = (of: (...v: number[]) => number) => a.map((v, k) => of(v, b[k]!)) as Point;
      return { id, on, shape, min: pick(Math.min), max: pick(Math.max) };
    }
    case 'sphere':
      return { id, on, shape, centre: a, radius: size[0]! };
    default:
      return { id, on, shape, from: a, to: b, radius: size[0]! / 3 };
  }
}

/** A lopsided car of a layout, everything of it carried somewhere. */
function carOf(layout: LayoutId, nudges: Point[], list: Thing[], left: number, image: boolean): Job {
  const plain = withRoll(withLayout(newJob('car', 'Car', 'mm'), layout), { shock: usualShock });
  const sprung = withRoll(plain, { springs: usualSprings(plain.rig, 'coil') });
  const to = ([x, y, z]: Point): Point => [x, image ? -y : y, z];
  const nudged = sprung.rig.members.map((m, i): Member =>
    m.type === 'link'
      ? {
          ...m,
          chassis: m.chassis.map((v, k) => v + nudges[(2 * i) % nudges.length]![k]!) as Point,
          axle: m.axle.map((v, k) => v + nudges[(2 * i + 1) % nudges.length]![k]!) as Point,
        }
      : m,
  );
  const lopsided = { ...sprung.rig, members: nudged };
  const held: Rig = carried(
    { ...lopsided, obstacles: [], springs: undefined, shocks: undefined, joined: [] },
    to,
  );
  const members = held.members.map((m): Member =>
    image && partnerOf(m.id) ? { ...m, id: partnerOf(m.id)! } : m,
  );
  const height = { left: 430, right: 424 };
  const read = (key: string, values: Record<'left' | 'right', number>) =>
    Object.fromEntries(SIDES.map((s) => [`${key}.${s}`, reading(values[image ? otherSide(s) : s])]));
  return applyReadings({
    ...sprung,
    laidOut: true,
    readings: read('rideHeight', height) as Job['readings'],
    bodies: { ...sprung.bodies, centreLeft: image ? -left : left },
    rig: {
      ...sprung.rig,
      ...held,
      members,
      obstacles: list.map((thing, i) => drawn(thing, `thing ${i}`, to)),
    },
  });
}

const byPair = (gaps: { a: string; b: string; distance: number }[], named: (id: string) => string) =>
  new Map(gaps.map(({ a, b, distance: d }) => [[named(a), named(b)].sort().join(' / '), d]));

const same = (id: string) => id;
/** What a least way out is found to, mm. */
const FINE = 0.02;

function agree(one: Map<string, number>, other: Map<string, number>): void {
  expect([...one.keys()].sort()).toEqual([...other.keys()].sort());
  for (const [pair, d] of one) expect(Math.abs(d - other.get(pair)!)).toBeLessThan(FINE);
}

test('a lopsided car and its mirror image have the same gaps between the mirrored bodies, and are judged alike', () => {
  fc.assert(
    fc.property(
      fc.constantFrom(...LAYOUT_IDS),
      fc.array(nudge, { minLength: 6, maxLength: 6 }),
      things,
      off(60),
      (layout, nudges, list, left) => {
        const [car, image] = [false, true].map((i) => located(carOf(layout, nudges, list, left, i)));
        agree(byPair(car!.result.gaps, same), byPair(image!.result.gaps, swapped));
        for (const part of ['sideways', 'lengthwise'] as const) {
          const states = ({ verdicts }: typeof car & object) =>
            verdicts[part].map((v) => `${v.id} ${v.state}`).sort();
          expect(states(image!)).toEqual(states(car!));
        }
      },
    ),
    { numRuns: 40 },
  );
});

const REAR = LAYOUT_IDS.filter((l) => layoutEnd(l) === 'rear');

test('a driven front axle is the rear one turned round: it moves so, and what it carries clears what it cleared', () => {
  fc.assert(
    fc.property(
      fc.constantFrom(...REAR),
      things,
      off(60),
      off(60),
      off(60),
      (layout, list, left, up, down) => {
        const rear = carOf(layout, [[0, 0, 0]], list, left, false);
        const round = ([x, y, z]: Point): Point => [-x, -y, z];
        const turned = carried(
          { ...rear.rig, obstacles: [], springs: undefined, shocks: undefined, joined: [] },
          round,
        );
        const { driveshaft } = turned;
        const bare = withFront(withLayout(rear, 'front-four-link'), { driven: true, box: 'axle' });
        const front = applyReadings({
          ...bare,
          laidOut: true,
          readings: {
            'rideHeight.left': reading(424),
            'rideHeight.right': reading(430),
          },
          bodies: { ...rear.bodies, centreLeft: -left },
          rig: {
            ...bare.rig,
            members: turned.members.map((m): Member => ({ ...m, id: partnerOf(m.id) ?? m.id })),
            driveshaft: {
              ...driveshaft!,
              pinionAngleDeg: -driveshaft!.pinionAngleDeg,
              transmissionAngleDeg: -driveshaft!.transmissionAngleDeg,
            },
            obstacles: list.map((thing, i) => drawn(thing, `thing ${i}`, round)),
          },
        });
        const poseOf = (rig: Rig, l: number, r: number): Pose | null => {
          const pose = assemble(rig).at({ left: l, right: r });
          return isReached(pose) ? pose : null;
        };
        const [here, there] = [poseOf(rear.rig, up, down), poseOf(front.rig, down, up)];
        if (!here || !there) return expect(Boolean(here)).toBe(Boolean(there));
        expect(distance([there.x, there.y, there.z], [-here.x, -here.y, here.z])).toBeLessThan(1e-5);
        expect(there.rollDeg).toBeCloseTo(-here.rollDeg, 6);
        expect(there.pitchDeg).toBeCloseTo(-here.pitchDeg, 6);
        expect(there.steerDeg).toBeCloseTo(here.steerDeg, 6);
        expect(there.rollCentreHeight!).toBeCloseTo(here.rollCentreHeight!, 4);
        expect(there.driveshaft!.frontAngleDeg).toBeCloseTo(here.driveshaft!.frontAngleDeg, 6);
        expect(there.driveshaft!.rearAngleDeg).toBeCloseTo(here.driveshaft!.rearAngleDeg, 6);
        const gaps = (job: Job, pose: Pose, named: (id: string) => string) => {
          const own = gapsOf(
            { ...job.rig, springs: undefined, shocks: undefined },
            { bracket: 76, deep: true },
          );
          const distances = own.in(pose);
          const list = own.pairs.map(({ a, b }, i) => ({ a, b, distance: distances[i]! }));
          // A front axle has a tie rod beside.
          return byPair(
            list.filter(({ a, b }) => a !== 'tie-rod' && b !== 'tie-rod'),
            named,
          );
        };
        agree(gaps(rear, here, same), gaps(front, there, swapped));
      },
    ),
    { numRuns: 40 },
  );
});
