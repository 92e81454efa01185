/** What Record asks for, in the order it is measured. All mm. */
export type Quantity = {
  key: string;
  label: string;
  /** how to take it, in one line */
  how: string;
  /** measured on each side of the car */
  sided: boolean;
  /** readings outside this are taken for slips, mm */
  least: number;
  most: number;
  /** the drawing uses this until something is measured, mm */
  standIn: number;
};

export const SIDES = ['left', 'right'] as const;
export type Side = (typeof SIDES)[number];

export const QUANTITIES = [
  {
    key: 'tireRadius',
    label: 'Loaded tyre radius',
    how: 'Floor to the middle of the hub, car on its weight, pressures set.',
    sided: true,
    least: 150,
    most: 700,
    standIn: 330.2,
  },
  {
    key: 'tireWidth',
    label: 'Tyre width',
    how: 'Sidewall to sidewall, away from the bulge at the floor.',
    sided: false,
    least: 90,
    most: 600,
    standIn: 228.6,
  },
  {
    key: 'track',
    label: 'Track',
    how: 'Tread centre to tread centre, along the floor.',
    sided: false,
    least: 700,
    most: 2600,
    standIn: 1447.8,
  },
  {
    key: 'wheelbase',
    label: 'Wheelbase',
    how: 'Front hub centre to rear hub centre, wheels straight ahead.',
    sided: true,
    least: 1200,
    most: 6500,
    standIn: 2844.8,
  },
  {
    key: 'rideHeight',
    label: 'Ride height',
    how: 'Floor to the underside of the frame rail, straight above the axle.',
    sided: true,
    least: 50,
    most: 1200,
    standIn: 431.8,
  },
  {
    key: 'gapFrame',
    label: 'Tyre to frame',
    how: 'Sidewall to the outside of the frame rail, square across, level with the hub.',
    sided: true,
    least: 0,
    most: 700,
    standIn: 127,
  },
  {
    key: 'tubeDiameter',
    label: 'Axle tube diameter',
    how: 'Calipers, or a tape round the tube divided by 3.14.',
    sided: false,
    least: 30,
    most: 250,
    standIn: 76.2,
  },
  {
    key: 'cover',
    label: 'Differential, centre to cover',
    how: 'Middle of the axle tube back to the farthest face of the cover.',
    sided: false,
    least: 60,
    most: 400,
    standIn: 165.1,
  },
  {
    key: 'bump',
    label: 'Travel up to the stop',
    how: 'Axle to bump stop, car on its weight.',
    sided: false,
    least: 6,
    most: 500,
    standIn: 76.2,
  },
  {
    key: 'droop',
    label: 'Travel down',
    how: 'How far the axle drops from ride height before strap or shock stops it.',
    sided: false,
    least: 6,
    most: 500,
    standIn: 76.2,
  },
] as const satisfies Quantity[];

export type QuantityKey = (typeof QUANTITIES)[number]['key'];

/** Where readings of a quantity are kept: `track`, or `tireRadius.left`. */
export const readingKey = (key: QuantityKey, side?: Side): string => (side ? `${key}.${side}` : key);

export const READING_KEYS: string[] = QUANTITIES.flatMap((q) =>
  q.sided ? SIDES.map((side) => readingKey(q.key, side)) : [readingKey(q.key)],
);

export function quantity(key: QuantityKey): Quantity {
  return QUANTITIES.find((q) => q.key === key)!;
}
