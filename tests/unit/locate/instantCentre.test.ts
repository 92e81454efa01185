import fc from 'fast-check';
import { assemble } from '@/core/kinematics/mechanism';
import { isReached } from '@/core/kinematics/pose';
import { axleToChassis } from '@/core/kinematics/attitude';
import { FAR_OFF, instantCentrePath } from '@/core/locate/travel/instantCentre';
import type { SideCentre } from '@/core/locate/types';
import { sayInstantCentre } from '@/core/locate/verdicts/words';
import { linksOf } from '@/core/rig/members/members';
import { lengthwiseLinks, upperLinks } from '@/core/rig/roles';
import type { Rig } from '@/core/rig/schema';
import { patternRig } from '../../support/layouts';

const far = fc.double({ min: -3 * FAR_OFF, max: 3 * FAR_OFF, noNaN: true });
const centre: fc.Arbitrary<SideCentre> = fc.option(fc.tuple(far, fc.double({ min: -2e3, max: 2e3 })));

test('the path goes through every centre near enough to be drawn, in order, and never from ahead to behind', () => {
  fc.assert(
    fc.property(fc.array(centre, { maxLength: 30 }), (centres) => {
      const pieces = instantCentrePath(centres);
      expect(pieces.flat()).toEqual(centres.filter((c) => c && Math.abs(c[0]) <= FAR_OFF));
      for (const piece of pieces) {
        expect(piece.length).toBeGreaterThan(0);
        const ways = new Set(piece.map(([x]) => Math.sign(x)));
        expect(ways.has(1) && ways.has(-1)).toBe(false);
        // What follows within a piece followed in the travel.
        const at = piece.map((c) => centres.indexOf(c));
        at.slice(1).forEach((k, i) => expect(k).toBe(at[i]! + 1));
      }
    }),
  );
});

/** Links straight ahead, so that in the side view their lines are drawn as long as they are. */
function straightAhead(rig: Rig, upperRise: number, lowerRise: number): Rig {
  const uppers = upperLinks(rig).map((m) => m.id);
  return {
    ...rig,
    members: rig.members.map((m) =>
      m.type === 'link' && lengthwiseLinks(rig).some(({ id }) => id === m.id)
        ? {
            ...m,
            chassis: [
              m.chassis[0],
              m.axle[1],
              m.axle[2] + (uppers.includes(m.id) ? upperRise : lowerRise),
            ] as const,
          }
        : m,
    ),
  } as Rig;
}

test('it is where the lines of the links cross, drawn by ruler at any height', () => {
  fc.assert(
    fc.property(
      fc.double({ min: -110, max: -20, noNaN: true }),
      fc.double({ min: 5, max: 90, noNaN: true }),
      fc.double({ min: -70, max: 70, noNaN: true }),
      (upperRise, lowerRise, lift) => {
        const rig = straightAhead(patternRig('three-link-watts'), upperRise, lowerRise);
        const pose = assemble(rig).at({ left: lift, right: lift });
        if (!isReached(pose) || !pose.instantCentre) return;
        const place = axleToChassis(pose, rig.tireRadius);
        const links = linksOf(rig).filter((m) => lengthwiseLinks(rig).includes(m));
        const [one, other] = [
          links.find((m) => upperLinks(rig).includes(m))!,
          links.find((m) => !upperLinks(rig).includes(m))!,
        ];
        const lines = [one, other].map((m) => {
          const eye = place(m.axle);
          const slope = (m.chassis[2] - eye[2]) / (m.chassis[0] - eye[0]);
          return { slope, at: eye[2] - slope * eye[0] };
        });
        const x = (lines[1]!.at - lines[0]!.at) / (lines[0]!.slope - lines[1]!.slope);
        const z = lines[0]!.slope * x + lines[0]!.at;
        if (Math.abs(x) > 4000) return;
        expect(Math.abs(pose.instantCentre[0] - x)).toBeLessThan(0.01 * Math.abs(x) + 2);
        expect(Math.abs(pose.instantCentre[1] - z)).toBeLessThan(0.01 * Math.abs(x) + 2);
      },
    ),
    { numRuns: 40, endOnFailure: true },
  );
});

test.each([
  [
    [1171.4, 381],
    ['46 in ahead', '15 in up'],
  ],
  [
    [-508, -25.4],
    ['20 in behind', '1 in below the floor'],
  ],
  [null, ['at infinity: parallel']],
] as [SideCentre, string[]][])('%j is said as %j', (at, words) =>
  expect(sayInstantCentre(at, 'in16')).toEqual(words),
);

test('one that is farther off than any shop is long is said to be as good as parallel, and to which end', () => {
  expect(sayInstantCentre([FAR_OFF + 1, 300], 'mm')).toEqual([
    expect.stringMatching(/^over 20,?000 mm ahead: as good as parallel$/),
  ]);
  expect(sayInstantCentre([-FAR_OFF - 1, 300], 'mm')).toEqual([expect.stringMatching(/behind/)]);
});
