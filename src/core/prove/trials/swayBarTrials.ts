import { angleSizes, type Angle } from '@/core/fabricate/plates/angle';
import { earRoot } from '@/core/fabricate/plates/earRoot';
import type { SpringPlate } from '@/core/fabricate/plates/springPlate';
import type { Strap } from '@/core/fabricate/plates/strap';
import type { Job } from '@/core/job/jobSchema';
import { metalOf } from '@/core/job/made/parts';
import { LINK_PINS, madeUpLink, type EndLink } from '@/core/job/made/sway/endLink';
import { BOLT_GRADES, type BoltGrade } from '@/core/materials/metals';
import { coarsePitch } from '@/core/materials/threads';
import { boltPullLoad, flangeLoads, leversOf, pullAndShear, type Flange } from '@/core/strength/tStub';
import { stressArea } from '@/core/strength/thread';
import { besideWelds, bodyTrials, threadTrials } from './barTrials';
import { boltTrials } from './boltTrials';
import { sayStrength, SHIGLEY, type Trial } from './governing';

const LINK = { tension: 'link-tension', column: 'link-column' } as const;
const ENDS = { pulled: 'link-shank', stripped: 'link-strip' } as const;

/** What an end link and what it turns on are proved by, of the force along it. */
export function endLinkTrials(job: Job, link: EndLink): Trial[] {
  const longest = Math.max(...link.lengths);
  return [
    ...bodyTrials(job, LINK, link, longest),
    besideWelds(job, 'link-weld-zone', link),
    ...threadTrials(job, ENDS, link.thread, madeUpLink(link, longest).ends.frame),
    ...LINK_PINS.flatMap((at) =>
      boltTrials(
        { shear: `pin-${at}-shear`, bending: `pin-${at}-bending` },
        { grade: link.pins[at].grade, threaded: false },
        link.pins[at],
      ),
    ),
  ];
}

/** A washer under a bolt's head, in its diameters (ASME B18.21.1, type A narrow, from memory: about two). */
const WASHER = 2;

/** A bolt of the strap or its angle: its thread's area, mm², and what it carries pulled, N. */
function boltOf({ bolt, grade }: { bolt: number; grade: BoltGrade }) {
  const { name, ultimate } = BOLT_GRADES[grade];
  const area = stressArea({ diameter: bolt, pitch: coarsePitch(bolt) });
  return { load: boltPullLoad(ultimate, area), inputs: { d: bolt, grade: name, A_t: area, S_u: ultimate } };
}

/**
 * What a strap over a bushing is proved by, of the force along an end link: the bar pulls it straight off what it is bolted to, which is the
 * hardest way.
 *
 * @param share what a bushing carries of what a link does
 */
export function strapTrials(job: Job, strap: Strap & { grade: BoltGrade }, share: number): Trial[] {
  const metal = metalOf(job, 'plate');
  const { width, thickness, foot, bend, bolt } = strap;
  const flange: Flange = {
    width,
    thickness,
    bend,
    bolt,
    out: foot / 2,
    past: foot / 2,
    washer: WASHER * bolt,
  };
  const { load, inputs } = boltOf(strap);
  const { bent, pried, drawn } = flangeLoads(flange, metal.yield, load);
  const { m, n, e } = leversOf(flange);
  const isPried = pried < drawn;
  const pull = (force: number) => Math.abs(force) * share;
  const EUROCODE = 'EN 1993-1-8, 6.2.4, a T held by two bolts, from memory';
  const plate = { metal: metal.name, t: thickness, w: width, S_y: metal.yield };
  return [
    {
      check: 'strap-sides',
      unit: 'N',
      fails: metal.fails,
      formula: 'w · t · S_y of each of its two sides, against half of the pull',
      source: `${SHIGLEY}; ${sayStrength(metal)}`,
      asks: (force) => ({ demand: pull(force) / 2, capacity: width * thickness * metal.yield }),
      inputs: (force) => ({ ...plate, R: pull(force) }),
    },
    {
      check: 'strap-feet',
      unit: 'N',
      fails: metal.fails,
      formula: '(8 · n − 2 · e_w) · M / (2 · m · n − e_w · (m + n)), M = 0.25 · w · t² · S_y',
      source: `${EUROCODE}; ${sayStrength(metal)}`,
      asks: (force) => ({ demand: pull(force), capacity: bent }),
      inputs: (force) => ({ ...plate, R: pull(force), m, n, e_w: e }),
    },
    {
      check: 'strap-bolts',
      unit: 'N',
      fails: 'breaks',
      formula: isPried
        ? '(2 · M + n · ΣF) / (m + n), M = 0.25 · w · t² · S_y, ΣF = 2 · 0.9 · S_u · A_t'
        : 'ΣF = 2 · 0.9 · S_u · A_t',
      source: `${EUROCODE}; SAE J429, from memory`,
      asks: (force) => ({ demand: pull(force), capacity: Math.min(pried, drawn) }),
      inputs: (force) => ({ ...inputs, ...(isPried && { ...plate, m, n }), R: pull(force) }),
    },
  ];
}

