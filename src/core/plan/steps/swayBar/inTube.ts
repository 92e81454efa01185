import { barTubeOf } from '@/core/job/made/sway/sleeve';
import type { BarDesign } from '@/core/swaybar/swayBarDesign';
import { sleeveFor } from '@/core/swaybar/throughFrame';
import { SWAY_BAR } from '@/core/weld/held';
import { CAUTIONS } from '../cautions';
import { BEFORE_HEAT } from '../ready';
import type { Site } from '../../site';
import { after, zoneOf, type Task } from '../../task';
import { design, FIT, overItsArm, READY, sayRailHoles, SPRING_STEEL } from './common';

/** A bar in a tube of its own from side to side. A bent one goes into it before it is fitted, or never. */
export function inTube(site: Site, bar: BarDesign): Task[] {
  const { say, job } = site;
  const whole = bar.made === 'one-piece';
  const zone = zoneOf([bar.ahead, 0, bar.height]);
  const tube = barTubeOf(job);
  const basis = { ...design(bar), ...(tube && { 'tube, outside': tube.od }) };
  const fits = whole ? sleeveFor(bar, bar.bushings) : null;
  const holes = sayRailHoles(site);
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
          overItsArm(
            basis,
            'The tube over one arm of the sway bar and its bend',
            `${bends}.`,
            'the bar itself says whether its bend passes',
          ),
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
