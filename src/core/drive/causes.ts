import type { Symptom } from '@/core/job/slices/work/drive';

/**
 * Something that may be behind a symptom: how likely it is on an old car of which nothing else is known, against the others of the same
 * symptom, how long it takes to look, min, and how (all common practice, no published source). `only`: asked of such a car alone.
 */
export type Cause = {
  id: CauseId;
  title: string;
  look: string;
  minutes: number;
  only?: 'front' | 'rear' | 'leaves' | 'swayBar' | 'lateral' | 'slider' | 'links' | 'driven';
};

const CAUSES = {
  'loose-bolt': {
    title: 'A bolt has worked loose',
    look: 'Every paint line looked along, then a wrench on each nut; a bright ring round a washer says which.',
    minutes: 15,
  },
  'jam-nut': {
    title: 'A jam nut has backed off',
    look: 'Each bar turned by hand between its ends; two wrenches on each nut.',
    minutes: 10,
    only: 'links',
  },
  'tacked-bracket': {
    title: 'A bracket was tacked and never welded',
    look: 'Each bracket wiped clean, the whole seam seen with a mirror, the hidden side too; tapped.',
    minutes: 20,
  },
  'no-preload': {
    title: 'The bar carries nothing at rest, and knocks as it is taken up',
    look: 'Car on its weight: bar held, axle rocked sideways. It clicks and is still: an eighth of a turn of preload at Ride.',
    minutes: 10,
    only: 'leaves',
  },
  'worn-joint': {
    title: 'A joint or bushing is worn',
    look: 'Hand on the joint, somebody rocks the car; a bar between eye and bracket.',
    minutes: 20,
  },
  'oval-hole': {
    title: 'A bolt hole has gone oval',
    look: 'The bolt out, light behind: a bright crescent on one side.',
    minutes: 30,
  },
  'sway-link': {
    title: 'An end link of the sway bar knocks',
    look: 'Links off, the same road: gone, and it is them. Their joints, then the bushings of the bar.',
    minutes: 20,
    only: 'swayBar',
  },
  'shock-mount': {
    title: 'A shock is loose, bottoms or tops',
    look: 'Each mount by hand; a cable tie round the rod shows how far it went.',
    minutes: 15,
  },
  touches: {
    title: 'Something touches in the travel',
    look: 'Bright spots on bars, pipes and tank; the axle cycled on its jack with the springs out.',
    minutes: 40,
  },
  'slip-yoke': {
    title: 'The slip joint runs out of room, or binds',
    look: 'Axle let down to droop and lifted to bump: splines still in, and not at their end.',
    minutes: 25,
    only: 'driven',
  },
  'gear-lash': {
    title: 'Play in the gears or the splines',
    look: 'Brake on, yoke turned by hand: how far before it takes up, and what moves.',
    minutes: 15,
    only: 'driven',
  },
  'joint-angles': {
    title: 'The shaft’s two joints do not cancel',
    look: 'Both angles by gauge, on its weight; what Locate says of them.',
    minutes: 20,
    only: 'driven',
  },
  'shaft-balance': {
    title: 'The shaft is out of balance, bent or out of phase',
    look: 'Forks in line? Weights lost? Run it on stands with the wheels off, and listen.',
    minutes: 30,
    only: 'driven',
  },
  'wound-up': {
    title: 'The axle winds up under power, and the pinion rises',
    look: 'Somebody watches the pinion as it is loaded against the brakes, from well to the side.',
    minutes: 20,
    only: 'rear',
  },
  'unlike-links': {
    title: 'Left and right links are not alike',
    look: 'Eye to eye of each pair, thread showing at each end.',
    minutes: 15,
    only: 'links',
  },
  'out-of-square': {
    title: 'The axle is not square in the car',
    look: 'Wheelbase left and right, diagonals; then the marks on the frame.',
    minutes: 25,
  },
  'off-centre': {
    title: 'The axle is not in the middle',
    look: 'Tyre to frame, both sides, level with the hub.',
    minutes: 10,
  },
  'drag-link-unlike': {
    title: 'Track bar and drag link are unlike in length or slope',
    look: 'Both measured eye to eye and off the floor; what Locate says of bumps.',
    minutes: 20,
    only: 'front',
  },
  'steering-play': {
    title: 'Play in the steering',
    look: 'Somebody rocks the wheel: each joint, the box on its frame, the bearings, in turn.',
    minutes: 20,
    only: 'front',
  },
  toe: {
    title: 'Toe is wrong',
    look: 'Two tapes across the tread, front and back, rolled half a turn between.',
    minutes: 20,
    only: 'front',
  },
  caster: {
    title: 'Too little caster, or unlike left and right',
    look: 'Angle gauge on the knuckle or the perch, both sides.',
    minutes: 20,
    only: 'front',
  },
  tyres: {
    title: 'A tyre out of round, out of balance or of another size',
    look: 'Wheels changed over left to right, front to back: does it go with them?',
    minutes: 25,
  },
  'roll-steer': {
    title: 'The axle steers as one wheel rises',
    look: 'What Locate says of roll steer and of how far the axle goes sideways.',
    minutes: 5,
  },
  'too-much-anti-squat': {
    title: 'More anti-squat than the tyres bear',
    look: 'What Locate says of it; one hole down at the frame end of the lower links, and again.',
    minutes: 15,
    only: 'rear',
  },
  'weak-shocks': {
    title: 'Shocks worn, or too weak for the springs',
    look: 'Each off and worked by hand; the car pushed down at each corner.',
    minutes: 30,
  },
  'wrap-up': {
    title: 'The leaves wind up and let go',
    look: 'Front of each spring watched against the brakes, from the side; clamps and centre pins.',
    minutes: 20,
    only: 'leaves',
  },
  'joint-binds': {
    title: 'A joint runs against its stop in the travel',
    look: 'Axle cycled one wheel at a time, bolts in: which ball touches its bracket; marks on the eye.',
    minutes: 40,
  },
  'soft-wound': {
    title: 'Soft bushings were tightened hanging',
    look: 'Their bolts let go with the car on its weight: it settles. Tightened again there.',
    minutes: 20,
  },
  'slide-locked': {
    title: 'The torque arm’s slide is packed and locks',
    look: 'Its front pin out, worked by hand; a vent at its closed end.',
    minutes: 25,
    only: 'slider',
  },
  'tyre-room': {
    title: 'A tyre has too little room',
    look: 'Chalk on the sidewall, a slow full-lock turn, one wheel on a ramp.',
    minutes: 20,
  },
  'sits-low': {
    title: 'It sits lower than it was built for',
    look: 'Ride height both sides against Place; a spring sagged or on the wrong side.',
    minutes: 10,
  },
  'bar-swings': {
    title: 'The bar moves the axle aside as it travels',
    look: 'What Locate says of sideways movement; a longer or a level bar.',
    minutes: 5,
    only: 'lateral',
  },
} as const satisfies Record<string, Omit<Cause, 'id'>>;
export type CauseId = keyof typeof CAUSES;

