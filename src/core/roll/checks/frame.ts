import { heldIn, sleeveFor, type RailAcross } from '@/core/swaybar/throughFrame';
import type { BarDesign } from '@/core/swaybar/swayBarDesign';
import { sayLength } from '@/core/units/length';
import { upToLine, type Tape } from '@/core/units/tape';
import type { Verdict } from '@/core/verdict/verdict';

/** What is to be said of a bar that runs through the frame: how it gets there, what it passes through, whether it comes out again. */
export function frameChecks(bar: BarDesign, rails: RailAcross[], tape: Tape): Verdict[] {
  if (bar.housing !== null) return [tubeCheck(bar, bar.housing, tape)];
  if (heldIn(bar, rails) !== 'sleeves') return [];
  if (bar.made === 'arms')
    return [
      {
        id: 'barFrame',
        state: 'ok',
        title: 'The bar slides through the frame from the side.',
        reason:
          'With an arm off it goes in through both sleeves, and comes out again. In the sleeve before the frame is closed, where it is boxed later.',
        remedies: [],
      },
    ];
  const length = Math.max(...rails.map(({ width }) => width));
  const least = sleeveFor(bar, length);
  const say = (mm: number) => sayLength(upToLine(mm, tape), tape);
  const sleeve =
    least === null
      ? `two of its bends lie nearer to each other than a sleeve ${say(length)} long: try the bend in a piece of it first`
      : `its bend passes a sleeve ${say(length)} long, as long as the rail is wide, of ${say(least)} inside or more (the bar alone wants ${say(bar.od)})`;
  return [
    {
      id: 'barFrame',
      state: 'look',
      title: 'Bent at both ends, it goes through one closed rail, not through two.',
      reason: `The second side must be open when it goes in; once that is closed, the bar never comes out again. By its own bends, ${sleeve}.`,
      remedies: [
        ...ORDER.map((text, i) => ({ text: `${i + 1}. ${text}` })),
        { text: 'If it must ever come out: a straight bar with arms of its own.' },
      ],
    },
  ];
}

/** What is to be said of a bar in a tube of its own: whether it goes into it, and comes out again. @param outside of that tube, mm */
function tubeCheck(bar: BarDesign, outside: number, tape: Tape): Verdict {
  const tube = { id: 'barTube', remedies: [] };
  if (bar.made === 'arms')
    return {
      ...tube,
      state: 'ok',
      title: 'The bar slides out of its tube to the side.',
      reason: 'With an arm off it goes in from either end, and comes out again.',
    };
  const least = sleeveFor(bar, bar.bushings);
  const passes = least !== null && least < outside;
  const say = (mm: number) => sayLength(upToLine(mm, tape), tape);
  return {
    ...tube,
    state: 'look',
    title: passes
      ? 'Bent at both ends, it goes into its tube before that is welded in, or never.'
      : 'Bent at both ends, it does not go into a whole tube as long as that.',
    reason: passes
      ? `Its bend passes a tube from bushing to bushing of ${say(least)} inside or more. Once the tube is welded in, the bar never comes out again.`
      : least === null
        ? 'Two of its bends lie nearer to each other than the tube is long.'
        : `Its bend wants ${say(least)} inside; the tube is ${say(outside)} outside.`,
    remedies: [
      ...(passes
        ? []
        : [
            {
              text: 'A tube of two halves, bolted together round the middle: no seam is welded along spring steel.',
            },
          ]),
      { text: 'If it must ever come out: a straight bar with arms of its own.' },
    ],
  };
}

/** How a bent bar gets into two rails. */
const ORDER = [
  'Drill one rail right through, as large as the sleeve is outside; cut a slot as wide, open below, in the other.',
  'Both sleeves over one arm and its bend, on to the middle; or split ones later.',
  'From inside the frame, one arm and its bend through the drilled rail; then the other side up into the slot.',
  'Sleeves out into the rails, bar in its bushings, axle cycled: look all along it.',
  'Weld the sleeves, both sides of each rail, with collars; then close the slot. The bar is spring steel: wrapped, no arc, no spatter, no heat on it.',
];
