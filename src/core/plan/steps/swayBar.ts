import { barHeldIn, type BarHeld } from '@/core/job/made/barHeld';
import { barTubeOf, railHolesOf, sleeveOf } from '@/core/job/made/sleeve';
import type { Job } from '@/core/job/jobSchema';
import { sleeveFor } from '@/core/swaybar/throughFrame';
import { SWAY_BAR } from '@/core/weld/held';
import type { BarDesign } from '@/core/swaybar/swayBarDesign';
import { CAUTIONS } from './cautions';
import { BEFORE_HEAT } from './ready';
import type { Site } from '../site';
import { after, zoneOf, type Before, type Task } from '../task';

const FIT = { track: 'fit' } as const;

/** How the sway bar of a car is put in; nothing of a car without one. */
export function fittingSwayBar(site: Site): Task[] {
  const { bar } = site.job.roll;
  if (!bar) return [];
  return [...FITTED[barHeldIn(site.job) ?? 'straps'](site, bar), ...feet(site, bar)];
}

/** How a bar is put in, by what it turns in. */
const FITTED: Record<BarHeld, (site: Site, bar: BarDesign) => Task[]> = {
  straps: onStraps,
  sleeves: throughFrame,
  tube: inTube,
};

/** Whether a car has a sway bar that must be in before its frame is closed. */
export const isThroughFrame = (job: Job): boolean => barHeldIn(job) === 'sleeves';

const SPRING_STEEL = 'The bar is spring steel: wrapped, no arc, no spatter, no clamp of the welder on it.';
const READY: Before[] = [
  after('fit/height', 'its arms are set with the car at its height'),
  after('fit/parts', 'the bar itself says how far apart its bushings sit'),
  after('apart/brackets', 'the metal must be bare'),
];
const design = ({ od, middle, eyes, ahead, height, bushings }: BarDesign) => ({
  diameter: od,
  'bend to bend': middle,
  'eye to eye': eyes,
  'ahead of the axle': ahead,
  'off the floor': height,
  'bushing to bushing': bushings,
});

function onStraps({ say }: Site, bar: BarDesign): Task[] {
  const zone = zoneOf([bar.ahead, 0, bar.height]);
  return [
    {
      ...FIT,
      id: 'fit/sway/mounts',
      zone,
      title: 'Mark and drill for the sway bar’s straps',
      how: 'Bar held up in its bushings, both ends as far out; holes marked through the straps, centre-punched, the slots left for the last eighth.',
      after: [
        ...READY,
        after('fit/cycle', 'it is hung clear of what was seen to move'),
        after('fit/fuel', 'a drill that goes through finds the line behind'),
      ],
      tools: ['drill', 'centre punch'],
      expect: `Bushings ${say(bar.bushings)} apart, middle to middle; the bar ${say(bar.height)} off the floor at ride height.`,
      marked: { member: SWAY_BAR, brackets: ['left', 'right'], to: 'drilled' },
      basis: design(bar),
    },
    {
      ...FIT,
      id: 'fit/sway/in',
      zone,
      title: 'Sway bar in its bushings, straps snug',
      how: 'Greased, snug and not crushed; both arms alike off the floor. Clear of exhaust and shaft as they move.',
      after: [after('fit/sway/mounts', 'there must be something to hang it on')],
      hands: 2,
      marked: { member: SWAY_BAR, brackets: ['left', 'right'], to: 'snug' },
      basis: design(bar),
    },
  ];
}

