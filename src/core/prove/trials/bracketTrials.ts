import { minus, unit, type Point } from '@/core/geometry/vector';
import type { Job } from '@/core/job/jobSchema';
import { bracketAxes, fastenedTo } from '@/core/job/made/bracketRoot';
import { besideSeat, bracketOf, stackOf, type Bracket } from '@/core/job/made/bracketParts';
import { footOut, type OldBracket } from '@/core/job/made/oldBracket';
import { metalOf, type LinkEnd } from '@/core/job/made/parts';
import { sizeOf } from '@/core/job/bodies/bodySizes';
import { ELECTRODES } from '@/core/materials/metals';
import type { LinkMember } from '@/core/rig/members/link';
import { columnOf, sectionValues } from '@/core/strength/bar';
import { braceShare, rootLoads, rootSection, wallBending, type BracketAxes } from '@/core/strength/bracket';
import { tabLoads } from '@/core/strength/tab';
import { allowedOnThroat, throatOf, weldLineForce, type WeldLine } from '@/core/strength/weldGroup';
import { boltTrials } from '@/core/prove/trials/boltTrials';
import { sayStrength, SHIGLEY, type Trial } from '@/core/prove/trials/governing';
import { inTime } from '@/core/prove/trials/inTime';
import type { Inputs } from '@/core/prove/types';

/** Past this a bracket is pushed along the rail rather than across it. */
const SLANTED = Math.SQRT1_2;

/** Everything that the bracket of one end of a link is proved by, with its bolt, its weld and what it is welded to. */
export function bracketTrials(job: Job, link: LinkMember, end: LinkEnd): Trial[] {
  const bracket = bracketOf(job, link, end);
  const axes = bracketAxes(job, link, end);
  // A bar that is pulled draws its brackets towards each other.
  const [here, there] = end === 'chassis' ? [link.chassis, link.axle] : [link.axle, link.chassis];
  const way = unit(minus(there, here));
  const onEye = (force: number): Point => way.map((v) => v * force) as Point;
  return [
    ...boltTrials({ shear: 'bolt-shear', bending: 'bolt-bending' }, bracket, stackOf(job, link, end)),
    ...tabTrials(job, bracket),
    ...rootTrials(job, bracket, axes, onEye, bracket.reach + besideSeat(job, link, end)),
    ...(fastenedTo(job, link, end) === 'rail' ? wallTrials(job, bracket, axes, onEye) : []),
  ];
}

function tabTrials(job: Job, { metal: name, plate, width, edge, hole, bolt, planes }: Bracket): Trial[] {
  const metal = metalOf(job, name);
  const loads = tabLoads({ thickness: plate, width, edge, hole, bolt }, metal);
  const asks = (capacity: number) => (force: number) => ({ demand: Math.abs(force) / planes, capacity });
  const { ultimate: S_u, yield: S_y } = metal;
  const of = { metal: metal.name, t: plate, tabs: planes };
  const trial = (
    check: Trial['check'],
    fails: Trial['fails'],
    formula: string,
    capacity: number,
    inputs: Inputs,
  ): Trial => ({
    check,
    unit: 'N',
    fails,
    formula: `${formula}, of one tab`,
    source: `AISC 360 J3.10 and D2, from memory; ${sayStrength(metal)}`,
    asks: asks(capacity),
    inputs: () => ({ ...of, ...inputs }),
  });
  return [
    trial('tear-out', 'breaks', '1.2 · l_c · t · S_u', loads.tearOut, {
      l_c: edge - hole / 2,
      edge,
      hole,
      S_u,
    }),
    trial('bearing', 'bends', '2.4 · d · t · S_u', loads.bearing, { d: bolt, S_u }),
    trial('net-section', 'breaks', '(w − h) · t · S_u', loads.net, { w: width, h: hole, S_u }),
    trial('gross-section', 'bends', 'w · t · S_y', loads.gross, { w: width, S_y }),
  ];
}

/** A pair of plates, or one, as it stands on its root. */
const plates = ({ plate, depth, middle, spacer, boxed, planes }: Bracket) => ({
  thickness: planes === 2 ? plate : plate / 2,
  depth,
  apart: planes === 2 ? middle + 2 * spacer : 0,
  boxed: boxed && planes === 2,
});

