import { polygonArea, polygonHull } from 'd3';
import fc from 'fast-check';
import makerjs from 'makerjs';
import { barCut } from '@/core/cut/barCut';
import { BAR_ENDS } from '@/core/job/made/parts';
import { cutFiles, jigOf, revisionOf } from '@/core/cut/cutFiles';
import { shoppingList } from '@/core/cut/lists';
import { jigSets } from '@/core/cut/jig';
import { jobCut } from '@/core/cut/jobCut';
import {
  earFault,
  halfPlate,
  legsOf,
  springPlateDrawing,
  uBoltFor,
  type SpringPlate,
} from '@/core/fabricate/plates/springPlate';
import { areaOf } from '@/core/fabricate/drawing';
import { extentsOf } from '@/core/fabricate/vectorFiles';
import { distance, dot, minus, unit } from '@/core/geometry/vector';
import { bracketAxes } from '@/core/job/made/bracketRoot';
import { strapSizes } from '@/core/fabricate/plates/strap';
import { withAlike, withAngles, withParts } from '@/core/job/edits/parts/parts';
import { strapOf } from '@/core/job/made/sway/strap';
import { sayLength } from '@/core/units/length';
import { readJob, writeJob } from '@/core/job/file';
import type { Job } from '@/core/job/jobSchema';
import { springPlateOf } from '@/core/job/made/springPlate';
import { jointsOf } from '@/core/materials/joints';
import { usualBar } from '@/core/swaybar/swayBarDesign';
import { withRoll } from '@/core/job/edits/roll';
import { mountsOf } from '@/core/rig/mounts';
import { linksOf } from '@/core/rig/members/members';
import { demoJobs } from '@/store/demo';
import { plausibleCar } from '../../support/plausible';
import { assertUntil } from '../../support/until';

const demo = (name: string) => demoJobs().find((job) => job.name.startsWith(name))!;
const [marigold, pewter, tinker] = [demo('Marigold'), demo('Old Pewter'), demo('Tinker')];
const INCH = 25.4;
const size = (min: number, max: number) => fc.double({ min, max, noNaN: true });
const withBarrels = (job: Job, id: string, od = 50) =>
  withParts(job, { bars: { [id]: { barrels: { frame: { od }, axle: { od } } } } });

describe('a tube notched to a barrel', () => {
  test('leans from it as the bar leans from its bolt: square where the brackets are turned, else by the bar’s own lean', () => {
    const lean = (brackets: 'turned' | 'square') => {
      const job = withBarrels(
        {
          ...tinker,
          joints: { ...tinker.joints, 'lower-left': { ...jointsOf(tinker.joints, 'lower-left'), brackets } },
        },
        'lower-left',
      );
      const link = linksOf(job.rig).find(({ id }) => id === 'lower-left')!;
      const way = unit(minus(link.axle, link.chassis));
      return BAR_ENDS.map((end) => {
        const cut = barCut(job, link).ends[end];
        const { bolt } = bracketAxes(job, link, end === 'frame' ? 'chassis' : 'axle');
        return [
          cut.kind === 'saddle' ? cut.saddle.angleDeg : NaN,
          (Math.acos(Math.abs(dot(bolt, way))) * 180) / Math.PI,
        ] as const;
      });
    };
    for (const [angle] of lean('turned')) expect(angle).toBeCloseTo(90, 6);
    for (const [angle, by] of lean('square')) {
      expect(angle).toBeCloseTo(by, 9);
      expect(angle).toBeLessThan(89);
    }
  });

  test('its bolts are clocked alike from either end, and a mirrored bar is clocked the other way', () => {
    fc.assert(
      fc.property(plausibleCar, (job) => {
        for (const link of linksOf(job.rig)) {
          const { clockDeg } = barCut(job, link);
          expect(Math.abs(clockDeg)).toBeLessThanOrEqual(90);
          const flipped = link.id.replace('left', 'right');
          const other = linksOf(job.rig).find(({ id }) => id === flipped && id !== link.id);
          const isMirrored =
            other &&
            [link.chassis, link.axle].every((p, i) => {
              const q = [other.chassis, other.axle][i]!;
              return Math.hypot(p[0] - q[0], p[1] + q[1], p[2] - q[2]) < 1e-9;
            });
          if (isMirrored && Math.abs(clockDeg) < 89)
            expect(barCut(job, other).clockDeg).toBeCloseTo(-clockDeg, 6);
        }
      }),
      { numRuns: 60, endOnFailure: true },
    );
  });
});

