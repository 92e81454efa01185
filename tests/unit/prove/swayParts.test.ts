import fc from 'fast-check';
import { clipPinsOf } from '@/core/cut/swayMounts';
import { cutMass } from '@/core/cut/weight';
import { jobCut } from '@/core/cut/jobCut';
import { shoppingList } from '@/core/cut/lists';
import { clipPinDrawing, clipPinFor } from '@/core/fabricate/clipPin';
import { earRoot } from '@/core/fabricate/plates/earRoot';
import { halfPlate, type SpringPlate } from '@/core/fabricate/plates/springPlate';
import { extentsOf } from '@/core/fabricate/vectorFiles';
import { readJob, writeJob } from '@/core/job/file';
import { withAlike, withParts } from '@/core/job/edits/parts/parts';
import { withRoll } from '@/core/job/edits/roll';
import type { Job } from '@/core/job/jobSchema';
import { springPlateOf } from '@/core/job/made/springPlate';
import { endLinkOf, madeUpLink } from '@/core/job/made/sway/endLink';
import { isOfSwayBar, SWAY_PARTS } from '@/core/job/made/sway/parts';
import { strapOf } from '@/core/job/made/sway/strap';
import { assemble } from '@/core/kinematics/mechanism';
import { sayDrill } from '@/core/materials/boltSize';
import { BOLT_GRADE_NAMES } from '@/core/materials/metals';
import { curesIn } from '@/core/prove/cures/cures';
import { swayFaults } from '@/core/prove/faults/swayFaults';
import { margin, isShort, proveJob } from '@/core/prove/prove';
import { swayPullOf } from '@/core/prove/swayBar';
import { proveVerdicts } from '@/core/prove/verdicts';
import type { Check } from '@/core/prove/types';
import { rollInput } from '@/core/roll/input';
import { analyseRoll } from '@/core/roll/analyse';
import { usualBar, type BarDesign } from '@/core/swaybar/swayBarDesign';
import { flangeLoads, leversOf, type Flange } from '@/core/strength/tStub';
import { torqueSheet } from '@/core/weld/torqueSheet';
import { demoJobs } from '@/store/demo';
import { assertUntil } from '../../support/until';

const between = (min: number, max: number) => fc.double({ min, max, noNaN: true });
const leafCar = demoJobs().find(({ id }) => id === 'demo-pewter')!;
const barred = demoJobs().filter(({ roll }) => roll.bar);

const flanges = fc.record({
  width: between(20, 80),
  out: between(12, 40),
  past: between(8, 40),
  bend: between(0, 6),
  thickness: between(2, 8),
  bolt: between(6, 12),
  washer: between(12, 24),
});

test('a strap’s foot that pries is in balance: pull, bolt and the end of its foot, and a plastic moment at its bend', () => {
  fc.assert(
    fc.property(flanges, between(5e3, 5e4), (flange, bolt) => {
      const { m, n } = leversOf(flange);
      const { pried, drawn } = flangeLoads(flange, 250, bolt);
      const M = (flange.width * flange.thickness ** 2 * 250) / 4;
      // One foot: its bolt holds half of the pull and what the end of the foot presses with.
      const presses = bolt - pried / 2;
      expect((bolt * m - presses * (m + n)) / M).toBeCloseTo(1, 6);
      expect(drawn).toBe(2 * bolt);
    }),
  );
});

test('without washers a foot bends at four plastic moments over its lever; washers only help, thicker plate by its square', () => {
  fc.assert(
    fc.property(flanges, (flange) => {
      const bare = { ...flange, washer: 0 };
      const M = (flange.width * flange.thickness ** 2 * 250) / 4;
      const plain = flangeLoads(bare, 250, 1).bent;
      expect(plain / ((4 * M) / leversOf(bare).m)).toBeCloseTo(1, 9);
      expect(flangeLoads(flange, 250, 1).bent).toBeGreaterThanOrEqual(plain * (1 - 1e-9));
      const thick: Flange = { ...flange, thickness: 2 * flange.thickness };
      expect(flangeLoads(thick, 250, 1).bent / flangeLoads(flange, 250, 1).bent).toBeCloseTo(4, 6);
    }),
  );
});

