import fc from 'fast-check';
import { distance, type Point } from '@/core/geometry/vector';
import { withMade, withOpens } from '@/core/job/edits/made';
import { withMounts } from '@/core/job/edits/mounts';
import { readJob, writeJob } from '@/core/job/file';
import type { Job } from '@/core/job/jobSchema';
import { withLayout } from '@/core/job/edits/members/layout';
import { newJob } from '@/core/job/newJob';
import { assemble } from '@/core/kinematics/mechanism';
import { choicesOf, holeRows, holeTable } from '@/core/locate/made/holeTable';
import { eyeToSuit, madeBars, standWith } from '@/core/locate/made/standWith';
import { isLink, linksOf } from '@/core/rig/members/members';
import { mountsOf, withMount } from '@/core/rig/mounts';
import type { Rig } from '@/core/rig/schema';
import { demoJobs } from '@/store/demo';
import { everyLayout } from '../../support/layouts';
import { located } from '../../support/locate';
import { threeLink } from '../../support/rigs/rigs';

const drawn = (rig: Rig) => Object.fromEntries(linksOf(rig).map((m) => [m.id, distance(m.chassis, m.axle)]));
const withLinks = everyLayout.filter(([, rig]) => linksOf(rig).length > 0);
const demo = (name: string) => demoJobs().find(({ id }) => id === `demo-${name}`)!;
const off = fc.double({ min: -20, max: 20, noNaN: true });