/** @param reach from the foot of the plates to the eye, mm */
function rootTrials(
  job: Job,
  bracket: Bracket,
  axes: BracketAxes,
  onEye: (force: number) => Point,
  reach: number,
): Trial[] {
  const metal = metalOf(job, bracket.metal);
  const section = rootSection(plates(bracket));
  // Plates that go over something bend from where that ends.
  const arm = Math.max(0, reach - (bracket.over?.lap ?? 0));
  const sizes: Inputs = {
    metal: metal.name,
    t: bracket.plate,
    depth: bracket.depth,
    reach: arm,
    A: section.A,
    S_y: metal.welded,
  };
  const loads = (force: number) => rootLoads(bracedForce(job, bracket, axes, onEye(force)), axes, arm);
  const lines = bracket.over ? lapLines(bracket, bracket.over, axes) : weldLines(bracket, axes);
  const throat = throatOf(bracket.leg);
  const wire = ELECTRODES[bracket.electrode];
  const bending: Trial = {
    check: 'root-bending',
    unit: 'N/mm²',
    fails: metal.fails,
    formula: 'M / Z + N / A, M = P · reach, Z = 2 · t · depth² / 6',
    source: `a cantilever of two plates, ${SHIGLEY}; as welded, ${sayStrength(metal)}`,
    asks: (force) => {
      const { inPlane, pull } = loads(force);
      return { demand: inPlane / section.inPlane + Math.abs(pull) / section.A, capacity: metal.welded };
    },
    inputs: (force) => ({ ...sizes, M: loads(force).inPlane, N: loads(force).pull, Z: section.inPlane }),
  };
  const aside: Trial = {
    check: 'root-across',
    unit: 'N/mm²',
    fails: metal.fails,
    formula: bracket.boxed ? 'M / Z, of the box that the plates make' : 'M / Z, Z = 2 · depth · t² / 6',
    source: `a cantilever, ${SHIGLEY}; as welded, ${sayStrength(metal)}`,
    asks: (force) => ({ demand: loads(force).across / section.across, capacity: metal.welded }),
    inputs: (force) => ({ ...sizes, M: loads(force).across, Z: section.across }),
  };
  const weld: Trial = {
    check: 'weld',
    unit: 'N/mm²',
    fails: 'breaks',
    formula: 'greatest force on a millimetre of weld / (0.707 · leg · share welded), against 0.3 · F_EXX',
    source: 'AWS D1.1 and the elastic vector method, from memory',
    asks: (force) => {
      const eye = axes.out.map((v) => v * reach) as Point;
      const line = weldLineForce(lines, bracedForce(job, bracket, axes, onEye(force)), eye);
      return { demand: line / (throat * bracket.welded), capacity: allowedOnThroat(wire.ultimate) };
    },
    inputs: () => ({
      leg: bracket.leg,
      throat,
      share: bracket.welded,
      length: lines.reduce((sum, [a, b]) => sum + Math.hypot(...minus(b, a)), 0),
      F_EXX: wire.ultimate,
      reach,
    }),
  };
  return [
    bending,
    ...(loads(1).across > 1e-3 * arm ? [aside] : []),
    // What is bolted on has no weld; its bolts are said not to be reckoned.
    ...(bracket.bolted ? [] : weldsInTime(job, weld, bending)),
  ];
}

/** The weld of a bracket, and what comes and goes at it. */
const weldsInTime = (job: Job, weld: Trial, bending: Trial): Trial[] => [
  weld,
  inTime(job, 'fatigue-toe', 'toe', 'ΔM / Z + ΔN / A', bending),
  inTime(
    job,
    'fatigue-weld',
    'throat',
    'change of force on a millimetre of weld / (0.707 · leg · share welded)',
    weld,
  ),
];

/** Fillets down both faces of each plate and round its ends, mm, about the middle of the root. */
function weldLines(
  { plate, depth, middle, spacer, planes }: Bracket,
  { bolt, along }: BracketAxes,
): WeldLine[] {
  const stand = planes === 2 ? [-1, 1].map((s) => (s * (middle + 2 * spacer + plate)) / 2) : [0];
  const at = (across: number, down: number): Point =>
    bolt.map((v, k) => v * across + along[k]! * down) as Point;
  const [t, h] = [plate / 2, depth / 2];
  return stand.flatMap((b): WeldLine[] => [
    [at(b - t, -h), at(b - t, h)],
    [at(b + t, -h), at(b + t, h)],
    [at(b - t, -h), at(b + t, -h)],
    [at(b - t, h), at(b + t, h)],
  ]);
}

