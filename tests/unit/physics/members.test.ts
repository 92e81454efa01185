import fc from 'fast-check';
import { distance, minus, plus, type Point } from '@/core/geometry/vector';
import { assemble } from '@/core/kinematics/mechanism';
import { isReached } from '@/core/kinematics/pose';
import { compileLinkage } from '@/core/kinematics/solver/linkage';
import { LAYOUT_IDS } from '@/core/rig/layouts';
import { kindOf, linksOf, memberSchema, type Member } from '@/core/rig/members/members';
import { DRIVESHAFT, mountOwners, mountsOf, STEERING, withMount } from '@/core/rig/mounts';
import { memberName } from '@/core/rig/names';
import { readRig } from '@/core/rig/read';
import {
  armsOf,
  cranksOf,
  lateralBarOf,
  leaningPair,
  leavesOf,
  lengthwiseLinks,
  pairedSide,
  pairOf,
  partnerOf,
  upperLinks,
} from '@/core/rig/roles';
import type { Rig } from '@/core/rig/schema';
import { everyLayout, patternRig } from '../../support/layouts';

const coordinate = fc.integer({ min: -900, max: 900 });
const axes = [0, 1, 2] as const;
const centreOf = ({ tireRadius }: Rig): Point => [0, 0, tireRadius];
const mirrored = ([x, y, z]: Point): Point => [x, -y, z];

/** Every member of every layout, by what it is. */
const members: [string, Rig, Member][] = everyLayout.flatMap(([id, rig]) =>
  rig.members.map((m): [string, Rig, Member] => [`${id}: ${m.id}`, rig, m]),
);

describe.each(members)('%s', (_, rig, member) => {
  const kind = kindOf(member);

  test('stands in a file as it is, and is told to be fit', () => {
    expect(memberSchema.parse(JSON.parse(JSON.stringify(member)))).toEqual(member);
    expect(kind.fault(member)).toBeNull();
  });

  test('has a name of the trade, and mounts with names of their own', () => {
    expect(memberName(member.id, 'rear')).not.toContain('-');
    const mounts = kind.mounts(member);
    expect(mounts.length).toBeGreaterThan(0);
    expect(new Set(mounts.map((m) => m.key)).size).toBe(mounts.length);
    expect(new Set(mounts.map((m) => m.name)).size).toBe(mounts.length);
  });

  test('a mount put somewhere is there, and back again is the member it was', () => {
    fc.assert(
      fc.property(fc.nat(10), fc.constantFrom(...axes), coordinate, (pick, axis, mm) => {
        const mounts = mountsOf(rig, member.id);
        const mount = mounts[pick % mounts.length]!;
        const moved = withMount(rig, { member: member.id, end: mount.key, axis, mm });
        const now = mountsOf(moved, member.id).find((m) => m.key === mount.key)!;
        expect(now.point[axis]).toBe(mm);
        expect(now.on).toBe(mount.on);
        const back = withMount(moved, { member: member.id, end: mount.key, axis, mm: mount.point[axis] });
        const points = (r: Rig) =>
          mountsOf(r, member.id).map((m) => m.point.map((v) => Number(v.toFixed(6))));
        expect(points(back)).toEqual(points(rig));
        // Nothing else is touched.
        expect(moved.members.filter((m) => m.id !== member.id)).toEqual(
          rig.members.filter((m) => m.id !== member.id),
        );
      }),
      { numRuns: 20 },
    );
  });

  test('asks for what holds as it is drawn: its lengths are those between its points', () => {
    for (const constraint of kind.constraints(member, centreOf(rig))) {
      if (constraint.kind === 'distance')
        expect(distance(constraint.chassis, constraint.axle)).toBeGreaterThan(0);
      if (constraint.kind === 'crank') {
        const tip = plus(constraint.pivot, constraint.arm);
        expect(distance(tip, constraint.end)).toBeCloseTo(constraint.length, 9);
      }
      if (constraint.rate !== undefined) expect(constraint.rate).toBeGreaterThan(0);
    }
  });

  test('mirrored, it asks for the same lengths', () => {
    const flipped = kind
      .mounts(member)
      .reduce((m, { key, point }) => kind.withMount(m, key, mirrored(point)), member);
    const lengths = (m: Member) =>
      kind.constraints(m, centreOf(rig)).map((c) => ('length' in c ? Number(c.length.toFixed(6)) : c.kind));
    expect(lengths(flipped)).toEqual(lengths(member));
  });

  test('is drawn with lines of two points or more, on the bodies it stands on', () => {
    const outline = kind.outline(member, rig);
    if (kind.drawnAs === 'bar') return;
    expect(outline.length).toBeGreaterThan(0);
    for (const line of outline) {
      expect(line.length).toBeGreaterThanOrEqual(2);
      expect(new Set(line.map((p) => p.on)).size).toBeGreaterThan(0);
      for (const { point } of line) expect(point.every(Number.isFinite)).toBe(true);
    }
  });

  test('what can be set on it changes one of its own constraints', () => {
    const count = kind.constraints(member, centreOf(rig)).length;
    for (const { constraint } of kind.adjustables) expect(constraint).toBeLessThan(count);
  });
});

