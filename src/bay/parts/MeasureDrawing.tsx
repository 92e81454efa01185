import { memo } from 'react';
import { spotAt, spotName } from '@/core/survey/quantities/quantities';
import { FITTED, type ViewName } from '@/store/viewport';
import '@/bay/bay.css';
import { bayModel, type BayModel } from '@/bay/model/bayModel';
import { PlanBody } from '@/bay/views/PlanView';
import { RearBody, rearSheet } from '@/bay/views/RearView';
import { SideBody } from '@/bay/views/SideView';
import { fit, type Extent, type Sheet } from '@/bay/views/projection';
import { whereIs, type Where } from '@/bay/model/whereToMeasure';
import type { Job } from '@/core/job/jobSchema';

const BODIES = { rear: RearBody, side: SideBody, plan: PlanBody };
const SEEN_FROM: Record<ViewName, string> = {
  rear: 'from behind',
  side: 'from the left, front to the left',
  plan: 'from above, front up',
};

type Props = { job: Job; spot: string; width: number; height: number };

/** Where one reading is taken, on a small drawing of this car. */
export const MeasureDrawing = memo(function MeasureDrawing({ job, spot: key, width, height }: Props) {
  const spot = spotAt(key)!;
  const model = bayModel(job, null, null);
  const where = whereIs(spot, model, job.readings);
  const box = { x: 8, y: 8, width: width - 16, height: height - 16 };
  const sheet =
    where.view === 'rear'
      ? rearSheet(box, FITTED, model)
      : fit(where.view, box, extentOf(where, model), FITTED);
  const Body = BODIES[where.view];
  const clip = `measure-${key}`;
  return (
    <svg
      className="measure-drawing drawing"
      viewBox={`0 0 ${width} ${height}`}
      role="img"
      aria-label={`${spotName(spot)}, seen ${SEEN_FROM[where.view]}`}
    >
      <clipPath id={clip}>
        <rect width={width} height={height} />
      </clipPath>
      <g clipPath={`url(#${clip})`}>
        <rect className="ground" width={width} height={height} />
        <g className="dim-car">
          <Body sheet={sheet} model={model} />
        </g>
        {where.opening && <Opening sheet={sheet} model={model} />}
        {where.beside?.map((p, i) => {
          const [x, y] = sheet.at(p);
          return <path key={i} className="datum" d={`M${x - 6},${y}H${x + 6}M${x},${y - 6}V${y + 6}`} />;
        })}
        <TapeLine sheet={sheet} where={where} />
      </g>
      <text x={10} y={18} className="seen-from">
        {SEEN_FROM[where.view]}
      </text>
    </svg>
  );
});

/** The edge of the wheel's opening: half a circle a hand's breadth off the tyre. */
function Opening({ sheet, model }: { sheet: Sheet; model: BayModel }) {
  const r = model.tireRadius + 75;
  const [x, y] = sheet.at([0, 0, model.tireRadius]);
  return (
    <path
      className="opening"
      d={`M${x - r * sheet.k},${y}A${r * sheet.k},${r * sheet.k} 0 0 1 ${x + r * sheet.k},${y}`}
    />
  );
}

const TICK = 6;

/** The tape itself, with slashes across its two ends. */
function TapeLine({ sheet, where }: { sheet: Sheet; where: Where }) {
  const [a, b] = [sheet.at(where.from), sheet.at(where.to)];
  const length = Math.hypot(b[0] - a[0], b[1] - a[1]) || 1;
  const [nx, ny] = [(-(b[1] - a[1]) / length) * TICK, ((b[0] - a[0]) / length) * TICK];
  return (
    <g className="tape-line">
      <line x1={a[0]} y1={a[1]} x2={b[0]} y2={b[1]} />
      {[a, b].map(([x, y], i) => (
        <line key={i} x1={x - nx} y1={y - ny} x2={x + nx} y2={y + ny} />
      ))}
    </g>
  );
}

function extentOf({ from, to, beside = [], view }: Where, model: BayModel): Extent {
  const half = model.track / 2 + model.tireWidth / 2 + 40;
  const R = model.tireRadius;
  const along = [from, to, ...beside].map((p) => p[0]);
  const ahead = Math.max(R, ...along) + 70;
  const behind = Math.min(-R, ...along) - 70;
  if (view === 'plan') return { left: -half, right: half, top: -ahead, bottom: -behind };
  const top = Math.max(2 * R + 110, model.rails[0]!.underside + model.rails[0]!.height + 40);
  return { left: -ahead, right: -behind, top: -top, bottom: 70 };
}
