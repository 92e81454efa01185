'use client';
import {
  contours,
  extent,
  geoPath,
  geoTransform,
  interpolateRgbBasis,
  scaleLinear,
  scaleSequential,
} from 'd3';
import { useEffect, useState, type KeyboardEvent, type PointerEvent } from 'react';
import type { SweptPose } from '@/core/kinematics/pose';
import type { TravelMap } from '@/core/locate/travel/travelMap';
import { formatLength, sayLength } from '@/core/units/length';
import type { Tape } from '@/core/units/tape';
import { useJobPart } from '@/store/jobStore';
import { setRocker } from '@/store/rocker';
import { askTravelMap, useLocate, useTravelMap } from '@/workers/locate';
import { CURVES, gridlines, room, sayCurveValue, type Curve, type CurveName } from './curves';

const SIZE = { width: 400, height: 250 };
const EDGE = { left: 56, right: 14, top: 12, bottom: 34 };
/** From paper to dye: light is little, dark is much. */
const SHADES = interpolateRgbBasis(['#F4EFE4', '#9fb0d0', '#3b5488', '#14264A']);
const BANDS = 9;

type Props = { which: CurveName; current: SweptPose };
type MapPoint = { heave: number; tilt: number };

/** A quantity over both wheels together (across) and one against the other (up): a probe reads it, and sends the axle there. */
export function TravelMapChart({ which, current }: Props) {
  const job = useLocate((s) => s.job);
  const shape: Curve = CURVES[which];
  const { map, key } = useTravelMap();
  useEffect(() => {
    if (job) void askTravelMap({ job, key: shape.key });
  }, [job, shape.key]);
  if (!map || key !== shape.key) return <p className="hint">Working out the map…</p>;
  return <Plot map={map} shape={shape} current={current} />;
}

function Plot({ map, shape, current }: { map: TravelMap; shape: Curve; current: SweptPose }) {
  const tape = useJobPart((j) => j.tape);
  const [probe, setProbe] = useState<MapPoint | null>(null);
  const { columns, rows } = map;
  const values = map.values.map((v) => (v === null ? NaN : shape.sign * v));
  const x = scaleLinear([columns[0]!, columns.at(-1)!], [EDGE.left, SIZE.width - EDGE.right]);
  const y = scaleLinear([rows[0]!, rows.at(-1)!], [SIZE.height - EDGE.bottom, EDGE.top]);
  const [low = 0, high = 0] = extent(values.filter((_, i) => inTravel(i, map))) as [number?, number?];
  const [from, to] = room([low, high], shape.unit, tape);
  const shade = scaleSequential([from, to], SHADES);
  const levels = Array.from({ length: BANDS }, (_, i) => from + ((to - from) * i) / BANDS);
  const lines = gridlines([low, high], shape.unit, tape);
  // A contour's own coordinates count cells, with the value in the middle of each.
  const cell = (scale: typeof x, list: number[]) => (n: number) =>
    scale(list[0]! + ((n - 0.5) * (list.at(-1)! - list[0]!)) / (list.length - 1));
  const [px, py] = [cell(x, columns), cell(y, rows)];
  const onPaper = geoPath(
    geoTransform({
      point(u, v) {
        this.stream.point(px(u), py(v));
      },
    }),
  );
  const draw = contours().size([columns.length, rows.length]);
  const at: MapPoint = probe ?? {
    heave: (current.left + current.right) / 2,
    tilt: (current.left - current.right) / 2,
  };
  const value = read(map, values, at);

  function placeUnder(e: PointerEvent<SVGSVGElement>): MapPoint {
    const box = e.currentTarget.getBoundingClientRect();
    const place = {
      heave: x.invert(((e.clientX - box.left) / box.width) * SIZE.width),
      tilt: y.invert(((e.clientY - box.top) / box.height) * SIZE.height),
    };
    return held(place, map);
  }

  function onKeyDown(e: KeyboardEvent) {
    const step = (columns.at(-1)! - columns[0]!) / 24;
    const ways: Record<string, [number, number]> = {
      ArrowLeft: [-step, 0],
      ArrowRight: [step, 0],
      ArrowUp: [0, step],
      ArrowDown: [0, -step],
    };
    const way = ways[e.key];
    if (way) setProbe(held({ heave: at.heave + way[0], tilt: at.tilt + way[1] }, map));
    else if (e.key === 'Enter') goTo(at);
    else return;
    e.preventDefault();
    e.stopPropagation();
  }

  const diamond = corners(map)
    .map((p) => `${x(p.heave)},${y(p.tilt)}`)
    .join(' ');
  return (
    <>
      <svg
        viewBox={`0 0 ${SIZE.width} ${SIZE.height}`}
        role="application"
        tabIndex={0}
        aria-label={`${shape.name} over heave and roll: arrow keys move the probe, Enter sends the axle there`}
        onPointerMove={(e) => setProbe(placeUnder(e))}
        onPointerLeave={() => setProbe(null)}
        onClick={(e) => goTo(placeUnder(e as unknown as PointerEvent<SVGSVGElement>))}
        onKeyDown={onKeyDown}
        onBlur={() => setProbe(null)}
      >
        <clipPath id="travel-diamond">
          <polygon points={diamond} />
        </clipPath>
        <g clipPath="url(#travel-diamond)">
          {draw
            .thresholds(levels)(values)
            .map((c) => (
              <path key={c.value} d={onPaper(c) ?? ''} fill={shade(c.value + (to - from) / BANDS / 2)} />
            ))}
          {draw
            .thresholds(lines)(values)
            .map((c) => (
              <path key={c.value} className="contour" d={onPaper(c) ?? ''} />
            ))}
        </g>
        <polygon className="travel-edge" points={diamond} />
        <line className="ride" x1={x(0)} x2={x(0)} y1={EDGE.top} y2={SIZE.height - EDGE.bottom} />
        <line className="ride" x1={EDGE.left} x2={SIZE.width - EDGE.right} y1={y(0)} y2={y(0)} />
        <g className="axis">
          <text x={EDGE.left} y={SIZE.height - 18}>
            {formatLength(-columns[0]!, tape)} droop
          </text>
          <text x={SIZE.width - EDGE.right} y={SIZE.height - 18} textAnchor="end">
            {formatLength(columns.at(-1)!, tape)} bump
          </text>
          <text x={6} y={EDGE.top + 10}>
            left up
          </text>
          <text x={6} y={SIZE.height - EDGE.bottom - 5}>
            right up
          </text>
        </g>
        <circle className="now" cx={x(at.heave)} cy={y(at.tilt)} r={6} />
      </svg>
      <p className="probe" aria-live="polite" data-readout="probe">
        <b>{sayCurveValue(value, shape, tape)}</b> {where(at, tape)}. Lightest{' '}
        {sayCurveValue(low, shape, tape)}, darkest {sayCurveValue(high, shape, tape)}. Touch the map to send
        the axle there.
      </p>
    </>
  );
}

