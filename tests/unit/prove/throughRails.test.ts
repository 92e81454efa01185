import fc from 'fast-check';
import { swayMountsOf } from '@/core/cut/swayMounts';
import { cutListCsv } from '@/core/cut/lists';
import { jobCut } from '@/core/cut/jobCut';
import { judgeProve } from '@/core/bench/judge/prove';
import { railsOf } from '@/core/job/bodies/frameRails';
import { withAlike } from '@/core/job/edits/parts/parts';
import { withRoll } from '@/core/job/edits/roll';
import type { Job } from '@/core/job/jobSchema';
import { readJob, writeJob } from '@/core/job/file';
import { sleeveFor } from '@/core/swaybar/throughFrame';
import { railHolesOf, sleeveOf } from '@/core/job/made/sway/sleeve';
import { proveJob } from '@/core/prove/prove';
import { railHoleVerdicts } from '@/core/prove/faults/railHole';
import { railHoleLeft, type BoxRail, type GivenBack } from '@/core/strength/railHole';
import { demoJobs } from '@/store/demo';

const collarsIn = (job: Job) => swayMountsOf(job).filter(({ id }) => id === 'sway-bar-collar');

const num = (min: number, max: number) => fc.double({ min, max, noNaN: true });
const rails = fc
  .record({
    width: num(40, 80),
    height: num(80, 160),
    wall: num(2.5, 6),
    share: num(0.15, 0.45),
    place: num(0.35, 0.65),
  })
  .map(({ share, place, ...rail }) => ({
    rail: rail as BoxRail,
    hole: { up: place * rail.height, diameter: share * rail.height * 0.9 },
  }));
const backs: fc.Arbitrary<GivenBack> = fc.record({
  sleeve: num(1, 5),
  collar: fc.record({ od: fc.constant(0), thickness: num(1, 8) }),
});
const sized = (hole: { diameter: number }, back: GivenBack): GivenBack => ({
  ...back,
  collar: { ...back.collar, od: hole.diameter + 20 },
});

/** Section modulus by summing thin strips of what is steel at each height: by nothing that the product uses. */
function byStrips(height: number, widthAt: (z: number) => number): number {
  const N = 40_000;
  const dz = height / N;
  const at = Array.from({ length: N }, (_, i) => (i + 0.5) * dz);
  const A = at.reduce((sum, z) => sum + widthAt(z) * dz, 0);
  const middle = at.reduce((sum, z) => sum + widthAt(z) * z * dz, 0) / A;
  const I = at.reduce((sum, z) => sum + widthAt(z) * (z - middle) ** 2 * dz, 0);
  const steel = at.filter((z) => widthAt(z) > 0);
  return I / Math.max(middle - steel[0]! + dz / 2, steel.at(-1)! + dz / 2 - middle);
}

describe('what a hole takes of a rail, and a sleeve gives back', () => {
  test('is what thin strips add up to', () => {
    fc.assert(
      fc.property(rails, backs, ({ rail, hole }, given) => {
        const back = sized(hole, given);
        const { width, height, wall } = rail;
        const r = hole.diameter / 2;
        const side = (z: number) => (z < wall || z > height - wall ? width : 2 * wall);
        const drilled = (z: number) => (Math.abs(z - hole.up) < r ? 0 : side(z));
        const slotted = (z: number) => (z < hole.up + r ? 0 : side(z));
        const sleeved = (z: number) => {
          const off = Math.abs(z - hole.up);
          const strip = off < r && off > r - back.sleeve ? width : 0;
          const collar = off > r && off < back.collar.od / 2 ? 2 * back.collar.thickness : 0;
          return drilled(z) + strip + collar;
        };
        const whole = byStrips(height, side);
        const left = railHoleLeft(rail, hole, back);
        expect(left.drilled).toBeCloseTo(byStrips(height, drilled) / whole, 2);
        expect(left.slotted).toBeCloseTo(byStrips(height, slotted) / whole, 2);
        expect(left.sleeved).toBeCloseTo(byStrips(height, sleeved) / whole, 2);
      }),
      { numRuns: 40 },
    );
  });

  test('never more than the whole rail drilled, least with a slot; more sleeve and more collar give more', () => {
    fc.assert(
      fc.property(rails, backs, ({ rail, hole }, given) => {
        const back = sized(hole, given);
        const { drilled, slotted, sleeved } = railHoleLeft(rail, hole, back);
        expect(slotted).toBeLessThan(drilled);
        expect(drilled).toBeLessThan(1);
        // Off the middle, steel that is added draws the neutral axis with it: only in the middle does it never take.
        const centred = { ...hole, up: rail.height / 2 };
        const middle = railHoleLeft(rail, centred, back);
        const more = railHoleLeft(rail, centred, { ...back, sleeve: back.sleeve + 1 });
        expect(middle.sleeved).toBeGreaterThan(middle.drilled);
        expect(more.sleeved).toBeGreaterThan(middle.sleeved);
        // Turned over, it is as strong.
        const over = railHoleLeft(rail, { ...hole, up: rail.height - hole.up }, back);
        expect(over.sleeved).toBeCloseTo(sleeved, 9);
        expect(over.drilled).toBeCloseTo(drilled, 9);
      }),
    );
  });
});

