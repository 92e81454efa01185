import type { Side } from '@/core/geometry/side';
import type { MountKey } from '@/core/rig/members/kind';

/** Ids, among what is in the way, of what the car itself has there: it follows from readings and sizes, and is drawn by nobody. */
export const COVER = 'differential cover';
export const TUBE = 'axle tube';
export const CENTRE = 'centre section';
export const NOSE = 'pinion nose';
export const TIE_ROD = 'tie-rod';
export const brakeId = (side: Side): string => `brake-${side}`;
export const stopId = (side: Side): string => `bump-stop-${side}`;
export const bracketId = (member: string, end: MountKey): string => `bracket:${member}/${end}`;

/** @param stretch of a bent one, counted from the left rail */
export const crossmemberId = (name: string, stretch: number): string =>
  `crossmember:${name}${stretch > 0 ? `/${stretch + 1}` : ''}`;

/** The parts of the axle that are drawn round it. */
export const HOUSING: readonly string[] = [COVER, CENTRE, NOSE, brakeId('left'), brakeId('right'), TIE_ROD];

/** Whether an id is one of the car's own bodies, and so not free for what the builder draws. */
export const isCarsOwn = (id: string): boolean =>
  HOUSING.includes(id) || id === TUBE || /^bump-stop-(left|right)$|^(bracket|crossmember):/.test(id);
