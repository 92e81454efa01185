import fc from 'fast-check';
import { checkBar } from '@/core/cut/barChecks';
import { makeBar } from '@/core/fabricate/adjustableBar';
import { newJob } from '@/core/job/newJob';
import type { Job } from '@/core/job/jobSchema';
import { specOf } from '@/core/job/made/parts';
import { LIMITS } from '@/core/materials/limits';
import { USES } from '@/core/materials/uses';
import { restsOf } from '@/core/place/heights';
import { outOfPlace, placeChecks } from '@/core/place/placeChecks';
import { approachOf } from '@/core/record/jobRecord';
import { partsChecks } from '@/core/record/partsList';
import { checkRecord, isSpread } from '@/core/record/recordChecks';
import { analyseRoll } from '@/core/roll/analyse';
import { rollInput } from '@/core/roll/input';
import { springChecks } from '@/core/roll/checks/springs';
import type { RideAnswer } from '@/core/springs/springTravel';
import { usualShock, usualSprings, usualStop } from '@/core/springs/springDesign';
import { withRoll } from '@/core/job/edits/roll';
import { floorOf } from '@/core/survey/floor';
import { division, type Tape } from '@/core/units/tape';
import { MASSES } from '../../support/masses';
import { readings } from '../../support/car';

const fresh = () => newJob('check', 'Check', 'mm');
/** Just within a limit, and just past it. */
const EDGES = [-0.05, 0.05] as const;

describe('an axle on its rests, at the edge of what passes and past it', () => {
  const held = (job: Job): Job => ({ ...job, place: { ...job.place, held: { left: 800, right: 800 } } });
  const stateOf = (job: Job, id: string) => placeChecks(job).find((v) => v.id === id)?.state;

  test('height of each end', () => {
    const job = held(fresh());
    for (const side of ['left', 'right'] as const) {
      const wanted = restsOf(job, 0)[side]!.top;
      for (const sign of [-1, 1])
        for (const past of EDGES) {
          const seen = wanted + sign * (LIMITS.rests.height + past);
          const measured = { ...job, place: { ...job.place, measured: { [`rest.${side}`]: seen } } };
          expect([side, past, stateOf(measured, `rest-${side}`)]).toEqual([
            side,
            past,
            past < 0 ? 'ok' : 'stop',
          ]);
          expect(outOfPlace(measured)).toHaveLength(past < 0 ? 0 : 1);
          if (past > 0)
            expect(placeChecks(measured).find((v) => v.id === `rest-${side}`)!.remedies[0]!.text).toMatch(
              sign > 0 ? /Take shim out/ : /Shim it up/,
            );
        }
    }
  });

  test('square by the datum, and by the diagonals; the worse side in either place', () => {
    for (const [what, id] of [
      ['datum', 'placedSquare'],
      ['diagonal', 'placedDiagonals'],
    ] as const)
      for (const sign of [-1, 1])
        for (const past of EDGES) {
          const apart = sign * (LIMITS.rests.foreAft + past);
          const measured = { [`${what}.left`]: 1000 + apart, [`${what}.right`]: 1000 };
          const job = { ...fresh(), place: { ...fresh().place, measured } };
          expect([id, apart, stateOf(job, id)]).toEqual([id, apart, past < 0 ? 'ok' : 'stop']);
        }
  });

  test('one side alone is not judged', () => {
    const job = {
      ...fresh(),
      place: { ...fresh().place, measured: { 'datum.left': 1000, 'diagonal.right': 1200 } },
    };
    expect(placeChecks(job)).toEqual([]);
  });

  test('the frame out of level is looked at, by the higher side', () => {
    for (const sign of [-1, 1]) {
      const apart = sign * (LIMITS.rests.frameLevel + 1);
      const job = { ...fresh(), place: { ...fresh().place, held: { left: 800 + apart, right: 800 } } };
      const said = placeChecks(job).find((v) => v.id === 'frameLevel')!;
      expect(said.state).toBe('look');
      expect(said.title).toContain(sign > 0 ? 'on the left' : 'on the right');
    }
  });
});

