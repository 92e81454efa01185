'use client';
import { useEffect, useRef, useState, type ReactNode } from 'react';
import { panhard } from '@/core/job/job';
import type { Job } from '@/core/job/schema';
import type { LocateResult } from '@/core/locate/types';
import { useJobPart, useJobStore } from '@/store/jobStore';
import { useAnalysis } from '@/workers/analysis';
import './bay.css';
import type { Figures } from './figures';
import { bayModel } from './model';
import type { Movable } from './Mounts';
import { PlanView } from './PlanView';
import { RearView } from './RearView';
import { SideView } from './SideView';
import type { Box } from './views';

type Props = { movable: Movable; figures: Figures };
type Room = { rear: Box; side: Box | null; plan: Box | null };

const PAD = 14;
const TITLE = 22;

/** The bay: this car's axle in three views, true to scale, moved by the rocker. */
export function Bay({ movable, figures }: Props) {
  const { job, result } = useDrawn();
  const [frame, size] = useSize();
  const model = bayModel(job, result);
  const bar = panhard(job);
  const room = layOut(size.width, size.height);
  const shared = { model, bar, tape: job.tape, movable, figures };
  return (
    <div className="bay" ref={frame}>
      {size.width > 0 && (
        <svg
          width={size.width}
          height={size.height}
          role="group"
          aria-label="The axle, from behind, from the side and from above"
        >
          <Title box={room.rear} name="rear" note="from behind the car" />
          <Clip box={room.rear} id="rear">
            <RearView box={inside(room.rear)} {...shared} />
          </Clip>
          {room.side && <Title box={room.side} name="side" note="front to the left" />}
          {room.side && (
            <Clip box={room.side} id="side">
              <SideView box={inside(room.side)} {...shared} />
            </Clip>
          )}
          {room.plan && <Title box={room.plan} name="plan" note="from above, front up" />}
          {room.plan && (
            <Clip box={room.plan} id="plan">
              <PlanView box={inside(room.plan)} {...shared} />
            </Clip>
          )}
        </svg>
      )}
    </div>
  );
}

/** The job as last analysed: drawing it and its results together, once, is what keeps a drag smooth. */
function useDrawn(): { job: Job; result: LocateResult | null } {
  const id = useJobPart((j) => j.id);
  const drawn = useAnalysis();
  const fresh = drawn.job?.id !== id;
  // Until the first answer for this job is in, it is drawn from its figures alone.
  const onBench = useJobStore((s) => (fresh ? s.job : null));
  return fresh ? { job: onBench!, result: null } : { job: drawn.job!, result: drawn.result };
}

/** Keeps what moves out of a view from showing in its neighbour. */
function Clip({ box, id, children }: { box: Box; id: string; children: ReactNode }) {
  return (
    <>
      <clipPath id={`view-${id}`}>
        <rect {...box} />
      </clipPath>
      <g clipPath={`url(#view-${id})`}>{children}</g>
    </>
  );
}

function Title({ box, name, note }: { box: Box; name: string; note: string }) {
  return (
    <g className="view-title">
      <rect x={box.x} y={box.y} width={box.width} height={box.height} />
      <text x={box.x + PAD} y={box.y + 20}>
        {name.toUpperCase()}
        <tspan dx={10} className="note">
          {note}
        </tspan>
      </text>
    </g>
  );
}

/** Rear large, side and plan under it; in a low, wide bay beside it. */
function layOut(width: number, height: number): Room {
  if (height < 470 || width / height > 1.75) {
    const w = Math.round(width * 0.62);
    const h = Math.round(height / 2);
    return {
      rear: { x: 0, y: 0, width: w, height },
      side: { x: w, y: 0, width: width - w, height: h },
      plan: { x: w, y: h, width: width - w, height: height - h },
    };
  }
  const h = Math.round(height * 0.58);
  const w = Math.round(width / 2);
  return {
    rear: { x: 0, y: 0, width, height: h },
    side: { x: 0, y: h, width: w, height: height - h },
    plan: { x: w, y: h, width: width - w, height: height - h },
  };
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
