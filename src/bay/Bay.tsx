'use client';
import { memo, useEffect, useMemo, useRef, useState } from 'react';
import { shallow } from 'zustand/shallow';
import { lateralBarOf } from '@/core/rig/roles';
import type { LocateResult } from '@/core/locate/types';
import { useDragged, useJobStore } from '@/store/jobStore';
import { isReadAsBuilt, jobRead, useReading } from '@/store/reading';
import { useViewport, type ViewName } from '@/store/viewport';
import { usePreferences } from '@/store/preferences';
import { answerHoldsFor, useLocate } from '@/workers/locate';
import { isStale, useHealth } from '@/workers/supervised';
import './bay.css';
import { BayTools } from './BayTools';
import type { Figures } from '@/bay/views/shownFigures';
import { bayModel, bodyParts, prepareBay, type BayModel } from '@/bay/model/bayModel';
import { keeper } from '@/bay/model/keptAlike';
import type { Movable } from '@/bay/handles/Mounts';
import { Flags } from '@/bay/parts/Flags';
import { PlanBody, planSheet, PlanWork } from '@/bay/views/PlanView';
import { RearBody, rearSheet, RearWork } from '@/bay/views/RearView';
import { SideBody, sideSheet, SideWork } from '@/bay/views/SideView';
import { Clip, Title, ViewFrame } from '@/bay/views/ViewFrame';
import { sheetKeeper, type Box, type Sheet } from '@/bay/views/projection';
import type { Job } from '@/core/job/jobSchema';

type Props = { movable: Movable; figures: Figures; forces: boolean };

const PAD = 14;
const TITLE = 22;
const LOW = 280;
/** Narrower than this, one view at a time fills the bay, px. */
const SMALL = 660;

const NOTES: Record<ViewName, string> = {
  rear: 'from behind the car',
  side: 'front to the left',
  plan: 'from above, front up',
};
const SHEETS = { rear: rearSheet, side: sideSheet, plan: planSheet };
const WORKS = { rear: RearWork, side: SideWork, plan: PlanWork };
const BODIES = { rear: RearBody, side: SideBody, plan: PlanBody };

type BodyProps = { view: ViewName; sheet: Sheet; model: BayModel };

/** Wheels, rails and axle stand still while a mount is dragged: drawn on a ground of their own, they need not be drawn again. */
const Body = memo(
  function Body({ view, sheet, model }: BodyProps) {
    const Drawing = BODIES[view];
    return <Drawing sheet={sheet} model={model} />;
  },
  (a, b) => a.sheet === b.sheet && shallow(bodyParts(a.model), bodyParts(b.model)),
);

/** The bay: this car's axle in three views, true to scale, moved by the rocker. */
export function Bay({ movable, figures, forces }: Props) {
  const { job, result } = useDrawn();
  const [frame, size] = useSize();
  const layers = usePreferences((s) => s.layers);
  const load = usePreferences((s) => s.load);
  const { large, zoom } = useViewport();
  const [modelAlike] = useState(() => keeper<BayModel>());
  const [sheetAlike] = useState(sheetKeeper);
  const model = modelAlike(bayModel(job, result, forces ? load : null));
  usePreparation();
  const bar = lateralBarOf(job.rig);
  const views = useMemo(() => layOut(size.width, size.height, large), [size.width, size.height, large]);
  const room = views.map(([view, box]) => ({
    view,
    box,
    sheet: sheetAlike(SHEETS[view](inside(box), zoom[view], model)),
  }));
  return (
    <div className="bay drawing" ref={frame}>
      {size.width > 0 && (
        <svg width={size.width} height={size.height} className="bodies" aria-hidden>
          {room.map(({ view, box, sheet }) => (
            <Clip key={view} id={`body-${view}`} box={box}>
              <Body view={view} sheet={sheet} model={model} />
            </Clip>
          ))}
        </svg>
      )}
      {size.width > 0 && (
        <svg
          width={size.width}
          height={size.height}
          role="group"
          aria-label="The axle, from behind, from the side and from above"
        >
          {room.map(({ view, box, sheet }) => {
            const Work = WORKS[view];
            return (
              <ViewFrame key={view} sheet={sheet} box={box}>
                <Work {...{ sheet, model, bar, movable, figures, layers }} tape={job.tape} />
              </ViewFrame>
            );
          })}
          <Flags sheets={room.map(({ sheet }) => sheet)} model={model} />
          {room.map(({ view, box }) => (
            <Title key={view} box={box} name={view} note={NOTES[view]} />
          ))}
        </svg>
      )}
      {room.map(({ view, box }) => (
        <BayTools key={view} view={view} box={box} alone={large === view} small={size.width < SMALL} />
      ))}
    </div>
  );
}