describe('readings, at the edge of what is said and past it', () => {
  const says = (given: Record<string, number>) => {
    const job = { ...fresh(), readings: readings(given) };
    return checkRecord(job.readings, null, approachOf(job), 'mm').map((v) => v.id);
  };

  test.each([
    ['tireRadius', LIMITS.readings.tireRadius, 330],
    ['rideHeight', LIMITS.readings.rideHeight, 430],
  ] as const)('%s, left against right', (key, limit, usual) => {
    for (const sign of [-1, 1])
      for (const past of EDGES) {
        const ids = says({ [`${key}.left`]: usual + sign * (limit + past), [`${key}.right`]: usual });
        expect(ids.includes(`sides-${key}`)).toBe(past > 0);
      }
  });

  test('off the middle, and out of square', () => {
    const { offset, square } = LIMITS.readings;
    for (const sign of [-1, 1])
      for (const past of EDGES) {
        expect(
          says({ 'gapFrame.left': 120 + sign * 2 * (offset + past), 'gapFrame.right': 120 }).includes(
            'offset',
          ),
        ).toBe(past > 0);
        expect(
          says({
            'wheelbase.left': 2800 + sign * (square + past),
            'wheelbase.right': 2800,
            track: 1450,
          }).includes('square'),
        ).toBe(past > 0);
      }
  });

  test('what two honest readings may be apart: two lines of the tape, and no finer than a sixteenth', () => {
    for (const tape of ['in16', 'in32', 'mm'] as Tape[]) {
      const honest = Math.max(2 * division(tape), LIMITS.readings.honest.length);
      expect(isSpread(honest, 'length', tape)).toBe(false);
      expect(isSpread(honest + 0.01, 'length', tape)).toBe(true);
      for (const unit of ['angle', 'weight'] as const) {
        expect(isSpread(LIMITS.readings.honest[unit], unit, tape)).toBe(false);
        expect(isSpread(LIMITS.readings.honest[unit] + 0.01, unit, tape)).toBe(true);
      }
    }
  });

  test('a floor is level, corrected or steep by its limits', () => {
    const verdict = (deg: number) =>
      floorOf(
        readings({
          'floorAlong.left': deg,
          'floorAlong.right': deg,
          floorAcrossRear: 0,
          floorAcrossFront: 0,
        }),
      )!.verdict;
    const { level, steepest } = LIMITS.floor;
    expect([level - 0.01, level + 0.01, steepest - 0.01, steepest + 0.01].map(verdict)).toEqual([
      'true',
      'corrected',
      'corrected',
      'steep',
    ]);
    expect([-level + 0.01, -steepest - 0.01].map(verdict)).toEqual(['true', 'steep']);
  });

  test('a part is short past so much, not before', () => {
    const part = (seen: number) => [
      { id: 'tube', name: 'Tube', wanted: 1, got: 1, length: 900, lengthSeen: seen },
    ];
    expect(partsChecks(part(900 - LIMITS.readings.shortPart + 0.1), 'mm')).toEqual([]);
    expect(partsChecks(part(900 - LIMITS.readings.shortPart - 0.1), 'mm')).toHaveLength(1);
    expect(partsChecks(part(950), 'mm')).toEqual([]);
  });
});

describe('a bar before it is cut', () => {
  test('whatever its length: fit, or told what is wrong with it and what to do', () => {
    fc.assert(
      fc.property(fc.integer({ min: 60, max: 1400 }), (eyeToEye) => {
        const spec = specOf(fresh(), 'panhard');
        const bar = makeBar(eyeToEye, spec);
        const said = checkBar(spec, bar, 'mm');
        expect(said.length).toBeGreaterThan(0);
        for (const v of said) {
          expect(v.title).toMatch(/\.$/);
          if (v.state === 'stop') expect(v.remedies.length).toBeGreaterThan(0);
        }
        if (bar.tubeLength < LIMITS.adjustableBar.tube)
          expect(said.some((v) => v.state === 'stop')).toBe(true);
      }),
      { numRuns: 60 },
    );
  });
});

