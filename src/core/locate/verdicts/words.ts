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
