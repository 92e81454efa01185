'use client';
import { createUseGesture, dragAction, pinchAction, wheelAction } from '@use-gesture/react';
import { memo, useRef, type ReactNode, type RefObject } from 'react';
import { isInHand } from '@/store/jobStore';
import { pushBy, zoomAbout, type ViewName } from '@/store/viewport';
import type { Box, Sheet } from './projection';

const WHEEL_STEP = 1.0015;

const useGesture = createUseGesture([dragAction, pinchAction, wheelAction]);

/** One view: what moves out of it does not show in its neighbour; its ground is dragged to push it, wheeled or pinched to zoom. */
export function ViewFrame({ sheet, box, children }: { sheet: Sheet; box: Box; children: ReactNode }) {
  const { view } = sheet;
  const ground = useRef<SVGGElement>(null);
  return (
    <Clip id={`view-${view}`} box={box}>
      <g ref={ground} className="view-ground" data-view={view}>
        <rect className="catch" {...box} />
        {children}
      </g>
      <Gestures
        view={view}
        ground={ground}
        middleX={sheet.box.x + sheet.box.width / 2}
        middleY={sheet.box.y + sheet.box.height / 2}
      />
    </Clip>
  );
}

type GesturesProps = {
  view: ViewName;
  ground: RefObject<SVGGElement | null>;
  middleX: number;
  middleY: number;
};

/** What the hand does to a view. By itself, so that its listeners are not put on anew with every frame of a drag. */
const Gestures = memo(function Gestures({ view, ground, middleX, middleY }: GesturesProps) {
  /** Nearer or farther about a point of the window, which stays where it is. */
  function zoomAt(by: number, clientX: number, clientY: number) {
    const { left, top } = ground.current!.ownerSVGElement!.getBoundingClientRect();
    zoomAbout(view, by, clientX - left - middleX, clientY - top - middleY);
  }

  // The hand that holds a mount moves the mount alone.
  useGesture(
    {
      onDrag: ({ delta, pinching, canceled }) => {
        if (!isInHand() && !pinching && !canceled) pushBy(view, ...delta);
      },
      onPinch: ({ first, origin: [x, y], movement: [scale], memo: last }) => {
        const was = first ? { x, y, scale } : (last as { x: number; y: number; scale: number });
        if (!isInHand()) {
          pushBy(view, x - was.x, y - was.y);
          zoomAt(scale / was.scale, x, y);
        }
        return { x, y, scale };
      },
      onWheel: ({ event, delta: [, dy] }) => {
        event.preventDefault();
        zoomAt(WHEEL_STEP ** -dy, event.clientX, event.clientY);
      },
    },
    {
      target: ground,
      eventOptions: { passive: false },
      drag: { pointer: { keys: false } },
      pinch: { pinchOnWheel: false },
    },
  );
  return null;
});

/** Keeps what moves out of a view from showing in its neighbour. */
export function Clip({ id, box, children }: { id: string; box: Box; children: ReactNode }) {
  return (
    <>
      <clipPath id={id}>
        <rect {...box} />
      </clipPath>
      <g clipPath={`url(#${id})`}>{children}</g>
    </>
  );
}

export const Title = memo(function Title({ box, name, note }: { box: Box; name: string; note: string }) {
  return (
    <g className="view-title">
      <rect {...box} />
      <text x={box.x + 14} y={box.y + 20}>
        {name.toUpperCase()}
        <tspan dx={10} className="note">
          {note}
        </tspan>
      </text>
    </g>
  );
});