/**
 * The job as last analysed: drawing it and its results together, once, is what keeps a drag smooth. Where the answer holds for
 * what has come to the bench since, that is drawn with it; until the first answer is in, a job is drawn from its figures alone.
 */
function useDrawn(): { job: Job; result: LocateResult | null } {
  const answered = useLocate();
  const stale = useHealth(isStale);
  const asBuilt = useReading(isReadAsBuilt);
  const newer = useJobStore(({ job: drawn }) => {
    const job = jobRead(drawn!, asBuilt);
    if (job === answered.job) return null;
    return stale || job.id !== answered.job?.id || answerHoldsFor(job) ? job : null;
  });
  const job = newer ?? answered.job!;
  return { job, result: job.id === answered.resultId && !stale ? answered.result : null };
}

/** What is dragged is worked out by the worker; the page would be idle until that answers. */
function usePreparation(): void {
  useEffect(
    () =>
      useDragged.subscribe(({ job }) => {
        if (job) queueMicrotask(() => prepareBay(job));
      }),
    [],
  );
}

/** Rear large, side and plan under it, or beside it in a low, wide bay; or the one that was enlarged alone. */
function layOut(width: number, height: number, large: ViewName | null): [ViewName, Box][] {
  if (width === 0) return [];
  if (width < SMALL) return [[large ?? 'rear', { x: 0, y: 0, width, height }]];
  if (large) return [[large, { x: 0, y: 0, width, height }]];
  // Too low for three: the plan would be a thumbnail of overlapping words.
  if (height < LOW) {
    const w = Math.round(width * 0.62);
    return [
      ['rear', { x: 0, y: 0, width: w, height }],
      ['side', { x: w, y: 0, width: width - w, height }],
    ];
  }
  if (height < 470 || width / height > 1.75) {
    const w = Math.round(width * 0.62);
    const h = Math.round(height / 2);
    return [
      ['rear', { x: 0, y: 0, width: w, height }],
      ['side', { x: w, y: 0, width: width - w, height: h }],
      ['plan', { x: w, y: h, width: width - w, height: height - h }],
    ];
  }
  const h = Math.round(height * 0.58);
  const w = Math.round(width / 2);
  return [
    ['rear', { x: 0, y: 0, width, height: h }],
    ['side', { x: 0, y: h, width: w, height: height - h }],
    ['plan', { x: w, y: h, width: width - w, height: height - h }],
  ];
}

const inside = (box: Box): Box => ({
  x: box.x + PAD,
  y: box.y + TITLE,
  width: Math.max(10, box.width - 2 * PAD),
  height: Math.max(10, box.height - TITLE - 6),
});

function useSize() {
  const frame = useRef<HTMLDivElement>(null);
  const [size, setSize] = useState({ width: 0, height: 0 });
  useEffect(() => {
    const watch = new ResizeObserver(([entry]) => {
      const { width, height } = entry!.contentRect;
      setSize({ width: Math.floor(width), height: Math.floor(height) });
    });
    watch.observe(frame.current!);
    return () => watch.disconnect();
  }, []);
  return [frame, size] as const;
}
