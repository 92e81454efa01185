import type { AxleEnd } from '@/core/rig/schema';
import { wayOf, type Datum } from '@/core/survey/quantities/datums';
import { quantity, spotAt } from '@/core/survey/quantities/quantities';
import type { Reading, Readings } from '@/core/survey/readings';

export const AT = '2026-05-02T09:00:00.000Z';
export const read = (value: number, at = AT): Reading => ({
  value,
  // As it could be typed: in figures, without an exponent.
  typed: String(Number(value.toFixed(4))),
  at,
});
export const readings = (values: Record<string, number>): Readings =>
  Object.fromEntries(Object.entries(values).map(([key, value]) => [key, [read(value)]]));

type Place = [along: number, across: number];
const apart = (a: Place, b: Place) => Math.hypot(a[0] - b[0], a[1] - b[1]);

/** An old car as it really is, mm: the axle out of square and off the middle, frame points where they happen to be. */
export type Truth = {
  tube: number;
  /** left and right rail at the axle, from the middle of the car; how far each of the axle's marks stands ahead */
  rails: [number, number];
  ahead: [number, number];
  datums: Partial<Record<Datum, [Place, Place]>>;
  radius: [number, number];
  room: [number, number];
  lip: [number, number];
  gaps: [number, number];
  tireWidth: number;
};

/** Every redundant reading of that car, without an error in any; of a front axle, its datums stand the other way. */
export function trueReadings(car: Truth, end: AxleEnd = 'rear'): Record<string, number> {
  const axle: [Place, Place] = [
    [car.ahead[0], car.rails[0]],
    [car.ahead[1], -car.rails[1]],
  ];
  const values: Record<string, number> = { marksAcross: apart(...axle), tubeDiameter: car.tube };
  const put = (key: string, pair: [number, number]) => {
    values[`${key}.left`] = pair[0];
    values[`${key}.right`] = pair[1];
  };
  for (const [name, points] of Object.entries(car.datums) as [Datum, [Place, Place]][]) {
    const way = wayOf(name, end);
    const along: [number, number] = [apart(points[0], axle[0]), apart(points[1], axle[1])];
    put(`${name}.front`, [along[0] - (way * car.tube) / 2, along[1] - (way * car.tube) / 2]);
    put(`${name}.rear`, [along[0] + (way * car.tube) / 2, along[1] + (way * car.tube) / 2]);
    put(`${name}.diagonal`, [apart(points[0], axle[1]), apart(points[1], axle[0])]);
    values[`${name}.across`] = apart(...points);
    const holes = car.datums.holes;
    if (name === 'holes' || !holes) continue;
    put(`${name}.tie`, [apart(points[0], holes[0]), apart(points[1], holes[1])]);
    put(`${name}.cross`, [apart(points[0], holes[1]), apart(points[1], holes[0])]);
  }
  const frame = car.rails[0] + car.rails[1];
  put('gapFrame', car.gaps);
  Object.assign(values, {
    frameWidth: frame,
    tireWidth: car.tireWidth,
    insideTires: frame + car.gaps[0] + car.gaps[1],
    track: frame + car.gaps[0] + car.gaps[1] + car.tireWidth,
  });
  put('tireRadius', car.radius);
  put('axleToFrame', car.room);
  put('hubToFender', car.lip);
  put('rideHeight', [0, 1].map((i) => car.radius[i]! + car.tube / 2 + car.room[i]!) as [number, number]);
  put('fenderHeight', [0, 1].map((i) => car.radius[i]! + car.lip[i]!) as [number, number]);
  return values;
}

/** A car of usual sizes with the crookedness asked for: each number shifts one thing, mm. */
export function oldCar(off: number[]): Truth {
  const o = (i: number) => off[i % off.length] ?? 0;
  return {
    tube: 76.2,
    rails: [475 + o(0), 470 + o(1)],
    ahead: [o(2), o(3)],
    datums: {
      cab: [
        [1040 + o(4), 480 + o(5)],
        [1040 + o(6), -470 + o(7)],
      ],
      holes: [
        [760 + o(8), 476 + o(9)],
        [760 + o(10), -472 + o(11)],
      ],
      edge: [
        [-960 + o(12), 470],
        [-960 + o(13), -475],
      ],
    },
    radius: [330 + o(14) / 4, 331 + o(15) / 4],
    room: [60, 57],
    lip: [385, 381],
    gaps: [130 + o(0), 127 - o(1)],
    tireWidth: 230,
  };
}

/** A plausible value for anything that can be read, for measuring a car from nothing. */
export const usualValue = (key: string): number => quantity(spotAt(key)!.quantity.key).standIn;