describe.each(everyLayout)('roles in %s', (_, rig) => {
  test('each member has one way in the linkage, and every row belongs to one', () => {
    const { ids, rowsOfMember } = compileLinkage(rig);
    expect(rowsOfMember.reduce((a, b) => a + b, 0)).toBe(ids.length);
    expect(rowsOfMember).toHaveLength(rig.members.length);
  });

  test('something holds it sideways: a bar, a crank, a leaning pair or leaves', () => {
    const held = [
      lateralBarOf(rig) !== null,
      cranksOf(rig).length > 0,
      leaningPair(rig) !== null,
      leavesOf(rig).length > 0,
    ];
    expect(held).toContain(true);
    const bar = lateralBarOf(rig);
    expect(lengthwiseLinks(rig).map((m) => m.id)).not.toContain(bar?.id);
    expect(lengthwiseLinks(rig).length + (bar ? 1 : 0)).toBe(linksOf(rig).length);
    for (const m of upperLinks(rig)) expect(m.axle[2]).toBeGreaterThan(rig.tireRadius);
  });

  test('whatever the bar is called, one that runs across is the lateral bar; a leaning one lengthwise is not', () => {
    const bar = lateralBarOf(rig);
    if (!bar || Math.abs(bar.chassis[0] - bar.axle[0]) > Math.abs(bar.chassis[1] - bar.axle[1])) return;
    const renamed = {
      ...rig,
      members: rig.members.map((m) => (m.id === bar.id ? { ...m, id: 'sideways' } : m)),
    };
    expect(lateralBarOf(renamed)?.id).toBe('sideways');
  });

  test('moved by its owner, a mount of the steering or the shaft stays in the file', () => {
    for (const id of mountOwners(rig)) {
      const mounts = mountsOf(rig, id);
      if (id !== STEERING && id !== DRIVESHAFT) expect(mounts.length).toBeGreaterThan(0);
      for (const { key, point } of mounts) {
        const moved = withMount(rig, { member: id, end: key, axis: 2, mm: point[2] + 1 });
        expect(readRig(JSON.stringify(moved))).toEqual(moved);
      }
    }
  });

  test('a rig turned left for right moves as it did, to the other side', () => {
    const side = (id: string) => partnerOf(id) ?? id;
    const flipped: Rig = {
      ...rig,
      members: rig.members.map((m) => {
        const kind = kindOf(m);
        const turned = kind
          .mounts(m)
          .reduce((now, { key, point }) => kind.withMount(now, key, mirrored(point)), m);
        return { ...turned, id: side(m.id) };
      }),
      obstacles: [],
    };
    const [a, b] = [
      assemble({ ...rig, obstacles: [] }).at({ left: 35, right: -20 }),
      assemble(flipped).at({ left: -20, right: 35 }),
    ];
    if (!isReached(a) || !isReached(b)) throw new Error('out of reach');
    expect(b.y).toBeCloseTo(-a.y, 5);
    expect(b.rollDeg).toBeCloseTo(-a.rollDeg, 6);
    expect(b.steerDeg).toBeCloseTo(-a.steerDeg, 6);
    expect(b.pitchDeg).toBeCloseTo(a.pitchDeg, 6);
    expect(b.rollCentreHeight).toBeCloseTo(a.rollCentreHeight!, 3);
  });
});

describe('names of pairs', () => {
  test.each([
    ['lower-left', 'lower-right', 'left'],
    ['truck-arm-right', 'truck-arm-left', 'right'],
    ['panhard', null, null],
    ['left', null, null],
    ['left-hand', null, null],
  ] as const)('%s', (id, partner, side) => {
    expect(partnerOf(id)).toBe(partner);
    expect(pairedSide(id)).toBe(side);
    expect(pairOf(id)).toEqual(partner ? [id, partner] : [id]);
  });

  test('the words: side first, then what it is', () => {
    expect(memberName('lower-left', 'rear')).toBe('left lower link');
    expect(memberName('radius-arm-right', 'front')).toBe('right radius arm');
    expect(memberName('tire-left', 'front')).toBe('left tyre');
    expect(memberName('panhard', 'rear')).toBe('panhard bar');
    expect(memberName('panhard', 'front')).toBe('track bar');
    expect(memberName('my own bar', 'rear')).toBe('my own bar');
  });

  test('layouts with arms, leaves and cranks have them found', () => {
    const has = (of: (rig: Rig) => unknown[]) => LAYOUT_IDS.filter((id) => of(patternRig(id)).length > 0);
    expect(has(cranksOf)).toEqual(['three-link-watts']);
    expect(has(leavesOf)).toEqual(['leaf-panhard', 'leaf-alone', 'front-leaf']);
    expect(has(armsOf)).toEqual(
      expect.arrayContaining(['ladder-bars-panhard', 'truck-arms-panhard', 'front-radius-arms']),
    );
  });
});

test('a bar longer by what is asked stands by that much farther from its frame end', () => {
  const rig = patternRig('three-link-panhard');
  fc.assert(
    fc.property(fc.integer({ min: -40, max: 40 }), (tenths) => {
      const bar = lateralBarOf(rig)!;
      const longer = distance(bar.chassis, bar.axle) + tenths / 10;
      const members = rig.members.map((m) =>
        m.id === bar.id ? { ...m, length: longer } : m,
      ) as Rig['members'];
      const { ride } = assemble({ ...rig, members });
      const { ride: before } = assemble(rig);
      const way = Math.sign(minus(bar.axle, bar.chassis)[1]);
      // The lower links turn a little with it and take a share.
      const share = (ride.y - before.y) / ((way * tenths) / 10 || 1);
      if (tenths !== 0) expect(Math.abs(share - 1)).toBeLessThan(0.05);
    }),
    { numRuns: 15 },
  );
});
