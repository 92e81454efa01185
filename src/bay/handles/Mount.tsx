'use client';
import { memo, useRef } from 'react';
import { holesKey, nearestHole } from '@/core/job/made/bracketHoles';
import { snap, type Tape } from '@/core/units/tape';
import { isPlaced, mountId } from '@/core/job/placed';
import { useJobPart } from '@/store/jobStore';
import { moveMounts } from '@/store/edits/mountEdits';
import { useDragHandle } from './useDragHandle';
import { DRAGS, sayPlaced, type Sheet } from '@/bay/views/projection';
import type { Point } from '@/core/geometry/vector';
import { PANHARD } from '@/core/rig/roles';
import type { MountKey } from '@/core/rig/members/kind';

type Props = {
  sheet: Sheet;
  member: string;
  end: MountKey;
  /** the body it is fixed to, which gives it its colour */
  on: 'chassis' | 'axle';
  /** where the eye is drawn */
  at: Point;
  /** where it is at ride height: what a drag changes */
  ride: Point;
  tape: Tape;
  label: string;
  movable: boolean;
};

/** An eye of a bar. Where it may be moved it is a handle for finger, mouse and arrow keys, snapping to the lines of the tape, or to its bracket's holes. */
export const Mount = memo(function Mount({ sheet, member, end, on, at, ride, tape, label, movable }: Props) {
  const [x, y] = sheet.at(at);
  const from = useRef(ride);
  const holes = useJobPart((j) => j.holes[holesKey(member, end)] ?? null);
  const guessed = useJobPart((j) => !isPlaced(j, mountId(member, end)));
  const { across, down } = DRAGS[sheet.view];
  const grip = useDragHandle({
    sheet,
    tape,
    onHold: () => {
      from.current = ride;
    },
    onDrag: (dx, dy) => {
      const to = [...from.current] as Point;
      const height = to[down] - sheet.toMm(dy);
      // Only what moved is snapped.
      if (dx) to[across] = snap(to[across] - sheet.toMm(dx), tape);
      if (dy) to[down] = holes && down === 2 ? nearestHole(holes, height) : snap(height, tape);
      moveTo(to);
    },
    onStep: (axis, mm) => {
      const to = [...ride] as Point;
      to[axis] =
        holes && axis === 2
          ? nearestHole(holes, ride[2] + Math.sign(mm) * holes.pitch)
          : snap(ride[axis] + mm, tape);
      moveTo(to);
    },
  });

  function moveTo(point: Point) {
    moveMounts([across, down].map((axis) => ({ member, end, axis, mm: point[axis] })));
  }

  if (!movable) {
    return (
      <g className={`mount ${on}${guessed ? ' guessed' : ''}`}>
        <Eye x={x} y={y} radius={6} />
      </g>
    );
  }
  return (
    <g
      className={`mount movable ${on}${guessed ? ' guessed' : ''}`}
      tabIndex={0}
      role="button"
      aria-label={`${label}, ${sayPlaced(sheet.view, ride, tape)}: drag, or move with the arrow keys`}
      data-mount={`${sheet.view}-${member === PANHARD ? '' : `${member}-`}${end}`}
      {...grip}
    >
      <circle className="halo" cx={x} cy={y} r={22} />
      <Eye x={x} y={y} radius={8} />
    </g>
  );
});

function Eye({ x, y, radius }: { x: number; y: number; radius: number }) {
  return (
    <>
      <circle className="eye" cx={x} cy={y} r={radius} />
      <circle className="pin" cx={x} cy={y} r={2.5} />
    </>
  );
}
