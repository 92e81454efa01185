import type { Rig, Shock, Spring } from '@/core/rig/schema';
import { SIDES, signOf, type Side } from '@/core/geometry/side';
import { kindOf } from '@/core/rig/members/members';
import { leavesOf } from '@/core/rig/roles';
import { airAt, type AirBag } from './airSpring';
import { leafRate, type LeafPack } from './leafPack';
import type { Point } from '@/core/geometry/vector';

/** Where one end of the left spring stands, mm: from the centreline, ahead of the axle, off the floor. */
export type Stand = { out: number; ahead: number; height: number };
export type Stands = { frame: Stand; axle: Stand };

/** N/mm; outside of its coils, its length unloaded and with its coils closed, where they are known, mm. */
export type Coil = Stands & {
  kind: 'coil';
  rate: number;
  od: number;
  free: number | null;
  solid: number | null;
};
/** A leaf pack at its seat, from the centreline; its rate as measured goes before the worked-out one. */
export type Leaves = LeafPack & { kind: 'leaf'; out: number; measured: number | null };
/** A bag, as wide as it bulges, mm. */
export type Air = Stands & AirBag & { kind: 'air'; od: number };

/** The pair of springs; both sides alike. */
export type SpringDesign = Coil | Leaves | Air;
export const SPRING_KINDS = ['coil', 'leaf', 'air'] as const;

/** A shock's own closed and open length and how thick it is, mm; where it stands when it does not stand in its spring. */
export type ShockDesign = { closed: number; open: number; od: number; apart: Stands | null };

/** How wide coils and bags and how thick shocks usually are, mm (common sizes, from memory). */
export const USUAL_OD = { coil: 124, air: 150, shock: 56 };

/** A bump stop: how far out from the centreline it stands, how far the axle rises there before it touches, its rate at first touch, its height; mm, N/mm. */
export type StopDesign = { out: number; gap: number; rate: number; height: number };

/** So long that a leaf's seat may be taken as pushed straight down, mm. */
const UPRIGHT = 1e4;

const at = ({ out, ahead, height }: Stand, side: Side): Point => [ahead, signOf(side) * out, height];

/** The ends of the spring on a side of the car; a leaf pushes at its seat. */
export function standsOf(design: SpringDesign, side: Side, tireRadius: number): [frame: Point, axle: Point] {
  if (design.kind !== 'leaf') return [at(design.frame, side), at(design.axle, side)];
  const y = signOf(side) * design.out;
  return [
    [0, y, tireRadius + UPRIGHT],
    [0, y, tireRadius],
  ];
}

export const shockStands = ({ frame, axle }: Stands, side: Side): [frame: Point, axle: Point] => [
  at(frame, side),
  at(axle, side),
];

/** What a spring gives for a mm of its own at ride height, N/mm. */
export function rateOf(design: SpringDesign): number {
  switch (design.kind) {
    case 'coil':
      return design.rate;
    case 'leaf':
      return design.measured ?? leafRate(design);
    case 'air':
      return airAt(design, 0).rate;
  }
}

/** The pair as a rig states it; none of an air bag that shrinks faster than its pressure rises: that holds nothing up. */
export function springsOf(design: SpringDesign, { tireRadius }: Pick<Rig, 'tireRadius'>): Spring[] {
  const rate = rateOf(design);
  if (!(rate > 0)) return [];
  return SIDES.map((side) => {
    const [chassis, axle] = standsOf(design, side, tireRadius);
    const od = design.kind === 'leaf' ? undefined : design.od;
    return { id: `spring-${side}`, rate, chassis, axle, ...(od !== undefined && { od }) };
  });
}

/** Shocks as a rig states them, where it is known where they stand. */
export function shocksOf(shock: ShockDesign, springs: SpringDesign | null): Shock[] {
  const stands = shockStand(shock, springs);
  if (!stands) return [];
  return SIDES.map((side) => {
    const [chassis, axle] = shockStands(stands, side);
    return { id: `shock-${side}`, chassis, axle, od: shock.od };
  });
}

/** Where a shock is mounted: by itself, or within a coil or beside a bag; null where that is not known. */
export const shockStand = ({ apart }: ShockDesign, springs: SpringDesign | null): Stands | null =>
  apart ?? (springs === null || springs.kind === 'leaf' ? null : springs);

type Start = Pick<Rig, 'track' | 'tireRadius' | 'members'>;

const usualStands = ({ track, tireRadius }: Start): Stands => {
  const out = Math.round(0.33 * track);
  return {
    frame: { out, ahead: -60, height: tireRadius + 330 },
    axle: { out, ahead: -60, height: tireRadius - 40 },
  };
};

/** A pair of each kind to start from. */
export function usualSprings(rig: Start, kind: SpringDesign['kind']): SpringDesign {
  switch (kind) {
    case 'coil':
      return { kind, ...usualStands(rig), rate: 26, od: USUAL_OD.coil, free: null, solid: null };
    case 'leaf': {
      const [leaf] = leavesOf(rig);
      const seat = leaf && kindOf(leaf).spring?.(leaf).seat;
      const out = seat ? Math.abs(seat[1]) : Math.round(0.35 * rig.track);
      return {
        kind,
        out,
        front: 610,
        rear: 710,
        width: 63.5,
        thickness: 7,
        count: 4,
        full: 1,
        measured: null,
      };
    }
    case 'air': {
      const stands = usualStands(rig);
      const frame = { ...stands.frame, height: rig.tireRadius + 240 };
      const axle = { ...stands.axle, height: rig.tireRadius + 80 };
      return {
        kind,
        frame,
        axle,
        od: USUAL_OD.air,
        pressure: 0.36,
        area: 11_000,
        growth: 30,
        volume: 2.1e6,
      };
    }
  }
}

export const usualShock: ShockDesign = { closed: 300, open: 460, od: USUAL_OD.shock, apart: null };
/** Under the frame rail, inside of the spring. */
export const usualStop = ({ track }: Pick<Start, 'track'>): StopDesign => ({
  out: Math.round(0.3 * track),
  gap: 50,
  rate: 60,
  height: 50,
});

/** The same spring so many times as stiff, as another one that stands the same height: an air spring by the air it holds. */
export function stiffened(design: SpringDesign, times: number): SpringDesign {
  switch (design.kind) {
    case 'coil':
      return { ...design, rate: design.rate * times };
    case 'leaf':
      return { ...design, measured: rateOf(design) * times };
    case 'air': {
      // Only what comes from squeezing the air goes with its volume; the rest is the bag's own growth.
      const rate = rateOf(design);
      const grown = design.pressure * design.growth;
      const squeezed = times * rate - grown;
      return squeezed > 0 ? { ...design, volume: (design.volume * (rate - grown)) / squeezed } : design;
    }
  }
}