describe('bars that are there already', () => {
  test.each(withLinks)('%s: as long as drawn, they put the axle where it is drawn', (_, rig) => {
    const { longer, stand } = madeBars(rig, { made: drawn(rig), opens: {} })!;
    expect(longer).toEqual([]);
    for (const v of Object.values(stand!)) expect(v).toBeCloseTo(0, 6);
  });

  test('none said to be there: nothing is said', () => {
    expect(madeBars(threeLink(), { made: {}, opens: {} })).toBeNull();
    expect(madeBars(threeLink(), { made: { 'no-such-bar': 500 }, opens: {} })).toBeNull();
  });

  test('an axle of three links goes where its eyes are as far apart as the bars are long, by hand', () => {
    fc.assert(
      fc.property(off, off, off, (lower, upper, across) => {
        const rig = threeLink();
        const lengths = drawn(rig);
        for (const id of Object.keys(lengths))
          lengths[id]! += id.startsWith('lower') ? lower : id.startsWith('upper') ? upper : across;
        const stand = standWith(rig, lengths)!;
        // The axle's own points, carried there by hand: about its length, about the vertical, then along.
        const square = Math.asin(-stand.leftAhead / rig.track);
        const turn = (stand.turnedDeg * Math.PI) / 180;
        for (const { id, chassis, axle } of linksOf(rig)) {
          const [x, y, z] = [axle[0], axle[1], axle[2] - rig.tireRadius] as Point;
          const [px, pz] = [x * Math.cos(turn) + z * Math.sin(turn), z * Math.cos(turn) - x * Math.sin(turn)];
          const there: Point = [
            stand.ahead + px * Math.cos(square) - y * Math.sin(square),
            stand.left + px * Math.sin(square) + y * Math.cos(square),
            rig.tireRadius + pz,
          ];
          // Bushings of rod ends give a little where an axle is held by no more than it has motions.
          expect(Math.abs(distance(chassis, there) - lengths[id]!)).toBeLessThan(0.02);
        }
      }),
      { numRuns: 40 },
    );
  });

  test.each(withLinks)('%s: an eye moved to suit makes its bar that long, at its own height', (_, rig) => {
    for (const bar of linksOf(rig))
      for (const end of ['chassis', 'axle'] as const)
        for (const by of [-12.7, 3.2]) {
          const length = distance(bar.chassis, bar.axle) + by;
          const changes = eyeToSuit(bar, end, length)!;
          const moved = linksOf(changes.reduce(withMount, rig)).find(({ id }) => id === bar.id)!;
          expect(distance(moved.chassis, moved.axle)).toBeCloseTo(length, 6);
          expect(moved[end][2]).toBe(bar[end][2]);
        }
  });

  test('a bar shorter than the height between its eyes fits nowhere', () => {
    const rig = threeLink();
    const [bar] = linksOf(rig);
    const steep = { ...bar!, axle: [bar!.chassis[0] - 50, bar!.chassis[1], bar!.chassis[2] - 300] as Point };
    expect(eyeToSuit(steep, 'chassis', 250)).toBeNull();
  });

  test.each(['marigold', 'cinder', 'tinker'])(
    '%s: lower links too short are told with what they do, and either eyes put it right',
    (name) => {
      const car = demo(name);
      const lowers = linksOf(car.rig).filter(({ id }) => id.startsWith('lower'));
      const short = lowers.reduce(
        (job, bar) => withMade(job, [bar.id], distance(bar.chassis, bar.axle) - 9.525),
        car,
      );
      const said = located(short).verdicts.lengthwise.find(({ id }) => id === 'made')!;
      expect(said.state).toBe('look');
      expect(said.title).toMatch(car.rig.end === 'rear' ? /ahead.*nose up/ : /back.*less caster/);
      expect(said.reason).toContain('The lower links are 3/8 in shorter than drawn');
      const eyes = said.remedies.filter(({ changes }) => changes);
      expect(eyes).toHaveLength(2);
      for (const { changes } of eyes) {
        const after = located(withMounts(short, changes!)).verdicts.lengthwise.find(
          ({ id }) => id === 'made',
        )!;
        expect(after.title).toBe('The bars you have put the axle where it is drawn.');
      }
      expect(readJob(writeJob(short)).locate.made).toEqual(short.locate.made);
      // A bar that is taken off is no longer there.
      expect(withLayout(short, car.layout).locate.made).toEqual({});
    },
  );

  test('bars with thread are wound out to the length drawn, or as near to it as they go', () => {
    const reach = fc.double({ min: 0, max: 60, noNaN: true });
    fc.assert(
      fc.property(
        fc.constantFrom(...withLinks),
        fc.array(fc.tuple(off, reach), { minLength: 6, maxLength: 6 }),
        ([, rig], told) => {
          const length = drawn(rig);
          const ids = Object.keys(length);
          const made = Object.fromEntries(ids.map((id, i) => [id, length[id]! + told[i % 6]![0]]));
          const opens = Object.fromEntries(ids.map((id, i) => [id, made[id]! + told[i % 6]![1]]));
          const found = madeBars(rig, { made, opens })!;
          const by = Object.fromEntries(found.longer.map((one) => [one.id, one.by]));
          for (const id of ids) {
            const inReach = made[id]! <= length[id]! && length[id]! <= opens[id]!;
            if (inReach) expect(by[id]).toBeUndefined();
            else
              expect(Math.abs(by[id] ?? 0)).toBeLessThanOrEqual(
                Math.min(Math.abs(made[id]! - length[id]!), Math.abs(opens[id]! - length[id]!)) + 1e-9,
              );
          }
          for (const one of found.opened) {
            expect(one.by + one.left).toBeCloseTo(opens[one.id]! - made[one.id]!, 9);
            expect(one.left).toBeGreaterThanOrEqual(-1e-9);
          }
          expect(found.closed).toEqual(standWith(rig, made));
          if (found.longer.length === 0)
            for (const v of Object.values(found.stand!)) expect(Math.abs(v)).toBeLessThan(0.1);
        },
      ),
      { numRuns: 60, endOnFailure: true },
    );
  });

  test('a kit that reaches is told how far to wind it out, what it has to spare, and where it stands wound in', () => {
    const car = demo('marigold');
    const lowers = linksOf(car.rig).filter(({ id }) => id.startsWith('lower'));
    const kit = (closed: number, open: number) =>
      lowers.reduce((job, { id, chassis, axle }) => {
        const length = distance(chassis, axle);
        return withOpens(withMade(job, [id], length + closed), [id], length + open);
      }, car);
    const said = (job: Job) => located(job).verdicts.lengthwise.find(({ id }) => id === 'made')!;
    const reaches = said(kit(-9.525, 12.7));
    expect(reaches.state).toBe('ok');
    expect(reaches.reason).toBe(
      'Wind out the lower links 3/8 in, 1/2 in to spare; wound in, the axle stands 1/4 in ahead, turned 2.2° nose up.',
    );
    const short = said(kit(-25.4, -6.35));
    expect(short.state).toBe('look');
    expect(short.reason).toContain('The lower links are 1/4 in shorter than drawn.');
    expect(short.reason).toContain('Wind out the lower links 3/4 in, as far as it goes; wound in, ');
    // Nothing is left to be wound: only the eyes can give way, and each way does.
    expect(short.remedies.map(({ text }) => text).filter((text) => text.startsWith('Or set'))).toEqual([]);
    for (const { changes } of short.remedies)
      expect(said(withMounts(kit(-25.4, -6.35), changes!)).state).toBe('ok');
    const long = said(kit(6.35, 25.4));
    expect(long.reason).toContain('The lower links are 1/4 in longer than drawn.');
    expect(long.reason).not.toContain('Wind out');
  });

  test('what a bar opens to is kept in the file, and goes with the bar', () => {
    const car = demo('marigold');
    const both = withOpens(withMade(car, ['upper'], 500), ['upper'], 540);
    expect(readJob(writeJob(both)).locate).toEqual(both.locate);
    expect(withOpens(both, ['upper'], null).locate).toEqual(withMade(car, ['upper'], 500).locate);
    expect(withMade(both, ['upper'], null).locate).toEqual(car.locate);
    expect(withLayout(both, car.layout).locate.opens).toEqual({});
  });

  test('the bar across the car by itself is spoken of sideways, with the way that it pulls', () => {
    const car = demo('marigold');
    const bar = linksOf(car.rig).find(({ id }) => id === 'panhard')!;
    const short = withMade(car, [bar.id], distance(bar.chassis, bar.axle) - 6.35);
    const { sideways, lengthwise } = located(short).verdicts;
    expect(lengthwise.some(({ id }) => id === 'made')).toBe(false);
    // Its frame end is on the left.
    expect(sideways.find(({ id }) => id === 'made')!.title).toContain('1/4 in to the left');
    expect(withMade(short, [bar.id], null).locate).toEqual(car.locate);
  });
});