describe('the jig', () => {
  test('every bar is on one setting, at its own length; what is alike shares one', () => {
    fc.assert(
      fc.property(plausibleCar, (job) => {
        const { bars } = jobCut(job);
        const sets = jigSets(job, bars);
        expect(sets.flatMap((set) => set.bars).sort()).toEqual(bars.map(({ id }) => id).sort());
        for (const set of sets)
          for (const id of set.bars) {
            const link = linksOf(job.rig).find((one) => one.id === id)!;
            expect(Math.abs(set.apart - distance(link.chassis, link.axle))).toBeLessThan(0.1);
          }
      }),
      { numRuns: 30, endOnFailure: true },
    );
    // Marigold's lower links are unlike left and right, Cinder's are alike.
    const cinder = demo('Cinder');
    expect(jigSets(cinder, jobCut(cinder).bars).map((set) => set.bars.length)).toEqual([4, 1]);
    const sets = jigSets(marigold, jobCut(marigold).bars);
    expect(sets.map((set) => set.bars.length)).toEqual([1, 1, 1, 1]);
    // Nothing that is welded at both ends is turned to suit: it is clocked.
    const welded = withBarrels(marigold, 'panhard');
    const [before, after] = [sets, jigSets(welded, jobCut(welded).bars)].map(
      (of) => of.find((set) => set.bars.includes('panhard'))!.clockDeg,
    );
    expect(before).toBeNull();
    expect(Math.abs(after!)).toBeGreaterThan(45);
  });

  test('its plate has the two holes of each setting as far apart as its bars are long', () => {
    const { bars } = jobCut(tinker);
    const sets = jigSets(tinker, bars);
    const drills = jigOf(tinker, { bars }).paths.filter(({ layer }) => layer === 'DRILL');
    expect(drills).toHaveLength(2 * sets.length);
    sets.forEach(({ apart }, i) => {
      const [a, b] = [drills[2 * i]!.origin, drills[2 * i + 1]!.origin];
      expect(b[0]! - a[0]!).toBeCloseTo(apart, 9);
      expect(b[1]).toBeCloseTo(a[1]!, 9);
    });
  });
});