/** What an angle under a strap is proved by: its leg under the strap bent off at the fold, and the bolts of the other one pulled and sheared. */
export function angleTrials(job: Job, angle: Angle, grade: BoltGrade, share: number): Trial[] {
  const metal = metalOf(job, 'plate');
  const { thickness: t, bend, under, against, bolt } = angle;
  const pull = (force: number) => Math.abs(force) * share;
  // Bolts stand in the middle of what is flat of each leg.
  const flat = (leg: number) => leg - t - bend;
  const arm = bend + flat(under) / 2;
  const { length } = angleSizes(angle);
  const wide = Math.min(length, angle.apart + WASHER * bolt + 2 * arm);
  const Z = (wide * t ** 2) / 6;
  const up = t + bend + flat(against) / 2;
  // It rocks on its heel one way and on the end of its leg the other.
  const lever = Math.min(up, against - up);
  const { load, inputs } = boltOf({ bolt, grade });
  const eachBolt = (force: number) => pullAndShear((pull(force) * (arm + t)) / (2 * lever), pull(force) / 2);
  return [
    {
      check: 'angle-leg',
      unit: 'N/mm²',
      fails: metal.fails,
      formula: 'M / Z, M = R · a, Z = b · t² / 6, at the fold',
      source: `a cantilever, ${SHIGLEY}; ${sayStrength(metal)}`,
      asks: (force) => ({ demand: (pull(force) * arm) / Z, capacity: metal.yield }),
      inputs: (force) => ({ metal: metal.name, R: pull(force), a: arm, b: wide, t, Z, S_y: metal.yield }),
    },
    {
      check: 'angle-bolts',
      unit: 'N',
      fails: 'breaks',
      formula: '√(T² + (1.5 · R / 2)²), T = R · (a + t) / (2 · h), against 0.9 · S_u · A_t of each of two',
      source: 'AISC 360 J3.7, the ellipse of pull and shear; SAE J429; from memory',
      asks: (force) => ({ demand: eachBolt(force), capacity: load }),
      inputs: (force) => ({ ...inputs, R: pull(force), a: arm, t, h: lever }),
    },
  ];
}

/** What the ear of a spring plate is proved by, of the force along the end link that stands on it. */
export function earTrials(job: Job, plate: SpringPlate): Trial[] {
  const root = earRoot(plate);
  if (!root) return [];
  const metal = metalOf(job, 'plate');
  const { arm, width } = root;
  const Z = (width * plate.plate ** 2) / 6;
  return [
    {
      check: 'ear',
      unit: 'N/mm²',
      fails: metal.fails,
      formula: 'M / Z, M = P · a, Z = b · t² / 6, where the U-bolts clamp it',
      source: `a cantilever, its load spread at 45°, ${SHIGLEY}; ${sayStrength(metal)}`,
      asks: (force) => ({ demand: (Math.abs(force) * arm) / Z, capacity: metal.yield }),
      inputs: () => ({ metal: metal.name, a: arm, b: width, t: plate.plate, Z, S_y: metal.yield }),
    },
  ];
}