function where({ heave, tilt }: MapPoint, tape: Tape): string {
  const height =
    Math.abs(heave) < 1
      ? 'at ride height'
      : `${sayLength(Math.abs(heave), tape)} ${heave < 0 ? 'down' : 'up'}`;
  if (Math.abs(tilt) < 1) return `with both wheels ${height}`;
  const side = tilt < 0 ? 'right' : 'left';
  return `with the axle ${height} and its ${side} end ${sayLength(Math.abs(2 * tilt), tape)} above the other`;
}

const goTo = ({ heave, tilt }: MapPoint): void => setRocker(heave + tilt, heave - tilt);

/** The places where neither wheel is past its travel make a diamond. */
function corners({ columns }: TravelMap): MapPoint[] {
  const [low, high] = [columns[0]!, columns.at(-1)!];
  const [middle, half] = [(low + high) / 2, (high - low) / 2];
  return [
    { heave: low, tilt: 0 },
    { heave: middle, tilt: half },
    { heave: high, tilt: 0 },
    { heave: middle, tilt: -half },
  ];
}

function roomForTilt({ columns }: TravelMap, heave: number): number {
  return Math.max(0, Math.min(columns.at(-1)! - heave, heave - columns[0]!));
}

function held({ heave, tilt }: MapPoint, map: TravelMap): MapPoint {
  const inside = Math.min(map.columns.at(-1)!, Math.max(map.columns[0]!, heave));
  const most = roomForTilt(map, inside);
  return { heave: inside, tilt: Math.min(most, Math.max(-most, tilt)) };
}

function inTravel(index: number, map: TravelMap): boolean {
  const heave = map.columns[index % map.columns.length]!;
  const tilt = map.rows[Math.floor(index / map.columns.length)]!;
  return Number.isFinite(map.values[index] ?? NaN) && Math.abs(tilt) <= roomForTilt(map, heave) + 1e-6;
}

/** The value at a place, between the four that were worked out round it; null where one of them has none. */
function read({ columns, rows }: TravelMap, values: number[], { heave, tilt }: MapPoint): number | null {
  const share = (list: number[], v: number): [number, number] => {
    const at = ((v - list[0]!) / (list.at(-1)! - list[0]!)) * (list.length - 1);
    const cell = Math.min(list.length - 2, Math.max(0, Math.floor(at)));
    return [cell, at - cell];
  };
  const [c, u] = share(columns, heave);
  const [r, v] = share(rows, tilt);
  const corner = (dr: number, dc: number) => values[(r + dr) * columns.length + c + dc]!;
  const value =
    (1 - v) * ((1 - u) * corner(0, 0) + u * corner(0, 1)) + v * ((1 - u) * corner(1, 0) + u * corner(1, 1));
  return Number.isFinite(value) ? value : null;
}
