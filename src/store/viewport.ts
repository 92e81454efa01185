import { create } from 'zustand';

export type ViewName = 'rear' | 'side' | 'plan';

/** How near a view is looked at, and how far it is pushed from its middle, px. */
export type Zoom = { k: number; dx: number; dy: number };

export const FITTED: Zoom = { k: 1, dx: 0, dy: 0 };
const NEAREST = 12;
const FARTHEST = 0.5;

/** Where the bay is looked at from: which view fills it, and each view's zoom. Gone with the page. */
export const useViewport = create<{ large: ViewName | null; zoom: Record<ViewName, Zoom> }>()(() => ({
  large: null,
  zoom: { rear: FITTED, side: FITTED, plan: FITTED },
}));

export const enlarge = (large: ViewName | null): void => useViewport.setState({ large });

function setZoom(view: ViewName, change: (now: Zoom) => Zoom): void {
  useViewport.setState(({ zoom }) => ({ zoom: { ...zoom, [view]: change(zoom[view]) } }));
}

/** The whole car again. */
export const fit = (view: ViewName): void => setZoom(view, () => FITTED);

/** Pushes a view, px. */
export function pushBy(view: ViewName, x: number, y: number): void {
  if (x || y) setZoom(view, ({ k, dx, dy }) => ({ k, dx: dx + x, dy: dy + y }));
}

/** Nearer or farther about a point of the view, px from its middle, which stays where it is. */
export function zoomAbout(view: ViewName, by: number, x: number, y: number): void {
  setZoom(view, ({ k, dx, dy }) => {
    const to = Math.min(NEAREST, Math.max(FARTHEST, k * by));
    const real = to / k;
    return { k: to, dx: x - (x - dx) * real, dy: y - (y - dy) * real };
  });
}
