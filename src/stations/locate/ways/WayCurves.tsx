import { extent, line, scaleLinear } from 'd3';
import type { CandidateNumbers, Compared } from '@/core/choose/candidates/compare';
import { formatLength } from '@/core/units/length';
import { gridlines, lineLabel, room } from '@/stations/locate/charts/curves';
import { useJobPart } from '@/store/jobStore';

const SIZE = { width: 520, height: 220 };
const EDGE = { left: 82, right: 44, top: 14, bottom: 30 };
/** Lines are told apart by their strokes and by the number at their end. */
const STROKES = ['', '10 4', '3 3', '12 3 3 3', '6 2', '1 4', '14 6', '8 3 1 3'];
const NUMBER = 13;
/** Lines that end nearer to each other than this end alike, px. */
const ALIKE = 2;

type CurvePoint = CandidateNumbers['curve'][number];

/** Both curves by which ways are held against each other over the travel. */
export function WayCurves({ all }: { all: Compared[] }) {
  return (
    <div className="way-curves">
      <Curves
        all={all}
        title="Axle goes sideways over the travel"
        of={({ y }) => y}
        to={['to the left', 'to the right']}
      />
      <Curves all={all} title="Roll centre over the travel" of={({ rollCentre }) => rollCentre} />
    </div>
  );
}

type CurvesProps = {
  all: Compared[];
  title: string;
  of: (point: CurvePoint) => number | null;
  /** what is more, and what is less */
  to?: readonly [string, string];
};

function Curves({ all, title, of, to }: CurvesProps) {
  const tape = useJobPart((j) => j.tape);
  const lines = all.map(({ id, numbers }) => ({
    id,
    points: (numbers?.curve ?? []).flatMap((p): [number, number][] => {
      const value = of(p);
      return value === null ? [] : [[p.lift, value]];
    }),
  }));
  const points = lines.flatMap((one) => one.points);
  if (points.length < 2) return null;
  const [left, right] = extent(points, ([x]) => x) as [number, number];
  const up = room(
    points.map(([, value]) => value),
    'length',
    tape,
  );
  const x = scaleLinear([left, right], [EDGE.left, SIZE.width - EDGE.right]);
  const y = scaleLinear(up, [SIZE.height - EDGE.bottom, EDGE.top]);
  const draw = line<[number, number]>(
    ([u]) => x(u),
    ([, v]) => y(v),
  );
  const ends = endLabels(lines.map((one) => (one.points.length ? y(one.points.at(-1)![1]) : null)));
  return (
    <figure>
      <figcaption>{title}</figcaption>
      <svg
        viewBox={`0 0 ${SIZE.width} ${SIZE.height}`}
        role="img"
        aria-label={`${title}, one line for each way`}
      >
        {gridlines(up, 'length', tape).map((v) => (
          <g key={v} className="grid">
            <line x1={EDGE.left} x2={SIZE.width - EDGE.right} y1={y(v)} y2={y(v)} />
            <text x={EDGE.left - 6} y={y(v) + 4} textAnchor="end">
              {lineLabel(v, 'length', tape)}
            </text>
          </g>
        ))}
        <line className="ride" x1={x(0)} x2={x(0)} y1={EDGE.top} y2={SIZE.height - EDGE.bottom} />
        {lines.map(({ id, points: of }, i) => (
          <path
            key={id}
            className="way-line"
            d={draw(of) ?? ''}
            strokeDasharray={STROKES[i % STROKES.length]}
          />
        ))}
        {ends.map(({ y: height, text }) => (
          <text key={text} className="way-end" x={SIZE.width - EDGE.right + 6} y={height + 4}>
            {text}
          </text>
        ))}
        {to && (
          <>
            <text x={EDGE.left + 6} y={EDGE.top + 10}>
              {to[0]}
            </text>
            <text x={EDGE.left + 6} y={SIZE.height - EDGE.bottom - 5}>
              {to[1]}
            </text>
          </>
        )}
        <text x={x(left)} y={SIZE.height - 10}>
          {formatLength(-left, tape)} droop
        </text>
        <text x={x(0)} y={SIZE.height - 10} textAnchor="middle">
          ride
        </text>
        <text x={x(right)} y={SIZE.height - 10} textAnchor="end">
          {formatLength(right, tape)} bump
        </text>
      </svg>
    </figure>
  );
}

/** The numbers at the ends of lines: those of lines that end alike together, moved down where they would stand on each other. */
function endLabels(ys: (number | null)[]): { y: number; text: string }[] {
  const order = ys.flatMap((y, i) => (y === null ? [] : [{ y, i }])).sort((a, b) => a.y - b.y);
  const labels: { at: number; y: number; of: number[] }[] = [];
  for (const { y, i } of order) {
    const last = labels.at(-1);
    if (last && y - last.at < ALIKE) last.of.push(i + 1);
    else labels.push({ at: y, y: Math.max(y, (last?.y ?? -Infinity) + NUMBER), of: [i + 1] });
  }
  return labels.map(({ y, of }) => ({ y, text: of.toSorted((a, b) => a - b).join(' ') }));
}
