'use client';
import { memo } from 'react';
import { enlarge, fit, FITTED, useViewport, zoomAbout, type ViewName } from '@/store/viewport';
import { setPreferences, usePreferences, type Layer } from '@/store/preferences';
import type { Box } from '@/bay/views/projection';

const STEP = 1.4;
const VIEWS: ViewName[] = ['rear', 'side', 'plan'];
const LAYERS: Record<Layer, [name: string, what: string]> = {
  swept: ['swept', 'The room that the bars sweep through, bump to droop and one wheel up'],
  lines: ['lines', 'Roll axis, lines of the links to where they meet, line of the anti-squat'],
};

type Props = {
  view: ViewName;
  box: Box;
  /** it fills the bay, as the builder asked */
  alone: boolean;
  /** there is room for one view only: which one is chosen here */
  small: boolean;
};

/** What can be done to a view: look nearer, fit, fill the bay with it; and what it shows beside the parts. */
export const BayTools = memo(
  function BayTools({ view, box, alone, small }: Props) {
    const fitted = useViewport((s) => s.zoom[view] === FITTED);
    const layers = usePreferences((s) => s.layers);
    return (
      <div
        className="bay-tools no-print"
        style={{ left: box.x, top: box.y, width: box.width }}
        role="group"
        aria-label={`${view} view`}
      >
        {small &&
          VIEWS.filter((other) => other !== view).map((other) => (
            <button key={other} type="button" onClick={() => enlarge(other)}>
              {other}
            </button>
          ))}
        {(view === 'rear' || alone) &&
          (Object.keys(LAYERS) as Layer[]).map((layer) => (
            <button
              key={layer}
              type="button"
              aria-pressed={layers[layer]}
              title={LAYERS[layer][1]}
              onClick={() => setPreferences({ layers: { ...layers, [layer]: !layers[layer] } })}
            >
              {LAYERS[layer][0]}
            </button>
          ))}
        <button type="button" aria-label={`${view}: farther`} onClick={() => zoomAbout(view, 1 / STEP, 0, 0)}>
          −
        </button>
        <button type="button" aria-label={`${view}: nearer`} onClick={() => zoomAbout(view, STEP, 0, 0)}>
          +
        </button>
        {!fitted && (
          <button type="button" onClick={() => fit(view)}>
            fit
          </button>
        )}
        {!small && (
          <button type="button" aria-pressed={alone} onClick={() => enlarge(alone ? null : view)}>
            {alone ? 'all views' : 'large'}
          </button>
        )}
      </div>
    );
  },
  (a, b) =>
    a.view === b.view &&
    a.alone === b.alone &&
    a.small === b.small &&
    a.box.x === b.box.x &&
    a.box.y === b.box.y &&
    a.box.width === b.box.width,
);
