import { cross, least, mean } from 'd3';
import { between, distance, type Point } from '@/core/geometry/vector';
import { crossmemberIn } from '@/core/job/made/crossmember';
import { isOfSwayBar } from '@/core/job/made/sway/parts';
import { DRIVESHAFT, STEERING } from '@/core/rig/mounts';
import { PANHARD } from '@/core/rig/roles';
import { placeOf, type Judged } from '@/core/verdict/verdict';
import type { ViewName } from '@/store/viewport';
import type { BayModel } from './bayModel';

/** Where a verdict is about in the car as it is drawn, mm, and in which view it is seen best; null where it has no place there. */
export type FlagPlace = { point: Point; view: ViewName };

export function flagPlace(model: BayModel, verdict: Pick<Judged, 'id' | 'where'>): FlagPlace | null {
  const point = pointOf(model, verdict);
  return point && { point, view: viewOf(model, verdict.id, point) };
}

const SIDE = [
  'anti-squat',
  'pinion',
  'caster',
  'shaft-angles',
  'shaft-travel',
  'slip',
  'slip-in',
  'slip-out',
];
const PLAN = ['roll-steer', 'plan', 'leaf-give', 'bump-steer', 'placedSquare', 'square', 'placedDiagonals'];

/** What happens well ahead of the wheels or behind them is not seen from behind the car. */
function viewOf({ tireRadius }: BayModel, id: string, [x]: Point): ViewName {
  if (SIDE.includes(id)) return 'side';
  if (PLAN.includes(id)) return 'plan';
  return Math.abs(x) > tireRadius ? 'side' : 'rear';
}

function pointOf(model: BayModel, verdict: Pick<Judged, 'id' | 'where'>): Point | null {
  const place = placeOf(verdict);
  const [a, b] = place.split(' / ');
  if (b !== undefined) return nearest(model, a!, b);
  const [member, end] = place.split('/');
  const own = end === undefined ? middleOf(model, member!) : eyeOf(model, member!, end);
  return (
    BY_ID[verdict.id]?.(model) ??
    own ??
    ofSwayBar(model, place) ??
    ofCrossmember(model, place) ??
    inRoll(model, verdict.id)
  );
}

/** The middle of a crossmember: of a round one, of its middle stretch. */
function ofCrossmember({ crossmembers }: BayModel, place: string): Point | null {
  const of = crossmembers.find(({ id }) => id === crossmemberIn(place));
  if (!of) return null;
  const half = of.points.length / 2;
  return middle(of.od === null ? of.points : of.points.slice(half - 1, half + 1));
}

/** Where the sway bar pulls at a part: its straps about where it turns, its links and what they stand on; each at the left. */
function ofSwayBar({ now: { roll } }: BayModel, place: string): Point | null {
  if (!isOfSwayBar(place)) return null;
  const [link] = roll.links;
  if (place === 'sway-bar/link') return middle(link?.line ?? []);
  if (place === 'sway-bar/ear') return link?.line.at(-1) ?? null;
  return roll.bar?.line[1] ?? null;
}

const eyeOf = ({ now }: BayModel, member: string, end: string): Point | null =>
  now.mounts.find((m) => m.member === member && m.key === end)?.now ?? null;

const middle = (points: Point[]): Point | null =>
  points.length ? ([0, 1, 2].map((axis) => mean(points, (p) => p[axis])!) as Point) : null;

/** Half way along what is drawn of a part. */
const middleOf = (model: BayModel, id: string): Point | null => middle(linesOf(model, id)[0] ?? []);

/** Where two bodies come nearest as they are drawn; where one of them is not drawn, the middle of the other. */
function nearest(model: BayModel, a: string, b: string): Point | null {
  const [one, other] = [a, b].map((id) => linesOf(model, id).flatMap(along));
  const pair = least(cross(one!, other!), ([p, q]) => distance(p, q));
  return pair ? between(...pair, 0.5) : (middleOf(model, a) ?? middleOf(model, b));
}

/** How many places of a stretch are held against those of the other body. */
const PLACES = 8;

