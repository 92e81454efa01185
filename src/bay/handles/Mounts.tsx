import { memo } from 'react';
import { memberName } from '@/core/rig/names';
import { useJobPart } from '@/store/jobStore';
import type { Tape } from '@/core/units/tape';
import type { BayModel, Figure } from '@/bay/model/bayModel';
import { Mount } from './Mount';
import type { Sheet } from '@/bay/views/projection';
import { PANHARD } from '@/core/rig/roles';
import { DRIVESHAFT } from '@/core/rig/mounts';

/** What can be moved in the bay: nothing, the mounts of the bar across the car, all the others of members, driveshaft and obstacles, or the sway bar. */
export type Movable = 'none' | 'bar' | 'links' | 'room' | 'sway';

const VIEW_WORDS = { rear: '', side: ', from the side', plan: ', from above' };

/** Whose turn it is to be moved when `movable` is the work in hand. */
function turnOf(member: string, movable: Movable): boolean {
  switch (movable) {
    case 'none':
    case 'sway':
      return false;
    case 'bar':
      return member === PANHARD;
    case 'links':
      return member !== PANHARD && member !== DRIVESHAFT;
    case 'room':
      return member === DRIVESHAFT;
  }
}

type Props = { sheet: Sheet; mounts: Figure['mounts']; tape: Tape; movable: Movable };

/** The eyes of every member that the view shows by its own; those in the way of the work stay small and still. */
export const Mounts = memo(function Mounts({ sheet, mounts, tape, movable }: Props) {
  const end = useJobPart((j) => j.rig.end);
  const across = mounts.some(({ member }) => member === PANHARD);
  return mounts
    .filter((m) => sheet.view !== 'rear' || m.member === PANHARD || movable === 'links' || !across)
    .filter((m) => sheet.view !== 'rear' || m.member !== DRIVESHAFT)
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
        label={`${m.member === PANHARD ? '' : `${memberName(m.member, end)}: `}${m.name}${VIEW_WORDS[sheet.view]}`}
        movable={turnOf(m.member, movable)}
      />
    ));
});

/** Eyes as they were built, beside where they are drawn: a cross in the colour of the paint pen. */
export const Built = memo(function Built({ sheet, built }: { sheet: Sheet; built: BayModel['built'] }) {
  return (
    <g className="built">
      {built.map(({ id, at }) => {
        const [x, y] = sheet.at(at);
        return (
          <path
            key={id}
            data-built={id}
            d={`M${x - 9},${y - 9}L${x + 9},${y + 9}M${x - 9},${y + 9}L${x + 9},${y - 9}`}
          />
        );
      })}
    </g>
  );
});

/** The holes of brackets that have them: where an eye can be bolted. */
export const Holes = memo(function Holes({ sheet, holes }: { sheet: Sheet; holes: BayModel['holes'] }) {
  return (
    <g className="holes">
      {holes.flatMap(({ on, points }, i) =>
        points.map((p, k) => {
          const [x, y] = sheet.at(p);
          return <circle key={`${i}-${k}`} className={on} cx={x} cy={y} r={3} />;
        }),
      )}
    </g>
  );
});
