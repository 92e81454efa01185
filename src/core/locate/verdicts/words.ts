import { FAR_OFF } from '@/core/locate/travel/instantCentre';
import type { SideCentre } from '@/core/locate/types';
import type { Travel } from '@/core/rig/schema';
import { sayLength } from '@/core/units/length';
import type { Tape } from '@/core/units/tape';

/** Where in its travel an axle stands, as a builder says it. */
export function sayTravel(
  { left, right }: Travel,
  { bump, droop }: { bump: number; droop: number },
  tape: Tape,
): string {
  if (Math.abs(left - right) > 1) return `with the ${left > right ? 'left' : 'right'} wheel up`;
  if (Math.abs(left) < 2) return 'at ride height';
  if (left > bump - 1) return 'at full bump';
  if (left < 1 - droop) return 'at full droop';
  return `${sayLength(Math.abs(left), tape)} ${left > 0 ? 'up' : 'down'} from ride height`;
}

/** To which side the front wheels are steered there, where they are. */
export const sayLock = ({ lockDeg }: { lockDeg?: number }): string =>
  lockDeg === undefined ? '' : `, steered full ${lockDeg > 0 ? 'left' : 'right'}`;

/** As finely as a crossing of lines far off is worth saying, mm. */
const TO = { inches: 25.4, mm: 10 };

/**
 * Where the lines of the members meet, seen from the side, along and up: `46 in ahead`, `12 in up`. Where they run as good as parallel
 * there is no up.
 */
export function sayInstantCentre(centre: SideCentre, tape: Tape): string[] {
  if (!centre) return ['at infinity: parallel'];
  const to = tape === 'mm' ? TO.mm : TO.inches;
  const say = (mm: number) => sayLength(Math.round(Math.abs(mm) / to) * to, tape);
  const [x, z] = centre;
  const way = x > 0 ? 'ahead' : 'behind';
  if (Math.abs(x) > FAR_OFF) return [`over ${say(FAR_OFF)} ${way}: as good as parallel`];
  return [`${say(x)} ${way}`, `${say(z)} ${z < 0 ? 'below the floor' : 'up'}`];
}
