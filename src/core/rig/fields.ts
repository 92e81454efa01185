import * as z from 'zod/mini';

/** The farthest that anything of a car is from its axle, mm: no car is longer, and a slipped decimal point is caught here. */
const FARTHEST = 20_000;

/** A number between two, both counted in. */
export const within = (least: number, most: number) => z.number().check(z.minimum(least), z.maximum(most));

/** What the keys of a rig file are made of: mm, N/mm, names. */
export const coordinate = within(-FARTHEST, FARTHEST);
export const point = z.tuple([coordinate, coordinate, coordinate]);
export const vector = z.tuple([z.number(), z.number(), z.number()]);
export const length = z.number().check(z.positive(), z.maximum(FARTHEST));
export const positive = z.number().check(z.positive());
/** What is made of something is kept under its id: names that every JavaScript object has would be found there unasked. */
export const id = z.string().check(
  z.minLength(1),
  z.maxLength(60),
  z.refine((name) => !(name in Object.prototype), 'another name: programs keep this one for themselves'),
);
