'use client';
import { useRef } from 'react';
import type { BarDesign } from '@/core/swaybar/swayBarDesign';
import { snap, type Tape } from '@/core/units/tape';
import { putBar } from '@/store/edits/rollEdits';
import { useJobPart } from '@/store/jobStore';
import { setRocker, useRocker } from '@/store/rocker';
import { barHandles, type BarHandle } from './swayBarHandles';
import { useDragHandle } from './useDragHandle';
import { sayPlaced, DRAGS, type Sheet } from '@/bay/views/projection';
import type { Point } from '@/core/geometry/vector';

/** The places of the sway bar that can be dragged in a view; where several lie on one spot, the first is on top. */
export function BarHandles({ sheet, tape }: { sheet: Sheet; tape: Tape }) {
  const bar = useJobPart((j) => j.roll.bar);
  const atRide = useRocker((s) => s.left === 0 && s.right === 0);
  if (!bar) return null;
  const seen: Point[] = [];
  const { across, down } = DRAGS[sheet.view];
  // Elsewhere in the travel the arms have turned away from where they are set.
  const offered = barHandles(bar).filter(({ id }) => atRide || id === 'bushing' || id === 'stow');
  const apart = offered.filter(({ at }) => {
    const hidden = seen.some((p) => Math.hypot(p[across] - at[across], p[down] - at[down]) * sheet.k < 9);
    seen.push(at);
    return !hidden;
  });
  return apart.map((handle) => (
    <OneHandle key={handle.id} sheet={sheet} tape={tape} bar={bar} handle={handle} />
  ));
}

/** From the middle of a handle to its corners, px. */
const DIAMOND = 7;

type Props = { sheet: Sheet; tape: Tape; bar: BarDesign; handle: BarHandle };

function OneHandle({ sheet, tape, bar, handle }: Props) {
  const { across, down } = DRAGS[sheet.view];
  const held = useRef(handle);
  const grip = useDragHandle({
    sheet,
    tape,
    onHold: () => {
      setRocker(0, 0);
      held.current = handle;
    },
    /** From where it was taken hold of, so that what is rounded does not add up. */
    onDrag: (dx, dy) => {
      const from = held.current;
      const to = [...from.at] as Point;
      if (dx) to[across] = snap(to[across] - sheet.toMm(dx), tape);
      if (dy) to[down] = snap(to[down] - sheet.toMm(dy), tape);
      putBar(from.move(to, [...(dx ? [across] : []), ...(dy ? [down] : [])]));
    },
    onStep: (axis, mm) => {
      setRocker(0, 0);
      const to = [...handle.at] as Point;
      to[axis] = snap(to[axis] + mm, tape);
      putBar(handle.move(to, [axis]));
    },
  });
  const [x, y] = sheet.at(handle.at);
  return (
    <g
      className={`mount movable ${bar.mountedOn}`}
      tabIndex={0}
      role="button"
      aria-label={`${handle.label}, ${sayPlaced(sheet.view, handle.at, tape)}: drag, or move with the arrow keys`}
      data-bar={`${sheet.view}-${handle.id}`}
      {...grip}
    >
      <circle className="halo" cx={x} cy={y} r={15} />
      <path
        className="eye"
        d={`M${x},${y - DIAMOND}l${DIAMOND},${DIAMOND}l-${DIAMOND},${DIAMOND}l-${DIAMOND},-${DIAMOND}z`}
      />
    </g>
  );
}
