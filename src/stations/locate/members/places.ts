import type { Ways } from '@/core/units/ways';

/** How a builder says where a point is: which coordinate, its sign, and the words for its two ways. */
export type Coordinate = {
  axis: 0 | 1 | 2;
  name: string;
  ways?: Ways;
  sign: 1 | -1;
  least: number;
  most: number;
};
export const COORDINATES: Coordinate[] = [
  { axis: 1, name: 'from centreline', ways: ['left', 'right'], sign: 1, least: -1200, most: 1200 },
  { axis: 2, name: 'off the floor', sign: 1, least: 20, most: 1500 },
  { axis: 0, name: 'from the axle', ways: ['behind', 'ahead'], sign: -1, least: -2500, most: 2500 },
];
