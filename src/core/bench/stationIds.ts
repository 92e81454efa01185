/** The stations that exist, in the order of the work. */
export const STATIONS = [
  'job',
  'record',
  'place',
  'locate',
  'roll',
  'prove',
  'cut',
  'weld',
  'ride',
  'drive',
] as const;
export type StationId = (typeof STATIONS)[number];
