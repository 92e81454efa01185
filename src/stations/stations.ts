import { lazy, type ComponentType } from 'react';
import { STATIONS, type StationId } from '@/core/bench/stationIds';

type Opened = { default: ComponentType };

/** Each station is loaded when it is first opened. A new one is a folder with its card, and a line here. */
const OPEN: Record<StationId, { name: string; card: () => Promise<Opened> }> = {
  job: { name: 'Job', card: async () => ({ default: (await import('./job/JobCard')).JobCard }) },
  record: {
    name: 'Record',
    card: async () => ({ default: (await import('./record/RecordCard')).RecordCard }),
  },
  place: { name: 'Place', card: async () => ({ default: (await import('./place/PlaceCard')).PlaceCard }) },
  locate: {
    name: 'Locate',
    card: async () => ({ default: (await import('./locate/LocateCard')).LocateCard }),
  },
  roll: { name: 'Roll', card: async () => ({ default: (await import('./roll/RollCard')).RollCard }) },
  prove: { name: 'Prove', card: async () => ({ default: (await import('./prove/ProveCard')).ProveCard }) },
  cut: { name: 'Cut', card: async () => ({ default: (await import('./cut/CutCard')).CutCard }) },
  weld: { name: 'Weld', card: async () => ({ default: (await import('./weld/WeldCard')).WeldCard }) },
  ride: { name: 'Ride', card: async () => ({ default: (await import('./ride/RideCard')).RideCard }) },
  drive: { name: 'Drive', card: async () => ({ default: (await import('./drive/DriveCard')).DriveCard }) },
};

export type Station = { id: StationId; name: string; Card: ComponentType };

export const stations: Station[] = STATIONS.map((id) => ({
  id,
  name: OPEN[id].name,
  Card: lazy(OPEN[id].card),
}));

/** Fetches the stations that were not opened yet, so that they are there when the server is not. */
export const fetchStations = (): void => STATIONS.forEach((id) => void OPEN[id].card());
