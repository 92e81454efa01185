import Papa from 'papaparse';
import { analyseLocate } from '@/core/locate/analyse';
import { reachedPoints } from '@/core/locate/travel/travelCurve';
import { travelMap } from '@/core/locate/travel/travelMap';
import { assemble } from '@/core/kinematics/mechanism';
import { isReached } from '@/core/kinematics/pose';
import { analyseRoll } from '@/core/roll/analyse';
import { cornersToCsv, curveToCsv, mapToCsv, rideToCsv, rollToCsv } from '@/core/bench/sweepCsv';
import { demoJobs } from '@/store/demo';
import { locateInput } from '@/core/locate/types';
import { rollInput } from '@/core/roll/input';

const AT_RIDE = { left: 0, right: 0 };

/** A table as a spreadsheet reads it: numbers by the names of their columns, nothing where nothing stands. */
function table(csv: string): Record<string, number | null>[] {
  const { data, errors, meta } = Papa.parse<Record<string, string>>(csv.trimEnd(), { header: true });
  expect(errors).toEqual([]);
  // Every column says what it is and in what unit.
  for (const name of meta.fields!) expect(name).toMatch(/_(mm|N|N_per_mm|MPa|deg|deg_per_deg|pct|g)$/);
  return data.map((row) =>
    Object.fromEntries(
      Object.entries(row).map(([name, text]) => {
        expect(text).toMatch(/^(-?\d+(\.\d+)?(e-?\d+)?)?$/);
        return [name, text === '' ? null : Number(text)];
      }),
    ),
  );
}

describe.each(demoJobs().map((job) => [job.name, job] as const))('figures of %s', (_, job) => {
  test('the curve and the map over the travel agree with each other and with the poses', () => {
    const input = locateInput(job, AT_RIDE);
    const { curve } = analyseLocate(input);
    const rows = table(curveToCsv(curve));
    expect(rows).toHaveLength(reachedPoints(curve).length);
    const { at } = assemble(job.rig);
    for (const row of rows) {
      const pose = at({ left: row.lift_mm!, right: row.lift_mm! });
      if (!isReached(pose)) throw new Error('a line for a place that is not reached');
      expect(row.axle_left_mm).toBeCloseTo(pose.y, 6);
      expect(row.pitch_nose_down_deg).toBeCloseTo(pose.pitchDeg, 6);
    }
    const map = table(mapToCsv(travelMap(input, 'y'), 'axle_left_mm'));
    expect(map).toHaveLength(25 * 25);
    for (const row of map.filter((r) => r.axle_left_mm !== null).slice(0, 40)) {
      const pose = at({ left: row.left_lift_mm!, right: row.right_lift_mm! });
      expect(isReached(pose) && pose.y).toBeCloseTo(row.axle_left_mm!, 6);
    }
  });

  test('springs, bar and corners: what is kept is what was drawn', () => {
    const input = rollInput(job, AT_RIDE);
    const { ride } = analyseRoll(input, 'springs');
    const { bar } = analyseRoll(input, 'bar');
    const { tuning, corner } = analyseRoll(input, 'balance');
    if (ride) {
      const rows = table(rideToCsv(ride.rows));
      expect(rows.map((r) => r.wheel_load_N)).toEqual(ride.rows.map((r) => r.load));
      expect(rows.map((r) => r.shock_length_mm)).toEqual(ride.rows.map((r) => r.shock));
    }
    if (bar) {
      const rows = table(rollToCsv(bar.rows));
      expect(rows.map((r) => r.pull_at_each_eye_N)).toEqual(bar.rows.map((r) => r.force));
      // The bar pushes by its rate for what its eyes part.
      for (const r of rows)
        expect(r.pull_at_each_eye_N).toBeCloseTo(bar.rate * Math.abs(r.eyes_apart_mm!), 6);
    }
    if (!corner) return;
    const rows = table(cornersToCsv(tuning!.corners));
    expect(rows[0]).toMatchObject({ corner_g: 0, lean_deg: 0, front_share_pct: null });
    expect(rows.at(-1)!.corner_g).toBeGreaterThanOrEqual(corner.g);
    for (const r of rows) {
      const carried = (end: string) => r[`${end}_inside_N`]! + r[`${end}_outside_N`]!;
      expect(carried('front')).toBeCloseTo(rows[0]![`front_inside_N`]! * 2, 6);
      expect(carried('rear')).toBeCloseTo(rows[0]![`rear_inside_N`]! * 2, 6);
    }
    const leans = rows.map((r) => r.lean_deg!);
    expect([...leans].sort((a, b) => a - b)).toEqual(leans);
  });
});
