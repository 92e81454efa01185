import { hole, ring, type Drawing } from '@/core/fabricate/drawing';

/** A collar, mm: a ring with its hole for a sleeve, its middle at 0. */
export const collarDrawing = (od: number, inside: number): Drawing => ({
  paths: [ring('CUT', [0, 0], od / 2), ...hole([0, 0], inside)],
  words: [],
});
