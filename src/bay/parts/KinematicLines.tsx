import { polygonHull } from 'd3';
import { memo } from 'react';
import type { Bar, BayModel, GhostFigure } from '@/bay/model/bayModel';
import { path, type Flat, type Sheet } from '@/bay/views/projection';
import type { Point } from '@/core/geometry/vector';
import type { AxleEnd } from '@/core/rig/schema';

type PullProps = {
  sheet: Sheet;
  centre: BayModel['instantCentre'];
  travel: BayModel['instantCentrePath'];
  bars: Bar[];
};

/**
 * From the contact patch to the instant centre: the line whose slope is the anti-squat; the links' own lines to it, cut off at the
 * view's edge; and the path of the centre over the travel.
 */
export const LinesOfPull = memo(function LinesOfPull({ sheet, centre: at, travel, bars }: PullProps) {
  if (!at) return null;
  const [x, z] = at;
  const patch = sheet.at([0, 0, 0]);
  const centre = sheet.at([x, 0, z]);
  const seen = Math.abs(centre[0] - sheet.box.x - sheet.box.width / 2) <= sheet.box.width / 2;
  // Only members that lie lengthwise have a line in this view.
  const lengthwise = bars.filter((b) => Math.abs(b.chassis[0] - b.axle[0]) > 100);
  return (
    <g className="pull">
      <Ray className="pull-line" from={patch} through={centre} sheet={sheet} stop={seen} />
      {lengthwise.map((b) => (
        <Ray key={b.id} from={sheet.at(b.axle)} through={sheet.at(b.chassis)} sheet={sheet} stop={false} />
      ))}
      {travel.map((piece, i) => (
        <path key={i} className="pull-path" d={path(piece.map(([px, pz]) => sheet.at([px, 0, pz])))} />
      ))}
      {seen && <circle cx={centre[0]} cy={centre[1]} r={5} />}
    </g>
  );
});

/** A line from one point through another, on to the edge of the view, or only as far as the other. */
function Ray({
  sheet,
  from,
  through,
  stop,
  className,
}: {
  sheet: Sheet;
  from: Flat;
  through: Flat;
  stop: boolean;
  className?: string;
}) {
  const [dx, dy] = [through[0] - from[0], through[1] - from[1]];
  const edge = dx < 0 ? from[0] - sheet.box.x : sheet.box.x + sheet.box.width - from[0];
  const share = stop ? 1 : edge / Math.max(1e-6, Math.abs(dx));
  return (
    <line
      className={className}
      x1={from[0]}
      y1={from[1]}
      x2={from[0] + share * dx}
      y2={from[1] + share * dy}
    />
  );
}

type AxisProps = { sheet: Sheet; end: AxleEnd; rollCentre: BayModel['rollCentre']; slope: number | null };

/** The axis that the car rolls about at this end, through the roll centre, seen from the side. */
export const RollAxis = memo(function RollAxis({ sheet, end, rollCentre, slope }: AxisProps) {
  if (!rollCentre || slope === null) return null;
  const reach = 6000;
  const at = (x: number): Point => [x, 0, rollCentre.height + x * slope];
  const [a, b] = [sheet.at(at(reach)), sheet.at(at(-reach))];
  const [cx, cy] = sheet.at(at(0));
  // Where no links go, ahead of a front axle and behind a rear one, nothing else is written under its own line.
  const edge = sheet.box.x + (end === 'front' ? 0 : sheet.box.width);
  const onAxis = a[1] + ((edge - a[0]) / (b[0] - a[0])) * (b[1] - a[1]);
  return (
    <g className="roll-centre">
      <line className="axis-line" x1={a[0]} y1={a[1]} x2={b[0]} y2={b[1]} />
      <circle cx={cx} cy={cy} r={5} />
      <text x={edge} y={onAxis + 15} textAnchor={end === 'front' ? 'start' : 'end'}>
        roll axis
      </text>
    </g>
  );
});

const ENDS = ['bump', 'droop', 'leftUp', 'rightUp'] as const;

/** The room that each bar sweeps through, bump to droop and one wheel up: the hull of where it stands then. */
export function Swept({ sheet, model }: { sheet: Sheet; model: BayModel }) {
  const figures = [model.now, ...ENDS.map((end) => model.ghosts[end])].filter((f) => f !== null);
  return (
    <g className="swept">
      {model.now.bars.map((bar, i) => {
        const corners = figures.flatMap((f) => outline(f, i, sheet));
        const hull = polygonHull(corners);
        return hull && <path key={bar.id} d={`M${hull.map((p) => p.join(',')).join('L')}Z`} />;
      })}
    </g>
  );
}

/** The corners of a bar's thickness at each point of its path. */
function outline(figure: GhostFigure, index: number, sheet: Sheet): Flat[] {
  const { path, od } = figure.bars[index]!;
  const r = Math.max(2, (od / 2) * sheet.k);
  return path.map(sheet.at).flatMap(([x, y]): Flat[] => [
    [x - r, y - r],
    [x + r, y - r],
    [x + r, y + r],
    [x - r, y + r],
  ]);
}