function throughFrame(site: Site, bar: BarDesign): Task[] {
  const { say, job } = site;
  const sleeve = sleeveOf(job);
  const whole = bar.made === 'one-piece';
  const holes = railHolesOf(job)
    .map(({ side, up }) => `${side} rail: middle ${say(up)} up from its underside`)
    .join('; ');
  const zone = zoneOf([bar.ahead, 0, bar.height]);
  const basis = { ...design(bar), ...(sleeve && { 'sleeve, outside': sleeve.od }) };
  return [
    {
      ...FIT,
      id: 'fit/sway/holes',
      zone,
      title: whole
        ? 'One rail drilled, the other slotted, for the sway bar'
        : 'Both rails drilled for the sway bar',
      how: `${whole ? 'One hole right through, as large as the sleeve is outside; in the other rail a slot as wide, open below. ' : ''}The car is carried on both sides of an open slot, with no weight on that rail.`,
      after: [...READY, after('fit/fuel', 'a hole saw throws chips and sparks')],
      tools: ['hole saw', 'pilot drill'],
      permanent: 'A hole in a rail is given back only by its sleeve and collars, welded all round.',
      ...(holes && { expect: `${holes}.` }),
      basis,
    },
    ...(whole
      ? [
          {
            ...FIT,
            id: 'fit/sway/sleeves',
            zone: 'bench' as const,
            title: 'Both sleeves over one arm and its bend',
            how: `On to the middle of the bar; or split ones later. Try the bend in one of them first${sleeve && sleeve.fits !== null ? `: it wants ${say(sleeve.fits)} inside` : ''}.`,
            after: [after('fit/parts', 'the sleeve itself says whether the bend passes')],
            basis,
          },
        ]
      : []),
    {
      ...FIT,
      id: 'fit/sway/in',
      zone,
      title: whole
        ? 'Sway bar through the drilled rail and up into the slot'
        : 'Sway bar through both sleeves',
      how: whole
        ? 'From inside the frame, one arm and its bend first; then the other side up. Sleeves out into the rails.'
        : 'With one arm off, from the side; in before a frame is boxed.',
      after: [
        after('fit/sway/holes', 'there must be a way in'),
        after('fit/sway/sleeves', 'they do not go on once the bar is in'),
        ...(whole ? [] : [after('fit/sway/sleeves/weld', 'with the bar out, no heat reaches it')]),
      ],
      hands: 2,
      basis,
    },
    {
      ...FIT,
      id: 'fit/sway/sleeves/weld',
      zone,
      title: 'Sleeves and collars welded, both sides of each rail',
      how: whole
        ? `All round, then the slot closed. ${SPRING_STEEL}`
        : 'All round, the bar still out; then it is tried through both.',
      after: [
        after('fit/sway/holes', 'they sit in them'),
        ...(whole
          ? [
              after('fit/sway/in', 'a bent bar does not go through two closed rails'),
              after('fit/cycle', 'look all along it before it is closed in'),
            ]
          : []),
        ...BEFORE_HEAT,
      ],
      caution: CAUTIONS.weld,
      marked: { member: SWAY_BAR, brackets: ['left', 'right'], to: 'welded' },
      ...(whole && { permanent: 'Once the second side is closed, this bar never comes out again.' }),
      basis,
    },
  ];
}

/** A bar in a tube of its own from side to side. A bent one goes into it before it is fitted, or never. */
function inTube(site: Site, bar: BarDesign): Task[] {
  const { say, job } = site;
  const whole = bar.made === 'one-piece';
  const zone = zoneOf([bar.ahead, 0, bar.height]);
  const tube = barTubeOf(job);
  const basis = { ...design(bar), ...(tube && { 'tube, outside': tube.od }) };
  const fits = whole ? sleeveFor(bar, bar.bushings) : null;
  const holes = railHolesOf(job)
    .map(({ side, up }) => `${side} rail: middle ${say(up)} up from its underside`)
    .join('; ');
  const bends =
    fits === null
      ? 'Two of its bends lie nearer to each other than the tube is long: a tube of two halves, bolted together round the middle; no seam is welded along spring steel'
      : `Its bend wants ${say(fits)} inside: try it; where it does not pass, the tube is of two halves, bolted together round it`;
  return [
    ...(holes
      ? [
          {
            ...FIT,
            id: 'fit/sway/holes',
            zone,
            title: 'Both rails drilled for the tube of the sway bar',
            how: 'As large as the tube is outside, from both faces of each rail, by the same marks.',
            after: [...READY, after('fit/fuel', 'a hole saw throws chips and sparks')],
            tools: ['hole saw', 'pilot drill'],
            permanent: 'A hole in a rail is given back only by its tube and collars, welded all round.',
            expect: `${holes}.`,
            basis,
          },
        ]
      : []),
    ...(whole
      ? [
          {
            ...FIT,
            id: 'fit/sway/sleeves',
            zone: 'bench' as const,
            title: 'The tube over one arm of the sway bar and its bend',
            how: `${bends}.`,
            after: [after('fit/parts', 'the bar itself says whether its bend passes')],
            basis,
          },
        ]
      : []),
    {
      ...FIT,
      id: 'fit/sway/tube',
      zone,
      title: 'Tube of the sway bar in its place, tacked',
      how: `${whole ? SPRING_STEEL : 'The bar and its bushings out.'} Level, square to the car, as far out on both sides; tacked, then the bar is turned in it by hand.`,
      after: [
        ...READY,
        after('fit/sway/holes', 'it goes through them'),
        after('fit/sway/sleeves', 'a bent bar goes into it on the bench'),
        ...BEFORE_HEAT,
      ],
      caution: CAUTIONS.weld,
      marked: { member: SWAY_BAR, brackets: ['left', 'right'], to: 'tacked' },
      expect: `Bushings ${say(bar.bushings)} apart, middle to middle; the bar ${say(bar.height)} off the floor at ride height.`,
      basis,
    },
    {
      ...FIT,
      id: 'fit/sway/sleeves/weld',
      zone,
      title: 'Tube of the sway bar welded, both ends',
      how: whole
        ? `All round, side by side in turn, cool to the hand between runs. ${SPRING_STEEL} Bushings go in after it.`
        : 'All round, side by side in turn, cool to the hand between runs; the bar and its bushings still out. Then the bar is tried through it: a weld pulls.',
      after: [
        after('fit/sway/tube', 'tacked first'),
        after('fit/cycle', 'what touches is found while it can be cut loose'),
        ...BEFORE_HEAT,
      ],
      caution: CAUTIONS.weld,
      permanent: whole
        ? 'Once its tube is welded, this bar never comes out again.'
        : 'After this the tube only comes off by cutting.',
      marked: { member: SWAY_BAR, brackets: ['left', 'right'], to: 'welded' },
      basis,
    },
    {
      ...FIT,
      id: 'fit/sway/in',
      zone,
      title: whole ? 'Bushings into both ends of the tube' : 'Sway bar through its tube, an arm on each end',
      how: whole
        ? 'Split ones, greased; the bar turns by hand and does not knock.'
        : 'Bushings in both ends, greased; both arms set alike before they are bolted; no play along it.',
      after: [after('fit/sway/sleeves/weld', 'no heat reaches bushings or bar')],
      basis,
    },
  ];
}

