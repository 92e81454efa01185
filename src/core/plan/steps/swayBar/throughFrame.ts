import { sleeveOf } from '@/core/job/made/sway/sleeve';
import type { BarDesign } from '@/core/swaybar/swayBarDesign';
import { SWAY_BAR } from '@/core/weld/held';
import { CAUTIONS } from '../cautions';
import { BEFORE_HEAT } from '../ready';
import type { Site } from '../../site';
import { after, zoneOf, type Task } from '../../task';
import { design, FIT, overItsArm, READY, sayRailHoles, SPRING_STEEL } from './common';

/** A bar in sleeves through both rails: a bent one is in before the second is closed. */
export function throughFrame(site: Site, bar: BarDesign): Task[] {
  const { say, job } = site;
  const sleeve = sleeveOf(job);
  const whole = bar.made === 'one-piece';
  const holes = sayRailHoles(site);
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
          overItsArm(
            basis,
            'Both sleeves over one arm and its bend',
            `On to the middle of the bar; or split ones later. Try the bend in one of them first${sleeve && sleeve.fits !== null ? `: it wants ${say(sleeve.fits)} inside` : ''}.`,
            'the sleeve itself says whether the bend passes',
          ),
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
