import { PANHARD } from '@/core/rig/roles';
import { spotAt, spotName } from '@/core/survey/quantities/quantities';

/** What the slices of a job file are called where they stand on the screen. */
const SLICES: Record<string, string> = {
  rig: 'Axle',
  laidOut: 'Axle',
  placed: 'Axle',
  readings: 'Record',
  joints: 'Locate, joints',
  holes: 'Locate, holes',
  shaft: 'Locate, driveshaft',
  cornerG: 'Locate, corner',
  choose: 'Locate, ways',
};

/**
 * A place in a job file as a builder would name it, from its keys: `Axle, bar across chassis`, `Record, track`.
 *
 * @param path keys of objects and lists, from the outside in
 */
export function sayPlace(path: readonly string[]): string {
  const [slice = 'job', ...rest] = path;
  const first = SLICES[slice] ?? inWords(slice);
  const spot = slice === 'readings' ? spotAt(rest[0] ?? '') : null;
  const inner = spot
    ? spotName(spot)
    : rest
        .filter((k) => !NOISE.has(k))
        .map(inWords)
        .join(' ');
  return [first[0]!.toUpperCase() + first.slice(1), inner].filter(Boolean).join(', ');
}

/** Keys that say nothing to a builder. */
const NOISE = new Set(['members', 'value', 'typed', 'at']);

/** `unsprungHeightFront` → `unsprung height front`. */
const inWords = (key: string): string =>
  key === PANHARD ? 'bar across' : key.replace(/([a-z])([A-Z])/g, '$1 $2').toLowerCase();