/** Points along a line of points. */
const along = (line: Point[]): Point[] => [
  line[0]!,
  ...line
    .slice(1)
    .flatMap((to, i) => Array.from({ length: PLACES }, (_, k) => between(line[i]!, to, (k + 1) / PLACES))),
];

/** What is drawn of a body, as lines: a member, the shaft, something in the way, a wheel, or a part of springs and bar. */
function linesOf({ now, bodies }: BayModel, id: string): Point[][] {
  const bar = now.bars.find((one) => one.id === id);
  if (bar) return [bar.path];
  const shape = now.shapes.find((one) => one.id === id);
  if (shape) return shape.lines;
  if (id === DRIVESHAFT && now.shaft) return [[now.shaft.front, now.shaft.rear]];
  if ((id === STEERING || id === 'drag link') && now.dragLink) return [now.dragLink];
  if (bodies[id]) return [bodies[id]];
  if (id === 'axle') return [[now.centre]];
  const [, what, side] = /^(tire|spring|shock)-(left|right)$/.exec(id) ?? [];
  const i = side === 'right' ? 1 : 0;
  if (what === 'tire') return [[now.wheels[i ? 'right' : 'left']]];
  if (what === 'spring' && now.roll.springs[i]) return [now.roll.springs[i].line];
  if (what === 'shock' && now.roll.shocks[i]) return [now.roll.shocks[i]];
  const [, owner, end] = /^bracket:(.*)\/(.*)$/.exec(id) ?? [];
  const eye = now.mounts.find((m) => m.member === owner && m.key === end);
  return eye ? [[eye.now]] : [];
}

/** Verdicts that are about one place of the car, whatever part they name. */
const BY_ID: Record<string, (model: BayModel) => Point | null> = {
  pinion: (model) => eyeOf(model, DRIVESHAFT, 'pinion') ?? model.now.centre,
  caster: ({ now }) => now.wheels.left,
  'roll-steer': ({ now }) => now.wheels.left,
  square: ({ now }) => now.wheels.left,
  placedSquare: ({ now }) => now.wheels.left,
  'anti-squat': (model) =>
    middleOf(model, model.now.bars.find(({ id }) => id.startsWith('upper'))?.id ?? '') ?? model.now.centre,
  level: (model) => eyeOf(model, PANHARD, 'chassis'),
  'leaf-give': ({ now }) => middle(now.shapes.find(({ kind }) => kind === 'leaf')?.lines[0] ?? []),
  offset: ({ now }) => now.centre,
  'yoke-way': (model) => eyeOf(model, DRIVESHAFT, 'transmission'),
  'thread-frame': (model) => eyeOf(model, PANHARD, 'chassis'),
  'thread-axle': (model) => eyeOf(model, PANHARD, 'axle'),
  floor: ({ track }) => [0, track / 2, 0],
  frameLevel: ({ rails }) => [0, rails[0]!.outside, rails[0]!.underside],
  'bump-room': ({ rails, now }) => [0, rails[0]!.outside, (rails[0]!.underside + now.centre[2]) / 2],
};

/** What is said of springs, shocks, stops, the sway bar and its links, each at the left one; of the car in roll, at its roll centre. */
function inRoll({ now, rollCentre }: BayModel, id: string): Point | null {
  const { springs, shocks, stops, links, bar } = now.roll;
  if (/^(spring|coilBind|frequency|stands|airPressure)/.test(id)) return middle(springs[0]?.line ?? []);
  if (id.startsWith('shock')) return middle(shocks[0] ?? springs[0]?.line ?? []);
  if (/^(stop|hardBump|cornerTravel)/.test(id)) return middle(stops[0]?.line ?? springs[0]?.line ?? []);
  const side = id.includes('right') ? 1 : 0;
  if (/^barRoom bar .*spring/.test(id)) return middle(springs[side]?.line ?? []);
  if (/^(link|stow|barRoom end link)/.test(id)) return middle(links[side]?.line ?? []);
  if (id.startsWith('bar') && bar) return bar.line[Math.floor(bar.line.length / 2)]!;
  return IN_ROLL.test(id) && rollCentre ? [0, 0, rollCentre.height] : null;
}
const IN_ROLL = /^(rollAngle|balance|barNeeded|cannotHold|goesOver|launch|inside|bindRoll)/;
