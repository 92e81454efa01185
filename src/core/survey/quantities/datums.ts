import type { AxleEnd } from '@/core/rig/schema';

/**
 * What the axle is measured from. None is perfect: the order is how far each is usually to be trusted, best first (common
 * practice, no published source). `towards` is where it stands from the axle: 1 towards the middle of the car, -1 away from it.
 */
type DatumFacts = {
  name: string;
  short: string;
  pair: string;
  trust: string;
  towards: 1 | -1;
  standIn: number;
};

export const DATUMS = {
  cab: {
    name: 'Back of the cab',
    short: 'cab back',
    pair: 'the two corners of the cab back',
    trust: 'Wide and stamped in one jig: good, once the cab is square on its mounts.',
    towards: 1,
    standIn: 1016,
  },
  body: {
    name: 'Body sill',
    short: 'body sill',
    pair: 'the two points on the sills',
    trust: 'Good where panels are original; a replaced sill is anywhere.',
    towards: 1,
    standIn: 914.4,
  },
  edge: {
    name: 'end of the frame rails',
    short: 'rail ends',
    pair: 'the two rail ends',
    trust: 'Cut ends differ by what the saw left: check one against the other.',
    towards: -1,
    standIn: 965.2,
  },
  holes: {
    name: 'Frame holes',
    short: 'frame holes',
    pair: 'the two frame holes',
    trust: 'Quick, and often off: punched by hand, or moved by an old repair.',
    towards: 1,
    standIn: 762,
  },
} as const satisfies Record<string, DatumFacts>;

export type Datum = keyof typeof DATUMS;
/** Where a datum stands from the axle along the car: 1 ahead, -1 behind. The middle of the car is ahead of a rear axle and behind a front one. */
export const wayOf = (datum: Datum, end: AxleEnd): 1 | -1 =>
  end === 'rear' ? DATUMS[datum].towards : (-DATUMS[datum].towards as 1 | -1);

/** What a datum is called, of the axle that is built: its rails end behind a rear axle and ahead of a front one. */
export const datumName = (datum: Datum, end: AxleEnd): string =>
  datum === 'edge' ? `${end === 'rear' ? 'Rear' : 'Front'} ${DATUMS.edge.name}` : DATUMS[datum].name;

export const DATUM_NAMES = Object.keys(DATUMS) as [Datum, ...Datum[]];
