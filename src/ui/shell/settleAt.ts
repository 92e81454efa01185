import type { Settle } from '@/core/provenance/inputs';
import type { StationId } from '@/core/bench/stationIds';
import { setPreferences, type LocatePart, type RecordPart } from '@/store/preferences';
import type { RollPart } from '@/core/roll/analyse';
import { goTo } from './route';

/** Opens the place where something is read, typed or said: the station, and which part of it. */
export function settleAt(
  jobId: string,
  { station, part, reading }: Omit<Settle, 'station'> & { station: StationId },
): void {
  if (station === 'record')
    setPreferences({ record: part as RecordPart, ...(reading && { readingAt: reading }) });
  if (station === 'locate') setPreferences({ focus: part as LocatePart });
  if (station === 'roll') setPreferences({ roll: part as RollPart });
  if (station === 'prove' && part) setPreferences({ prove: part });
  goTo(jobId, station);
}