describe('a spring plate', () => {
  const plates: fc.Arbitrary<SpringPlate> = fc.record({
    tube: size(50, 110),
    leafWidth: size(40, 90),
    pack: size(10, 90),
    pad: size(0, 20),
    plate: size(5, 15),
    edge: size(5, 25),
    uBolt: size(8, 20),
    pin: size(6, 20),
    trim: size(0, 15),
    ear: fc.constant(null),
  });
  const eared = fc
    .tuple(plates, size(-160, 160), size(-160, 160), size(8, 30))
    .map(([of, ahead, out, hole]): SpringPlate => ({ ...of, ear: { ahead, out, hole } }));

  test('its U-bolts clear tube and leaves, its holes keep their edge, the pin’s is in the middle or drawn out to both sides of it', () => {
    fc.assert(
      fc.property(plates, (of) => {
        for (const [x, y] of legsOf(of)) {
          expect(Math.abs(x) - of.uBolt / 2).toBeCloseTo(of.tube / 2, 9);
          expect(Math.abs(y) - of.uBolt / 2).toBeCloseTo(of.leafWidth / 2, 9);
        }
        const drawing = springPlateDrawing(of);
        const circles = drawing.paths.filter(({ type }) => type === 'circle');
        expect(circles).toHaveLength(of.trim > 0 ? 6 : 5);
        const { high } = extentsOf({
          ...drawing,
          paths: drawing.paths.filter(({ layer }) => layer === 'CUT'),
        });
        const hole = of.uBolt + INCH / 32;
        expect(high[0] - (of.tube + of.uBolt) / 2 - hole / 2).toBeCloseTo(of.edge, 9);
        expect(circles.slice(4).map(({ origin }) => origin[0])).toEqual(
          of.trim > 0 ? [-of.trim, of.trim] : [0],
        );
      }),
    );
  });

  // By hand: 3 in tube, 1/4 pad, 1 3/4 pack, 3/8 plate, 1/2-13 with washer, deep nut and three threads out.
  test('its U-bolts reach through the whole stack', () => {
    const of = {
      tube: 3,
      leafWidth: 2.5,
      pack: 1.75,
      pad: 0.25,
      plate: 0.375,
      edge: 0.375,
      uBolt: 0.5,
      pin: 0.5,
      trim: 0,
    };
    const scaled = Object.fromEntries(Object.entries(of).map(([key, v]) => [key, v * INCH]));
    const inches = { ...scaled, ear: null } as SpringPlate;
    const { inside, length } = uBoltFor(inches);
    expect(inside / INCH).toBeCloseTo(3, 9);
    // 6.256 in, and up to the next eighth.
    const least = 3 + 0.25 + 1.75 + 0.375 + 0.1 + 0.55 + 3 / 13;
    expect(length / INCH).toBeCloseTo(Math.ceil(8 * least) / 8, 9);
    // A metric one is made by five millimetres.
    const { length: metric } = uBoltFor({ ...inches, uBolt: 12 });
    expect(metric / 5).toBeCloseTo(Math.round(metric / 5), 9);
    expect(Math.abs(metric - length)).toBeLessThan(10);
  });

  test('an ear is drawn round its hole with the same steel, by the least outline that holds plate and ear, in one piece', () => {
    let stoodOut = 0;
    assertUntil(
      fc.property(eared, (of) => {
        const { ahead, out, hole } = of.ear!;
        const drawing = springPlateDrawing(of);
        const cut = drawing.paths.filter(({ layer }) => layer === 'CUT');
        const [x, y] = halfPlate(of);
        const r = hole / 2 + of.edge;
        // By hand: the hull of the plate's corners and of many places round the ear.
        const rim = Array.from({ length: 1440 }, (_, i): [number, number] => {
          const turn = (i * Math.PI) / 720;
          return [ahead + r * Math.cos(turn), -out + r * Math.sin(turn)];
        });
        const hull = polygonHull([[-x, -y], [x, -y], [x, y], [-x, y], ...rim])!;
        expect(areaOf({ ...drawing, paths: cut }) / Math.abs(polygonArea(hull))).toBeCloseTo(1, 3);
        const chains = makerjs.model.findChains({
          paths: Object.fromEntries(cut.map((path, i) => [String(i), path])),
        }) as makerjs.IChain[];
        expect(chains.map(({ endless }) => endless)).toEqual([true]);
        if (cut.some(({ type }) => type === 'arc')) stoodOut++;
        else expect([Math.abs(ahead) + r <= x + 0.06, Math.abs(out) + r <= y + 0.06]).toEqual([true, true]);
      }),
      { numRuns: 200 },
      () => stoodOut > 10,
    );
  });

  test('its hole is refused beside a U-bolt’s and under the spring, and nowhere else', () => {
    fc.assert(
      fc.property(eared, (of) => {
        const { ahead, out, hole } = of.ear!;
        const steel = Math.min(
          ...legsOf(of).map(([x, y]) => Math.hypot(x - ahead, y + out) - (hole + of.uBolt + INCH / 32) / 2),
        );
        const fault = earFault(of);
        if (steel < of.edge) return expect(fault).toBe('at-u-bolt');
        const clamped =
          Math.abs(ahead) < (of.tube + of.uBolt) / 2 && Math.abs(out) < (of.leafWidth + hole) / 2;
        return expect(fault).toBe(clamped ? 'under-spring' : null);
      }),
      { numRuns: 300 },
    );
    expect(earFault({ ...springPlateOf(pewter)!, ear: null })).toBeNull();
  });

  test('an ear stands where the sway bar’s link does, until it is told otherwise; the right plate is the left one turned over', () => {
    const at = { ahead: 40, out: -95, hole: 11 };
    const said = withAlike(pewter, 'springPlate', { ear: at });
    expect(springPlateOf(said)!.ear).toEqual(at);
    expect(readJob(writeJob(said)).parts).toEqual(said.parts);
    expect(jobCut(said).flats.find(({ id }) => id === 'spring-plate')).toMatchObject({
      quantity: 2,
      name: 'Spring plate, left; the right one turned over',
    });
    const seat = mountsOf(pewter.rig, 'leaf-left').find(({ key }) => key === 'seat')!.point;
    const barred = withRoll(pewter, { bar: usualBar(pewter.rig) });
    const { links } = barred.rig.swayBars![0]!;
    const ear = springPlateOf(withAlike(barred, 'springPlate', { ear: {} }))!.ear!;
    expect([seat[0] + ear.ahead, seat[1] + ear.out]).toEqual([
      expect.closeTo(links.left[0], 6),
      expect.closeTo(links.left[1], 6),
    ]);
    // The right side's foot is the same place of the plate turned over.
    expect([seat[0] + ear.ahead, -seat[1] - ear.out]).toEqual([
      expect.closeTo(links.right[0], 6),
      expect.closeTo(links.right[1], 6),
    ]);
  });

  test('it is made for a car with leaves alone, two of it, and is kept in the job’s file', async () => {
    expect(springPlateOf(marigold)).toBeNull();
    const said = withAlike(pewter, 'springPlate', { leafWidth: 50.8, trim: 6 });
    expect(readJob(writeJob(said)).parts).toEqual(said.parts);
    expect(withAlike(said, 'springPlate', { leafWidth: undefined, trim: undefined }).parts).toEqual(
      pewter.parts,
    );
    const cut = jobCut(said);
    expect(cut.flats.find(({ id }) => id === 'spring-plate')).toMatchObject({ quantity: 2 });
    expect(cut.uBolts).toMatchObject({ quantity: 4, inside: springPlateOf(said)!.tube });
    expect(shoppingList(said, cut).some(({ what }) => what.startsWith('U-bolt'))).toBe(true);
    const names = (await cutFiles(said)).map(({ name }) => name);
    expect(names).toEqual(expect.arrayContaining(['spring-plate.dxf', 'spring-plate.svg', 'jig.dxf']));
    expect(shoppingList(marigold, jobCut(marigold)).some(({ what }) => what.startsWith('U-bolt'))).toBe(
      false,
    );
  });
});