const plates = fc.record({
  tube: between(60, 90),
  leafWidth: between(45, 75),
  pack: between(20, 60),
  pad: between(0, 20),
  plate: between(6, 14),
  edge: between(6, 15),
  uBolt: between(10, 16),
  pin: between(8, 14),
  trim: fc.constant(0),
});
const withEar = (plate: Omit<SpringPlate, 'ear'>, ahead: number, out: number): SpringPlate => ({
  ...plate,
  ear: { ahead, out, hole: 13 },
});

test('an ear bends from where it is clamped: by as much ahead as behind, inboard as outboard; the farther out the more', () => {
  fc.assert(
    fc.property(plates, between(-150, 150), between(60, 200), (plate, ahead, out) => {
      const root = earRoot(withEar(plate, ahead, out));
      fc.pre(root !== null);
      for (const turned of [withEar(plate, -ahead, out), withEar(plate, ahead, -out)]) {
        const other = earRoot(turned)!;
        expect(other.arm).toBeCloseTo(root!.arm, 9);
        expect(other.width).toBeCloseTo(root!.width, 6);
      }
      expect(earRoot(withEar(plate, ahead, out + 10))!.arm).toBeGreaterThan(root!.arm);
      expect(root!.width).toBeGreaterThan(0);
    }),
  );
});

test('straight out at the side an ear has the plate’s length to bend on, or what spreads from its washer, less the U-bolts’ holes', () => {
  fc.assert(
    fc.property(plates, between(0, 120), (plate, past) => {
      const clamped = (plate.leafWidth + plate.uBolt) / 2;
      const of = withEar(plate, 0, clamped + past + 1);
      const { arm, width } = earRoot(of)!;
      expect(arm).toBeCloseTo(past + 1, 9);
      const [half] = halfPlate(of);
      const spread = arm + 13;
      const legs = (plate.tube + plate.uBolt) / 2;
      // A hole of it is in what carries as far as that reaches.
      const holes = Math.min(plate.uBolt, Math.max(0, Math.min(spread, half) - (legs - plate.uBolt / 2)));
      expect(width).toBeCloseTo(2 * (Math.min(spread, half) - holes), 6);
    }),
  );
});

const stacks = fc.record({
  bolt: fc.constantFrom(9.525, 12.7, 15.875, 10, 12, 16),
  plate: between(3, 15),
  planes: fc.constantFrom(1 as const, 2 as const),
  middle: between(8, 40),
  spacer: between(0, 10),
});

test('a clip’s hole stands clear of all that it holds, by a play, and leaves steel past it', () => {
  fc.assert(
    fc.property(stacks, (stack) => {
      const pin = clipPinFor(stack);
      const held = stack.middle + 2 * stack.spacer + (stack.planes === 2 ? 2 * stack.plate : 0);
      const clear = pin.toHole - pin.hole / 2 - held;
      // One washer or two, and no more than a sixteenth of an inch of play.
      const washers = stack.planes === 2 ? 1 : 2;
      expect(clear - washers * 0.16 * stack.bolt).toBeGreaterThan(0);
      expect(clear - washers * 0.16 * stack.bolt).toBeLessThan(1.6);
      expect(pin.length - pin.toHole - pin.hole / 2).toBeGreaterThanOrEqual(pin.hole);
      expect(pin.hole).toBeLessThan(stack.bolt / 2.5);
      expect([pin.kind, pin.tail > stack.plate]).toEqual(
        stack.planes === 2 ? ['pin', false] : ['stud', true],
      );
      // Its drawing is as long as it is, with the same paper left round it.
      const { low, high } = extentsOf(clipPinDrawing(pin));
      const whole = pin.length + pin.collar.thick + pin.tail;
      expect(high[0] - low[0] - whole).toBeCloseTo(high[1] - low[1] - pin.collar.od, 6);
    }),
  );
});

