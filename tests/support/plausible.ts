import fc from 'fast-check';
import type { Point } from '@/core/geometry/vector';
import { applyReadings, USUAL_MASSES } from '@/core/job/applyReadings';
import { withLayout } from '@/core/job/edits/members/layout';
import { withMounts } from '@/core/job/edits/mounts';
import { withParts, type PartsChange } from '@/core/job/edits/parts/parts';
import { LINK_ENDS } from '@/core/job/made/parts';
import { BOLT_GRADE_NAMES } from '@/core/materials/metals';
import { linksOf } from '@/core/rig/members/members';
import { withRoll } from '@/core/job/edits/roll';
import type { Job } from '@/core/job/jobSchema';
import { newJob } from '@/core/job/newJob';
import { usualOtherEnd } from '@/core/balance/otherEnd';
import { USES } from '@/core/materials/uses';
import { LAYOUT_IDS } from '@/core/rig/layouts';
import { mountOwners, mountsOf, type MountChange } from '@/core/rig/mounts';
import { TAPES } from '@/core/units/tape';
import { usualShock, usualSprings } from '@/core/springs/springDesign';
import { usualBar } from '@/core/swaybar/swayBarDesign';
import { readings } from './car';

const between = (min: number, max: number) => fc.double({ min, max, noNaN: true });

/** Sizes that old cars have, mm. */
const carSizes = fc.record({
  track: between(1250, 1620),
  tireRadius: between(285, 370),
  tireWidth: between(165, 290),
  wheelbase: between(2300, 3200),
  cover: between(130, 210),
  bump: between(45, 110),
  droop: between(45, 110),
  gapFrame: between(60, 160),
  rideHeight: between(330, 480),
  tubeDiameter: between(63, 90),
});
export type CarSizes = typeof carSizes extends fc.Arbitrary<infer T> ? T : never;

const SIDED = ['tireRadius', 'wheelbase', 'gapFrame', 'rideHeight'];

/** Readings of a car of such sizes, the same on both sides. */
export const readingsOf = (sizes: Partial<CarSizes>) =>
  readings(
    Object.fromEntries(
      Object.entries(sizes).flatMap(([key, mm]) =>
        SIDED.includes(key) ? ['left', 'right'].map((side) => [`${key}.${side}`, mm]) : [[key, mm]],
      ),
    ),
  );

/** Bars and brackets as somebody may have made them: some of them weak. */
const plausibleParts = fc.record({
  bar: fc.record({
    metal: fc.constantFrom('erw' as const, 'dom' as const, 'chromoly' as const),
    section: fc.record({ shape: fc.constant('tube' as const), od: between(19, 45), wall: between(1.5, 6) }),
  }),
  bracket: fc.record({
    plate: between(2.5, 10),
    width: between(35, 70),
    edge: between(14, 35),
    depth: between(40, 130),
    bolt: fc.constantFrom(9.525, 12.7, 15.875, 19.05),
    grade: fc.constantFrom(...BOLT_GRADE_NAMES),
    threaded: fc.boolean(),
    boxed: fc.boolean(),
    leg: between(2.5, 8),
    welded: between(0.4, 1),
    wall: between(2, 6),
  }),
});
type PlausibleParts = typeof plausibleParts extends fc.Arbitrary<infer T> ? T : never;

/** Every bar and bracket of a car made alike. */
const partsOf = ({ rig }: Job, { bar, bracket }: PlausibleParts): PartsChange => {
  const links = linksOf(rig).map(({ id }) => id);
  return {
    bars: Object.fromEntries(links.map((id) => [id, bar])),
    brackets: Object.fromEntries(
      links.flatMap((id) =>
        LINK_ENDS.map((end) => [`${id}/${end}`, { ...bracket, leg: Math.min(bracket.leg, bracket.plate) }]),
      ),
    ),
  };
};

/**
 * Plausible cars of every layout and use: measured, weighed, on springs, some with a sway bar; mounts where a builder may have put
 * them, not where they should be.
 */
export const plausibleCar: fc.Arbitrary<Job> = fc
  .record({
    layout: fc.constantFrom(...LAYOUT_IDS),
    use: fc.constantFrom(...USES),
    tape: fc.constantFrom(...TAPES),
    sizes: carSizes,
    total: between(1000, 2200),
    frontFraction: between(0.44, 0.6),
    cgHeight: between(430, 700),
    off: fc.array(between(-45, 45), { minLength: 9, maxLength: 9 }),
    spring: fc.constantFrom('coil' as const, 'air' as const, null),
    bar: fc.boolean(),
    parts: fc.option(plausibleParts),
  })
  .map(({ layout, use, tape, sizes, total, frontFraction, cgHeight, off, spring, bar, parts }) => {
    const fresh = withLayout(newJob('car', 'Car', tape), layout);
    const measured = applyReadings({ ...fresh, use, readings: readingsOf(sizes) });
    const rig = {
      ...measured.rig,
      cgHeight,
      masses: { ...USUAL_MASSES, total, frontFraction },
      otherEnd: usualOtherEnd(measured.rig),
    };
    const placed = withMounts({ ...measured, rig }, shifts(measured, off));
    const made = parts ? withParts(placed, partsOf(placed, parts)) : placed;
    return withRoll(made, {
      springs: spring && usualSprings(placed.rig, spring),
      shock: spring && usualShock,
      bar: bar ? usualBar(placed.rig) : null,
    });
  });

/** Every mount put a little elsewhere, left and right alike, as a builder lays a car out. */
function shifts({ rig }: Job, off: number[]): MountChange[] {
  const owners = mountOwners(rig);
  return owners.flatMap((member) => {
    const stem = owners.indexOf(member.replace(/-right$/, '-left'));
    return mountsOf(rig, member).flatMap(({ key, point }, n) =>
      ([0, 2] as const).map((axis): MountChange => {
        const shift = off[(3 * stem + 2 * n + axis) % off.length]!;
        return { member, end: key, axis, mm: (point as Point)[axis] + shift };
      }),
    );
  });
}