test('a brace is cut a quarter of an inch long, comes off the stock with the bars, and is weighed and listed as often as it is made', async () => {
  const brace = { od: 25.4, wall: 3.048, length: 700, at: 100 };
  const one = withParts(marigold, { brackets: { 'panhard/chassis': { brace } } });
  const both = withParts(one, { brackets: { 'lower-left/chassis': { brace } } });
  expect(jobCut(marigold).pieces).toEqual([]);
  const { pieces: braces, stock } = jobCut(both);
  expect(braces.map(({ of, quantity }) => [of, quantity])).toEqual([
    ['lower-left/chassis', 2],
    ['panhard/chassis', 1],
  ]);
  for (const { length, spare, mass } of braces) {
    expect([length, spare]).toEqual([700, expect.closeTo(INCH / 4, 9)]);
    expect(mass).toBeCloseTo((Math.PI / 4) * (25.4 ** 2 - (25.4 - 6.096) ** 2) * 700 * 7850e-9, 9);
  }
  const pieces = stock
    .filter(({ section }) => section.shape === 'tube' && section.od === 25.4)
    .flatMap(({ nested }) => nested.lengths.flatMap((on) => on.pieces));
  expect(pieces.map(({ length }) => length)).toEqual(Array(3).fill(expect.closeTo(700 + INCH / 4, 9)));
  const longer = withParts(one, { brackets: { 'panhard/chassis': { brace: { ...brace, length: 701 } } } });
  expect(revisionOf(jobCut(longer))).not.toBe(revisionOf(jobCut(one)));
  const list = (await cutFiles(one)).find(({ name }) => name === 'cut-list.csv')!.content as string;
  expect(list).toContain('brace to the other rail');
});