export const causeOf = (id: CauseId): Cause => ({ id, ...CAUSES[id] });

/** What each symptom is, and what may be behind it, with how likely each is of that symptom. */
export const BEHIND: Record<Symptom, { title: string; causes: Partial<Record<CauseId, number>> }> = {
  knock: {
    title: 'Knock over bumps or side to side',
    causes: {
      'loose-bolt': 30,
      'no-preload': 20,
      'worn-joint': 15,
      'sway-link': 12,
      'shock-mount': 10,
      'oval-hole': 8,
      touches: 8,
      'jam-nut': 8,
      'tacked-bracket': 6,
    },
  },
  clunk: {
    title: 'Clunk as the power comes on or off',
    causes: {
      'gear-lash': 25,
      'loose-bolt': 20,
      'worn-joint': 20,
      'slip-yoke': 10,
      'oval-hole': 8,
      'tacked-bracket': 6,
      'wrap-up': 8,
    },
  },
  wobble: {
    title: 'Wobble of the wheel, or of the tail',
    causes: {
      'steering-play': 25,
      'drag-link-unlike': 20,
      'tacked-bracket': 15,
      'loose-bolt': 15,
      toe: 12,
      caster: 12,
      tyres: 10,
      'worn-joint': 10,
    },
  },
  'dog-tracking': {
    title: 'Runs crabwise',
    causes: {
      'out-of-square': 40,
      'unlike-links': 30,
      'off-centre': 15,
      'oval-hole': 5,
      'tacked-bracket': 5,
    },
  },
  'bump-pull': {
    title: 'Pulls to one side over bumps',
    causes: {
      'drag-link-unlike': 30,
      'bar-swings': 20,
      'roll-steer': 20,
      'weak-shocks': 10,
      toe: 8,
      'unlike-links': 8,
    },
  },
  'shake-power': {
    title: 'Shakes under power',
    causes: { 'joint-angles': 35, 'wound-up': 20, 'shaft-balance': 20, 'worn-joint': 10, 'wrap-up': 10 },
  },
  'shake-overrun': {
    title: 'Shakes as it slows',
    causes: { 'joint-angles': 30, 'shaft-balance': 25, 'gear-lash': 12, 'worn-joint': 12, tyres: 10 },
  },
  wear: {
    title: 'Tyres wear unevenly',
    causes: { toe: 35, 'out-of-square': 15, 'sits-low': 10, 'off-centre': 8, 'worn-joint': 12, tyres: 10 },
  },
  hop: {
    title: 'Hops off the line or under the brakes',
    causes: { 'too-much-anti-squat': 25, 'wrap-up': 25, 'weak-shocks': 20, 'soft-wound': 8, 'worn-joint': 8 },
  },
  binding: {
    title: 'Stiff in roll, or does not come back',
    causes: {
      'joint-binds': 30,
      'soft-wound': 25,
      'slide-locked': 20,
      touches: 12,
      'unlike-links': 8,
      'sway-link': 8,
    },
  },
  rub: {
    title: 'A tyre or bar rubs',
    causes: {
      'tyre-room': 25,
      touches: 25,
      'off-centre': 20,
      'sits-low': 20,
      'bar-swings': 8,
      'worn-joint': 5,
    },
  },
};
