import { perDegree } from '@/core/geometry/angle';
import { ELASTIC } from '@/core/materials/steels';
import { handbookRate } from '@/core/swaybar/handbookRate';

/** How the wheels of the end that is not built are carried: each by itself, or both by an axle. */
export const CARRIED = ['independent', 'axle'] as const;

/**
 * The springs and the sway bar of the end that is not built, as far as they were measured. Rate N/mm, or of a coil its wire and
 * outside diameter, mm, and the turns that move; `leverage` mm of spring for a mm of its wheel; `apart` between the springs of an axle,
 * mm. Bar: diameter, length of its middle, arm square to that and along itself, mm; mm of its eyes for a mm of the wheels.
 */
export type OtherBuild = {
  carried: (typeof CARRIED)[number];
  rate?: number;
  wire?: number;
  coilOd?: number;
  turns?: number;
  leverage?: number;
  apart?: number;
  bar?: { od?: number; middle?: number; lever?: number; arm?: number; leverage?: number };
};

/** Rate of a coil spring of round steel wire, N/mm: G·d⁴/(8·D³·n) (Wahl, *Mechanical Springs*, from memory). @param wire its diameter, mm @param od outside of the coils, mm @param turns those that move */
export const coilRate = (wire: number, od: number, turns: number): number =>
  (ELASTIC.G * wire ** 4) / (8 * (od - wire) ** 3 * turns);

/** Rate of one spring, N/mm, as told or by its wire; null while neither is known. */
export function springRate({ rate, wire, coilOd, turns }: OtherBuild): number | null {
  if (rate !== undefined) return rate;
  return wire && coilOd && turns && coilOd > wire ? coilRate(wire, coilOd, turns) : null;
}

/**
 * Stiffness against roll of the springs and of the sway bar, N·mm for a degree; null where too little is known, nought of a bar that is
 * not there. By energy: two wheels that go up and down by half the track for a radian, k·n²·t²/2; on an axle the springs at their own
 * distance apart, k·a²/2. A bar by the handbook formula at its eyes, K·(m·t)².
 *
 * @param track of that end, mm
 */
export function otherEndRates(
  build: OtherBuild,
  track: number,
): { springs: number | null; bar: number | null } {
  const rate = springRate(build);
  const { carried, leverage, apart, bar } = build;
  const arm = carried === 'axle' ? apart : leverage === undefined ? undefined : leverage * track;
  return {
    springs: rate === null || arm === undefined ? null : perDegree((rate * arm ** 2) / 2),
    bar: bar === undefined ? 0 : barRate(bar, track),
  };
}

function barRate(
  { od, middle, lever, arm, leverage }: NonNullable<OtherBuild['bar']>,
  track: number,
): number | null {
  if (!od || !middle || !lever || !arm || !leverage) return null;
  return perDegree(handbookRate(od, lever, middle, arm) * (leverage * track) ** 2);
}
