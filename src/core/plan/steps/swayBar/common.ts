import { railHolesOf } from '@/core/job/made/sway/sleeve';
import type { Basis } from '@/core/job/stripes';
import type { BarDesign } from '@/core/swaybar/swayBarDesign';
import type { Site } from '../../site';
import { after, type Before, type Task } from '../../task';

export const FIT = { track: 'fit' } as const;

export const SPRING_STEEL =
  'The bar is spring steel: wrapped, no arc, no spatter, no clamp of the welder on it.';

/** What comes before any hole or weld for a sway bar. */
export const READY: Before[] = [
  after('fit/height', 'its arms are set with the car at its height'),
  after('fit/parts', 'the bar itself says how far apart its bushings sit'),
  after('apart/brackets', 'the metal must be bare'),
];

/** What of a sway bar its steps rest on. */
export const design = ({ od, middle, eyes, ahead, height, bushings }: BarDesign): Basis => ({
  diameter: od,
  'bend to bend': middle,
  'eye to eye': eyes,
  'ahead of the axle': ahead,
  'off the floor': height,
  'bushing to bushing': bushings,
});

/** Where the middle of the bar's hole is in each rail; empty where it goes through none. */
export const sayRailHoles = ({ job, say }: Site): string =>
  railHolesOf(job)
    .map(({ side, up }) => `${side} rail: middle ${say(up)} up from its underside`)
    .join('; ');

/** What a bent bar goes through is put over its arm on the bench. @param why it comes after the parts are there */
export const overItsArm = (basis: Basis, title: string, how: string, why: string): Task => ({
  ...FIT,
  id: 'fit/sway/sleeves',
  zone: 'bench',
  title,
  how,
  after: [after('fit/parts', why)],
  basis,
});
