import { curveCatmullRom, line, polygonHull } from 'd3';
import { memo } from 'react';
import type { BayModel, Figure, GhostFigure } from '@/bay/model/bayModel';
import { path, type Flat, type Sheet } from '@/bay/views/projection';
import type { Point } from '@/core/geometry/vector';
import { toDegrees } from '@/core/geometry/angle';
import { SIDES } from '@/core/geometry/side';

/** A driveshaft's tube as it is drawn, mm. */
const SHAFT_OD = 64;

/** A straight bar of round section between two points, outlined. */
function Tube({ a, b, width, className }: { a: Flat; b: Flat; width: number; className: string }) {
  const length = Math.hypot(b[0] - a[0], b[1] - a[1]) || 1;
  const [nx, ny] = [(-(b[1] - a[1]) / length) * (width / 2), ((b[0] - a[0]) / length) * (width / 2)];
  const corners: Flat[] = [
    [a[0] + nx, a[1] + ny],
    [b[0] + nx, b[1] + ny],
    [b[0] - nx, b[1] - ny],
    [a[0] - nx, a[1] - ny],
  ];
  return <path className={className} d={`${path(corners)}Z`} />;
}

type TyresProps = { sheet: Sheet; model: BayModel; figure: GhostFigure; className: string };

/** Both tyres, as the view sees them, upright on the axle's ends. */
export function Tyres({ sheet, model, figure: { wheels }, className }: TyresProps) {
  const { tireRadius: radius, tireWidth: width } = model;
  return <TyrePair {...{ sheet, wheels, radius, width, className }} />;
}

/** Where the tyres are at the ends of the travel. */
export function GhostTyres({ sheet, model }: { sheet: Sheet; model: BayModel }) {
  return [model.ghosts.bump, model.ghosts.droop].map(
    (figure, i) => figure && <Tyres key={i} className="ghost" {...{ sheet, model, figure }} />,
  );
}

type TyrePairProps = {
  sheet: Sheet;
  wheels: Figure['wheels'];
  radius: number;
  width: number;
  className: string;
};

const TyrePair = memo(function TyrePair({ sheet, wheels, radius, width, className }: TyrePairProps) {
  const { k } = sheet;
  // A ghost that stays on its pixel while a mount is dragged does not have to be painted again.
  const digits = className === 'ghost' ? 0 : 2;
  const [w, h] = [width * k, 2 * radius * k];
  if (sheet.view === 'side') {
    const [x, y] = sheet.at(wheels.left);
    return <circle className={className} cx={x.toFixed(digits)} cy={y.toFixed(digits)} r={radius * k} />;
  }
  const tilt = leanOf(sheet, wheels);
  return (
    <>
      {SIDES.map((side) => {
        const [x, y] = sheet.at(wheels[side]);
        const grooves = sheet.view === 'rear' && className === 'zinc' ? [-0.3, -0.1, 0.1, 0.3] : [];
        return (
          <g
            key={side}
            transform={`translate(${x.toFixed(digits)},${y.toFixed(digits)}) rotate(${tilt.toFixed(digits + 1)})`}
          >
            <rect className={className} x={-w / 2} y={-h / 2} width={w} height={h} rx={Math.min(14, w / 5)} />
            <path className="groove" d={grooves.map((g) => `M${g * w},${4 - h / 2}V${h / 2 - 4}`).join('')} />
          </g>
        );
      })}
    </>
  );
});

/** The axle's own tilt on the screen, degrees: roll from behind, steer from above. */
function leanOf(sheet: Sheet, wheels: Figure['wheels']): number {
  const [a, b] = [sheet.at(wheels.left), sheet.at(wheels.right)];
  return toDegrees(Math.atan2(b[1] - a[1], b[0] - a[0]));
}

/** Tube and differential. */
export function Axle({ sheet, model, figure }: { sheet: Sheet; model: BayModel; figure: Figure }) {
  const [cx, cy] = sheet.at(figure.centre);
  const width = model.tubeDiameter * sheet.k;
  return (
    <g>
      {sheet.view === 'side' ? (
        <circle className="zinc" cx={cx} cy={cy} r={width / 2} />
      ) : (
        <Tube className="zinc" a={sheet.at(figure.tube[0])} b={sheet.at(figure.tube[1])} width={width} />
      )}
      {figure.housing.map((points, i) => (
        <path key={i} className="zinc solid" d={outline(points.map(sheet.at))} />
      ))}
    </g>
  );
}

/** Crossmembers and hoops, as thick as they are. */
export function Crossmembers({ sheet, model }: { sheet: Sheet; model: BayModel }) {
  return model.crossmembers.map(({ id, od, points }) => (
    <g key={id} data-crossmember={`${sheet.view}-${id}`}>
      {od === null ? (
        <path className="oxide" d={outline(points.map(sheet.at))} />
      ) : (
        points
          .slice(1)
          .map((to, i) => <RoundStretch key={i} sheet={sheet} from={points[i]!} to={to} od={od} />)
      )}
    </g>
  ));
}

