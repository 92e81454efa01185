import * as z from 'zod';

/** The farthest that anything of a car is from its axle, mm: no car is longer, and a slipped decimal point is caught here. */
const FARTHEST = 20_000;

/** What the keys of a rig file are made of: mm, N/mm, names. */
export const coordinate = z.number().min(-FARTHEST).max(FARTHEST);
export const point = z.tuple([coordinate, coordinate, coordinate]);
export const vector = z.tuple([z.number(), z.number(), z.number()]);
export const length = z.number().positive().max(FARTHEST);
export const positive = z.number().positive();
export const id = z.string().min(1).max(60);
