import type { Place } from '@/core/fabricate/drawing';
import { bendAllowance } from './bendAllowance';
import { flankTop, type TabShape } from './plates';

/**
 * Two tabs that stand on a flat face with the web between them, folded from one plate, mm: each tab; the space between their inner faces; the
 * plate's thickness; the inside radius of the folds; how high the web stands from the foot.
 */
export type Folded = { tab: TabShape; apart: number; thickness: number; bend: number; web: number };

/** How a folded bracket lies flat, mm: from its middle to where the web, the fold and the tab begin, to the tab's flank past the web; how high web and relief are along the flank, and the flank. */
type Lie = { web: number; tab: number; flank: number; high: number; relief: number; whole: number };

/** A fold that ends within a plate tears unless it is cut free past its end by as much as the plate is thick (common practice, no published source). */
export function lieOf({ tab, apart, thickness, bend, web }: Folded): Lie {
  const { up } = flankOf(tab);
  const half = apart / 2 - bend;
  const folded = half + bendAllowance(bend, thickness);
  return {
    web: half,
    tab: folded,
    // The web's outer face lies in the flank's line: of each tab a thickness and a radius are in web and fold.
    flank: folded - thickness - bend,
    high: web / up,
    relief: web / up + thickness,
    whole: flankTop(tab) / up,
  };
}

/** A tab's right flank: from where, which way it goes up, as a unit vector, and how much of that is up. */
export function flankOf(tab: TabShape): { from: Place; way: Place; up: number } {
  const from = tab.foot.at(-1)!;
  const [x, y] = [tab.width / 2 - from[0], flankTop(tab) - from[1]];
  const length = Math.hypot(x, y);
  return { from, way: [x / length, y / length], up: y / length };
}

/** Why a bracket cannot be folded so: its tabs stand too close for the folds, its web is too high for its flanks, or its tabs are no deeper than the folds. */
export function foldedFault(folded: Folded): 'close' | 'high' | 'shallow' | null {
  const { web, flank, relief, whole } = lieOf(folded);
  const { tab, thickness, bend } = folded;
  if (web < 0 || flank < 0) return 'close';
  if (relief > whole) return 'high';
  const across = tab.foot.at(-1)![0] - tab.foot[0]![0];
  return across * flankOf(tab).up < 2 * (thickness + bend) ? 'shallow' : null;
}