const copperline = demoJobs().find(({ name }) => name.startsWith('Copperline'))!;
/** A sway bar with arms of its own through the rails, so far up from the left one's underside. */
function through(up = 50, job: Job = copperline): Job {
  const [left] = railsOf(job);
  const bar = {
    ...job.roll.bar!,
    made: 'arms' as const,
    mountedOn: 'chassis' as const,
    middle: 2 * Math.abs(left!.outside) + 160,
    height: left!.underside + up,
  };
  return withRoll(job, { bar });
}

describe('a sway bar through the frame', () => {
  test('has a hole in each rail where that rail is, which are not alike on an old car; a bar elsewhere has none', () => {
    const job = through();
    const [left, right] = railHolesOf(job);
    const [railLeft, railRight] = railsOf(job);
    expect(left!.up).toBeCloseTo(50, 9);
    expect(right!.up - left!.up).toBeCloseTo(railLeft!.underside - railRight!.underside, 9);
    expect(railHolesOf(copperline)).toEqual([]);
    expect(collarsIn(copperline)).toEqual([]);
    expect(railHoleVerdicts(copperline)).toEqual([]);
  });

  test('is cut with four collars, and two sleeves as long as the rail is wide with a collar on both sides', () => {
    const job = through();
    const { od, tube, plate, collar } = sleeveOf(job)!;
    const [part] = collarsIn(job);
    expect([part!.quantity, part!.thickness]).toEqual([4, plate]);
    // A ring weighs by its own area: π/4·(D² − d²).
    expect(part!.mass).toBeCloseTo((Math.PI / 4) * (collar ** 2 - od ** 2) * plate * 7.85e-6, 4);
    const [stock] = jobCut(job).stock.filter(({ section }) => section.shape === 'tube' && section.od === od);
    expect(stock!.section).toEqual({ shape: 'tube', od, wall: tube });
    const lengths = stock!.nested.lengths.flatMap(({ pieces }) => pieces.map(({ length }) => length));
    const { width } = railsOf(job)[0]!;
    expect(lengths).toEqual([width + 2 * plate, width + 2 * plate]);
    const [sleeve] = jobCut(job).pieces;
    expect(sleeve!.mass).toBeCloseTo(Math.PI * (od - tube) * tube * (width + 2 * plate) * 7.85e-6, 4);
    expect(cutListCsv(job, jobCut(job))).toContain('Sleeve of the sway bar through a rail,2,');
  });

  test('the bend of a bar passes a sleeve as long as the rail is wide, and a tube from bushing to bushing', () => {
    const job = through();
    const bar = { ...job.roll.bar!, made: 'one-piece' as const, housing: null };
    const { width } = railsOf(job)[0]!;
    const fits = (housing: number | null) => sleeveOf(withRoll(job, { bar: { ...bar, housing } }))!.fits;
    expect(fits(null)).toBe(sleeveFor(bar, width));
    expect(fits(60)).toBe(sleeveFor(bar, bar.bushings));
    expect(fits(60)).not.toBe(fits(null));
    // A straight bar asks for no more than itself.
    const straight = withRoll(job, { bar: { ...bar, made: 'arms', housing: 60 } });
    expect(sleeveOf(straight)!.fits).toBe(bar.od);
  });

  test('too near to the top or the underside it stops the work once it is known; a collar too large is said', () => {
    const stops = (job: Job) => railHoleVerdicts(job).map(({ state }) => state);
    expect(stops(through(50))).toEqual(['ok', 'ok']);
    expect(stops(through(12))[0]).toBe('stop');
    expect(railHoleVerdicts(through(12))[0]!.title).toContain('underside');
    expect(railHoleVerdicts(through(95))[0]!.title).toContain('top');
    expect(stops(withAlike(through(50), 'sleeve', { collar: 140 }))).toEqual(['look', 'look']);
  });

  test('is not judged while its sleeve is only what is usual, and is kept in the file', () => {
    const of = (job: Job) =>
      judgeProve(job, proveJob(job)).find(
        ({ id, where }) => id === 'rail-hole' && where === 'left frame rail',
      )!;
    const { od, tube, collar, plate, wall } = sleeveOf(through())!;
    const said = withAlike(through(), 'sleeve', { od, tube, collar, plate, wall });
    expect(of(through()).guesses.map(({ id }) => id)).toContain('sleeve');
    expect(of(through()).state).toBe('unknown');
    expect(of(said).guesses.map(({ id }) => id)).not.toContain('sleeve');
    expect(readJob(writeJob(said)).parts).toEqual(said.parts);
  });
});
