'use client';
import { useEffect, useRef, type PointerEvent, type ReactNode } from 'react';
import { setZoom, zoomAbout, type ViewName } from '@/store/viewport';
import type { Box } from './projection';

const WHEEL_STEP = 1.0015;

/** One view: what moves out of it does not show in its neighbour; its ground is dragged to push it, wheeled or pinched to zoom. */
export function ViewFrame({ view, box, children }: { view: ViewName; box: Box; children: ReactNode }) {
  const ground = useRef<SVGGElement>(null);
  const fingers = useRef(new Map<number, { x: number; y: number }>());

  // React listens to the wheel passively, where the page could not be kept from scrolling.
  useEffect(() => {
    const node = ground.current!;
    const onWheel = (e: WheelEvent) => {
      e.preventDefault();
      const frame = node.ownerSVGElement!.getBoundingClientRect();
      const x = e.clientX - frame.left - box.x - box.width / 2;
      const y = e.clientY - frame.top - box.y - box.height / 2;
      zoomAbout(view, WHEEL_STEP ** -e.deltaY, x, y);
    };
    node.addEventListener('wheel', onWheel, { passive: false });
    return () => node.removeEventListener('wheel', onWheel);
  }, [view, box.x, box.y, box.width, box.height]);

  function onPointerDown(e: PointerEvent<SVGGElement>) {
    if (e.button !== 0 || (e.target as Element).closest('.movable')) return;
    e.currentTarget.setPointerCapture(e.pointerId);
    fingers.current.set(e.pointerId, { x: e.clientX, y: e.clientY });
  }

  function onPointerMove(e: PointerEvent<SVGGElement>) {
    const was = fingers.current.get(e.pointerId);
    if (!was) return;
    const now = { x: e.clientX, y: e.clientY };
    const other = [...fingers.current].find(([id]) => id !== e.pointerId)?.[1];
    if (other) {
      const apart = (p: typeof now) => Math.max(10, Math.hypot(p.x - other.x, p.y - other.y));
      zoomAbout(view, apart(now) / apart(was), 0, 0);
    } else {
      setZoom(view, (z) => ({ ...z, dx: z.dx + now.x - was.x, dy: z.dy + now.y - was.y }));
    }
    fingers.current.set(e.pointerId, now);
  }

  const lift = (e: PointerEvent) => fingers.current.delete(e.pointerId);

  return (
    <Clip id={`view-${view}`} box={box}>
      <g
        ref={ground}
        className="view-ground"
        data-view={view}
        onPointerDown={onPointerDown}
        onPointerMove={onPointerMove}
        onPointerUp={lift}
        onPointerCancel={lift}
      >
        <rect className="catch" {...box} />
        {children}
      </g>
    </Clip>
  );
}

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

export function Title({ box, name, note }: { box: Box; name: string; note: string }) {
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
}
