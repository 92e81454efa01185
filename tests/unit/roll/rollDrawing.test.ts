import fc from 'fast-check';
import { barHandles } from '@/bay/handles/swayBarHandles';
import { rollFigures } from '@/bay/model/rollFigures';
import { isReached } from '@/core/kinematics/pose';
import { usualBar, usualStripBar, type BarDesign } from '@/core/swaybar/swayBarDesign';
import { assemble } from '@/core/kinematics/mechanism';
import { rollInput } from '@/core/roll/input';
import { usualSprings, usualStop } from '@/core/springs/springDesign';
import { distance, type Point } from '@/core/geometry/vector';
import { demoJobs } from '@/store/demo';
import type { Job } from '@/core/job/jobSchema';
import { newJob } from '@/core/job/newJob';

const job = newJob('check', 'Check', 'in16');
const withBar = (bar: BarDesign): Job => ({ ...job, roll: { ...job.roll, bar } });
const dipped: BarDesign = {
  ...usualBar(job.rig),
  dips: [
    { at: 90, depth: 70, width: 120 },
    { at: -160, depth: -40, width: 60 },
  ],
};
const AXES = [0, 1, 2] as const;

describe('dragging the bar', () => {
  test('whatever is dragged stands where it was let go, and the other side follows', () => {
    const ids = barHandles(dipped).map((h) => h.id);
    expect(ids).toEqual(['bushing', 'bend', 'dip-0', 'dip-0-side', 'dip-1', 'dip-1-side', 'eye', 'foot']);
    // Which ways each place is free to go: bends and a dip's sides only across the car.
    const free: Record<string, readonly (0 | 1 | 2)[]> = { bend: [1], 'dip-0-side': [1], 'dip-1-side': [1] };
    fc.assert(
      fc.property(
        fc.constantFrom(...ids),
        fc.subarray([...AXES], { minLength: 1 }),
        fc.tuple(...AXES.map(() => fc.integer({ min: -60, max: 60 }))),
        (id, axes, by) => {
          const handle = barHandles(dipped).find((h) => h.id === id)!;
          const to = handle.at.map((v, k) => v + by[k]!) as Point;
          // Nothing gets narrower than it can be made.
          fc.pre(!id.endsWith('-side') || by[1]! > -20);
          const moved = handle.move(to, axes);
          const now = barHandles(moved).find((h) => h.id === id)!.at;
          for (const axis of axes)
            if ((free[id] ?? AXES).includes(axis)) expect(now[axis]).toBeCloseTo(to[axis], 9);
          const { bar } = rollFigures(withBar(moved), { ...REST, z: job.rig.tireRadius });
          const [left, right] = [bar!.line[0]!, bar!.line.at(-1)!];
          expect(left[1]).toBeCloseTo(-right[1], 9);
        },
      ),
    );
  });

  test('an eye dragged past the middle turns the arms round; a foot keeps its link as long as it then is', () => {
    const { at, move } = barHandles(dipped).find((h) => h.id === 'eye')!;
    const turned = move([dipped.ahead + 150, at[1], at[2]], [0]);
    expect([turned.pointing, turned.arm]).toEqual(['ahead', 150]);
    const foot = barHandles(dipped).find((h) => h.id === 'foot')!;
    const leaning = foot.move([foot.at[0] + 30, foot.at[1] + 40, foot.at[2] - 20], [0, 1, 2]);
    expect(leaning.link).toBeCloseTo(Math.hypot(dipped.link + 20, 30, 40), 9);
  });

  test('stowed, only the pin is there to be dragged', () => {
    const off = { ...dipped, stow: { out: 400, ahead: 150, height: 520 }, hooked: false };
    const [pin, ...none] = barHandles(off);
    expect(none).toEqual([]);
    expect(pin!.move([160, 380, 500], [0, 1, 2]).stow).toEqual({ ahead: 160, out: 380, height: 500 });
    expect(pin!.move([160, -30, 500], [1]).stow!.out).toBe(0);
  });
});

