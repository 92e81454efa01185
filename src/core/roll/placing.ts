import { closestApproaches } from '@/core/clearance/closestOverTravel';
import { redesigned } from '@/core/job/edits/roll';
import type { RollDesign } from '@/core/job/slices/roll';
import { motionOf } from '@/core/kinematics/smallMotions';
import { cornerPoses } from '@/core/kinematics/travelCorners';
import { LIMITS } from '@/core/materials/limits';
import type { Rig } from '@/core/rig/schema';
import { usualSprings, type SpringDesign } from '@/core/springs/springDesign';
import { spareOf } from '@/core/swaybar/packaging';
import type { BarDesign, Dip } from '@/core/swaybar/swayBarDesign';
import { swayBarOverTravel } from '@/core/swaybar/swayBarOverTravel';

/** The car that something is put into: its rig and design, its travel, and how far its front wheels steer, degrees. */
export type Car = RollDesign & { rig: Rig; bump: number; droop: number; lock: number | null };

/** Shares of the track from the centreline, and places ahead of the axle, mm, in which springs are tried, the usual ones first. */
const OUT = [0.33, 0.3, 0.27, 0.36, 0.24, 0.21, 0.18, 0.15, 0.12];
const AHEAD = [-60, 0, -110, 70, 120, -160, 170];

/** The first that clears everything by as much as is wanted; where none does, the one that comes nearest to it. */
function firstClear<T>(tries: Iterable<T>, spare: (tried: T) => number): T {
  let best: { tried: T; spare: number } | null = null;
  for (const tried of tries) {
    const left = spare(tried);
    if (left >= 0) return tried;
    if (!best || left > best.spare) best = { tried, spare: left };
  }
  return best!.tried;
}

/** A usual pair of springs, with the shocks in them, where they clear everything over the travel. */
export function springsThatFit(car: Car, kind: SpringDesign['kind']): SpringDesign {
  const usual = usualSprings(car.rig, kind);
  if (usual.kind === 'leaf') return usual;
  const standing = corners(car);
  const own = (id: string) => /^(spring|shock)-/.test(id);
  return firstClear(placesFor(usual, car.rig), (springs) => {
    const { rig } = redesigned(car, { springs });
    const looks = car.lock === null ? [undefined] : [undefined, car.lock, -car.lock];
    const nearest = looks.flatMap((lockDeg) =>
      closestApproaches(rig, standing, { lockDeg, only: (a, b) => own(a) !== own(b) }).slice(0, 1),
    );
    return Math.min(Infinity, ...nearest.map((gap) => gap.distance)) - LIMITS.clearance.least;
  });
}

const corners = ({ rig, bump, droop }: Car) =>
  cornerPoses(motionOf(rig).mechanism, bump, droop).map(({ pose }) => pose);

function* placesFor<T extends Exclude<SpringDesign, { kind: 'leaf' }>>(
  usual: T,
  { track }: Rig,
): Generator<T> {
  for (const ahead of AHEAD)
    for (const share of OUT)
      for (const higher of [0, 90]) {
        const out = Math.round(share * track);
        yield {
          ...usual,
          frame: { ...usual.frame, out, ahead, height: usual.frame.height + higher },
          axle: { ...usual.axle, out, ahead, height: usual.axle.height + higher },
        };
      }
}

/** Where the middle of a sway bar is tried, ahead of the axle, and how much higher than usual, mm; straight, humped over the shaft and dipped under it. */
const BAR_AHEAD = [300, -300, 380, -380, 460, -460, 560, -560, 240, -230];
const BAR_HIGHER = [0, 70, 140, 220, -60, -130, 300];
const DIPS: Dip[][] = [[], [{ at: 0, depth: -90, width: 160 }], [{ at: 0, depth: 110, width: 160 }]];

/** A sway bar to start from, where it and its links clear everything, can follow the travel and stay within their joints. */
export function barThatFits(car: Car, usual: BarDesign): BarDesign {
  const motion = motionOf(car.rig);
  return firstClear(barPlaces(usual), (bar) => {
    const tried = redesigned(car, { bar });
    const { gaps, links } = swayBarOverTravel({ ...tried, rocker: { left: 0, right: 0 } }, bar, motion, null);
    if (!links || links.lost.length) return -Infinity;
    const cocked = Math.max(0, ...links.cocked.map(({ most, allowed }) => most - allowed));
    return Math.min(0, ...gaps.map((gap) => spareOf(tried, gap))) - cocked;
  });
}

function* barPlaces(usual: BarDesign): Generator<BarDesign> {
  yield usual;
  for (const dips of DIPS)
    for (const higher of BAR_HIGHER)
      for (const ahead of BAR_AHEAD)
        yield {
          ...usual,
          dips: usual.made === 'arms' ? usual.dips : dips,
          ahead,
          // Its arms reach for the axle.
          pointing: ahead > 0 ? 'back' : 'ahead',
          height: usual.height + higher,
        };
}
