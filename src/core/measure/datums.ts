/**
 * What the axle is measured from. None is perfect: the order is how far each is usually to be trusted, best first (common
 * practice, no published source). `way` is where it stands from the rear axle: 1 ahead, -1 behind.
 */
type DatumFacts = { name: string; short: string; pair: string; trust: string; way: 1 | -1; standIn: number };

export const DATUMS = {
  cab: {
    name: 'Back of the cab',
    short: 'cab back',
    pair: 'the two corners of the cab back',
    trust: 'Wide and stamped in one jig: good, once the cab is square on its mounts.',
    way: 1,
    standIn: 1016,
  },
  body: {
    name: 'Body sill',
    short: 'body sill',
    pair: 'the two points on the sills',
    trust: 'Good where panels are original; a replaced sill is anywhere.',
    way: 1,
    standIn: 914.4,
  },
  edge: {
    name: 'Rear end of the frame rails',
    short: 'rail ends',
    pair: 'the two rail ends',
    trust: 'Cut ends differ by what the saw left: check one against the other.',
    way: -1,
    standIn: 965.2,
  },
  holes: {
    name: 'Frame holes',
    short: 'frame holes',
    pair: 'the two frame holes',
    trust: 'Quick, and often off: punched by hand, or moved by an old repair.',
    way: 1,
    standIn: 762,
  },
} as const satisfies Record<string, DatumFacts>;

export type Datum = keyof typeof DATUMS;
export const DATUM_NAMES = Object.keys(DATUMS) as [Datum, ...Datum[]];