const REST = { x: 0, y: 0, rollDeg: 0, pitchDeg: 0, steerDeg: 0 };

describe('the bar as it is drawn', () => {
  test('its links keep their length and its arms theirs, on every demo car, wherever the axle is', () => {
    const cars = demoJobs().filter((car) => car.roll.bar);
    expect(cars.length).toBeGreaterThanOrEqual(3);
    for (const car of cars) {
      const { bump, droop } = rollInput(car, { left: 0, right: 0 });
      const moving = assemble(car.rig);
      const rest = rollFigures(car, moving.ride);
      const lengths = (figures: typeof rest) => figures.links.map(({ line: [a, b] }) => distance(a, b));
      const lift = fc.integer({ min: -Math.floor(droop), max: Math.floor(bump) });
      fc.assert(
        fc.property(lift, lift, (left, right) => {
          const pose = moving.at({ left, right });
          if (!isReached(pose)) return;
          const figures = rollFigures(car, pose);
          lengths(figures).forEach((length, i) => expect(length).toBeCloseTo(lengths(rest)[i]!, 6));
          const span = (line: Point[]) => distance(line[0]!, line[1]!);
          expect(span(figures.bar!.line) / span(rest.bar!.line)).toBeCloseTo(1, 2);
          for (const { line } of figures.springs) expect(distance(...line)).toBeGreaterThan(50);
        }),
        { numRuns: 25 },
      );
    }
  });

  test('carried by the axle it goes with it; a leaf and a bare car draw neither coil nor bag', () => {
    const raised = { ...REST, z: job.rig.tireRadius + 40 };
    const onAxle = rollFigures(withBar({ ...usualStripBar(job.rig), mountedOn: 'axle' }), raised).bar!;
    const onFrame = rollFigures(withBar(usualStripBar(job.rig)), raised).bar!;
    expect(onAxle.line[2]![2] - onFrame.line[2]![2]).toBeCloseTo(40, 6);
    expect(onAxle.housing).toHaveLength(2);
    const leaf = { ...job, roll: { ...job.roll, springs: usualSprings(job.rig, 'leaf') } };
    for (const bare of [job, leaf])
      expect(rollFigures(bare, raised)).toEqual({ bar: null, links: [], springs: [], shocks: [], stops: [] });
  });

  test('a stop hangs its gap over the axle, is squeezed as the axle rises past that, and never to nothing', () => {
    const stop = usualStop(job.rig);
    const car = { ...job, roll: { ...job.roll, stop } };
    fc.assert(
      fc.property(fc.integer({ min: -80, max: 160 }), (lift) => {
        const { stops } = rollFigures(car, { ...REST, z: job.rig.tireRadius + lift });
        expect(stops.map(({ line }) => line[0][1])).toEqual([stop.out, -stop.out]);
        for (const { line, squeezed } of stops) {
          const left = distance(...line);
          expect(squeezed).toBe(lift > stop.gap);
          const pressed = Math.min(0.95 * stop.height, Math.max(0, lift - stop.gap));
          expect(left).toBeCloseTo(stop.height - pressed, 6);
        }
      }),
    );
  });

  test('links that are off lie where they are stowed; without a place they are not drawn', () => {
    const stow = { out: 400, ahead: 190, height: 500 };
    const off = { ...usualBar(job.rig), stow, hooked: false };
    const pose = { ...REST, z: job.rig.tireRadius };
    const { links } = rollFigures(withBar(off), pose);
    expect(links.map((l) => l.loose)).toEqual([true, true]);
    expect(links[0]!.line[1]).toEqual([190, 400, 500]);
    expect(distance(...links[0]!.line)).toBeCloseTo(off.link, 6);
    expect(rollFigures(withBar({ ...off, stow: null }), pose).links).toEqual([]);
  });
});
