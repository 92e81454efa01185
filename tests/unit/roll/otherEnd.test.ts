import fc from 'fast-check';
import { gravityHeight } from '@/core/balance/gravityHeight';
import { coilRate, otherEndRates, springRate, type OtherBuild } from '@/core/balance/otherEndBuild';
import { withLifted } from '@/core/job/edits/made';
import { withOtherBuild, withRoll } from '@/core/job/edits/roll';
import { readJob, writeJob } from '@/core/job/file';
import { guessesAmong } from '@/core/provenance/inputs';
import { usualOtherEnd } from '@/core/balance/otherEnd';
import { analyseRoll } from '@/core/roll/analyse';
import { rollInput } from '@/core/roll/input';
import { demoJobs } from '@/store/demo';

const tinker = demoJobs().find(({ id }) => id === 'demo-tinker')!;
const within = (min: number, max: number) => fc.double({ min, max, noNaN: true });
const bar = { od: 25.4, middle: 900, lever: 200, arm: 230, leverage: 0.6 };

describe('the other end by tape', () => {
  test('what springs store in a lean is half its stiffness by the square of the angle', () => {
    fc.assert(
      fc.property(
        within(10, 300),
        within(0.3, 1.2),
        within(1200, 1700),
        within(0.1, 4),
        (rate, leverage, track, lean) => {
          const angle = (lean * Math.PI) / 180;
          const each = leverage * ((track / 2) * angle);
          const stored = 2 * 0.5 * rate * each ** 2;
          const { springs } = otherEndRates({ carried: 'independent', rate, leverage }, track);
          expect(0.5 * springs! * (180 / Math.PI) * angle ** 2).toBeCloseTo(stored, 6);
          // Springs over the wheels of an axle are springs that move as their wheels do.
          const over = otherEndRates({ carried: 'axle', rate, apart: track }, track).springs!;
          expect(over).toBeCloseTo(
            otherEndRates({ carried: 'independent', rate, leverage: 1 }, track).springs!,
            6,
          );
        },
      ),
    );
  });

  test('springs that stand upright on an axle come to what Roll makes of them', () => {
    const upright = { out: 480, ahead: 0, height: 620 };
    const { springs } = tinker.roll;
    if (springs?.kind !== 'coil') throw new Error('the demo has coils');
    const car = withRoll(tinker, {
      springs: { ...springs, frame: upright, axle: { ...upright, height: 300 } },
      bar: null,
    });
    const found = analyseRoll(rollInput(car, { left: 0, right: 0 }), 'springs').springs!;
    const all = found.reduce((sum, one) => sum + one.rollRate, 0);
    const { springs: ours } = otherEndRates(
      { carried: 'axle', rate: springs.rate, apart: 2 * 480 },
      car.rig.track,
    );
    // The axle leans about its roll centre, not about the middle of its springs: a little sideways is in it.
    expect(Math.abs(ours! / all - 1)).toBeLessThan(0.02);
  });

  test('nothing is made of what is not all there; a bar that is not there counts nothing', () => {
    expect(otherEndRates({ carried: 'independent' }, 1400)).toEqual({ springs: null, bar: 0 });
    expect(otherEndRates({ carried: 'independent', rate: 50 }, 1400).springs).toBeNull();
    expect(otherEndRates({ carried: 'axle', rate: 50, leverage: 0.6 }, 1400).springs).toBeNull();
    for (const key of Object.keys(bar) as (keyof typeof bar)[]) {
      const part: OtherBuild = { carried: 'axle', rate: 50, apart: 900, bar: { ...bar, [key]: undefined } };
      expect(otherEndRates(part, 1400).bar).toBeNull();
    }
    expect(springRate({ carried: 'axle', wire: 14, coilOd: 14, turns: 8 })).toBeNull();
    expect(springRate({ carried: 'axle', wire: 14, coilOd: 120, turns: 8, rate: 33 })).toBe(33);
  });

  test('a stiffer bar, thicker wire and fewer turns are stiffer', () => {
    const rated = (change: Partial<typeof bar>) =>
      otherEndRates({ carried: 'axle', bar: { ...bar, ...change } }, 1400).bar!;
    expect(rated({ od: 50.8 }) / rated({})).toBeCloseTo(16, 6);
    expect(rated({ leverage: 1.2 }) / rated({})).toBeCloseTo(4, 6);
    expect(rated({ lever: 180 })).toBeGreaterThan(rated({}));
    expect(coilRate(28, 134, 8) / coilRate(14, 120, 8)).toBeCloseTo(16, 6);
    expect(coilRate(14, 120, 4)).toBeCloseTo(2 * coilRate(14, 120, 8), 9);
  });

  test('in a job it is no guess any more, follows the track, and is read back; a half-told one changes nothing', () => {
    const guessed = { ...tinker, rig: { ...tinker.rig, otherEnd: usualOtherEnd(tinker.rig) } };
    expect(guessesAmong(guessed, ['otherEnd'])).toHaveLength(1);
    const half = withOtherBuild(guessed, { carried: 'axle', rate: 40 });
    expect(half.rig).toBe(guessed.rig);
    const whole = withOtherBuild(half, { apart: 1000, bar });
    expect(guessesAmong(whole, ['otherEnd'])).toHaveLength(0);
    const { springs, bar: ofBar } = otherEndRates(whole.roll.otherBuild!, whole.rig.otherEnd!.track);
    expect(whole.rig.otherEnd!.rollRate).toBeCloseTo(springs! + ofBar!, 6);
    expect(whole.roll.otherBar).toBe(ofBar);
    expect(readJob(writeJob(whole)).roll.otherBuild).toEqual(whole.roll.otherBuild);
    expect(withOtherBuild(whole, { bar: undefined }).roll).toMatchObject({ otherBar: 0 });
    expect(withOtherBuild(whole, { bar: undefined }).roll.otherBuild).not.toHaveProperty('bar');
  });
});