describe('springs, at the edge of what is said and past it', () => {
  const plain = fresh();
  const weighed = { ...plain, rig: { ...plain.rig, masses: MASSES } };
  const job = withRoll(weighed, {
    springs: usualSprings(plain.rig, 'coil'),
    shock: usualShock,
    stop: usualStop(plain.rig),
  });
  const input = rollInput(job, { left: 0, right: 0 });
  const result = analyseRoll(input, 'springs');
  const ride = result.ride!;
  const state = (change: Partial<RideAnswer>, id: string, use: Job['use'] = 'street') =>
    springChecks({ ...input, use }, { ...result, ride: { ...ride, ...change } }, 'mm').find(
      (v) => v.id === id,
    )?.state;

  test.each(USES)('%s: how often it bounces', (use) => {
    const [least, most] = LIMITS.rideFrequency[use];
    const states = [least - 0.01, least, most, most + 0.01].map((frequency) =>
      state({ frequency }, 'frequency', use),
    );
    expect(states).toEqual(['look', 'ok', 'ok', 'look']);
  });

  test('a coil that closes, one that all but closes, one with room', () => {
    const solid = 200;
    const coil = { ...input, springs: { ...usualSprings(plain.rig, 'coil'), solid } as typeof input.springs };
    const at = (length: number) => {
      const rows = ride.rows.map((row, i) => (i === ride.rows.length - 1 ? { ...row, length } : row));
      return springChecks(coil, { ...result, ride: { ...ride, rows } }, 'mm').find((v) => v.id === 'coilBind')
        ?.state;
    };
    const { coilsApart } = LIMITS.springs;
    expect([solid - 1, solid + coilsApart - 0.1, solid + coilsApart].map(at)).toEqual([
      'stop',
      'look',
      undefined,
    ]);
  });

  test('a shock that bottoms, that is pulled out, that fits', () => {
    const shock = (closed: number, open: number) => {
      const said = springChecks({ ...input, shock: { ...usualShock, closed, open } }, result, 'mm').map(
        (v) => v.id,
      );
      return said.filter((id) => id.startsWith('shock'));
    };
    const lengths = ride.rows.flatMap((row) => row.shock ?? []);
    const [shortest, longest] = [Math.min(...lengths), Math.max(...lengths)];
    expect(shock(shortest - 1, longest + 1)).toEqual(['shockFits']);
    expect(shock(shortest + 1, longest + 1)).toEqual(['shockBottoms']);
    expect(shock(shortest - 1, longest - 1)).toEqual(['shockTops']);
  });

  test('without a weight a shock is judged by its travel alone, and without springs and shock nothing is said', () => {
    const light = { ...input, rig: { ...input.rig, masses: undefined } };
    const weightless = (change: Partial<typeof input>) => {
      const asked = { ...light, ...change };
      return springChecks(asked, analyseRoll(asked, 'springs'), 'mm').map((v) => v.id);
    };
    const lengths = result.shock.map((row) => row.length);
    const [shortest, longest] = [Math.min(...lengths), Math.max(...lengths)];
    expect(result.shock.map((row) => row.length)).toEqual(
      ride.rows.map((row) => expect.closeTo(row.shock!, 9)),
    );
    const closed = (mm: number, open = longest + 1) => ({ shock: { ...usualShock, closed: mm, open } });
    expect(weightless(closed(shortest - 1))).toEqual(['shockFits']);
    expect(weightless(closed(shortest + 1))).toEqual(['shockBottoms']);
    expect(weightless(closed(shortest - 1, longest - 1))).toEqual(['shockTops']);
    expect(weightless({ shock: null })).toEqual([]);
    // Mounted by itself it needs no spring to be placed; within the spring it does.
    const apart = {
      frame: { ahead: -60, out: 480, height: 640 },
      axle: { ahead: -60, out: 520, height: 300 },
    };
    expect(
      weightless({ springs: null, shock: { closed: 10, open: 2000, apart } as typeof input.shock }),
    ).toEqual(['shockFits']);
    expect(weightless({ springs: null })).toEqual([]);
  });
});