test('straps are cut for a car with a sway bar, two of them, until they cannot be made; they are kept in the job’s file', () => {
  const copperline = demo('Copperline');
  const cut = (job: Job) => jobCut(job).flats.find(({ id }) => id === 'sway-bar-strap');
  expect(cut({ ...marigold, roll: { ...marigold.roll, bar: null } })).toBeUndefined();
  expect(cut(copperline)).toMatchObject({ quantity: 2 });
  const wider = withAlike(copperline, 'strap', { width: 40 });
  expect(readJob(writeJob(wider)).parts).toEqual(wider.parts);
  expect(cut(wider)!.mass).toBeGreaterThan(cut(copperline)!.mass);
  expect(cut(withAlike(copperline, 'strap', { foot: 4 }))).toBeUndefined();
});

describe('what a sway bar’s straps stand on', () => {
  const copperline = demo('Copperline');
  const strap = strapOf(copperline)!;
  const { apart } = strapSizes(strap);
  const part = (job: Job, id: string) => {
    const { flats, wraps } = jobCut(job);
    return [...flats, ...wraps].find((one) => one.id === id);
  };

  test('on the car itself: a paper to drill by, at its own size, that says where it goes', async () => {
    const sheet = part(copperline, 'sway-bar-drill-sheet')!;
    const rings = sheet.drawing.paths.filter(({ layer, type }) => layer === 'DRILL' && type === 'circle');
    const [one, other] = rings.map(({ origin }) => origin![0]!);
    expect(Math.abs(one! - other!)).toBeCloseTo(apart, 9);
    const bar = copperline.roll.bar!;
    expect(sheet.notes![0]).toContain(sayLength(bar.bushings / 2, copperline.tape));
    expect(sheet.notes![0]).toContain(bar.ahead < 0 ? 'behind' : 'ahead of');
    expect(sheet.mass).toBe(0);
    expect(
      part({ ...copperline, roll: { ...copperline.roll, bar: null } }, 'sway-bar-drill-sheet'),
    ).toBeUndefined();
    const names = (await cutFiles(copperline)).map(({ name }) => name);
    expect(names).toContain('sway-bar-drill-sheet.dxf');
  });

  test('on angles: two, with the straps’ holes in both legs, twice the bolts, and no paper; off again, all is as it was', () => {
    const on = withAngles(copperline, true);
    expect(readJob(writeJob(on)).parts).toEqual(on.parts);
    expect(part(on, 'sway-bar-drill-sheet')).toBeUndefined();
    const angle = part(on, 'sway-bar-angle')!;
    expect(angle.quantity).toBe(2);
    const rings = angle.drawing.paths.filter(({ layer, type }) => layer === 'DRILL' && type === 'circle');
    expect(rings).toHaveLength(4);
    const across = new Set(rings.map(({ origin }) => origin![0]!.toFixed(6)));
    expect([...across].map(Number).reduce((a, b) => Math.abs(a - b))).toBeCloseTo(apart, 5);
    const bolts = (job: Job) =>
      shoppingList(job, jobCut(job)).find(({ what }) => what.includes('sway bar’s straps'))!.quantity;
    expect([bolts(copperline), bolts(on)]).toEqual([4, 8]);
    expect(withAngles(on, false)).toEqual(copperline);
    // What no strap can stand on is not cut.
    expect(part(withAlike(on, 'angle', { under: 20 }), 'sway-bar-angle')).toBeUndefined();
  });
});
