'use client';
import { memo, useRef, type KeyboardEvent, type PointerEvent } from 'react';
import { holesKey, nearestHole } from '@/core/job/holes';
import { PANHARD } from '@/core/layouts/patterns';
import type { Point } from '@/core/rig/schema';
import { division, snap, type Tape } from '@/core/units/tape';
import type { MountKey } from '@/core/rig/members';
import { beginGesture, useJobPart } from '@/store/jobStore';
import { moveMounts } from '@/store/mounts';
import { DRAGS, samePlaces, type Sheet } from './views';

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
  const grip = useRef<{ x: number; y: number; from: Point; finish: () => void } | null>(null);
  const holes = useJobPart((j) => j.holes[holesKey(member, end)] ?? null);
  const { across, down } = DRAGS[sheet.view];

  function moveTo(point: Point) {
    moveMounts([across, down].map((axis) => ({ member, end, axis, mm: point[axis] })));
  }

  function moveBy(from: Point, dx: number, dy: number) {
    const to = [...from] as Point;
    // Every view looks so that its axes grow up and to the left of the screen. Only what moved is snapped.
    if (dx) to[across] = snap(from[across] - sheet.toMm(dx), tape);
    const height = from[down] - sheet.toMm(dy);
    if (dy) to[down] = holes && down === 2 ? nearestHole(holes, height) : snap(height, tape);
    moveTo(to);
  }

  function onPointerDown(e: PointerEvent<SVGGElement>) {
    if (e.button !== 0) return;
    e.preventDefault();
    e.currentTarget.focus();
    e.currentTarget.setPointerCapture(e.pointerId);
    grip.current = { x: e.clientX, y: e.clientY, from: ride, finish: beginGesture() };
  }

  function onPointerMove(e: PointerEvent<SVGGElement>) {
    const g = grip.current;
    if (g) moveBy(g.from, e.clientX - g.x, e.clientY - g.y);
  }

  function onPointerUp() {
    grip.current?.finish();
    grip.current = null;
  }

  function onKeyDown(e: KeyboardEvent) {
    const step = division(tape) * (e.shiftKey ? 8 : 1);
    const moves: Record<string, [0 | 1 | 2, number]> = {
      ArrowLeft: [across, step],
      ArrowRight: [across, -step],
      ArrowUp: [down, step],
      ArrowDown: [down, -step],
    };
    const move = moves[e.key];
    if (!move) return;
    e.preventDefault();
    e.stopPropagation();
    const to = [...ride] as Point;
    to[move[0]] =
      holes && move[0] === 2
        ? nearestHole(holes, ride[2] + Math.sign(move[1]) * holes.pitch)
        : snap(ride[move[0]] + move[1], tape);
    moveTo(to);
  }

  if (!movable) {
    return (
      <g className={`mount ${on}`}>
        <Eye x={x} y={y} radius={6} />
      </g>
    );
  }
  return (
    <g
      className={`mount movable ${on}`}
      tabIndex={0}
      role="button"
      aria-label={`${label}: drag, or move with the arrow keys`}
      data-mount={`${sheet.view}-${member === PANHARD ? '' : `${member}-`}${end}`}
      onPointerDown={onPointerDown}
      onPointerMove={onPointerMove}
      onPointerUp={onPointerUp}
      onPointerCancel={onPointerUp}
      onKeyDown={onKeyDown}
    >
      <circle className="halo" cx={x} cy={y} r={22} />
      <Eye x={x} y={y} radius={8} />
    </g>
  );
}, drawnAlike);

/** An eye that stays where it is need not be drawn again while another is dragged. */
function drawnAlike(a: Props, b: Props): boolean {
  return (
    a.sheet.key === b.sheet.key &&
    samePlaces([a.at, a.ride], [b.at, b.ride]) &&
    a.movable === b.movable &&
    a.tape === b.tape &&
    a.label === b.label &&
    a.on === b.on
  );
}

function Eye({ x, y, radius }: { x: number; y: number; radius: number }) {
  return (
    <>
      <circle className="eye" cx={x} cy={y} r={radius} />
      <circle className="pin" cx={x} cy={y} r={2.5} />
    </>
  );
}
