import type { BarDesign } from '@/core/swaybar/swayBarDesign';
import { SWAY_BAR } from '@/core/weld/held';
import type { Site } from '../../site';
import { after, zoneOf, type Task } from '../../task';
import { design, FIT, READY } from './common';

/** A bar in bushings under straps. */
export function onStraps({ say }: Site, bar: BarDesign): Task[] {
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