describe('choices of holes', () => {
  const row = (lowest: number, count = 3, pitch = 25.4) => ({ lowest, pitch, count });
  const heightOf = ({ rig }: Job, member: string, key: string) =>
    mountsOf(rig, member).find((m) => m.key === key)!.point[2];
  const holed = (job: Job, keys: string[]): Job => ({
    ...job,
    holes: Object.fromEntries(
      keys.map((key) => {
        const [member, end] = key.split('/');
        return [key, row(heightOf(job, member!, end!) - 25.4)];
      }),
    ),
  });

  test('every choice is worked through once, the one now among them, each solved anew', () => {
    const car = holed(demo('marigold'), [
      'lower-left/chassis',
      'lower-right/chassis',
      'upper/chassis',
      'panhard/chassis',
    ]);
    const { rows, choices } = holeTable(car)!;
    // Left and right are one row; the bar across the car is no lever of these.
    expect(rows.map(({ mounts }) => mounts.map(({ id }) => id))).toEqual([
      ['lower-left/chassis', 'lower-right/chassis'],
      ['upper/chassis'],
    ]);
    expect(choices).toHaveLength(choicesOf(holeRows(car)));
    expect(new Set(choices.map(({ holes }) => holes.join())).size).toBe(9);
    expect(choices.filter(({ isNow }) => isNow).map(({ holes }) => holes)).toEqual([[1, 1]]);
    for (const { changes, antiSquat, rollSteer, stand } of choices) {
      const there = withMounts(car, changes).rig;
      const { ride } = assemble(there);
      expect(antiSquat).toBeCloseTo(ride.antiSquatPct!, 6);
      expect(rollSteer).toBeCloseTo(ride.rollSteer!, 9);
      // Bars left as they are stay as long as they were.
      const lengths = drawn(car.rig);
      const alone = assemble({
        ...there,
        members: there.members.map((m) => (isLink(m) ? { ...m, length: lengths[m.id]! } : m)),
      }).ride;
      expect(stand!.ahead).toBeCloseTo(alone.x, 6);
      expect(stand!.turnedDeg).toBeCloseTo(alone.pitchDeg, 6);
    }
  });

  test('an arm in another hole turns the axle as the two tubes of it would, at either end of the car', () => {
    for (const [name, layout] of [
      ['nightjar', 'ladder-bars-panhard'],
      ['tinker', 'front-radius-arms'],
    ] as const) {
      const car = withLayout(demo(name), layout);
      const arms = car.rig.members.filter((m) => m.type === 'rigid-arm').map(({ id }) => id);
      const table = holeTable(
        holed(
          car,
          arms.map((id) => `${id}/chassis`),
        ),
      )!;
      for (const { changes, stand } of table.choices) {
        // Each arm as two links from its joint to the axle, above and below.
        const tubes = (rig: Rig, lengths?: Record<string, number>): Rig => ({
          ...rig,
          members: rig.members.flatMap((m): Rig['members'] =>
            m.type !== 'rigid-arm'
              ? [m]
              : [60, -60].map((up) => {
                  const axle: Point = [0, m.chassis[1], rig.tireRadius + up];
                  const id = `${m.id}-${up}`;
                  return {
                    type: 'link',
                    id,
                    chassis: m.chassis,
                    axle,
                    ...(lengths && { length: lengths[id]! }),
                  };
                }),
          ),
        });
        const lengths = drawn(tubes(car.rig));
        const { ride } = assemble(tubes(changes.reduce(withMount, car.rig), lengths));
        expect(stand!.turnedDeg).toBeCloseTo(ride.pitchDeg, 1);
        expect(Math.abs(stand!.ahead - ride.x)).toBeLessThan(0.3);
      }
    }
  });

  test('what leaves do in other holes is not reckoned; too many choices are not listed; none are none', () => {
    const leaf = withLayout(newJob('a', 'a', 'mm'), 'leaf-panhard');
    const table = holeTable(holed(leaf, ['leaf-left/frontEye', 'leaf-right/frontEye']))!;
    expect(table.choices.filter(({ isNow }) => !isNow).every(({ stand }) => stand === undefined)).toBe(true);
    expect(holeTable(demo('nightjar'))).toBeNull();
    const many = holed(demo('cinder'), [
      'lower-left/chassis',
      'lower-left/axle',
      'upper-left/chassis',
      'upper-left/axle',
    ]);
    for (const key of Object.keys(many.holes)) many.holes[key] = row(200, 9, 12);
    expect(holeTable(many)).toBeNull();
  });
});
