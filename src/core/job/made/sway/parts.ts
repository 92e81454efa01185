/** What a sway bar pulls at, by its part. */
export const SWAY_PARTS = {
  'sway-bar/link': 'sway bar’s end links',
  'sway-bar/strap': 'sway bar’s straps',
  'sway-bar/angle': 'angles under the sway bar’s straps',
  'sway-bar/ear': 'ears of the spring plates',
} as const;
export type SwayPart = keyof typeof SWAY_PARTS;

export const isOfSwayBar = (part: string): part is SwayPart => Object.hasOwn(SWAY_PARTS, part);
