'use client';
import { polygonHull } from 'd3';
import { useRef, type KeyboardEvent, type PointerEvent } from 'react';
import type { Obstacle } from '@/core/rig/schema';
import { division, snap, type Tape } from '@/core/units/tape';
import { beginGesture } from '@/store/jobStore';
import { shiftObstacle } from '@/store/obstacles';
import type { Thing } from './model';
import { DRAGS, type Flat, type Sheet } from './views';

type Props = { sheet: Sheet; things: Thing[]; tape: Tape; movable: boolean };

/** Boxes are large and lie behind; what is smaller must stay within reach. */
const LAYER: Record<Obstacle['shape'], number> = { box: 0, capsule: 1, sphere: 2 };

/** What is in the way, in its true size: moved whole by finger, mouse or arrow keys where that is the work. */
export function Things({ sheet, things, tape, movable }: Props) {
  const smallLast = [...things].sort((a, b) => LAYER[a.obstacle.shape] - LAYER[b.obstacle.shape]);
  return smallLast.map((thing) => (
    <OneThing key={thing.obstacle.id} sheet={sheet} thing={thing} tape={tape} movable={movable} />
  ));
}

function OneThing({ sheet, thing, tape, movable }: Omit<Props, 'things'> & { thing: Thing }) {
  const { obstacle, points } = thing;
  const grip = useRef<{ x: number; y: number; finish: () => void } | null>(null);
  const { across, down } = DRAGS[sheet.view];
  const flat = points.map(sheet.at);
  const [x, y] = [0, 1].map((k) => flat.reduce((sum, p) => sum + p[k]!, 0) / flat.length) as [number, number];

  function onPointerDown(e: PointerEvent<SVGGElement>) {
    if (e.button !== 0) return;
    e.preventDefault();
    e.currentTarget.focus();
    e.currentTarget.setPointerCapture(e.pointerId);
    grip.current = { x: e.clientX, y: e.clientY, finish: beginGesture() };
  }

  /** Moves by whole lines of the tape; what is left over waits for the pointer to go on. */
  function onPointerMove(e: PointerEvent<SVGGElement>) {
    const g = grip.current;
    if (!g) return;
    const [dx, dy] = [snap(sheet.toMm(e.clientX - g.x), tape), snap(sheet.toMm(e.clientY - g.y), tape)];
    if (!dx && !dy) return;
    shiftObstacle(obstacle.id, { [across]: -dx, [down]: -dy });
    grip.current = { ...g, x: g.x + dx * sheet.k, y: g.y + dy * sheet.k };
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
    shiftObstacle(obstacle.id, { [move[0]]: move[1] });
  }

  const shape = (
    <>
      <Outline obstacle={obstacle} flat={flat} k={sheet.k} />
      <text x={x} y={y + 4} textAnchor="middle">
        {obstacle.id}
      </text>
    </>
  );
  if (!movable) return <g className={`thing ${obstacle.on}`}>{shape}</g>;
  return (
    <g
      className={`thing movable ${obstacle.on}`}
      tabIndex={0}
      role="button"
      aria-label={`${obstacle.id}: drag, or move with the arrow keys`}
      data-thing={`${sheet.view}-${obstacle.id}`}
      onPointerDown={onPointerDown}
      onPointerMove={onPointerMove}
      onPointerUp={onPointerUp}
      onPointerCancel={onPointerUp}
      onKeyDown={onKeyDown}
    >
      {shape}
    </g>
  );
}

function Outline({ obstacle, flat, k }: { obstacle: Obstacle; flat: Flat[]; k: number }) {
  switch (obstacle.shape) {
    case 'sphere':
      return <circle cx={flat[0]![0]} cy={flat[0]![1]} r={obstacle.radius * k} />;
    case 'capsule': {
      const [a, b] = flat as [Flat, Flat];
      return (
        <>
          <line
            className="pipe"
            x1={a[0]}
            y1={a[1]}
            x2={b[0]}
            y2={b[1]}
            strokeWidth={2 * obstacle.radius * k}
          />
          <line className="pipe-middle" x1={a[0]} y1={a[1]} x2={b[0]} y2={b[1]} />
        </>
      );
    }
    case 'box':
      return <path d={`M${(polygonHull(flat) ?? flat).map((p) => p.join(',')).join('L')}Z`} />;
  }
}
