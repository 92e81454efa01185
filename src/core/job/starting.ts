import { MM_PER_INCH } from '@/core/units/tape';
import type { Job } from './schema';

/** How a car is measured until the builder says otherwise: marks from a square, from the holes and the back of the cab. */
export const startingRecord = (): Job['record'] => ({
  method: 't-square',
  measuring: ['cab', 'holes'],
  datum: 'cab',
  scales: false,
  inspection: {},
  parts: [],
});

export const startingPlace = (): Job['place'] => ({
  school: 'driving',
  parkedDrop: 0,
  held: {},
  measured: {},
});

export const startingRide = (): Job['ride'] => ({
  tolerance: MM_PER_INCH / 16,
  gaps: {},
  fender: {},
  believe: 'frame',
  settled: [],
  adjusters: {},
  read: {},
  wanted: {},
  rounds: [],
});

/** Nothing is told of springs and bars yet. */
export const startingRoll = (): Job['roll'] => ({
  springs: null,
  shock: null,
  stop: null,
  bar: null,
  otherBar: 0,
  school: null,
});
