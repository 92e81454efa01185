import type { ComponentType } from 'react';
import { STATIONS, type StationId } from '@/core/bench/stations';
import { CutCard } from './cut/CutCard';
import { JobCard } from './job/JobCard';
import { LocateCard } from './locate/LocateCard';
import { PlaceCard } from './place/PlaceCard';
import { RecordCard } from './record/RecordCard';
import { RideCard } from './ride/RideCard';
import { RollCard } from './roll/RollCard';
import { WeldCard } from './weld/WeldCard';

export type Station = { id: StationId; name: string; card: ComponentType };

const CARDS: Record<StationId, Omit<Station, 'id'>> = {
  job: { name: 'Job', card: JobCard },
  record: { name: 'Record', card: RecordCard },
  place: { name: 'Place', card: PlaceCard },
  locate: { name: 'Locate', card: LocateCard },
  roll: { name: 'Roll', card: RollCard },
  cut: { name: 'Cut', card: CutCard },
  weld: { name: 'Weld', card: WeldCard },
  ride: { name: 'Ride', card: RideCard },
};

export const stations: Station[] = STATIONS.map((id) => ({ id, ...CARDS[id] }));
