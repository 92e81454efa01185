import type { Job } from '@/core/job/jobSchema';
import { bracketOf, type Bracket } from '@/core/job/made/bracketParts';
import {
  barEndAt,
  heightOf,
  isPlateBar,
  LINK_ENDS,
  metalOf,
  thicknessOf,
  type Bar,
  type BarEndName,
} from '@/core/job/made/parts';
import { ELECTRODES } from '@/core/materials/metals';
import type { LinkMember } from '@/core/rig/members/link';
import { MM_PER_INCH } from '@/core/units/tape';
import { tabLoads } from '@/core/strength/tab';
import { allowedOnThroat, throatOf } from '@/core/strength/weldGroup';
import { sayStrength, type Trial } from './governing';
import { inTime } from './inTime';
import type { Inputs } from '@/core/prove/types';

/** Everything that the ends of a bar which have no thread are proved by: their plates at the pin, and the weld that holds each to the bar. */
export const endTrials = (job: Job, link: LinkMember, bar: Bar): Trial[] =>
  LINK_ENDS.flatMap((of) => {
    const end = barEndAt(of);
    const bracket = bracketOf(job, link, of);
    const isWhole = isPlateBar(bar);
    return [
      ...(bar.eyes[end] ? [eyeTrial(job, bar, end, bracket)] : []),
      ...(bar.eyes[end] || bar.barrels[end] ? (isWhole ? [] : weldTrials(job, bar, end, bracket)) : []),
    ];
  });

/** The plates of an end at their pin, by whichever way they would go first: torn out, crushed, or parted through the hole. */
function eyeTrial(job: Job, bar: Bar, end: BarEndName, { hole, bolt }: Bracket): Trial {
  const eye = bar.eyes[end]!;
  const isWhole = isPlateBar(bar);
  const count = eye.kind === 'fork' ? 2 : 1;
  const [thickness, width] = isWhole
    ? [thicknessOf(bar.section), heightOf(bar.section)]
    : [eye.plate, eye.width];
  const metal = metalOf(job, isWhole ? bar.metal : 'plate');
  const loads = tabLoads({ thickness, width, edge: width / 2, hole, bolt }, metal);
  const ways = [
    { load: loads.tearOut, fails: 'breaks', formula: '1.2 · (w / 2 − h / 2) · t · S_u' },
    { load: loads.bearing, fails: 'bends', formula: '2.4 · d · t · S_u' },
    { load: loads.net, fails: 'breaks', formula: '(w − h) · t · S_u' },
    { load: loads.gross, fails: 'bends', formula: 'w · t · S_y' },
  ] as const;
  const first = ways.reduce((least, way) => (way.load < least.load ? way : least));
  return {
    check: `eye-${end}`,
    unit: 'N',
    fails: first.fails,
    formula: `${first.formula}, of each of ${count}`,
    source: `AISC 360 J3.10 and D2, from memory; ${sayStrength(metal)}`,
    asks: (force) => ({ demand: Math.abs(force) / count, capacity: first.load }),
    inputs: () => ({
      metal: metal.name,
      plates: count,
      t: thickness,
      w: width,
      h: hole,
      d: bolt,
      S_y: metal.yield,
      S_u: metal.ultimate,
    }),
  };
}

/** A fillet of what has no wall of its own to go by is no larger than this, mm. */
const LARGEST = MM_PER_INCH / 4;

/** The fillets that hold an end to its bar, mm: all round a barrel's saddle; both edges on both faces of what laps. */
function filletsOf({ section, eyes }: Bar, end: BarEndName): { leg: number; length: number } {
  const wall = section.shape === 'tube' ? section.wall : Math.min(thicknessOf(section) / 2, LARGEST);
  const eye = eyes[end];
  if (eye) return { leg: Math.min(eye.plate, wall), length: 4 * eye.lap };
  const around =
    section.shape === 'flat' ? 2 * (section.height + section.thickness) : Math.PI * thicknessOf(section);
  return { leg: Math.min(wall, LARGEST), length: around };
}

function weldTrials(job: Job, bar: Bar, end: BarEndName, { electrode }: Bracket): Trial[] {
  const { leg, length } = filletsOf(bar, end);
  const wire = ELECTRODES[electrode];
  const throat = throatOf(leg);
  const sizes: Inputs = { leg, throat, length, F_EXX: wire.ultimate };
  const weld: Trial = {
    check: `end-weld-${end}`,
    unit: 'N/mm²',
    fails: 'breaks',
    formula: `P / (0.707 · leg · length), against 0.3 · F_EXX; ${
      bar.eyes[end] ? 'length: four times the lap' : 'length: once round the bar, leg: its wall'
    }`,
    source: 'AWS D1.1, from memory',
    asks: (force) => ({
      demand: Math.abs(force) / (throat * length),
      capacity: allowedOnThroat(wire.ultimate),
    }),
    inputs: () => sizes,
  };
  return [weld, inTime(job, `fatigue-end-${end}`, 'throat', 'change of P / (0.707 · leg · length)', weld)];
}
