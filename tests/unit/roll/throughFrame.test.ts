import fc from 'fast-check';
import { frameChecks } from '@/core/roll/checks/frame';
import { bendSheet } from '@/core/swaybar/bendSchedule';
import { leastSleeve, runsThrough, sleeveFor } from '@/core/swaybar/throughFrame';
import { usualBar, usualBladeBar, type BarDesign } from '@/core/swaybar/swayBarDesign';

const size = { track: 1500, tireRadius: 330 };
const rail = (side: 1 | -1) => ({ outside: side * 470, underside: 400, width: 50, height: 100 });
const RAILS = [rail(1), rail(-1)];
const through: BarDesign = { ...usualBar(size), middle: 1100, eyes: 1120, height: 450, bushings: 880 };

type Flat = [x: number, y: number];

/** A bar bent once, as the points of its two sides: a straight leg, the arc, another leg. */
function sides(od: number, radius: number, angle: number, leg: number): Flat[] {
  const half = (angle * Math.PI) / 360;
  const line = (r: number): Flat[] => {
    const arc = Array.from({ length: 401 }, (_, i): Flat => {
      const a = -half + (2 * half * i) / 400;
      return [r * Math.sin(a), r * Math.cos(a)];
    });
    const along = Array.from({ length: 400 }, (_, i) => ((i + 1) * leg) / 400);
    const end = (way: 1 | -1): Flat[] =>
      along.map((t) => [
        way * (r * Math.sin(half) + t * Math.cos(half)),
        r * Math.cos(half) - t * Math.sin(half),
      ]);
    return [...end(-1), ...arc, ...end(1)];
  };
  return [...line(radius + od / 2), ...line(Math.max(0, radius - od / 2))];
}

/** How wide a sleeve must be for the bar as it lies, turned and pushed along: all of it that is in the sleeve. */
function wide(outline: Flat[], turn: number, push: number, length: number): number {
  const [c, s] = [Math.cos(turn), Math.sin(turn)];
  const ys = outline
    .map(([x, y]): Flat => [c * x - s * y - push, s * x + c * y])
    .filter(([x]) => Math.abs(x) <= length / 2)
    .map(([, y]) => y);
  return Math.max(...ys) - Math.min(...ys);
}

/** The least width by trying every tilt of the bar, that place of its arc in the middle of the sleeve. */
const leastWide = (outline: Flat[], at: number, length: number, radius: number): number =>
  Math.min(
    ...Array.from({ length: 181 }, (_, i) => {
      const tilt = ((i - 90) / 90) * 0.9;
      return wide(outline, at + tilt, -radius * Math.sin(tilt), length);
    }),
  );

describe('a bent bar and the sleeves of a frame', () => {
  test('the least sleeve is what the bend needs by trial, and no place on its way through needs more', () => {
    const shapes = fc.record({
      od: fc.double({ min: 16, max: 38, noNaN: true }),
      radius: fc.double({ min: 40, max: 120, noNaN: true }),
      angle: fc.double({ min: 50, max: 100, noNaN: true }),
      length: fc.double({ min: 20, max: 90, noNaN: true }),
    });
    fc.assert(
      fc.property(shapes, ({ od, radius, angle, length }) => {
        const outline = sides(od, radius, angle, 200);
        const least = leastSleeve(od, radius, angle, length);
        expect(Math.abs(leastWide(outline, 0, length, radius) - least)).toBeLessThan(0.6);
        const half = (angle * Math.PI) / 360;
        for (const at of [0.25, 0.5, 0.75, 1])
          expect(leastWide(outline, at * half, length, radius)).toBeLessThan(least + 0.6);
      }),
      { numRuns: 25, endOnFailure: true },
    );
  }, 60_000);

  test('a thin disc passes as the bar alone; a longer sleeve, a thicker bar and a tighter bend want more', () => {
    expect(leastSleeve(25, 60, 90, 0)).toBeCloseTo(25, 9);
    const least = leastSleeve(25, 60, 90, 50);
    expect(leastSleeve(25, 60, 90, 60)).toBeGreaterThan(least);
    expect(leastSleeve(30, 60, 90, 50)).toBeGreaterThan(least);
    expect(leastSleeve(25, 50, 90, 50)).toBeGreaterThan(least);
    // Straight, it passes a sleeve of any length.
    expect(leastSleeve(25, 60, 0, 300)).toBeCloseTo(25, 9);
  });

  test('it runs through where its middle is wider than the frame and between the rails’ edges, on the frame alone', () => {
    expect(runsThrough(through, RAILS)).toBe(true);
    expect(runsThrough({ ...through, middle: 900 }, RAILS)).toBe(false);
    expect(runsThrough({ ...through, height: 380 }, RAILS)).toBe(false);
    expect(runsThrough({ ...through, height: 520 }, RAILS)).toBe(false);
    expect(runsThrough({ ...through, mountedOn: 'axle' }, RAILS)).toBe(false);
    expect(runsThrough(through, [])).toBe(false);
  });

  test('what is bent at both ends never goes through two closed rails; what has arms of its own slides in and out', () => {
    const [said] = frameChecks(through, RAILS, 'in16');
    expect(said!.state).toBe('look');
    expect(said!.title).toContain('not through two');
    expect(said!.reason).toContain('never comes out again');
    expect(said!.remedies.map(({ text }) => text[0])).toEqual(['1', '2', '3', '4', '5', 'I']);
    const [arms] = frameChecks({ ...usualBladeBar(size), middle: 1100, height: 450 }, RAILS, 'in16');
    expect(arms).toMatchObject({ state: 'ok', remedies: [] });
    expect(arms!.reason).toContain('comes out again');
    expect(frameChecks(usualBar(size), [rail(1), { ...rail(-1), underside: 700 }], 'in16')).toEqual([]);
  });

  test('the sleeve is that of its worst bend; where two are in it at once none is named', () => {
    const [bend] = bendSheet(through).bends;
    expect(sleeveFor(through, 50)).toBeCloseTo(
      leastSleeve(through.od, through.bendRadius, bend!.angle, 50),
      9,
    );
    const dipped = { ...through, bendRadius: 40, dips: [{ at: 0, depth: 60, width: 60 }] };
    expect(sleeveFor(dipped, 50)).toBeNull();
    expect(frameChecks(dipped, RAILS, 'in16')[0]!.reason).toContain('try the bend in a piece of it first');
  });

  test('the blank is of the whole bar, whichever hole is used', () => {
    expect(bendSheet({ ...through, hole: 2 })).toEqual(bendSheet({ ...through, hole: 0 }));
  });
});