/** A stretch of round tube; seen along itself it is a circle. */
function RoundStretch({ sheet, from, to, od }: { sheet: Sheet; from: Point; to: Point; od: number }) {
  const [a, b] = [sheet.at(from), sheet.at(to)];
  const width = od * sheet.k;
  if (Math.hypot(b[0] - a[0], b[1] - a[1]) < 1)
    return <circle className="oxide" cx={a[0]} cy={a[1]} r={width / 2} />;
  return <Tube className="oxide" a={a} b={b} width={width} />;
}

/** Round what it is drawn round, as seen. */
const outline = (flat: Flat[]): string =>
  `M${(polygonHull(flat) ?? flat).map(([x, y]) => `${x.toFixed(1)},${y.toFixed(1)}`).join('L')}Z`;

type BarLineProps = { sheet: Sheet; points: Point[]; od: number; className?: string };

/** A bar along its path, drawn at its true diameter but never too thin to see. */
export const BarLine = memo(function BarLine({ sheet, points, od, className = 'bar' }: BarLineProps) {
  const flat = points.map(sheet.at);
  const width = Math.max(4, od * sheet.k);
  return (
    <>
      {flat.slice(1).map((b, i) => (
        <Tube key={i} className={className} a={flat[i]!} b={b} width={width} />
      ))}
    </>
  );
});

export function Ghost({ sheet, from, to }: { sheet: Sheet; from: Point; to: Point }) {
  const [a, b] = [sheet.at(from), sheet.at(to)];
  return <path className="ghost" d={path([a, b])} />;
}

export function Floor({ sheet, from, to }: { sheet: Sheet; from: Point; to: Point }) {
  const [a, b] = [sheet.at(from), sheet.at(to)];
  const hatches = Array.from(
    { length: Math.floor((b[0] - a[0]) / 26) },
    (_, i) => `M${a[0] + 14 + 26 * i},${a[1]}l-6,7`,
  );
  return (
    <g className="floor">
      <line x1={a[0]} y1={a[1]} x2={b[0]} y2={b[1]} />
      <path className="hatch" d={hatches.join('')} />
    </g>
  );
}

/** Arms, leaves and cranks, as lines from joint to joint; a leaf bows through its seat. */
export function Shapes({ sheet, figure }: { sheet: Sheet; figure: Figure }) {
  const { shapes, dragLink, shaft } = figure;
  return <ShapeLines {...{ sheet, shapes, dragLink, shaft }} />;
}

type ShapeLinesProps = { sheet: Sheet } & Pick<Figure, 'shapes' | 'dragLink' | 'shaft'>;

const ShapeLines = memo(function ShapeLines({ sheet, shapes, dragLink, shaft }: ShapeLinesProps) {
  const bow = line().curve(curveCatmullRom);
  return (
    <g>
      {dragLink && <path className="shape drag-link" d={path(dragLink.map(sheet.at))} />}
      {shaft && sheet.view !== 'rear' && <Shaft sheet={sheet} shaft={shaft} />}
      {shapes.flatMap((shape) =>
        shape.lines.map((points, i) => {
          const flat = points.map(sheet.at);
          const d = shape.kind === 'leaf' ? (bow(flat) ?? '') : path(flat);
          return <path key={`${shape.id}${i}`} className={`shape ${shape.kind}`} d={d} />;
        }),
      )}
    </g>
  );
});

/** The driveshaft between its joints, and the yokes it turns in. */
function Shaft({ sheet, shaft }: { sheet: Sheet; shaft: NonNullable<Figure['shaft']> }) {
  const [front, rear, tail, nose] = [shaft.front, shaft.rear, shaft.tail, shaft.nose].map(sheet.at) as [
    Flat,
    Flat,
    Flat,
    Flat,
  ];
  return (
    <g className="shaft">
      <Tube className="shaft-tube" a={front} b={rear} width={Math.max(4, SHAFT_OD * sheet.k)} />
      <path className="yoke chassis" d={path([tail, front])} />
      <path className="yoke axle" d={path([nose, rear])} />
    </g>
  );
}

type PlatesProps = { sheet: Sheet; plates: Figure['plates']; of?: string };

/** The plates of brackets as they are cut: all of them, or those of one bar. */
export const Plates = memo(function Plates({ sheet, plates, of }: PlatesProps) {
  return plates.map(
    ({ member, on, outline }, i) =>
      (of === undefined || member === of) && <Plate key={i} sheet={sheet} on={on} outline={outline} />,
  );
});

type PlateProps = { sheet: Sheet } & Pick<Figure['plates'][number], 'on' | 'outline'>;

const Plate = memo(function Plate({ sheet, on, outline }: PlateProps) {
  return (
    <path className={`${on === 'axle' ? 'zinc' : 'oxide'} plate`} d={`${path(outline.map(sheet.at))}Z`} />
  );
});
