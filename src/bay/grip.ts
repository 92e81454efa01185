import { useRef, type KeyboardEvent, type PointerEvent } from 'react';
import { division, type Tape } from '@/core/units/tape';
import { beginGesture } from '@/store/jobStore';
import { DRAGS, type Sheet } from './views';

type Axis = 0 | 1 | 2;
type Grip = {
  sheet: Sheet;
  tape: Tape;
  /** taken hold of by a pointer */
  onHold: () => void;
  /** dragged: how far the pointer is from where it took hold, px */
  onDrag: (dx: number, dy: number) => void;
  /** moved by an arrow key: one line of the tape, or eight with Shift, mm */
  onStep: (axis: Axis, mm: number) => void;
};

/** What makes a thing on a sheet movable: finger and mouse, as one gesture, and the arrow keys. */
export function useGrip({ sheet, tape, onHold, onDrag, onStep }: Grip) {
  const held = useRef<{ x: number; y: number; finish: () => void } | null>(null);
  const { across, down } = DRAGS[sheet.view];

  function onPointerDown(e: PointerEvent<SVGGElement>) {
    if (e.button !== 0) return;
    e.preventDefault();
    e.currentTarget.focus();
    e.currentTarget.setPointerCapture(e.pointerId);
    held.current = { x: e.clientX, y: e.clientY, finish: beginGesture() };
    onHold();
  }

  function onPointerMove(e: PointerEvent<SVGGElement>) {
    if (held.current) onDrag(e.clientX - held.current.x, e.clientY - held.current.y);
  }

  function onPointerUp() {
    held.current?.finish();
    held.current = null;
  }

  function onKeyDown(e: KeyboardEvent) {
    const step = division(tape) * (e.shiftKey ? 8 : 1);
    // Every view looks so that its axes grow up and to the left of the screen.
    const steps: Record<string, [Axis, number]> = {
      ArrowLeft: [across, step],
      ArrowRight: [across, -step],
      ArrowUp: [down, step],
      ArrowDown: [down, -step],
    };
    const taken = steps[e.key];
    if (!taken) return;
    e.preventDefault();
    e.stopPropagation();
    onStep(...taken);
  }

  return { onPointerDown, onPointerMove, onPointerUp, onPointerCancel: onPointerUp, onKeyDown };
}
