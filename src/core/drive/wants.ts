import type { Numbers } from '@/core/advice/look';
import type { AxleEnd } from '@/core/rig/schema';
import type { Feel, Phase } from '@/core/job/slices/work/drive';

/** What a feel asks of the car: which of its numbers should go which way, and why; `none` brings it nearer to nothing. */
export type Want = { what: keyof Numbers; way: 'more' | 'less' | 'none'; why: string };

const TIGHTER: Want[] = [
  { what: 'frontShare', way: 'more', why: 'the front takes more of the load transfer, and gives way sooner' },
];
const LOOSER: Want[] = [
  { what: 'frontShare', way: 'less', why: 'the rear takes more of the load transfer, and gives way sooner' },
];
const corner: Partial<Record<Feel, Want[]>> = {
  'very-tight': LOOSER,
  tight: LOOSER,
  loose: TIGHTER,
  'very-loose': TIGHTER,
};

/** What can be done by the model about each feel, in each phase (common practice, no published source). Others belong to the fault finder. */
const WANTS: Record<Phase, Partial<Record<Feel, Want[]>>> = {
  entry: corner,
  middle: corner,
  exit: {
    ...corner,
    loose: [
      ...TIGHTER,
      {
        what: 'rollSteer',
        way: 'more',
        why: 'the axle steers into the corner as the car leans, and steadies it',
      },
    ],
    'very-loose': [
      ...TIGHTER,
      {
        what: 'rollSteer',
        way: 'more',
        why: 'the axle steers into the corner as the car leans, and steadies it',
      },
    ],
  },
  launch: {
    spins: [{ what: 'antiSquat', way: 'more', why: 'the tyres are planted harder as the power comes on' }],
    hops: [{ what: 'antiSquat', way: 'less', why: 'the links lift the car less against its own tyres' }],
  },
  top: {
    wanders: [{ what: 'rollSteer', way: 'none', why: 'the axle steers less of itself as the car moves' }],
  },
  rough: {
    steers: [
      { what: 'sideways', way: 'less', why: 'the axle is moved aside less by each bump' },
      { what: 'rollSteer', way: 'none', why: 'one wheel’s bump steers the axle less' },
    ],
  },
};

/** Of a front axle neither anti-squat nor its own steer in roll says what the wheels do: those are not asked for there. */
const OF_FRONT: Want['what'][] = ['frontShare', 'sideways'];

export const wantsOf = (phase: Phase, feel: Feel, end: AxleEnd): Want[] =>
  (WANTS[phase][feel] ?? []).filter(({ what }) => end === 'rear' || OF_FRONT.includes(what));

/** By how much a change brings one of the numbers where it is wanted; less than nothing where it takes it farther away. */
export function gainOf({ what, way }: Want, before: Numbers, after: Numbers): number | null {
  const [from, to] = [before[what], after[what]];
  if (from === null || to === null) return null;
  if (way === 'none') return Math.abs(from) - Math.abs(to);
  return way === 'more' ? to - from : from - to;
}