test('a drill is said as it is sold: to the sixty-fourth, or in millimetres', () => {
  const inch = (of: number) => sayDrill(25.4 * of, 'inch');
  expect([inch(9 / 64), inch(1 / 8), inch(5 / 32), inch(1 / 2)]).toEqual([
    '9/64 in',
    '1/8 in',
    '5/32 in',
    '1/2 in',
  ]);
  expect(sayDrill(3.2, 'mm')).toBe('3.2 mm');
  fc.assert(
    fc.property(fc.integer({ min: 1, max: 63 }), (n) => {
      const [top, bottom] = inch(n / 64)
        .replace(' in', '')
        .split('/')
        .map(Number);
      expect(top! / bottom!).toBe(n / 64);
    }),
  );
});

/** A bar as somebody may have built it, on a demo car, with links that follow it. */
const bars = fc.record({
  car: fc.constantFrom(...demoJobs()),
  od: between(16, 32),
  arm: between(150, 300),
  link: between(110, 260),
  out: between(-20, 20),
  mountedOn: fc.constantFrom('chassis' as const, 'axle' as const),
  clip: fc.boolean(),
  change: fc.record({
    thickness: between(1.5, 5),
    width: between(20, 45),
    bolt: fc.constantFrom(6, 8, 9.525),
    grade: fc.constantFrom(...BOLT_GRADE_NAMES),
  }),
  section: fc.record({ shape: fc.constant('solid' as const), od: between(8, 20) }),
});
type Barred = typeof bars extends fc.Arbitrary<infer T> ? T : never;

function carWith({ car, od, arm, link, out, mountedOn, clip, change, section }: Barred): Job {
  const design: BarDesign = {
    ...usualBar(car.rig),
    od,
    arm,
    link,
    mountedOn,
    foot: { out, ahead: 0 },
  };
  return withParts(withRoll(car, { bar: design }), {
    alike: { strap: change, angle: {}, endLink: { section, thread: '3/8-24', foot: { clip } } },
  });
}

const swayChecks = (job: Job): Check[] => proveJob(job).checks.filter(({ part }) => isOfSwayBar(part));

test('what pulls at links and bushings is what Roll says that they carry, along the link and from the middle of one bushing to the other', () => {
  let pulled = 0;
  assertUntil(
    fc.property(bars, (of) => {
      const job = carWith(of);
      const pull = swayPullOf(job, assemble(job.rig));
      const { carried } = analyseRoll(rollInput(job, { left: 0, right: 0 }), 'bar').bar!;
      if (!pull || !carried) {
        expect([pull, carried?.link ?? 0]).toEqual([null, 0]);
        return;
      }
      pulled++;
      const [one, other] = pull.cases.map(({ members }) => members['sway-bar']!);
      expect(one).toBeCloseTo(-other!, 9);
      // A leaning link lifts with the upright part of what it carries.
      expect(one! * Math.sqrt(1 - (of.out / of.link) ** 2)).toBeCloseTo(carried.link, 6);
      const { eyes, bushings } = job.roll.bar!;
      expect((one! * pull.share) / ((carried.link * eyes) / bushings)).toBeCloseTo(1, 9);
    }),
    { numRuns: 25 },
    () => pulled > 5,
  );
});

test('a cure of what the sway bar pulls at makes it hold, can be made, and makes nothing else of it worse; what holds is offered none', () => {
  let cured = 0;
  assertUntil(
    fc.property(bars, (of) => {
      const job = carWith(of);
      const before = swayChecks(job);
      const cures = curesIn(job);
      for (const failing of before.filter(isShort))
        for (const { text, parts } of cures(failing)) {
          cured++;
          const then = withParts(job, parts!);
          const after = swayChecks(then);
          const now = after.find(({ part, check }) => part === failing.part && check === failing.check)!;
          expect([text, isShort(now)]).toEqual([text, false]);
          expect(swayFaults(then)).toEqual([]);
          for (const other of after.filter(isShort)) {
            const was = before.find(({ part, check }) => part === other.part && check === other.check)!;
            expect(margin(other)).toBeGreaterThanOrEqual(margin(was) - 1e-9);
          }
        }
    }),
    { numRuns: 20 },
    () => cured > 5,
  );
});

