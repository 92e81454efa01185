import type { LayoutId } from './layouts';
import { PANHARD, partnerOf } from './roles';
import type { AxleEnd } from './schema';

/** What each layout is called and, in a line, what it is good for and what it costs. */
export const LAYOUT_NAMES: Record<LayoutId, [name: string, what: string]> = {
  'three-link-panhard': [
    'Three links + panhard',
    'Nothing binds; every result can be set by itself. One upper takes the whole torque.',
  ],
  'three-link-watts': [
    'Three links + crank',
    'The axle moves straight up and down. More joints, and room behind the differential.',
  ],
  'triangulated-four-link': [
    'Triangulated four link',
    'No bar across the car. Roll centre and anti-squat hang together.',
  ],
  'parallel-four-link-panhard': [
    'Parallel four link + panhard',
    'The pinion keeps its angle. In roll the links fight unless they are alike.',
  ],
  'diagonal-track-bar': [
    'Parallel four link + diagonal bar',
    'Where nothing clears behind the axle. For small travel.',
  ],
  'torque-arm-panhard': [
    'Torque arm + panhard',
    'A long arm takes the torque: even anti-squat, quiet. Needs room along the shaft.',
  ],
  'ladder-bars-panhard': [
    'Ladder bars + panhard',
    'Strong and simple for the strip. Twists the axle in roll.',
  ],
  'ladder-bars-diagonal': ['Ladder bars + diagonal', 'The same with the sideways bar between the ladders.'],
  'truck-arms-panhard': [
    'Truck arms + panhard',
    'Long arms to the middle of the car: the twist is small, the ride soft.',
  ],
  'leaf-panhard': [
    'Leaf springs + panhard',
    'The bar takes the sideways load off the leaves; it must not fight their arc.',
  ],
  'leaf-alone': [
    'Leaf springs alone',
    'Nothing to make; the springs hold the axle sideways as well, and give under side load.',
  ],
  'front-four-link': [
    'Front: four link + track bar',
    'Track bar and drag link must be alike, or bumps steer it.',
  ],
  'front-radius-arms': [
    'Front: radius arms + track bar',
    'Two arms rigid to the axle hold the caster. They twist it in roll.',
  ],
  'front-leaf': [
    'Front: leaf springs',
    'Two springs hold the axle, its caster by the perches. The drag link must swing as they do.',
  ],
};

/** The bar across the car, as the trade calls it at either end. */
const BAR_ACROSS: Record<AxleEnd, string> = { rear: 'panhard bar', front: 'track bar' };

const MEMBER_NAMES: Record<string, string> = {
  upper: 'upper link',
  'torque-arm': 'torque arm',
  watts: 'crank',
  'sway-bar': 'sway bar',
  steering: 'drag link',
  'drag-link': 'drag link',
  driveshaft: 'driveshaft',
  'tie-rod': 'tie rod',
};

/** A bracket by what it holds: `bracket:panhard/chassis` is the panhard bar’s frame bracket. */
const BRACKET = /^bracket:(.*)\/(.*)$/;
/** A crossmember by the name it was given, whichever stretch of it is meant. */
const CROSSMEMBER = /^crossmember:([^/]*)(?:\/\d+)?$/;
const BRACKET_ENDS: Record<string, string> = {
  chassis: 'frame bracket',
  axle: 'axle bracket',
  frontEye: 'front hanger',
  rearEye: 'rear hanger',
  pivot: 'pivot’s bracket',
  'ends.top': 'upper rod’s bracket',
  'ends.bottom': 'lower rod’s bracket',
};

/** A member by the words of the trade: `lower-left` is the left lower link; `panhard` of a front axle is its track bar. */
export function memberName(id: string, end: AxleEnd): string {
  if (id === PANHARD) return BAR_ACROSS[end];
  const known = MEMBER_NAMES[id];
  if (known) return known;
  const [, held, mount] = BRACKET.exec(id) ?? [];
  if (held) return `${memberName(held, end)}’s ${BRACKET_ENDS[mount!] ?? 'bracket'}`;
  const [, crossmember] = CROSSMEMBER.exec(id) ?? [];
  if (crossmember) return crossmember;
  const [, stem, side] = /^(.*)-(left|right)$/.exec(id) ?? [];
  if (!stem) return id;
  const whole: Record<string, string> = {
    lower: 'lower link',
    upper: 'upper link',
    ladder: 'ladder bar',
    'truck-arm': 'truck arm',
    'radius-arm': 'radius arm',
    leaf: 'leaf spring',
    tire: 'tyre',
    brake: 'brake',
    'bump-stop': 'bump stop',
  };
  return `${side} ${whole[stem] ?? stem}`;
}

/** Members by one name, `lower links` of a pair; null where they are not one member or a pair. */
export function groupName(ids: string[], end: AxleEnd = 'rear'): string | null {
  const [one, other] = ids;
  if (ids.length === 1) return memberName(one!, end);
  if (ids.length !== 2 || partnerOf(one!) !== other) return null;
  return `${memberName(one!, end).replace(/^(left|right) /, '')}s`;
}

/** Words as they begin a sentence. */
export const capital = (words: string): string => `${words[0]!.toUpperCase()}${words.slice(1)}`;