/** Fillets along the foot and both edges of each plate, on the face that laps what it goes over, mm, about the middle of its foot. */
function lapLines(
  { plate, depth, planes }: Bracket,
  { wide, lap }: OldBracket,
  { bolt, along, out }: BracketAxes,
): WeldLine[] {
  const at = (across: number, down: number, up: number): Point =>
    bolt.map((v, k) => v * across + along[k]! * down + out[k]! * up) as Point;
  const h = depth / 2;
  return (planes === 2 ? [-wide / 2, wide / 2] : [plate / 2]).flatMap((b): WeldLine[] => [
    [at(b, -h, 0), at(b, h, 0)],
    [at(b, -h, 0), at(b, -h, lap)],
    [at(b, h, 0), at(b, h, lap)],
  ]);
}

/** What is left of the force on an eye for the bracket's root, N, where a brace takes its share of what goes across the car. */
function bracedForce(job: Job, bracket: Bracket, axes: BracketAxes, force: Point): Point {
  const taken = takenByBrace(job, bracket, axes, force);
  return [force[0], force[1] - taken, force[2]];
}

/** What a brace takes, N, along the car's y, as if it met the bracket at the eye: its moment at the root is what it spares it. */
function takenByBrace(job: Job, bracket: Bracket, { along }: BracketAxes, force: Point): number {
  const { brace, reach } = bracket;
  const at = braceUp(bracket);
  if (!brace || at <= 0) return 0;
  const { E } = metalOf(job, bracket.metal);
  const EI = E * rootSection(plates(bracket)).inPlane * (bracket.depth / 2);
  const { A } = sectionValues({ shape: 'tube', od: brace.od, wall: brace.wall });
  const across = force[1] * Math.abs(along[1]);
  const prop = braceShare(across, reach, at, EI, (metalOf(job, 'dom').E * A) / brace.length);
  return (prop * at) / reach;
}

/** How far up its plates a brace meets a bracket, mm; none of one that holds what they go over. */
const braceUp = ({ brace, over, reach }: Bracket): number =>
  brace ? Math.min(brace.at - footOut(over), reach) : 0;

function wallTrials(job: Job, bracket: Bracket, axes: BracketAxes, onEye: (force: number) => Point): Trial[] {
  const { brace, reach, depth, backing } = bracket;
  const { thickness, apart } = plates(bracket);
  const on = { depth, apart: apart + thickness, thickness, along: Math.abs(axes.along[0]) > SLANTED };
  // What the bracket hangs under is bent over its width, what it stands beside over its height.
  const under = Math.abs(axes.out[2]) > Math.abs(axes.out[1]);
  const wall = { span: sizeOf(job, under ? 'railWidth' : 'railHeight'), thickness: bracket.wall + backing };
  const metal = metalOf(job, 'plate');
  const moment = (force: number) =>
    rootLoads(bracedForce(job, bracket, axes, onEye(force)), axes, reach).inPlane;
  const wallTrial: Trial = {
    check: 'rail-wall',
    unit: 'N/mm²',
    fails: 'bends',
    formula: on.along
      ? '6 · R / 2 · a · (1 − a / b) / (strip · wall²), R = M / depth, a = (b − apart) / 2'
      : '6 · R · a · (L − a) · (2 · L − a) / (2 · L²) / (strip · wall²), R = M / depth, L = b / 2, a = (b − depth) / 2',
    source: `a strip held at both edges, Roark’s, from memory; ${sayStrength(metal)}`,
    asks: (force) => ({ demand: wallBending(moment(force), on, wall), capacity: metal.yield }),
    inputs: (force) => ({
      M: moment(force),
      depth,
      apart: on.apart,
      b: wall.span,
      strip: (on.along ? depth / 3 : on.apart + thickness) + wall.span,
      wall: wall.thickness,
      S_y: metal.yield,
    }),
  };
  // What an old bracket stands on its rail with is not known.
  const wallOf = bracket.over ? [] : [wallTrial];
  const up = braceUp(bracket);
  if (!brace || up <= 0) return wallOf;
  const section = { shape: 'tube', od: brace.od, wall: brace.wall } as const;
  const tube = metalOf(job, 'dom');
  const column = columnOf(section, brace.length, tube);
  const strut: Trial = {
    check: 'brace',
    unit: 'N',
    fails: 'buckles',
    formula: 'what props the bracket, against the brace as a column',
    source: `a cantilever with a spring prop, Roark’s; ${column.by}, from memory; ${sayStrength(tube)}`,
    asks: (force) => ({
      demand: (Math.abs(takenByBrace(job, bracket, axes, onEye(force))) * reach) / up,
      capacity: column.load,
    }),
    inputs: () => ({ ...section, L: brace.length, λ: column.slenderness, S_y: tube.yield }),
  };
  return [...wallOf, strut];
}