test('what cannot be made is told with its cure, and is not proved', () => {
  const job = barred.find((car) => strapOf(car))!;
  const broken: [keyof typeof SWAY_PARTS, Job][] = [
    ['sway-bar/strap', withAlike(job, 'strap', { foot: 4 })],
    ['sway-bar/angle', withParts(job, { alike: { angle: { under: 10 } } })],
    [
      'sway-bar/link',
      withAlike(job, 'endLink', { end: { toShoulder: 150, showing: 10, shank: 30, bung: 30 } }),
    ],
    ['sway-bar/link', withAlike(job, 'endLink', { section: { shape: 'tube', od: 13, wall: 1 } })],
  ];
  for (const [part, bad] of broken) {
    expect(swayFaults(bad).map(({ where }) => where)).toEqual([part]);
    const proof = proveJob(bad);
    expect(proof.checks.some((check) => check.part === part)).toBe(false);
    const said = proveVerdicts(bad, proof).filter(({ where }) => where === part);
    expect(said.map(({ state, reason }) => [state, reason.length > 20])).toEqual([['stop', true]]);
  }
});

test('links that stand on the ears of spring plates bend those; an ear that is elsewhere is not taken for theirs', () => {
  const design = { ...usualBar(leafCar.rig), foot: { out: 0, ahead: 0 } };
  const car = withRoll(leafCar, { bar: design });
  const earOf = (ear: object) => withAlike(car, 'springPlate', { ear });
  const parts = (job: Job) => new Set(swayChecks(job).map(({ part }) => part));
  expect(parts(car)).not.toContain('sway-bar/ear');
  const on = earOf({});
  expect(parts(on)).toContain('sway-bar/ear');
  expect(endLinkOf(on)!.pins.foot.plate).toBe(springPlateOf(on)!.plate);
  const { ahead, out } = springPlateOf(on)!.ear!;
  expect(parts(earOf({ ahead: ahead + 60, out }))).not.toContain('sway-bar/ear');
  // By hand: the link's pull on its lever, over the plate that carries it.
  const check = swayChecks(on).find((one) => one.check === 'ear')!;
  const { arm, width } = earRoot(springPlateOf(on)!)!;
  const force = Math.abs(check.inputs.force as number);
  expect(check.demand).toBeCloseTo((6 * force * arm) / (width * springPlateOf(on)!.plate ** 2), 6);
});

test('links, their pins and bolts are cut, bought and tightened as they are made', () => {
  fc.assert(
    fc.property(bars, fc.boolean(), (of, parted) => {
      const car = carWith(of);
      const { bar } = car.roll;
      const right = { link: of.link + 25, foot: { out: of.out, ahead: 0 } };
      const job = parted ? withRoll(car, { bar: { ...bar!, right } }) : car;
      const link = endLinkOf(job)!;
      const cut = jobCut(job);
      const tubes = cut.pieces.filter(({ id }) => id.startsWith('sway-bar-link'));
      expect(tubes.map(({ length }) => length)).toEqual(
        link.lengths.map((length) => madeUpLink(link, length).tubeLength),
      );
      expect(tubes.reduce((sum, { quantity }) => sum + quantity, 0)).toBe(2);
      for (const [i, tube] of tubes.entries())
        expect(tube.length + 2 * (link.end.toShoulder + link.end.showing)).toBeCloseTo(link.lengths[i]!, 9);
      const clips = clipPinsOf(job);
      expect(clips.length).toBe(of.clip ? 1 : 0);
      const list = shoppingList(job, cut).map(({ what, quantity }) => `${quantity} ${what}`);
      expect(list.some((what) => /^2 (Stud|Pin) with its clip/.test(what))).toBe(of.clip);
      expect(list).toContain('4 Bung, 3/8-24, of the sway bar’s end links');
      const bolts = cut.bolts.filter((one) => one.of === 'sway-bar/link');
      expect(bolts.length).toBe(of.clip ? 1 : 2);
      const lines = torqueSheet(job).map(({ id }) => id);
      expect([lines.includes('swayBar/links'), lines.includes('swayBar/feet')]).toEqual([true, !of.clip]);
      const without = jobCut({ ...job, roll: { ...job.roll, bar: null } });
      expect(cutMass(cut)).toBeGreaterThan(cutMass(without));
      expect(readJob(writeJob(job)).parts).toEqual(job.parts);
    }),
    { numRuns: 15 },
  );
});