describe('the centre of gravity by two weighings', () => {
  test('comes back from the weights that a car of any height puts on its scales, by moments', () => {
    fc.assert(
      fc.property(
        within(350, 900),
        within(800, 2200),
        within(0.35, 0.65),
        within(2200, 3300),
        within(290, 370),
        within(0.08, 0.35),
        (height, total, share, wheelbase, hubs, lift) => {
          // The axle that stays down is the pivot; the other is held at its hub.
          const angle = Math.asin(lift);
          const back = (1 - share) * wheelbase;
          const across = back * Math.cos(angle) - (height - hubs) * Math.sin(angle);
          const onLifted = (total * across) / (wheelbase * Math.cos(angle));
          const weighed = { level: share * total, lifted: total - onLifted, by: lift * wheelbase };
          expect(gravityHeight(weighed, total, wheelbase, hubs)).toBeCloseTo(height, 6);
        },
      ),
    );
  });

  test('no lift, a lift past upright or more weight than the car has give no height', () => {
    expect(gravityHeight({ level: 700, lifted: 740, by: 0 }, 1400, 2700, 320)).toBeNull();
    expect(gravityHeight({ level: 700, lifted: 740, by: 2700 }, 1400, 2700, 320)).toBeNull();
    expect(gravityHeight({ level: 700, lifted: 1500, by: 500 }, 1400, 2700, 320)).toBeNull();
    // Less on it than level, far enough to be under the ground: read wrong.
    expect(gravityHeight({ level: 700, lifted: 500, by: 500 }, 1400, 2700, 320)).toBeNull();
  });

  test('what was weighed is kept in the job until it is emptied', () => {
    const one = withLifted(tinker, { level: 700 });
    expect(readJob(writeJob(one)).locate.lifted).toEqual({ level: 700 });
    expect(withLifted(one, { level: undefined }).locate).toEqual(tinker.locate);
  });
});
