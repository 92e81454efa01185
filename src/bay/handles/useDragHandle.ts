import { useEffect, useRef, type KeyboardEvent, type PointerEvent } from 'react';
import { division, type Tape } from '@/core/units/tape';
import { beginGesture, endAct, inOneAct } from '@/store/jobStore';
import { DRAGS, type Sheet } from '@/bay/views/projection';

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
export function useDragHandle({ sheet, tape, onHold, onDrag, onStep }: Grip) {
  const { across, down } = DRAGS[sheet.view];
  const dragged = useRef(onDrag);
  useEffect(() => {
    dragged.current = onDrag;
  });

  function onPointerDown(e: PointerEvent<SVGGElement>) {
    if (e.button !== 0) return;
    const finish = beginGesture();
    if (!finish) return;
    e.preventDefault();
    e.currentTarget.focus();
    e.currentTarget.setPointerCapture(e.pointerId);
    onHold();
    follow(e, finish);
  }

  /** To where it is let go of. The thing itself may be drawn away under the hand, so the window listens. */
  function follow({ pointerId, clientX, clientY }: PointerEvent, finish: () => void) {
    const drag = (e: globalThis.PointerEvent) => {
      if (e.pointerId !== pointerId) return;
      // Let go of outside the window, nobody was told.
      if (e.buttons === 0) drop(e);
      else dragged.current(e.clientX - clientX, e.clientY - clientY);
    };
    const drop = (e: globalThis.PointerEvent) => {
      if (e.pointerId !== pointerId) return;
      window.removeEventListener('pointermove', drag);
      window.removeEventListener('pointerup', drop);
      window.removeEventListener('pointercancel', drop);
      finish();
    };
    window.addEventListener('pointermove', drag);
    window.addEventListener('pointerup', drop);
    window.addEventListener('pointercancel', drop);
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
    // An arrow that is held is one act; pressed again, it is another.
    if (!e.repeat) endAct();
    inOneAct('arrow', () => onStep(...taken));
  }

  return { onPointerDown, onKeyDown };
}
