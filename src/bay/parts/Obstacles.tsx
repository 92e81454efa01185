'use client';
import { polygonHull } from 'd3';
import { memo, useRef } from 'react';
import type { Obstacle } from '@/core/rig/schema';
import { snap, type Tape } from '@/core/units/tape';
import { shiftObstacle } from '@/store/edits/obstacleEdits';
import { useDragHandle } from '@/bay/handles/useDragHandle';
import { apart, widthOf } from './labelsApart';
import type { Thing } from '@/bay/model/bayModel';
import { sayPlaced, DRAGS, type Flat, type Sheet } from '@/bay/views/projection';

type Props = { sheet: Sheet; things: Thing[]; tape: Tape; movable: boolean };

/** Boxes are large and lie behind; what is smaller must stay within reach. */
const LAYER: Record<Obstacle['shape'], number> = { box: 0, cylinder: 1, capsule: 1, sphere: 2 };

/** What is in the way, in its true size: moved whole by finger, mouse or arrow keys where that is the work. */
export const Things = memo(function Things({ sheet, things, tape, movable }: Props) {
  const smallLast = [...things].sort((a, b) => LAYER[a.obstacle.shape] - LAYER[b.obstacle.shape]);
  const middles = smallLast.map(({ points }) => middleOf(points.map(sheet.at)));
  const lines = apart(
    middles.map(([x, y], i) => ({ x, y: y + 4, width: widthOf(smallLast[i]!.obstacle.id) })),
  );
  return smallLast.map((thing, i) => (
    <OneThing
      key={thing.obstacle.id}
      sheet={sheet}
      thing={thing}
      label={[middles[i]![0], lines[i]!]}
      tape={tape}
      movable={movable}
    />
  ));
});

const middleOf = (flat: Flat[]): Flat =>
  [0, 1].map((k) => flat.reduce((sum, p) => sum + p[k]!, 0) / flat.length) as [number, number];

type OneProps = Omit<Props, 'things'> & { thing: Thing; label: Flat };

function OneThing({ sheet, thing, label: [x, y], tape, movable }: OneProps) {
  const { obstacle, points } = thing;
  const { across, down } = DRAGS[sheet.view];
  const flat = points.map(sheet.at);

  const shifted = useRef({ dx: 0, dy: 0 });
  const grip = useDragHandle({
    sheet,
    tape,
    onHold: () => {
      shifted.current = { dx: 0, dy: 0 };
    },
    /** Moves by whole lines of the tape; what is left over waits for the pointer to go on. */
    onDrag: (x, y) => {
      const was = shifted.current;
      const now = { dx: snap(sheet.toMm(x), tape), dy: snap(sheet.toMm(y), tape) };
      if (now.dx === was.dx && now.dy === was.dy) return;
      shiftObstacle(obstacle.id, { [across]: was.dx - now.dx, [down]: was.dy - now.dy });
      shifted.current = now;
    },
    onStep: (axis, mm) => shiftObstacle(obstacle.id, { [axis]: mm }),
  });

  const shape = (
    <>
      <Outline obstacle={obstacle} flat={flat} k={sheet.k} />
      <text x={x} y={y} textAnchor="middle">
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
      aria-label={`${obstacle.id}, ${sayPlaced(sheet.view, points[0]!, tape)}: drag, or move with the arrow keys`}
      data-thing={`${sheet.view}-${obstacle.id}`}
      {...grip}
    >
      {shape}
    </g>
  );
}

function Outline({ obstacle, flat, k }: { obstacle: Obstacle; flat: Flat[]; k: number }) {
  switch (obstacle.shape) {
    case 'sphere':
      return <circle cx={flat[0]![0]} cy={flat[0]![1]} r={obstacle.radius * k} />;
    case 'capsule':
    case 'cylinder': {
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