function feet(site: Site, bar: BarDesign): Task[] {
  const { say, job } = site;
  const on = bar.mountedOn === 'chassis' ? 'axle' : 'frame';
  return [
    {
      ...FIT,
      id: 'fit/sway/level',
      zone: zoneOf([bar.ahead, 0, bar.height]),
      title: 'Both arms of the sway bar alike',
      how: 'Links off, car at its height: eyes the same off the floor left and right. Arms clocked unlike twist the car as it stands.',
      after: [after('fit/sway/in', 'it must hang in its bushings')],
      expect: `Both eyes ${say(bar.height + bar.rise)} off the floor at ride height.`,
      basis: design(bar),
    },
    {
      ...FIT,
      id: 'fit/sway/feet',
      zone: 'middle',
      title: `Feet of the end links on the ${on}`,
      how: `Clamped with the links on and the car at its height; tacked, both wheels moved apart, then welded with the links off. ${SPRING_STEEL}`,
      after: [after('fit/sway/level', 'the feet go where the level bar’s links put them'), ...BEFORE_HEAT],
      caution: CAUTIONS.weld,
      marked: {
        member: SWAY_BAR,
        brackets: ['footLeft', 'footRight'],
        to: site.make === 'kit' ? 'snug' : 'welded',
      },
      expect: `Links ${say(bar.link)} eye to eye${bar.right ? ` on the left, ${say(bar.right.link)} on the right` : ''}.`,
      basis: { link: bar.link, 'right link': job.roll.bar?.right?.link ?? 'as the left' },
    },
  ];
}

/** The links of the bar, last of what is bolted on. */
export function hangingSwayBar({ job, say }: Site): Task[] {
  const { bar } = job.roll;
  if (!bar) return [];
  return [
    {
      track: 'bolt',
      id: 'bolt/sway',
      zone: 'middle',
      title: 'End links on, bolts loose',
      how: `In hole ${bar.hole + 1} of ${bar.holes}, both sides; two ways to move at one end; clear of everything. ${bar.stow ? 'Their stow pins tried.' : ''}`.trim(),
      after: [
        after('fit/sway/feet', 'their feet are on'),
        after('fit/sway/sleeves/weld', 'the bar is closed in'),
        after('fit/paint', 'paint is under what clamps, not over it'),
      ],
      expect: `Links ${say(bar.link)} eye to eye.`,
      basis: { hole: String(bar.hole + 1), link: bar.link },
    },
  ];
}
