import { create } from 'zustand';
import type { StationId } from '@/core/bench/stationIds';
import { builtJob } from '@/core/built/builtEyes';
import type { Job } from '@/core/job/jobSchema';
import { say } from './notices';

/** Stations whose results can be read for the car as it was built as well as for it as it is drawn. */
const READ_AT: readonly StationId[] = ['locate', 'roll', 'prove', 'cut'];

/** Which of the two the builder reads, at which station the bench is, and how often a change was refused for it. */
export const useReading = create<{ asBuilt: boolean; station: StationId | null; refused: number }>()(() => ({
  asBuilt: false,
  station: null,
  refused: 0,
}));

type Reading = ReturnType<typeof useReading.getState>;

/** Whether both can be read at a station. */
export const canReadBuilt = (station: StationId): boolean => READ_AT.includes(station);

/** Whether what is on the screen is the car as it was built. */
export const isReadAsBuilt = ({ asBuilt, station }: Reading = useReading.getState()): boolean =>
  asBuilt && station !== null && canReadBuilt(station);

/** A job as it is read: as it is drawn, or with its eyes where they came out. */
export const jobRead = (job: Job, asBuilt = isReadAsBuilt()): Job => (asBuilt ? (builtJob(job) ?? job) : job);

/** What was built cannot be changed by drawing: said, and counted, so that what was typed is not lost. */
export function refuseAsBuilt(): void {
  useReading.setState(({ refused }) => ({ refused: refused + 1 }));
  say({
    kind: 'info',
    key: 'as-built',
    title: 'Not changed: the car is read as it was built.',
    description: 'Go back to “As drawn” at the head of the card, and change it there.',
    action: { label: 'As drawn', act: () => useReading.setState({ asBuilt: false }) },
  });
}
