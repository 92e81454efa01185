import { carry, seenFromAxle } from '@/core/kinematics/attitude';
import type { Point, Rig } from '@/core/rig/schema';
import { dot, minus, plus, unit } from '@/core/vector';
import type { BarDesign } from './barDesign';
import { LINK_JOINTS, type LinkEnd } from './linkJoints';
import { feetIn, lineAt, turned, turnsTo, type Turning } from './motion';
import type { Place } from './travel';

const DEGREES = 180 / Math.PI;
const SIDES = ['left', 'right'] as const;

/** How far the joint at an end of a link is cocked, degrees: at ride height and at the worst, and where that is. */
type Cocked = { end: 'bar' | 'foot'; allowed: number; atRide: number; most: number; at: string };

export type LinkAnswer = {
  cocked: Cocked[];
  /** least angle between arm and link, degrees: 90 is square, 0 in line, where it goes over centre */
  square: { least: number; at: string };
  /** where a link cannot reach at all */
  lost: string[];
};

/** The two links over the travel: their joints, and how square they stand to their arms. */
export function linksOver(rig: Rig, design: BarDesign, turning: Turning, places: Place[]): LinkAnswer {
  const cocked: Cocked[] = (['bar', 'foot'] as const).map((end) => ({
    end,
    allowed: LINK_JOINTS[design.ends[end].joint].swing,
    atRide: 0,
    most: 0,
    at: 'at ride height',
  }));
  const square = { least: 90, at: 'at ride height' };
  const lost: string[] = [];
  places.forEach(({ at, pose }, i) => {
    const feet = feetIn(turning, pose, rig.tireRadius);
    const turns = turnsTo(turning, feet);
    const [left, right] = [turns.left, turns.right];
    if (left === null || right === null) {
      lost.push(at);
      return;
    }
    const line = lineAt(turning, { left, right });
    const other =
      design.mountedOn === 'chassis' ? carry(pose, rig.tireRadius) : seenFromAxle(pose, rig.tireRadius);
    SIDES.forEach((side, k) => {
      const eye = k === 0 ? line[0]! : line.at(-1)!;
      const along = unit(minus(feet[side], eye));
      const arm = unit(minus(eye, turning.circles[side].centre));
      const between = Math.acos(Math.min(1, Math.abs(dot(along, arm)))) * DEGREES;
      if (between < square.least) Object.assign(square, { least: between, at });
      const foot = turning.bar.links[side];
      const bolts = {
        bar: turned(boltOf(design.ends.bar), turning.axis, [0, 0, 0], k === 0 ? left : right),
        foot: minus(other(plus(foot, boltOf(design.ends.foot))), other(foot)),
      };
      for (const c of cocked) {
        const lean = Math.asin(Math.min(1, Math.abs(dot(along, bolts[c.end])))) * DEGREES;
        if (i === 0) c.atRide = Math.max(c.atRide, lean);
        if (lean > c.most) Object.assign(c, { most: lean, at });
      }
    });
  });
  return { cocked, square, lost };
}

const boltOf = ({ bolt }: LinkEnd): Point => (bolt === 'across' ? [0, 1, 0] : [1, 0, 0]);

/** Whether the two ends let a link move only one way: two forks whose pins lie alike. */
export const oneWayOnly = ({ ends: { bar, foot } }: BarDesign): boolean =>
  bar.joint === 'clevis' && foot.joint === 'clevis' && bar.bolt === foot.bolt;
