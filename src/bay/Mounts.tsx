import { memberName } from '@/core/layouts/names';
import { PANHARD } from '@/core/layouts/patterns';
import type { Tape } from '@/core/units/tape';
import type { Figure } from './model';
import { Mount } from './Mount';
import type { Sheet } from './views';

/** Which mounts can be moved in the bay: none, those of the bar across the car, or all the others. */
export type Movable = 'none' | 'bar' | 'links';

const VIEW_WORDS = { rear: '', side: ', from the side', plan: ', from above' };

/** The eyes of every member that the view shows by its own; those in the way of the work stay small and still. */
export function Mounts({
  sheet,
  figure,
  tape,
  movable,
}: {
  sheet: Sheet;
  figure: Figure;
  tape: Tape;
  movable: Movable;
}) {
  return figure.mounts
    .filter((m) => sheet.view !== 'rear' || m.member === PANHARD || movable === 'links')
    .map((m) => (
      <Mount
        key={`${m.member}${m.key}`}
        sheet={sheet}
        member={m.member}
        end={m.key}
        on={m.on}
        at={m.now}
        ride={m.point}
        tape={tape}
        label={`${m.member === PANHARD ? '' : `${memberName(m.member)}: `}${m.name}${VIEW_WORDS[sheet.view]}`}
        movable={movable !== 'none' && (movable === 'bar') === (m.member === PANHARD)}
      />
    ));
}
